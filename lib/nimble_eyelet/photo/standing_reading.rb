# frozen_string_literal: true

# StandingReading measures how thick a button is that stands on its edge in the slot of the card.
#
#   reading = StandingReading.of(sight, shape: "rounded", across: 18.0)
#   reading.figures[:thickness]   # => Figure, mm

require_relative "edge_search"
require_relative "figure"
require_relative "measuring_card"
require_relative "standing_body"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    class StandingReading
      STANDING_STEP = 0.05
      # How far from the slot is looked, mm, and beside a line.
      STANDING_AROUND = 7.4
      STANDING_BESIDE = [-0.2, 0.0, 0.2].freeze
      # Thinner is the slot itself.
      THINNEST = 0.9
      # mm on the card that the camera may lean across for each mm of height: 15 degrees.
      MOST_LEAN = 0.27
      # How deep it is pushed through is off by so much of its diameter.
      DEEP_SPREAD = 0.035
      # A diameter that is farther off what stands there, as a share, was never measured.
      OTHER = 0.12
      # Of a diameter nobody measured, from how long it stands there.
      STANDING_LENGTH_SPREAD = 0.03
      STANDING_SMOOTH = 3
      STANDING_LEAST = 0.45
      STANDING_LEAST_CONTRAST = 9

      # @param sight [CardSight]
      # @param shape [String] key of BUTTON_SHAPES
      # @param across [Float, nil] mm, its diameter, where it was measured
      # @return [Reading]
      # @raise [Unreadable]
      def self.of(sight, shape: "rounded", across: nil) = new(sight, shape, across).reading

      def initialize(sight, shape, across)
        @sight = sight
        @shape = shape
        @across = across
        @stand = sight.stand
      end

      # @return [Reading]
      # @raise [Unreadable]
      def reading
        raise Unreadable.for(:across) if lean.abs > MOST_LEAN

        slot, @columns = found
        columns = middle(@columns)
        raise Unreadable.for(:unclear) if columns.size < 6

        thick, spread = solved(slot, columns)
        Reading.new(figures: { thickness: Figure.new(value: thick, spread: spread) }, drawn: drawn(columns), sight: @sight)
      end

      private

      def lean = (MeasuringCard::LIGHT_SLOT.y - @stand[1]) / @stand[2]

      # The slot in which more stands, and where it ends in each column.
      def found
        both = { MeasuringCard::LIGHT_SLOT => MeasuringCard::LIGHT_BAND, MeasuringCard::DARK_SLOT => MeasuringCard::DARK_BAND }
        seen = both.map { |slot, band| [slot, columns(slot, band)] }
        best = seen.max_by { |_, columns| columns.sum { |column| column[:contrast] } }
        raise Unreadable.for(:no_slot) if best.last.size < 8

        @length = (best.last.last[:number] - best.last.first[:number] + 1) * StandingBody::COLUMN
        best
      end

      def columns(slot, band)
        from = (band.left + 1.0) / StandingBody::COLUMN
        to = (band.right - 1.0) / StandingBody::COLUMN
        all = (from.ceil..to.floor).filter_map { |number| column(slot, number) }
        together(all)
      end

      # The longest stretch without a gap.
      def together(columns)
        columns.slice_when { |one, other| other[:number] - one[:number] > 2 }.max_by(&:size) || []
      end

      def column(slot, number)
        x = number * StandingBody::COLUMN
        greys = lines(x, slot.y)
        ground = (greys.first(16) + greys.last(16)).sort.then { |ends| ends[ends.size / 2] }
        contrast = contrast(greys, ground)
        return if contrast < STANDING_LEAST_CONTRAST

        ends(greys, contrast)&.then do |upper, lower|
          from = slot.y - STANDING_AROUND
          { number: number, upper: from + (upper * STANDING_STEP), lower: from + (lower * STANDING_STEP),
            contrast: contrast }
        end
      end

      def lines(x, y)
        steps = (-STANDING_AROUND).step(STANDING_AROUND, STANDING_STEP).to_a
        lines = STANDING_BESIDE.map { |off| steps.map { |far| @sight.grey(x + off, y + far) } }
        lines.transpose.map { |greys| greys.sum / STANDING_BESIDE.size }
      end

      # Beside the slot, where only a button differs from the ground.
      def contrast(greys, ground)
        middle = greys.size / 2
        near = (THINNEST / 2 / STANDING_STEP).round
        [greys[middle - near], greys[middle + near]].map { |grey| (grey - ground).abs }.min
      end

      # From each side the outermost change that is not far less than the greatest.
      def ends(greys, contrast)
        slopes = EdgeSearch.slopes(greys, [STANDING_SMOOTH, (0.6 / @sight.resolution / STANDING_STEP).round].max)
        lower, = EdgeSearch.outermost(slopes, least: STANDING_LEAST, floor: contrast * 0.5 * STANDING_STEP)
        upper, = EdgeSearch.outermost(slopes.reverse, least: STANDING_LEAST, floor: contrast * 0.5 * STANDING_STEP)
        return unless lower && upper

        upper = greys.size - 1 - upper
        [upper, lower] if (lower - upper) * STANDING_STEP > THINNEST
      end

      def middle(columns)
        off = columns.size / 4
        columns[off...(columns.size - off)]
      end

      # Of a button with unlike faces, whichever way round it looks more like.
      def solved(slot, columns)
        @x = (columns.first[:number] + columns.last[:number]) * StandingBody::COLUMN / 2
        @y = slot.y
        ways = [false, true].to_h { |turned| [turned, thick(columns, turned: turned)] }
        turned, = ways.min_by { |way, found| unlike(way, found) }
        deep = across * DEEP_SPREAD
        others = [{ high: deep }, { by: 1 + STANDING_LENGTH_SPREAD }].map do |off|
          thick(columns, turned: turned, **off)
        end
        [ways[turned], Figure.spread(rough(columns), *others.map { |one| one - ways[turned] }, 0.2 / @sight.resolution, 0.03)]
      end

      # How far the two outlines are off from those of such a body, whereever it stands.
      def unlike(turned, thick)
        meant = placed(StandingBody.new(@shape, across, thick, @stand, turned: turned), @columns)
        %i[upper lower].each_with_index.sum do |side, at|
          off = @columns.filter_map { |column| meant[column[:number]]&.then { |ends| column[side] - ends[at] } }.sort
          # What lies in the middle half of them.
          off.empty? ? 99.0 : off[off.size * 3 / 4] - off[off.size / 4]
        end
      end

      # What was typed, unless what stands there is another button.
      def across
        @across && (@across - @length).abs < OTHER * @length ? @across : @length
      end

      # Source: halving.
      def thick(columns, high: 0.0, by: 1.0, turned: false)
        low = 0.4
        up = 24.0
        18.times do
          half = (low + up) / 2
          body = StandingBody.new(@shape, across * by, half, @stand, turned: turned, high: high)
          more(body, columns).positive? ? low = half : up = half
        end
        (low + up) / 2
      end

      # How much wider it is seen than such a body would be.
      def more(body, columns)
        meant = placed(body, columns)
        off = columns.filter_map do |column|
          upper, lower = meant[column[:number]]
          upper && (column[:lower] - column[:upper] - (lower - upper))
        end.sort
        off.empty? ? 1.0 : off[off.size / 2]
      end

      # Its middle seems to stand elsewhere than it does.
      def placed(body, columns)
        off = (columns.first[:number] + columns.last[:number]) - body.widths(@x, @y).keys.minmax.sum
        body.widths(@x + (off * StandingBody::COLUMN / 2), @y)
      end

      # How far apart neighbours are.
      def rough(columns)
        widths = columns.map { |column| column[:lower] - column[:upper] }
        apart = widths.each_cons(2).map { |one, other| (one - other).abs }.sort
        apart[apart.size / 2] / Math.sqrt(columns.size)
      end

      def drawn(columns)
        at = columns[columns.size / 2]
        x = at[:number] * StandingBody::COLUMN
        upper = columns.map { |column| @sight.project(column[:number] * StandingBody::COLUMN, column[:upper]) }
        lower = columns.map { |column| @sight.project(column[:number] * StandingBody::COLUMN, column[:lower]) }
        [Drawn.new(key: "thickness", kind: :outline, places: upper + lower.reverse),
         Drawn.new(key: "thickness", kind: :line, places: [@sight.project(x, at[:upper]), @sight.project(x, at[:lower])])]
      end
    end
  end
end
