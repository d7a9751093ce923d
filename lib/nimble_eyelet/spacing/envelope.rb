# frozen_string_literal: true

# Envelope is the lowest of a growing set of lines, asked at places that only ever move one way: the
# lines come in order of slope, and those that can never be lowest again are dropped. Adding and
# asking take constant time on average. All in whole numbers.
#
#   envelope = Spacing::Envelope.new(1)      # falling slopes, places moving up
#   envelope.add(-2, 10, :a); envelope.add(-4, 16, :b)
#   envelope.least(5)                        # [-4, :b]

module NimbleEyelet
  module Spacing
    class Envelope
      # @param direction [Integer] 1: slopes fall and places rise; -1: slopes rise and places fall
      def initialize(direction)
        @direction = direction
        @slopes = []
        @heights = []
        @names = []
        @front = 0
      end

      # @param slope [Integer]
      # @param height [Integer] at 0
      def add(slope, height, name)
        slope *= @direction
        drop while @names.size - @front >= 2 && useless?(slope, height)
        @slopes << slope
        @heights << height
        @names << name
      end

      # @param place [Integer] never back from the one before
      # @return [Array(Integer, Object), nil] the lowest value there, and its line
      def least(place)
        return if @front >= @names.size

        place *= @direction
        current = value(@front, place)
        while @front + 1 < @names.size && (following = value(@front + 1, place)) <= current
          @front += 1
          current = following
        end
        [current, @names[@front]]
      end

      private

      def value(index, place) = (@slopes[index] * place) + @heights[index]

      def drop
        @slopes.pop
        @heights.pop
        @names.pop
      end

      # The last line is nowhere lower than both the one before it and the new one.
      def useless?(slope, height)
        ((height - @heights[-2]) * (@slopes[-2] - @slopes[-1])) <= ((@heights[-1] - @heights[-2]) * (@slopes[-2] - slope))
      end
    end
  end
end
