# frozen_string_literal: true

# SwatchPdf is the page that is kept with the scrap: its numbers, what was seen, and a place to pin it.
#
#   Document::SwatchPdf.new(leaf, present).render   # => String

require "prawn"
require_relative "../../lib/nimble_eyelet"
require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class SwatchPdf
      MARGIN = 36
      # A scrap of at least so much lies flat under the frame, mm.
      SCRAP = [60, 100].freeze
      POINTS = 72 / 25.4

      # @param page [Hash] of the leaf, as the book shows it
      # @param title [String]
      def initialize(page, title:)
        @page = page
        @title = title
      end

      # @return [String] PDF of one page
      def render
        pdf = Prawn::Document.new(page_size: "A5", margin: MARGIN, info: { Title: @title, Creator: "Nimble Eyelet" })
        pdf.font_families.update("Strip" => { normal: StripPdf::FONT })
        pdf.font("Strip")
        pdf.text @title, size: 15
        pdf.text "Simulated: sewn on the machine that stands in", size: 10 if @page[:simulated]
        pdf.text [@page[:sewn_at].to_s[0, 10], @page[:machine], @page[:id][0, 8]].compact.join(" · "), size: 9
        pin(pdf)
        section(pdf, "Sewn on and with", sewn)
        section(pdf, "Set to", @page[:settings].map { |one| "#{one[:name]} #{one[:text]}" })
        section(pdf, "Seen", seen)
        pdf.render
      end

      private

      def sewn
        %i[cloth cloth_kind thread thread_tex foot style needle stabiliser].filter_map do |name|
          @page[name] unless @page[name].to_s.empty?
        end
      end

      def seen
        [@page[:measured] && "The slit measured #{@page[:measured][:text]}", @page[:verdict], *@page[:seen],
         @page[:note]].reject do |line|
          line.to_s.empty?
        end
      end

      # Room for the scrap itself.
      def pin(pdf)
        wide, tall = SCRAP.reverse.map { |side| side * POINTS }
        pdf.move_down 8
        pdf.dash(3) { pdf.stroke_rectangle([0, pdf.cursor], [wide, pdf.bounds.width].min, tall) }
        pdf.draw_text "Pin the scrap here", at: [8, pdf.cursor - 16], size: 9
        pdf.move_down tall + 4
        pdf.undash
      end

      def section(pdf, title, lines)
        pdf.move_down 7
        pdf.text title, size: 11
        pdf.stroke_horizontal_rule
        pdf.move_down 2
        lines.each { |line| pdf.text line.to_s, size: 9, leading: 1 }
      end
    end
  end
end
