# frozen_string_literal: true

# MachineRows turns rows of machines and feet, as the database or its JSON gives them, into machines.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/machine_fields"

module NimbleEyelet
  module Store
    module MachineRows
      # A machine with its feet as one JSON object, for a statement that joins machines as m.
      JSON_OBJECT = <<~SQL
        (to_jsonb(m) || jsonb_build_object('feet', COALESCE(
          (SELECT jsonb_agg(to_jsonb(f) ORDER BY f.id) FROM feet f WHERE f.workroom_id = m.workroom_id AND f.machine_id = m.id), '[]')))
      SQL

      # @param row [Hash{Symbol => Object}]
      # @param feet [Array<Hash{Symbol => Object}>]
      # @return [Machine]
      def self.build(row, feet)
        Machine.new(id: row[:id], styles: row[:styles].to_a, practice: row[:practice], **MachineFields.load(MachineFields::MACHINE, row),
                    feet: feet.map { |foot| Foot.new(**MachineFields.load(MachineFields::FOOT, foot)) })
      end

      # @param object [Hash{String => Object}] as JSON_OBJECT gives it
      # @return [Machine]
      def self.from_json(object)
        row = object.transform_keys(&:to_sym)
        build(row, row.fetch(:feet).map { |foot| foot.transform_keys(&:to_sym) })
      end
    end
  end
end
