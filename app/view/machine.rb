# frozen_string_literal: true

# machine: the profile of a sewing machine and its feet, as typed and as kept.

require_relative "../field/machine_fields"

module NimbleEyelet
  module View
    module MachineView
      FLAGS = { true => "yes", false => "no" }.freeze

      # @param kept [Store::Machines::Kept]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(kept, say)
        machine = kept.machine
        { id: machine.id, revision: kept.revision, kind_name: machine.type.name, order: machine.type.order,
          length_from: machine.type.length_from, facts: facts(MachineFields::MACHINE, machine, say),
          styles: machine.styles, feet: machine.feet.map { |foot| facts(MachineFields::FOOT, foot, say) },
          closures: kept.closures }
      end

      # Every fact as a person would type it.
      def self.facts(fields, thing, say)
        fields.to_h { |name, field| [name.to_s, field.kind == :flag ? FLAGS.fetch(thing[name]) : say.typed(thing[name])] }
      end
      private_class_method :facts
    end
  end
end
