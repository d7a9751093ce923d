# frozen_string_literal: true

# Garments of a workroom with their closures, read whole and taken in whole.
#
#   Store::Garments.new(db, workroom_id).find(1).closures   # => [Closure, …]

require_relative "../../lib/nimble_eyelet"
require_relative "closure_reader"
require_relative "closures"
require_relative "errors"
require_relative "machines"

module NimbleEyelet
  module Store
    # closures - Array<Closure>, by name
    Garment = Value.of(:id, :name, :closures)

    class Garments
      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
      end

      # @param id [Integer]
      # @return [Garment]
      # @raise [Missing]
      def find(id)
        @db.transaction(isolation: :repeatable, read_only: true) do
          name = @db[:garments].where(workroom_id: @workroom_id, id: id).get(:name) or raise Missing
          reader = ClosureReader.for(@db)
          ids = @db[:closures].where(workroom_id: @workroom_id, garment_id: id).order(:name).select_map(:id)
          Garment.new(id: id, name: name, closures: ids.map { |closure| reader.read(@workroom_id, closure) })
        end
      end

      # Takes a garment in with its closures; machines are those of the same name, or new ones. Either all
      # of it is taken or nothing.
      #
      # @param name [String] changed when the workroom has a garment of that name
      # @param closures [Array<Array(Document, Machine)>] machine_id of the documents does not count
      # @return [Integer] id of the garment
      def take_in(name, closures)
        @db.transaction do
          machines = machines_for(closures.map(&:last))
          id = @db[:garments].insert(workroom_id: @workroom_id, name: free_name(name))
          store = Closures.new(@db, @workroom_id)
          closures.each { |document, machine| store.create(id, document.with(machine_id: machines.fetch(machine.name))) }
          id
        end
      end

      private

      def machines_for(machines)
        known = @db[:machines].where(workroom_id: @workroom_id).select_hash(:name, :id)
        machines.uniq(&:name).to_h do |machine|
          [machine.name, known[machine.name] || Machines.new(@db, @workroom_id).add(machine).machine.id]
        end
      end

      def free_name(name)
        taken = @db[:garments].where(workroom_id: @workroom_id).select_map(:name)
        [name, *(2..(taken.size + 2)).map { |number| "#{name[0, 70]} (#{number})" }].find { |other| !taken.include?(other) }
      end
    end
  end
end
