# frozen_string_literal: true

# Camera is where a photo was taken from and how its lens bends: it takes places on and over the card to places in the
# picture, and back.
#
#   camera.project(65.0, 46.0, 3.0)      # => [x, y] px, of a point 3 mm above the card's middle
#   camera.on_card(2000.0, 1500.0, 3.0)  # => [x, y] mm, of a point seen there, 3 mm above the card
#
# Source: the pinhole with one radial term (Brown 1966); turns by their axis (Rodrigues 1840); the pose of a plane from
# its homography (Zhang 2000).

require "matrix"
require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # turn - Array of three Floats, axis times angle; shift - Array of three Floats, mm, the card's corner as the camera
    # sees it; focal - Float, px; bend - Float, the radial term; middle - Array(Float, Float), px, of the picture
    class Camera < Value.of(:turn, :shift, :focal, :bend, :middle)
      # @param homography [Homography] card to picture
      # @param focal [Float] px
      # @param middle [Array(Float, Float)] px
      # @return [Camera] without bend
      def self.from(homography, focal, middle)
        a, b, c, d, e, f, g, h, i = homography.elements
        first, second, third = [[a, d, g], [b, e, h], [c, f, i]].map do |x, y, by|
          [(x - (middle[0] * by)) / focal, (y - (middle[1] * by)) / focal, by]
        end
        scale = 2 / (length(first) + length(second))
        # The card lies in front of the camera.
        scale = -scale if third[2].negative?
        shift = third.map { |one| one * scale }
        new(turn: turn_of(*upright(first, second, scale)), shift: shift, focal: focal, bend: 0.0,
            middle: middle)
      end

      def self.length(vector) = Math.sqrt(vector.sum { |one| one * one })
      def self.cross(one, other) = Vector.elements(one).cross_product(Vector.elements(other)).to_a

      # Two directions at right angles, as near as may be to those given, and the third.
      def self.upright(first, second, scale)
        sum = first.zip(second).map { |x, y| (x + y) * scale }
        less = first.zip(second).map { |x, y| (x - y) * scale }
        sum, less = [sum, less].map { |one| one.map { |part| part / length(one) / Math.sqrt(2) } }
        one = sum.zip(less).map(&:sum)
        other = sum.zip(less).map { |x, y| x - y }
        [one, other, cross(one, other)]
      end

      # By way of the quaternion, from whichever of its parts is largest.
      #
      # @param first [Array<Float>] where the card's x goes, and so on: three directions at right angles
      # @return [Array<Float>] axis times angle
      def self.turn_of(first, second, third)
        x = second[2] - third[1]
        y = third[0] - first[2]
        z = first[1] - second[0]
        a = first[0]
        b = second[1]
        c = third[2]
        four = [[1 + a + b + c, x, y, z],
                [x, 1 + a - b - c, first[1] + second[0], third[0] + first[2]],
                [y, first[1] + second[0], 1 - a + b - c, second[2] + third[1]],
                [z, third[0] + first[2], second[2] + third[1], 1 - a - b + c]]
        best = four.each_with_index.max_by { |row, at| row[at] }.first
        whole, *axis = best.map { |part| part / length(best) }
        long = length(axis)
        angle = 2 * Math.atan2(long, whole)
        long < 1e-9 ? [0.0, 0.0, 0.0] : axis.map { |part| part / long * angle }
      end
      private_class_method :length, :cross, :upright

      # @param numbers [Array<Float>] eight: turn, shift, logarithm of the focal length, bend
      # @return [Camera]
      def self.of(numbers, middle)
        new(turn: numbers[0, 3], shift: numbers[3, 3], focal: Math.exp(numbers[6]), bend: numbers[7], middle: middle)
      end

      # @return [Array<Float>]
      def numbers = [*turn, *shift, Math.log(focal), bend]

      # @return [Sight] the same, made ready to look along
      def sight = Sight.new(self)
    end

    # What hangs on the camera alone, worked out once.
    class Sight
      LENS_ROUNDS = 6

      # @return [Camera]
      attr_reader :camera

      def initialize(camera)
        @camera = camera
        @rows = rows(camera.turn)
        @shift = camera.shift
        @focal = camera.focal
        @bend = camera.bend
        @x, @y = camera.middle
      end

      # @return [Array(Float, Float, Float)] mm, where the camera stood over the card: x, y and how high
      def stand
        @stand ||= begin
          columns = @rows.transpose
          away = columns.map { |column| -column.zip(@shift).sum { |one, other| one * other } }
          # The card's y goes down, so that what is above it is negative there.
          [away[0], away[1], -away[2]]
        end
      end

      # @return [Float] degrees between the line of sight and straight down
      def tilt = Math.acos(@rows[2][2].abs.clamp(0.0, 1.0)) * 180 / Math::PI

      # @param high [Float] mm above the card
      # @return [Array(Float, Float)] px
      def project(x, y, high = 0.0)
        a, b, c = @rows
        deep = (c[0] * x) + (c[1] * y) - (c[2] * high) + @shift[2]
        across = ((a[0] * x) + (a[1] * y) - (a[2] * high) + @shift[0]) / deep
        down = ((b[0] * x) + (b[1] * y) - (b[2] * high) + @shift[1]) / deep
        by = @focal * (1 + (@bend * ((across * across) + (down * down))))
        [@x + (by * across), @y + (by * down)]
      end

      # @param high [Float] mm above the card
      # @return [Array(Float, Float)] mm
      def on_card(x, y, high = 0.0)
        across, down = straight((x - @x) / @focal, (y - @y) / @focal)
        ray = (0..2).map { |at| (@rows[0][at] * across) + (@rows[1][at] * down) + @rows[2][at] }
        left, top, up = stand
        far = (high - up) / -ray[2]
        [left + (far * ray[0]), top + (far * ray[1])]
      end

      # @return [Float] px in a millimetre of the card, at a place
      def scale(x, y)
        (left, top), (right, low), (down, under) = project(x, y), project(x + 1, y), project(x, y + 1)
        Math.sqrt((((right - left) * (under - top)) - ((low - top) * (down - left))).abs)
      end

      private

      # Without the bend, by repetition.
      def straight(across, down)
        right = across
        low = down
        LENS_ROUNDS.times do
          by = 1 + (@bend * ((right * right) + (low * low)))
          right = across / by
          low = down / by
        end
        [right, low]
      end

      def rows(turn)
        angle = Math.sqrt(turn.sum { |one| one * one })
        return [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]] if angle < 1e-9

        x, y, z = turn.map { |one| one / angle }
        cos = Math.cos(angle)
        sin = Math.sin(angle)
        rest = 1 - cos
        [[cos + (x * x * rest), (x * y * rest) - (z * sin), (x * z * rest) + (y * sin)],
         [(y * x * rest) + (z * sin), cos + (y * y * rest), (y * z * rest) - (x * sin)],
         [(z * x * rest) - (y * sin), (z * y * rest) + (x * sin), cos + (z * z * rest)]]
      end
    end
  end
end
