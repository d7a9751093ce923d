# frozen_string_literal: true

# Machines of a workroom with their feet, and the one way to keep them. A machine is kept whole, its
# feet with it.
#
#   Store::Machines.new(scope).find(3).machine   # => Machine

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/machine_fields"
require_relative "errors"
require_relative "journal_rows"
require_relative "machine_rows"

module NimbleEyelet
  module Store
    # One machine, the revision it was read at, and the closures sewn on it: hashes of id and name.
    MachineRecord = Value.of(:machine, :revision, :closures)

    # name - String; since - Time or nil, what is older does not count; swatches - Array<Swatches::EarlierSwatch>,
    #   newest first
    # closures - Hash of id to the name of its garment and its own
    Taught = Value.of(:name, :since, :swatches, :closures)

    class Machines
      TAUGHT = <<~SQL.freeze
        SELECT jsonb_build_object('closure', j.closure_id, 'id', j.id, 'kind', j.kind, 'happened_at', #{JournalRows::HAPPENED},
            'data', j.data)::text AS swatch,
          j.closure_id, COALESCE(g.name || ': ' || c.name, '') AS name
        FROM journal j JOIN machines m ON m.workroom_id = j.workroom_id AND m.id = j.machine_id
        LEFT JOIN closures c ON c.workroom_id = j.workroom_id AND c.id = j.closure_id
        LEFT JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id
        WHERE j.workroom_id = :workroom AND j.machine_id = :machine AND j.kind = 'swatch'
          AND j.happened_at > COALESCE(m.learned_from, '-infinity')
          AND NOT EXISTS (SELECT 1 FROM journal w WHERE w.workroom_id = j.workroom_id AND w.about = j.id AND w.kind = 'withdrawal')
        ORDER BY j.happened_at DESC LIMIT 60
      SQL
      ONE = "SELECT #{MachineRows::JSON_OBJECT}::text AS machine FROM machines m " \
            "WHERE m.workroom_id = :workroom AND m.id = :id AND m.removed_at IS NULL".freeze

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param id [Integer]
      # @return [Machine, nil] unless it lies in the waste basket
      def one(id)
        row = @scope.ask(:read_machine, ONE, id: id).first
        row && MachineRows.from_json(JSON.parse(row[:machine], decimal_class: BigDecimal))
      end

      # @return [Array<Machine>] by name
      def all
        feet = @scope[:feet].order(:id).all.group_by { |row| row[:machine_id] }
        @scope.standing(:machines).order(:name).map { |row| MachineRows.build(row, feet.fetch(row[:id], [])) }
      end

      # @param id [Integer]
      # @return [MachineRecord]
      # @raise [Missing]
      def find(id)
        machine = one(id) or raise Missing
        closures = @scope.standing(:closures).where(machine_id: id).order(:name).select(:id, :name).all
        MachineRecord.new(machine: machine, revision: @scope[:machines].where(id: id).get(:revision), closures: closures)
      end

      # @param machine [Machine] valid
      # @return [MachineRecord]
      # @raise [Refusal] when the name is taken
      def add(machine) = write(machine) { |columns| @scope.insert(:machines, columns) }

      # @param id [Integer]
      # @param revision [Integer] the one the person saw
      # @return [MachineRecord]
      # @raise [Missing, Stale, Refusal]
      def change(id, machine, revision:)
        write(machine) do |columns|
          seen = @scope.standing(:machines).where(id: id, revision: revision)
          changed = seen.update(columns.merge(revision: revision + 1))
          raise Stale, find(id) if changed.zero?

          @scope[:feet].where(machine_id: id).delete
          id
        end
      end

      # The practice machine of a real one: as that is now.
      #
      # @param id [Integer] of the real one
      # @return [Machine]
      # @raise [Missing]
      def practising(id)
        real = find(id).machine
        return real if real.practice

        known = @scope.standing(:machines).where(practice_of: id).select(:id, :revision).first
        own = real.with(name: "#{real.name[0, LONGEST_NAME]} (practice)")
        record = known ? change(known[:id], own, revision: known[:revision]) : add(own)
        @scope[:machines].where(id: record.machine.id).update(practice: true, practice_of: id)
        one(record.machine.id)
      end
      LONGEST_NAME = 60
      private_constant :LONGEST_NAME

      # What a practice machine is like: nobody is told.
      #
      # @param id [Integer]
      # @return [Integer]
      # @raise [Missing]
      def stand_in(id) = @scope.standing(:machines).where(id: id).get(:stand_in) || raise(Missing)

      # Whatever was learned of it up to now no longer counts; or, once more, all of it does.
      #
      # @param id [Integer]
      # @param since [Time, nil]
      # @return [Taught]
      # @raise [Missing]
      def learn_from(id, since)
        raise Missing if @scope.standing(:machines).where(id: id).update(learned_from: since).zero?

        taught(id)
      end

      # What test holes on it taught, whatever closure they were sewn for; the newest.
      #
      # @param id [Integer]
      # @return [Taught]
      # @raise [Missing]
      def taught(id)
        row = @scope.standing(:machines).where(id: id).select(:learned_from, :name).first or raise Missing
        rows = @scope.ask(:read_taught, TAUGHT, machine: id)
        swatches = JournalRows.earlier(rows.map { |one| JSON.parse(one[:swatch], decimal_class: BigDecimal) })
        Taught.new(name: row[:name], since: row[:learned_from], swatches: swatches, closures: rows.to_h do |one|
          [one[:closure_id], one[:name]]
        end)
      end

      # Into the waste basket.
      #
      # @raise [Missing, Stale]
      # @raise [Refusal] while a closure is sewn on it
      def remove(id, revision:)
        @scope.transaction do
          record = find(id)
          raise Stale, record unless record.revision == revision

          names = record.closures.map { |closure| closure[:name] }.join(", ")
          raise Refusal.field("machine.id", id, "Still in use for: #{names}. Choose another machine there first.") unless names.empty?

          @scope[:machines].where(id: id).update(removed_at: Sequel::CURRENT_TIMESTAMP)
        end
      end

      private

      def write(machine)
        @scope.transaction do
          columns = { **MachineFields.dump(MachineFields::MACHINE, machine),
            styles: Sequel.pg_array(machine.styles, :text) }
          id = yield(columns)
          feet = machine.feet.map { |foot| { **MachineFields.dump(MachineFields::FOOT, foot), machine_id: id } }
          @scope.insert_all(:feet, feet)
          find(id)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("machine.name", machine.name, "There is another machine of that name.")
      end
    end
  end
end
