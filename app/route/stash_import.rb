# frozen_string_literal: true

# Takes a CSV into the stash, or shows what would become of each row. It answers line by line, so that a person sees it
# move and nothing is held in memory. It is kept whole or not at all, and the last line says which.

require_relative "../../lib/nimble_eyelet"
require_relative "../document/stash_csv"

module NimbleEyelet
  module Route
    class StashImport
      BATCH = 200
      UNDONE = "The database did not take this: nothing of the file was kept. Please try again."
      FATES = %w[new changed same bad].freeze
      TAKEN = %w[new changed].freeze

      # @param stash [Store::Stash]
      # @param io [IO]
      # @param keep [Boolean] false only looks
      # @param present [Presenter]
      # @param columns [Hash{String => String}] what columns of the file are, that it calls otherwise
      # @raise [Refusal] when the file is none
      def initialize(stash, io, keep:, present:, columns: {})
        @stash = stash
        @rows = Document::StashCsv::Reader.new(io, columns: columns)
        @keep = keep
        @present = present
      end

      # @yieldparam line [String] one JSON object and a line feed
      def each(&)
        @counts = FATES.to_h { |fate| [fate, 0] }
        yield line(columns: @rows.columns.map { |given, ours| { given: given, ours: ours } })
        @keep ? @stash.whole { rows(&) } : rows(&)
        yield line(summary: @counts, kept: @keep)
      rescue Refusal => e
        yield line(problem: @present.words(e.faults.first.allowed), kept: false)
      rescue Sequel::DatabaseError, IOError, SystemCallError
        yield line(problem: UNDONE, summary: @counts, kept: false)
      end

      private

      def rows
        @rows.each_slice(BATCH) do |rows|
          settle(rows).each do |row, fate|
            @counts[fate] += 1
            yield line(row: row.number, name: row.name, fate: fate, why: why(row)) unless fate == "same"
          end
          yield line(bytes: rows.last.bytes)
        end
      end

      # @return [Array<Array(Row, String)>] each row with its fate
      def settle(rows)
        there = @stash.named(rows.filter_map { |row| row.item && row.name })
        fates = rows.map { |row| [row, fate(row, there)] }
        @stash.put_all(fates.filter_map { |row, fate| row.item if TAKEN.include?(fate) }) if @keep
        fates
      end

      def fate(row, there)
        return "bad" unless row.item
        return "new" unless there[row.name]

        there[row.name] == row.item ? "same" : "changed"
      end

      def why(row) = row.faults.map { |fault| "#{fault.field.delete_prefix('button.')}: #{@present.words(fault.allowed)}" }.join(" ")
      def line(**what) = "#{JSON.generate(what)}\n"
    end
  end
end
