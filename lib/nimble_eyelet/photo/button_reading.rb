# frozen_string_literal: true

# ButtonReading measures a button that lies on the card: across, at every angle, and its holes.
#
#   reading = ButtonReading.of(sight, shape: "rounded", thick: nil)
#   reading.figures[:diameter]   # => Figure, mm

require_relative "button_body"
require_relative "button_holes"
require_relative "button_outline"
require_relative "calipers"
require_relative "field_object"
require_relative "figure"
require_relative "measuring_card"
require_relative "round_fit"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    class ButtonReading
      # Of a button nobody measured the thickness of: a share of its diameter, and how far that is off.
      USUAL_THICK = 0.19
      THICK_SPREAD = 0.06
      # What a typed thickness is off.
      TYPED_SPREAD = 0.15
      BUTTON_ROUND = %w[rounded flat rimmed domed half_ball ball].freeze
      # Rays that have to agree on a round outline.
      LEAST_AGREE = 0.6
      # Of the radius: what a round outline is off at most.
      MOST_OFF = 0.03
      # The box round a square button, of what seems to lie there.
      FILLED = (0.75..1.3)
      # What every edge of a picture is off, in pixels.
      EDGE_SPREAD = 0.23
      BUTTON_LEAST_CONTRAST = 9

      # @param sight [CardSight]
      # @param shape [String] key of BUTTON_SHAPES
      # @param thick [Float, nil] mm, where it was measured
      # @return [Reading]
      # @raise [Unreadable]
      def self.of(sight, shape: "rounded", thick: nil) = new(sight, shape, thick).reading

      def initialize(sight, shape, thick)
        @sight = sight
        @shape = shape
        @thick = thick
        @stand = sight.stand
      end

      # @return [Reading]
      # @raise [Unreadable]
      def reading
        @object = found
        @outline = ButtonOutline.of(@sight, @object)
        raise Unreadable.for(:unclear) if @outline.rim.size < ButtonOutline::RAYS * 0.6

        BUTTON_ROUND.include?(@shape) ? of_round : of_other
      end

      private

      # On the field where it stands out more.
      def found
        both = [MeasuringCard::LIGHT_FIELD, MeasuringCard::DARK_FIELD].filter_map { |area| FieldObject.on(@sight, area) }
        best = both.max_by { |one| one.contrast * [one.radius, 8].min }
        raise Unreadable.for(:no_button) unless best
        raise Unreadable.for(:at_edge) if best.cut
        raise Unreadable.for(:unclear) if best.contrast < BUTTON_LEAST_CONTRAST

        best
      end

      def of_round
        fit = fit(0)
        raise Unreadable.for(:unclear) unless fit && fit.agree > LEAST_AGREE
        raise Unreadable.for(:unclear) if fit.off > [MOST_OFF * fit.radius, 0.2].max

        other = fit(1)
        diameter = Figure.new(value: 2 * fit.radius,
                              spread: spread(2 * fit.radius, 2 * fit.spread, 2 * (other.radius - fit.radius)))
        Reading.new(figures: { diameter: diameter, **holes(fit.x, fit.y, fit.radius) }, sight: @sight, drawn: [*round(fit), *@drawn])
      end

      # With the thickness so many deviations larger.
      def fit(more)
        RoundFit.of(@outline, @stand) { |radius| ButtonBody.of(@shape, thick(radius, more), radius) }
      end

      def thick(radius, more = 0)
        usual = @thick || (USUAL_THICK * 2 * radius)
        off = @thick ? TYPED_SPREAD : THICK_SPREAD * 2 * radius
        [usual + (more * off), 0.3].max
      end

      def spread(size, fit, thick)
        Figure.spread(fit, thick, EDGE_SPREAD / @sight.resolution, size * PRINT_SPREAD, @sight.off)
      end

      def round(fit)
        body = ButtonBody.of(@shape, thick(fit.radius), fit.radius)
        rim = (0...48).map do |number|
          turn = 2 * Math::PI * number / 48
          across = Math.cos(turn)
          down = Math.sin(turn)
          off = [(fit.x - @stand[0]) / @stand[2], (fit.y - @stand[1]) / @stand[2]]
          far = body.seen(fit.radius, (off[0] * across) + (off[1] * down), (off[0] * down) - (off[1] * across),
                          @stand[2])
          @sight.project(fit.x + (far * across), fit.y + (far * down))
        end
        [Drawn.new(key: "diameter", kind: :outline, places: rim), Drawn.new(key: "diameter", kind: :line, places: [rim[0], rim[24]])]
      end

      def of_other
        radius = @object.radius
        widths, thicker = [0, 1].map do |more|
          Calipers.of(@outline, ButtonBody.of(@shape, thick(radius, more), radius), @stand)
        end
        raise Unreadable.for(:unclear) unless fills?(widths)

        figures = sides(widths).zip(sides(thicker)).to_h do |(key, size), (_, other)|
          [key, Figure.new(value: size, spread: spread(size, 0.3 / @sight.resolution, other - size))]
        end
        rim = @outline.rim.map { |point| @sight.project(*point) }
        lines = lines(widths).map do |key, turn|
          Drawn.new(key: key.to_s, kind: :line, places: widths.jaws(turn).map { |point| @sight.project(*point) })
        end
        holes = @shape == "bar" ? {} : holes(@object.x, @object.y, radius)
        Reading.new(figures: figures.merge(holes), sight: @sight,
                    drawn: [Drawn.new(key: "diameter", kind: :outline, places: rim), *lines, *@drawn])
      end

      # Whether its box is about as large as what was found at first sight.
      def fills?(widths)
        @shape != "square" || FILLED.cover?(widths.box.reduce(:*) / (Math::PI * (@object.radius**2)))
      end

      def sides(widths)
        case @shape
        when "square" then %i[diameter width].zip(widths.box)
        when "bar" then [[:diameter, widths.largest.first], [:thickness, widths.smallest.first]]
        else [[:diameter, widths.largest.first], [:width, widths.smallest.first]]
        end
      end

      def lines(widths)
        narrow = widths.smallest.last
        wide = @shape == "square" ? (narrow + (Calipers::JAW_TURNS / 2)) % Calipers::JAW_TURNS : widths.largest.last
        { diameter: wide, (@shape == "bar" ? :thickness : :width) => narrow }
      end

      def holes(x, y, radius)
        high = thick(radius)
        found = ButtonHoles.of(@sight, x, y, radius, high) or return {}
        middles = found.middles.map { |place| @sight.project(*place, high) }
        @drawn = [Drawn.new(key: "hole_spacing", kind: :points, places: middles)]
        higher = (thick(radius, 1) - high) / @stand[2] * found.spacing
        off = Figure.spread(0.08 / @sight.resolution, found.spacing * PRINT_SPREAD, higher, found.uneven / 8, 0.006)
        { hole_spacing: Figure.new(value: found.spacing, spread: off),
          hole_diameter: Figure.new(value: found.across, spread: 0.15) }
      end
    end
  end
end
