# frozen_string_literal: true

# PhotoTrial photographs things of which the truth is known, reads them, and says how far off each figure is.
#
#   PhotoTrial.new("button", 17).off   # => { diameter: [0.04, 0.05], hole_spacing: [0.01, 0.02] }, mm and its deviation

require_relative "../../app/device/camera/pixels"
require_relative "../../app/device/stand_in_camera"
require_relative "core_values"

module NimbleEyelet
  module Support
    class PhotoTrial
      include CoreValues

      # What a figure may be off, mm or share of it.
      LIMITS = { diameter: 0.15, hole_spacing: 0.1, thickness: 0.25, slit: 0.3 }.freeze
      STITCHES = 0.04
      Card = PhotoReading::MeasuringCard
      Lying = Device::Lying
      SHAPES = %w[rounded rounded rounded flat rimmed domed half_ball ball square].freeze
      STANDING = %w[rounded rounded flat rimmed domed].freeze
      # Fine enough for stitches.
      SIZES = { "button" => [1600, 1200], "edge" => [1600, 1200], "hole" => [2400, 1800] }.freeze
      # Degrees: straight enough above the slot.
      ACROSS = 12

      # @param what [String] of PhotoReading::Survey::SURVEY_WHAT
      # @param seed [Integer]
      # @param broken [Symbol, nil] of StandInCamera::BROKEN
      # @param size [Array(Integer, Integer), nil] px
      # @param alone [Boolean] nothing else of it is known
      def initialize(what, seed, broken: nil, size: nil, alone: false)
        @what = what
        @random = Random.new(seed)
        @size = size || SIZES.fetch(what)
        @broken = broken
        @alone = alone
      end

      def thing = @thing ||= send(@what)

      # @return [Device::Shot]
      def shot
        @shot ||= Device::StandInCamera.new(random: @random, size: @size)
                                       .shot(thing, broken: @broken, across: @what == "edge" ? ACROSS : nil)
      end

      # As somebody who measured one figure and photographs the other; or nothing yet.
      def reading
        known = { thick: roughly(:thickness), across: @what == "edge" ? roughly(:diameter) : nil }.compact
        known = {} if @alone
        shape = thing.respond_to?(:shape) ? thing.shape : "rounded"
        PhotoReading::Survey.of(Device::Pixels.read(shot.jpeg), what: @what, shape: shape, **known)
      end

      # @return [Hash{Symbol => Array(Float, Float)}] how far off, and what it was said to be off as a rule
      # @raise [PhotoReading::Unreadable]
      def off
        figures = reading.figures
        shot.truth.filter_map do |key, truth|
          [key, [figures[key].value - truth, figures[key].spread, truth]] if figures[key]
        end.to_h
      end

      # @return [Boolean]
      def self.within?(key, off, truth)
        off.abs <= (key.to_s.end_with?("per_cm") ? STITCHES * truth : LIMITS.fetch(key, Float::INFINITY))
      end

      private

      def roughly(figure) = thing.respond_to?(figure) ? thing.public_send(figure) + @random.rand(-0.15..0.15) : nil
      def tint = [1.0, @random.rand(0.7..1.0), @random.rand(0.6..1.0)]
      def light = @light ||= @random.rand(30..225)
      def on_dark? = light > 105

      def button
        shape = SHAPES.sample(random: @random)
        diameter = @random.rand({ "ball" => 8.0..14.0, "half_ball" => 8.0..18.0 }.fetch(shape, 8.0..28.0))
        thick = { "half_ball" => diameter / 2, "ball" => diameter }.fetch(shape) { diameter * @random.rand(0.12..0.26) }
        aside = diameter > 20 ? 1.5 : 3.5
        x, y = (on_dark? ? Card::DARK_FIELD : Card::LIGHT_FIELD).middle.map { |middle| middle + @random.rand(-aside..aside) }
        shadow = Array.new(2) { @random.rand(-0.6..0.6) }
        Lying::LyingButton.new(shape: shape, diameter: diameter, thickness: thick, x: x, y: y, turn: @random.rand(6.28),
                               light: light, tint: tint, shadow: shadow, **holes(shape, diameter))
      end

      def holes(shape, diameter)
        return { holes: 0 } unless %w[rounded flat rimmed square].include?(shape)

        hole = [diameter * 0.11, 1.2].max * @random.rand(0.9..1.2)
        { holes: [2, 4].sample(random: @random), hole: hole, spacing: hole * @random.rand(1.5..1.9) }
      end

      def edge
        diameter = @random.rand(8.0..28.0)
        slot = on_dark? ? Card::DARK_SLOT : Card::LIGHT_SLOT
        thick, deep = [0.12..0.26, -0.045..0.045].map { |share| diameter * @random.rand(share) }
        x = ((slot.left + slot.right) / 2) + @random.rand(-2.0..2.0)
        y = slot.y + @random.rand(-0.15..0.15)
        Lying::StandingButton.new(shape: STANDING.sample(random: @random), diameter: diameter, thickness: thick, deep: deep,
                                  light: light, tint: tint, x: x, y: y)
      end

      def hole
        fabric = @random.rand(40..225)
        thread = fabric + (@random.rand(28.0..110.0) * [1, -1].sample(random: @random))
        thread = (2 * fabric) - thread unless thread.between?(25, 245)
        x, y = Card::WINDOW.middle
        across = @random.rand < 0.3 ? [@random.rand(0.2..0.8)] : []
        Lying::SewnHole.new(path: Stitches::Path.sew(shape, machine("sensing")), x: x + @random.rand(-2.0..2.0),
                            y: y + @random.rand(-4.0..4.0), turn: @random.rand(-0.12..0.12), fabric: fabric,
                            thread: thread, tint: tint, cut: @random.rand < 0.8, under: thread < 100 ? 215 : 28,
                            weave: @random.rand(0.35..0.8), across: across, thick: @random.rand(0.24..0.32),
                            random: @random)
      end

      def shape
        near = @random.rand(1.0..2.0)
        Stitches::HoleShape.new(near_end: :tack, far_end: :tack, opening: @random.rand(9.0..28.0), near: near,
                                far: near, width: @random.rand(3.2..5.2), space: @random.rand(0.35..0.8),
                                length: @random.rand(0.3..0.5), balance: @random.rand(-0.06..0.06))
      end
    end
  end
end
