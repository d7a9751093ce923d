# frozen_string_literal: true

# StandingBody is how a button that stands half way through the slot is seen from above: where its outline lies on the
# card, column by column along the slot.
#
#   StandingBody.new("rounded", 18.0, 3.0, stand).widths(33.0)   # => { column => [upper, lower] }
#
# Source: every slice of the button is a disc on edge; the outline is the hull of all slices as they are projected.

require_relative "button_body"

module NimbleEyelet
  module PhotoReading
    class StandingBody
      SLICES = 12
      SLICE_ROUND = 40
      COLUMN = 0.5
      private_constant :SLICES, :SLICE_ROUND

      # @param shape [String] key of BUTTON_SHAPES
      # @param diameter [Float] mm
      # @param thick [Float] mm
      # @param stand [Array(Float, Float, Float)] where the camera is
      # @param turned [Boolean] whether its face looks the other way
      # @param high [Float] mm, of its middle over the card
      def initialize(shape, diameter, thick, stand, turned: false, high: 0.0)
        @slices = slices(shape, diameter / 2, thick, turned)
        @left, @top, @up = stand
        @high = high
      end

      # @param x [Float] mm, where its middle stands
      # @param y [Float] mm
      # @return [Hash{Integer => Array(Float, Float)}] upper and lower end, by number of the column
      def widths(x, y)
        seen = {}
        @slices.each do |off, radius|
          rim(radius).each_cons(2) do |(out, up), (there, then_up)|
            span(project(x + out, y + off, up), project(x + there, y + off, then_up)) do |column, at|
              widen(seen, column, at)
            end
          end
        end
        seen
      end

      private

      # How far each is from the middle, along the axis, and how large.
      def slices(shape, radius, thick, turned)
        levels = (0..SLICES).map { |number| number / SLICES.to_f }
        body = ButtonBody.of(shape, thick, radius)
        high = body.levels.last.first
        levels.map do |share|
          inset = interpolate(body.levels, share * high)
          [(turned ? 0.5 - share : share - 0.5) * high, radius - inset]
        end
      end

      def interpolate(levels, high)
        low, up = levels.each_cons(2).find { |_, (at, _)| at >= high - 1e-9 }
        share = (high - low[0]) / (up[0] - low[0])
        low[1] + ((up[1] - low[1]) * share)
      end

      # What of a disc stands above the card, from one end to the other, and back along the card.
      def rim(radius)
        return [] if radius <= @high.abs

        from = Math.asin((-@high / radius).clamp(-1.0, 1.0))
        round = (0..SLICE_ROUND).map do |number|
          turn = from + ((Math::PI - (2 * from)) * number / SLICE_ROUND)
          [radius * Math.cos(turn), [@high + (radius * Math.sin(turn)), 0.0].max]
        end
        [*round, round.first]
      end

      def project(x, y, high)
        by = @up / (@up - high)
        [@left + ((x - @left) * by), @top + ((y - @top) * by)]
      end

      # The columns between two points, and where each is met.
      def span(from, to)
        from, to = to, from if from[0] > to[0]
        (from[0] / COLUMN).ceil.upto((to[0] / COLUMN).floor) do |column|
          share = to[0] - from[0] < 1e-9 ? 0.0 : ((column * COLUMN) - from[0]) / (to[0] - from[0])
          yield column, from[1] + ((to[1] - from[1]) * share)
        end
      end

      def widen(seen, column, at)
        ends = seen[column] ||= [at, at]
        ends[0] = at if at < ends[0]
        ends[1] = at if at > ends[1]
      end
    end
  end
end
