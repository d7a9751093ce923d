# frozen_string_literal: true

# Pieces are cells of a grid that hang together by their sides.
#
#   Pieces.of([true, true, false, true], 2)   # => [[0, 1, 3]], numbers of cells
#
# Source: flood from a seed (Rosenfeld 1970).

module NimbleEyelet
  module PhotoReading
    module Pieces
      # @param cells [Array<Boolean>] row by row
      # @param wide [Integer] cells in a row
      # @return [Array<Array<Integer>>]
      def self.of(cells, wide)
        left = cells.dup
        left.each_index.filter_map { |cell| left[cell] && flood(left, wide, cell) }
      end

      # @param piece [Array<Integer>]
      # @param wide [Integer] cells in a row
      # @param tall [Integer] rows
      # @return [Boolean] whether it reaches the grid's own edge
      def self.at_edge?(piece, wide, tall)
        piece.any? { |cell| cell < wide || cell >= wide * (tall - 1) || (cell % wide).zero? || cell % wide == wide - 1 }
      end

      def self.flood(left, wide, cell)
        waiting = [cell]
        left[cell] = false
        piece = []
        while (here = waiting.pop)
          piece << here
          around(here, wide).each do |there|
            next if there.negative? || !left[there]

            left[there] = false
            waiting << there
          end
        end
        piece
      end

      def self.around(cell, wide)
        column = cell % wide
        [(cell - 1 if column.positive?), (cell + 1 if column < wide - 1), cell - wide, cell + wide].compact
      end
      private_class_method :flood, :around
    end
  end
end
