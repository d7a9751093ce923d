# frozen_string_literal: true

# HoleStretch is a part of a hole that is sewn in one go, and how it goes on when nobody stops it.
#
#   stretch.at(57)       # => [-2.25, 1.25], a stitch of it, or beyond its end
#   stretch.late?(60)    # => false

require_relative "../value"

module NimbleEyelet
  module Simulation
    # What is sewn in one go. points - Array of [x, y] mm; ends - Integer, how many of them come before the lock
    # needs - Hash of what the hands turn for it ("width", "length", "aside", "turned") to its state
    class HoleStretch < Value.of(:name, :kind, :points, :ends, needs: {})
      # Beyond its end it goes on as it went: a side by its feed, an end on the spot.
      # @param number [Integer] of the stitch, from 0
      # @return [Array(Float, Float)] mm
      def at(number)
        return points[number] if number < points.size

        beyond = number - ends + 1
        x, y = points[ends - 1 - (beyond.odd? ? 1 : 0)]
        return [x, y] unless kind == :bead

        [x, points[ends - 1].last + (feed * beyond)]
      end

      # @return [Float] mm along the hole from one stitch to the next; negative away from the person
      def feed = ends < 2 ? 0.0 : (points[ends - 1].last - points[0].last) / (ends - 1)

      # @param stitches [Integer] that were sewn of it
      # @return [Float] mm along that the last of them lies beyond where it ends
      def beyond(stitches) = stitches.zero? ? 0.0 : at(stitches - 1).last - at(ends - 1).last

      # @param stitches [Integer]
      # @return [Boolean] whether it stops too early
      def early?(stitches)
        return stitches < ends - PAST_STITCHES unless kind == :bead

        stitches < ends && beyond(stitches).abs > PAST
      end

      # @param stitches [Integer]
      # @return [Boolean] whether it goes on too long
      def late?(stitches)
        return stitches > points.size + PAST_STITCHES unless kind == :bead

        stitches > points.size && beyond(stitches - points.size + ends).abs > PAST
      end

      # How far a side may pass its end or stop before it, mm, and an end, in stitches.
      PAST = 1.0
      PAST_STITCHES = 3
      private_constant :PAST, :PAST_STITCHES
    end
  end
end
