# frozen_string_literal: true

# ButtonPath is every penetration of the needle that sews one button on, in order: pair after pair of holes, locked at
# both ends, as the zigzag of the machine really swings.
#
#   path = Stitches::ButtonPath.sew(sewn)
#   path.parts.map(&:name)   # => ["near pair", "far pair"]
#   path.strikes             # => [], no stitch comes nearer to a rim than half the needle
#
# Figures in millimetres from the middle of the button: x to the right, y away from whoever sews. A zigzag anchored in
# the centre is lined up by the middle of the pair; one anchored at the left by its first hole.

require_relative "../value"

module NimbleEyelet
  module Stitches
    # spacing, hole, needle - Float mm: of two neighbouring holes, of a hole across, of the needle
    # widths - Hash of :straight, :diagonal to Float mm that the dial is set to for such a swing, in the order they are
    #   sewn
    # anchor - "centre" or "left"; stitches - Integer into each pair
    # holes - 2 or 4; pattern - String, key of BUTTON_PATTERNS; carried - Boolean, the thread is not cut between pairs
    # off - Array(Float, Float) mm, how far the button lies off its place, along the swing and across it
    class ButtonSewn < Value.of(:spacing, :hole, :needle, :widths, :anchor, :stitches, :holes, :pattern, carried: false,
                           off: [0.0, 0.0])
      # @return [Float] how far from the middle of a hole the needle may go in
      def room = (hole - needle) / 2

      # @return [Float] mm the dial is set to for the first swing
      def width = widths.values.first

      # @param swing [Symbol] :straight or :diagonal
      # @return [Float] mm from the middle of one hole to that of the other
      def span(swing) = swing == :diagonal ? spacing * Math.sqrt(2) : spacing

      # @return [Float] mm that the widths lose of the room in a hole, at the swing that fits worst
      def lost = widths.map { |swing, width| (width - span(swing)).abs }.max * (anchor == "left" ? 1 : 0.5)
    end

    # name - String; points - Array of [x, y]; aims - Array of [x, y], middle of the hole each is meant for
    class ButtonPart < Value.of(:name, :points, :aims)
      # @return [Float] mm of thread that lies across
      def travel = points.each_cons(2).sum { |(x, y), (u, v)| Math.hypot(u - x, v - y) }
    end

    # Where the needle goes in at either end of its swing from one hole to another.
    class ButtonSwing
      # @param sewn [ButtonSewn]
      # @param from [Array(Float, Float)]
      # @param to [Array(Float, Float)]
      def initialize(sewn, from, to)
        swing = from.zip(to).all? { |one, other| one != other } ? :diagonal : :straight
        span = sewn.span(swing)
        width = sewn.widths.fetch(swing)
        @along = [(to[0] - from[0]) / span, (to[1] - from[1]) / span]
        @from = from.zip(shift(*sewn.off)).map { |place, off| place - off }
        @first = sewn.anchor == "left" ? 0.0 : (span - width) / 2
        @last = @first + width
      end

      # @param first [Boolean] at the first hole, else at the other
      # @return [Array(Float, Float)]
      def at(first) = @from.zip(@along).map { |place, way| place + (way * (first ? @first : @last)) }

      private

      # How far the button is off, turned with the work.
      def shift(along, across)
        [(along * @along[0]) - (across * @along[1]), (along * @along[1]) + (across * @along[0])]
      end
    end

    class ButtonPath < Value.of(:sewn, :parts)
      # Stitches on the spot that hold the thread, at either end.
      LOCKS = 3

      # @param sewn [ButtonSewn]
      # @return [ButtonPath]
      def self.sew(sewn) = new(sewn: sewn, parts: pairs(sewn).map { |name, from, to| part(sewn, name, from, to) })

      # Which holes, one pair after the other.
      def self.pairs(sewn)
        half = sewn.spacing / 2
        return [["both holes", [-half, 0.0], [half, 0.0]]] if sewn.holes == 2

        near, far = [-half, half].map { |y| [[-half, y], [half, y]] }
        case sewn.pattern
        when "cross" then [["one diagonal", near[0], far[1]], ["the other", near[1], far[0]]]
        when "square" then [["near pair", *near], ["far pair", *far], ["left side", near[0], far[0]],
                            ["right side", near[1], far[1]]]
        when "arrow" then [["to the left", near[0], far[0]], ["to the right", *near],
                           ["along the middle", near[0], far[1]]]
        else [["near pair", *near], ["far pair", *far]]
        end
      end

      # An even number of stitches ends where it began.
      def self.part(sewn, name, from, to)
        swing = ButtonSwing.new(sewn, from, to)
        swings = (0..(sewn.stitches.even? ? sewn.stitches : sewn.stitches + 1)).map(&:even?)
        ways = ([true] * LOCKS) + swings + ([true] * LOCKS)
        ButtonPart.new(name: name, aims: ways.map { |at_first| at_first ? from : to }, points: ways.map do |at_first|
          swing.at(at_first)
        end)
      end
      private_class_method :pairs, :part

      # @return [Array<Array(Float, Float)>] all penetrations, in order
      def points = parts.flat_map(&:points)

      # @return [Float] mm, least room that any penetration keeps to the rim; negative where the needle strikes
      def room
        parts.flat_map do |part|
          part.points.zip(part.aims)
        end.map { |(x, y), (u, v)| sewn.room - Math.hypot(x - u, y - v) }.min
      end

      # @return [Array<Integer>] numbers of the penetrations at which the needle strikes
      def strikes
        all = parts.flat_map { |part| part.points.zip(part.aims) }
        all.each_index.select do |index|
          all[index].then do |(x, y), (u, v)|
            Math.hypot(x - u, y - v) > sewn.room + 1e-9
          end
        end
      end

      # @return [Float] mm on top of the button: what is sewn, and what is carried over between pairs
      def travel
        parts.sum(&:travel) + (sewn.carried ? parts.each_cons(2).sum { |one, other| between(one, other) } : 0.0)
      end

      # @return [Integer]
      def tails = sewn.carried ? 2 : parts.size * 2

      # How far the button may lie off its place in the worst direction before the needle strikes: what one hole has
      # left.
      #
      # @return [Float] mm, never below zero
      def self.forgives(sewn) = [sewn.room - sewn.lost, 0.0].max

      private

      def between(one, other) = Math.hypot(*one.points.last.zip(other.points.first).map { |from, to| to - from })
    end
  end
end
