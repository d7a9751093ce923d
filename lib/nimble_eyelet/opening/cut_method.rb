# frozen_string_literal: true

# CutMethod is how a sewn hole is opened: with what, where the blade goes, and when the cut edges are sealed.
#
#   cutting = Opening::CutMethod.new(tool: "chisel", chisel: Length.mm(12))
#   cutting.bites(Length.mm(22))   # => [Bite(from: 0 mm, to: 12 mm), Bite(from: 10 mm, to: 22 mm)]
#
# Source of the bites: n = ⌈(L − 1)/(c − 1)⌉, so that they overlap by 1 mm or more; the first and the last against the
# tacks' inner edges. A chisel longer than the slit goes over the block's edge, one bite from each end.

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  module Opening
    CUT_TOOLS = { "ripper" => "seam ripper from both ends", "chisel" => "chisel on a block",
                  "snip" => "fold and snip" }.freeze
    SEALS = { "before" => "before cutting", "after" => "after cutting", "both" => "before and after",
              "none" => "not at all" }.freeze

    # One cut of a chisel. from, to - Length from the inner edge of the first tack
    Bite = Value.of(:from, :to)

    # tool - String, key of CUT_TOOLS; seal - String, key of SEALS; chisel - Length of its edge or nil
    class CutMethod < Value.of(tool: nil, seal: nil, chisel: nil)
      LIMITS = { chisel: Typing::Limit.length(3, 60) }.freeze
      # Two bites overlap by so much at least.
      OVERLAP = Length.mm(1)
      # A snip on the fold, to let the scissors in.
      SNIP = Length.mm(3)

      def way = tool || "ripper"
      def sealed_before? = %w[before both].include?(seal || "before")
      def sealed_after? = %w[after both].include?(seal)

      # @param slit [Length]
      # @return [Boolean] whether the chisel is longer than the slit, and goes over the edge of the block
      def hangs?(slit) = !chisel.nil? && chisel > slit

      # @param slit [Length] from tack to tack
      # @return [Array<Bite>] none where nobody knows the chisel
      def bites(slit)
        return [] unless chisel
        return halves(slit) if hangs?(slit)

        count = ((slit - OVERLAP) / (chisel - OVERLAP)).ceil.clamp(1, 1000)
        step = count == 1 ? Length.zero : (slit - chisel) / (count - 1)
        Array.new(count) { |number| Bite.new(from: step * number, to: (step * number) + chisel) }
      end

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid { |check| Typing::Limit.check_all(check, "cut", self, LIMITS) }
        self
      end

      private

      # One from each end, to a little beyond the middle.
      def halves(slit)
        middle = slit / 2
        [Bite.new(from: Length.zero, to: middle + (OVERLAP / 2)), Bite.new(from: middle - (OVERLAP / 2), to: slit)]
      end
    end
  end
end
