# frozen_string_literal: true

# SuppliesPdf is the shopping list on paper: every thing with a box to tick, how much of it, and what lies at home
# already.
#
#   Document::SuppliesPdf.new("linen field smock", supplies, present).render   # => String

require_relative "../../lib/nimble_eyelet"
require_relative "page_pdf"

module NimbleEyelet
  module Document
    class SuppliesPdf < PagePdf
      # @param title [String]
      # @param supplies [Array<Supply>]
      # @param present [Presenter]
      def initialize(title, supplies, present)
        super()
        @title = title
        @supplies = supplies
        @present = present
      end

      private

      def draw(pdf)
        @supplies.group_by(&:kind).each do |kind, some|
          section(pdf, Supplies::SUPPLY_KINDS.fetch(kind), [])
          some.each { |one| item(pdf, one) }
        end
        pdf.text "Nothing yet: the holes do not fit.", size: 10 if @supplies.empty?
      end

      BOX = 8
      private_constant :BOX

      def item(pdf, one)
        pdf.start_new_page if pdf.cursor < BOX * 4
        pdf.stroke_rectangle([0, pdf.cursor - 1], BOX, BOX)
        pdf.indent(BOX + 6) do
          pdf.text "#{much(one)}  #{one.name}", size: @size
          pdf.text [@present.words(one.says), *at_home(one)].join("; "), size: @size - 2, leading: 1
        end
        pdf.move_down 3
      end

      def much(one)
        return one.count.to_s unless one.length

        @present.words(one.kind == "thread" ? Tool::SPOOL.at(one.length) : one.length)
      end

      def at_home(one)
        return [] unless one.owned

        ["#{one.owned} in the stash", ("#{one.reserved} set aside" if one.reserved.positive?),
         ("#{one.elsewhere} of them for others" if one.elsewhere.positive?), ("#{one.lacks} to buy" if one.lacks.positive?)].compact
      end
    end
  end
end
