# frozen_string_literal: true

# Separated writes comma separated rows as a spreadsheet expects them where a comma stands in numbers.
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

      def self.spoken(cell) = cell&.match?(NUMBER) ? cell.tr(".", ",") : cell
      private_class_method :spoken
    end
  end
end
