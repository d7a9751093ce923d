# frozen_string_literal: true

# Enclosed counts the light holes in a dark piece of a picture: what is light within its box and does not hang together
# with the box's edge.
#
#   Enclosed.in(raster, blob)   # => 4, of a button with four holes
#
# Source: what does not hang together with the border is a hole (Rosenfeld 1970).

require_relative "pieces"

module NimbleEyelet
  module PhotoReading
    class Enclosed
      # px: what is smaller is noise.
      ENCLOSED_LEAST = 3

      # @param raster [Raster]
      # @param blob [Blob]
      # @return [Integer]
      def self.in(raster, blob) = new(raster, blob).count

      def initialize(raster, blob)
        @wide = blob.right - blob.left + 3
        @tall = blob.bottom - blob.top + 3
        greys = Array.new(@wide * @tall) do |place|
          raster.pixel((blob.left - 1 + (place % @wide)).clamp(0, raster.width - 1),
                       (blob.top - 1 + (place / @wide)).clamp(0, raster.height - 1))
        end
        sorted = greys.sort
        middle = (sorted[sorted.size / 6] + sorted[sorted.size * 9 / 10]) / 2
        @light = greys.map { |grey| grey > middle }
      end

      # @return [Integer]
      def count
        Pieces.of(@light, @wide).count { |piece| piece.size >= ENCLOSED_LEAST && !Pieces.at_edge?(piece, @wide, @tall) }
      end
    end
  end
end
