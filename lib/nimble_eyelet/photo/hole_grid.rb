# frozen_string_literal: true

# HoleGrid is a sewn hole laid straight: grey values across and along it, in millimetres from its middle.
#
#   grid = HoleGrid.of(sight, place)
#   grid.across(-5.0, 5.0)    # mean along that stretch, for each place across
#   grid.along(0.4, 1.6)      # mean across that stretch, for each place along

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # rows - Array<Array<Float>>, grey values, a row for each place along; half_wide, half_long - Float, mm
    class HoleGrid < Value.of(:rows, :half_wide, :half_long)
      # mm between values across, and along.
      ACROSS = 0.06
      ALONG = 0.05
      # On each side of the axis, and beyond the place that was found, mm.
      HALF_WIDE = 5.4
      GRID_AROUND = 4.5

      # @param sight [CardSight]
      # @param place [HolePlace]
      # @return [HoleGrid]
      def self.of(sight, place)
        half_long = (((place.long / 2) + GRID_AROUND) / ALONG).ceil * ALONG
        rows = steps(half_long, ALONG).map do |low|
          steps(HALF_WIDE, ACROSS).map { |right| sight.grey(*place.on_card(right, low)) }
        end
        new(rows: rows, half_wide: HALF_WIDE, half_long: half_long)
      end

      def self.steps(half, step)
        count = (half / step).round
        (-count..count).map { |number| number * step }
      end
      private_class_method :steps

      # @param from [Float] mm along
      # @param to [Float] mm along
      # @return [Array<Float>] a mean for each place across
      def across(from, to) = rows[row(from)..row(to)].transpose.map { |greys| greys.sum / greys.size }

      # @param from [Float] mm across
      # @param to [Float] mm across
      # @return [Array<Float>] a mean for each place along
      def along(from, to)
        left = column(from)
        right = column(to)
        rows.map { |row| row[left..right].sum / (right - left + 1) }
      end

      # @param at [Float] mm
      # @return [Integer]
      def column(at) = ((at + half_wide) / ACROSS).round.clamp(0, rows.first.size - 1)
      def row(at) = ((at + half_long) / ALONG).round.clamp(0, rows.size - 1)

      # @param number [Float] of a column
      # @return [Float] mm
      def right(number) = (number * ACROSS) - half_wide
      def low(number) = (number * ALONG) - half_long
    end
  end
end
