# frozen_string_literal: true

# SlackTable is what would be said of how a button goes through, at every slack that it may have: worked out once, and
# read off between its marks for each slit in question.
#
#   table = Opening::SlackTable.new(cuts, 2..3, 0.4, 0.03)
#   table.column(1.2, 17, 1.0)   # => Array of 17 chances, each for a quarter of a millimetre less

require_relative "../belief/answers"

module NimbleEyelet
  module Opening
    class SlackTable
      # Slacks between which words differ, mm.
      LEAST_SLACK = -4.0
      SLACK_STEP = 0.05
      SLACKS = 280
      ALL_SLACKS = Array.new(SLACKS) { |number| LEAST_SLACK + (number * SLACK_STEP) }.freeze
      # So many of them lie between two things that a button may want.
      WANT_STEP = 5
      private_constant :LEAST_SLACK, :SLACK_STEP, :SLACKS, :ALL_SLACKS, :WANT_STEP

      # @param cuts [Array<Float>] slacks at which the words change, mm
      # @param seen [Range<Integer>] what was said, 0 (will not pass) to 4 (slips out)
      # @param deviation [Float] mm
      # @param careless [Float] chance that it is worth nothing
      def initialize(cuts, seen, deviation, careless)
        @given = Belief::Answers.given(cuts, seen, ALL_SLACKS, deviation, careless)
      end

      # @param slack [Float] mm, for a button that wants the least
      # @param size [Integer]
      # @param chance [Float] that the slit is so
      # @return [Array<Float>] chance of what was said, for a button that wants a quarter of a millimetre more each
      def column(slack, size, chance)
        at = (slack - LEAST_SLACK) / SLACK_STEP
        place = at.floor
        share = at - place
        found = Array.new(size)
        wanted = 0
        while wanted < size
          below = (place - (wanted * WANT_STEP)).clamp(0, SLACKS - 2)
          found[wanted] = chance * (@given[below] + (share * (@given[below + 1] - @given[below])))
          wanted += 1
        end
        found
      end
    end
  end
end
