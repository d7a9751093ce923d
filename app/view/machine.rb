# frozen_string_literal: true

# machine: the profile of a sewing machine and its feet, as typed and as record.

require_relative "../field/machine_fields"

module NimbleEyelet
  module View
    module MachineView
      FLAGS = { true => "yes", false => "no" }.freeze

      # @param record [Store::MachineRecord]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(record, present)
        machine = record.machine
        { id: machine.id, revision: record.revision, kind_name: machine.type.name, order: machine.type.order,
          length_from: machine.type.length_from, facts: facts(MachineFields::MACHINE, machine, present),
          styles: machine.styles, feet: machine.feet.map { |foot| facts(MachineFields::FOOT, foot, present) },
          closures: record.closures }
      end

      # Every fact as a person would type it.
      def self.facts(fields, thing, present)
        fields.to_h do |name, field|
          [name.to_s, field.kind == :flag ? FLAGS.fetch(thing[name]) : present.typed(thing[name], dial: field.dial)]
        end
      end
      private_class_method :facts
    end
  end
end
