# frozen_string_literal: true

# Paper makes one PDF of what is drawn on pages: in our own typeface, with its title and language, and never scaled by a
# printer unless somebody wants it.
#
#   Document::Paper.of("linen field smock", [strip, card])   # => String, a PDF

require "prawn"

module NimbleEyelet
  module Document
    module Paper
      FONT = File.expand_path("fonts/DejaVuSans.ttf", __dir__)

      # @param title [String]
      # @param parts [Array<#draw_pages>] each begins its own pages
      # @return [String] PDF, the same bytes for the same parts
      def self.of(title, parts) = begun(title).tap { |pdf| parts.each { |part| part.draw_pages(pdf) } }.render

      # @param title [String]
      # @return [Prawn::Document] without a page
      def self.begun(title)
        pdf = Prawn::Document.new(skip_page_creation: true, info: { Title: title, Creator: "Nimble Eyelet" })
        pdf.font_families.update("Strip" => { normal: FONT })
        root = pdf.state.store.root.data
        root[:Lang] = PDF::Core::LiteralString.new("en-GB")
        root[:ViewerPreferences] = { PrintScaling: :None, DisplayDocTitle: true }
        pdf
      end

      # @param pdf [Prawn::Document]
      # @param size [String, Array<Float>] name of a paper, or width and height in points
      # @param margin [Float] points
      # @return [void]
      def self.page(pdf, size, margin: 0)
        pdf.start_new_page(size: size, margin: margin)
        pdf.font("Strip")
      end
    end
  end
end
