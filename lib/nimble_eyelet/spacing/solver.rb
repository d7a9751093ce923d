# frozen_string_literal: true

# Solver finds the most even row of holes that meets all demands, exactly: of all rows there are, the one with the
# least Σ(gap − mean gap)² plus what ends and wishes cost.
#
#   row = Spacing::Solver.solve(demands)   # Row, or nil when there is none
#   row.places                             # [24 mm, 118 mm, …]
#   row.short_of                           # 0 mm²: proven to be the best
#
# How. Whether there is a row at all is known first (Reach). Where an end is only wished for, the nearest pair of ends
# is found (EndPairs) and the best row between those two (for given ends the mean gap μ is known, and Σ(gap − μ)² is
# least along a shortest way through layers, one a hole). No better row costs more than that one, which leaves few
# other ends, and narrow bands of places for each hole (Bands). Over those μ is swept: each row is a line over μ, and
# the lines on the lower envelope are visited from both ends inward, leaving out what cannot beat the best row so far.
#
# SearchBudget is counted. When a budget is spent the best row found is returned, with how much better another could be.

require_relative "../value"
require_relative "bands"
require_relative "demands"
require_relative "end_pairs"
require_relative "lattice"
require_relative "feasibility"
require_relative "shortest_path"
require_relative "search_budget"

module NimbleEyelet
  module Spacing
    # places - Array<Length>; cost - Rational, mm²; short_of - Rational, mm², no row costs less than so much below
    class Row < Value.of(:places, :cost, short_of: 0r)
      # @return [Array<Length>]
      def gaps = places.each_cons(2).map { |upper, lower| lower - upper }

      # @return [Boolean] whether no other row can be better
      def proven? = short_of.zero?
    end

    # A row as a function of μ, less the (n − 1)·μ² that all rows share.
    class Line < Value.of(:mean, :slope, :height)
      def at(mean) = height + (slope * mean)
    end

    class Solver
      # Places looked at, over all layers of all ways tried. The largest row there is (60 holes on three metres, marks
      # every half millimetre) has 180,000.
      BUDGET = 400_000
      # The first bands, in steps of the grid to each side, and what the cost assumed grows by when no row is in them.
      BAND = 3
      WIDER = 4

      # @param demands [Demands]
      # @param budget [Integer]
      # @return [Row, nil] nil when no row meets them
      def self.solve(demands, budget: BUDGET)
        return if (demands.count % demands.together).positive?

        new(Lattice.new(demands), SearchBudget.new(budget)).row
      end

      # @param lattice [Lattice]
      # @param work [SearchBudget]
      def initialize(lattice, work)
        @lattice = lattice
        @track = lattice.track
        @gaps = lattice.gaps
        @work = work
        @reach = Feasibility.new(@track, work: work)
      end

      # @return [Row, nil]
      def row
        return unless @reach.possible?(@gaps)

        @gaps.zero? ? alone : search
        @best && Row.new(places: @lattice.holes(@best), cost: @cost * @lattice.square,
                         short_of: [@cost - (@floor || @cost), 0r].max * @lattice.square)
      end

      private

      def alone
        fixed = @track.first || @track.last
        visit(0r, [[fixed ? [fixed, fixed] : [@track.low, @track.high]]])
      end

      def search
        pairs = EndPairs.new(@lattice, @reach, @work)
        pair = pairs.nearest or return
        found = between(pair.first..pair.first, pair.last..pair.last)
        return if found == :best && @track.first && @track.last

        starts = pairs.starts(@cost)
        ends = ends(starts)
        return if found == :best && starts.one? && ends.one?

        @bands = Bands.new(@lattice, @reach, starts: starts, ends: ends).within(@cost - pairs.least)
        @work.left? ? sweep(starts, ends) : @floor = pairs.least
      end

      # A row from one end to another, and whether it is the best of those: it is looked for in the bands that rows of
      # some cost lie in, and when it costs no more than that, no row outside them is better.
      def between(starts, ends)
        bands = Bands.new(@lattice, @reach, starts: starts, ends: ends)
        assumed = (BAND * @track.step)**2
        assumed *= WIDER until visit(mean(starts.first, ends.first),
                                     bands.within(bands.least + assumed)) || assumed > worst
        :best if @inner <= bands.least + assumed
      end

      def mean(first, last) = Rational(last - first, @gaps) - @track.span

      # Where the last head of a row that is as good can be.
      def ends(starts)
        return @track.last..@track.last if @track.last

        away = Math.sqrt(Float(@cost) / END_WEIGHT).floor + 1
        near = [@lattice.last - away, starts.first + (@gaps * @track.least), @track.low].max
        far = [@lattice.last + away, (starts.last + (@gaps * @track.most) if @track.most), @track.high].compact.min
        near..[far, near].max
      end

      # More than any row can cost.
      def worst = ((@track.high - @track.low).abs**2) * 4 * (@gaps + @lattice.soft_pins.sum { |_, weight| weight })

      # @return [Line, nil] the best row for this μ, as the line it is over μ
      def visit(mean, bands = @bands)
        heads = ShortestPath.new(@lattice, mean, @work).through(bands) or return
        outer = heads.each_cons(2).map { |upper, lower| lower - upper - @track.span }
        ends = cost_of_ends(heads)
        wishes = cost_of_wishes(heads)
        squares = outer.sum { |gap| gap**2 }
        keep(heads, (outer.empty? ? 0 : squares - Rational(outer.sum**2, outer.size)) + wishes, ends)
        Line.new(mean: mean, slope: -2 * outer.sum, height: squares + wishes + ends)
      end

      def cost_of_ends(heads)
        first = @track.first ? 0 : (heads.first - @lattice.first)**2
        last = @track.last ? 0 : (heads.last - @lattice.last)**2
        END_WEIGHT * (first + last)
      end

      def cost_of_wishes(heads)
        @lattice.soft_pins.sum { |place, weight| weight * (heads.map { |head| @lattice.distance(head, place) }.min**2) }
      end

      # inner - what the row costs without its ends
      def keep(heads, inner, ends)
        cost = inner + ends
        return if @cost && (cost <=> @cost).then { |order| order.positive? || (order.zero? && (heads <=> @best) >= 0) }

        @cost = cost
        @inner = inner
        @best = heads
      end

      # All μ that a row with such ends can have.
      def sweep(starts, ends)
        means = [mean(starts.last, ends.first), mean(starts.first, ends.last)].uniq
        lines = means.filter_map { |mean| visit(mean) }
        lowest(*lines) if lines.size == 2
      end

      # Lines that are lowest somewhere between two that are known.
      def lowest(low, high)
        return if low.mean >= high.mean || low.slope == high.slope || (least = least(low, high)) > @cost
        return @floor = [@floor, least].compact.min unless @work.left?

        mean = (high.height - low.height) / Rational(low.slope - high.slope)
        return unless mean > low.mean && mean < high.mean

        found = visit(mean)
        return if found.at(mean) == low.at(mean)

        lowest(low, found)
        lowest(found, high)
      end

      # What a row between costs at least. The lines' envelope is concave: between two of its points it lies above
      # their chord.
      def least(low, high)
        rise = (high.at(high.mean) - low.at(low.mean)) / (high.mean - low.mean)
        mean = (-rise / (2 * @gaps)).clamp(low.mean, high.mean)
        low.at(low.mean) + (rise * (mean - low.mean)) + (@gaps * (mean**2))
      end
    end
  end
end
