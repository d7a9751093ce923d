# frozen_string_literal: true

# Hole is one buttonhole in its place: where its opening and its end finishes begin and end,
# where its button sits, and what it comes too near to. Every figure is from the datum, never
# from the hole before.

require_relative "../length/length"
require_relative "../value"
require_relative "run"
require_relative "runway"

module NimbleEyelet
  module Placket
    # The outer end of a horizontal hole passes the centre line by this, so that the button's
    # shank lies on the line.
    SHANK_ALLOWANCE = Length.mm(3)
    # A keep-out is widened by half the hole's footprint and this.
    KEEP_CLEAR = Length.mm(3)

    # Along the run: at is the hole's place, from..to the overall length, open_from..open_to the
    # slit, button the button's place. Across: out_* from the centre line, positive toward the
    # finished edge. For a vertical hole the figures across are those of a line along its row.
    #
    # number - Integer from 1; pinned - String or nil, the pin's label
    # gap - Length to the hole above, or nil; lies - String, key of ORIENTATIONS; cautions - Array<Caution>
    class Hole < Value.of(:number, :at, :pinned, :gap, :from, :to, :open_from, :open_to, :button, :out_outer,
                          :out_inner, :lies, :cautions)
      def vertical? = lies == "vertical"
    end

    # Builds the holes of a run from their places.
    class Holes
      # @param run [Run]
      # @param extent [Extent]
      # @param width [Length] total stitch width of a hole
      # @param foot [String] key of FOOT_KINDS
      def initialize(run, extent, width, foot)
        @run = run
        @extent = extent
        @width = width
        @runway = Runway.of(foot)
      end

      # @param places [Array<Length>] ascending
      # @return [Array<Hole>]
      def at(places)
        places.each_with_index.map do |place, index|
          build(place, number: index + 1, gap: index.zero? ? nil : place - places[index - 1])
        end
      end

      # @return [Length] what a hole covers along the run
      def footprint = @run.vertical? ? @extent.overall : @width

      # @return [Length] what the first hole covers
      def first_footprint = @run.first_across? ? @width : footprint

      # @return [Length] how far the first hole's place lies below the middle of its button
      def seat = @run.vertical? && !@run.first_across? && @run.seat == "upper" ? half - SEAT_BELOW : Length.zero

      # @return [Length] how far the outer end of a hole lies outside the centre line
      def outer = row_line + (@run.vertical? ? Length.zero : SHANK_ALLOWANCE + @extent.ends.near)

      # @return [Length] how far the row lies outside the centre line: nothing, unless there are two
      def row_line = @run.double? ? @run.offset : Length.zero

      private

      def build(place, number:, gap:)
        lies = number == 1 && @run.first_across? ? "horizontal" : @run.orientation
        along = lies == "vertical" ? vertical(place) : horizontal(place)
        hole = Hole.new(number: number, at: place, pinned: pin_at(place), gap: gap, lies: lies, **along, **across(lies), cautions: [])
        hole.with(cautions: [(@runway.caution(hole, @run.keep_outs) if lies == "vertical")].compact)
      end

      def vertical(place)
        open_from = place - half
        open_to = place + half
        { from: open_from - @extent.ends.near, to: open_to + @extent.ends.far, open_from: open_from, open_to: open_to,
          button: @run.seat == "upper" ? open_from + SEAT_BELOW : place }
      end

      def half = @half ||= @extent.opening / 2

      def horizontal(place)
        { from: place - (@width / 2), to: place + (@width / 2), open_from: place, open_to: place, button: place }
      end

      def across(lies)
        return { out_outer: row_line, out_inner: row_line } if lies == "vertical"

        { out_outer: row_line + SHANK_ALLOWANCE, out_inner: row_line + SHANK_ALLOWANCE - @extent.opening }
      end

      def pin_at(place) = @run.pins.find { |pin| pin.at == place }&.label
    end
  end
end
