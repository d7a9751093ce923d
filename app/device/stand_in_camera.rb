# frozen_string_literal: true

# StandInCamera photographs the printed card as somebody does with a phone: by hand, from above, through a lens that
# bends straight lines, in uneven light, with noise and a little blur, as a JPEG.
#
#   shot = Device::StandInCamera.new(random: Random.new(7)).shot(button)
#   shot.jpeg    # => String
#   shot.truth   # => { diameter: 18.0, … }, mm

require "vips"
require_relative "../../lib/nimble_eyelet"
require_relative "camera/canvas"
require_relative "camera/lying"

module NimbleEyelet
  module Device
    # jpeg - String; truth - Hash of Symbol to Float, mm
    Shot = Value.of(:jpeg, :truth)

    class StandInCamera
      Card = PhotoReading::MeasuringCard
      # What can be wrong with a picture.
      BROKEN = %i[covered oblique unfocused scaled].freeze
      PAPER = [236, 234, 229].freeze
      INK = [38, 38, 41].freeze
      STEEP = 35.0
      private_constant :Card, :PAPER, :INK

      # @param random [Random]
      # @param size [Array(Integer, Integer)] px
      # @param paper [String] what the card was printed on
      def initialize(random: Random.new, size: [1600, 1200], paper: "a4")
        @random = random
        @size = size
        @paper = paper
      end

      # @param thing [#draw, #truth] the button or hole
      # @param broken [Symbol, nil] of BROKEN
      # @param across [Float, nil] degrees at most, across the slot
      # @return [Shot]
      def shot(thing, broken: nil, across: nil)
        sight = pose(broken, across).sight
        share = broken == :scaled ? scaled : @random.rand(0.9985..1.0015)
        canvas = Canvas.new(sight, *@size, ground: table, printed: print(share))
        card(canvas)
        thing.draw(canvas)
        hand(canvas) if broken == :covered
        Shot.new(jpeg: developed(canvas.svg, broken), truth: thing.truth)
      end

      private

      def scaled = [@random.rand(0.92..0.975), @random.rand(1.025..1.05)].sample(random: @random)

      # A print is larger or smaller from the middle of its page, of which the card is a quarter.
      def print(share)
        way = [[-1, 1], [-1, 1]].map { |ways| ways.sample(random: @random) }
        middle = [Card::WIDTH / 2, Card::HEIGHT / 2]
        aside = Card::QUARTERS.fetch(@paper).zip(way).map { |side, toward| (1 - share) * side / 2 * toward }
        ->(*place) { place.each_index.map { |at| middle[at] + ((place[at] - middle[at]) * share) + aside[at] } }
      end

      def table
        light = @random.rand(40..150)
        [light, light * 0.9, light * 0.75]
      end

      # Held so that the whole card is seen, and no more across the slot than is asked for.
      def pose(broken, across)
        loop do
          held = held(broken)
          far = 1.0
          camera = facing(**held, far: far)
          camera = facing(**held, far: far *= 1.03) until far > 2 || seen?(camera.sight)
          return camera if across.nil? || lean(camera.sight) < across
        end
      end

      # Degrees, from straight above the slot.
      def lean(sight)
        _, down, high = sight.stand
        (Math.atan2(Card::LIGHT_SLOT.y - down, high) * 180 / Math::PI).abs
      end

      def held(broken)
        { tilt: (broken == :oblique ? @random.rand(50.0..62.0) : STEEP * Math.sqrt(@random.rand)) * Math::PI / 180,
          toward: @random.rand(0.0..(2 * Math::PI)), roll: (@random.rand(4) * Math::PI / 2) + @random.rand(-0.2..0.2),
          focal: @size.max * @random.rand(0.69..0.82), bend: @random.rand(-0.09..0.07),
          fill: @random.rand(0.8..0.97), off: [@random.rand(-4.0..4.0), @random.rand(-4.0..4.0)] }
      end

      def facing(tilt:, toward:, roll:, focal:, bend:, fill:, off:, far:)
        axis = [Math.cos(toward), Math.sin(toward), 0.0]
        lean = turned(axis, tilt)
        roll = turned([0.0, 0.0, 1.0], roll)
        turn = roll * lean
        wide = Card::QUARTERS.fetch(@paper).first
        away = focal * wide / (fill * @size.max) * far
        middle = Vector[(Card::WIDTH / 2) + off[0], (Card::HEIGHT / 2) + off[1], 0.0]
        shift = Vector[0.0, 0.0, away] - (turn * middle)
        PhotoReading::Camera.new(turn: PhotoReading::Camera.turn_of(*turn.column_vectors.map(&:to_a)), shift: shift.to_a, focal: focal,
                                 bend: bend, middle: @size.map { |side| (side - 1) / 2.0 })
      end

      def turned(axis, angle)
        x, y, z = axis
        cos = Math.cos(angle)
        sin = Math.sin(angle)
        Matrix[[cos + (x * x * (1 - cos)), (x * y * (1 - cos)) - (z * sin), (x * z * (1 - cos)) + (y * sin)],
               [(y * x * (1 - cos)) + (z * sin), cos + (y * y * (1 - cos)), (y * z * (1 - cos)) - (x * sin)],
               [(z * x * (1 - cos)) - (y * sin), (z * y * (1 - cos)) + (x * sin), cos + (z * z * (1 - cos))]]
      end

      def seen?(sight)
        wide, tall = Card::QUARTERS.fetch(@paper)
        corners = [-0.5, 0.5].product([-0.5, 0.5]).map do |x, y|
          sight.project((Card::WIDTH / 2) + (x * wide), (Card::HEIGHT / 2) + (y * tall))
        end
        corners.all? { |x, y| x.between?(4, @size[0] - 4) && y.between?(4, @size[1] - 4) }
      end

      def card(canvas)
        wide, tall = Card::QUARTERS.fetch(@paper)
        left = (Card::WIDTH - wide) / 2
        top = (Card::HEIGHT - tall) / 2
        cut = Array.new(4) { @random.rand(-0.25..0.25) }
        corners = [[left + cut[0], top], [left + wide, top + cut[1]], [left + wide + cut[2], top + tall],
                   [left, top + tall + cut[3]]]
        canvas.polygon(corners, fill: PAPER)
        canvas.printed { printed(canvas) }
      end

      def printed(canvas)
        Card.corners(@paper).each do |corner|
          canvas.disc(corner.x, corner.y, Card::CORNER_RADIUS, fill: INK)
          Card.holes(corner).each { |x, y| canvas.disc(x, y, Card::HOLE_RADIUS, fill: PAPER) }
        end
        Card::DOTS.each { |x, y| canvas.disc(x, y, Card::DOT_RADIUS, fill: INK) }
        [Card::DARK_FIELD, Card::DARK_BAND].each { |area| canvas.area(area, fill: INK.map { |part| part * 1.4 }) }
        [Card::LIGHT_FIELD, Card::LIGHT_BAND, Card::WINDOW].each { |area| frame(canvas, area) }
        [[Card::LIGHT_SLOT, INK], [Card::DARK_SLOT, PAPER]].each do |slot, ink|
          canvas.line([[slot.left, slot.y], [slot.right, slot.y]], 0.3, fill: ink)
        end
        canvas.line([[Card::CHECK_LINE.left, 80.0], [Card::CHECK_LINE.right, 80.0]], 0.3, fill: INK)
      end

      def frame(canvas, area)
        corners = [[area.left, area.top], [area.right, area.top], [area.right, area.bottom], [area.left, area.bottom]]
        canvas.line([*corners, corners.first], 0.2, fill: INK)
      end

      # Over a corner, or over a good part of the frame.
      def hand(canvas)
        corner = Card::CORNERS.sample(random: @random)
        inward = [corner.x < 65 ? 1 : -1, corner.y < 46 ? 1 : -1]
        far = Array.new(4) { |number| @random.rand(number < 2 ? 8..30 : 8..14) }
        outline = [[-20, -20], [far[0], -20], [far[2], far[3]], [-20, far[1]]].map do |x, y|
          [corner.x + (inward[0] * x), corner.y + (inward[1] * y), 4.0]
        end
        canvas.polygon(outline, fill: [196, 150, 128])
      end

      def developed(svg, broken)
        image = Vips::Image.new_from_buffer(svg, "").flatten
        image = lit(image)
        soft = broken == :unfocused ? @random.rand(0.0045..0.008) * @size.max : @random.rand(0.4..(0.0007 * @size.max))
        image = image.gaussblur(soft)
        image = shaken(image)
        image += Vips::Image.gaussnoise(*@size, mean: 0, sigma: @random.rand(1.5..5.0), seed: @random.rand(1 << 30))
        image.cast(:uchar).jpegsave_buffer(Q: @random.rand(70..93))
      end

      # Lighter toward a window, darker at the rim, and a soft shadow across.
      def lit(image)
        place = Vips::Image.xyz(*@size)
        x = (place[0] / @size[0]) - 0.5
        y = (place[1] / @size[1]) - 0.5
        light = (x * @random.rand(-0.3..0.3)) + (y * @random.rand(-0.3..0.3)) + @random.rand(0.72..1.0)
        light -= ((x * x) + (y * y)) * @random.rand(0.0..0.3)
        edge = ((x * @random.rand(-1.0..1.0)) + (y * @random.rand(-1.0..1.0)) + @random.rand(-0.3..0.3)) * 8
        edge = (edge > 1).ifthenelse(1, (edge < -1).ifthenelse(-1, edge))
        dim = @random.rand(0.0..0.22)
        image * (light * ((edge * (dim / -2)) + (1 - (dim / 2))))
      end

      def shaken(image)
        far = @random.rand(0.0..0.0015) * @size.max
        return image if far < 0.7

        count = far.ceil
        count += 1 if count.even?
        kernel = Vips::Image.new_from_array([Array.new(count, 1)], count)
        image.conv(@random.rand(2).zero? ? kernel : kernel.rot90)
      end
    end
  end
end
