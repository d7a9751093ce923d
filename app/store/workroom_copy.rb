# frozen_string_literal: true

# WorkroomCopy lays into an empty workroom what there is in another one: wishes and things, and nothing of what was sewn
# or of what somebody's hands have taught.
#
#   Store::WorkroomCopy.new(db, workroom).into(other)

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "closures"
require_relative "workroom"

module NimbleEyelet
  module Store
    class WorkroomCopy
      SHELVES = %i[buttons cloths threads stabilisers].freeze
      # What a row has of its own, and what the database makes of it.
      OWN = %i[id workroom_id revision words].freeze

      # @param db [Sequel::Database]
      # @param from [Workroom]
      def initialize(db, from)
        @db = db
        @from = from
      end

      # @param room [Workroom] empty
      def into(room)
        @db[:workrooms].where(id: room.id).update(habits: @db[:workrooms].where(id: @from.id).select(:habits))
        machines = copy_machines(room.scope)
        SHELVES.each { |table| room.scope.insert_all(table, bare(@from.scope.standing(table))) }
        copy_garments(room.again, machines)
      end

      private

      # @return [Hash{Integer => Integer}] ids there by ids here
      def copy_machines(scope)
        rows = @from.scope[:machines].order(:id).all
        ids = rows.to_h { |row| [row[:id], scope.insert(:machines, row.except(*OWN, :practice_of, :learned_from))] }
        rows.each do |row|
          scope[:machines].where(id: ids[row[:id]]).update(practice_of: ids[row[:practice_of]]) if row[:practice_of]
          feet = bare(@from.scope[:feet].where(machine_id: row[:id]))
          scope.insert_all(:feet, feet.map { |foot| foot.merge(machine_id: ids[row[:id]]) })
        end
        ids
      end

      def copy_garments(room, machines)
        here = Closures.new(@from)
        there = Closures.new(room)
        @from.scope.standing(:garments).where(archived_at: nil).order(:id).each do |row|
          garment = room.scope.insert(:garments, row.slice(:name, :note, :template))
          here.of_garment(row[:id]).each do |closure|
            machine = room.machines.one(machines.fetch(closure.plan.machine.id))
            there.create(garment,
                         CopiedPlan.of(closure.plan, name: closure.plan.name, places: true).plan.with(machine: machine))
          end
        end
      end

      def bare(rows) = rows.all.map { |row| row.except(*OWN) }
    end
  end
end
