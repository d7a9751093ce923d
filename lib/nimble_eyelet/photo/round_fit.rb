# frozen_string_literal: true

# RoundFit is the round button whose outline would be seen where an outline is seen.
#
#   RoundFit.of(outline, stand) { |radius| ButtonBody.of("rounded", 3.0, radius) }.radius
#
# Source: least squares by steps, each point counting less the farther it is off (weights of Beaton and Tukey 1974).

require "matrix"
require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # x, y, radius - Float, mm, on the card; off - Float, mm, of a point as a rule; agree - Float, share of the points;
    # spread - Float, mm, of the radius, as far as the points are off
    class RoundFit < Value.of(:x, :y, :radius, :off, :agree, :spread)
      FIT_ROUNDS = 14
      # Of what points are off as a rule, how far one may be off and still count; and what they are off at least, mm.
      FIT_REACH = 4.7
      FIT_LEAST = 0.025

      # @param outline [ButtonOutline]
      # @param stand [Array(Float, Float, Float)] where the camera is
      # @yieldparam radius [Float] mm
      # @yieldreturn [ButtonBody]
      # @return [RoundFit, nil] nil where there are too few points
      def self.of(outline, stand)
        return if outline.rim.size < 24

        x, y, radius = start(outline.rim)
        body = yield(radius)
        points = nil
        FIT_ROUNDS.times do
          points = misses(outline.rim, x, y, radius, body, stand)
          step = step(points) or return
          x += step[0]
          y += step[1]
          radius += step[2]
          body = yield(radius)
          break if step.all? { |one| one.abs < 1e-4 }
        end
        made(points, x, y, radius)
      end

      def self.start(rim)
        x, y = [0, 1].map { |at| rim.map { |point| point[at] }.sort[rim.size / 2] }
        far = rim.map { |right, low| Math.hypot(right - x, low - y) }.sort
        [x, y, far[far.size / 2]]
      end

      # For each point how far it is off, and how that changes with x, y and radius.
      def self.misses(rim, x, y, radius, body, stand)
        left, top, high = stand
        # What lies as high as the middle of the button seems to lie so much farther out.
        rim.map do |right, low|
          out = Math.hypot(right - x, low - y)
          across = (right - x) / out
          down = (low - y) / out
          outward = (((x - left) * across) + ((y - top) * down)) / high
          sideways = (((x - left) * down) - ((y - top) * across)) / high
          [out - body.seen(radius, outward, sideways, high), across, down]
        end
      end

      def self.step(points)
        weights = weights(points.map(&:first))
        rows = points.map { |_, across, down| [across, down, 1.0] }
        form = Matrix.build(3) { |one, other| weighed(rows, weights) { |row, _| row[one] * row[other] } }
        right = Vector.elements((0..2).map { |one| weighed(rows, weights) { |row, at| row[one] * points[at][0] } })
        form.lup.solve(right).to_a
      rescue ExceptionForMatrix::ErrNotRegular
        nil
      end

      def self.weighed(rows, weights) = rows.each_with_index.sum { |row, at| weights[at] * yield(row, at) }

      def self.weights(misses)
        reach = FIT_REACH * usual(misses)
        misses.map { |off| off.abs < reach ? (1 - ((off / reach)**2))**2 : 0.0 }
      end

      # Source: the median, as a deviation of what is spread normally.
      def self.usual(misses) = [misses.map(&:abs).sort[misses.size / 2] * 1.4826, FIT_LEAST].max

      def self.made(points, x, y, radius)
        misses = points.map(&:first)
        off = usual(misses)
        agree = misses.count { |one| one.abs < 3 * off } / misses.size.to_f
        new(x: x, y: y, radius: radius, off: off, agree: agree,
            spread: off / Math.sqrt([agree * misses.size / 3, 1].max))
      end
      private_class_method :start, :misses, :step, :weighed, :weights, :usual, :made
    end
  end
end
