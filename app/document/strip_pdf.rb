# frozen_string_literal: true

# StripPdf puts a strip on A4 pages, 1 to 1, each page overlapping the next by a centimetre.
#
#   Document::StripPdf.new(strip).render   # => String, a PDF

require "prawn"
require_relative "strip"

module NimbleEyelet
  module Document
    class StripPdf
      FONT = File.expand_path("fonts/DejaVuSans.ttf", __dir__)
      POINTS = 72 / 25.4
      PAGE = [210.0, 297.0].freeze
      MARGIN = 12.0
      HEAD = 28.0
      # Run on a page, and how much of it stands on the next page again.
      TILE = PAGE[1] - (2 * MARGIN) - HEAD
      OVERLAP = 10.0

      # @param strip [Strip]
      # @param title [String]
      def initialize(strip, title)
        @strip = strip
        @title = title
      end

      # @return [Integer]
      def pages = [((@strip.length - OVERLAP) / (TILE - OVERLAP)).ceil, 1].max

      # @return [String] PDF, the same bytes for the same strip
      def render
        pdf = Prawn::Document.new(page_size: PAGE.map { |side| side * POINTS }, margin: 0,
                                  info: { Title: @title, Creator: "Nimble Eyelet" })
        pdf.font_families.update("Strip" => { normal: FONT })
        pdf.font("Strip")
        pages.times do |number|
          pdf.start_new_page unless number.zero?
          draw_page(pdf, number)
        end
        pdf.render
      end

      private

      def draw_page(pdf, number)
        from = number * (TILE - OVERLAP)
        head = Pen.new(pdf, MARGIN, PAGE[1] - MARGIN)
        draw_head(head, number)
        tile = Pen.new(pdf, MARGIN, PAGE[1] - MARGIN - HEAD + from)
        tall = [TILE, @strip.length - from].min
        pdf.save_graphics_state do
          pdf.rectangle([0, (PAGE[1] - MARGIN - HEAD + 0.5) * POINTS], PAGE[0] * POINTS, (tall + 1) * POINTS)
          pdf.add_content("W n")
          @strip.draw(tile)
        end
        draw_joins(tile, from, number)
      end

      def draw_head(pen, number)
        lines = @strip.heading
        pen.text(0, 4, lines[0], 4.5)
        pen.text(0, 9, lines[1], 3)
        pen.text(0, 13.5, "#{lines[2]}#{" Page #{number + 1} of #{pages}." if pages > 1}", 3)
        @strip.draw_check_line(pen, 0, 20)
      end

      # Where the next page is laid over this one.
      def draw_joins(pen, from, number)
        joins = []
        joins << (from + OVERLAP) unless number.zero?
        joins << (from + TILE - OVERLAP) unless number == pages - 1
        joins.each do |y|
          pen.line(-6, y, @strip.cloth_width, y, :join)
          pen.text(@strip.cloth_width + 34, y + 1, "join here", 2.6)
        end
      end

      # Draws in mm from an origin, y downward, clipped to what fits the page.
      class Pen
        # @param pdf [Prawn::Document]
        # @param x [Float] mm of the origin from the left of the page
        # @param y [Float] mm of the origin from the foot of the page
        def initialize(pdf, x, y)
          @pdf = pdf
          @x = x
          @y = y
        end

        def line(from_x, from_y, to_x, to_y, kind)
          styled(kind) { @pdf.stroke_line(point(from_x, from_y), point(to_x, to_y)) }
        end

        def rectangle(x, y, width, height, kind)
          styled(kind) { @pdf.stroke_rectangle(point(x, y), width * POINTS, height * POINTS) }
        end

        def circle(x, y, radius, kind)
          styled(kind) { @pdf.stroke_circle(point(x, y), radius * POINTS) }
        end

        # @param size [Float] mm
        def text(x, y, words, size)
          @pdf.draw_text(words, at: point(x, y), size: size * POINTS)
        end

        private

        def point(x, y) = [(@x + x) * POINTS, (@y - y) * POINTS]

        def styled(kind)
          width, dashes = LINES.fetch(kind)
          @pdf.line_width = width * POINTS
          dashes ? @pdf.dash(dashes.map { |dash| dash * POINTS }) : @pdf.undash
          yield
        end
      end
    end
  end
end
