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
      PAGE = 20
      # Words that are looked for.
      MOST_WORDS = 8
      # What one can go by beside words, and the column it stands in.
      FILTERS = { cloth: :cloth_kind, foot: :foot, style: :style, verdict: :verdict }.freeze
      # Letters in common from which a word is taken for another, where no word is written so.
      ALIKE = 0.45

      # The second look at one, where there was one that stands.
      SECOND = <<~SQL.freeze
        SELECT #{JournalRows::JSON_OBJECT.gsub('j.', 's.')} FROM journal s
         WHERE s.workroom_id = b.workroom_id AND s.kind = 'swatch' AND s.data ? 'again' AND s.data->>'again' = b.entry::text
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = s.workroom_id AND w.about = s.id AND w.kind = 'withdrawal')
         ORDER BY s.happened_at DESC, s.seq DESC LIMIT 1
      SQL

      COLUMNS = "b.sewn_at, b.entry, j.imported, c.id AS closure_id, c.name AS closure, g.id AS garment_id, g.name AS garment, " \
                "m.name AS machine, c.accepted = j.id AS accepted, (#{JournalRows::JSON_OBJECT})::text AS entry_json, " \
                "(#{SECOND})::text AS second_json".freeze

      OF_CLOSURE = "g.workroom_id = c.workroom_id AND g.id = c.garment_id"

      # One of them. closure, garment - Hash of id and name, or nil where it came out of another book
      # accepted - Boolean; photo - Hash or nil
      Leaf = Value.of(:swatch, :closure, :garment, :machine, :accepted, :imported)
      # leaves - Array<Leaf>; following - String or nil, where the next page begins; alike - Boolean, no word is written
      #   so
      Page = Value.of(:leaves, :following, alike: false)

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param words [String]
      # @return [Integer] how many test holes have all of them, written so
      def count(words) = spelt(standing, words.to_s.scan(/[[:alnum:]]+/).first(MOST_WORDS)).count

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
      def each(&block)
        before = nil
        loop do
          found = search(before: before, limit: PAGE * 10)
          found.leaves.each(&block)
          before = found.following or break
        end
      end

      # @return [Hash{Symbol => Array<String>}] what there is to go by
      def there
        FILTERS.to_h do |name, column|
          [name, standing.exclude(column => nil).distinct.order(column).limit(100).select_map(column)]
        end
      end

      private

      def standing
        withdrawn = @scope[:journal].where(kind: "withdrawal", about: Sequel[:swatch_book][:entry])
        @scope[:swatch_book].exclude(withdrawn.exists)
      end

      def filtered(filters)
        kept = filters.slice(*FILTERS.keys).compact.reduce(standing) do |found, (name, value)|
          found.where(FILTERS.fetch(name) => value)
        end
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
        own = ->(table, key) { Sequel.lit("#{table}.workroom_id = b.workroom_id AND #{table}.id = b.#{key}") }
        found.from_self(alias: :b)
             .join(Sequel[:journal].as(:j), own.call(:j, :entry)).left_join(Sequel[:closures].as(:c),
                                                                            own.call(:c, :closure_id))
             .left_join(Sequel[:garments].as(:g), Sequel.lit(OF_CLOSURE))
             .left_join(Sequel[:machines].as(:m), own.call(:m, :machine_id))
             .order(Sequel.lit("b.sewn_at DESC, b.entry DESC")).select(Sequel.lit(COLUMNS)).all
      end

      def leaf(row)
        first, second = row.values_at(:entry_json, :second_json).map do |text|
          text && JournalRows.entry(JSON.parse(text, decimal_class: BigDecimal)).swatch
        end
        swatch = first.with(second: second).looked
        Leaf.new(swatch: swatch, machine: row[:machine] || swatch.sewn_with["machine.name"], accepted: row[:accepted] || false,
                 imported: row[:imported], closure: named(row, :closure), garment: named(row, :garment))
      end

      def named(row, what)
        id = row[:"#{what}_id"]
        id && { id: id, name: row[what] }
      end
    end
  end
end
