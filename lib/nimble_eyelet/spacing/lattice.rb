# frozen_string_literal: true

# Lattice is a set of demands in whole numbers: every place the first hole of a cluster (its head) may have, counted
# in a unit that holds the marking grid and all fixed points exactly. Searches work on it; places go back to lengths.
#
#   lattice = Spacing::Lattice.new(demands)
#   lattice.open        # [24, 25, …]
#   lattice.length(516) # 516 mm when the unit is 1 mm

require_relative "../length/length"
require_relative "track"

module NimbleEyelet
  module Spacing
    class Lattice
      # gaps - Integer, from head to head; first, last - Integer, of a head, fixed or wished for
      # soft_pins - Array of [place, weight]; track - Track
      attr_reader :gaps, :first, :last, :soft_pins, :track

      # @param demands [Demands]
      def initialize(demands)
        @demands = demands
        @unit = Rational(1, lengths.map { |length| length.millimetres.denominator }.reduce(1, :lcm))
        @gaps = demands.heads - 1
        @inner = count(demands.inner)
        @first = count(demands.first.at)
        @last = count(demands.last.at) - count(demands.span)
        @soft_pins = demands.soft_pins.map { |wish| [count(wish.at), wish.weight] }.sort
        @track = laid_out
      end

      def first_fixed? = @demands.first.fixed
      def last_fixed? = @demands.last.fixed

      # @param number [Integer]
      # @return [Length]
      def length(number) = Length.new(number * @unit)

      # @param length [Length]
      # @return [Integer] in the lattice's unit
      def count(length) = (length.millimetres / @unit).to_i

      # @param heads [Array<Integer>] place of the first hole of each cluster
      # @return [Array<Length>] place of every hole
      def holes(heads)
        heads.flat_map { |head| Array.new(@demands.together) { |member| length(head + (member * @inner)) } }
      end

      # @param place [Integer] of a hole
      # @return [Array<Integer>] heads whose cluster has a hole there
      def heads_at(place) = Array.new(@demands.together) { |member| place - (member * @inner) }

      # @return [Rational] mm² of one unit squared
      def square = @unit**2

      # Distance from a place to the nearest hole of the cluster that begins at head.
      def distance(head, place)
        return (head - place).abs if @inner.zero?

        (0...@demands.together).map { |member| (head + (member * @inner) - place).abs }.min
      end

      # @return [Array<Integer>] heads that any but the first cluster may have, sorted
      def open = @open ||= places(@track.closed)

      # @return [Array<Integer>] heads that the first cluster may have, none of them beyond the first pin, sorted
      def starts
        @starts ||= (@track.closed_first.equal?(@track.closed) ? open : places(@track.closed_first)).then do |places|
          @track.pins.empty? ? places : places.take_while { |place| place <= @track.pins.first }
        end
      end

      private

      def lengths
        d = @demands
        [d.grid, d.least_gap, d.most_gap, d.inner, d.first.at, d.last.at, d.from, d.to, *d.pins, *d.sewn,
         *d.soft_pins.map(&:at)].compact +
          (d.blocked + (d.blocked_first || [])).flat_map { |stretch| [stretch.from, stretch.to] }
      end

      def laid_out
        d = @demands
        span = count(d.span)
        first = @first if first_fixed?
        last = @last if last_fixed?
        Track.new(low: count(d.from), high: count(d.to) - span, step: count(d.grid), together: d.together, inner: @inner,
                  least: count(d.least_gap) + span, most: d.most_gap && (count(d.most_gap) + span), first: first,
                  last: last, **in_the_way)
      end

      def in_the_way
        sewn = @demands.sewn.map { |place| count(place) }.sort
        blocked = stretches(@demands.blocked)
        { pins: (@demands.pins.map { |pin| count(pin) } + sewn).uniq.sort, sewn: sewn, blocked: blocked,
          blocked_first: @demands.blocked_first ? stretches(@demands.blocked_first) : blocked, blocked_last: blocked }
      end

      def stretches(blocked) = blocked.map { |stretch| [count(stretch.from), count(stretch.to)] }

      # Fixed points need not lie on the grid. Any hole of a cluster may be the one at a pin.
      def places(closed)
        on_grid = @track.free(closed).flat_map { |low, high| (low..high).map { |number| number * @track.step } }
        fixed = [@track.first, @track.last, *@track.groups.flatten].compact
        on_grid.concat(fixed.select { |head| @track.fits?(head, closed) }).uniq.sort
      end
    end
  end
end
