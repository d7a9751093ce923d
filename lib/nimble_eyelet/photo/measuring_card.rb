# frozen_string_literal: true

# MeasuringCard is the printed card that photos are measured by: where its marks, its fields, its slots and its window
# lie. The print, the stand-in camera and the reading all take them from here. Millimetres as floats, from the upper
# left-hand corner of the print, x to the right and y down.
#
#   MeasuringCard::CORNERS.map(&:holes)     # [1, 2, 3, 4]
#   MeasuringCard::QUARTERS.fetch("a4")     # [148.5, 105.0]

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    module MeasuringCard
      WIDTH = 130.0
      HEIGHT = 92.0

      # A corner is a dark disc with so many light holes in it: it says which corner it is, and of which paper.
      Corner = Value.of(:x, :y, :holes)

      # A part of the card with straight sides.
      class Area < Value.of(:left, :top, :right, :bottom)
        def width = right - left
        def height = bottom - top
        def middle = [(left + right) / 2, (top + bottom) / 2]
        def inside?(x, y, by: 0) = x.between?(left + by, right - by) && y.between?(top + by, bottom - by)
      end

      CORNER_RADIUS = 4.0
      HOLE_RADIUS = 0.8
      # Of the middles of a corner's holes, from its own middle; one hole lies in the middle.
      HOLE_RING = 1.9
      CORNERS = [Corner.new(x: 5.0, y: 5.0, holes: 1), Corner.new(x: 125.0, y: 5.0, holes: 2),
                 Corner.new(x: 125.0, y: 87.0, holes: 3), Corner.new(x: 5.0, y: 87.0, holes: 4)].freeze
      # Holes of the corners, clockwise from the upper left: it tells the paper.
      PAPERS = { [1, 2, 3, 4] => "a4", [1, 3, 2, 4] => "letter" }.freeze
      # A quarter of a page lying on its side, folded edge to edge: its size is right however the print is scaled.
      QUARTERS = { "a4" => [148.5, 105.0], "letter" => [139.7, 107.95] }.freeze

      # The ring of dots that shows how the lens bends.
      DOT_RADIUS = 1.2
      DOTS = ([5.0, 87.0].flat_map { |y| (0..8).map { |number| [17.0 + (12 * number), y] } } +
              [5.0, 125.0].flat_map { |x| (0..4).map { |number| [x, 17.0 + (14.5 * number)] } }).freeze

      LIGHT_FIELD = Area.new(left: 12.0, top: 11.0, right: 54.0, bottom: 57.0)
      DARK_FIELD = Area.new(left: 55.0, top: 11.0, right: 96.0, bottom: 57.0)
      LIGHT_BAND = Area.new(left: 12.0, top: 59.0, right: 54.0, bottom: 75.0)
      DARK_BAND = Area.new(left: 55.0, top: 59.0, right: 96.0, bottom: 75.0)
      # Cut along: a button is pushed half way through, and stands on its edge.
      Slot = Value.of(:left, :right, :y)
      LIGHT_SLOT = Slot.new(left: 15.0, right: 51.0, y: 67.0)
      DARK_SLOT = Slot.new(left: 58.0, right: 93.0, y: 67.0)
      # Cut out: the test hole is seen through it.
      WINDOW = Area.new(left: 98.0, top: 11.0, right: 118.0, bottom: 74.0)
      # Measured with a ruler before the card is used.
      CHECK_LINE = Area.new(left: 15.0, top: 80.0, right: 115.0, bottom: 81.4)
      CHECKED = CHECK_LINE.width

      # @param paper [String] key of QUARTERS
      # @return [Array<Corner>] clockwise from the upper left
      def self.corners(paper)
        CORNERS.zip(PAPERS.key(paper)).map { |corner, holes| corner.with(holes: holes) }
      end

      # @param corner [Corner]
      # @return [Array<Array(Float, Float)>] middles of its holes
      def self.holes(corner)
        return [[corner.x, corner.y]] if corner.holes == 1

        (0...corner.holes).map do |number|
          turn = 2 * Math::PI * number / corner.holes
          [corner.x + (HOLE_RING * Math.cos(turn)), corner.y + (HOLE_RING * Math.sin(turn))]
        end
      end
    end
  end
end
