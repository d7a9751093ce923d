# frozen_string_literal: true

# HoleCardPdf is for runs too long to print in one piece: one hole at true size, to be laid on every mark,
# and all the marks to be read off the tape, each from the datum. Where every gap is the same the next mark
# stands on the card, to check by and never to mark by.
#
#   Document::HoleCardPdf.new(strip, "bench cover: long side").render   # => String, a PDF

require_relative "paper"
require_relative "strip"
require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class HoleCardPdf
      # Cloth shown above and below a mark.
      AROUND = 30.0
      ROW = 5.0

      # A pen that draws everything so much lower.
      Lower = Struct.new(:pen, :by) do
        def line(from_x, from_y, to_x, to_y, kind) = pen.line(from_x, from_y + by, to_x, to_y + by, kind)
        def text(x, y, words, size) = pen.text(x, y + by, words, size)
        def circle(x, y, radius, kind) = pen.circle(x, y + by, radius, kind)
      end

      # @param strip [Strip] of the overlap
      # @param title [String]
      # @param paper [String] "a4" or "letter"
      def initialize(strip, title, paper: "a4")
        @strip = strip
        @title = title
        @page = StripPdf::PAPERS.fetch(paper)
      end

      # @return [String] PDF of the card and of the marks
      def render(dialect = Dialect::USUAL) = Paper.of(@title, [self], dialect)

      # @param pdf [Prawn::Document]
      # @return [void]
      def draw_pages(pdf)
        %i[card marks].each do |page|
          Paper.page(pdf, @page.map { |side| side * StripPdf::POINTS })
          send(page, pen(pdf))
        end
      end

      private

      def pen(pdf) = StripPdf::Pen.new(pdf, StripPdf::MARGIN, @page[1] - StripPdf::MARGIN)
      def room = @page[1] - (2 * StripPdf::MARGIN)
      def hole = @strip.holes.last

      def card(pen)
        pen.text(0, 4, "#{@title}: #{@strip.sewn} card", 4.5)
        pen.text(0, 9, @strip.heading[2], 3)
        pen.text(0, 13, "Lay its mark on each mark of the tape, its edge on the finished edge, and draw the #{@strip.sewn} through.",
                 3)
        pen.text(0, 17, "Print at 100 %. The check lines are 50 mm and 2 in: measure them first.", 3)
        @strip.draw_check_line(pen, 0, 22)
        @strip.draw_one(Lower.new(pen, StripPdf::HEAD + AROUND - hole.at.to_f), hole, above: AROUND, below: below)
        gauge(pen)
      end

      # The one gap there is, when the next mark finds room on the card.
      def gap
        gaps = @strip.holes.filter_map(&:gap).uniq
        gaps.first if gaps.one? && StripPdf::HEAD + (2 * AROUND) + gaps.first.to_f <= room
      end

      def below = AROUND + gap.to_f

      def gauge(pen)
        return unless gap

        y = StripPdf::HEAD + AROUND + gap.to_f
        pen.line(-6, y, @strip.cloth_width + 6, y, :join)
        pen.text(@strip.cloth_width + 2, y + 4, "the next mark, #{@strip.text(gap)} on:", 2.6)
        pen.text(@strip.cloth_width + 2, y + 8, "to check by; mark from the #{@strip.measured_from}", 2.6)
      end

      # Down the page and then beside it.
      def marks(pen)
        pen.text(0, 4, "#{@title}: marks from the #{@strip.measured_from}", 4.5)
        pen.text(0, 9, "Lay the tape on the whole run once, its end at the #{@strip.measured_from}, and read every mark off it.", 3)
        rows = ((room - 20) / ROW).floor
        @strip.holes.each_with_index do |hole, index|
          column, row = index.divmod(rows)
          mark(pen, hole, column * 92.0, 18 + (row * ROW))
        end
      end

      def mark(pen, hole, x, y)
        pen.text(x, y, hole.number.to_s, 3.2)
        pen.text(x + 9, y, @strip.text(hole.at), 3.2)
        pen.text(x + 40, y, @strip.fastens? ? "button #{@strip.text(hole.button)}" : "", 3.2)
      end
    end
  end
end
