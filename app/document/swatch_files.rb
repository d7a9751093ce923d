# frozen_string_literal: true

# SwatchFiles carry the swatch book out as CSV and as JSON, and read the JSON back: docs/swatch-book.md
# describes both.
#
#   Document::SwatchFiles.json(leaf)   # => Hash

require "csv"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../store/journal_rows"
require_relative "garment_facts"
require_relative "stash_csv"

module NimbleEyelet
  module Document
    module SwatchFiles
      VERSION = 1
      MOST = 20_000
      # Columns of the CSV: out of where it lies, out of what was set and seen, and out of what it was sewn with.
      PLACES = { "garment" => ->(leaf) { leaf.garment&.fetch(:name) }, "closure" => ->(leaf) { leaf.closure&.fetch(:name) },
                 "machine" => lambda(&:machine) }.freeze
      SEWN_WITH = { "cloth" => "cloth.name", "cloth_kind" => "cloth.kind", "thread" => "thread.name",
                    "fibre" => "thread.fibre",
                    "tex" => "thread.tex", "foot" => "recipe.foot", "style" => "recipe.style", "needle" => "recipe.needle" }.freeze
      SET = { "stabiliser" => :stabiliser, "opening_wanted_mm" => :opening, "set_to_mm" => :hands,
              "measured_mm" => :measured,
              "stitch_width_mm" => :stitch_width, "stitch_length_mm" => :stitch_length, "top_tension" => :tension,
              "balance" => :balance, "passes" => :passes }.freeze
      LOOKED_AT = %w[bead_away bead_back tension space].freeze
      COLUMNS = ["sewn_at", *PLACES.keys, *SEWN_WITH.keys, *SET.keys, *LOOKED_AT.map { |look| "seen_#{look}" }, "symptoms", "note",
                 "accepted", "simulated"].freeze

      # @return [String] the first row
      def self.header = line(COLUMNS)

      # @param leaf [Store::SwatchBook::Leaf]
      # @return [String] one row
      def self.row(leaf)
        swatch = leaf.swatch
        cells = [swatch.sewn_at, *PLACES.values.map { |place| place.call(leaf) },
                 *swatch.sewn_with.values_at(*SEWN_WITH.values), *SET.values.map do |member|
                   swatch.public_send(member)
                 end, *swatch.looks.values_at(*LOOKED_AT), swatch.symptoms.join(" "),
                 swatch.note, *[leaf.accepted, swatch.simulated].map { |flag| flag ? "yes" : "no" }]
        line(cells.map { |value| cell(value) })
      end

      # @param leaf [Store::SwatchBook::Leaf]
      # @return [Hash{String => Object}]
      def self.json(leaf)
        swatch = leaf.swatch
        entry = Sewing::Entry.new(id: swatch.id, kind: "swatch", happened_at: nil, done_with: swatch.sewn_with,
                                  swatch: swatch, note: swatch.note)
        { "id" => leaf.swatch.id, "kind" => "swatch", "happened_at" => leaf.swatch.sewn_at.to_s,
          "data" => Store::JournalRows.data(entry).merge("with" => named(leaf)) }
      end

      # @param file [Hash] as read from JSON
      # @return [Array<Sewing::Entry>]
      # @raise [Refusal]
      def self.read(file)
        unless file["version"] == VERSION && file["swatches"].is_a?(Array)
          raise refused("This is no swatch book of version #{VERSION}.")
        end
        raise refused("At most #{MOST} swatches at once.") if file["swatches"].size > MOST

        file["swatches"].each_with_index.map { |kept, index| entry(kept, index + 1) }
      end

      def self.entry(kept, number)
        raise KeyError, "kind" unless kept.is_a?(Hash) && kept["kind"] == "swatch"

        GarmentFacts.entry(kept)
      rescue Refusal => e
        fault = e.faults.first
        raise refused("Test #{number}: #{fault.field} #{fault.given}.".squeeze(" "))
      rescue KeyError, ArgumentError, TypeError, NoMethodError => e
        raise refused("Test #{number} does not follow the description: #{e.message[0, 60]}.")
      end

      # A machine is known by its name elsewhere.
      def self.named(leaf)
        Store::JournalRows.data(Sewing::Entry.new(id: "", kind: "note", happened_at: nil,
                                                  done_with: leaf.swatch.sewn_with))["with"].to_h
                          .merge("machine.name" => leaf.machine).compact
      end

      def self.line(cells) = CSV.generate_line(cells, row_sep: "\r\n")

      def self.cell(value)
        text = value.is_a?(Length) || value.is_a?(Rational) ? Field.decimal(value) : value.to_s
        text.match?(StashCsv::FORMULA) || text.match?(StashCsv::ESCAPED) ? "'#{text}" : text
      end

      def self.refused(why) = Refusal.field("file", "", why)
      private_class_method :entry, :named, :line, :cell, :refused
    end
  end
end
