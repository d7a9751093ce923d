# frozen_string_literal: true

# PracticeState is a sewing machine, and the fabric under it, at one moment: where every part stands, how high the
# needle is, how far its programme has come, and what has been sewn.
#
#   state = Simulation::PracticeState.new(parts: { "foot" => "carriage_foot" })
#   state.needle_down?   # => false

require_relative "../value"

module NimbleEyelet
  module Simulation
    # One hole, or one pair of a button's holes, as far as it is sewn.
    #
    # points - Array of [x, y] mm, every penetration; before - Array of the same, stitches of an attempt that lie under
    #   it
    # finished - Boolean; spoiled - String, key of what went wrong with it, or nil; begun - Boolean, the pedal was down
    # lost - Array(Integer, Integer) or nil, the stretch and stitch where a programme lost its place under the foot
    class SewnSoFar < Value.of(points: [].freeze, before: [].freeze, finished: false, spoiled: nil, begun: false,
                               lost: nil)
      def untouched? = points.empty?
    end

    # parts - Hash of machine part to its state, as a Ledger keeps it; power, foot_down - Boolean
    # angle - Integer degrees of the hand wheel, 0 where the needle is highest and 180 where it is lowest
    # stretch, stitch - Integer, the place in the hole: which stretch is sewn, and how many stitches of it
    # spent - Boolean, a programme ran to its end and stands there
    # threading - "ready", "outside" (of the tension discs), "broken" or "none"; tails - "loose" or "led"
    # carriage - "front" or "gap"; cord - Boolean, hooked over the prong; bobbin - Float mm left on it
    # needle_whole, jammed - Boolean; pieces - Boolean, of a broken needle lie about; shut - Boolean, the bobbin is out
    # of
    #   reach while fabric lies there
    # under - String or nil: "hole-0", "pair-1", what lies under the needle
    # off - Array of two Float mm, how far the mark lies off the needle; shift - the same, how far what is sewn next
    #   moved
    # turned, aside - Boolean: the fabric by half a turn, the needle out of the middle
    # wheeled - Integer degrees by hand since it was laid there; learned - Float mm, length of opening that was stored
    # sewn - Hash of what can lie under the needle to SewnSoFar
    class PracticeState < Value.of(parts: {}.freeze, power: true, foot_down: false, angle: 0, stretch: 0, stitch: 0,
                                   spent: false, threading: "ready", tails: "loose", carriage: "gap", cord: false,
                                   bobbin: 0.0, needle_whole: true, jammed: false, pieces: false, shut: false,
                                   under: nil, off: [0.0, 0.0].freeze,
                                   shift: [0.0, 0.0].freeze, turned: false, aside: false, wheeled: 0, learned: nil,
                                   sewn: {}.freeze)
      # Degrees of the wheel between which the needle is in the fabric.
      IN_FABRIC = (110..250)
      NOT_SEWN = SewnSoFar.new
      private_constant :NOT_SEWN

      def needle_down? = IN_FABRIC.cover?(angle)

      # @return [SewnSoFar] of what lies under the needle, or of anything else
      def piece(name = under) = sewn.fetch(name, NOT_SEWN)

      # @return [Boolean] whether a hole lies there that is begun and not finished
      def within_a_hole? = !under.nil? && !piece.untouched? && !piece.finished

      def button? = under.to_s.start_with?("pair")
      def at_first? = stretch.zero? && stitch.zero? && !spent

      # @return [PracticeState]
      def with_part(part, to) = with(parts: parts.merge(part => to).compact.freeze)
      def with_piece(**changes) = with(sewn: sewn.merge(under => piece.with(**changes)).freeze)

      # @return [Hash{String => String, Boolean, nil}] what hands turn within a hole, as it stands
      def turned_to = parts.slice("width", "length").merge("aside" => aside, "turned" => turned)

      # @return [PracticeState] with a needle that broke
      def snapped = with(needle_whole: false, pieces: true)

      # @param slip [String]
      # @return [PracticeState] the piece under the needle is spoiled, where anything lies there
      def spoiled(slip) = under && !piece.spoiled ? with_piece(spoiled: slip) : self
    end

    # What came of one act. state - PracticeState; seen, heard - Array<String>, keys; laid - Array of [x, y] mm
    # slips - Array<Array(String, Array<String>)>: key of SLIPS, and the parts it is about
    class Happening < Value.of(:state, seen: [], heard: [], laid: [], slips: [])
      def with_slip(key, about = []) = with(slips: slips + [[key, about]])

      # A slip that spoils what lies under the needle.
      # @return [Happening]
      def with_spoiled(key, about = []) = with(state: state.spoiled(key)).with_slip(key, about)
    end
  end
end
