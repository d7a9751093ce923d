# frozen_string_literal: true

# StretchScalePdf is a printed scale to pull cloth along: hold two points of the cloth at the start and
# at 0 %, pull, and read how far it went.
#
#   Document::StretchScalePdf.new.render   # => String, a PDF of one page

require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class StretchScalePdf
      # Millimetres of cloth between the start and 0 %.
      HELD = 100.0
      STEP = 5
      MOST = 60
      LEFT = 20.0
      PAGE = StripPdf::PAPERS.fetch("a4")

      # @return [String]
      def render(dialect = Dialect::USUAL) = Paper.of("Stretch scale", [self], dialect)

      # @param pdf [Prawn::Document]
      # @return [void]
      def draw_pages(pdf)
        Paper.page(pdf, PAGE.map { |side| side * StripPdf::POINTS })
        draw(StripPdf::Pen.new(pdf, LEFT, PAGE[1] - 40))
      end

      private

      def draw(pen)
        pen.text(0, -12, "Stretch scale", 5)
        pen.text(0, -5,
                 "Print at 100 %. Hold the fabric at the start and at 0 %, pull without force, read where the second point went.", 2.8)
        pen.line(0, 10, HELD * (1 + (MOST / 100.0)), 10, :edge)
        mark(pen, 0, "start")
        (0..MOST).step(STEP) do |percent|
          mark(pen, HELD * (1 + (percent / 100.0)), (percent % 10).zero? ? "#{percent} %" : "")
        end
        pen.text(0, 24, "From the start to 0 % there are 100 mm: measure it first.", 2.8)
      end

      def mark(pen, x, words)
        pen.line(x, words.empty? ? 8 : 6, x, 10, :check)
        pen.text(x - 3, 14, words, 2.6) unless words.empty?
      end
    end
  end
end
