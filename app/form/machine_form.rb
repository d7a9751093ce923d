# frozen_string_literal: true

# A machine from what was typed; every fault at once, those of feet as "feet.2.allowance".

require_relative "../../lib/nimble_eyelet"
require_relative "../field/machine_fields"

module NimbleEyelet
  module Form
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
        facts = read_all(MachineFields::MACHINE, body.fetch("facts"))
        feet = body.fetch("feet").each_with_index.map { |foot, index| read_foot(foot, index + 1) }
        raise Refusal, @check.faults unless @check.faults.empty?

        check_feet(feet)
        Machine.new(**facts, styles: body.fetch("styles").uniq, feet: feet).validate
      end

      private

      # @return [Foot, nil] nothing when it was refused; its faults name it by its number
      def read_foot(typed, number)
        before = @check.faults.size
        values = read_all(MachineFields::FOOT, typed)
        foot = @check.gather { Foot.new(**values).validate } if @check.faults.size == before
        faults = @check.faults
        faults[before..] = faults[before..].map do |fault|
          fault.with(field: fault.field.sub(/\Afoot/, "feet.#{number}"))
        end
        foot
      end

      def read_all(fields, typed)
        fields.to_h { |name, field| [name, @check.gather { field.read(typed[name.to_s], unit: @unit) }] }
      end

      def check_feet(feet)
        twice = feet.map(&:kind).tally.find { |_, count| count > 1 } or return
        raise Refusal.field("machine.feet", twice.first, "The #{FOOT_KINDS.fetch(twice.first).name} stands there twice.")
      end
    end
  end
end
