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
    # shank lies on the line; for a shank that is wide by half its width and a little room.
    SHANK_ALLOWANCE = Length.mm(3)
    SHANK_ROOM = Length.mm(1)
    PASSING_STEP = Length.mm(1r / 2)
    # A keep-out is widened by half the hole's footprint and this.
    KEEP_CLEAR = Length.mm(3)

    # Along the run: at is the hole's place, from..to the overall length, open_from..open_to the
    # slit, button the button's place. Across: out_* from the centre line, positive toward the
    # finished edge. For a vertical hole the figures across are those of a line along its row.
    #
    # number - Integer from 1; pinned - String or nil, the pin's label; opening - Length of its slit
    # sewn_outer, sewn_inner - Length, where its stitches end across, as out_*; width - Length across the slit
    # gap - Length to the hole above, or nil; lies - String, key of ORIENTATIONS; cautions - Array<Caution>
    # sewn - Boolean, it is in the garment already; starts - Array<StartMark>; edge - Length, outer end of the stitches
    #   to the finished edge
    # marked_edge - Length, edge as somebody finds it with a ruler
    # planned_edge - Length, edge as it would be planned now; turned - Boolean, it is sewn the other way round than that
    class Hole < Value.of(:number, :at, :pinned, :gap, :from, :to, :open_from, :open_to, :button, :out_outer,
                          :out_inner, :sewn_outer, :sewn_inner, :width, :opening, :edge, :lies, :cautions, sewn: false,
                          starts: [], marked_edge: nil, planned_edge: nil, turned: false)
      def vertical? = lies == "vertical"

      # @return [Length] outer end of its slit to the finished edge
      def from_edge = edge + sewn_outer - out_outer

      # @return [Length] how much nearer the edge it is sewn than it would be planned now, negative farther from it
      def off = turned ? Length.zero : planned_edge - edge

      # @return [Length] middle of its slit, along the run
      def middle = (open_from + open_to) / 2
    end

    # Builds the holes of a run from their places.
    class Holes
      # @param run [Run]
      # @param extent [Extent]
      # @param width [Length] total stitch width of a hole
      # @param foot [String, nil] key of FOOT_KINDS; nil where nothing is sewn by machine
      # @param button [Button] that goes through them
      # @param sewn [Array<SewnHole>] that are in the garment
      # @param beginning [Beginning, nil] of the machine
      def initialize(run, extent, width, foot, button, sewn: [], beginning: nil)
        @run = run
        @extent = extent
        @width = width
        @runway = foot && Runway.of(foot)
        @sewn = sewn.to_h { |hole| [hole.at, hole] }
        @beginning = beginning
        @fastens = button.fastens?
        @shank = button.shank? ? button.shank_width : nil
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
      def first_seat = @run.first_across? ? Length.zero : seat

      # @return [Length] how far a hole's place lies below the middle of its button
      def seat = upper_seat? ? (@extent.opening / 2) - seat_below(@extent.opening) : Length.zero

      # Where the hole of a pinned button goes, on a mark of the run.
      # @param pin [Pin]
      # @return [Length]
      def pinned(pin) = pin.hole? || !@fastens ? pin.at : (pin.at + seat).round_to(@run.grid_ruler.step)

      # @return [Length] how far the outer end of its stitches lies outside the centre line
      def outer = row_line + (@run.vertical? ? @width / 2 : passing + @extent.ends.near)

      # The outer end of a horizontal slit passes the centre line by this: the shank lies on the line; in a
      # keyhole the middle of the eye does. Without a button the slit's middle lies on it.
      # @return [Length] source: max(3, half the width of the button's shank + 1), up to what is marked by hand
      def passing
        return @extent.opening / 2 unless @fastens

        return @extent.ends.eye if @extent.ends.eye.positive?

        [SHANK_ALLOWANCE, *(@shank && ((@shank / 2) + SHANK_ROOM).round_up_to(PASSING_STEP))].max
      end

      # @return [Length] how far the row lies outside the centre line: nothing, unless there are two
      def row_line = @run.double? ? @run.offset : Length.zero

      private

      def upper_seat? = @fastens && @run.vertical? && @run.seat == "upper"

      # In a short slit the button sits in its middle at the highest.
      def seat_below(opening) = [SEAT_BELOW, opening / 2].min

      def build(place, number:, gap:)
        sewn = @sewn[place]
        opening = sewn&.opening || @extent.opening
        width = sewn&.width || @width
        lying = lying(planned_to_lie(number), opening, width, sewn)
        along = lying[:lies] == "vertical" ? vertical(place, opening) : horizontal(place, width)
        hole = Hole.new(number: number, at: place, pinned: pin_at(place), gap: gap, width: width, opening: opening,
                        sewn: !sewn.nil?, **along, **lying, cautions: [])
        hole.with(cautions: [(if hole.vertical?
                                @runway&.caution(hole, @run.keep_outs, turnable: @extent.ends.alike?)
                              end)].compact,
                  starts: @beginning ? @beginning.marks(hole, @run) : [])
      end

      def planned_to_lie(number) = number == 1 && @run.first_across? ? "horizontal" : @run.orientation

      # Of a slit, from the centre line.
      def outer_end(lies) = lies == "vertical" ? row_line : row_line + passing

      # As it would be planned, or where it was sewn.
      def lying(planned, opening, width, sewn)
        as_planned = across(planned, opening, width, outer_end(planned))
        known = sewn&.from_edge ? across(sewn.lies, opening, width, @run.extension - sewn.from_edge) : as_planned
        { lies: sewn&.lies || planned, **known, planned_edge: as_planned[:edge],
          marked_edge: known[:edge].round_to(@run.grid_ruler.finest),
          turned: ![nil, planned].include?(sewn&.lies) }
      end

      def vertical(place, opening)
        open_from = place - (opening / 2)
        open_to = place + (opening / 2)
        { from: open_from - @extent.ends.near, to: open_to + @extent.ends.far, open_from: open_from, open_to: open_to,
          button: upper_seat? ? (open_from + seat_below(opening)).round_down_to(@run.grid_ruler.finest) : place }
      end

      def horizontal(place, width)
        { from: place - (width / 2), to: place + (width / 2), open_from: place, open_to: place, button: place }
      end

      def across(lies, opening, width, outer)
        ends = @extent.ends
        inner = lies == "vertical" ? outer : outer - opening
        sewn_outer, sewn_inner = if lies == "vertical"
                                   [outer + (width / 2),
                                    outer - (width / 2)]
                                 else
                                   [outer + ends.near, inner - ends.far]
                                 end
        { out_outer: outer, out_inner: inner, sewn_outer: sewn_outer, sewn_inner: sewn_inner,
          edge: @run.extension - sewn_outer }
      end

      def pin_at(place) = @run.pins.find { |pin| pinned(pin) == place }&.label
    end
  end
end
