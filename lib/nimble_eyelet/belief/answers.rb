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
      def self.chance(cuts, range, mean, deviation) = chances(cuts, range, [mean], deviation).first

      # The same for many means at once: beliefs ask for some hundreds in a row.
      #
      # @param means [Array<Float>]
      # @return [Array<Float>]
      def self.chances(cuts, range, means, deviation)
        upper = cuts[range.end] if range.end < cuts.size
        lower = cuts[range.begin - 1] if range.begin.positive?
        means.map do |mean|
          above = lower ? Normal.below((lower - mean) / deviation) : 0.0
          (upper ? Normal.below((upper - mean) / deviation) : 1.0) - above
        end
      end

      # @param careless [Float] chance that the answer is worth nothing
      # @return [Array<Float>] chance of the answer at each mean
      def self.given(cuts, range, means, deviation, careless)
        stray = careless * range.size / (cuts.size + 1)
        chances(cuts, range, means, deviation).map! { |chance| ((1 - careless) * chance) + stray }
      end
    end
  end
end
