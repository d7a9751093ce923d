# frozen_string_literal: true

# Outline is the shape of a button that is no disc, by its corner points seen from the front. What
# matters for a slit is its smallest caliper width: turned the best way, it passes on that.
#
#   outline = Outline.read("0 0, 20 0, 20 12, 0 12", unit: :mm, field: "button.outline")
#   outline.caliper_width   # 12 mm
#   outline.largest_width   # 23.324 mm

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../value"

module NimbleEyelet
  # points - Array of [x, y], Rational mm, in order round the shape
  class Outline < Value.of(:points)
    # @param text [String] corner points "x y, x y, …", bare numbers in the person's unit
    # @param unit [Symbol]
    # @param field [String]
    # @return [Outline]
    # @raise [Refusal] when these are no corners of a shape
    def self.read(text, unit:, field:)
      corners = text.split(/[,;\n]+/).map(&:strip).reject(&:empty?)
      refuse = ->(why) { raise Refusal.field(field, text[0, 60], why) }
      refuse.call("At least 3 corners, and at most #{Outline::MOST_POINTS}.") unless corners.size.between?(3, Outline::MOST_POINTS)
      points = corners.map { |corner| Outline.corner(corner, unit) || refuse.call(Outline::OUTLINE_HELP) }
      outline = new(points: points)
      outline.trouble&.then(&refuse)
      outline
    end

    # @param text [String] as {#kept} wrote it
    # @return [Outline]
    def self.load(text) = new(points: text.split(", ").map { |corner| corner.split.map(&:to_r) })

    def self.corner(text, unit)
      match = Outline::CORNER.match(text) or return
      match.captures.map { |number| Length.of(number.to_r, unit).millimetres }
    end

    # @return [String] for the database: millimetres to the millionth
    def kept = points.map { |point| point.map { |figure| Wording.decimal(figure, 6) }.join(" ") }.join(", ")

    # @param unit [Symbol]
    # @return [String] as a person types it
    def in(unit)
      points.map { |point| point.map { |figure| Wording.decimal(Length.new(figure).in(unit), 4) }.join(" ") }.join(", ")
    end

    def to_s = self.in(:mm)

    # Corners of the convex hull, counter-clockwise. Source: Andrew's monotone chain.
    # @return [Array<Array(Rational, Rational)>]
    def hull
      sorted = points.uniq.sort
      return sorted if sorted.size < 3

      Outline.chain(sorted)[0...-1] + Outline.chain(sorted.reverse)[0...-1]
    end

    def self.chain(sorted)
      sorted.each_with_object([]) do |point, found|
        found.pop while found.size > 1 && !Outline.cross(found[-2], found[-1], point).positive?
        found << point
      end
    end

    # Twice the signed area of a triangle: positive when c lies left of the way from a to b.
    def self.cross(a, b, c) = ((b[0] - a[0]) * (c[1] - a[1])) - ((b[1] - a[1]) * (c[0] - a[0]))

    # The narrowest pair of jaws the shape fits between. One jaw lies along an edge of the hull, so
    # it is enough to turn the jaws from edge to edge; the corner opposite only ever moves on.
    # Source: rotating calipers.
    #
    # @return [Length] rounded up to the micrometre
    def caliper_width
      corners = hull
      far = 1
      narrowest = corners.each_index.map do |index|
        from = corners[index]
        to = corners[(index + 1) % corners.size]
        far += 1 while Outline.farther?(corners, from, to, far)
        (Outline.cross(from, to, corners[far % corners.size])**2) / Outline.squared(from, to)
      end.min
      Length.at_least(Math.sqrt(narrowest))
    end

    def self.farther?(corners, from, to, far)
      cross(from, to, corners[(far + 1) % corners.size]) > cross(from, to, corners[far % corners.size])
    end

    # @return [Length] largest distance of two corners
    def largest_width
      Length.at_least(Math.sqrt(hull.combination(2).map { |from, to| Outline.squared(from, to) }.max))
    end

    def self.squared(from, to) = ((to[0] - from[0])**2) + ((to[1] - from[1])**2)

    # @return [String, nil] why this is no outline of a button
    def trouble
      return "Corners lie within 150 mm of each other." if points.flatten.any? { |figure| figure.abs > 300 }
      return "All corners lie on one line: a button has some width." if hull.size < 3
      return "The same corner stands twice." if points.uniq.size < points.size

      "The outline crosses itself: give the corners in order, once round." if crossing?
    end

    def crossing?
      edges = points.each_index.map { |index| [points[index], points[(index + 1) % points.size]] }
      edges.each_index.to_a.combination(2).any? do |first, second|
        next if second == first + 1 || (first.zero? && second == edges.size - 1)

        Outline.cut?(*edges[first], *edges[second])
      end
    end

    # Whether two edges meet. Touching counts: a button does not touch itself.
    def self.cut?(a, b, c, d)
      Outline.astride?(a, b, c, d) && Outline.astride?(c, d, a, b) && Outline.overlap?(a, b, c, d)
    end

    def self.astride?(a, b, c, d) = (Outline.cross(a, b, c) * Outline.cross(a, b, d)) <= 0

    def self.overlap?(a, b, c, d)
      [0, 1].all? { |axis| [a[axis], b[axis]].max >= [c[axis], d[axis]].min && [c[axis], d[axis]].max >= [a[axis], b[axis]].min }
    end
  end

  # More corners than anybody measures.
  Outline::MOST_POINTS = 500
  Outline::CORNER = /\A(-?\d{1,4}(?:\.\d{1,6})?)\s+(-?\d{1,4}(?:\.\d{1,6})?)\z/
  Outline::OUTLINE_HELP = "Write corner points as x y pairs with commas between, such as 0 0, 20 0, 20 12, 0 12."
end
