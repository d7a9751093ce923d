# frozen_string_literal: true

# Spacing puts a number of holes on the run between a first and a last one, as evenly as the
# marking grid and the pinned points allow.
#
#   Placket::Spacing.even(first: Length.mm(20), last: Length.mm(540), count: 7,
#                         pins: [Length.mm(212)], grid: Length.mm(1))
#
# The ends and the pins cut the run into stretches. With both ends fixed the mean gap is fixed
# too, so the most even row is the one with the smallest sum of squared gaps. Over a stretch of
# length s, k equal gaps cost s²/k; that is convex in k, so handing out the gaps one at a time,
# each to the stretch where it saves most, gives the least sum there is.

require_relative "../measure"

module NimbleEyelet
  module Placket
    module Spacing
      # @param first [Length] from the datum
      # @param last [Length] not above first
      # @param count [Integer] number of holes
      # @param pins [Array<Length>] points that get a hole exactly, between first and last
      # @param grid [Length] step of the marks
      # @return [Array<Length>, nil] ascending places; nil when there are more fixed points than holes
      def self.even(first:, last:, count:, pins:, grid:)
        anchors = [first, last, *pins].uniq.sort
        return if anchors.size > count
        return anchors if anchors.size == 1 && count == 1

        stretches = anchors.each_cons(2).to_a
        return if stretches.empty?

        shares = hand_out(count - 1, stretches)
        stretches.zip(shares).flat_map { |stretch, gaps| inner(stretch, gaps, grid) } << last
      end

      # How many gaps each stretch gets.
      def self.hand_out(gaps, stretches)
        # Floats only choose between stretches; no place is worked out from them.
        lengths = stretches.map { |from, to| (to - from).to_f }
        shares = Array.new(lengths.size, 1)
        (gaps - shares.sum).times do
          best = lengths.each_index.max_by do |index|
            share = shares[index]
            (lengths[index]**2) / (share * (share + 1))
          end
          shares[best] += 1
        end
        shares
      end

      # The upper end of a stretch and its inner holes, on the grid; both ends stay as they are.
      def self.inner((from, to), gaps, grid)
        start = from / grid
        stride = (to - from) / grid / gaps
        (0...gaps).map { |step| step.zero? ? from : grid * (start + (stride * step)).round(half: :up) }
      end

      # @param places [Array<Length>] ascending
      # @return [Array<Length>] gaps between neighbours
      def self.gaps(places) = places.each_cons(2).map { |upper, lower| lower - upper }

      # @param gaps [Array<Length>]
      # @return [Float] Σ(gap − mean gap)², mm²
      def self.unevenness(gaps)
        return 0.0 if gaps.empty?

        figures = gaps.map(&:to_f)
        mean = figures.sum / figures.size
        figures.sum { |gap| (gap - mean)**2 }
      end
      private_class_method :hand_out, :inner
    end
  end
end
