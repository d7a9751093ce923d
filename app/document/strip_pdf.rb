# frozen_string_literal: true

# StripPdf puts both sides of a strip on pages, 1 to 1, each page overlapping the next by a centimetre,
# with crosses to lay them on each other by.
#
#   Document::StripPdf.new(strip).render   # => String, a PDF

require_relative "paper"
require_relative "strip"

module NimbleEyelet
  module Document
    class StripPdf
      POINTS = 72 / 25.4
      # A roll has a width and is cut where the run ends.
      PAPERS = { "a4" => [210.0, 297.0].freeze, "letter" => [215.9, 279.4].freeze, "roll" => [210.0, nil].freeze }.freeze
      SIDES = %w[both overlap underlap].freeze
      MARGIN = 12.0
      HEAD = 28.0
      # How much of a page stands on the next page again.
      OVERLAP = 10.0
      # Half an arm of a register cross.
      REGISTER = 3.0
      # Where the words of a join and the right register cross stand, mm beyond the fabric; how large those words are.
      BESIDE = 34.0
      CROSS_AT = 57.0
      JOIN_SIZE = 2.6
      # So far from a page, mm, words are not seen in part either; larger ones are the title.
      CUT = 5.0
      TITLE = 4.5

      # @param strip [Strip] of the overlap
      # @param title [String]
      # @param paper [String] key of PAPERS
      # @param side [String] one of SIDES
      def initialize(strip, title, paper: "a4", side: "both")
        @strips = { "both" => strip.sides, "overlap" => strip.sides.first(1), "underlap" => strip.sides.last(1) }.fetch(side)
        @title = title
        width, tall = PAPERS.fetch(paper)
        @page = [width, tall || (strip.length + HEAD + (2 * MARGIN) + 1)]
      end

      # @return [Integer] for one side
      def pages = [((@strips.first.length - OVERLAP) / (tile - OVERLAP)).ceil, 1].max

      # @return [Float] mm of the run on a page
      def tile = @page[1] - (2 * MARGIN) - HEAD

      # @return [String] PDF, the same bytes for the same strip
      def render(dialect = Dialect::USUAL) = Paper.of(@title, [self], dialect)

      # @param pdf [Prawn::Document]
      # @return [void]
      def draw_pages(pdf)
        @strips.product((0...pages).to_a).each do |strip, number|
          Paper.page(pdf, @page.map { |side| side * POINTS })
          draw_page(pdf, strip, number)
        end
      end

      private

      def draw_page(pdf, strip, number)
        from = number * (tile - OVERLAP)
        top = @page[1] - MARGIN
        draw_head(Pen.new(pdf, MARGIN, top), strip, number)
        tile_pen = Pen.new(pdf, MARGIN, top - HEAD + from, shown: (from - CUT)..(from + tile + CUT))
        clipped(pdf, top - HEAD, [tile, strip.length - from].min) { strip.draw(tile_pen) }
        draw_joins(tile_pen, strip, from, number)
        draw_registers(tile_pen, strip, from, number)
      end

      # What of the strip lies on this page.
      def clipped(pdf, top, tall)
        pdf.save_graphics_state do
          pdf.rectangle([0, (top + 0.5) * POINTS], @page[0] * POINTS, (tall + 1) * POINTS)
          pdf.add_content("W n")
          yield
        end
      end

      def draw_head(pen, strip, number)
        lines = strip.heading
        pen.text(0, 4, lines[0], 4.5)
        pen.text(0, 9, lines[1], 3)
        pen.text(0, 13, lines[2], 3)
        pen.text(0, 17, "#{lines[3]}#{" Page #{number + 1} of #{pages}, top to bottom." if pages > 1}", 3)
        strip.draw_check_line(pen, 0, 22)
      end

      # Where the next page is laid over this one.
      def draw_joins(pen, strip, from, number)
        joins = []
        joins << (from + OVERLAP) unless number.zero?
        joins << (from + tile - OVERLAP) unless number == pages - 1
        joins.each do |y|
          pen.line(-6, y, strip.cloth_width, y, :join)
          pen.text(strip.cloth_width + BESIDE, strip.clear_of_labels(y + 1, JOIN_SIZE), "join here", JOIN_SIZE)
        end
      end

      # In the middle of what two pages share, at the same place of the run on both.
      def draw_registers(pen, strip, from, number)
        places = [(from + (OVERLAP / 2) unless number.zero?),
                  (from + tile - (OVERLAP / 2) unless number == pages - 1)].compact
        places.product([-5.0, strip.cloth_width + CROSS_AT]) { |y, x| draw_register(pen, x, y) }
      end

      # The crosses of two pages lie on each other when the pages lie true.
      def draw_register(pen, x, y)
        pen.line(x - REGISTER, y, x + REGISTER, y, :check)
        pen.line(x, y - REGISTER, x, y + REGISTER, :check)
        pen.circle(x, y, REGISTER * 0.6, :check)
      end

      # Draws in mm from an origin, y downward, clipped to what fits the page.
      class Pen
        # @param pdf [Prawn::Document]
        # @param x [Float] mm of the origin from the left of the page
        # @param y [Float] mm of the origin from the foot of the page
        # @param shown [Range<Float>] mm downward: words elsewhere would be cut off, and are not to be read aloud either
        def initialize(pdf, x, y, shown: (nil..nil))
          @pdf = pdf
          @x = x
          @y = y
          @shown = shown
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
          return if words.empty? || !@shown.cover?(y)

          @pdf.draw_text(words, at: point(x, y), size: size * POINTS, kind: size < TITLE ? :P : :H1)
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
