# frozen_string_literal: true

# Raster is a grey picture as an array: a byte a pixel, row by row from the upper left.
#
#   Raster.new(width: 4000, height: 3000, bytes: bytes).at(12.5, 7.25)   # => Float, 0 black to 255 white

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # width, height - Integer, px; bytes - String of width times height bytes
    class Raster < Value.of(:width, :height, :bytes)
      # Between four pixels, by how near each is. The middle of the first pixel is 0, 0.
      #
      # @param x [Float] px
      # @param y [Float] px
      # @return [Float] beyond the edge as at the edge
      def at(x, y)
        column = x.to_i
        row = y.to_i
        return edge(x, y) if x.negative? || y.negative? || column >= width - 1 || row >= height - 1

        place = (row * width) + column
        right = x - column
        low = y - row
        upper = (bytes.getbyte(place) * (1 - right)) + (bytes.getbyte(place + 1) * right)
        place += width
        lower = (bytes.getbyte(place) * (1 - right)) + (bytes.getbyte(place + 1) * right)
        (upper * (1 - low)) + (lower * low)
      end

      # @return [Integer]
      def pixel(column, row) = bytes.getbyte((row * width) + column)

      private

      def edge(x, y) = pixel(x.round.clamp(0, width - 1), y.round.clamp(0, height - 1)).to_f
    end

    # full - Raster of all that the camera saw; small - Raster of the same, so many times smaller
    class Picture < Value.of(:full, :small)
      # @return [Float]
      def times = full.width / small.width.to_f
    end
  end
end
