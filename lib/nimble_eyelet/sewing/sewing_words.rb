# frozen_string_literal: true

# SewingWords says how one hole or tack is sewn on its machine, with the figures to hit.
#
#   SewingWords.new(order).how.in(:mm)   # => "Side, tack, side, tack, 25 mm overall. …"

require_relative "../answer/sentence"

module NimbleEyelet
  module Sewing
    class SewingWords
      # How a hole is sewn where its machine has no say in it; symbols stand for figures of the order.
      SEW = {
        "hand" => ["Sew the hole with zigzag.",
                   ["End at width %s and length 0. Needle or fabric %s to one side: side at width %s and length %s. Back to the " \
                    "middle, the other end. At width 0, needle down on the slit line, half a turn. The same to that side again, " \
                    "the other side. In the middle, three stitches at width 0.",
                    :stitch_width, :aside, :manual_width, :stitch_length]],
        "straight" => ["Sew the box, twice round.",
                       ["Begin in the middle of a long side, along lines %s apart. At each corner needle down, foot up, turn, foot " \
                        "down. " \
                        "Overlap four stitches; no reverse, tails through and knotted.", :rows]],
        "tack" => ["Sew the tack.", [:tack_programme]],
        "zigzag_tack" => ["Sew the tack with zigzag.",
                          ["Straight stitches from line to line and back, then zigzag of width %s and length %s over them, and " \
                           "three stitches at length 0.", :stitch_width, :stitch_length]],
        "straight_tack" => ["Sew the tack with straight stitch.",
                            ["From line to line and back, six rows close beside each other; no reverse at the ends, tails through " \
                             "and knotted."]],
        "round" => ["Sew the eyelet, twice round.", ["Turn the fabric evenly under the needle, along the circle of %s.", :set]]
      }.freeze

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
      end

      # @return [String] what is sewn, and that it is sewn twice
      def does = [sewing.first, *@recipe.again_words(@machine.type)].join(" ")

      EVENLY = Sentence["Sew at an even speed. Guide the fabric, don't pull."]
      private_constant :EVENLY

      # @return [Sentence]
      def how
        described = Sentence[*sewing.last.map { |piece| piece.is_a?(Symbol) ? send(piece) : piece }]
        # Of what the machine goes through by itself the operator's own part comes first.
        Sentence.list([*(@order.by_hand? ? [described, *added] : [*added, described]), EVENLY])
      end

      # @return [Hash{String => String}] how the dials stand that are turned within it
      def sets
        return { "width" => stitch_width, "length" => "0" } if way == "zigzag_tack"

        sewing.equal?(SEW["hand"]) ? { "width" => manual_width, "length" => stitch_length } : {}
      end

      private

      # A programme is sewn as its kind of machine does it.
      def sewing = (@machine.type.sewing if way == "hand" && !@order.style.by_hand) || SEW.fetch(way)

      def way
        return tack unless @order.opens?
        return "straight" if @order.straight?

        @order.style.round? ? "round" : "hand"
      end

      def tack
        return "straight_tack" if @order.straight?

        @order.style.by_hand ? "zigzag_tack" : "tack"
      end

      def added
        found = []
        return found if @order.by_hand?

        if @order.setting.by.key == "scale" then found << @order.setting.says
        elsif @machine.type.partwise then found << Sentence["Sew it %s overall.", overall]
        end
        if @order.opens? && @machine.stops == "operator" && @machine.type.senses
          found << Sentence["Stop it yourself when the second side meets the end."]
        end
        found
      end

      def set = @order.setting.set
      def overall = @order.overall
      def stitch_width = @machine.width_mark(@recipe.stitch_width.value)
      def manual_width = @machine.width_mark(@recipe.manual_width&.value || @recipe.stitch_width.value)
      # A narrow bead swings about the middle: so far from it, so that what is cut stays bare.
      def aside = (@recipe.stitch_width.value - (@recipe.manual_width&.value || @recipe.stitch_width.value)) / 2
      def stitch_length = @machine.length_mark(@recipe.stitch_length.value)
      def tack_programme = @order.stores? ? "It repeats the length it has learned: press no key." : "It stops by itself."
      def rows = @recipe.stitch_width.value

      # As it was watched; nobody is told what nobody has seen.
      def in_order
        here, there = { near: %w[near far], far: %w[far near] }[@order.beginning.begins]
        return "It sews the end, one side, the other end and the other side by itself." unless here
        return "It sews a straight run first, then both sides and both ends." if @machine.straight_first

        back = @machine.second_bead == "same" ? "the other side the same way" : "the other side"
        "It sews the #{here} end, one side, the #{there} end, #{back}."
      end
    end
  end
end
