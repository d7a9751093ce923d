# frozen_string_literal: true

# Answers are words in order, from badly one way over right to badly the other, as places between cuts.
# Somebody who looks is careless now and then, and then any word is as likely as another.
#
#   Belief::Answers.chance([-1.0, -0.5, 0.5, 1.0], 2..2, 0.1, 0.2)   # that 0.1 is seen as right

require_relative "normal"

module NimbleEyelet
  module Belief
    # An answer or a reading in so many is careless.
    CARELESS = 0.03

    module Answers
      # @param cuts [Array<Float>] ascending
      # @param range [Range<Integer>] of places: 0 is below the first cut
      # @param mean [Float]
      # @param deviation [Float]
      # @return [Float] chance that what is there lies in these places
      def self.chance(cuts, range, mean, deviation)
        upper = range.end < cuts.size ? Normal.below((cuts[range.end] - mean) / deviation) : 1.0
        lower = range.begin.positive? ? Normal.below((cuts[range.begin - 1] - mean) / deviation) : 0.0
        upper - lower
      end

      # The same for many means at once: beliefs ask for some hundreds in a row.
      #
      # @param means [Array<Float>]
      # @return [Array<Float>]
      def self.chances(cuts, range, means, deviation)
        upper = cuts[range.end] if range.end < cuts.size
        lower = cuts[range.begin - 1] if range.begin.positive?
        means.map do |mean|
          (upper ? 0.5 * Math.erfc(-((upper - mean) / deviation) * Normal::HALF_ROOT) : 1.0) -
            (lower ? 0.5 * Math.erfc(-((lower - mean) / deviation) * Normal::HALF_ROOT) : 0.0)
        end
      end

      # @param means [Array<Float>]
      # @return [Array<Float>] chances of the answer, each as {given} says
      def self.all_given(cuts, range, means, deviation, careless)
        stray = careless * range.size / (cuts.size + 1)
        chances(cuts, range, means, deviation).map! { |chance| ((1 - careless) * chance) + stray }
      end

      # @param cuts [Array<Float>]
      # @param range [Range<Integer>]
      # @param careless [Float] chance that the answer is worth nothing
      # @return [Float] chance of the answer
      def self.given(cuts, range, mean, deviation, careless)
        ((1 - careless) * chance(cuts, range, mean, deviation)) + (careless * range.size / (cuts.size + 1))
      end
    end
  end
end
