# frozen_string_literal: true

# StashCsv writes the stash as comma separated values and reads it back, one row at a time.
# docs/stash-csv.md describes the columns.
#
#   Document::StashCsv.line(item)                  # => "river shell 18,flat,four_holes,18,3,…\r\n"
#   Document::StashCsv::Reader.new(io).each { |row| row.item || row.faults }
#   Document::StashCsv::Reader.new(io, columns: { "Farbe" => "colour" }).columns   # => { "Farbe" => "colour", … }

require "csv"
require "stringio"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/stash_form"
require_relative "separated"

module NimbleEyelet
  module Document
    module StashCsv
      # Column to the name of the field it holds, in the order they are written.
      COLUMNS = { "name" => "name", "shape" => "shape", "attachment" => "attachment", "diameter_mm" => "diameter",
                  "width_mm" => "width", "thickness_mm" => "thickness", "hole_spacing_mm" => "hole_spacing",
                  "hole_diameter_mm" => "hole_diameter", "outline_mm" => "outline", "shank_mm" => "shank",
                  "shank_width_mm" => "shank_width", "owned" => "owned", "colour" => "colour",
                  "note" => "note" }.freeze
      NEEDED = %w[name shape attachment diameter_mm].freeze
      # What other tables call them, without a unit in brackets.
      OTHERS = { "button" => "name", "description" => "name", "kind" => "shape", "type" => "shape", "form" => "shape",
                 "holes" => "attachment", "fastening" => "attachment", "size" => "diameter_mm", "thick" => "thickness_mm",
                 "height" => "thickness_mm", "count" => "owned", "quantity" => "owned", "pieces" => "owned",
                 "color" => "colour", "notes" => "note", "remark" => "note" }
               .merge(COLUMNS.to_h { |column, name| [name.tr("_", " "), column] }).freeze
      # Numbers for words.
      COUNTED = { "2" => "two holes", "4" => "four holes" }.freeze
      LENGTHS = COLUMNS.keys.grep(/_mm\z/).freeze
      MOST_ROWS = 20_000
      # Of the name of a column, characters.
      LONGEST_NAME = 80
      LONGEST_LINE = 40_000

      # A spreadsheet takes a cell that begins like this for a formula.
      FORMULA = /\A[=+\-@\t\r]/
      # A cell has at most so many lines: a quote that is open for longer was never meant to go on.
      MOST_LINES = 40
      ESCAPED = /\A'(?=[=+\-@\t\r'])/

      # @return [String]
      def self.header = CSV.generate_line(COLUMNS.keys, row_sep: "\r\n")

      # @param item [StashButton]
      # @return [String]
      def self.line(item)
        cells = COLUMNS.values.map { |name| cell(name, item) }
        # Whoever splits at another sign than the comma still sees one cell.
        CSV.generate_line(cells, row_sep: "\r\n", force_quotes: cells.any? { |cell| cell.match?(/[;\t]/) })
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

      # Reads row by row, so that a bad one spoils no other. A quoted cell may go on over several lines; lines end with
      # a line feed, with both signs, or with a carriage return alone.
      class Reader
        include Enumerable

        # What the file calls a column, to ours; nil for one that is left out.
        # @return [Hash{String => String, nil}]
        attr_reader :columns

        # @param io [IO] bytes
        # @param columns [Hash{String => String}] of those the file calls otherwise; empty leaves one out
        # @raise [Refusal] when this is no such file at all
        def initialize(io, columns: {})
          @wide = wide?(io)
          @io = @wide ? narrowed(io) : io
          @bytes = 0
          @ending = ending
          @waiting = []
          @header = read_header
          @columns = meant(columns)
        end

        # @yieldparam row [Row]
        # @raise [Refusal] for a column that is missing, and for more rows than are taken
        def each
          check
          names = {}
          number = 1
          rows = 0
          while (line = next_row)
            number += 1
            next if line.strip.empty?
            raise refused("At most #{MOST_ROWS} rows at once: split the file. Nothing of it was kept.") if (rows += 1) > MOST_ROWS

            yield row(number, line, names)
          end
        end

        private

        def wide?(io) = io.read(2).then { |start| io.rewind && Separated::WIDE.include?(start&.b) }

        # @return [StringIO] UTF-16 as UTF-8
        # @raise [Refusal]
        def narrowed(io)
          StringIO.new(io.read.force_encoding(Encoding::UTF_16).encode(Encoding::UTF_8))
        rescue EncodingError
          raise refused("This file breaks off: save it as CSV once more.")
        end

        # As far as the file was read: most of its characters take two bytes where it is UTF-16.
        def read_so_far = @wide ? @bytes * 2 : @bytes

        def next_line
          line = @waiting.shift || @io.gets(@ending, LONGEST_LINE) or return
          @bytes += line.bytesize
          line.force_encoding(Encoding::UTF_8)
        end

        # A quote that is open at the end of a line goes on in the next; one that is never closed spoils its own line
        # only.
        def next_row
          lines = [next_line || return]
          lines << (next_line || break) while open?(lines) && lines.size < MOST_LINES
          return lines.join unless open?(lines)

          @waiting = lines.drop(1) + @waiting
          @bytes -= lines.drop(1).sum(&:bytesize)
          lines.first
        end

        def open?(lines) = lines.sum { |line| line.b.count("\"") }.odd? && lines.sum(&:bytesize) < LONGEST_LINE

        # @return [String] what ends a line
        def ending
          start = @io.read(LONGEST_LINE).to_s
          @io.rewind
          start.include?("\n") || !start.include?("\r") ? "\n" : "\r"
        end

        def read_header
          line = next_line.to_s
          raise refused("This is not UTF-8 text: save it as CSV in UTF-8.") unless line.valid_encoding? && !line.include?("\0")
          raise refused("This file is empty: the first row names the columns.") if line.strip.empty?

          line = line.delete_prefix("\uFEFF")
          @separator = Separated::SIGNS.max_by { |separator| line.count(separator) }
          split(line).map { |cell| cell.to_s.strip[0, LONGEST_NAME] }
        rescue CSV::MalformedCSVError
          raise refused("The first row names the columns: #{COLUMNS.keys.join(', ')}.")
        end

        # @param said [Hash{String => String}] what somebody said of a column
        # @return [Hash{String => String, nil}] what the file calls a column, to ours
        def meant(said)
          @header.to_h do |name|
            own = said.fetch(name) { known(name) }
            [name, own.to_s.empty? ? nil : own]
          end
        end

        def known(name)
          word = name.downcase
          return word if COLUMNS.key?(word)

          OTHERS[word.sub(/[(\[].*/, "").tr("_", " ").delete_suffix(" mm").strip]
        end

        def check
          raise refused("A column has no such meaning.") if (columns.values.compact - COLUMNS.keys).any?

          missing = NEEDED - columns.values
          raise refused("The column #{missing.first} is missing. Say which of yours it is.") if missing.any?
          raise refused("Two columns are the same.") if doubled?
        end

        # What is left out may stand there as often as it likes, such as columns without a name.
        def doubled? = @header.filter_map { |name| columns[name] }.then { |meant| meant.uniq.size < meant.size }

        def row(number, line, names)
          return bad(number, "", "This row is not UTF-8 text.") unless line.valid_encoding?
          return bad(number, "", "This row is too long.") if line.length >= LONGEST_LINE

          typed = typed(split(line))
          name = Field.clean(typed["name"])
          return bad(number, name, "The same name as in row #{names[name]}.") if names[name]

          names[name] = number unless name.empty?
          Row.new(number: number, name: name, item: Form::StashForm.read(typed, unit: :mm), faults: [], bytes: read_so_far)
        rescue CSV::MalformedCSVError
          bad(number, "", "A quote is not closed, or stands in the middle of a cell.")
        rescue Refusal => e
          Row.new(number: number, name: name, item: nil, faults: e.faults, bytes: read_so_far)
        end

        def typed(cells)
          typed = @header.zip(cells).filter_map do |column, cell|
            own = columns[column] and [COLUMNS.fetch(own), cell.to_s.sub(ESCAPED, "")]
          end
          coloured(typed.to_h.to_h { |name, text| [name, chosen(name, text)] })
        end

        # A choice by its key or by what it is called.
        def chosen(name, text)
          field = StashFields::ALL[name]
          return text unless field&.kind == :choice

          field.key_of(COUNTED.fetch(text.strip.downcase[/\A([24])([ -]?holes?)?\z/, 1], text))
        end

        # A colour that is none of ours is not lost: the note has it.
        def coloured(typed)
          said = typed["colour"].to_s.strip
          return typed if said.empty?

          known = Buttons.colour_said(said)
          noted = [typed["note"].to_s.strip, said].reject(&:empty?).join(", ") unless known
          typed.merge("colour" => known || "shell", **(noted ? { "note" => noted } : {}))
        end

        # Without a quote there is nothing to parse.
        def split(line)
          line = line.chomp(@ending).chomp("\r")
          return line.split(@separator, -1) unless line.include?("\"")

          CSV.parse_line(line, col_sep: @separator) || []
        end

        def bad(number, name, why)
          Row.new(number: number, name: name, item: nil, bytes: read_so_far, faults: [Fault.new(field: "row", given: "", allowed: why)])
        end

        def refused(why) = Refusal.field("file", "", why)
      end
    end
  end
end
