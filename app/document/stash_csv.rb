# frozen_string_literal: true

# StashCsv writes the stash as comma separated values and reads it back, one row at a time.
# docs/stash-csv.md describes the columns.
#
#   Document::StashCsv.line(item)                  # => "river shell 18,flat,four_holes,18,3,…\r\n"
#   Document::StashCsv::Reader.new(io).each { |row| row.item || row.faults }

require "csv"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/stash_form"

module NimbleEyelet
  module Document
    module StashCsv
      # Column to the name of the field it holds, in the order they are written.
      COLUMNS = { "name" => "name", "shape" => "shape", "attachment" => "attachment", "diameter_mm" => "diameter",
                  "width_mm" => "width", "thickness_mm" => "thickness", "hole_spacing_mm" => "hole_spacing",
                  "hole_diameter_mm" => "hole_diameter", "outline_mm" => "outline", "owned" => "owned", "colour" => "colour",
                  "note" => "note" }.freeze
      NEEDED = %w[name shape attachment diameter_mm].freeze
      LENGTHS = COLUMNS.keys.grep(/_mm\z/).freeze
      MOST_ROWS = 20_000
      LONGEST_LINE = 40_000

      # A spreadsheet takes a cell that begins like this for a formula.
      FORMULA = /\A[=+\-@\t\r]/
      ESCAPED = /\A'(?=[=+\-@\t\r'])/

      # @return [String]
      def self.header = CSV.generate_line(COLUMNS.keys, row_sep: "\r\n")

      # @param item [StashButton]
      # @return [String]
      def self.line(item)
        CSV.generate_line(COLUMNS.values.map { |name| cell(name, item) }, row_sep: "\r\n")
      end

      def self.cell(name, item)
        value = item.respond_to?(name) ? item.public_send(name) : item.button[name]
        case value
        when nil then ""
        when Length then Field.decimal(value)
        when Outline then value.kept
        when Integer then value.to_s
        else escaped(value)
        end
      end

      def self.escaped(text) = text.match?(FORMULA) || text.match?(ESCAPED) ? "'#{text}" : text
      private_class_method :cell, :escaped

      # One row: item - Item or nil; faults - Array<Fault>; bytes - Integer, read so far
      Row = Value.of(:number, :name, :item, :faults, :bytes)

      # Reads line by line, so that a bad one spoils no other.
      class Reader
        include Enumerable

        # @param io [IO] bytes
        # @raise [Refusal] when this is no such file at all
        def initialize(io)
          @io = io
          @bytes = 0
          @header = read_header
        end

        # @yieldparam row [Row]
        def each
          names = {}
          number = 1
          while (line = next_line)
            number += 1
            next if line.strip.empty?
            raise refused("At most #{MOST_ROWS} rows at once: split the file.") if number > MOST_ROWS + 1

            yield row(number, line, names)
          end
        end

        private

        def next_line
          line = @io.gets("\n", LONGEST_LINE) or return
          @bytes += line.bytesize
          line.force_encoding(Encoding::UTF_8)
        end

        def read_header
          line = next_line.to_s
          raise refused("This is not UTF-8 text: save it as CSV in UTF-8.") unless line.valid_encoding? && !line.include?("\0")

          line = line.delete_prefix("\uFEFF")
          @separator = [",", ";", "\t"].max_by { |separator| line.count(separator) }
          columns = split(line).map { |cell| cell.to_s.strip.downcase }
          check(columns)
          columns
        rescue CSV::MalformedCSVError
          raise refused("The first row names the columns: #{COLUMNS.keys.join(', ')}.")
        end

        def check(columns)
          unknown = columns - COLUMNS.keys
          if unknown.any?
            raise refused("Unknown column \"#{unknown.first.to_s[0,
                                                                 40]}\". The columns are: #{COLUMNS.keys.join(', ')}.")
          end

          missing = NEEDED - columns
          raise refused("The column #{missing.first} is missing. The first row names the columns.") if missing.any?
          raise refused("A column stands twice.") if columns.uniq.size < columns.size
        end

        def row(number, line, names)
          return bad(number, "", "This row is not UTF-8 text.") unless line.valid_encoding?
          return bad(number, "", "This row is too long.") if line.length >= LONGEST_LINE

          typed = typed(split(line))
          name = typed["name"].to_s.strip
          return bad(number, name, "The same name as in row #{names[name]}.") if names[name]

          names[name] = number unless name.empty?
          Row.new(number: number, name: name, item: Form::StashForm.read(typed, unit: :mm), faults: [], bytes: @bytes)
        rescue CSV::MalformedCSVError
          bad(number, "", "A quote is not closed, or stands in the middle of a cell.")
        rescue Refusal => e
          Row.new(number: number, name: name, item: nil, faults: e.faults, bytes: @bytes)
        end

        def typed(cells)
          @header.zip(cells).to_h { |column, cell| [COLUMNS.fetch(column), cell.to_s.sub(ESCAPED, "")] }
        end

        # Without a quote there is nothing to parse.
        def split(line)
          line = line.chomp.chomp("\r")
          return line.split(@separator, -1) unless line.include?("\"")

          CSV.parse_line(line, col_sep: @separator) || []
        end

        def bad(number, name, why)
          Row.new(number: number, name: name, item: nil, bytes: @bytes, faults: [Fault.new(field: "row", given: "", allowed: why)])
        end

        def refused(why) = Refusal.field("file", "", why)
      end
    end
  end
end
