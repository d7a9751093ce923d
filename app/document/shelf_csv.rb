# frozen_string_literal: true

# ShelfCsv writes a shelf as comma separated values and reads it back: the names of the fields in the first
# row, lengths in millimetres. docs/shelf-csv.md describes the columns.
#
#   Document::ShelfCsv.write(shelf)

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
      # @return [Array<Row>]
      # @raise [Refusal] when this is no such file at all
      def self.read(kind, bytes)
        table = Separated.table(bytes)
        names = headings(kind, table.headers)
        unless names.value?("name")
          wanted = kind.fields.map { |name, field| heading(name, field) }
          raise refused("A row of names comes first: #{wanted.join(', ')}.")
        end
        raise refused("At most #{MOST_ROWS} rows at once: split the file.") if table.size > MOST_ROWS

        form = Form::ShelfForm.new(kind, :mm)
        table.each_with_index.map { |row, index| row(form, names, row, index + 2, kind.fields) }
      rescue CSV::MalformedCSVError, EncodingError, ArgumentError
        raise refused("This is no table. Save it as CSV once more.")
      end

      # @return [Hash{String => String}] name of a field by what the table calls it: by its own name or its label, with
      #   its unit or without
      def self.headings(kind, headers)
        known = kind.fields.flat_map do |name, field|
          [name, heading(name, field), field.label].map { |called| [plain(called), name] }
        end.to_h
        headers.compact.to_h { |called| [called, known[plain(called)]] }.compact
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
      private_class_method :row, :heading, :headings, :plain, :cell, :refused
    end
  end
end
