# frozen_string_literal: true

# Rescue is what hands do when something went wrong, as far as several mishaps share it: switching off, steaming, threading anew.
#
#   Sewing::Rescue::UP.does   # => "Turn the wheel toward you until the needle is up."

require_relative "../machine/ledger"
require_relative "../value"

module NimbleEyelet
  module Sewing
    # does - String; how - String or nil; hazards - Array<String>, keys of HAZARDS
    # moves - Hash of machine part to its state after it
    # asks - String or nil, "slit" when what came of it is measured with this step
    RescueStep = Value.of(:does, how: nil, hazards: [], moves: {}, asks: nil)

    module Rescue
      SEWN = %w[sew test-sew].freeze
      # From the sewing of a hole until it is opened.
      UNCUT = %w[look cord tails tear film seal dry].freeze
      CUT = %w[punch open].freeze
      # Everything of a hole that is sewn over again.
      HOLE = %w[reset place lever sew look].freeze

      # How the dials stand where somebody mended by zigzag: nobody was told a width. By hand or by zigzag, nobody knows at all.
      TURNED = { "selector" => "zigzag", "width" => Ledger::UNKNOWN, "length" => Ledger::UNKNOWN }.freeze
      MENDED = TURNED.transform_values { Ledger::UNKNOWN }.freeze

      # A programme that was interrupted stands somewhere in its middle.
      INTERRUPTED = { "cycle" => "in its middle" }.freeze
      AT_FIRST = { "cycle" => nil }.freeze

      SWITCH_OFF = RescueStep.new(does: "Foot off the pedal. Switch the machine off.", hazards: %w[power])
      UP = RescueStep.new(does: "Turn the wheel toward you until the needle is up.", hazards: %w[wheel])
      CHECK = RescueStep.new(does: "Sew a scrap of the same layers before the garment.", hazards: %w[wheel])
      STEAM = RescueStep.new(does: "Steam the place, lay a fresh stay, and mark it anew.", hazards: %w[iron],
                             how: "Cloth that takes no iron is smoothed with the nail, from both sides.")
      UNPICK = RescueStep.new(does: "Unpick it: cut the bobbin thread on the back at every third stitch, draw the top thread out.",
                              how: "Leather and coated cloth are never unpicked: their holes stay.", hazards: %w[blade])
      FINISH = [RescueStep.new(does: "Needle back into its last hole, by hand; foot down.",
                               how: "The cloth has not moved: that is what counts.",
                               hazards: %w[wheel]),
                RescueStep.new(does: "Finish by plain zigzag: the bead's width and length, then a tack at length 0.",
                               moves: TURNED, hazards: %w[wheel])].freeze
      ANEW = RescueStep.new(does: "Back to the first part; the same start mark.", moves: { "lever" => nil, **AT_FIRST },
                            hazards: %w[manual],
                            how: "Where what is sewn lies true, the whole hole goes over it; else it is unpicked first.")
      DRY = RescueStep.new(does: "Fray liquid on the cut ends, sparingly; wait until it is dry.", hazards: %w[liquid])
      TRY = RescueStep.new(does: "Measure the slit and put the button through.", asks: "slit")
      OUT = RescueStep.new(does: "Needle out, bobbin out: fluff and thread ends out of the hook.", hazards: %w[power])
      NEW_NEEDLE = RescueStep.new(does: "Fit a new needle of the same kind.", hazards: %w[power])
      RETHREAD = RescueStep.new(does: "Thread anew, foot up; then two turns by hand.", hazards: %w[power wheel])
    end
  end
end
