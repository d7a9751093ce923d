# frozen_string_literal: true

# Machines of a workroom with their feet, as core values; and the one way to keep them.
#
#   Store::MachineReader.for(db).read(workroom_id, 3)   # => NimbleEyelet::Machine or nil

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/machine_fields"
require_relative "errors"

module NimbleEyelet
  module Store
    class MachineReader
      READERS = ObjectSpace::WeakMap.new
      private_constant :READERS

      # @param db [Sequel::Database]
      # @return [MachineReader] the one of this database
      def self.for(db) = READERS[db] ||= new(db)

      def initialize(db)
        @db = db
        @machine = db[:machines].where(workroom_id: :$workroom, id: :$id).prepare(:first, :read_machine)
        @feet = db[:feet].order(:id).where(workroom_id: :$workroom, machine_id: :$id).prepare(:select, :read_feet)
      end

      # @param workroom_id [Integer]
      # @param id [Integer]
      # @return [Machine, nil]
      def read(workroom_id, id)
        key = { workroom: workroom_id, id: id }
        row = @machine.call(key)
        row && build(row, @feet.call(key))
      end

      # @param workroom_id [Integer]
      # @return [Array<Machine>] by name
      def all(workroom_id)
        feet = @db[:feet].where(workroom_id: workroom_id).order(:id).all.group_by { |row| row[:machine_id] }
        @db[:machines].where(workroom_id: workroom_id).order(:name).map { |row| build(row, feet.fetch(row[:id], [])) }
      end

      private

      def build(row, feet)
        Machine.new(id: row[:id], styles: row[:styles].to_a, **MachineFields.load(MachineFields::MACHINE, row),
                    feet: feet.map { |foot| Foot.new(**MachineFields.load(MachineFields::FOOT, foot)) })
      end
    end

    # Adds, changes and removes machines. A machine is kept whole, its feet with it.
    class Machines
      # One machine and the revision it was read at.
      Kept = Value.of(:machine, :revision, :closures)

      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
      end

      # @param id [Integer]
      # @return [Kept] closures - Array<Hash> of id and name of those sewn on it
      # @raise [Missing]
      def find(id)
        machine = MachineReader.for(@db).read(@workroom_id, id) or raise Missing
        closures = @db[:closures].where(workroom_id: @workroom_id, machine_id: id).order(:name).select(:id, :name).all
        Kept.new(machine: machine, revision: @db[:machines].where(id: id).get(:revision), closures: closures)
      end

      # @param machine [Machine] sound
      # @return [Kept]
      # @raise [Refusal] when the name is taken
      def add(machine)
        write(machine) { |columns| @db[:machines].insert(columns.merge(workroom_id: @workroom_id)) }
      end

      # @param id [Integer]
      # @param revision [Integer] the one the person saw
      # @return [Kept]
      # @raise [Missing, Stale, Refusal]
      def change(id, machine, revision:)
        write(machine) do |columns|
          row = @db[:machines].where(workroom_id: @workroom_id, id: id).for_update.first or raise Missing
          raise Stale, find(id) unless row[:revision] == revision

          @db[:machines].where(id: id).update(columns.merge(revision: revision + 1))
          @db[:feet].where(machine_id: id).delete
          id
        end
      end

      # @raise [Missing]
      # @raise [Refusal] while a closure is sewn on it
      def remove(id)
        raise Missing if @db[:machines].where(workroom_id: @workroom_id, id: id).delete.zero?
      rescue Sequel::ForeignKeyConstraintViolation
        names = find(id).closures.map { |closure| closure[:name] }.join(", ")
        raise Refusal.field("machine.id", id, "Still in use for: #{names}. Choose another machine there first.")
      end

      private

      def write(machine)
        @db.transaction do
          columns = MachineFields.dump(MachineFields::MACHINE, machine).merge(styles: Sequel.pg_array(machine.styles, :text))
          id = yield(columns)
          @db[:feet].multi_insert(machine.feet.map do |foot|
            MachineFields.dump(MachineFields::FOOT, foot).merge(workroom_id: @workroom_id, machine_id: id)
          end)
          find(id)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("machine.name", machine.name, "There is another machine of that name.")
      end
    end
  end
end
