# frozen_string_literal: true

# MeasuringCardPdf is the card that photos are measured by, four to a page: fold the page twice and cut along the folds.
#
#   Document::MeasuringCardPdf.new(paper: "a4").render   # => String, a PDF

require_relative "../../lib/nimble_eyelet"
require_relative "paper"
require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class MeasuringCardPdf
      Card = PhotoReading::MeasuringCard
      POINTS = StripPdf::POINTS
      INK = "262626"
      WHITE = "FFFFFF"
      SMALL = 2.3
      private_constant :Card, :POINTS, :INK, :WHITE, :SMALL

      # What is written on it: where, and the words.
      WORDS = [[12.0, 10.2, "Dark button: lay it here"], [55.0, 10.2, "Light button: lay it here"],
               [12.0, 77.5, "Cut the line. Push the button half way through."], [98.0, 77.5, "Cut out"],
               [15.0, 83.9, "Measure this line: it is 100 mm long."]].freeze

      # @param paper [String] "a4" or "letter"
      def initialize(paper: "a4")
        @paper = paper
      end

      # @return [String] PDF
      def render(dialect = Dialect::USUAL) = Paper.of("Measuring card", [self], dialect)

      # @param pdf [Prawn::Document]
      # @return [void]
      def draw_pages(pdf)
        wide, tall = StripPdf::PAPERS.fetch(@paper)
        Paper.page(pdf, [wide, tall].map { |side| side * POINTS })
        [0, 1].product([0, 1]).each { |column, row| card(Pen.new(pdf, *place(column, row, wide, tall))) }
      end

      # Draws in the card's millimetres, the card lying on its side on the page. x goes up the page, y to the right.
      class Pen
        def initialize(pdf, left, low)
          @pdf = pdf
          @left = left
          @low = low
        end

        def disc(x, y, radius, ink)
          @pdf.fill_color(ink)
          @pdf.fill_circle(at(x, y), radius * POINTS)
        end

        def box(area, ink)
          @pdf.fill_color(ink)
          @pdf.fill_polygon(*corners(area))
        end

        def frame(area)
          @pdf.stroke_color(INK)
          @pdf.line_width(0.2 * POINTS)
          @pdf.stroke_polygon(*corners(area))
        end

        def line(from, to, ink)
          @pdf.stroke_color(ink)
          @pdf.line_width(0.3 * POINTS)
          @pdf.stroke_line(at(*from), at(*to))
        end

        def text(x, y, words)
          @pdf.fill_color(INK)
          @pdf.draw_text(words, at: at(x, y), size: SMALL * POINTS, rotate: 90)
        end

        private

        def at(x, y) = [(@left + y) * POINTS, (@low + x) * POINTS]

        def corners(area)
          [[area.left, area.top], [area.right, area.top], [area.right, area.bottom], [area.left, area.bottom]].map { |place| at(*place) }
        end
      end
      private_constant :Pen

      private

      # In the middle of its quarter of the page.
      def place(column, row, wide, tall)
        [(wide / 4.0) + (column * wide / 2.0) - (Card::HEIGHT / 2), (tall / 4.0) + (row * tall / 2.0) - (Card::WIDTH / 2)]
      end

      def card(pen)
        Card.corners(@paper).each do |corner|
          pen.disc(corner.x, corner.y, Card::CORNER_RADIUS, INK)
          Card.holes(corner).each { |x, y| pen.disc(x, y, Card::HOLE_RADIUS, WHITE) }
        end
        Card::DOTS.each { |x, y| pen.disc(x, y, Card::DOT_RADIUS, INK) }
        [Card::DARK_FIELD, Card::DARK_BAND].each { |area| pen.box(area, INK) }
        [Card::LIGHT_FIELD, Card::LIGHT_BAND, Card::WINDOW].each { |area| pen.frame(area) }
        [[Card::LIGHT_SLOT, INK], [Card::DARK_SLOT, WHITE]].each do |slot, ink|
          pen.line([slot.left, slot.y], [slot.right, slot.y], ink)
        end
        ruler(pen)
        WORDS.each { |x, y, words| pen.text(x, y, words) }
      end

      # A line of 100 mm with a tick at each end and every ten.
      def ruler(pen)
        line = Card::CHECK_LINE
        pen.line([line.left, line.top], [line.right, line.top], INK)
        line.left.step(line.right, 10) { |x| pen.line([x, line.top], [x, line.bottom], INK) }
      end
    end
  end
end
