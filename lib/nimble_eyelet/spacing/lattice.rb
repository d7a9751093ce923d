# frozen_string_literal: true

# Lattice is a set of demands in whole numbers: every place a hole may have, counted in a unit that
# holds the marking grid and all fixed points exactly. Solvers work on it; places go back to lengths.
#
#   lattice = Spacing::Lattice.new(demands)
#   lattice.places      # [24, 25, …]
#   lattice.length(516) # 516 mm when the unit is 1 mm

require_relative "../length/length"

module NimbleEyelet
  module Spacing
    class Lattice
      # A row has never more places than this: the finest grid on the longest run.
      MOST_PLACES = 40_000

      attr_reader :heads, :span, :places, :open_first, :open, :least, :most, :first, :last, :pins, :soft_pins

      # @param demands [Demands]
      def initialize(demands)
        @demands = demands
        @unit = Rational(1, lengths.map { |length| length.millimetres.denominator }.reduce(1, :lcm))
        @heads = demands.heads
        @span = count(demands.span)
        @least = count(demands.least_gap)
        @most = demands.most_gap && count(demands.most_gap)
        @first = count(demands.first.at)
        @last = count(demands.last.at) - @span
        lay_out
      end

      def first_fixed? = @demands.first.fixed
      def last_fixed? = @demands.last.fixed

      # @param number [Integer]
      # @return [Length]
      def length(number) = Length.new(number * @unit)

      # @param heads [Array<Integer>] place of the first hole of each cluster
      # @return [Array<Length>] place of every hole
      def holes(heads)
        heads.flat_map { |head| Array.new(@demands.together) { |member| length(head + (member * @inner)) } }
      end

      # @return [Rational] mm² of one unit squared
      def square = @unit**2

      # Distance from a place to the nearest hole of the cluster that begins at head.
      def distance(head, place) = (0...@demands.together).map { |member| (head + (member * @inner) - place).abs }.min

      # How far up the hole before a place may lie at most. No pin is passed over: the one last above the
      # place has a hole.
      #
      # @return [Integer]
      def farthest(place)
        passed = @pins.bsearch_index { |pin| pin >= place } || @pins.size
        [@most ? place - @span - @most : @places.first, passed.positive? ? @pins[passed - 1] - @span : @places.first].max
      end

      # How far down the hole before a place may lie at most: the least gap above it, or a sewn hole where the place
      # is sewn itself and nothing but that can come before it.
      #
      # @return [Integer]
      def nearest(place)
        usual = place - @span - @least
        return usual unless @sewn.key?(place)

        before = @pins[(@pins.bsearch_index { |pin| pin >= place } || 0) - 1]
        before < place && @sewn.key?(before) ? [usual, before].max : usual
      end

      # @return [Integer] index of the first place not below number
      def at_or_after(number) = @places.bsearch_index { |place| place >= number } || @places.size

      private

      def lengths
        d = @demands
        [d.grid, d.least_gap, d.most_gap, d.inner, d.first.at, d.last.at, d.from, d.to, *d.pins, *d.sewn,
         *d.soft_pins.map(&:at)].compact +
          all_blocked.flat_map { |stretch| [stretch.from, stretch.to] }
      end

      def all_blocked = @demands.blocked + (@demands.blocked_first || [])

      def count(length) = (length.millimetres / @unit).to_i

      def lay_out
        @inner = count(@demands.inner)
        place_what_is_fixed
        @open = mask(@demands.blocked, @demands.blocked)
        @open_first = @demands.blocked_first ? mask(@demands.blocked_first, @demands.blocked) : @open
        open_sewn
        pass_no_pin
      end

      def place_what_is_fixed
        @sewn = @demands.sewn.to_h { |place| [count(place), true] }
        @pins = (@demands.pins.map { |pin| count(pin) } + @sewn.keys).uniq.sort
        @soft_pins = @demands.soft_pins.map { |wish| [count(wish.at), wish.weight] }.sort
        @places = (on_grid + special).uniq.sort
      end

      def on_grid
        step = @demands.grid.millimetres
        from = (@demands.from.millimetres / step).ceil
        to = ((@demands.to - @demands.span).millimetres / step).floor
        scale = (step / @unit).to_i
        (from..to).map { |number| number * scale }
      end

      # Fixed points need not lie on the grid. Any hole of a cluster may be the one at a pin.
      def special
        ends = [(@first if first_fixed?), (@last if last_fixed?)].compact
        pinned = @pins.flat_map { |pin| Array.new(@demands.together) { |member| pin - (member * @inner) } }
        (ends + pinned).grep(count(@demands.from)..(count(@demands.to) - @span))
      end

      # Whether each place is open to the head of a cluster; head_blocked hold for its first hole.
      def mask(head_blocked, other_blocked)
        open = Array.new(@places.size, true)
        @demands.together.times do |member|
          (member.zero? ? head_blocked : other_blocked).each do |stretch|
            from = at_or_after(count(stretch.from) + 1 - (member * @inner))
            to = at_or_after(count(stretch.to) - (member * @inner))
            open.fill(false, from...to) if from < to
          end
        end
        open
      end

      # What is sewn stays, whatever is in the way.
      def open_sewn
        @places.each_index.select { |index| @sewn.key?(@places[index]) }.each do |index|
          @open[index] = true
          @open_first[index] = true
        end
      end

      # A cluster that straddles a pin has to have a hole at it.
      def pass_no_pin
        return if @span.zero?

        @pins.each do |pin|
          (at_or_after(pin - @span)...at_or_after(pin + 1)).each do |index|
            next if distance(@places[index], pin).zero?

            @open[index] = false
            @open_first[index] = false
          end
        end
      end
    end
  end
end
