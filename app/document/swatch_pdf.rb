# frozen_string_literal: true

# SwatchPdf is the page that is kept with the scrap: its numbers, what was seen, and a place to pin it.
#
#   Document::SwatchPdf.new(leaf, present, title: "linen field smock: front placket").render   # => String

require_relative "../../lib/nimble_eyelet"
require_relative "page_pdf"

module NimbleEyelet
  module Document
    class SwatchPdf < PagePdf
      # A scrap of at least so much lies flat under the frame, mm.
      SCRAP = [60, 100].freeze
      POINTS = 72 / 25.4

      # @param leaf [Store::SwatchBook::Leaf]
      # @param present [Presenter]
      # @param title [String]
      def initialize(leaf, present, title:)
        super()
        @swatch = leaf.swatch
        @machine = leaf.machine
        @told = Swatches::SwatchDescription.new(leaf.swatch)
        @present = present
        @title = title
      end

      private

      def draw(pdf)
        pdf.text "Simulated: sewn on the machine that stands in", size: 10 if @swatch.simulated
        pdf.text [@swatch.sewn_at.to_s[0, 10], @machine, @swatch.id[0, 8]].compact.join(" · "), size: 9
        pin(pdf)
        section(pdf, "Sewn on and with", sewn)
        section(pdf, "Set to", set)
        section(pdf, "Seen", seen)
      end

      # Cloth, thread, and what was fitted and laid under, a line each.
      def sewn
        [%i[cloth cloth_kind], %i[thread thread_tex], %i[style foot], %i[needle], %i[stabiliser]]
          .map { |names| @told.sewn.values_at(*names).reject { |text| text.to_s.empty? }.join(", ") }.reject(&:empty?)
      end

      def set = @told.settings.map { |name, value| "#{name} #{@present.words(value)}" }.each_slice(3).map { |some| some.join("; ") }

      def seen
        measured = @swatch.measured && "Cut length as measured: #{@present.words(@swatch.measured)}"
        [measured, @told.verdict, *@told.seen, @swatch.note].reject { |line| line.to_s.empty? }
      end

      # Room for the scrap itself.
      def pin(pdf)
        wide, tall = SCRAP.reverse.map { |side| side * POINTS }
        pdf.move_down 8
        pdf.dash(3)
        pdf.stroke_rectangle([0, pdf.cursor], [wide, pdf.bounds.width].min, tall)
        pdf.undash
        pdf.draw_text "Pin the scrap here", at: [8, pdf.cursor - 16], size: 9
        pdf.move_down tall + 4
      end
    end
  end
end
