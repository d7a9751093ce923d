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
    # closures - Array<Closure>, by name; note - String; archived - Boolean; template - Boolean, to start others from
    Garment = Value.of(:id, :name, :closures, :note, :archived, :template)

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
        row = @scope.standing(:garments).where(id: id).first or raise Missing
        Garment.new(**row.slice(:id, :name, :note, :template), closures: @closures.of_garment(id), archived: !row[:archived_at].nil?)
      end

      # @param id [Integer]
      # @param values [Hash] name, note and archived, where they change
      # @param was [String, nil] the note as it was read, when it is changed
      # @return [Garment]
      # @raise [Missing]
      # @raise [Stale] when another note was written meanwhile
      # @raise [Refusal] when another garment has that name
      def change(id, was: nil, **values)
        values[:archived_at] = values.delete(:archived) ? Sequel::CURRENT_TIMESTAMP : nil if values.key?(:archived)
        @scope.transaction do
          row = @scope.standing(:garments).where(id: id).for_update.first or raise Missing
          raise Stale, find(id) if values.key?(:note) && ![was.to_s, values[:note]].include?(row[:note])

          @scope[:garments].where(id: id).update(values) unless values.empty?
        end
        find(id)
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("garment.name", values[:name], "Another garment is called that.")
      end

      # The same buttonholes once more, as they were wished for.
      #
      # @param id [Integer]
      # @param name [String] of the new garment, changed when there is one of that name
      # @param longer [Length] every edge
      # @param template [Boolean] whether the copy is one, for others to be started from
      # @yieldparam plan [Plan] as it is copied
      # @yieldreturn [Plan] with what is otherwise
      # @return [Array(Integer, Array<String>)] id of the copy, and paths of what stayed behind
      # @raise [Missing, Refusal]
      def copy(id, name:, longer: Length.zero, template: false)
        copies = find(id).closures.map { |one| CopiedPlan.of(one.plan, name: one.plan.name, longer: longer) }
        @scope.transaction do
          copy = @scope.insert(:garments, name: free_name(name), template: template)
          copies.each { |one| @closures.create(copy, yield(one.plan)) }
          [copy, copies.flat_map(&:left).uniq]
        end
      end

      # Takes a garment in with its closures and what was sewn; machines are those of the same name, or new
      # ones. Either all of it is taken or nothing. Facts get new ids and move no real machine.
      #
      # @param name [String] changed when the workroom has a garment of that name
      # @param closures [Array<Array(Plan, Array<Sewing::Entry>)>] the machine of a plan counts by its name
      # @param note [String]
      # @return [Array(Integer, Hash{String => String})] id of the garment, and what every fact is called now
      def take_in(name, closures, note: "")
        @scope.transaction do
          machines = machines_for(closures.map { |plan, _| plan.machine })
          id = @scope.insert(:garments, name: free_name(name), note: note)
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
