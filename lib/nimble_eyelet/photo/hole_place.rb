# frozen_string_literal: true

# HolePlace finds the sewn hole in the window of the card: where it lies, which way, about how long and how wide.
#
#   HolePlace.of(sight)   # => HolePlace, or nil where nothing is sewn
#
# Source: the axis of a piece is that of its second moments (Hu 1962).

require_relative "../value"
require_relative "measuring_card"
require_relative "pieces"

module NimbleEyelet
  module PhotoReading
    # x, y - Float, mm, its middle; turn - Float, radians, of its long axis from the window's long side
    # long - Float, mm, of what stands out most: at least the slit
    class HolePlace < Value.of(:x, :y, :turn, :long)
      SEWN_STEP = 0.2
      # Of the window's rim that shows paper or its shadow, mm.
      SEWN_RIM = 1.4
      # Cells over which differences are averaged, on each side: a weave is not a hole.
      SEWN_HALF = 3
      # mm²; and how much longer than wide a hole is at least.
      SEWN_LEAST = 4.0
      SLENDER = 1.4
      # Grey values that what is sewn differs by, beyond the fabric; and how much of the greatest difference counts.
      LEAST_MORE = 4
      SEWN_SHARE = 0.4
      private_constant :SEWN_STEP, :SEWN_RIM, :SEWN_HALF, :SEWN_LEAST, :SLENDER, :LEAST_MORE, :SEWN_SHARE

      # @param right [Float] mm across, from its middle
      # @param low [Float] mm along
      # @return [Array(Float, Float)] mm on the card
      def on_card(right, low)
        cos = Math.cos(turn)
        sin = Math.sin(turn)
        [x + (right * cos) - (low * sin), y + (right * sin) + (low * cos)]
      end

      # @param sight [CardSight]
      # @return [HolePlace, nil]
      def self.of(sight) = PlaceSearch.new(sight).found

      class PlaceSearch
        def initialize(sight)
          @window = MeasuringCard::WINDOW
          @wide = ((@window.width - (2 * SEWN_RIM)) / SEWN_STEP).floor
          @tall = ((@window.height - (2 * SEWN_RIM)) / SEWN_STEP).floor
          @greys = (0...(@wide * @tall)).map { |cell| sight.grey(*place(cell)) }
        end

        def found
          off = smooth(differences)
          sorted = off.sort
          usual = sorted[sorted.size / 2]
          most = sorted[sorted.size - 1 - (sorted.size / 60)]
          return if most - usual < LEAST_MORE

          # At least the slit, which differs most, or the thread round one that is not cut.
          sewn = off.map { |one| one > usual + ((most - usual) * SEWN_SHARE) }
          piece = Pieces.of(sewn, @wide).max_by(&:size)
          described(piece) if piece && piece.size * SEWN_STEP * SEWN_STEP > SEWN_LEAST
        end

        private

        def place(cell)
          [@window.left + SEWN_RIM + (cell % @wide * SEWN_STEP), @window.top + SEWN_RIM + (cell / @wide * SEWN_STEP)]
        end

        # From the fabric, which is what most of the window shows, row by row as light changes.
        def differences
          rows = @greys.each_slice(@wide).map { |row| row.sort[@wide / 4] + row.sort[@wide * 3 / 4] }
          level = rows.each_index.map do |row|
            rows[[row - 20, 0].max..(row + 20)].sort.then do |near|
              near[near.size / 2] / 2
            end
          end
          @greys.each_with_index.map { |grey, cell| (grey - level[cell / @wide]).abs }
        end

        def smooth(cells)
          @wide.times.each_with_object(Array.new(cells.size, 0.0)) do |column, across|
            @tall.times do |row|
              from = [column - SEWN_HALF, 0].max
              to = [column + SEWN_HALF, @wide - 1].min
              across[(row * @wide) + column] = cells[((row * @wide) + from)..((row * @wide) + to)].sum / (to - from + 1)
            end
          end.then { |across| down(across) }
        end

        def down(cells)
          Array.new(cells.size) do |cell|
            row = cell / @wide
            near = ([row - SEWN_HALF, 0].max..[row + SEWN_HALF, @tall - 1].min)
            near.sum { |at| cells[(at * @wide) + (cell % @wide)] } / near.size
          end
        end

        def described(piece)
          places = piece.map { |cell| place(cell) }
          x, y = [0, 1].map { |at| places.sum { |one| one[at] } / places.size }
          across, down, slant = [[0, 0], [1, 1], [0, 1]].map do |one, other|
            places.sum { |place| (place[one] - [x, y][one]) * (place[other] - [x, y][other]) } / places.size
          end
          turn = 0.5 * Math.atan2(-2 * slant, down - across)
          long, wide = [[-Math.sin(turn), Math.cos(turn)], [Math.cos(turn), Math.sin(turn)]].map do |way|
            reach(places, x, y, way)
          end
          HolePlace.new(x: x, y: y, turn: turn, long: long) if long > SLENDER * wide
        end

        def reach(places, x, y, way)
          far = places.map { |right, low| ((right - x) * way[0]) + ((low - y) * way[1]) }.sort
          far[far.size * 99 / 100] - far[far.size / 100]
        end
      end
      private_constant :PlaceSearch
    end
  end
end
