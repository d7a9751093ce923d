# frozen_string_literal: true

# Normal is the normal distribution, and the mixture of a likely and a wide one that every prior here is:
# a truth far outside what was expected is still reached.
#
#   Belief::Normal.below(1.96)                                       # => 0.975
#   Belief::Normal.prior([-0.1, 0.0, 0.1], mean: 0, deviation: 0.2, wide: 1)   # weights that add up to 1

module NimbleEyelet
  module Belief
    # Share of every prior that is wide.
    WIDE_SHARE = 0.05
    # And of one that was carried over from something alike.
    CARRIED_WIDE_SHARE = 0.01

    module Normal
      HALF_ROOT = Math.sqrt(0.5)
      ROOT_TWO_PI = Math.sqrt(2 * Math::PI)

      # @param z [Float] in deviations
      # @return [Float] share below. Source: Φ(z) = erfc(−z/√2) / 2
      def self.below(z) = 0.5 * Math.erfc(-z * HALF_ROOT)

      # @param distance [Float] from the mean
      # @param deviation [Float] more than 0
      # @return [Float]
      def self.density(distance, deviation)
        z = distance / deviation
        Math.exp(-0.5 * z * z) / (deviation * ROOT_TWO_PI)
      end

      # @param lattice [Array<Float>]
      # @param mean [Float]
      # @param deviation [Float] of the likely part; wide - of the rest, around the same mean
      # @return [Array<Float>] weights, together 1
      def self.prior(lattice, mean:, deviation:, wide:, share: WIDE_SHARE)
        normalised(lattice.map do |at|
          ((1 - share) * density(at - mean, deviation)) + (share * density(at - mean, wide))
        end)
      end

      # @param weights [Array<Float>] not all 0
      # @return [Array<Float>] in proportion, together 1
      def self.normalised(weights)
        all = weights.sum
        weights.map { |weight| weight / all }
      end

      # @param weights [Array<Float>] of cells
      # @param size [Integer]
      # @param number_of [Array<Integer>] of each cell, below size
      # @return [Array<Float>] sums of the weights, by that number
      def self.margin(weights, size, number_of)
        found = Array.new(size, 0.0)
        weights.each_with_index { |weight, cell| found[number_of[cell]] += weight }
        found
      end

      # @param lattice [Array<Float>]
      # @param weights [Array<Float>] together 1
      # @return [Array(Float, Float)] mean and variance
      def self.moments(lattice, weights)
        mean = lattice.each_index.sum { |i| lattice[i] * weights[i] }
        [mean, lattice.each_index.sum { |i| weights[i] * ((lattice[i] - mean)**2) }]
      end
    end
  end
end
