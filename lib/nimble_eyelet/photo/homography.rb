# frozen_string_literal: true

# Homography takes points of one plane to points of another, as a lens without bend does.
#
#   Homography.of(card_points, picture_points).at(5.0, 5.0)   # => [x, y]
#
# Source: the direct linear transformation with both sets of points moved to their middle and scaled to √2 (Hartley
# 1997); the best of random fours, counted by how many others agree (Fischler and Bolles 1981).

require "matrix"

module NimbleEyelet
  module PhotoReading
    class Homography
      # @param from [Array<Array(Float, Float)>] four points or more
      # @param to [Array<Array(Float, Float)>] as many
      # @return [Homography, nil] nil where the points lie on a line, or at one place
      def self.of(from, to)
        return if [from, to].any? { |points| points.uniq.size < 4 }

        near, near_of = normal(from)
        far, far_of = normal(to)
        rows = near.zip(far).flat_map do |(x, y), (u, v)|
          [[x, y, 1.0, 0.0, 0.0, 0.0, -u * x, -u * y, -u], [0.0, 0.0, 0.0, x, y, 1.0, -v * x, -v * y, -v]]
        end
        found = least(rows) or return
        new((far_of.inverse * Matrix.rows(found.each_slice(3).to_a) * near_of).to_a.flatten)
      rescue ExceptionForMatrix::ErrNotRegular, ZeroDivisionError
        nil
      end

      # The direction in which the sum of squares is least: of the square form turned round, by powers.
      def self.least(rows)
        all = Matrix.rows(rows)
        form = all.transpose * all
        turned = (form + (Matrix.identity(9) * (form.trace * 1e-13))).lup
        found = Vector.elements(Array.new(9, 1 / 3.0))
        8.times { found = turned.solve(found).normalize }
        found.to_a if found.to_a.all?(&:finite?)
      end

      # To their middle, at a mean distance of √2, and how.
      def self.normal(points)
        x = points.sum(&:first) / points.size
        y = points.sum(&:last) / points.size
        apart = points.sum { |across, down| Math.hypot(across - x, down - y) } / points.size
        scale = Math.sqrt(2) / [apart, 1e-9].max
        [points.map { |across, down| [(across - x) * scale, (down - y) * scale] },
         Matrix[[scale, 0.0, -scale * x], [0.0, scale, -scale * y], [0.0, 0.0, 1.0]]]
      end
      private_class_method :least, :normal

      # The one most pairs agree with.
      #
      # @param from [Array<Array(Float, Float)>]
      # @param to [Array<Array(Float, Float)>]
      # @param within [Float] how far a pair may be off, in units of the second plane
      # @param random [Random]
      # @param tries [Integer]
      # @return [Array(Homography, Array<Integer>), nil] and the numbers of the pairs that agree
      def self.agreed(from, to, within:, random:, tries: 60)
        best = []
        tries.times do
          some = (0...from.size).to_a.sample(4, random: random)
          found = of(from.values_at(*some), to.values_at(*some)) or next
          agree = found.agreeing(from, to, within)
          best = agree if agree.size > best.size
          break if best.size == from.size
        end
        best.size >= 4 && (found = of(from.values_at(*best), to.values_at(*best))) && [found, best]
      end

      # @return [Array<Float>] nine, row by row
      attr_reader :elements

      def initialize(elements)
        @elements = elements.map { |one| one / elements.last }.freeze
      end

      # @return [Array(Float, Float)]
      def at(x, y)
        a, b, c, d, e, f, g, h, i = @elements
        by = (g * x) + (h * y) + i
        [((a * x) + (b * y) + c) / by, ((d * x) + (e * y) + f) / by]
      end

      # @return [Array<Integer>] numbers of the pairs that are off by less
      def agreeing(from, to, within)
        from.each_index.select do |number|
          x, y = at(*from[number])
          Math.hypot(x - to[number][0], y - to[number][1]) < within
        end
      end
    end
  end
end
