# frozen_string_literal: true

# HoleReading measures a sewn hole that is seen through the window of the card.
#
#   reading = HoleReading.of(sight)
#   reading.figures[:slit]          # => Figure, mm
#   reading.figures[:left_per_cm]   # => Figure, stitches a centimetre

require_relative "figure"
require_relative "hole_edges"
require_relative "hole_grid"
require_relative "hole_place"
require_relative "hole_slit"
require_relative "stitch_count"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    class HoleReading
      # px a millimetre: below, threads run together.
      HOLE_COARSEST = 7.5
      # Of the length, what shows both sides and nothing of the ends.
      HOLE_MIDDLE = 0.3
      # Of a side, how much of its rim is looked at for its stitches.
      HOLE_RIM = 0.3
      # What every length is off, mm.
      ROUGH = { slit: 0.1, overall: 0.09, left: 0.07, right: 0.07, room: 0.08 }.freeze
      # Degrees.
      SKEW_SPREAD = 0.3
      # How far the ends of the slit are no stitches of a side, mm.
      ENDS = 0.4

      # @param sight [CardSight]
      # @return [Reading]
      # @raise [Unreadable]
      def self.of(sight) = new(sight).reading

      def initialize(sight)
        @sight = sight
      end

      # @return [Reading]
      # @raise [Unreadable]
      def reading
        raise Unreadable.for(:far) if @sight.resolution < HOLE_COARSEST

        @place = HolePlace.of(@sight) or raise Unreadable.for(:no_hole)
        @grid = HoleGrid.of(@sight, @place)
        half = @place.long * HOLE_MIDDLE
        @edges = HoleEdges.of(@grid, half: half, soft: soft)
        @slit = HoleSlit.of(@grid, @edges, half: half)
        Reading.new(figures: figures, drawn: drawn, sight: @sight)
      end

      private

      def soft = 0.5 / @sight.resolution

      def figures
        left, inner_left, inner_right, right = @edges.sides
        lengths = { slit: @slit.ends, overall: @edges.ends, left: [left, inner_left], right: [inner_right, right],
                    room: [inner_left, inner_right] }.to_h { |key, (from, to)| [key, length(key, to - from)] }
        skew = Figure.new(value: @place.turn * 180 / Math::PI, spread: SKEW_SPREAD)
        across = @slit.crossed&.then { |count| { across: Figure.new(value: count, spread: SKEW_SPREAD) } }
        { **lengths, **counts(left => inner_left, right => inner_right), skew: skew, **across.to_h }
      end

      def length(key, size)
        Figure.new(value: size, spread: Figure.spread(ROUGH.fetch(key), soft * 0.5, size * PRINT_SPREAD, @sight.off))
      end

      # On the outer rim of each side.
      def counts(sides)
        rows = @grid.row(@slit.ends[0] + ENDS)..@grid.row(@slit.ends[1] - ENDS)
        %i[left_per_cm right_per_cm].zip(sides).filter_map do |key, (outer, inner)|
          rim = [outer, outer + ((inner - outer) * HOLE_RIM)].sort
          found = StitchCount.of(@grid.along(*rim)[rows], HoleGrid::ALONG)
          [key, Figure.new(value: found.per_cm, spread: found.spread)] if found
        end.to_h
      end

      def drawn
        left, inner_left, inner_right, right = @edges.sides
        upper, lower = @edges.ends
        middle = (inner_left + inner_right) / 2
        [Drawn.new(key: "overall", kind: :outline, places: seen([[left, upper], [right, upper], [right, lower], [left, lower]])),
         Drawn.new(key: "slit", kind: :line, places: seen(@slit.ends.map { |low| [middle, low] }))]
      end

      def seen(places) = places.map { |right, low| @sight.project(*@place.on_card(right, low)) }
    end
  end
end
