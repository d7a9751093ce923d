# frozen_string_literal: true

# StitchCount tells how many stitches lie in a centimetre of a side, from how its lightness repeats along it.
#
#   StitchCount.of(greys, 0.05).per_cm
#
# Source: the autocorrelation has its peaks at whole numbers of periods (Yule 1927); the farther the peak, the finer the
# period, as long as it is still the same one.

require_relative "../value"
require_relative "edge_search"
require_relative "figure"

module NimbleEyelet
  module PhotoReading
    # per_cm - Float; spread - Float, stitches a centimetre
    class StitchCount < Value.of(:per_cm, :spread)
      # From one turn of the thread to the next but one, mm: the needle swings out and back.
      PERIODS = (0.45..3.0)
      # Below, it is noise.
      STITCH_LEAST = 0.12
      # Of the highest peak, what the first one has at least.
      STITCH_SHARE = 0.6
      # How many periods on it is looked.
      STITCH_FARTHEST = 10

      # At the rim of a side the thread turns at every second stitch: there it repeats most clearly.
      #
      # @param greys [Array<Float>] along the rim of one side
      # @param step [Float] mm between them
      # @return [StitchCount, nil] nil where nothing repeats
      def self.of(greys, step)
        even = level(greys, (1.2 / step).round)
        farthest = [(PERIODS.end * STITCH_FARTHEST / step).round, even.size * 2 / 3].min
        like = likeness(even, farthest)
        first, height = first_peak(like, step)
        return unless first && height > STITCH_LEAST

        period, count = followed(like, first)
        per_cm = 20.0 / (period * step)
        new(per_cm: per_cm, spread: per_cm * Figure.spread(0.12 / count / period, 0.0014))
      end

      # Without what changes slowly.
      def self.level(greys, half)
        sums = greys.inject([0.0]) { |all, grey| all << (all.last + grey) }
        greys.each_with_index.map do |grey, at|
          from = [at - half, 0].max
          to = [at + half + 1, greys.size].min
          grey - ((sums[to] - sums[from]) / (to - from))
        end
      end

      def self.likeness(greys, farthest)
        all = greys.sum { |grey| grey * grey } / greys.size
        return [1.0] if all.zero?

        (0..farthest).map do |off|
          count = greys.size - off
          (0...count).sum { |at| greys[at] * greys[at + off] } / count / all
        end
      end

      # The first that is about as high as the highest.
      def self.first_peak(like, step)
        peaks = (1...(like.size - 1)).filter_map do |at|
          before, here, after = like[at - 1, 3]
          next unless here > before && here >= after && PERIODS.cover?(at * step)

          [at + EdgeSearch.part(before, here, after), here]
        end
        most = peaks.map(&:last).max or return
        peaks.find { |_, height| height >= STITCH_SHARE * most }
      end

      # From peak to peak as long as there is one where it has to be.
      def self.followed(like, first)
        period = first
        count = 1
        2.upto(STITCH_FARTHEST) do |number|
          at = (period * number).round
          near = ([at - (period / 4).ceil, 1].max..[at + (period / 4).ceil, like.size - 2].min)
          best = near.max_by { |place| like[place] } or break
          break if like[best] < STITCH_LEAST / 2 || best == near.begin || best == near.end

          period = (best + EdgeSearch.part(*like[best - 1, 3])) / number
          count = number
        end
        [period, count]
      end
      private_class_method :level, :likeness, :first_peak, :followed
    end
  end
end
