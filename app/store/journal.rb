# frozen_string_literal: true

# Journal keeps what happened at the table. It is only ever added to: an entry made by mistake is
# withdrawn by another. The one who enters makes up the id, so that sending twice is one fact.
#
#   journal.add(entry, closure_id: 3, machine_id: 1)   # => true when it is new

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/plain_value"
require_relative "errors"
require_relative "journal_rows"
require_relative "swatch_words"

module NimbleEyelet
  module Store
    class Journal
      # When it happened is placed between what its browser told before it and after it, by their numbers: how long each
      # of them was on its way, or a clock that is put right, turns nothing round. Only where its own age is a day out
      # is that taken for true. What was pressed together stands at one moment.
      PLACED = <<~SQL
        around AS (
          SELECT (SELECT j.happened_at FROM journal j WHERE j.workroom_id = :workroom AND j.device = :device::uuid AND j.n < :n::bigint
                     AND (j.press = :press::uuid) IS NOT TRUE ORDER BY j.n DESC LIMIT 1) AS before,
                 (SELECT j.happened_at FROM journal j WHERE j.workroom_id = :workroom AND j.device = :device::uuid AND j.n > :n::bigint
                     AND (j.press = :press::uuid) IS NOT TRUE ORDER BY j.n LIMIT 1) AS after),
        early AS (
          SELECT CASE WHEN around.after - h.at <= interval '0' AND h.at - around.after < interval '1 day'
                      THEN around.after - interval '1 ms' ELSE h.at END AS at, around.before
            FROM (SELECT :happened_at::timestamptz AS at) h, around),
        placed AS (
          SELECT CASE WHEN early.before >= early.at AND early.before - early.at < interval '1 day'
                      THEN early.before + interval '1 ms' ELSE early.at END AS at FROM early),
      SQL

      # What the swatch book finds a test hole by.
      BOOK = <<~SQL
        INSERT INTO swatch_book (workroom_id, entry, closure_id, machine_id, sewn_at, verdict, cloth_kind, foot, style, simulated, words)
        SELECT e.workroom_id, e.id, e.closure_id, e.machine_id, e.happened_at, e.data->>'passes', e.data->'with'->>'cloth.kind',
               e.data->'with'->>'recipe.foot', e.data->'with'->>'recipe.style', COALESCE(starts_with(e.data->'with'->>'machine.id', :stand_in::text), false),
               left(concat_ws(' ', c.name, g.name, r.words), 4000)
          FROM e JOIN r ON r.id = e.id LEFT JOIN closures c ON c.workroom_id = e.workroom_id AND c.id = e.closure_id
          LEFT JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id
         WHERE e.kind = 'swatch' AND NOT e.data ? 'again'
      SQL

      # The entry and what it moved on the machine, in one statement.
      ADD = <<~SQL.freeze
        WITH r AS (SELECT :id::uuid AS id, :words::text AS words), #{PLACED} e AS (
          INSERT INTO journal (workroom_id, id, kind, closure_id, machine_id, about, step_key, at_mm, opening_mm, moves, data,
                               plan_version, device, n, press, happened_at)
          SELECT :workroom::integer, :id::uuid, :kind::text, :closure::integer, :machine::integer, :about::uuid, :step::text, :at::numeric,
                 :opening::numeric, :moves::jsonb, :data::jsonb, :plan::text, :device::uuid, :n::bigint, :press::uuid, placed.at
            FROM placed
          ON CONFLICT (workroom_id, id) DO NOTHING RETURNING *),
        m AS (
          INSERT INTO moves (workroom_id, entry, part, machine_id, state, happened_at, seq)
          SELECT e.workroom_id, e.id, t.key, e.machine_id, NULLIF(t.value, 'null'::jsonb), e.happened_at, e.seq
            FROM e, jsonb_each(e.moves) AS t WHERE e.machine_id IS NOT NULL),
        b AS (#{BOOK})
        SELECT id FROM e
      SQL

      # Entries that come with a file: they move nothing here.
      TAKE_IN = <<~SQL.freeze
        WITH r AS (
          SELECT * FROM jsonb_to_recordset(:entries::jsonb)
              AS r (id uuid, kind text, closure integer, machine integer, about uuid, step text, at numeric, opening numeric,
                    moves jsonb, data jsonb, happened_at timestamptz, words text)),
        e AS (
          INSERT INTO journal (workroom_id, id, kind, closure_id, machine_id, about, step_key, at_mm, opening_mm, moves, data,
                               happened_at, imported)
          SELECT :workroom::integer, id, kind, closure, machine, about, step, at, opening, moves, data, happened_at, true FROM r
          ON CONFLICT (workroom_id, id) DO NOTHING RETURNING *),
        b AS (#{BOOK})
        SELECT id FROM e
      SQL
      # So many in one statement.
      AT_ONCE = 500

      LOG = <<~SQL.freeze
        SELECT #{JournalRows::JSON_OBJECT}::text AS entry, j.noted_at, j.imported, w.happened_at AS withdrawn_at,
               (SELECT a.name FROM accounts a WHERE a.id = j.account_id) AS by
        FROM journal j LEFT JOIN journal w ON w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal'
        WHERE j.workroom_id = :workroom AND j.closure_id = :closure AND j.kind <> 'withdrawal'
          AND (:before::uuid IS NULL
               OR (j.happened_at, j.seq) < (SELECT b.happened_at, b.seq FROM journal b WHERE b.workroom_id = :workroom AND b.id = :before::uuid))
        ORDER BY j.happened_at DESC, j.seq DESC LIMIT :most
      SQL

      # One line of the log. withdrawn_at - Time or nil; imported - Boolean, it came with a garment file; by - String,
      # name of who entered it, where people sign in
      Line = Value.of(:entry, :withdrawn_at, :imported, by: nil)

      # lines - Array<Line>, newest first; following - String or nil, the id that the next page comes before
      Page = Value.of(:lines, :following)
      # Lines of a page.
      PAGE = 20

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param entry [Sewing::Entry]
      # @param closure_id [Integer, nil]
      # @param machine_id [Integer, nil]
      # @param n [Integer, nil] which of its browser's facts it is
      # @param press [String, nil] UUID of what it was pressed together with
      # @return [Boolean] false when the same fact was known already
      # @raise [Missing] for a closure, machine or entry of another workroom
      # @raise [Clash] when the id stands for another fact
      # @raise [Refusal] when what it withdraws is withdrawn already
      def add(entry, closure_id: nil, machine_id: nil, plan_version: nil, device: nil, n: nil, press: nil)
        added = @scope.ask(:add_entry, ADD, **values(entry), closure: closure_id, machine: machine_id,
                                                             plan: plan_version, device: device, n: n, press: press,
                                                             stand_in: Swatches::StandIn::BEFORE)
        return true if added.any?
        raise Clash unless same?(entry, closure_id)

        false
      rescue Sequel::ForeignKeyConstraintViolation
        raise Missing
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("journal.about", entry.about, "This was withdrawn already.")
      end

      # Takes entries in that came with a file; what is known by its id stays as it is, and so does the first of two.
      #
      # @param entries [Array<Array(Sewing::Entry, Integer, nil)>] each with the id of its machine
      # @param closure_id [Integer, nil]
      # @return [Integer] how many are new
      # @raise [Missing] for a closure, machine or entry of another workroom
      # @raise [Refusal] when two withdraw the same
      def take_in(entries, closure_id: nil)
        entries.uniq { |entry, _| entry.id }.each_slice(AT_ONCE).sum do |some|
          rows = some.map { |entry, machine| row(entry, closure_id, machine) }
          @scope.ask(:take_in_entries, TAKE_IN, entries: JSON.generate(rows), stand_in: Swatches::StandIn::BEFORE).size
        end
      rescue Sequel::ForeignKeyConstraintViolation
        raise Missing
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("file", "", "This file takes one fact back twice.")
      end

      # @param id [String]
      # @return [Hash, nil] closure_id, machine_id and kind of a standing entry
      def find(id) = @scope[:journal].where(id: id).select(:closure_id, :machine_id, :kind).first

      # @param id [String]
      # @return [Hash, nil] device and n of who told it first, and withdrawn, the id of what withdrew it, or nil
      def told(id)
        @scope[:journal].where(id: id).select(:device, :n).first&.then do |row|
          row.merge(withdrawn: @scope[:journal].where(kind: "withdrawal", about: id).get(:id))
        end
      end

      # @param closure_id [Integer]
      # @param before [String, nil] id of the entry that the page comes before
      # @return [Page]
      # @raise [Missing]
      def log(closure_id, before: nil)
        raise Missing if @scope.standing(:closures).where(id: closure_id).empty?

        found = @scope.ask(:read_log, LOG, closure: closure_id, before: before, most: PAGE + 1)
        lines = found.first(PAGE).map { |row| line(row) }
        Page.new(lines: lines, following: found.size > PAGE ? lines.last.entry.id : nil)
      end

      private

      def line(row)
        Line.new(entry: JournalRows.entry(JSON.parse(row[:entry], decimal_class: BigDecimal)), withdrawn_at: row[:withdrawn_at],
                 imported: row[:imported], by: row[:by])
      end

      def row(entry, closure, machine)
        values(entry).merge(closure: closure, machine: machine, data: JournalRows.data(entry),
                            moves: entry.moves.empty? ? nil : PlainValue.dump_all(entry.moves))
      end

      def values(entry)
        { id: entry.id, kind: entry.kind, about: entry.about, step: entry.step, at: entry.at && Field.decimal(entry.at),
          opening: entry.opening && Field.decimal(entry.opening),
          moves: entry.moves.empty? ? nil : JSON.generate(PlainValue.dump_all(entry.moves)),
          data: JSON.generate(JournalRows.data(entry)), happened_at: entry.happened_at.utc.iso8601(6),
          words: entry.swatch ? SwatchWords.of(entry.swatch) : "" }
      end

      # Whether what is kept under this id says the same; when it happened may be told a little otherwise.
      def same?(entry, closure_id)
        row = @scope[:journal].where(id: entry.id).first or return false
        kept = [row[:kind], row[:closure_id], row[:about], row[:step_key], row[:at_mm]&.to_r, row[:opening_mm]&.to_r,
                row[:data].to_h, row[:moves].to_h]
        kept == [entry.kind, closure_id, entry.about, entry.step, entry.at&.millimetres, entry.opening&.millimetres,
                 JournalRows.data(entry), PlainValue.dump_all(entry.moves)]
      end
    end
  end
end
