# frozen_string_literal: true

# ShelfCsv writes a shelf as comma separated values and reads it back: the names of the fields in the first
# row, lengths in millimetres. docs/shelf-csv.md describes the columns.
#
#   Document::ShelfCsv.write(shelf)
#   Document::ShelfCsv.read(kind, bytes, columns: { "Stoff" => "name" }).rows   # => [Row, …]

require "csv"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/shelf_form"
require_relative "separated"
require_relative "stash_csv"

module NimbleEyelet
  module Document
    module ShelfCsv
      MOST_ROWS = 5_000

      # One row read. values - Hash or nil; faults - Array<Fault>
      Row = Value.of(:number, :name, :values, :faults)

      # What was read. columns - Hash{String => String or nil}, field by what the table calls it, nil: left out;
      # asks - String or nil, what somebody has to say of the columns before rows can be read; rows - Array<Row>
      Read = Value.of(:columns, :asks, :rows)

      # @param shelf [Store::Shelf]
      # @return [String]
      def self.write(shelf)
        fields = shelf.kind.fields
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << fields.map { |name, field| heading(name, field) }
          shelf.all.each { |row| csv << shelf.load(row).map { |name, value| cell(fields.fetch(name), value) } }
        end
      end

      # @param kind [ShelfFields::Shelf]
      # @param bytes [String] of a table of any spreadsheet
      # @param columns [Hash{String => String}] what somebody said of columns; empty leaves one out
      # @return [Read]
      # @raise [Refusal] when this is no such file at all
      def self.read(kind, bytes, columns: {})
        table = Separated.table(bytes)
        raise refused("At most #{MOST_ROWS} rows at once: split the file.") if table.size > MOST_ROWS

        meant = meant(kind, table.headers.compact, columns)
        asks = asks(meant.values.compact)
        Read.new(columns: meant, asks: asks, rows: asks ? [] : rows(kind, table, meant.compact))
      rescue CSV::MalformedCSVError, EncodingError, ArgumentError
        raise refused("This is no table. Save it as CSV once more.")
      end

      # Name of a field by what the table calls it: by its own name or its label, with its unit or without.
      def self.meant(kind, headers, said)
        known = kind.fields.flat_map do |name, field|
          [name, heading(name, field), field.label].map { |called| [plain(called), name] }
        end.to_h
        raise refused("A column has no such meaning.") if (said.values_at(*headers).compact - ["", *kind.fields.keys]).any?

        headers.to_h do |called|
          own = said.fetch(called) { known[plain(called)] }
          [called, own.to_s.empty? ? nil : own]
        end
      end

      def self.asks(meant)
        return "Say which column holds the name." unless meant.include?("name")

        "Two columns are the same. Leave one out." if meant.uniq.size < meant.size
      end

      def self.rows(kind, table, names)
        form = Form::ShelfForm.new(kind, :mm)
        table.each_with_index.map { |row, index| row(form, names, row, index + 2, kind.fields) }
      end

      def self.plain(called) = called.downcase.tr("_", " ").sub(%r{[ ,]*\(?(?:mm|g/m²|g/m2|g m2|percent|%)\)?\s*\z}, "").strip

      def self.row(form, names, row, number, fields)
        typed = names.to_h do |heading, name|
          [name, fields.fetch(name).key_of(row[heading].to_s.sub(StashCsv::ESCAPED, ""))]
        end
        Row.new(number: number, name: typed["name"], values: form.read(typed), faults: [])
      rescue Refusal => e
        Row.new(number: number, name: typed["name"], values: nil, faults: e.faults)
      end

      def self.heading(name, field) = field.kind == :length ? "#{name}_mm" : name

      def self.cell(field, value)
        text = field.dump(value).to_s
        text.match?(StashCsv::FORMULA) || text.match?(StashCsv::ESCAPED) ? "'#{text}" : text
      end

      def self.refused(why) = Refusal.field("file", "", why)
      private_class_method :meant, :asks, :rows, :row, :heading, :plain, :cell, :refused
    end
  end
end
