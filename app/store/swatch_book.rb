# frozen_string_literal: true

# SwatchBook is every test hole of a workroom: found by words, by what it was sewn on and with, by its
# verdict and its date; the newest first, a page at a time.
#
#   SwatchBook.new(scope).search(words: "flannel tight")   # => Page

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "errors"
require_relative "journal_rows"

module NimbleEyelet
  module Store
    class SwatchBook
      PAGE = 30
      # Words that are looked for.
      MOST_WORDS = 8
      # What one can go by beside words, and the column it stands in.
      FILTERS = { cloth: :cloth_kind, foot: :foot, style: :style, verdict: :verdict }.freeze
      # Letters in common from which a word is taken for another, where no word is written so.
      ALIKE = 0.45

      # One of them. closure, garment - Hash of id and name, or nil where it came out of another book
      # accepted - Boolean; photo - Hash or nil
      Leaf = Value.of(:swatch, :closure, :garment, :machine, :accepted, :imported)
      # leaves - Array<Leaf>; following - String or nil, where the next page begins; alike - Boolean, no word is written so
      Page = Value.of(:leaves, :following, alike: false)

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param words [String, nil]
      # @param filters [Hash{Symbol => Object}] of FILTERS, :machine, :from and :to (dates), :simulated
      # @param before [String, nil] where a page begins, as the page before gave it
      # @param limit [Integer]
      # @return [Page]
      def search(words: nil, before: nil, limit: PAGE, **filters)
        asked = words.to_s.scan(/[[:alnum:]]+/).first(MOST_WORDS)
        kept = filtered(filters)
        found = page(spelt(kept, asked), before, limit)
        return found if asked.empty? || before || found.leaves.any?

        page(alike(kept, asked), before, limit).with(alike: true)
      end

      # @param id [String]
      # @return [Leaf]
      # @raise [Missing]
      def find(id)
        leaf(rows(standing.where(entry: id).limit(1)).first || raise(Missing))
      end

      # Every one, newest first.
      #
      # @yieldparam leaf [Leaf]
      def each
        before = nil
        loop do
          found = search(before: before, limit: PAGE * 10)
          found.leaves.each { |leaf| yield leaf }
          before = found.following or break
        end
      end

      # @return [Hash{Symbol => Array<String>}] what there is to go by
      def there
        FILTERS.to_h { |name, column| [name, standing.exclude(column => nil).distinct.order(column).limit(100).select_map(column)] }
      end

      private

      def standing
        withdrawn = @scope[:journal].where(kind: "withdrawal", about: Sequel[:swatch_book][:entry])
        @scope[:swatch_book].exclude(withdrawn.exists)
      end

      def filtered(filters)
        kept = filters.slice(*FILTERS.keys).compact.reduce(standing) { |found, (name, value)| found.where(FILTERS.fetch(name) => value) }
        kept = kept.where(machine_id: filters[:machine]) if filters[:machine]
        kept = kept.where(simulated: filters[:simulated]) unless filters[:simulated].nil?
        kept = kept.where { sewn_at >= filters[:from] } if filters[:from]
        filters[:to] ? kept.where { sewn_at < filters[:to] + 1 } : kept
      end

      def spelt(found, asked)
        return found if asked.empty?

        found.where(Sequel.lit("search @@ to_tsquery('simple', ?)", asked.map { |word| "#{word.downcase}:*" }.join(" & ")))
      end

      # A word that is nearly written so.
      def alike(found, asked)
        asked.reduce(found) { |all, word| all.where(Sequel.lit("word_similarity(?, words) >= ?", word, ALIKE)) }
      end

      # Keyed by time and entry, so that the last page is as quick as the first.
      def page(found, before, limit)
        found = found.where(Sequel.lit("(sewn_at, entry) < (?::timestamptz, ?::uuid)", *before.split("_", 2))) if before
        rows = rows(found.reverse(:sewn_at, :entry).limit(limit + 1))
        last = rows[limit - 1]
        Page.new(leaves: rows.first(limit).map { |row| leaf(row) },
                 following: rows.size > limit ? "#{last[:sewn_at].utc.iso8601(6)}_#{last[:entry]}" : nil)
      end

      def rows(found)
        found.from_self(alias: :b).join(:journal, { workroom_id: :workroom_id, id: Sequel[:b][:entry] }, table_alias: :j)
              .left_join(:closures, { workroom_id: Sequel[:b][:workroom_id], id: Sequel[:b][:closure_id] }, table_alias: :c)
              .left_join(:garments, { workroom_id: Sequel[:c][:workroom_id], id: Sequel[:c][:garment_id] }, table_alias: :g)
              .left_join(:machines, { workroom_id: Sequel[:b][:workroom_id], id: Sequel[:b][:machine_id] }, table_alias: :m)
              .reverse(Sequel[:b][:sewn_at], Sequel[:b][:entry])
              .select(Sequel[:b][:sewn_at], Sequel[:b][:entry], Sequel[:j][:imported], Sequel[:c][:id].as(:closure_id), Sequel[:c][:name].as(:closure),
                      Sequel[:g][:id].as(:garment_id), Sequel[:g][:name].as(:garment), Sequel[:m][:name].as(:machine),
                      Sequel.lit("c.accepted = j.id").as(:accepted), Sequel.lit("(#{JournalRows::JSON_OBJECT})::text").as(:entry_json)).all
      end

      def leaf(row)
        entry = JournalRows.entry(JSON.parse(row[:entry_json], decimal_class: BigDecimal))
        Leaf.new(swatch: entry.swatch, machine: row[:machine] || entry.swatch.sewn_with["machine.name"], accepted: row[:accepted] || false,
                 imported: row[:imported], closure: row[:closure_id] && { id: row[:closure_id], name: row[:closure] },
                 garment: row[:garment_id] && { id: row[:garment_id], name: row[:garment] })
      end
    end
  end
end
