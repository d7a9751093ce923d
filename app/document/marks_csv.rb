# frozen_string_literal: true

# MarksCsv is the table of marks for a spreadsheet: one row a hole, every figure in millimetres from
# the datum. Its columns are named in the first row; docs/marks-csv.md describes them.
#
#   Document::MarksCsv.of(layout)   # => "hole,at_mm,…\r\n1,24,…"

require "csv"
require_relative "../field/field"

module NimbleEyelet
  module Document
    module MarksCsv
      COLUMNS = %i[at gap from to open_from open_to button out_outer out_inner].freeze

      # All there is to write of a loop or a stud: neither has a slit.
      PLACES = %i[at gap button].freeze

      # @param layout [Placket::Layout]
      # @param way [Otherways::Way, nil] what is made there instead of holes sewn by machine
      # @return [String]
      def self.of(layout, way: nil)
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << ["hole", *COLUMNS.map { |column| "#{column}_mm" }, "lies", "edge_mm", "start_mm", "start_edge_mm", "sewn"]
          layout.holes.each { |hole| csv << row(hole, way) }
        end
      end

      def self.row(hole, way)
        open = way.nil? || way.opens
        shown = open ? COLUMNS : PLACES
        figures = COLUMNS.map { |column| shown.include?(column) ? hole[column]&.then { |at| Field.decimal(at) } : nil }
        [hole.number, *figures, *(open ? [hole.lies, Field.decimal(hole.marked_edge)] : [nil, nil]), *start(hole, way),
         hole.sewn ? "yes" : "no"]
      end

      # Empty where no machine begins, and while nobody has watched where it does.
      def self.start(hole, way)
        return [nil, nil] if way || !hole.starts.one?

        [hole.starts.first.along, hole.starts.first.from_edge].map { |length| Field.decimal(length) }
      end
      private_class_method :row, :start
    end
  end
end
