# frozen_string_literal: true

# Shape is the table of button shapes: the cross-section that has to pass through the slit, its
# half-perimeter H, and its outline for drawing.
#
#   shape = Shape.fetch("domed")
#   shape.half_perimeter(Length.mm(18), Length.mm(5))   # 19.77 mm
#
# A slit of cut length L opens to a loop of perimeter 2L, so a button passes when the
# half-perimeter H of its smallest cross-section is not more than L.

require_relative "../value"
require_relative "../measure"

module NimbleEyelet
  module Buttons
    # key, name - String
    # measured  - what a person measures besides the diameter: :thickness or nothing
    # formula   - String, the textbook formula for H
    # half      - Proc(d, t) -> Float mm
    # outline   - Proc(d, t) -> Array of [x, y] in mm, the section with its middle at x = 0
    Shape = Value.define(:key, :name, :measured, :formula, :passes, :half, :outline) do
      # @param diameter [Length] largest width
      # @param thickness [Length] height without shank
      # @return [Length] half-perimeter of the passing section, rounded up to the micrometre
      def half_perimeter(diameter, thickness)
        Length.at_least(half.call(diameter.to_f, thickness.to_f))
      end

      # @return [Array<Array(Float, Float)>] points in mm, y downward, closing on the first
      def section(diameter, thickness)
        outline.call(diameter.to_f, thickness.to_f).map { |point| point.map { |figure| figure.round(3) } }
      end

      def thickness_measured? = measured == :thickness

      # @return [Shape]
      # @raise [KeyError] for a shape not in the table
      def self.fetch(key) = SHAPES.fetch(key)
    end

    # Outlines are sampled this finely: enough for a smooth line at any size drawn.
    ARC_POINTS = 32

    # Points on an ellipse-free circular arc from one angle to another, both in radians.
    def self.arc(middle_x, middle_y, radius, from, to)
      (0..ARC_POINTS).map do |step|
        angle = from + ((to - from) * step / ARC_POINTS)
        [middle_x + (radius * Math.cos(angle)), middle_y + (radius * Math.sin(angle))]
      end
    end

    # Arc length of a circular segment of a given chord and rise (any rise up to the full circle).
    # Source: circle geometry, r = (c²/4 + h²) / 2h and half-angle 2·atan(2h/c).
    def self.segment_arc(chord, rise)
      radius = segment_radius(chord, rise)
      radius * 4 * Math.atan(2 * rise / chord)
    end

    def self.segment_radius(chord, rise) = (((chord**2) / 4) + (rise**2)) / (2 * rise)

    # Flat back at the bottom, dome above.
    def self.segment_outline(chord, rise)
      radius = segment_radius(chord, rise)
      half_angle = 2 * Math.atan(2 * rise / chord)
      arc(0, radius - (rise / 2), radius, (-Math::PI / 2) - half_angle, (-Math::PI / 2) + half_angle)
    end

    def self.stadium_outline(diameter, thickness)
      radius = thickness / 2
      reach = [(diameter / 2) - radius, 0].max
      arc(reach, 0, radius, -Math::PI / 2, Math::PI / 2) + arc(-reach, 0, radius, Math::PI / 2, Math::PI * 3 / 2)
    end

    def self.rectangle_outline(diameter, thickness)
      x = diameter / 2
      y = thickness / 2
      [[-x, -y], [x, -y], [x, y], [-x, y]]
    end

    SHAPES = [
      Shape.new(
        key: "flat", name: "flat disc, square edge", measured: :thickness,
        formula: "H = D + T", passes: "edge on, as a rectangle of diameter by thickness",
        half: ->(d, t) { d + t }, outline: method(:rectangle_outline)
      ),
      Shape.new(
        key: "rounded", name: "flat disc, rounded edge", measured: :thickness,
        formula: "H = (D − T) + πT/2", passes: "edge on, as a bar with round ends",
        half: ->(d, t) { d - t + (Math::PI * t / 2) }, outline: method(:stadium_outline)
      ),
      Shape.new(
        key: "domed", name: "domed, flat back", measured: :thickness,
        formula: "H = (D + arc) / 2, arc over chord D with rise T", passes: "edge on, as a dome on a flat back",
        half: ->(d, t) { (d + segment_arc(d, t)) / 2 }, outline: method(:segment_outline)
      ),
      Shape.new(
        key: "half_ball", name: "half ball", measured: nil,
        formula: "H = (D + πD/2) / 2", passes: "edge on, as half a circle",
        half: ->(d, _t) { (d + (Math::PI * d / 2)) / 2 }, outline: ->(d, _t) { segment_outline(d, d / 2) }
      ),
      Shape.new(
        key: "ball", name: "ball", measured: nil,
        formula: "H = πD/2", passes: "any way round, as a full circle",
        half: ->(d, _t) { Math::PI * d / 2 }, outline: ->(d, _t) { arc(0, 0, d / 2, 0, 2 * Math::PI) }
      )
    ].to_h { |shape| [shape.key, shape] }.freeze
  end
end
