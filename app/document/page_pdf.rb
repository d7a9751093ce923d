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

      # @return [String] PDF of one page
      def render
        pdf = Prawn::Document.new(page_size: "A5", margin: MARGIN, info: { Title: @title, Creator: "Nimble Eyelet" })
        pdf.font_families.update("Strip" => { normal: StripPdf::FONT })
        pdf.font("Strip")
        pdf.text @title, size: 15
        draw(pdf)
        pdf.render
      end

      private

      def section(pdf, title, lines)
        pdf.move_down 8
        pdf.text title, size: 12
        pdf.stroke_horizontal_rule
        pdf.move_down 3
        lines.each { |line| pdf.text line.to_s, size: 10, leading: 1.5 }
      end
    end
  end
end
