# frozen_string_literal: true

# Rescue is what hands do when something went wrong, as far as several mishaps share it: switching off, steaming,
# threading again.
#
#   Sewing::Rescue::UP.does   # => "Turn the wheel toward you until the needle is up."

require_relative "../machine/ledger"
require_relative "../value"

module NimbleEyelet
  module Sewing
    # does - String; how - String or nil; hazards - Array<String>, keys of HAZARDS
    # moves - Hash of machine part to its state after it
    # asks - String or nil, "slit" when what came of it is measured with this step
    # fits - Symbol or nil, what a Material has to answer with yes; otherwise - RescueStep or nil, what is done where it
    #   does not
    class RescueStep < Value.of(:does, how: nil, hazards: [], moves: {}, asks: nil, fits: nil, otherwise: nil)
      # @param material [Material]
      # @return [RescueStep, nil] what is done to it, if anything
      def for(material) = fits.nil? || material.public_send(fits) ? self : otherwise&.for(material)
    end

    module Rescue
      SEWN = %w[sew test-sew].freeze
      # From the sewing of a hole until it is opened.
      UNCUT = %w[look cord tails tear film seal dry].freeze
      CUT = %w[punch open].freeze
      # Everything of a hole that is sewn over again.
      HOLE = %w[reset place lever sew look].freeze

      # How the dials stand where somebody mended by zigzag: nobody was told a width. By hand or by zigzag, nobody knows
      # at all.
      TURNED = { "selector" => "zigzag", "width" => Ledger::UNKNOWN, "length" => Ledger::UNKNOWN }.freeze
      MENDED = TURNED.transform_values { Ledger::UNKNOWN }.freeze

      # A programme that was interrupted stands somewhere in its middle.
      INTERRUPTED = { "cycle" => "in its middle" }.freeze
      AT_FIRST = { "cycle" => nil }.freeze

      SWITCH_OFF = RescueStep.new(does: "Foot off the pedal. Switch the machine off.", hazards: %w[power])
      UP = RescueStep.new(does: "Turn the wheel towards you until the needle is up.", hazards: %w[wheel])
      CHECK = RescueStep.new(does: "Sew a scrap of the same layers before the garment.", hazards: %w[wheel])
      SMOOTH = RescueStep.new(does: "Smooth the place by hand, lay a fresh stay, and mark it again.")
      STEAM = RescueStep.new(does: "Steam the place, lay a fresh stay, and mark it again.", hazards: %w[iron], fits: :ironed?,
                             otherwise: SMOOTH)
      UNPICK = RescueStep.new(does: "Unpick it: cut the bobbin thread on the back at every third stitch, draw the top thread out.",
                              hazards: %w[blade])
      FINISH = [RescueStep.new(does: "Needle back into its last hole, by hand; foot down.",
                               how: "The fabric has not moved: that is what counts.",
                               hazards: %w[wheel]),
                RescueStep.new(does: "Finish by plain zigzag: the side's width and length, then the end at length 0.",
                               moves: TURNED, hazards: %w[wheel], fits: :zigzagged?,
                               otherwise: RescueStep.new(does: "Go on along the line to its end.", hazards: %w[wheel],
                                                         how: "At each corner needle down, foot up, turn, foot down."))].freeze
      ANEW = RescueStep.new(does: "Back to the start, and to the same start mark.", moves: { "lever" => nil, **AT_FIRST },
                            hazards: %w[manual],
                            how: "Where what is sewn lies true, the whole hole goes over it; else it is unpicked first.",
                            fits: :unpicked?,
                            otherwise: RescueStep.new(does: "Back to the beginning; the same start mark.",
                                                      moves: { "lever" => nil, **AT_FIRST }, hazards: %w[wheel],
                                                      how: "Turned by hand, stitch by stitch into the holes that are there."))
      DRY = RescueStep.new(does: "Fray sealant on the cut ends, sparingly; wait until it is dry.", hazards: %w[liquid],
                           fits: :sealed?)
      CLOSED = RescueStep.new(does: "At the end close the gap by hand, through the same holes.", hazards: %w[pins])
      # What is held where nothing can be sewn over it.
      BY_HAND = RescueStep.new(does: "Draw it together by hand, through the needle holes.", hazards: %w[pins])
      TRY = RescueStep.new(does: "Measure the slit and put the button through.", asks: "slit")
      OUT = RescueStep.new(does: "Needle out, bobbin out: fluff and thread ends out of the hook.", hazards: %w[power])
      NEW_NEEDLE = RescueStep.new(does: "Fit a new needle of the same kind.", hazards: %w[power])
      RETHREAD = RescueStep.new(does: "Thread again, foot up; then two turns by hand.", hazards: %w[power wheel])
    end
  end
end
