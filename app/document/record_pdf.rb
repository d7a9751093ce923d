# frozen_string_literal: true

# RecordPdf is the record of a garment when it is done: for each closure its run, its buttons, what it was sewn with,
# what to remember, and what it bears.
#
#   Document::RecordPdf.new("linen field smock", [["front placket", sheet, present]]).render   # => String

require_relative "../../lib/nimble_eyelet"
require_relative "page_pdf"

module NimbleEyelet
  module Document
    class RecordPdf < PagePdf
      # @param title [String]
      # @param closures [Array<Array(String, Sheet, Presenter)>]
      def initialize(title, closures)
        super()
        @title = title
        @closures = closures
      end

      private

      def draw(pdf)
        @closures.each do |name, sheet, present|
          section(pdf, name, lines(sheet, present))
          run(pdf, sheet) if sheet.layout
          kept(pdf, sheet, present)
        end
      end

      def lines(sheet, present)
        holes = sheet.layout ? sheet.layout.holes.size : 0
        plan = sheet.plan
        sewn = Placket::LayoutWords.so_many(holes, sheet.sewn)
        return [by_hand(sheet.way, sewn, plan), named(plan)] if sheet.way

        long = plan.button.opens? ? "cut length #{present.words(sheet.opening)}" : "each #{present.words(sheet.opening)} long"
        [["#{sewn}, #{long}", (plan.button.name if plan.button.opens?)].compact.reject(&:empty?).join("; "),
         named(plan), fitted(sheet.recipe)]
      end

      def by_hand(way, sewn, plan)
        ["#{sewn}: #{way.name}", (plan.button.name if way.buttons)].compact.reject(&:empty?).join("; ")
      end

      def named(plan) = [plan.cloth, plan.thread, plan.machine].map(&:name).reject(&:empty?).join("; ")

      def fitted(recipe)
        [recipe.style.value.name, recipe.foot.value.full_name, recipe.needle.value, recipe.stay_words,
         *("sewn twice" if recipe.second_pass)].join("; ")
      end

      # The run with every hole at its place, as long as the page is wide.
      def run(pdf, sheet)
        scale = pdf.bounds.width / sheet.plan.placket.run_length.to_f
        pdf.move_down 10
        pdf.stroke_line([0, pdf.cursor], [pdf.bounds.width, pdf.cursor])
        pdf.line_width = 4
        opened = sheet.way.nil? || sheet.way.opens
        sheet.layout.holes.each { |hole| stroke(pdf, hole, scale, long: opened && hole.vertical?) }
        pdf.line_width = 1
        pdf.move_down 10
      end

      def stroke(pdf, hole, scale, long:)
        from, to = long ? [hole.open_from, hole.open_to] : [hole.at, hole.at]
        pdf.stroke_line([from.to_f * scale, pdf.cursor], [[to.to_f, from.to_f + 1].max * scale, pdf.cursor])
      end

      # How the button went through each hole, as it was said when that was opened.
      def went_through(sheet)
        said = (sheet.layout&.holes || []).filter_map do |hole|
          sheet.facts.through(hole.at)&.then { |key| "#{hole.number} #{Swatches::PASSES.fetch(key).name}" }
        end
        "Through the holes: #{said.join(', ')}." if said.any?
      end

      def kept(pdf, sheet, present)
        swatch = sheet.frozen&.swatch
        settings = swatch ? Swatches::SwatchDescription.new(swatch).settings : {}
        settings = settings.map { |name, value| "#{name} #{present.words(value)}" }
        notes = [swatch&.note, *sheet.facts.mishaps.map do |entry|
          "Went wrong: #{entry.mishap.says}"
        end].reject { |line| line.to_s.empty? }
        lines = [settings.join("; "), went_through(sheet), *notes, *Care.of(sheet)].compact.reject(&:empty?)
        lines.each { |line| pdf.text line, size: @size, leading: 1.5 }
      end
    end
  end
end
