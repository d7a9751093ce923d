# frozen_string_literal: true

# ButtonOutline is where a button that lies on its field ends, all round, as it is seen on the card.
#
#   ButtonOutline.of(sight, object).rim   # => Array<[x, y]>, mm on the card, one for each ray that shows it

require_relative "../value"
require_relative "edge_search"

module NimbleEyelet
  module PhotoReading
    # x, y - Float, mm, where the rays start; rim - Array<Array(Float, Float)>, mm
    class ButtonOutline < Value.of(:x, :y, :rim)
      RAYS = 96
      OUTLINE_STEP = 0.05
      # How far from where the coarse look ends it, mm.
      OUTLINE_AROUND = 2.6
      # Of the steepest change on a ray: a shadow's end is soft.
      OUTLINE_LEAST = 0.45
      # Of how steep the rim is as a rule.
      WEAKEST = 0.35
      # Of the contrast, how much it changes at least in a millimetre.
      OUTLINE_FAINTEST = 0.5
      # A fraction of a millimetre over which it is smoothed.
      OUTLINE_SMOOTH = 0.12
      # Lines beside a ray that are seen with it, mm: what is noise on one is none on all.
      OUTLINE_BESIDE = [-0.32, -0.16, 0.0, 0.16, 0.32].freeze

      # @param sight [CardSight]
      # @param object [FieldObject]
      # @return [ButtonOutline]
      def self.of(sight, object)
        half = [(OUTLINE_SMOOTH / OUTLINE_STEP).round, (0.6 / sight.resolution / OUTLINE_STEP).round].max
        found = (0...RAYS).filter_map do |number|
          turn = 2 * Math::PI * number / RAYS
          ray(sight, object, Math.cos(turn), Math.sin(turn), half)
        end
        slopes = found.map { |_, _, slope| slope.abs }.sort
        usual = slopes[slopes.size / 2] || 0
        # What changes far less than the rest of the rim is no rim.
        rim = found.select { |_, _, slope| slope.abs > usual * WEAKEST }.map { |x, y, _| [x, y] }
        new(x: object.x, y: object.y, rim: rim)
      end

      def self.ray(sight, object, across, down, half)
        from = [object.radius * 0.45, 0.8].max
        to = reach(object, across, down)
        lines = OUTLINE_BESIDE.map do |off|
          x = object.x - (off * down)
          y = object.y + (off * across)
          from.step(to, OUTLINE_STEP).map { |far| sight.grey(x + (far * across), y + (far * down)) }
        end
        slopes = EdgeSearch.slopes(lines.transpose.map { |greys| greys.sum / OUTLINE_BESIDE.size }, half)
        floor = object.contrast * OUTLINE_FAINTEST * OUTLINE_STEP
        at, slope = EdgeSearch.outermost(slopes, least: OUTLINE_LEAST, floor: floor)
        return unless at

        far = from + (at * OUTLINE_STEP)
        [object.x + (far * across), object.y + (far * down), slope]
      end

      # To the box round what the coarse look found, and a little on; never over the field's own edge.
      def self.reach(object, across, down)
        farthest = [beyond(across, object.x, object.left, object.right),
                    beyond(down, object.y, object.top, object.bottom)].min + OUTLINE_AROUND
        area = object.area
        [farthest, beyond(across, object.x, area.left + 0.6, area.right - 0.6), beyond(down, object.y, area.top + 0.6, area.bottom - 0.6)].min
      end

      def self.beyond(way, at, low, high)
        return Float::INFINITY if way.abs < 1e-6

        ((way.positive? ? high : low) - at) / way
      end
      private_class_method :ray, :reach, :beyond
    end
  end
end
