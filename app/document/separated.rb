# frozen_string_literal: true

# Separated writes comma separated rows as a spreadsheet expects them where a comma stands in numbers, and reads what
# spreadsheets write: commas, semicolons or tabs, in UTF-8 or UTF-16.
#
#   Document::Separated.as("semicolon", "name,width\r\noyster,1.5\r\n")   # => "name;width\r\noyster;1,5\r\n"

require "csv"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Document
    module Separated
      NUMBER = /\A-?\d+\.\d+\z/

      # @param sign [String] "comma" or "semicolon"
      # @param rows [String] comma separated, each with its end
      # @return [String]
      def self.as(sign, rows)
        return rows if sign == "comma"

        cells = CSV.parse(rows).map { |row| row.map { |cell| spoken(cell) } }
        cells.map { |row| CSV.generate_line(row, col_sep: ";", row_sep: "\r\n") }.join
      end

      SIGNS = [",", ";", "\t"].freeze
      # What spreadsheets call Unicode text begins with one of these.
      WIDE = [[0xFF, 0xFE], [0xFE, 0xFF]].map { |mark| mark.pack("C2") }.freeze

      # @param bytes [String]
      # @return [CSV::Table] by the names in the first row
      # @raise [CSV::MalformedCSVError, EncodingError]
      def self.table(bytes)
        text = read(bytes)
        sign = SIGNS.max_by { |one| text[/\A[^\r\n]*/].count(one) }
        CSV.parse(text, headers: true, col_sep: sign)
      end

      def self.read(bytes)
        wide = WIDE.include?(bytes.byteslice(0, 2).b)
        text = bytes.dup.force_encoding(wide ? Encoding::UTF_16 : Encoding::UTF_8)
        text.encode(Encoding::UTF_8).delete_prefix("\uFEFF")
      end

      def self.spoken(cell) = cell&.match?(NUMBER) ? cell.tr(".", ",") : cell
      private_class_method :read, :spoken
    end
  end
end
