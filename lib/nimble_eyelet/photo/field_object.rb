# frozen_string_literal: true

# FieldObject finds the thing on one of the card's fields: the largest piece lighter or darker than the field's ground.
#
#   FieldObject.on(sight, MeasuringCard::LIGHT_FIELD)   # => FieldObject or nil

require "matrix"
require_relative "../value"
require_relative "pieces"

module NimbleEyelet
  module PhotoReading
    # area - MeasuringCard::Area of the field; x, y - Float, mm, about its middle
    # radius - Float, mm, of a disc as large
    # contrast - Float, grey values between it and the ground; noise - Float, of the ground
    # cut - Boolean, it reaches the field's edge; left, right, top, bottom - Float, mm
    class FieldObject < Value.of(:area, :x, :y, :radius, :contrast, :noise, :cut, :left, :right, :top, :bottom)
      FIELD_STEP = 0.5
      # Of the field's rim that shows its ground, mm: beyond the printed frame.
      FIELD_RIM = [0.8, 2.3].freeze
      # Smaller is a crumb, mm².
      FIELD_LEAST = 12.0
      # A shadow differs from the ground by less than this share of what the thing does.
      SHADOW = 0.5
      private_constant :FIELD_STEP, :FIELD_RIM, :FIELD_LEAST, :SHADOW

      # @param sight [CardSight]
      # @param area [MeasuringCard::Area]
      # @return [FieldObject, nil]
      def self.on(sight, area) = FieldSearch.new(sight, area).found

      class FieldSearch
        def initialize(sight, area)
          @area = area
          @wide = ((area.width - (2 * FIELD_RIM[0])) / FIELD_STEP).floor + 1
          @tall = ((area.height - (2 * FIELD_RIM[0])) / FIELD_STEP).floor + 1
          @greys = (0...(@wide * @tall)).map { |cell| sight.grey(*place(cell)) }
        end

        # The largest piece that differs.
        def found
          cells = (0...(@wide * @tall)).to_a
          off = differences(cells)
          differ = off.map { |one| one.abs > @threshold }
          piece = Pieces.of(differ, @wide).max_by(&:size)
          described(without_shadow(piece, off), off) if piece && piece.size * FIELD_STEP * FIELD_STEP > FIELD_LEAST
        end

        private

        def place(cell)
          [@area.left + FIELD_RIM[0] + (cell % @wide * FIELD_STEP), @area.top + FIELD_RIM[0] + (cell / @wide * FIELD_STEP)]
        end

        # From the ground, which is a plane through the rim of the field.
        def differences(cells)
          rim = cells.reject { |cell| @area.inside?(*place(cell), by: FIELD_RIM[1]) }
          ground = plane(rim)
          left = rim.map { |cell| (@greys[cell] - ground.call(cell)).abs }.sort
          ground = plane(rim.select { |cell| (@greys[cell] - ground.call(cell)).abs <= left[left.size * 3 / 4] })
          left = rim.map { |cell| (@greys[cell] - ground.call(cell)).abs }.sort
          @noise = [left[left.size / 2] * 1.5, 0.7].max
          middle = ground.call((@tall / 2 * @wide) + (@wide / 2))
          @threshold = [@noise * 4, middle * 0.1, 7].max
          cells.map { |cell| @greys[cell] - ground.call(cell) }
        end

        # Source: a plane by least squares, from its normal equations.
        def plane(cells)
          rows = Matrix.rows(cells.map { |cell| [1.0, (cell % @wide).to_f, (cell / @wide).to_f] })
          turned = rows.transpose
          a, b, c = ((turned * rows).inverse * (turned * Vector.elements(cells.map { |cell| @greys[cell] }))).to_a
          ->(cell) { a + (b * (cell % @wide)) + (c * (cell / @wide)) }
        end

        # Without cells that differ far less than most: those are its shadow.
        def without_shadow(piece, off)
          sizes = piece.map { |cell| off[cell].abs }.sort
          most = sizes[sizes.size * 4 / 5]
          differ = Array.new(off.size, false)
          piece.each { |cell| differ[cell] = off[cell].abs > most * SHADOW }
          Pieces.of(differ, @wide).max_by(&:size)
        end

        def described(piece, off)
          places = piece.map { |cell| place(cell) }
          cut = Pieces.at_edge?(piece, @wide, @tall)
          left, right = places.map(&:first).minmax
          top, bottom = places.map(&:last).minmax
          size = piece.size * FIELD_STEP * FIELD_STEP
          FieldObject.new(area: @area, x: places.sum(&:first) / places.size, y: places.sum(&:last) / places.size,
                          radius: Math.sqrt(size / Math::PI), contrast: piece.sum { |cell| off[cell].abs } / piece.size,
                          noise: @noise, cut: cut, left: left, right: right, top: top, bottom: bottom)
        end
      end
      private_constant :FieldSearch
    end
  end
end
