# frozen_string_literal: true

# Canvas draws a scene as a camera sees it: every point goes through the lens first, then the shape is filled.
#
#   canvas = Device::Canvas.new(sight, 1600, 1200)
#   canvas.disc(65, 46, 9, high: 3, fill: [120, 60, 40])
#   canvas.svg

module NimbleEyelet
  module Device
    class Canvas
      ROUND = 48
      # mm: what is shorter is drawn straight.
      LONG = 6.0

      # @param sight [PhotoReading::Sight]
      # @param width [Integer] px
      # @param height [Integer] px
      # @param ground [Array<Integer>] colour of the table
      # @param printed [#call] takes a place of the print to where on the paper it came to lie
      def initialize(sight, width, height, ground:, printed:)
        @sight = sight
        @size = [width, height]
        @printed = printed
        @parts = [%(<rect width="100%" height="100%" fill="#{colour(ground)}"/>)]
      end

      # @return [String]
      def svg
        %(<svg xmlns="http://www.w3.org/2000/svg" width="#{@size[0]}" height="#{@size[1]}">#{@parts.join}</svg>)
      end

      # What is printed on the card, in the card's own millimetres.
      def printed
        @moved = @printed
        yield self
      ensure
        @moved = nil
      end

      # @param points [Array<Array(Float, Float, Float)>] mm; how high may be left out
      # @param fill [Array<Integer>] red, green, blue
      def polygon(points, fill:, opacity: 1)
        @parts << %(<path d="M#{Canvas.fine([*points, points.first]).map { |point| place(*point) }.join('L')}Z" fill="#{colour(fill)}"#{clear(opacity)}/>)
      end

      def disc(x, y, radius, fill:, high: 0.0, opacity: 1)
        polygon(Canvas.circle(x, y, radius).map { |right, low| [right, low, high] }, fill: fill, opacity: opacity)
      end

      def area(area, fill:)
        polygon([[area.left, area.top], [area.right, area.top], [area.right, area.bottom], [area.left, area.bottom]],
                fill: fill)
      end

      # @param points [Array<Array>] mm
      # @param wide [Float] mm
      def line(points, wide, fill:, opacity: 1)
        thick = (wide * @sight.scale(*points.first.first(2))).round(2)
        @parts << (%(<path d="M#{Canvas.fine(points).map { |point| place(*point) }.join('L')}" fill="none" stroke="#{colour(fill)}" ) +
                  %(stroke-width="#{thick}" stroke-linecap="round"#{clear(opacity)}/>))
      end

      # @return [Array<Array(Float, Float)>]
      def self.circle(x, y, radius)
        (0...ROUND).map do |number|
          turn = 2 * Math::PI * number / ROUND
          # So that the corners of the polygon and its sides are as far off on average.
          by = radius / Math.sqrt(Math.sin(2 * Math::PI / ROUND) * ROUND / (2 * Math::PI))
          [x + (by * Math.cos(turn)), y + (by * Math.sin(turn))]
        end
      end

      # A lens bends what is straight: long sides get points between.
      # @param points [Array<Array>] mm
      # @return [Array<Array>]
      def self.fine(points)
        points.each_cons(2).flat_map do |from, to|
          count = [(Math.hypot(to[0] - from[0], to[1] - from[1]) / LONG).ceil, 1].max
          (0...count).map { |number| from.zip(to).map { |one, other| one + ((other - one) * number / count) } }
        end << points.last
      end

      # @return [Array(Float, Float)] mm, what the camera stands over
      def above = @sight.stand.first(2)

      private

      def place(x, y, high = 0.0)
        x, y = @moved.call(x, y) if @moved
        # The middle of the first pixel is 0, 0; the drawing begins at its corner.
        @sight.project(x, y, high).map { |one| (one + 0.5).round(2) }.join(" ")
      end

      def colour(parts) = format("#%02x%02x%02x", *parts.map { |part| part.round.clamp(0, 255) })
      def clear(opacity) = opacity == 1 ? "" : %( fill-opacity="#{opacity}" stroke-opacity="#{opacity}")
    end
  end
end
