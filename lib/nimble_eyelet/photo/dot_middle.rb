# frozen_string_literal: true

# DotMiddle finds the middle of one dark dot on a light ground to a few hundredths of a pixel, and how sharp it is.
#
#   DotMiddle.of(raster, 812.0, 344.0, 14.0)   # => DotMiddle, or nil where there is none
#
# Source: the centroid weighted by darkness.

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # x, y - Float, px; contrast - Float, grey values between ground and dot; edge - Float, px, how wide the change is
    class DotMiddle < Value.of(:x, :y, :contrast, :edge)
      # How far is looked, in radii, and how finely.
      DOT_AROUND = 1.6
      DOT_STEPS = 10
      DOT_ROUNDS = 3
      private_constant :DOT_AROUND, :DOT_STEPS, :DOT_ROUNDS

      # @param raster [Raster]
      # @param x [Float] px, about where it is
      # @param radius [Float] px
      # @return [DotMiddle, nil]
      def self.of(raster, x, y, radius)
        step = [radius / DOT_STEPS, 1.0].max
        seen = nil
        DOT_ROUNDS.times do
          seen = look(raster, x, y, radius * DOT_AROUND, step)
          return unless seen && Math.hypot(seen[0] - x, seen[1] - y) < radius

          x, y = seen
        end
        new(x: x, y: y, contrast: seen[2], edge: seen[3] * step * step / (2 * Math::PI * radius))
      end

      def self.look(raster, x, y, around, step)
        places = offsets(around, step)
        greys = places.map { |right, low| raster.at(x + right, y + low) }
        sorted = greys.sort
        dark = sorted[sorted.size / 10]
        light = sorted[sorted.size * 4 / 5]
        contrast = light - dark
        return if contrast < 1

        weighed(places, greys, light, contrast).then do |sum, across, down, between|
          [x + (across / sum), y + (down / sum), contrast, between]
        end
      end

      def self.weighed(places, greys, light, contrast)
        sum = across = down = 0.0
        between = 0
        places.each_with_index do |(right, low), number|
          weight = ((light - greys[number]) / contrast).clamp(0.0, 1.0)
          between += 1 if weight > 0.15 && weight < 0.85
          next if weight < 0.15

          sum += weight
          across += weight * right
          down += weight * low
        end
        [sum, across, down, between]
      end

      def self.offsets(around, step)
        count = (around / step).floor
        (-count..count).flat_map do |low|
          (-count..count).filter_map { |right| [right * step, low * step] if (right**2) + (low**2) <= count**2 }
        end
      end
      private_class_method :look, :weighed, :offsets
    end
  end
end
