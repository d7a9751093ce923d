# frozen_string_literal: true

# Sewer lays down the stitches of a hole part by part, as a machine that begins at the near end and
# sews the left-hand side first. Everything else is this, seen in a mirror.
#
#   Stitches::Sewer.new(shape, machine).parts

require_relative "../machine/machine_kind"
require_relative "hole_part"

module NimbleEyelet
  module Stitches
    # Stitches in one bar tack, and stitches that lock the thread.
    TACK_STITCHES = 6
    LOCK_STITCHES = 3
    # Feed of a stitch that locks.
    LOCK_FEED = 0.25
    # Feed of the straight run some machines sew first.
    RUN_FEED = 2.0
    # Corners of the straight-stitch box are sewn round twice.
    ROUNDS = 2

    # Holes that are one part throughout, by how their ends are finished.
    WHOLE = { box: :box, ring: :ring, bar: :bar }.freeze

    class Sewer
      # @param shape [HoleShape]
      # @param machine [Machine]
      def initialize(shape, machine)
        @shape = shape
        @machine = machine
      end

      # @return [Array<HolePart>]
      def parts
        whole = WHOLE[@shape.near_end]
        whole ? send(whole) : locked(again(order.map { |part, *how| send(part, *how) }))
      end

      # A cord lies under both beads, with its loop at the near end, away from the strain.
      # @return [Array<Array>]
      def cords
        return [] unless @shape.corded?

        middle = (@shape.inner + @shape.outer) / 2
        loop_start = @shape.near * 0.6
        [[[-middle, @shape.overall], [-middle, loop_start], [0.0, 0.0], [middle, loop_start], [middle, @shape.overall]]]
      end

      private

      # Which part after which, and for beads whether away from the chair.
      def order
        return bead_by_bead unless @shape.near_end == :tack && @shape.far_end == :tack
        return [[:run, -1, true], *bead_by_bead] if @machine.straight_first && @machine.type.programmed

        beads = { first_bead: [:bead, -1, true], second_bead: [:bead, 1, @machine.second_bead == "same"] }
        sews.map { |part| beads.fetch(part) { [:finish, part == :near_tack ? :near : :far] } }
      end

      def sews = @shape.own_bead ? SEWN_BY_HAND : @machine.type.sews

      # Down the one side, round the near end, back up the other, and the far end last.
      def bead_by_bead = [[:bead, -1, false], %i[finish near], [:bead, 1, true], %i[finish far]]

      # @param at [Symbol] :near or :far
      def finish(at)
        { tack: :tack, round: :round,
          eyelet: :eye }.fetch(at == :near ? @shape.near_end : @shape.far_end).then do |name|
          send(name, at)
        end
      end

      # The second pass: the beads once more, without tacks, its stitches swinging the other way.
      def again(sewn)
        return sewn unless @shape.twice

        sewn + sewn.select { |part| part.kind == :bead }.map do |part|
          middle = part.points.first(2).sum(&:first) / 2
          part.with(name: "#{part.name}#{HolePart::AGAIN}", points: part.points.map { |x, y| [(2 * middle) - x, y] })
        end
      end

      # Small stitches where the thread begins and ends, inside what covers them.
      def locked(sewn)
        start = lock(sewn.first.points.first)
        stop = lock(sewn.last.points.last)
        [HolePart.new(name: "start", kind: :lock, points: start), *sewn, HolePart.new(name: "lock", kind: :lock, points: stop)]
      end

      # In the tack where there is one: the thread must not show in the cut.
      def lock((x, y))
        inside = LOCK_FEED
        y = y > @shape.overall / 2 ? @shape.overall - [@shape.far * 0.4, inside].max : [@shape.near * 0.4, inside].max
        x = x.clamp(-@shape.outer * 0.7, @shape.outer * 0.7)
        Array.new(LOCK_STITCHES) { |number| [x, y + (number.odd? ? LOCK_FEED / 2 : -LOCK_FEED / 2)] }
      end

      # @param side [Integer] -1 left, 1 right
      def bead(side, away)
        from, to = @shape.beads
        feed = @shape.feed(away)
        # Balance moves the feed, not the end: the hole is as long as it is stopped.
        count = [((to - from) / feed).round, 1].max
        points = (0..count).map do |number|
          y = from + ((to - from) * number / count)
          [side * (number.even? ? @shape.outer : @shape.inner), away ? y : from + to - y]
        end
        HolePart.new(name: "#{side.negative? ? 'left' : 'right'}-hand side", kind: :bead, points: points)
      end

      def tack(at)
        from, to = at == :near ? [0.0, @shape.near] : [@shape.overall, @shape.overall - @shape.far]
        points = (0...TACK_STITCHES).map do |number|
          [number.even? ? -@shape.outer : @shape.outer, from + ((to - from) * number / (TACK_STITCHES - 1))]
        end
        HolePart.new(name: "#{at} end", kind: :tack, points: points)
      end

      def run(side, away)
        from, to = @shape.beads
        count = [((to - from) / RUN_FEED).ceil, 1].max
        x = side * (@shape.inner + @shape.outer) / 2
        points = (0..count).map { |number| [x, from + ((to - from) * (away ? number : count - number) / count)] }
        HolePart.new(name: "straight run", kind: :straight, points: points)
      end

      # Half a ring round an end, its stitches evenly spaced on the outer edge.
      def round(at)
        middle = at == :near ? @shape.near : @shape.overall - @shape.far
        from, to = at == :near ? [Math::PI, 2 * Math::PI] : [0.0, Math::PI]
        HolePart.new(name: "#{at} round", kind: :round, points: fan([0.0, middle], @shape.inner, @shape.outer, from, to))
      end

      # The eye of a keyhole: a ring no wider than the hole, open toward the slit.
      def eye(_at)
        inner = [@shape.eye, 0.1].max
        gap = Math.asin([@shape.space / 2 / inner, 0.9].min)
        HolePart.new(name: "eye", kind: :eyelet,
                     points: fan([0.0, @shape.ring], inner, @shape.ring, (Math::PI / 2) + gap,
                                 (Math::PI / 2) - gap + (2 * Math::PI)))
      end

      def fan((x, y), inner, outer, from, to)
        count = [(outer * (to - from).abs / @shape.length).round, 2].max
        (0..count).map do |number|
          angle = from + ((to - from) * number / count)
          radius = number.even? ? outer : inner
          [x + (radius * Math.cos(angle)), y + (radius * Math.sin(angle))]
        end
      end

      # An eyelet alone is sewn round twice.
      def ring
        middle = [0.0, @shape.overall / 2]
        points = fan(middle, @shape.opening / 2, (@shape.opening / 2) + @shape.bead, 0.0, 2 * Math::PI * ROUNDS)
        locked([HolePart.new(name: "eyelet", kind: :eyelet, points: points)])
      end

      # A bar tack alone: straight stitches the long way, then zigzag over them.
      def bar
        return rows if @shape.width.zero?

        under = [0, 1, 0.2, 0.8].map { |share| [0.0, @shape.overall * share] }
        [HolePart.new(name: "under the bar", kind: :straight, points: under), *(over = bars),
         HolePart.new(name: "lock", kind: :lock, points: lock(over.last.points.last))]
      end

      # The zigzag of a bar tack, and back over it where it is sewn twice.
      def bars
        count = [(@shape.overall / @shape.length).round, 2].max
        over = (0..count).map do |number|
          [number.even? ? -@shape.outer : @shape.outer, @shape.overall * number / count]
        end
        bar = HolePart.new(name: "bar", kind: :tack, points: over)
        return [bar] unless @shape.twice

        [bar, bar.with(name: "bar#{HolePart::AGAIN}", points: over.reverse.map { |x, y| [-x, y] })]
      end

      # Without a swing: straight rows to and fro.
      def rows
        (1..BAR_ROWS).map do |number|
          ends = [[0.0, 0.0], [0.0, @shape.overall]]
          from, to = number.odd? ? ends : ends.reverse
          HolePart.new(name: "row #{number}", kind: :straight, points: straight(from, to) << to)
        end
      end
      BAR_ROWS = 6
      private_constant :BAR_ROWS

      # A rectangle of straight stitches, the second time round in the same holes.
      def box
        x = @shape.outer
        corners = [[-x, 0.0], [-x, @shape.overall], [x, @shape.overall], [x, 0.0], [-x, 0.0]]
        round = corners.each_cons(2).flat_map { |from, to| straight(from, to) } << corners.last
        (1..ROUNDS).map do |number|
          HolePart.new(name: "round #{number}", kind: :straight, points: number == 1 ? round : round.drop(1))
        end
      end

      # Equal stitches from corner to corner, the last corner left out.
      def straight((x1, y1), (x2, y2))
        count = [(Math.hypot(x2 - x1, y2 - y1) / @shape.length).round, 1].max
        (0...count).map { |number| [x1 + ((x2 - x1) * number / count), y1 + ((y2 - y1) * number / count)] }
      end
    end
  end
end
