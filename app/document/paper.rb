# frozen_string_literal: true

# Paper makes one PDF of what is drawn on pages: in our own typeface, with its title and language, tagged for reading
# aloud, and never scaled by a printer unless somebody wants it.
#
#   Document::Paper.of("linen field smock", [strip, card])   # => String, a PDF

require "prawn"
require_relative "../dialect"
require_relative "tags"

module NimbleEyelet
  module Document
    module Paper
      FONT = File.expand_path("fonts/DejaVuSans.ttf", __dir__)

      # @param title [String]
      # @param parts [Array<#draw_pages>] each begins its own pages
      # @param dialect [Dialect] of whoever reads it
      # @return [String] PDF, the same bytes for the same parts
      def self.of(title, parts, dialect = Dialect::USUAL)
        begun(title, dialect).tap { |pdf| parts.each { |part| part.draw_pages(pdf) } }.render
      end

      # Writes in the dialect of whoever reads it, and tags each text as a paragraph or a heading.
      class Pages < Prawn::Document
        attr_accessor :dialect

        def text(words, kind: :P, **options) = tags.of(kind) { super(dialect.say(words), options) }
        def draw_text(words, kind: :P, **options) = tags.of(kind) { super(dialect.say(words), options) }
        def width_of(words, ...) = super(dialect.say(words), ...)
        def draw_text!(...) = others { tags.line { super } }
        def font(...) = others { super }

        def start_new_page(...)
          tags.page_ends
          super.tap { tags.page_begins }
        end

        def render(...)
          tags.close
          others { super }
        end

        private

        # Between two lines others have their turn: a long print keeps nobody waiting.
        def others
          Thread.pass
          yield
        end

        def tags = @tags ||= Tags.new(self)
      end

      LANGUAGES = { "british" => "en-GB", "american" => "en-US" }.freeze

      # @param title [String]
      # @param dialect [Dialect]
      # @return [Pages] without a page
      def self.begun(title, dialect = Dialect::USUAL)
        pdf = Pages.new(skip_page_creation: true, info: { Title: title, Creator: "Nimble Eyelet" })
        pdf.dialect = dialect
        pdf.font_families.update("Strip" => { normal: FONT })
        root = pdf.state.store.root.data
        root[:Lang] = PDF::Core::LiteralString.new(LANGUAGES.fetch(dialect.words))
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
