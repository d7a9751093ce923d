# frozen_string_literal: true

# PagePdf is a page of A5 in our own typeface, with a title and sections of lines: what lies beside the
# machine, or with a scrap.
#
#   class CardPdf < PagePdf
#     def draw(pdf) = section(pdf, "Set", ["stitch length 0.4"])
#   end

require "prawn"
require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class PagePdf
      MARGIN = 38

      # Type of the lines, points: as large as the page holds, and no smaller than can be read.
      SIZES = [10, 9, 8.2, 7.5].freeze

      # @return [String] PDF of one page, or of more where not even the smallest type fits on one
      def render
        pages = SIZES.lazy.map { |size| laid_out(size) }
        (pages.find { |pdf| pdf.page_count == 1 } || laid_out(SIZES.first)).render
      end

      private

      def laid_out(size)
        @size = size
        pdf = Prawn::Document.new(page_size: "A5", margin: MARGIN, info: { Title: @title, Creator: "Nimble Eyelet" })
        pdf.font_families.update("Strip" => { normal: StripPdf::FONT })
        pdf.font("Strip")
        pdf.text @title, size: 15
        draw(pdf)
        pdf
      end

      def section(pdf, title, lines)
        pdf.move_down 8
        pdf.text title, size: @size + 2
        pdf.line_width = 1
        pdf.stroke_horizontal_rule
        pdf.move_down 3
        lines.each { |line| pdf.text line.to_s, size: @size, leading: 1.5 }
      end
    end
  end
end
