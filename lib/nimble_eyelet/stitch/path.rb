# frozen_string_literal: true

# Path is a hole as it is sewn: every penetration of the needle in order, in the parts the machine
# sews it in, and the cord under it.
#
#   path = Stitches::Path.sew(shape, machine)
#   path.parts.map(&:name)   # ["near end", "left-hand side", "far end", "right-hand side", "lock"]
#   path.points.size         # 141

require_relative "../value"
require_relative "sewer"

module NimbleEyelet
  module Stitches
    # parts - Array<HolePart>; cords - Array of lines, each an Array of [x, y] mm
    class Path < Value.of(:shape, :parts, :cords)
      # @return [Array<Array(Float, Float)>] every penetration, in sewing order
      def points = parts.flat_map(&:points)

      # @return [Hash{String => Integer}] penetrations by part
      def counts = parts.group_by(&:name).transform_values { |parts| parts.sum { |part| part.points.size } }

      # @return [Array(Float, Float)] width and length of what is sewn, mm
      def footprint
        xs, ys = points.transpose
        [xs.max - xs.min, ys.max - ys.min]
      end

      # @return [Float] thread on top of the cloth, mm: the way from each penetration to the next
      def travel = points.each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }

      # The hole as this machine sews it: which bead first, which way, a straight run before or not. Its outer
      # or upper end lies at y = 0, away from the person; parts are called by how they lie from the chair.
      #
      # @param shape [HoleShape]
      # @param machine [Machine]
      # @return [Path]
      def self.sew(shape, machine)
        path = shape.turnable? ? Path.alike(shape, machine) : Path.unlike(shape, machine)
        machine.first_side == "right" ? path.mirrored : path
      end

      # Both ends alike: sewn from the end where the machine begins.
      def self.alike(shape, machine)
        toward = machine.first_direction == "toward"
        sewer = Sewer.new(toward ? shape.turned : shape, machine)
        path = new(shape: shape, parts: sewer.parts, cords: sewer.cords)
        toward ? path.renamed_ends : path.flipped(shape.overall)
      end

      # The eye or the round is mostly made at the far end; which way the garment lies follows from it.
      def self.unlike(shape, machine)
        sewer = Sewer.new(shape.with(balance: -shape.balance), machine)
        path = new(shape: shape, parts: sewer.parts, cords: sewer.cords)
        machine.eye_end == "far" ? path.renamed_ends : path
      end

      # @return [Path] left and right changed
      def mirrored
        changed({ "left" => "right", "right" => "left" }) { |x, y| [-x, y] }
      end

      # @return [Path] near and far called the other way round
      def renamed_ends = changed({ "near" => "far", "far" => "near" }) { |x, y| [x, y] }

      # @return [Path] the other end up; what lies under the beads stays where the garment has it
      def flipped(overall)
        with(parts: parts.map { |part| part.with(points: part.points.map { |x, y| [x, overall - y] }) })
      end

      private

      def changed(names, &place)
        renamed = parts.map do |part|
          part.with(name: part.name.sub(/\A\w+/) { |word| names.fetch(word, word) }, points: part.points.map(&place))
        end
        with(parts: renamed, cords: cords.map { |line| line.map(&place) })
      end
    end
  end
end
