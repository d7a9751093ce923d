# frozen_string_literal: true

# WasteBasket holds what was removed for thirty days: closures, machines and what lies on a shelf can be taken
# out again, and what has lain there longer is emptied out at a start.
#
#   basket.lying              # => [{ kind: "machine", id: 3, name: "Snipe", removed_at: …, until: … }]
#   basket.take_out("machine", 3)

require_relative "../../lib/nimble_eyelet"
require_relative "errors"

module NimbleEyelet
  module Store
    class WasteBasket
      DAYS = 30
      TABLES = { "closure" => :closures, "machine" => :machines, "button" => :buttons, "cloth" => :cloths,
                 "thread" => :threads, "stabiliser" => :stabilisers }.freeze

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @return [Array<Hash>] kind, id, name, removed_at, until (when it is emptied out); what was removed last comes
      #   first
      def lying
        TABLES.flat_map do |kind, table|
          removed(table).select(:id, :name, :removed_at).map { |row| row.merge(kind: kind) }
        end
              .sort_by { |item| -item[:removed_at].to_f }
              .map { |item| item.merge(until: item[:removed_at] + (DAYS * 24 * 60 * 60)) }
      end

      # @param kind [String] key of TABLES
      # @param id [Integer]
      # @raise [Missing]
      # @raise [Refusal] when something else has its name by now
      def take_out(kind, id)
        table = TABLES.fetch(kind) { raise Missing }
        found = removed(table).where(id: id).first or raise Missing
        removed(table).where(id: id).update(removed_at: nil)
        # A garment in which nothing was left comes back with its closure.
        @scope[:garments].where(id: found[:garment_id]).update(removed_at: nil) if table == :closures
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("#{kind}.name", found[:name], "Something else is called #{found[:name]} by now: rename that first.")
      end

      # Empties out what has lain there too long, over all workrooms. A machine that a closure, a fact or
      # a revision names stays.
      #
      # @param db [Sequel::Database]
      # @return [Integer] how many things went
      def self.empty(db)
        old = Sequel.lit("removed_at < now() - make_interval(days => ?)", DAYS)
        db.transaction do
          write_down_states(db, db[:closures].where(old).select(:id))
          shelves = %i[buttons cloths threads stabilisers].map { |shelf| db[shelf].where(old) }
          [db[:closures].where(old), unused(db).where(old), *shelves, db[:workrooms].where(old)].sum(&:delete)
        end
      end

      # Machines that nothing names: no closure, fact or revision, and no practice machine of theirs.
      def self.unused(db)
        db[:machines].exclude(id: db[:closures].select(:machine_id))
                     .exclude(id: db[:journal].exclude(machine_id: nil).select(:machine_id))
                     .exclude(id: db[:machines].exclude(practice_of: nil).select(:practice_of))
                     .exclude(Sequel.cast(:id, String) => db[:revisions].select(Sequel.lit("document->>'machine.id'")))
      end

      # What the facts of a closure left on its machine would go with them: it is entered once more, for the
      # machine alone.
      def self.write_down_states(db, closures)
        states = db[<<~SQL, closures: closures]
          INSERT INTO journal (workroom_id, id, kind, machine_id, moves, happened_at)
          SELECT s.workroom_id, gen_random_uuid(), 'machine_part', s.machine_id, jsonb_object_agg(s.part, s.state), max(s.happened_at)
            FROM (SELECT DISTINCT ON (v.workroom_id, v.machine_id, v.part) v.*, j.closure_id FROM moves v
                    JOIN journal j ON j.workroom_id = v.workroom_id AND j.id = v.entry
                   WHERE NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = v.workroom_id AND w.about = v.entry AND w.kind = 'withdrawal')
                   ORDER BY v.workroom_id, v.machine_id, v.part, v.happened_at DESC, v.seq DESC) s
           WHERE s.closure_id IN :closures GROUP BY s.workroom_id, s.machine_id
          RETURNING workroom_id, id, machine_id, moves, happened_at, seq
        SQL
        states.all.each do |row|
          db[:moves].multi_insert(row[:moves].to_h.map do |part, state|
            row.slice(:workroom_id, :machine_id, :happened_at, :seq)
               .merge(entry: row[:id], part: part, state: state && Sequel.pg_jsonb_wrap(state))
          end)
        end
      end
      private_class_method :write_down_states, :unused

      private

      def removed(table) = @scope[table].exclude(removed_at: nil)
    end
  end
end
