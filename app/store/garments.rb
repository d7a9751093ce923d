# frozen_string_literal: true

# Garments of a workroom with their closures, read whole and taken in whole.
#
#   Store::Garments.new(workroom).find(1).closures   # => [Closure, …]

require "securerandom"
require_relative "../../lib/nimble_eyelet"
require_relative "closures"
require_relative "free_name"
require_relative "errors"
require_relative "journal"

module NimbleEyelet
  module Store
    # closures - Array<Closure>, by name
    Garment = Value.of(:id, :name, :closures)

    class Garments
      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
        @scope = workroom.scope
        @closures = Closures.new(workroom)
      end

      # @param id [Integer]
      # @return [Garment]
      # @raise [Missing]
      def find(id)
        name = @scope.standing(:garments).where(id: id).get(:name) or raise Missing
        Garment.new(id: id, name: name, closures: @closures.of_garment(id))
      end

      # Takes a garment in with its closures and what was sewn; machines are those of the same name, or new
      # ones. Either all of it is taken or nothing. Facts get new ids and move no real machine.
      #
      # @param name [String] changed when the workroom has a garment of that name
      # @param closures [Array<Array(Plan, Array<Sewing::Entry>)>] the machine of a plan counts by its name
      # @return [Array(Integer, Hash{String => String})] id of the garment, and what every fact is called now
      def take_in(name, closures)
        @scope.transaction do
          machines = machines_for(closures.map { |plan, _| plan.machine })
          id = @scope.insert(:garments, name: free_name(name))
          ids = closures.map { |plan, entries| take_in_closure(id, plan, machines.fetch(plan.machine.name), entries) }
          [id, ids.reduce({}, :merge)]
        end
      end

      private

      def take_in_closure(garment_id, plan, machine, entries)
        ids = entries.to_h { |entry| [entry.id, SecureRandom.uuid] }
        closure = @closures.create(garment_id, plan.with(machine: machine, accepted: ids[plan.accepted]))
        here = entries.map { |entry| [renamed(entry, ids, machine), machine.id] }
        Journal.new(@scope).take_in(here, closure_id: closure)
        ids
      end

      # Ids of this database; a test hole was sewn on the machine that is called so here.
      def renamed(entry, ids, machine)
        with = entry.done_with.except("sitting.id")
        with = with.merge("machine.id" => here(with["machine.id"], machine)) if entry.swatch && with["machine.id"]
        swatch = entry.swatch&.with(sewn_with: with, again: ids[entry.swatch.again])
        entry.with(id: ids.fetch(entry.id), about: ids[entry.about], step: step_here(entry.step, ids), done_with: with,
                   swatch: swatch)
      end

      # Steps out of a mishap go by the mishap's id.
      def step_here(key, ids)
        step = key && Work::StepKey.parse(key)
        known = step&.mishap && ids.keys.find { |id| step.out_of?(id) }
        known ? Work::StepKey.rescue(ids.fetch(known), step.number).to_s : key
      end

      def here(id, machine) = Swatches::StandIn.id?(id) ? Swatches::StandIn.id(machine.id) : machine.id.to_s

      def machines_for(machines)
        known = @workroom.machines.all.to_h { |machine| [machine.name, machine] }
        machines.uniq(&:name).to_h do |machine|
          [machine.name, known[machine.name] || @workroom.machines.add(machine).machine]
        end
      end

      def free_name(name)
        FreeName.of(name, @scope.standing(:garments).select_map(:name))
      end
    end
  end
end
