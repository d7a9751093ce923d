# frozen_string_literal: true

# Calipers measures an outline between two parallel jaws at every angle.
#
#   widths = Calipers.of(outline, body, stand)
#   widths.largest    # => [width, turn]
#
# Source: the width of a hull in a direction is the sum of its reaches in that direction and the other one.

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # widths - Array<Float>, mm, at as many turns in half a round; x, y - Float, mm
    # reaches - Array<Float>, mm, from x, y all round
    class Calipers < Value.of(:widths, :reaches, :x, :y)
      JAW_TURNS = 90
      # A straight side has more points than that within so much of the farthest, mm.
      TOUCHING = 0.25
      JAW_STRAIGHT = 7

      # @param outline [ButtonOutline]
      # @param body [ButtonBody]
      # @param stand [Array(Float, Float, Float)]
      # @return [Calipers]
      def self.of(outline, body, stand)
        x = outline.x
        y = outline.y
        left, top, high = stand
        rim = smooth(outline)
        reaches = (0...(2 * JAW_TURNS)).map do |number|
          across, down = direction(number)
          seen = side(rim.map { |right, low| ((right - x) * across) + ((low - y) * down) })
          body.reach(seen, (((x - left) * across) + ((y - top) * down)) / high, high)
        end
        widths = reaches.first(JAW_TURNS).zip(reaches.last(JAW_TURNS)).map(&:sum)
        new(widths: widths, reaches: reaches, x: x, y: y)
      end

      # How far points reach that lie near enough to the farthest to touch the jaw with it.
      #
      # @param points [Array<Float>] how far out each is, mm
      def self.side(points)
        most = points.max
        near = points.select { |out| out > most - TOUCHING }.sort
        near.size > JAW_STRAIGHT ? near[near.size / 2] : near.last(2).sum / [near.size, 2].min
      end

      def self.direction(number)
        turn = Math::PI * number / JAW_TURNS
        [Math.cos(turn), Math.sin(turn)]
      end

      # What lies far outside both neighbours is a shadow's end or a crumb.
      def self.smooth(outline)
        far = outline.rim.map { |x, y| Math.hypot(x - outline.x, y - outline.y) }
        outline.rim.each_index.map do |at|
          near = (-2..2).map { |more| far[(at + more) % far.size] }.sort
          by = far[at] > near[2] + 0.25 ? near[2] / far[at] : 1
          x, y = outline.rim[at]
          [outline.x + ((x - outline.x) * by), outline.y + ((y - outline.y) * by)]
        end
      end
      private_class_method :side, :direction, :smooth

      # @return [Array(Float, Integer)] a width and at which turn
      def largest = widths.each_with_index.max
      def smallest = widths.each_with_index.min

      # Of the box with the narrowest side: its longer and its shorter side.
      # @return [Array(Float, Float)]
      def box
        narrow, at = smallest
        [widths[(at + (JAW_TURNS / 2)) % JAW_TURNS], narrow].sort.reverse
      end

      # @param number [Integer] turn
      # @return [Array<Array(Float, Float)>] where the jaws touch, mm on the card
      def jaws(number)
        turn = Math::PI * number / JAW_TURNS
        across = Math.cos(turn)
        down = Math.sin(turn)
        [[x + (reaches[number] * across), y + (reaches[number] * down)],
         [x - (reaches[number + JAW_TURNS] * across), y - (reaches[number + JAW_TURNS] * down)]]
      end
    end
  end
end
