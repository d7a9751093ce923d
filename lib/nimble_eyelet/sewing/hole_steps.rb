# frozen_string_literal: true

# HoleSteps is the row: for every hole what resets the machine, where the needle goes in, the lever, the
# sewing itself and the look at it before the next.

require_relative "../answer/sentence"
require_relative "../placket/sewn_hole"
require_relative "step"

module NimbleEyelet
  module Sewing
    class HoleSteps
      # How a hole is sewn, by machine kind; symbols stand for figures of the order.
      SEW = {
        "sensing" => ["Sew the hole.", [:in_order]],
        "memory" => ["Sew the hole: the length repeats by itself.", ["As at the test hole; no key is pressed again."]],
        "stepped" => ["Sew the hole in its four parts.",
                      ["Side, tack, side, tack, %s overall. Needle up before each turn of the selector; the same four to seven " \
                       "stitches at " \
                       "both tacks.", :overall]],
        "hand" => ["Sew the hole with zigzag.",
                   ["Tack at width %s and length 0, bead at width %s, needle down at the inner edge of bead one and " \
                    "pivot half a turn, tack, bead.",
                    :stitch_width, :manual_width]],
        "straight" => ["Sew the box, twice round.",
                       ["Begin in the middle of a long side, along lines %s apart. At each corner needle down, foot up, turn, foot " \
                        "down. " \
                        "Overlap four stitches; no reverse, tails through and knotted.", :rows]],
        "tack" => ["Sew the tack.", [:tack_programme]],
        "zigzag_tack" => ["Sew the tack with zigzag.",
                          ["Straight stitches from line to line and back, then zigzag of width %s and length %s over them, and " \
                           "three stitches at length 0.", :stitch_width, :stitch_length]],
        "round" => ["Sew the eyelet, twice round.", ["Turn the cloth evenly under the needle, along the circle of %s.", :set]]
      }.freeze

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
        does, how = SEW.fetch(way)
        how = Sentence[*how.map { |piece| figure(piece) }]
        Step.new(key: key("sew", hole), part: part, does: does, how: Sentence.list([how, *added]), symptom: (interrupted if first),
                 figures: at(hole).merge(@order.lengths, @order.length_set, @order.dials),
                 hole: Placket::SewnHole.new(at: hole.at, opening: hole.sewn ? hole.opening : @order.opening))
      end

      def way
        return "straight" if @order.straight?
        return "round" if @order.style.round?
        return @order.style.by_hand ? "zigzag_tack" : "tack" unless @order.opens?

        if @order.style.by_hand
          "hand"
        else
          @machine.kind == "plain" ? "hand" : @machine.kind
        end
      end

      def added
        found = []
        found << @order.setting.says if @order.setting.by.key == "scale" && !@order.by_hand?
        if @recipe.second_pass
          found << Sentence[@order.opens? ? "Sew both beads a second time, without tacks." : "Sew over it a second time."]
        end
        if @order.opens? && @machine.stops == "operator" && @machine.type.senses && !@order.by_hand?
          found << Sentence["Stop it yourself when the second bead meets the tack."]
        end
        found << Sentence["Even speed; guide, do not pull."]
      end

      def interrupted
        return if !@machine.lift_resets || @order.by_hand?

        "Lifting the foot half way loses the place: then back to the first part, and the whole #{@order.noun} again from its " \
          "start mark."
      end

      def figure(piece)
        case piece
        when :set then @order.setting.set
        when :overall then @order.overall
        when :stitch_width then @machine.width_mark(@recipe.stitch_width.value)
        when :manual_width then @machine.width_mark(@recipe.manual_width&.value || @recipe.stitch_width.value)
        when :stitch_length then @machine.length_mark(@recipe.stitch_length.value)
        when :tack_programme then @order.stores? ? "It repeats the length it has learned: press no key." : "It stops by itself."
        when :rows then @recipe.stitch_width.value
        when :in_order then in_order
        else piece
        end
      end

      # As it was watched; nobody is told what nobody has seen.
      def in_order
        here, there = { near: %w[near far], far: %w[far near] }[@order.beginning.begins]
        return "Tack, bead, tack, bead, as it goes by itself." unless here
        return "The straight run first, then both beads and their tacks." if @machine.straight_first

        ways = { "near" => "toward you", "far" => "away" }
        back = @machine.second_bead == "same" ? "the other bead #{ways.fetch(there)} again" : "the other bead back"
        "#{here.capitalize} tack, one bead #{ways.fetch(there)}, #{there} tack, #{back}."
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
