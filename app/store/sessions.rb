# frozen_string_literal: true

# Sessions keeps which closures are sewn in one go on which machine, in what order somebody wants them, and what a
# changeover takes them. How far a session has come is in the journal.
#
#   sessions.begin([3, 7])    # => SewingSession record
#   sessions.find(1).session  # => NimbleEyelet::SewingSession, worked out

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/plain_value"
require_relative "closures"
require_relative "errors"

module NimbleEyelet
  module Store
    # A session as it is kept, with what it is worked out from.
    #
    # closures - Array<Closure> in it, in the order they were laid ready; waiting - those of them that cannot be sewn
    #   yet
    # session - NimbleEyelet::SewingSession of the others; last - Array<Hash> of entry ids done last and what they say
    # told - Hash of step key to how often it was done in it on the machine alone
    class SessionRecord < Value.of(:id, :revision, :machine, :begun_at, :ended_at, :drying, :own_costs, :wish,
                                   :closures, :waiting, :session, :last, :told)
      # @return [Hash{String => Integer}]
      def costs = Sewing::Changeover.costs(own_costs)
    end

    class Sessions
      # Steps that one person did one after the other in one session, and how long after the one before. Of what was
      # entered at one moment the last is the step itself: what was so already took no time.
      DURATIONS = <<~SQL
        SELECT key, seconds FROM (
          SELECT j.step_key AS key, j.happened_at,
            extract(epoch FROM j.happened_at - lag(j.happened_at) OVER (PARTITION BY j.device,
                                                                        j.data->'with'->>'sitting.id' ORDER BY j.happened_at, j.seq DESC))::float AS seconds
          FROM journal j
          WHERE j.workroom_id = :workroom AND j.data->'with' ? 'sitting.id' AND NOT j.imported
            AND j.happened_at > now() - interval '2 years' ORDER BY j.happened_at DESC LIMIT 4000) d
        WHERE seconds BETWEEN 1 AND 3600 AND key IS NOT NULL
      SQL

      STATE = <<~SQL
        SELECT DISTINCT ON (v.part) v.part, v.state::text AS state FROM moves v
         WHERE v.workroom_id = :workroom AND v.machine_id = :machine
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = v.workroom_id AND w.about = v.entry AND w.kind = 'withdrawal')
         ORDER BY v.part, v.happened_at DESC, v.seq DESC
      SQL

      # What was done last in a session: everything entered at one moment.
      LAST = <<~SQL
        SELECT j.id, j.step_key, j.happened_at FROM journal j
         WHERE j.workroom_id = :workroom AND j.data->'with'->>'sitting.id' = :session AND j.kind NOT IN ('withdrawal', 'swatch') AND NOT j.imported
           AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')
         ORDER BY j.happened_at DESC, j.seq DESC LIMIT 40
      SQL

      # What was done on the machine alone, for no closure.
      TOLD = <<~SQL
        SELECT j.step_key, count(*) AS times FROM journal j
         WHERE j.workroom_id = :workroom AND j.data->'with' ? 'sitting.id' AND j.data->'with'->>'sitting.id' = :session
           AND j.closure_id IS NULL AND j.step_key IS NOT NULL AND NOT j.imported GROUP BY j.step_key
      SQL

      # So many of a step tell how long somebody takes for it.
      NEWEST = 40
      # So many are ordered well within a second; twice as many would take most of a minute.
      MOST = 6

      # @param workroom [Workroom]
      # @param now [Time]
      def initialize(workroom, now: Time.now)
        @workroom = workroom
        @scope = workroom.scope
        @now = now
      end

      # @return [Array<Hash>] id, machine_id and begun_at of those that are not ended, the newest first
      def open = @scope[:sittings].where(ended_at: nil).reverse(:begun_at).select(:id, :machine_id, :begun_at).all

      # @param ids [Array<Integer>] of closures
      # @return [SessionRecord]
      # @raise [Missing]
      # @raise [Refusal] when they are not sewn on one machine, or a session on it goes on
      def begin(ids)
        id = @scope.transaction do
          rows = of_one_machine(ids)
          machine = rows.first[:machine_id]
          costs = @scope[:sittings].where(machine_id: machine).reverse(:begun_at).get(:costs_s) || {}
          made = @scope[:sittings].returning(:id).insert(workroom_id: @scope.workroom_id, machine_id: machine,
                                                         costs_s: Sequel.pg_jsonb_wrap(costs.to_h))
          lay_ready(made.first[:id], ids)
          made.first[:id]
        end
        find(id)
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("session.closures", ids.join(", "), "#{whose(ids)} on this machine goes on already: " \
                                                                "go on with that one, or add these buttonholes to it.")
      end

      # @param id [Integer]
      # @return [SessionRecord]
      # @raise [Missing]
      def find(id) = record(**@scope.at_one_moment { read(id) })

      # @param id [Integer]
      # @param revision [Integer] the one the person saw
      # @param closures [Array<Integer>, nil] that are in it from now on
      # @param drying [Integer, nil] seconds; costs - Hash or nil; wish - Array or nil
      # @return [SessionRecord]
      # @raise [Missing, Stale, Refusal]
      def change(id, revision:, closures: nil, drying: nil, costs: nil, wish: nil)
        Sewing::Changeover.costs(costs || {})
        @scope.transaction do
          values = { drying_s: drying, costs_s: costs && Sequel.pg_jsonb_wrap(costs),
                     wish: wish && Sequel.pg_jsonb_wrap(wish) }.compact
          seen = @scope[:sittings].where(id: id, revision: revision, ended_at: nil)
          changed = seen.update(values.merge(revision: revision + 1))
          raise Stale, find(id) if changed.zero?

          laid_ready_anew(id, closures) if closures
        end
        find(id)
      end

      # It is over; what the machine is set to stays in the journal.
      #
      # @return [SessionRecord]
      # @raise [Missing, Stale]
      def end(id, revision:)
        changed = @scope[:sittings].where(id: id, revision: revision, ended_at: nil)
                                   .update(ended_at: Sequel.function(:clock_timestamp), revision: revision + 1)
        raise Stale, find(id) if changed.zero?

        find(id)
      end

      private

      # @return [String] the session that is in the way, with the name of whoever began it where people sign in
      def whose(ids)
        machine = @scope[:closures].where(id: ids).select(:machine_id)
        name = @scope[:sittings].where(machine_id: machine, ended_at: nil).join(:accounts, id: :account_id).get(:name)
        name ? "A session of #{name}" : "A session"
      end

      def of_one_machine(ids, machine = nil)
        raise Refusal.field("session.closures", "", "Choose one to #{MOST} closures.") unless ids.uniq.size.between?(1, MOST)

        rows = @scope.standing(:closures).where(id: ids).select(:id, :name, :machine_id).all
        raise Missing if rows.size < ids.uniq.size

        machine ||= rows.find { |row| row[:id] == ids.first }[:machine_id]
        other = rows.find { |row| row[:machine_id] != machine }
        if other
          raise Refusal.field("session.closures", other[:name],
                              "“#{other[:name]}” is sewn on another machine: that is another session.")
        end

        rows
      end

      def lay_ready(id, closures)
        @scope.insert_all(:sitting_closures, closures.uniq.each_with_index.map do |closure, place|
          { sitting_id: id, closure_id: closure, place: place }
        end)
      end

      def laid_ready_anew(id, closures)
        of_one_machine(closures, @scope[:sittings].where(id: id).get(:machine_id))
        @scope[:sitting_closures].where(sitting_id: id).delete
        lay_ready(id, closures)
      end

      # Facts of several closures and what the machine is set to are one picture: a step that is done between two of
      # these reads would count in the one and not in the other. What is worked out from them can wait until they are
      # read.
      def read(id)
        row = @scope[:sittings].where(id: id).first or raise Missing
        machine = row[:machine_id]
        { row: row, closures: closures(id, machine), last: last(id), told: told(id), ledger: ledger(machine),
          pace: pace, machine: machine(machine), sewn_on: @workroom.machines.one(machine) }
      end

      def closures(id, machine)
        kept = Closures.new(@workroom)
        ids = @scope[:sitting_closures].where(sitting_id: id).order(:place).select_map(:closure_id)
        standing = @scope.standing(:closures).where(id: ids, machine_id: machine).select_map(:id)
        (ids & standing).map { |closure| kept.find(closure) }
      end

      # @param known [Hash] what a SewingSession goes by: its ledger and pace
      def record(row:, closures:, last:, told:, machine:, sewn_on:, **known)
        ready, waiting = closures.map { |closure| [closure, closure.sheet] }.partition { |_, sheet| sheet.layout }
        own = row[:costs_s].to_h.transform_values(&:to_i)
        wish = row[:wish].to_a.map(&:to_a)
        session = SewingSession.of(parts(ready), machine: sewn_on, costs: Sewing::Changeover.costs(own),
                                   drying: row[:drying_s], wish: wish, now: @now, **known)
        kept = { **row.slice(:id, :revision, :begun_at, :ended_at), drying: row[:drying_s], own_costs: own, wish: wish }
        SessionRecord.new(**kept, machine: machine, last: last, told: told, closures: closures, session: session,
                                  waiting: waiting.map(&:first))
      end

      def machine(id) = @scope[:machines].where(id: id).select(:id, :name, :kind).first

      # @param ready [Array<Array(Closure, Sheet)>]
      def parts(ready)
        ready.map do |one, sheet|
          SessionPart.new(key: one.id, name: one.plan.name, garment: one.garment_name, sheet: sheet)
        end
      end

      def ledger(machine_id)
        rows = @scope.ask(:machine_state, STATE, machine: machine_id)
        state = rows.to_h { |row| [row[:part], row[:state] && PlainValue.load(JSON.parse(row[:state]))] }
        Sewing::KeptLedger.of(state)
      end

      def pace
        rows = @scope.ask(:step_durations, DURATIONS)
        names = Hash.new { |all, key| all[key] = Work::StepKey.parse(key).name }
        by_name = rows.group_by { |row| names[row[:key]] }
        Schedule::Pace.of(by_name.transform_values { |all| all.first(NEWEST).map { |row| row[:seconds] } })
      end

      def told(id)
        @scope.ask(:told_of_the_machine, TOLD, session: id.to_s).to_h { |row| [row[:step_key], row[:times]] }
      end

      def last(id)
        rows = @scope.ask(:done_last, LAST, session: id.to_s)
        rows.take_while { |row| row[:happened_at] == rows.first[:happened_at] }
      end
    end
  end
end
