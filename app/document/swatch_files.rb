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
      # Columns of the CSV: name and what stands in it.
      COLUMNS = {
        "sewn_at" => ->(leaf) { leaf.swatch.sewn_at }, "garment" => ->(leaf) { leaf.garment&.fetch(:name) },
        "closure" => ->(leaf) { leaf.closure&.fetch(:name) }, "machine" => :machine.to_proc, "cloth" => ->(leaf) { leaf.swatch.sewn_with["cloth.name"] },
        "cloth_kind" => ->(leaf) { leaf.swatch.sewn_with["cloth.kind"] }, "thread" => ->(leaf) { leaf.swatch.sewn_with["thread.name"] },
        "fibre" => ->(leaf) { leaf.swatch.sewn_with["thread.fibre"] }, "tex" => ->(leaf) { leaf.swatch.sewn_with["thread.tex"] },
        "foot" => ->(leaf) { leaf.swatch.sewn_with["recipe.foot"] }, "style" => ->(leaf) { leaf.swatch.sewn_with["recipe.style"] },
        "needle" => ->(leaf) { leaf.swatch.sewn_with["recipe.needle"] }, "stabiliser" => ->(leaf) { leaf.swatch.stabiliser },
        "opening_wanted_mm" => ->(leaf) { leaf.swatch.opening }, "set_to_mm" => ->(leaf) { leaf.swatch.hands },
        "measured_mm" => ->(leaf) { leaf.swatch.measured }, "stitch_width_mm" => ->(leaf) { leaf.swatch.stitch_width },
        "stitch_length_mm" => ->(leaf) { leaf.swatch.stitch_length }, "top_tension" => ->(leaf) { leaf.swatch.tension },
        "balance" => ->(leaf) { leaf.swatch.balance.to_s }, "passes" => ->(leaf) { leaf.swatch.passes },
        **%w[bead_away bead_back tension space].to_h { |look| ["seen_#{look}", ->(leaf) { leaf.swatch.looks[look] }] },
        "symptoms" => ->(leaf) { leaf.swatch.symptoms.join(" ") }, "note" => ->(leaf) { leaf.swatch.note },
        "accepted" => ->(leaf) { leaf.accepted ? "yes" : "no" }, "simulated" => ->(leaf) { leaf.swatch.simulated ? "yes" : "no" }
      }.freeze

      # @return [String] the first row
      def self.header = line(COLUMNS.keys)

      # @param leaf [Store::SwatchBook::Leaf]
      # @return [String] one row
      def self.row(leaf) = line(COLUMNS.values.map { |column| cell(column.call(leaf)) })

      # @param leaf [Store::SwatchBook::Leaf]
      # @return [Hash{String => Object}]
      def self.json(leaf)
        entry = Sewing::Entry.new(id: leaf.swatch.id, kind: "swatch", happened_at: nil, done_with: leaf.swatch.sewn_with, swatch: leaf.swatch,
                                  note: leaf.swatch.note)
        { "id" => leaf.swatch.id, "kind" => "swatch", "happened_at" => leaf.swatch.sewn_at.to_s,
          "data" => Store::JournalRows.data(entry).merge("with" => named(leaf)) }
      end

      # @param file [Hash] as read from JSON
      # @return [Array<Sewing::Entry>]
      # @raise [Refusal]
      def self.read(file)
        raise refused("This is no swatch book of version #{VERSION}.") unless file["version"] == VERSION && file["swatches"].is_a?(Array)
        raise refused("At most #{MOST} swatches at once.") if file["swatches"].size > MOST

        file["swatches"].each_with_index.map { |kept, index| entry(kept, index + 1) }
      end

      def self.entry(kept, number)
        raise KeyError, "kind" unless kept.is_a?(Hash) && kept["kind"] == "swatch"

        GarmentFacts.entry(kept)
      rescue Refusal => e
        raise refused("Swatch #{number}: #{e.faults.first.field}.")
      rescue KeyError, ArgumentError, TypeError, NoMethodError => e
        raise refused("Swatch #{number} does not follow the description: #{e.message[0, 60]}.")
      end

      # A machine is known by its name elsewhere.
      def self.named(leaf)
        Store::JournalRows.data(Sewing::Entry.new(id: "", kind: "note", happened_at: nil, done_with: leaf.swatch.sewn_with))["with"].to_h
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
