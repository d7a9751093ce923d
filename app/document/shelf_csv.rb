# frozen_string_literal: true

# ShelfCsv writes a shelf as comma separated values and reads it back: the names of the fields in the first
# row, lengths in millimetres. docs/shelf-csv.md describes the columns.
#
#   Document::ShelfCsv.write(shelf)

require "csv"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/shelf_form"
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
      # @param text [String]
      # @return [Array<Row>]
      # @raise [Refusal] when this is no such file at all
      def self.read(kind, text)
        names = kind.fields.to_h { |name, field| [heading(name, field), name] }
        table = CSV.parse(text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF"), headers: true)
        raise refused("A row of names comes first: #{names.keys.join(', ')}.") unless table.headers.include?("name")
        raise refused("At most #{MOST_ROWS} rows at once: split the file.") if table.size > MOST_ROWS

        form = Form::ShelfForm.new(kind, :mm)
        table.each_with_index.map { |row, index| row(form, names, row, index + 2) }
      rescue CSV::MalformedCSVError, ArgumentError
        raise refused("This is no table of comma separated values in UTF-8.")
      end

      def self.row(form, names, row, number)
        typed = names.to_h { |heading, name| [name, row[heading].to_s.sub(StashCsv::ESCAPED, "")] }
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
      private_class_method :row, :heading, :cell, :refused
    end
  end
end
