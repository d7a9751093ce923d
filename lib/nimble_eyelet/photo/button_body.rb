# frozen_string_literal: true

# ButtonBody is how a button fills the room over the card: how wide it is at each height, and how far its outline
# therefore seems to reach when it is seen from one side.
#
#   body = ButtonBody.of("rounded", 3.0, 9.0)
#   body.seen(9.0, 0.3, 0.1, 130.0)   # how far it seems to reach where it leans outward by 0.3 of its height
#
# Source: the outline of a body of discs is the hull of their projections; the reach of a hull is the largest of theirs.

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # levels - Array of [height, inset] mm: there it is narrower by so much on each side
    class ButtonBody < Value.of(:levels)
      LEVEL_COUNT = 10

      # @param shape [String] key of BUTTON_SHAPES
      # @param thick [Float] mm
      # @param radius [Float] mm, half the largest width
      # @return [ButtonBody]
      def self.of(shape, thick, radius)
        high = { "ball" => 2 * radius, "half_ball" => radius }.fetch(shape, thick)
        new(levels: (0..LEVEL_COUNT).map do |number|
          [high * number / LEVEL_COUNT, inset(shape, high, radius, high * number / LEVEL_COUNT)]
        end)
      end

      def self.inset(shape, high, radius, at)
        case shape
        when "rounded", "bar" then round(high / 2, at - (high / 2))
        when "ball" then round(radius, at - radius)
        when "domed", "half_ball"
          curve = ((radius**2) + (high**2)) / (2 * high)
          radius - Math.sqrt([(curve**2) - ((at + curve - high)**2), 0].max)
        else 0.0
        end
      end

      def self.round(half, off) = half - Math.sqrt([(half**2) - (off**2), 0].max)
      private_class_method :inset, :round

      # On a ray from where its middle stands on the card.
      #
      # @param radius [Float] mm, half the largest width
      # @param outward [Float] how much of the camera's lean goes along the ray, mm for each mm of height
      # @param sideways [Float] and across it
      # @param stand [Float] mm, how high the camera is
      # @return [Float] mm, how far it seems to reach on the card
      def seen(radius, outward, sideways, stand)
        levels.map do |high, inset|
          by = stand / (stand - high)
          wide = (radius - inset) * by
          off = sideways * high * by
          (outward * high * by) + Math.sqrt([(wide * wide) - (off * off), 0].max)
        end.max
      end

      # Between jaws: how far it reaches in a direction, of how far its outline seems to.
      #
      # @param seen [Float] mm
      # @return [Float] mm
      def reach(seen, outward, stand)
        levels.map { |high, inset| (((seen * (stand - high)) - (outward * high * stand)) / stand) + inset }.min
      end
    end
  end
end
