# frozen_string_literal: true

# CutDrawing draws how a hole is opened, at true size: its tacks and beads, the pins across it, the way of the blade.
#
#   Document::CutDrawing.new(pdf, sheet.cut_line, sheet.cut.ends, width).draw { |length| present.words(length) }

require_relative "../../lib/nimble_eyelet"
require_relative "strip_pdf"

module NimbleEyelet
  module Document
    class CutDrawing
      # Above and below the hole, mm.
      ROOM = 4.0
      # Across the hole a pin reaches so far beyond the stitches, and what is no whole number is written so small.
      PIN_BEYOND = 2.5
      SMALL = 6

      # @param pdf [Prawn::Document]
      # @param line [Opening::CutMarks]
      # @param ends [Ends]
      # @param width [Length] of the hole across its slit
      def initialize(pdf, line, ends, width)
        @pdf = pdf
        @line = line
        @near = ends.near.to_f
        @far = ends.far.to_f
        @half = width.to_f / 2
      end

      # @yieldparam length [Length]
      # @yieldreturn [String] as it is read
      # @return [void]
      def draw(&)
        @middle = @pdf.cursor - points(ROOM + PIN_BEYOND + @half)
        outline
        @line.pins.each { |at| pin(at.to_f) }
        @line.cuts.each_with_index { |cut, index| blade(cut, index) }
        figures(&)
        @pdf.move_cursor_to(@middle - points(ROOM + PIN_BEYOND + @half))
      end

      private

      def points(millimetres) = millimetres * StripPdf::POINTS
      def x(millimetres) = points(@near + millimetres)
      def slit = @line.slit.to_f

      def outline
        @pdf.line_width = 0.5
        [[-@near, @near], [slit, @far]].each do |from, long|
          @pdf.stroke_rectangle([x(from), @middle + points(@half)], points(long), points(@half * 2)) if long.positive?
        end
        [@half, -@half].each { |side| @pdf.stroke_line([x(0), @middle + points(side)], [x(slit), @middle + points(side)]) }
        @pdf.dash(points(1))
        @pdf.stroke_line([x(0), @middle], [x(slit), @middle])
        @pdf.undash
      end

      def pin(at)
        reach = points(@half + PIN_BEYOND)
        @pdf.line_width = 0.8
        @pdf.stroke_line([x(at), @middle - reach], [x(at), @middle + reach])
        @pdf.fill_circle([x(at), @middle + reach], points(0.6))
      end

      # Each cut a little beside the last, so that what overlaps is seen; its end is where the blade stops.
      def blade(cut, index)
        y = @middle - points(@half + 1 + (index % 2))
        @pdf.line_width = 1
        @pdf.stroke_line([x(cut.from.to_f), y], [x(cut.to.to_f), y])
        @pdf.fill_circle([x(cut.to.to_f), y], points(0.5))
      end

      def figures
        @pdf.draw_text "cut length #{yield(@line.slit)}", at: [x(slit + @far + 3), @middle + 4], size: SMALL + 2
        said = @line.cuts.map { |cut| "#{yield(cut.from)} to #{yield(cut.to)}" }.join(", then ")
        @pdf.draw_text "from the first end: #{said}", at: [x(slit + @far + 3), @middle - 8], size: SMALL unless said.empty?
      end
    end
  end
end
