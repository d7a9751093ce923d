# frozen_string_literal: true

# Happened remembers what happened with the closures that were read last. Facts are only ever added: a read takes from
# the database those alone that it does not know yet.
#
#   happened = Store::Happened.new
#   known = happened.known(4, closure: 1)   # how far it is known; the statement is told { 1 => 5321 }
#   happened.read(4, "k3f9", row, known)    # => Kept: entries, and what they come to; nil: all must be read again
#
# What is known may not hold any more: a fact was entered before and written later, or a database was put back by hand.
# So a statement also tells how many it has of those that are known, what their numbers come to, and which the
# last of them is.

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "journal_rows"

module NimbleEyelet
  module Store
    class Happened
      # So many facts are remembered in all.
      MOST = 10_000

      # How far a closure c is known.
      SINCE = "COALESCE((:known::jsonb->>c.id::text)::bigint, 0)"
      OF_CLOSURE = "j.workroom_id = c.workroom_id AND j.closure_id = c.id"
      # Columns of a statement over closures as c.
      COLUMNS = <<~SQL.freeze
        (SELECT ARRAY[count(*), COALESCE(sum(j.seq), 0)]::text FROM journal j WHERE #{OF_CLOSURE} AND j.seq <= #{SINCE}) AS facts_known,
        (SELECT j.id FROM journal j WHERE j.workroom_id = c.workroom_id AND j.seq = #{SINCE} AND j.closure_id = c.id) AS fact_last,
        (SELECT jsonb_agg(#{JournalRows::JSON_OBJECT} || jsonb_build_object('seq', j.seq) ORDER BY j.happened_at, j.seq)
           FROM journal j WHERE #{OF_CLOSURE} AND j.seq > #{SINCE})::text AS facts_new
      SQL

      # What is remembered of one closure. identity - String, of its database; seq - Integer, last - String, id: the
      # newest of them; garment - Integer, id; placed - Array<Array(Integer, Integer)>, when each happened, µs, and its
      # seq
      # entries - Array<Sewing::Entry>, oldest first; facts - Sewing::Facts, what they come to
      class Kept < Value.of(:identity, :garment, :seq, :last, :placed, :entries, :facts)
        # @return [String] how many there are and what their numbers come to, as the database writes it
        def count = "{#{placed.size},#{placed.sum(&:last)}}"
      end
      NOTHING = Kept.new(identity: nil, garment: nil, seq: 0, last: nil, placed: [].freeze, entries: [].freeze,
                         facts: Sewing::Facts.none)
      private_constant :NOTHING

      # @param most [Integer] facts that are remembered
      def initialize(most = MOST)
        @most = most
        @kept = {}
        @held = 0
        @lock = Mutex.new
      end

      # @param workroom [Integer]
      # @param closure [Integer, nil]
      # @param garment [Integer, nil] all closures of it, where no closure is named
      # @return [Hash{Integer => Kept}] by closure what is known, for {.told} and {#read}
      def known(workroom, closure: nil, garment: nil)
        @lock.synchronize do
          next { closure => @kept[[workroom, closure]] }.compact if closure

          @kept.select { |(room, _), kept| room == workroom && kept.garment == garment }.transform_keys(&:last)
        end
      end

      # @param known [Hash] as {#known} gave it
      # @return [String] what a statement is told as :known
      def self.told(known) = JSON.generate(known.transform_values(&:seq))

      # @param workroom [Integer]
      # @param identity [String] of the database
      # @param row [Hash] id, garment_id and COLUMNS
      # @param known [Hash] that the statement was told
      # @return [Kept, nil] nil where what is known does not hold: then all of that closure is read again
      def read(workroom, identity, row, known)
        before = known.fetch(row[:id], NOTHING)
        return forget(workroom, row[:id]) unless so?(before, identity, row)

        now = row[:facts_new] ? with_new(before, identity, row) : before
        keep([workroom, row[:id]], now) unless now.equal?(NOTHING)
        now
      end

      private

      def so?(before, identity, row)
        before.equal?(NOTHING) ||
          ([identity, row[:fact_last]] == [before.identity, before.last] && row[:facts_known] == before.count)
      end

      def with_new(before, identity, row)
        objects = JSON.parse(row[:facts_new], decimal_class: BigDecimal)
        placed = before.placed + objects.map { |object| object.values_at("happened_at", "seq") }
        entries = before.entries + objects.map { |object| JournalRows.entry(object) }
        order = placed.each_index.sort_by { |index| placed[index] } unless in_order?(placed)
        newest = objects.max_by { |object| object["seq"] }
        placed, entries = [placed, entries].map { |all| all.values_at(*order).freeze } if order
        Kept.new(identity: identity, garment: row[:garment_id], seq: newest["seq"], last: newest["id"],
                 placed: placed, entries: entries, facts: Sewing::Facts.read(entries))
      end

      def in_order?(placed) = placed.each_cons(2).all? { |one, other| (one <=> other).negative? }

      # The one asked for last is at the end; the one not asked for longest is forgotten.
      def keep(key, value)
        @lock.synchronize do
          drop(key)
          @kept[key] = value
          @held += value.entries.size
          drop(@kept.each_key.first) while @held > @most && @kept.size > 1
        end
      end

      def forget(workroom, id)
        @lock.synchronize { drop([workroom, id]) }
        nil
      end

      def drop(key) = @kept.delete(key)&.then { |gone| @held -= gone.entries.size }
    end
  end
end
