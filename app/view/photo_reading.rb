# frozen_string_literal: true

# What a photo says: each figure with how far it may be off, and what is drawn over the picture.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module PhotoReadingView
      # name, and the field it belongs into, by figure.
      FIGURES = {
        diameter: ["Diameter", "button.diameter"], width: ["Smallest width", "button.width"],
        thickness: ["Thickness", "button.thickness"], hole_spacing: ["Hole spacing", "button.hole_spacing"],
        hole_diameter: ["Hole diameter", "button.hole_diameter"], slit: ["Cut length", "swatch.measured"],
        overall: ["Overall length", nil], left: ["Width of the left-hand side", nil], right: ["Width of the right-hand side", nil],
        room: ["Room to cut", nil], left_per_cm: ["Stitches in 1 cm, left", nil],
        right_per_cm: ["Stitches in 1 cm, right", nil],
        skew: ["Tilt in the window", nil], across: ["Threads across the slit", nil]
      }.freeze
      # Figures that are no lengths, and their unit.
      COUNTED = { left_per_cm: "", right_per_cm: "", across: "", skew: "°" }.freeze
      # A length is told to a tenth of a millimetre.
      TENTH = 1r / 10
      INCH = 25.4

      # @param reading [PhotoReading::Reading]
      # @param present [Presenter]
      # @param named [Hash{Symbol => String}] what a figure is called otherwise
      # @return [Hash]
      def self.of(reading, present, named = {})
        camera = reading.sight.fit.camera
        full = reading.sight.picture.full
        { figures: reading.figures.map { |key, figure| figure(key, figure, present, named[key]) },
          drawn: reading.drawn.map { |one| drawn(one, full) },
          eye: { numbers: camera.numbers, width: full.width, height: full.height } }
      end

      # To a tenth of a millimetre; in inches in decimals, as a caliper shows them: the nearest fraction of a ruler is
      # farther off than the photo.
      #
      # @param mm [Float]
      # @param present [Presenter]
      # @return [Hash] a length
      def self.length(mm, present)
        return present.length(Length.mm((mm / TENTH).round * TENTH)) unless present.unit == :in

        { mm: mm.round(4), text: format("%.3f in", mm / INCH) }
      end

      def self.figure(key, figure, present, name)
        own, path = FIGURES.fetch(key)
        unit = COUNTED[key]
        text = if unit
                 "#{key == :across ? figure.value.round : figure.value.round(1)}#{unit}"
               else
                 length(figure.value, present)[:text]
               end
        within = length([(figure.reach / TENTH).ceil, 1].max * TENTH, present)[:text] unless unit
        { key: key.to_s, name: name || own, path: path, text: text, value: figure.value.round(3),
          spread: figure.spread.round(4), within: within }
      end

      # As shares of the picture.
      def self.drawn(one, full)
        { key: one.key, kind: one.kind.to_s,
          places: one.places.map { |x, y| [((x + 0.5) / full.width).round(5), ((y + 0.5) / full.height).round(5)] } }
      end
      private_class_method :figure, :drawn
    end
  end
end
