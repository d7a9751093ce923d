# frozen_string_literal: true

# UnderWay is where somebody was: the closures something happened with last, and the machines on which
# something was left set.
#
#   Store::UnderWay.new(workroom).closures   # => [Closure, …], the newest first

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/plain_value"
require_relative "closures"

module NimbleEyelet
  module Store
    class UnderWay
      # So many at the top of the page, and so many looked at for those that are not finished.
      MOST = 3
      LOOKED_AT = 24

      # From its first change, or its first fact, on; of an archived garment or a template none is.
      LATEST = <<~SQL
        SELECT c.id FROM closures c
          JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id AND g.archived_at IS NULL AND NOT g.template
          JOIN (SELECT closure_id, max(at) AS at FROM (
            SELECT closure_id, made_at AS at FROM revisions WHERE workroom_id = :workroom AND parent IS NOT NULL
            UNION ALL SELECT closure_id, noted_at FROM journal
             WHERE workroom_id = :workroom AND closure_id IS NOT NULL AND NOT imported) happened
           GROUP BY closure_id) latest ON latest.closure_id = c.id
         WHERE c.workroom_id = :workroom AND c.removed_at IS NULL
         ORDER BY latest.at DESC, c.id LIMIT :most
      SQL

      AWAY = <<~SQL
        SELECT m.id, m.name, jsonb_object_agg(s.part, s.state)::text AS state
          FROM machines m JOIN LATERAL (
            SELECT DISTINCT ON (v.part) v.part, v.state FROM moves v
             WHERE v.workroom_id = m.workroom_id AND v.machine_id = m.id
               AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = v.workroom_id AND w.about = v.entry AND w.kind = 'withdrawal')
             ORDER BY v.part, v.happened_at DESC, v.seq DESC) s ON s.state IS NOT NULL
         WHERE m.workroom_id = :workroom AND m.removed_at IS NULL AND m.practice_of IS NULL GROUP BY m.id, m.name ORDER BY m.name
      SQL

      # A session that goes on. begun_at - Time; closures - Array<String>, their names; by - String, name of who began
      # it, where people sign in
      SessionOpen = Value.of(:id, :machine_id, :machine, :begun_at, :closures, by: nil)

      OPEN_SESSIONS = <<~SQL
        SELECT s.id, s.machine_id, m.name AS machine, s.begun_at,
          (SELECT a.name FROM accounts a WHERE a.id = s.account_id) AS by,
          (SELECT json_agg(g.name || ': ' || c.name ORDER BY l.place) FROM sitting_closures l
             JOIN closures c ON c.workroom_id = l.workroom_id AND c.id = l.closure_id AND c.removed_at IS NULL
             JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id
            WHERE l.workroom_id = s.workroom_id AND l.sitting_id = s.id)::text AS closures
          FROM sittings s JOIN machines m ON m.workroom_id = s.workroom_id AND m.id = s.machine_id
         WHERE s.workroom_id = :workroom AND s.ended_at IS NULL ORDER BY s.begun_at DESC
      SQL

      # A machine as it stands. ledger - Ledger
      MachineLeft = Value.of(:id, :name, :ledger)

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
        @scope = workroom.scope
      end

      # @return [Array<Closure>] the newest first; with what is finished nobody goes on
      def closures
        kept = Closures.new(@workroom)
        @scope.ask(:under_way, LATEST, most: LOOKED_AT).lazy.map { |row| kept.find(row[:id]) }
              .reject { |closure| closure.sheet.progress&.finished? }.first(MOST)
      end

      # @return [Array<SessionOpen>] the newest first
      def sessions
        @scope.ask(:sessions_open, OPEN_SESSIONS).map do |row|
          SessionOpen.new(**row.slice(:id, :machine_id, :machine, :begun_at, :by), closures: JSON.parse(row[:closures] || "[]"))
        end
      end

      # @return [Array<MachineLeft>] that are not as their owner has them; nobody puts a practice machine back
      def machines
        @scope.ask(:machines_away, AWAY).map do |row|
          state = PlainValue.load_all(JSON.parse(row[:state]))
          MachineLeft.new(id: row[:id], name: row[:name], ledger: Sewing::KeptLedger.of(state))
        end.reject { |machine| machine.ledger.empty? }
      end
    end
  end
end
