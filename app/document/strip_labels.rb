# frozen_string_literal: true

# StripLabels are the words beside the cloth of a strip, in two columns: a label moves down rather than lie on
# another.
#
#   labels = Document::StripLabels.new(48.0)
#   labels.add(9, 24, "24 mm", 3)
#   labels.draw(pen)

module NimbleEyelet
  module Document
    class StripLabels
      # How wide the column of the numbers is, mm.
      NUMBERS = 8.0
      # Left between two labels.
      APART = 0.4

      # @param left [Float] mm of the first column
      def initialize(left)
        @left = left
        @labels = []
        @placed = []
      end

      # @param x [Float] mm from the left of the columns
      # @param y, size [Float] mm
      # @return [void]
      def add(x, y, words, size) = @labels << [x, y, words, size]

      # @param pen [#text]
      # @return [void]
      def draw(pen)
        lowest = Hash.new(-1.0)
        @labels.sort_by { |x, y, *| [y, x] }.each do |x, y, words, size|
          column = x < NUMBERS
          y = [y, lowest[column] + size + APART].max
          pen.text(@left + x, y, words, size)
          lowest[column] = y
          @placed << [y, size]
        end
      end

      # How far words give way, mm.
      FARTHEST = 15
      private_constant :FARTHEST

      # Once all is drawn.
      #
      # @param y, size [Float] mm of words that are to stand beside the labels
      # @return [Float] the nearest place where they stand on none of them
      def clear(y, size)
        places = (0..FARTHEST).flat_map { |by| [y - by, y + by] }
        places.find { |at| @placed.none? { |other, tall| at > other - tall - APART && at - size - APART < other } } || y
      end
    end
  end
end
