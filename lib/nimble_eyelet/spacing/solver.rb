# frozen_string_literal: true

# Solver finds the most even row of holes that meets all demands, exactly: of all rows there are, the
# one with the least Σ(gap − mean gap)² plus what soft soft cost.
#
#   row = Spacing::Solver.solve(demands)   # Row, or nil when there is none
#   row.places                             # [24 mm, 118 mm, …]
#
# How. Σ(gap − mean)² is the least of Σ(gap − μ)² over all μ, so rows are first compared for one μ.
# For that there is a shortest way through layers, one a hole: the cost of a step from x to y is a
# quadratic of y − x, so for all y at once the best x is read off a lower envelope of lines, and a
# layer takes time linear in the grid (a convex hull trick over sliding windows, which are cut at
# pivots so that each half only ever grows). Where both ends are fixed, μ is known. Otherwise the
# row's span depends on μ: each row is a line over μ, and the lines on the lower envelope are visited
# from both ends inward, leaving out what cannot beat the best row so far.
#
# Before a full search a narrow band about the even row is searched; when the cost found there proves
# that no better row leaves the band, the search is over (Cauchy–Schwarz on the sum of the deviations).

require_relative "../value"
require_relative "demands"
require_relative "lattice"
require_relative "shortest_path"

module NimbleEyelet
  module Spacing
    # places - Array<Length>; cost - Rational, mm²
    class Row < Value.of(:places, :cost)
      # @return [Array<Length>]
      def gaps = places.each_cons(2).map { |upper, lower| lower - upper }
    end

    # A row as a function of μ, less the (n − 1)·μ² that all rows share.
    class Line < Value.of(:mean, :slope, :height)
      def at(mean) = height + (slope * mean)
    end

    class Solver
      # @param demands [Demands]
      # @return [Row, nil] nil when no row meets them
      def self.solve(demands)
        return if (demands.count % demands.together).positive?

        lattice = Lattice.new(demands)
        return if lattice.places.empty? || lattice.places.size > Lattice::MOST_PLACES

        new(lattice, (demands.grid.millimetres / lattice.length(1).millimetres).to_i).row
      end

      def initialize(lattice, step)
        @lattice = lattice
        @step = step
        @gaps = lattice.heads - 1
      end

      # @return [Row, nil]
      def row
        if @gaps.zero?
          visit(0r)
        elsif @lattice.first_fixed? && @lattice.last_fixed?
          visit(span_wished)
        else
          sweep
        end
        @best && Row.new(places: @lattice.holes(@best), cost: @cost * @lattice.square)
      end

      private

      # @return [Rational] μ when the row lies where it is wished
      def span_wished = Rational(@lattice.last - @lattice.first, @gaps) - @lattice.span

      # @return [Line, nil] the best row for this μ, as the line it is over μ
      def visit(mean)
        heads = ShortestPath.new(@lattice, mean, @step).heads or return
        outer = heads.each_cons(2).map { |upper, lower| lower - upper - @lattice.span }
        soft = soft_cost(heads)
        keep(heads, outer, soft)
        Line.new(mean: mean, slope: -2 * outer.sum, height: outer.sum { |gap| gap**2 } + soft)
      end

      def soft_cost(heads)
        soft = @lattice.soft_pins.sum { |place, weight| weight * (heads.map { |head| @lattice.distance(head, place) }.min**2) }
        soft + (@lattice.first_fixed? ? 0 : END_WEIGHT * ((heads.first - @lattice.first)**2)) +
          (@lattice.last_fixed? ? 0 : END_WEIGHT * ((heads.last - @lattice.last)**2))
      end

      def keep(heads, outer, soft)
        spread = outer.empty? ? 0 : outer.sum { |gap| gap**2 } - Rational(outer.sum**2, outer.size)
        cost = spread + soft
        return if @cost && (cost <=> @cost).then { |order| order.positive? || (order.zero? && (heads <=> @best) >= 0) }

        @cost = cost
        @best = heads
      end

      # Free ends: all μ that a row can have and be as good as the first one found. Ends that cost no
      # more than all of it lie within a known distance of where they are wished.
      def sweep
        visit(span_wished) or return
        away = Math.sqrt(2.0 * @cost / END_WEIGHT * 1.000001).floor
        return if away.zero? || settled?(away)

        low = visit(span_wished - Rational(away, @gaps))
        high = visit(span_wished + Rational(away, @gaps))
        between(low, high)
      end

      # Neither end has another place so near: every row as good has the span wished for.
      def settled?(away)
        [@lattice.first, @lattice.last].all? do |wished|
          from = @lattice.at_or_after(wished - away)
          @lattice.places[from...@lattice.at_or_after(wished + away + 1)] == [wished]
        end
      end

      # Lines that are lowest somewhere between two that are known.
      def between(low, high)
        return if low.mean >= high.mean || low.slope == high.slope || hopeless?(low, high)

        mean = (high.height - low.height) / Rational(low.slope - high.slope)
        return unless mean > low.mean && mean < high.mean

        found = visit(mean)
        return if found.at(mean) == low.at(mean)

        between(low, found)
        between(found, high)
      end

      # The lines' envelope is concave: between two of its points it lies above their chord.
      def hopeless?(low, high)
        rise = (high.at(high.mean) - low.at(low.mean)) / (high.mean - low.mean)
        mean = (-rise / (2 * @gaps)).clamp(low.mean, high.mean)
        low.at(low.mean) + (rise * (mean - low.mean)) + (@gaps * (mean**2)) > @cost
      end
    end
  end
end
