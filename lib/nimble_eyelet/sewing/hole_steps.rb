# frozen_string_literal: true

# HoleSteps is the row: for every hole what resets the machine, where the needle goes in, the lever, the
# sewing itself and the look at it before the next.

require_relative "../answer/sentence"
require_relative "../placket/sewn_hole"
require_relative "sewing_words"
require_relative "step"

module NimbleEyelet
  module Sewing
    class HoleSteps
      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
      end

      # @return [Array<Step>]
      def steps = @order.holes.each_with_index.flat_map { |hole, index| hole(hole, first: index.zero?) }

      private

      def hole(hole, first:)
        part = "#{@order.noun.capitalize} #{hole.number} of #{@order.count}"
        [reset(hole, part, first), place(hole, part), lever(hole, part), sew(hole, part, first), look(hole, part),
         cord(hole, part)].compact
      end

      def key(name, hole) = Step.key_at(name, hole.at)
      def at(hole) = { "hole.at" => hole.at }

      # After the test hole the machine stands at the first part already.
      def reset(hole, part, first)
        return if first || !@order.reset?

        Step.new(key: key("reset", hole), part: part, does: "Back to the first part: #{@machine.reset_words}.", figures: at(hole),
                 moves: @order.clamped? ? { "lever" => nil } : {},
                 symptom: "Forgotten, this #{@order.noun} starts in the middle of the cycle.")
      end

      def place(hole, part)
        Step.new(key: key("place", hole), part: part, figures: at(hole).merge(started(hole)), does: onto(hole), how: laid(hole),
                 hazards: %w[wheel])
      end

      def started(hole)
        hole.starts.each_with_object({}) do |start, figures|
          suffix = hole.starts.one? ? "" : ".#{start.at}"
          figures["hole.start#{suffix}"] = start.along
          figures["hole.start_edge#{suffix}"] = start.from_edge
        end
      end

      def onto(hole)
        one, other = hole.starts
        unless other
          return Sentence["Needle onto the start mark, by hand: %s from the top edge, %s from the finished " \
                          "edge#{where(one)}.", one.along,
                          one.from_edge]
        end

        Sentence["Needle onto the start mark, by hand: where it begins at the #{one.at} end %s from the top edge, %s from the " \
                 "finished edge; " \
                 "at the #{other.at} end %s and %s.", one.along, one.from_edge, other.along, other.from_edge]
      end

      def where(start) = start.at == "middle" ? ", in the middle of a long side" : ", at the #{start.at} end"

      def laid(hole)
        side = @order.beginning.side
        [("Carriage against its front stop, no gap." if @order.clamped?),
         "Right side up, #{@order.beginning.away(hole)} away from you.",
         ("The #{side} bead comes first." if side && !@order.straight? && !@order.style.round?),
         (if @order.corded?
            "Cord: the loop over the prong at the #{hole.vertical? ? 'upper' : 'outer'} end, both tails at the other."
          end),
         tails].compact.join(" ")
      end

      def tails
        return "Top tail through the foot, both tails under it and to the side." unless @order.tails == "held"

        "Hold the top tail to the side for the first stitches, then let go."
      end

      def lever(hole, part)
        return unless @order.clamped?

        Step.new(key: key("lever", hole), part: part, does: "Foot down, then the sensing lever down and touching: " \
                                                            "looked at last.", figures: at(hole),
                 moves: { "lever" => "down" }, symptom: "Left up, the machine beeps and stops, or runs on past the tack.")
      end

      def sew(hole, part, first)
        words = SewingWords.new(@order)
        Step.new(key: key("sew", hole), part: part, does: words.does, how: words.how, symptom: (interrupted if first),
                 figures: at(hole).merge(@order.lengths, @order.length_set, @order.sewn_by),
                 hole: Placket::SewnHole.new(at: hole.at, opening: hole.sewn ? hole.opening : @order.opening))
      end

      def interrupted
        return if !@machine.lift_resets || @order.by_hand?

        "Lifting the foot half way loses the place: then back to the first part, and the whole #{@order.noun} again from its " \
          "start mark."
      end

      def look(hole, part)
        Step.new(key: key("look", hole), part: part, figures: at(hole).merge(@order.slit), hazards: %w[wheel],
                 does: "Needle up by hand, foot up, draw the cloth out and cut the tails to a hand's width.",
                 how: Sentence["Look before the next: #{@order.a_cut_open} of %s, #{sewn_well}, nothing showing through. " \
                               "Log it if it differs.", @order.opening])
      end

      def sewn_well
        return "lying over both ends of what it holds" unless @order.opens?

        @order.circle? ? "covered evenly all round" : "both beads alike"
      end

      def cord(hole, part)
        return unless @order.corded?

        Step.new(key: key("cord", hole), part: part, does: "Pull the loop of the cord closed under the tack.", figures: at(hole),
                 how: "Its tails go to the back with a needle, are knotted and trimmed.")
      end
    end
  end
end
