# frozen_string_literal: true

# ShortestPath is the shortest way through the layers of a lattice for one mean gap μ: one head a layer, at the least
# Σ(gap − μ)² plus what ends and wishes cost, within the bands it is given.
#
#   Spacing::ShortestPath.new(lattice, 86r, work).through([[[24, 24]], [[90, 131]], …])   # [24, 110, …] or nil
#
# A step from x to y costs a quadratic of y − x, so that for all y at once the best x is read off a lower envelope of
# lines. Where gaps may not be wider than so much, the sources of a target are a window that slides; windows are cut
# at pivots, so that each half only ever grows. Either way a layer takes time linear in its heads.

require_relative "demands"
require_relative "envelope"

module NimbleEyelet
  module Spacing
    class ShortestPath
      # @param lattice [Lattice]
      # @param mean [Rational] μ, the gap aimed at, in the lattice's unit
      # @param work [SearchBudget]
      def initialize(lattice, mean, work)
        @lattice = lattice
        @track = lattice.track
        @span = @track.span
        @work = work
        @sewn = @track.sewn.any?
        @wishes = lattice.soft_pins
        # Costs are whole: a gap g costs scale·g² − slope·g.
        @scale = mean.denominator
        @slope = 2 * mean.numerator
      end

      # @param bands [Array<Array<Array(Numeric, Numeric)>>] for each layer stretches of places, in order, apart
      # @return [Array<Integer>, nil] place of each head
      def through(bands)
        @places = picked(@lattice.starts, bands.first)
        @costs = @places.map { |place| begun(place) }
        trail = bands.drop(1).map do |band|
          return nil if @places.empty?

          from = @places
          [from, step(picked(@lattice.open, band))]
        end
        follow(trail)
      end

      private

      def picked(places, band)
        band.flat_map do |low, high|
          from = places.bsearch_index { |place| place >= low } || places.size
          places[from...(places.bsearch_index { |place| place > high } || places.size)]
        end
      end

      # A wish is answered by the hole nearest to it: those above the first hole by the first, those below the last by
      # the last, one between two holes by either.
      def begun(place)
        cost = @lattice.first_fixed? ? 0 : END_WEIGHT * ((place - @lattice.first)**2) * @scale
        @wishes.empty? ? cost : cost + claim(@wishes.select { |wish, _| wish <= place }, place)
      end

      def finished(place, cost)
        cost += END_WEIGHT * ((place - @lattice.last)**2) * @scale unless @lattice.last_fixed?
        @wishes.empty? ? cost : cost + claim(@wishes.select { |wish, _| wish > place }, place)
      end

      def claim(wishes, place) = wishes.sum { |wish, weight| weight * (@lattice.distance(place, wish)**2) } * @scale

      # One hole further.
      #
      # @return [Array<Integer>] for each place arrived at, the position of the one before
      def step(targets)
        @work.spend(@places.size + targets.size)
        @targets = targets
        @heights = @places.zip(@costs).map { |place, cost| height(place + @span) + cost }
        @arrived = Array.new(targets.size)
        @arrows = Array.new(targets.size)
        passages { |*passage| relax(*passage) }
        reached = targets.each_index.select { |index| @arrived[index] }
        @places = targets.values_at(*reached)
        @costs = @arrived.values_at(*reached)
        @arrows.values_at(*reached)
      end

      # What a gap from here costs at 0, less what all gaps share.
      def height(place) = ((@scale * place) + @slope) * place

      # From which sources to which targets: no pin is passed over, and each wish that lies between two holes is
      # answered by the upper or by the lower one; the upper takes the first ones.
      def passages
        stretches(@targets, @track.pins.map(&:succ) + @wishes.map(&:first)).each do |targets|
          least = passed(@targets[targets.first])
          segment = segment(@targets[targets.first])
          stretches(@places, @wishes.map(&:first) + [least].compact).each do |sources|
            place = @places[sources.first]
            next if (least && place < least) || (other = segment(place)) > segment

            wishes = @wishes[other...segment]
            (0..wishes.size).each { |upper| yield sources, targets, wishes.first(upper), wishes.drop(upper) }
          end
        end
      end

      def segment(place) = @wishes.count { |wish, _| wish <= place }

      # The head before a place is not above this: the pin last passed has a hole.
      def passed(place)
        pin = @track.pins.bsearch_index { |other| other >= place } || @track.pins.size
        @track.pins[pin - 1] - @span if pin.positive?
      end

      # Positions in a list of places, cut at some numbers.
      def stretches(places, cuts)
        return places.empty? ? [] : [0..(places.size - 1)] if cuts.empty?

        at = cuts.map { |cut| places.bsearch_index { |place| place >= cut } || places.size }
        [0, *at, places.size].uniq.sort.each_cons(2).map { |from, to| from..(to - 1) }
      end

      def relax(sources, targets, left, right)
        @left = left
        @right = right
        @track.most ? relax_windows(sources, targets) : relax_growing(sources, targets)
      end

      def add(envelope, source)
        place = @places[source]
        height = @heights[source]
        height += claim(@left, place) unless @left.empty?
        envelope.add(-2 * @scale * (place + @span), height, source)
      end

      def relax_growing(sources, targets)
        envelope = Envelope.new(1)
        source = sources.first
        last = sources.last
        targets.each do |target|
          nearest = nearest(@targets[target])
          while source <= last && @places[source] <= nearest
            add(envelope, source)
            source += 1
          end
          settle(target, envelope)
        end
      end

      # How far down the head before a place may lie: the least gap above it, or where both are sewn, where it is.
      def nearest(place)
        usual = place - @track.least
        return usual unless @sewn && @track.sewn?(place) && (before = @track.pins.take_while do |pin|
          pin < place
        end.last) && @track.sewn?(before)

        [usual, before].max
      end

      def relax_windows(sources, targets)
        lows, highs = windows(sources, targets)
        first = targets.first
        while first <= targets.last
          # All windows that hold the upper end of the first one: beyond it they only grow, and so they do before it
          # when taken from the last one back.
          pivot = highs[first - targets.first]
          last = first
          last += 1 while last < targets.last && lows[last + 1 - targets.first] <= pivot
          reach_down(first..last, pivot, targets.first, lows)
          reach_up(first..last, pivot, targets.first, highs)
          first = last + 1
        end
      end

      # @return [Array(Array<Integer>, Array<Integer>)] for each target its lowest and its highest source; both only
      #   ever move on, and where there is none, the highest lies below the lowest
      def windows(sources, targets)
        low = sources.first
        high = low - 1
        last = sources.last
        lows = []
        highs = []
        targets.each do |target|
          place = @targets[target]
          nearest = nearest(place)
          farthest = place - @track.most
          low += 1 while low <= last && @places[low] < farthest
          high += 1 while high < last && @places[high + 1] <= nearest
          lows << low
          highs << high
        end
        [lows, highs]
      end

      def reach_down(targets, pivot, offset, lows)
        envelope = Envelope.new(-1)
        source = pivot
        targets.last.downto(targets.first) do |target|
          low = lows[target - offset]
          while source >= low
            add(envelope, source)
            source -= 1
          end
          settle(target, envelope)
        end
      end

      def reach_up(targets, pivot, offset, highs)
        envelope = Envelope.new(1)
        source = pivot + 1
        targets.each do |target|
          high = highs[target - offset]
          while source <= high
            add(envelope, source)
            source += 1
          end
          settle(target, envelope)
        end
      end

      def settle(target, envelope)
        place = @targets[target]
        cost = envelope.least(place) or return
        cost += ((@scale * place) - @slope) * place
        cost += claim(@right, place) unless @right.empty?
        return if (known = @arrived[target]) && known <= cost

        @arrived[target] = cost
        @arrows[target] = envelope.name
      end

      # Back from the cheapest end; the last pin may not lie beyond it.
      def follow(trail)
        pin = @track.pins.last
        ends = @places.each_index.reject { |index| pin && @places[index] + @span < pin }
        last = ends.min_by { |index| [finished(@places[index], @costs[index]), index] } or return
        trail.reverse.reduce([[@places[last]], last]) do |(heads, index), (places, arrows)|
          index = arrows[index]
          [[places[index], *heads], index]
        end.first
      end
    end
  end
end
