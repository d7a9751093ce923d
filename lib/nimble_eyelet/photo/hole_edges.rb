# frozen_string_literal: true

# HoleEdges is where the two sides of a sewn hole begin and end, and where its stitches do along it.
#
#   edges = HoleEdges.of(grid, half: 6.0, soft: 0.05)
#   edges.sides   # => [left, inner left, inner right, right], mm from the axis

require_relative "../value"
require_relative "edge_search"
require_relative "hole_grid"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    # sides - Array of four Floats, mm across; ends - Array(Float, Float), mm along
    class HoleEdges < Value.of(:sides, :ends)
      # Of the greatest change at an end, what the outermost one has at least; and grey values a step.
      RIM_LEAST = 0.35
      FLOOR = 0.02
      # Of what thread differs from fabric, what its rim does: there it covers less.
      RIM_SHARE = 0.3
      # Grey values that thread differs from fabric by, at least.
      RIM_FAINTEST = 5
      # From the axis, where there is thread on every hole, mm.
      SIDE = (0.8..1.4)
      # A hole that is narrower was not seen right, mm.
      NARROWEST = 1.2
      # An end is smoothed over so much of its length, mm.
      RIM_SMOOTH = 0.3
      # How much of the fabric on either side is looked at, in steps across.
      FABRIC = 12

      # @param grid [HoleGrid]
      # @param half [Float] mm from the middle, where both sides are seen and no end is
      # @param soft [Float] mm that the picture blurs
      # @return [HoleEdges]
      # @raise [Unreadable]
      def self.of(grid, half:, soft:) = EdgesSearch.new(grid, half, soft).found

      class EdgesSearch
        def initialize(grid, half, soft)
          @grid = grid
          @half = half
          @soft = soft
        end

        def found
          sides = sides()
          HoleEdges.new(sides: sides, ends: ends(sides))
        end

        private

        def unclear = raise(Unreadable.for(:hole_unclear))
        def smooth(step) = [(@soft / step).round, 2].max

        # Across: where each side begins and ends, from the left.
        def sides
          greys = @grid.across(-@half, @half)
          left, right = outer(greys)
          unclear unless left && right && (right - left) * HoleGrid::ACROSS > NARROWEST

          slopes = EdgeSearch.slopes(greys, smooth(HoleGrid::ACROSS))
          [left, *inner(slopes, left, right), right].map { |number| @grid.right(number) }
        end

        # Where it is no fabric any more, from both sides.
        def outer(greys)
          level = (greys.first(FABRIC) + greys.last(FABRIC)).sum / (2 * FABRIC)
          off = greys.map { |grey| (grey - level).abs }
          stitched = [[-SIDE.end, -SIDE.begin], [SIDE.begin, SIDE.end]].map do |from, to|
            off[@grid.column(from)..@grid.column(to)].then { |some| some.sum / some.size }
          end
          unclear if stitched.min < RIM_FAINTEST

          left = EdgeSearch.crossing(off, stitched[0] * RIM_SHARE)
          right = EdgeSearch.crossing(off.reverse, stitched[1] * RIM_SHARE)
          [left, right && (greys.size - 1 - right)]
        end

        # About the middle the greatest change down and the greatest change up: the slit lies between.
        def inner(slopes, left, right)
          apart = (right - left) * 0.2
          within = EdgeSearch.peaks(slopes, 0).select { |at, _| at.between?(left + apart, right - apart) }
          pairs = within.combination(2).select do |(one, first), (other, second)|
            other > one && (first.positive? ^ second.positive?)
          end
          best = pairs.max_by do |(one, first), (other, second)|
            [first.abs, second.abs].min / (1 + ((one + other - left - right).abs / (right - left)))
          end
          best ? best.map(&:first) : unclear
        end

        # Along: the outermost changes.
        def ends(sides)
          greys = @grid.along(sides.first * 0.8, sides.last * 0.8)
          slopes = EdgeSearch.slopes(greys, [(RIM_SMOOTH / HoleGrid::ALONG).round, smooth(HoleGrid::ALONG)].max)
          upper, lower = [slopes.reverse, slopes].map { |line| outermost(line) }
          unclear unless upper && lower

          [@grid.low(slopes.size - 1 - upper), @grid.low(lower)]
        end

        def outermost(slopes)
          half = slopes.size / 2
          beyond = slopes.each_with_index.map { |slope, at| at > half ? slope : 0.0 }
          EdgeSearch.outermost(beyond, least: RIM_LEAST, floor: FLOOR)&.first
        end
      end
      private_constant :EdgesSearch
    end
  end
end
