# frozen_string_literal: true

# machine: the profile of a sewing machine and its feet, as typed and as kept.

require_relative "say"
require_relative "problem"
require_relative "../store/machines"
require_relative "../store/closures"

module NimbleEyelet
  module Api
    module MachineView
      FLAGS = { true => "yes", false => "no" }.freeze

      # @param kept [Store::Machines::Kept]
      # @param say [Say]
      # @return [Hash]
      def self.of(kept, say)
        machine = kept.machine
        { id: machine.id, revision: kept.revision, kind_name: machine.type.name, order: machine.type.order,
          length_from: machine.type.length_from, facts: facts(Store::MachineFields::MACHINE, machine, say),
          styles: machine.styles, feet: machine.feet.map { |foot| facts(Store::MachineFields::FOOT, foot, say) },
          closures: kept.closures }
      end

      # Every fact as a person would type it.
      def self.facts(fields, thing, say)
        fields.to_h { |name, field| [name.to_s, field.kind == :flag ? FLAGS.fetch(thing[name]) : say.typed(thing[name])] }
      end
      private_class_method :facts
    end

    # A machine from what was typed; every fault at once, those of feet as "feet.2.allowance".
    class MachineForm
      # @param unit [Symbol]
      def initialize(unit)
        @unit = unit
        @check = Refusal::Check.new
      end

      # @param body [Hash] facts, styles, feet
      # @return [Machine] sound
      # @raise [Refusal]
      def read(body)
        facts = read_all(Store::MachineFields::MACHINE, body.fetch("facts"))
        feet = body.fetch("feet").each_with_index.map { |foot, index| read_foot(foot, index + 1) }
        raise Refusal, @check.faults unless @check.faults.empty?

        check_feet(feet)
        Machine.new(**facts, styles: body.fetch("styles").uniq, feet: feet).validate
      end

      private

      # @return [Foot, nil] nothing when it was refused; its faults name it by its number
      def read_foot(typed, number)
        before = @check.faults.size
        values = read_all(Store::MachineFields::FOOT, typed)
        foot = @check.gather { Foot.new(**values).validate } if @check.faults.size == before
        faults = @check.faults
        faults[before..] = faults[before..].map { |fault| fault.with(field: fault.field.sub(/\Afoot/, "feet.#{number}")) }
        foot
      end

      def read_all(fields, typed)
        fields.to_h { |name, field| [name, @check.gather { field.read(typed[name.to_s], unit: @unit) }] }
      end

      def check_feet(feet)
        twice = feet.map(&:kind).tally.find { |_, count| count > 1 } or return
        raise Refusal.field("machine.feet", twice.first, "The #{FOOT_KINDS.fetch(twice.first)} stands there twice.")
      end
    end

    module MachineRoutes
      def self.registered(app)
        app.helpers Helpers
        app.get("/api/machines/:id") { show_machine(machines.find(number(params["id"]))) }
        app.post("/api/machines") { show_machine(machines.add(MachineForm.new(workroom.unit).read(body_hash)), status: 201) }
        app.put("/api/machines/:id") do
          typed = MachineForm.new(workroom.unit).read(body_hash)
          show_machine(machines.change(number(params["id"]), typed, revision: seen))
        rescue Store::Stale
          halt Problem.new(412, "This machine was changed in another place meanwhile. Look again.").render
        end
        app.delete("/api/machines/:id") do
          machines.remove(number(params["id"]))
          halt 204
        end
      end

      module Helpers
        def machines = @machines ||= Store::Machines.new(db, workroom.id)

        def show_machine(kept, status: 200)
          etag_of(kept)
          json(MachineView.of(kept, say), status: status)
        end
      end
    end
  end
end
