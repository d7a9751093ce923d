# frozen_string_literal: true

# Envelope is the lowest of a growing set of lines, asked at whole places that only ever move one way: the lines come
# in order of slope, and those that can never be lowest again are dropped. Adding and asking take constant time on
# average. All in whole numbers: of two lines it is enough to know from which whole place on the later one is lower.
#
#   envelope = Spacing::Envelope.new(1)      # falling slopes, places moving up
#   envelope.add(-2, 10, :a); envelope.add(-4, 16, :b)
#   envelope.least(5)                        # => -4
#   envelope.name                            # => :b

module NimbleEyelet
  module Spacing
    class Envelope
      # @param direction [Integer] 1: slopes fall and places rise; -1: slopes rise and places fall
      def initialize(direction)
        @direction = direction
        @slopes = []
        @heights = []
        @names = []
        @from = [] # the place each line is lowest from
        @front = 0
      end

      # @return [Object] the line that was lowest where it was last asked
      def name = @names[@front]

      # @param slope [Integer]
      # @param height [Integer] at 0
      # @return [void]
      def add(slope, height, name)
        slope *= @direction
        from = nil
        while (last = @names.size - 1) >= @front
          from = crossing(height - @heights[last], @slopes[last] - slope)
          break if last == @front || from > @from[last]

          drop
        end
        @slopes << slope
        @heights << height
        @names << name
        @from << from
      end

      # @param place [Integer] never back from the one before
      # @return [Integer, nil] the lowest value there
      def least(place)
        place *= @direction
        last = @names.size - 1
        return if @front > last

        @front += 1 while @front < last && @from[@front + 1] <= place
        (@slopes[@front] * place) + @heights[@front]
      end

      private

      # The first whole place from which a line that is so much higher at 0 and falls so much faster is the lower one.
      # Of two that are equal there, the one with the higher slope as given counts: in a row, that whose head lies
      # further up.
      def crossing(higher, faster) = @direction == 1 ? (higher / faster) + 1 : -(-higher / faster)

      def drop
        @slopes.pop
        @heights.pop
        @names.pop
        @from.pop
      end
    end
  end
end
