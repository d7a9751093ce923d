# frozen_string_literal: true

# Hole is one buttonhole in its place: where its opening and its end finishes begin and end,
# where its button sits, and what it comes too near to. Every figure is from the datum, never
# from the hole before.

require_relative "run"
require_relative "../reason"

module NimbleEyelet
  module Placket
    # The outer end of a horizontal hole passes the centre line by this, so that the button's
    # shank lies on the line.
    SHANK_ALLOWANCE = Length.mm(3)
    # A keep-out is widened by half the hole's footprint and this.
    KEEP_CLEAR = Length.mm(3)

    # Along the run: at is the hole's place, from..to the overall length, open_from..open_to the
    # slit, button the button's place. Across: out_* from the centre line, positive toward the
    # finished edge. For a vertical hole the figures across are those of a line on the centre line.
    #
    # number - Integer from 1; pinned - String or nil, the pin's label
    # gap - Length to the hole above, or nil; cautions - Array<Caution>
    Hole = Value.define(:number, :at, :pinned, :gap, :from, :to, :open_from, :open_to, :button,
                        :out_outer, :out_inner, :cautions)

    # Builds the holes of a run from their places.
    class Holes
      # @param run [Run]
      # @param cut [Opening::Cut]
      # @param width [Length] total stitch width of a hole
      def initialize(run, cut, width)
        @run = run
        @cut = cut
        @width = width
      end

      # @param places [Array<Length>] ascending
      # @return [Array<Hole>]
      def at(places)
        places.each_with_index.map do |place, index|
          build(place, number: index + 1, gap: index.zero? ? nil : place - places[index - 1])
        end
      end

      # @return [Length] what a hole covers along the run
      def footprint = @run.vertical? ? @cut.overall : @width

      # @return [Length] how far a hole's place lies below the middle of its button
      def seat = @run.vertical? && @run.seat == "upper" ? half - SEAT_BELOW : Length.zero

      # @return [Length] how far the outer end of a hole lies outside the centre line
      def outer = @run.vertical? ? Length.zero : SHANK_ALLOWANCE + @cut.ends.near

      private

      def build(place, number:, gap:)
        along = @run.vertical? ? vertical(place) : horizontal(place)
        Hole.new(number: number, at: place, pinned: pin_at(place), gap: gap, **along, **across,
                 cautions: cautions(number, along[:from], along[:to]))
      end

      def vertical(place)
        open_from = place - half
        open_to = place + half
        { from: open_from - @cut.ends.near, to: open_to + @cut.ends.far, open_from: open_from, open_to: open_to,
          button: place - seat }
      end

      def half = @half ||= @cut.length / 2

      def horizontal(place)
        { from: place - (@width / 2), to: place + (@width / 2), open_from: place, open_to: place, button: place }
      end

      def across
        return { out_outer: Length.zero, out_inner: Length.zero } if @run.vertical?

        { out_outer: SHANK_ALLOWANCE, out_inner: SHANK_ALLOWANCE - @cut.length }
      end

      def pin_at(place) = @run.pins.find { |pin| pin.at == place }&.label

      def cautions(number, from, to)
        @run.keep_outs.filter_map do |keep_out|
          next if to + KEEP_CLEAR <= keep_out.from || from - KEEP_CLEAR >= keep_out.to

          Caution.new(rule: "keep-out",
                      says: Said["Hole #{number} comes within %s of #{keep_out.label.empty? ? 'a keep-out' : keep_out.label}: " \
                                 "the foot tilts there.", KEEP_CLEAR],
                      instead: "Move the first or last hole, pin a hole clear of it, or try one hole more or fewer.")
        end
      end
    end
  end
end
