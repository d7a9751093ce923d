# frozen_string_literal: true

# ButtonHoles finds the two or four holes of a button that lies on the card, and how far apart their middles are.
#
#   ButtonHoles.of(sight, 33.0, 34.0, 9.0, 3.0)   # => ButtonHoles or nil

require_relative "../value"
require_relative "pieces"

module NimbleEyelet
  module PhotoReading
    # middles - Array<Array(Float, Float)>, mm, two or four, in the plane of the button's face, round the button
    # across - Float, mm, diameter of a hole; uneven - Float, mm, how unlike the distances are
    class ButtonHoles < Value.of(:middles, :across, :uneven)
      HOLES_STEP = 0.12
      # Share of the button's radius within which holes lie.
      WITHIN = 0.66
      # mm², of a hole; and grey values it differs from the face by.
      HOLES_SIZES = (0.5..14.0)
      HOLES_LEAST = 9
      # Holes of one button are alike to so much of their size, and lie about its middle to so much of the diameter.
      ALIKE = 2.2
      ABOUT = 0.09

      # @param sight [CardSight]
      # @param x [Float] mm, the button's middle
      # @param y [Float] mm
      # @param radius [Float] mm
      # @param high [Float] mm, of its face over the card
      # @return [ButtonHoles, nil]
      def self.of(sight, x, y, radius, high) = HolesSearch.new(sight, x, y, radius, high).found

      # @return [Float] mm, from middle to middle of two neighbours
      def spacing = sides.sum / sides.size

      # @return [Array<Float>]
      def sides
        pairs = middles.size == 2 ? [middles] : middles.each_index.map { |at| [middles[at], middles[at - 1]] }
        pairs.map { |(left, top), (right, low)| Math.hypot(right - left, low - top) }
      end

      class HolesSearch
        def initialize(sight, x, y, radius, high)
          @middle = [x, y]
          @radius = radius
          @half = (radius * WITHIN / HOLES_STEP).floor
          @side = (2 * @half) + 1
          # Of a button's radius, and never so fine that a picture has nothing to show for it.
          @greys = Array.new(@side * @side) { |cell| within?(cell) ? sight.grey(*place(cell), high) : nil }
        end

        def found
          inside = @greys.compact.sort
          face = inside[inside.size / 2]
          noise = inside.map { |grey| (grey - face).abs }.sort[inside.size / 2]
          [-1, 1].filter_map { |way| holes(face, noise, way) }.max_by { |one| one.middles.size }
        end

        private

        def place(cell)
          [@middle[0] + (((cell % @side) - @half) * HOLES_STEP), @middle[1] + (((cell / @side) - @half) * HOLES_STEP)]
        end

        def within?(cell) = Math.hypot((cell % @side) - @half, (cell / @side) - @half) <= @half

        # Darker or lighter than the face.
        def holes(face, noise, way)
          off = @greys.map { |grey| grey ? (grey - face) * way : 0.0 }
          most = off.sort[-[(1.0 / HOLES_STEP / HOLES_STEP).round, off.size / 50].min]
          return if most < [HOLES_LEAST, noise * 3.5].max

          chosen(Pieces.of(off.map { |one| one > most / 2 }, @side).filter_map { |piece| hole(piece, off, most) })
        end

        # Its middle, weighted by how dark it is, and its size.
        def hole(piece, off, most)
          size = piece.size * HOLES_STEP * HOLES_STEP
          places = piece.map { |cell| place(cell) }
          wide, tall = places.transpose.map { |all| all.max - all.min + HOLES_STEP }
          return unless HOLES_SIZES.cover?(size) && wide < 2.1 * tall && tall < 2.1 * wide && size > 0.55 * wide * tall

          weights = piece.map { |cell| [off[cell], most].min }
          sum = weights.sum
          [[0, 1].map { |at| places.each_with_index.sum { |one, number| one[at] * weights[number] } / sum }, size]
        end

        # Four, or two, that are alike and lie about the middle.
        def chosen(holes)
          [4, 2].each do |count|
            some = holes.max_by(count, &:last)
            next if some.size < count || some.first.last > ALIKE * some.last.last

            made = ButtonHoles.new(middles: round(some.map(&:first)), across: 2 * Math.sqrt(some.sum(&:last) / count / Math::PI),
                                   uneven: 0.0)
            return made.with(uneven: made.sides.minmax.reduce(:-).abs) if about?(made) && even?(made)
          end
          nil
        end

        def round(places)
          x, y = middle(places)
          places.sort_by { |across, down| Math.atan2(down - y, across - x) }
        end

        def middle(places) = [0, 1].map { |at| places.sum { |one| one[at] } / places.size }

        def about?(holes)
          x, y = middle(holes.middles)
          Math.hypot(x - @middle[0], y - @middle[1]) < [ABOUT * 2 * @radius, 0.5].max
        end

        def even?(holes) = holes.sides.min > 0.8 * holes.sides.max && holes.spacing > holes.across
      end
      private_constant :HolesSearch
    end
  end
end
