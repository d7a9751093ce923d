# frozen_string_literal: true

# Tags tell a PDF's reader what is a heading and what a paragraph, in which order they are read, and that lines and
# shapes say nothing (ISO 32000-1, 14.7 and 14.8). Whatever is not written within `tags.of` is decoration.
#
#   tags = Tags.new(pdf)
#   tags.of(:H1) { pdf.text "linen field smock" }
#   tags.close

require "prawn"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Document
    class Tags
      # @param pdf [Prawn::Document]
      def initialize(pdf)
        @pdf = pdf
        @open = nil
        # One list a page: by its place the element that a mark belongs to.
        @pages = []
        @elements = []
        @root = pdf.ref!({ Type: :StructTreeRoot })
        @whole = pdf.ref!({ Type: :StructElem, S: :Document, P: @root, K: @elements })
      end

      # @param kind [Symbol] :H1, :H2 or :P
      # @yield what is written; what is written within that belongs to it
      def of(kind)
        return yield if @open

        begin
          @open = @pdf.ref!({ Type: :StructElem, S: kind, P: @whole, K: [] })
          @elements << @open
          yield
        ensure
          @open = nil
        end
      end

      # A new page begins with what says nothing.
      def page_begins
        @pdf.page.dictionary.data.merge!(StructParents: @pages.size, Tabs: :S)
        @pages << []
        @pdf.add_content("/Artifact BMC")
      end

      def page_ends = @pages.any? && @pdf.add_content("EMC")

      # @yield that writes one line of it
      def line
        return yield unless @open

        marks = @pages.last
        @open.data[:K] << { Type: :MCR, Pg: @pdf.page.dictionary, MCID: marks.size }
        @pdf.add_content("EMC\n/#{@open.data[:S]} <</MCID #{marks.size}>> BDC")
        marks << @open
        yield
        @pdf.add_content("EMC\n/Artifact BMC")
      end

      # Once, when all is drawn.
      #
      # @return [void]
      def close
        page_ends
        parents = @pages.each_with_index.flat_map { |marks, number| [number, @pdf.ref!(marks)] }
        @root.data.merge!(K: @whole, ParentTree: @pdf.ref!({ Nums: parents }), ParentTreeNextKey: @pages.size)
        @pdf.state.store.root.data.merge!(StructTreeRoot: @root, MarkInfo: { Marked: true })
      end
    end
  end
end
