# frozen_string_literal: true

# PagePdf is a page of A5 in our own typeface, with a title and sections of lines: what lies beside the
# machine, or with a scrap.
#
#   class CardPdf < PagePdf
#     def draw(pdf) = section(pdf, "Set", ["stitch length 0.4"])
#   end

require_relative "paper"

module NimbleEyelet
  module Document
    class PagePdf
      MARGIN = 38

      # Type of the lines, points: as large as the page holds, and no smaller than can be read.
      SIZES = [10, 9, 8.2, 7.5].freeze

      # @return [String] PDF of one page, or of more where not even the smallest type fits on one
      def render(dialect = Dialect::USUAL) = Paper.of(@title, [self], dialect)

      # @param pdf [Prawn::Document]
      # @return [void]
      def draw_pages(pdf)
        fits = SIZES.find { |size| lay_out(Paper.begun(@title, pdf.dialect), size).page_count == 1 }
        lay_out(pdf, fits || SIZES.first)
      end

      private

      def lay_out(pdf, size)
        @size = size
        Paper.page(pdf, "A5", margin: MARGIN)
        pdf.text @title, size: 15, kind: :H1
        draw(pdf)
        pdf
      end

      def section(pdf, title, lines)
        pdf.move_down 8
        pdf.text title, size: @size + 2, kind: :H2
        pdf.line_width = 1
        pdf.stroke_horizontal_rule
        pdf.move_down 3
        lines.each { |line| pdf.text line.to_s, size: @size, leading: 1.5 }
      end
    end
  end
end
