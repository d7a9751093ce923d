# frozen_string_literal: true

# WayPdf is the page for a way to close that is no hole of the machine: its figures, what is done at every place, and at
# true size what is drawn on the fabric.
#
#   Document::WayPdf.new(sheet, present, title: "boiled-wool vest: front").render   # => String

require_relative "../../lib/nimble_eyelet"
require_relative "page_pdf"

module NimbleEyelet
  module Document
    class WayPdf < PagePdf
      POINTS = 72 / 25.4
      # Drawn beside each other on one page at most.
      MOST_LOOPS = 5
      private_constant :POINTS, :MOST_LOOPS

      # @param sheet [Sheet] with a way
      # @param present [Presenter]
      # @param title [String]
      def initialize(sheet, present, title:)
        super()
        @sheet = sheet
        @way = sheet.other_ways.chosen
        @given = sheet.other_ways.given
        @figures = @way.figures(@given)
        @places = sheet.layout.holes
        @present = present
        @title = title
      end

      private

      def draw(pdf)
        pdf.text @way.name.capitalize, size: 11
        section(pdf, "At true size: print at 100 %", ["The line is 50 mm. Measure it first."])
        at_size(pdf)
        section(pdf, "Figures", @figures.values.map { |one| "#{one.name}: #{@present.words(one.value)}" })
        section(pdf, "First", words(@way.once(@given))) if @way.once(@given).any?
        section(pdf, "At every place", words(@way.beats(@given)))
        section(pdf, "From the #{@sheet.plan.placket.measured_from}", [@places.map { |hole| @present.words(hole.at) }.join(" · ")])
      end

      def words(says) = says.each_with_index.map { |one, index| "#{index + 1}  #{@present.words(one)}" }

      def mm(key) = @figures[key]&.value.to_f * POINTS

      def at_size(pdf)
        pdf.move_down 4
        line(pdf, 0, pdf.cursor, 50 * POINTS)
        pdf.move_down 12
        return loops(pdf) if @figures.key?("arc")

        wide = mm("box").positive? ? mm("box") : mm("window")
        long = mm("slit").positive? ? mm("slit") : mm("square")
        high = wide.positive? ? wide : mm("square")
        box(pdf, long, high, cut: mm("slit").positive?)
        pdf.move_down high + 8
      end

      # The box that is stitched, and the line that is cut.
      def box(pdf, long, high, cut:)
        top = pdf.cursor
        pdf.stroke_rectangle([0, top], long, high) if high.positive?
        line(pdf, 0, top - (high / 2), long) if cut
      end

      # A ladder: the seam line, and the legs of each loop on it.
      def loops(pdf)
        top = pdf.cursor
        step = (@given.gap || @given.across).to_f * POINTS
        places = [(pdf.bounds.width / step).floor, @places.size, MOST_LOOPS].min.clamp(1, MOST_LOOPS)
        line(pdf, 0, top, pdf.bounds.width)
        Array.new(places) { |index| loop_at(pdf, index * step, top) }
        pdf.move_down mm("reach").positive? ? mm("reach") + 10 : 30
      end

      def loop_at(pdf, x, top)
        out = mm("reach").positive? ? mm("reach") : mm("button_in")
        pdf.stroke { pdf.curve([x, top], [x + mm("base"), top], bounds: [[x, top - (out * 4 / 3)], [x + mm("base"), top - (out * 4 / 3)]]) }
      end

      def line(pdf, x, y, long) = pdf.stroke_line([x, y], [x + long, y])
    end
  end
end
