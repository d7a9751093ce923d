# frozen_string_literal: true

# A button flat on the card, a button on its edge in the slot, and a sewn hole under the window, to photograph for
# practice and for tests. Their true figures are known.

require_relative "../../../lib/nimble_eyelet"
require_relative "canvas"

module NimbleEyelet
  module Device
    # What can lie there. Colours are lightness, 0 to 255, tinted.
    module Lying
      Card = PhotoReading::MeasuringCard
      # Lighter ones stand out on the dark field.
      DARKISH = 105
      private_constant :Card, :DARKISH

      # As somebody lays it down: about in the middle of the field on which it stands out.
      #
      # @param button [NimbleEyelet::Button]
      # @param random [Random]
      # @return [LyingButton]
      def self.flat(button, random)
        light = random.rand(30..220)
        area = light > DARKISH ? Card::DARK_FIELD : Card::LIGHT_FIELD
        spacing = button.hole_spacing.to_f
        x, y = area.middle.map { |middle| middle + random.rand(-2.0..2.0) }
        LyingButton.new(**made(button), x: x, y: y, turn: random.rand(0.0..6.28), light: light, holes: button.holes,
                                        spacing: spacing, hole: [button.hole_diameter.to_f, spacing * 0.7].min,
                                        shadow: Array.new(2) { random.rand(-0.5..0.5) })
      end

      # @return [StandingButton]
      def self.standing(button, random)
        light = random.rand(30..220)
        slot = light > DARKISH ? Card::DARK_SLOT : Card::LIGHT_SLOT
        deep = button.diameter.to_f * random.rand(-0.03..0.03)
        StandingButton.new(**made(button), x: ((slot.left + slot.right) / 2) + random.rand(-1.5..1.5),
                                           y: slot.y + random.rand(-0.1..0.1), deep: deep, light: light)
      end

      # @param path [Stitches::Path]
      # @param random [Random]
      # @return [SewnHole]
      def self.hole(path, random)
        middle = Card::WINDOW.middle
        SewnHole.new(path: path, x: middle[0] + random.rand(-1.5..1.5), y: middle[1] + random.rand(-3.0..3.0),
                     turn: random.rand(-0.08..0.08), fabric: random.rand(170..215), thread: random.rand(105..130),
                     random: random)
      end

      # Every shape that is no square lies there as a disc does.
      def self.made(button)
        { shape: button.form.key, diameter: button.across.to_f, thickness: button.height.to_f }
      end
      private_class_method :made

      # How far from its axis a button's surface is, by height: as shares of radius and thickness, mm.
      # @return [Array(Float, Float)] heights and radii, from the bottom up
      def self.profile(shape, radius, thick, levels = 20)
        (0..levels).map do |number|
          high = thick * number / levels
          [high, within(shape, radius, thick, high)]
        end
      end

      def self.within(shape, radius, thick, high)
        case shape
        when "flat", "square", "rimmed" then radius
        when "ball" then Math.sqrt([(radius**2) - ((high - radius)**2), 0].max)
        when "domed", "half_ball"
          curve = ((radius**2) + (thick**2)) / (2 * thick)
          Math.sqrt([(curve**2) - ((high + curve - thick)**2), 0].max)
        else
          half = thick / 2
          radius - half + Math.sqrt([(half**2) - ((high - half)**2), 0].max)
        end
      end

      # @return [Array<Array(Float, Float)>] outline about 0, 0, of that radius
      def self.outline(shape, radius, turn)
        return Canvas.circle(0.0, 0.0, radius) unless shape == "square"

        # A square with rounded corners, its sides twice the radius apart.
        corner = radius * 0.25
        (0...64).map do |number|
          angle = (2 * Math::PI * number / 64) + 0.01
          x = ((radius - corner) * (Math.cos(angle) <=> 0)) + (corner * Math.cos(angle))
          y = ((radius - corner) * (Math.sin(angle) <=> 0)) + (corner * Math.sin(angle))
          [(x * Math.cos(turn)) - (y * Math.sin(turn)), (x * Math.sin(turn)) + (y * Math.cos(turn))]
        end
      end

      # shape - String; diameter, thickness, spacing, hole - Float, mm; holes - Integer; tint - Array of three shares
      # x, y - Float, mm on the card; turn - Float, radians; light - Float, lightness
      class LyingButton < Value.of(:shape, :diameter, :thickness, :x, :y, turn: 0.0, light: 120, tint: [1.0, 1.0, 1.0],
                                   holes: 4, spacing: 3.0, hole: 1.8, shadow: [0.5, 0.3])
        # A shadow grows dark by so many layers.
        SOFT = 16
        private_constant :SOFT

        def truth
          { diameter: diameter, thickness: thickness }.merge(holes.positive? ? { hole_spacing: spacing } : {})
        end

        def draw(canvas)
          shadow_on(canvas)
          levels = Lying.profile(shape, diameter / 2, thickness)
          levels.each_with_index do |(high, radius), number|
            slope = number.zero? ? 0.2 : ((levels[number - 1][1] - radius) / (thickness / 20)).clamp(0, 1)
            level(canvas, high, radius, 0.82 + (0.18 * slope))
          end
          face(canvas)
        end

        private

        def grey(by) = tint.map { |share| light * share * by }

        def level(canvas, high, radius, by)
          return if radius < 0.05

          rim = Lying.outline(shape, radius, turn).map { |right, low| [x + right, y + low, high] }
          canvas.polygon(rim, fill: grey(by))
        end

        def face(canvas)
          high = thickness
          if holes.zero?
            return unless shape == "shank"

            canvas.disc(x, y, 1.6, fill: grey(0.5), high: high + 1)
          elsif %w[rounded flat rimmed square].include?(shape)
            canvas.polygon(Lying.outline(shape, diameter * 0.36, turn).map { |right, low| [x + right, y + low, high] },
                           fill: grey(0.94))
            places.each do |right, low|
              canvas.disc(x + right, y + low, hole / 2, fill: Array.new(3, [light * 0.35, 32].min), high: high)
            end
          end
        end

        def places
          half = spacing / 2
          all = holes == 2 ? [[-half, 0.0], [half, 0.0]] : [[-half, -half], [half, -half], [half, half], [-half, half]]
          all.map do |right, low|
            [(right * Math.cos(turn)) - (low * Math.sin(turn)), (right * Math.sin(turn)) + (low * Math.cos(turn))]
          end
        end

        def shadow_on(canvas)
          SOFT.times do |number|
            by = 1 - (2.0 * number / SOFT)
            canvas.polygon(Lying.outline(shape, (diameter / 2) + (by * thickness * 0.35), turn).map do |right, low|
              [x + right + (shadow[0] * thickness), y + low + (shadow[1] * thickness), 0.0]
            end, fill: [20, 20, 24], opacity: 0.028)
          end
        end
      end

      # deep - Float, mm, how far its middle lies above the card
      class StandingButton < Value.of(:shape, :diameter, :thickness, :x, :y, deep: 0.0, light: 120,
                                      tint: [1.0, 1.0, 1.0])
        SLICES = 24

        def truth = { thickness: thickness }

        def draw(canvas)
          4.times do |number|
            canvas.polygon([[-0.5, -0.5], [0.5, -0.5], [0.5, 0.5], [-0.5, 0.5]].map do |right, low|
              [x + (right * diameter * 0.98), y + 0.5 + (low * (thickness + (number * 0.8))), 0.0]
            end, fill: [20, 20, 24], opacity: 0.07)
          end
          slices = slices(canvas.above).map { |off, radius| slice(off, radius) }
          slices.each_cons(2) { |far, near| canvas.polygon(far + near.reverse, fill: grey(0.95)) }
          canvas.polygon(slices.last, fill: grey(0.74))
        end

        private

        def grey(by) = tint.map { |share| light * share * by }

        # From the far one to the near one.
        def slices(camera)
          all = Lying.profile(shape, diameter / 2, thickness, SLICES).map do |high, radius|
            [high - (thickness / 2), radius]
          end
          camera[1] < y ? all.reverse : all
        end

        def slice(off, radius)
          (0..36).map do |number|
            turn = (Math::PI * 1.2 * number / 36) - (Math::PI * 0.1)
            [x + (radius * Math.cos(turn)), y + off, [deep + (radius * Math.sin(turn)), 0.0].max]
          end
        end
      end

      # path - Stitches::Path; fabric, thread - Float, lightness; turn - Float, radians; cut - Boolean
      # under - Float, lightness of what is seen through a cut slit; across - Array<Float>, shares of the slit where a
      # thread lies across; gape, thick, weave - Float, mm: how far each side of a cut slit moves out, the thread, and
      # from thread to thread of the fabric
      class SewnHole < Value.of(:path, :x, :y, turn: 0.0, fabric: 170, thread: 120, tint: [1.0, 1.0, 1.0], cut: true,
                                under: 28, across: [], weave: 0.45, thick: 0.27, gape: 0.25, random: Random.new(1))
        # Half of what a blade opens at least, mm.
        BLADE = 0.1
        private_constant :BLADE

        def truth
          shape = path.shape
          { slit: shape.opening, overall: shape.overall, left: shape.bead + thick, right: shape.bead + thick,
            room: shape.space + gaping(0.4) - thick,
            left_per_cm: per_cm("left"), right_per_cm: per_cm("right"), skew: turn * 180 / Math::PI, across: across.size }
        end

        def draw(canvas)
          window = PhotoReading::MeasuringCard::WINDOW
          canvas.area(window, fill: cloth(1))
          weave_on(canvas, window)
          stitches(canvas)
          slit(canvas) if cut
          across.each { |share| stray(canvas, share) }
        end

        private

        def cloth(by) = tint.map { |share| fabric * share * by }
        def yarn(by) = tint.rotate.map { |share| thread * share * by }

        def per_cm(side)
          points = path.parts.find { |part| part.name.start_with?(side) }.points.map(&:last)
          10.0 * (points.size - 1) / (points.max - points.min)
        end

        # From the middle of the hole to the card.
        def place(right, low)
          low -= path.shape.overall / 2
          [x + (right * Math.cos(turn)) - (low * Math.sin(turn)), y + (right * Math.sin(turn)) + (low * Math.cos(turn))]
        end

        def weave_on(canvas, window)
          window.left.step(window.right, weave) do |at|
            canvas.line([[at, window.top], [at, window.bottom]], weave * 0.4, fill: cloth(0.9), opacity: 0.6)
          end
          window.top.step(window.bottom, weave) do |at|
            canvas.line([[window.left, at], [window.right, at]], weave * 0.4, fill: cloth(1.08), opacity: 0.5)
          end
        end

        # How much wider a cut slit stands open, at a share of its length.
        def gaping(share) = cut ? 2 * gape * Math.sin(Math::PI * share.clamp(0.0, 1.0)) : 0.0

        def spread(right, low)
          from, to = path.shape.slit
          right + ((right <=> 0) * gaping((low - from) / (to - from)) / 2)
        end

        # The blade parts the threads too: a dark line from end to end.
        def slit(canvas)
          from, to = path.shape.slit
          right = (0..16).map do |number|
            share = number / 16.0
            [[(path.shape.space - thick + gaping(share)) / 2, BLADE].max, from + ((to - from) * share)]
          end
          points = right + right.reverse.map { |out, low| [-out, low] }
          canvas.polygon(points.map { |point| place(*point) }, fill: Array.new(3, under))
        end

        def stitches(canvas)
          path.points.each_cons(2) do |from, to|
            ends = [from, to].map do |right, low|
              place(spread(right, low) + random.rand(-0.03..0.03), low + random.rand(-0.02..0.02))
            end
            canvas.line(ends, thick, fill: yarn(0.84))
            canvas.line(ends, thick * 0.5, fill: yarn(1.16))
          end
        end

        def stray(canvas, share)
          from, to = path.shape.slit
          low = from + (share * (to - from))
          canvas.line([place(-0.8, low - 0.15), place(0.8, low + 0.15)], thick * 0.8, fill: yarn(1))
        end
      end
    end
  end
end
