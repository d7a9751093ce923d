# frozen_string_literal: true

# ShortestPath is the shortest way through the layers of a lattice for one mean gap μ: one place a layer, at
# the least Σ(gap − μ)² plus soft wishes.
#
#   Spacing::ShortestPath.new(lattice, 86r, 1).heads   # [24, 110, …] or nil

require_relative "../value"
require_relative "demands"
require_relative "envelope"
require_relative "feasibility"

module NimbleEyelet
  module Spacing
    class ShortestPath
      # The first band, in steps of the grid to each side; what the cost assumed grows by when there is no row in it.
      BAND = 3
      WIDER = 9
      # Beyond this many times the first cost without a row, it is asked whether there is one at all.
      SUSPECT = 900

      # @param lattice [Lattice]
      # @param mean [Rational] μ, the gap aimed at, in the lattice's unit
      # @param step [Integer] of the grid
      def initialize(lattice, mean, step)
        @lattice = lattice
        @mean = mean
        @step = step
        @places = lattice.places
        # Costs are whole: a gap g costs scale·g² − slope·g.
        @scale = mean.denominator
        @slope = 2 * mean.numerator
        @segments = lattice.soft_pins.empty? ? nil : @places.map { |place| lattice.soft_pins.count { |wish, _| wish <= place } }
      end

      # Searches the band that every row of some cost lies in; when the row found costs no more, it is
      # the best there is, and when it costs more, its own band is searched.
      #
      # @return [Array<Integer>, nil] place of each head
      def heads
        assumed = wide + pinned_cost
        found = through(assumed)
        until found
          return if assumed > worst || (assumed > SUSPECT * wide && !possible?)

          assumed *= WIDER
          found = through(assumed)
        end
        cost_of(found) <= assumed ? found : through(cost_of(found))
      end

      private

      # What pins cost even when nothing else is in the way: the gaps are handed out one at a time, each to
      # the stretch between fixed points where it saves most.
      def pinned_cost
        points = [@lattice.first, *@lattice.pins, @lattice.last].uniq.sort
        stretches = points.each_cons(2).map { |from, to| (to - from).to_f }
        return 0 if @lattice.span.positive? || stretches.size > gaps || stretches.size < 2

        shares = Array.new(stretches.size, 1)
        (gaps - stretches.size).times do
          shares[shares.each_index.max_by { |index| (stretches[index]**2) / (shares[index] * (shares[index] + 1)) }] += 1
        end
        stretches.zip(shares).sum { |length, share| share * (((length / share) - @mean)**2) }
      end

      def wide = apart + ((BAND * @step)**2)

      def possible?
        @possible = Feasibility.new(@lattice).possible? if @possible.nil?
        @possible
      end

      # What the ends cost together when they do not lie μ apart: no row costs less.
      def apart = (discrepancy.to_f**2) / [looseness(@lattice.first_fixed?) + looseness(@lattice.last_fixed?) + gaps, 1e-9].max

      def gaps = @lattice.heads - 1
      def looseness(fixed) = fixed ? 0.0 : 1.0 / END_WEIGHT
      def discrepancy = @discrepancy ||= @lattice.last - @lattice.first - (gaps * (@mean + @lattice.span))

      # More than any row can cost.
      def worst
        reach = @places.last.abs + @lattice.first.abs + @lattice.last.abs + @mean.abs + @lattice.soft_pins.sum { |wish, _| wish.abs }
        (reach.to_f**2) * (gaps + (2 * END_WEIGHT) + @lattice.soft_pins.sum { |_, weight| weight })
      end

      def cost_of(heads)
        between = heads.each_cons(2).sum { |upper, lower| (lower - upper - @lattice.span - @mean)**2 }
        ends = [[heads.first, @lattice.first, @lattice.first_fixed?], [heads.last, @lattice.last, @lattice.last_fixed?]]
        (between + ends.sum { |place, wished, fixed| fixed ? 0 : END_WEIGHT * ((place - wished)**2) } +
          @lattice.soft_pins.sum { |wish, weight| weight * (heads.map { |head| @lattice.distance(head, wish) }.min**2) }).to_f
      end

      # Indices of the places of a layer that a row of this cost can go through; a fixed end has but one.
      def band(layer, cost)
        ends = fixed_at(layer)
        return stretch(layer, cost) if ends.empty?

        ends.uniq.size == 1 ? between(ends.first, ends.first) : (0..-1)
      end

      def fixed_at(layer)
        [(@lattice.first if layer.zero? && @lattice.first_fixed?), (@lattice.last if layer == gaps && @lattice.last_fixed?)].compact
      end

      # The deviations before the layer, each weighed by how loose it is, and those after it add up to the
      # discrepancy δ: x²/before + (δ − x)²/after is at most the cost.
      def stretch(layer, cost)
        before = looseness(@lattice.first_fixed?) + layer
        after = looseness(@lattice.last_fixed?) + gaps - layer
        middle = @lattice.first + (layer * (@mean + @lattice.span)).to_f + (discrepancy.to_f * before / (before + after))
        # Roots are rounded: a little more than needed does no harm.
        reach = (Math.sqrt(before * after / (before + after) * [cost - apart, 0].max) * 1.000001) + 1
        between(middle - reach, middle + reach)
      end

      def between(from, to) = @lattice.at_or_after(from.ceil)..(@lattice.at_or_after(to.floor + 1) - 1)

      def through(cost)
        bands = (0..gaps).map { |layer| band(layer, cost) }
        costs = begun(bands.first)
        before = bands.each_cons(2).map do |from, to|
          costs, arrows = step(costs, from, to)
          arrows
        end
        follow(finished(costs), before)
      end

      # @return [Hash{Integer => Integer}] cost by index of place
      def begun(band)
        pin = @lattice.pins.first
        band.each_with_object({}) do |index, costs|
          place = @places[index]
          next if !@lattice.open_first[index] || (pin && place > pin)

          cost = @lattice.soft_pins.sum { |wish, weight| wish <= place ? weight * (@lattice.distance(place, wish)**2) : 0 }
          cost += END_WEIGHT * ((place - @lattice.first)**2) unless @lattice.first_fixed?
          costs[index] = cost * @scale
        end
      end

      # Adds what the last hole costs; the last pin may not lie beyond it.
      def finished(costs)
        pin = @lattice.pins.last
        costs.each_with_object({}) do |(index, cost), done|
          place = @places[index]
          next if pin && place + @lattice.span < pin

          more = @lattice.soft_pins.sum { |wish, weight| wish > place ? weight * (@lattice.distance(place, wish)**2) : 0 }
          more += END_WEIGHT * ((place - @lattice.last)**2) unless @lattice.last_fixed?
          done[index] = cost + (more * @scale)
        end
      end

      # One hole further.
      #
      # @return [Array(Hash, Hash)] costs, and where each came from
      def step(costs, from, to)
        arrived = {}
        arrows = {}
        return [arrived, arrows] if costs.empty?

        targets = to.select { |index| @lattice.open[index] }
        passages(from, targets).each { |passage| relax(costs, passage, arrived, arrows) }
        [arrived, arrows]
      end

      # From which stretch between wishes to which. Each wish that lies between two holes is nearest to the
      # upper or to the lower one; the upper takes the first ones.
      #
      # @return [Array<Passage>]
      def passages(from, targets)
        return [Passage.new(sources: from, targets: targets, left: [], right: [])] unless @segments

        targets.group_by { |index| @segments[index] }.flat_map do |segment, group|
          from.group_by { |index| @segments[index] }.select { |other, _| other <= segment }.flat_map do |other, sources|
            wishes = @lattice.soft_pins[other...segment]
            (0..wishes.size).map do |number|
              Passage.new(sources: sources.first..sources.last, targets: group, left: wishes.first(number), right: wishes.drop(number))
            end
          end
        end
      end

      # left - wishes that the upper hole answers; right - those that the lower one does
      Passage = Value.of(:sources, :targets, :left, :right)
      private_constant :Passage

      def claim(wishes, place) = wishes.sum { |wish, weight| weight * (@lattice.distance(place, wish)**2) } * @scale

      # The windows of where each place may be reached from: both ends only ever move on.
      #
      # @return [Array<Array(Integer, Integer, Integer)>] target, lowest and highest source
      def windows(sources, targets)
        low = sources.first
        high = sources.first - 1
        targets.filter_map do |index|
          nearest = @lattice.nearest(@places[index])
          farthest = @lattice.farthest(@places[index])
          low += 1 while low <= sources.last && @places[low] < farthest
          high += 1 while high < sources.last && @places[high + 1] <= nearest
          [index, low, high] if low <= high
        end
      end

      def relax(costs, passage, arrived, arrows)
        windows = windows(passage.sources, passage.targets)
        lines = lines(costs, passage.left)
        keep = ->(index, cost, source) { settle(index, cost, source, passage.right, arrived, arrows) }
        until windows.empty?
          # All windows that hold the upper end of the first one: beyond it they only grow, and so they
          # do before it when taken from the last one back.
          pivot = windows.first[2]
          together = windows.shift(windows.index { |_, low, _| low > pivot } || windows.size)
          reach_down(together, pivot, lines, keep)
          reach_up(together, pivot, lines, keep)
        end
      end

      # What a source gives as a line over the place it goes to: the square of that place is common to all.
      def lines(costs, left)
        lambda do |source|
          cost = costs[source] or next
          at = @places[source] + @lattice.span
          [-2 * @scale * at, (@scale * at * at) + (@slope * at) + cost + (left.empty? ? 0 : claim(left, @places[source]))]
        end
      end

      def reach_down(windows, pivot, lines, keep)
        envelope = Envelope.new(-1)
        next_source = pivot
        windows.reverse_each do |index, low, _|
          while next_source >= low
            line = lines.call(next_source)
            envelope.add(line[0], line[1], next_source) if line
            next_source -= 1
          end
          cost, source = envelope.least(@places[index])
          keep.call(index, cost, source) if cost
        end
      end

      def reach_up(windows, pivot, lines, keep)
        envelope = Envelope.new(1)
        next_source = pivot + 1
        windows.each do |index, _, high|
          while next_source <= high
            line = lines.call(next_source)
            envelope.add(line[0], line[1], next_source) if line
            next_source += 1
          end
          cost, source = envelope.least(@places[index])
          keep.call(index, cost, source) if cost
        end
      end

      def settle(index, cost, source, right, arrived, arrows)
        place = @places[index]
        cost += (@scale * place * place) - (@slope * place) + (right.empty? ? 0 : claim(right, place))
        return if arrived[index] && arrived[index] <= cost

        arrived[index] = cost
        arrows[index] = source
      end

      # Back from the cheapest end.
      def follow(costs, before)
        index, = costs.min_by { |place, cost| [cost, place] }
        return unless index

        before.reverse.reduce([index]) { |path, arrows| [arrows.fetch(path.first)] + path }.map { |place| @places[place] }
      end
    end
  end
end
