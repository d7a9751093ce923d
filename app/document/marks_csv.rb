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

      # @param layout [Placket::Layout]
      # @return [String]
      def self.of(layout)
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << ["hole", *COLUMNS.map { |column| "#{column}_mm" }, "lies", "edge_mm", "start_mm", "start_edge_mm", "sewn"]
          layout.holes.each do |hole|
            csv << [hole.number, *COLUMNS.map do |column|
              hole[column] && Field.decimal(hole[column])
            end, hole.lies, Field.decimal(hole.edge),
                    *start(hole), hole.sewn ? "yes" : "no"]
          end
        end
      end

      # Empty while nobody has watched where the machine begins.
      def self.start(hole)
        return [nil, nil] unless hole.starts.one?

        [hole.starts.first.along, hole.starts.first.from_edge].map { |length| Field.decimal(length) }
      end
      private_class_method :start
    end
  end
end
