# frozen_string_literal: true

# FieldPapers writes down what the table of fields says where others read it: in the description of the interface and in
# the schema of a garment's file.
#
#   FieldPapers.interface(text)   # => the same text, with every field in Plan and PlanChange, every setting of a workroom in Workroom

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"
require_relative "workroom_fields"

module NimbleEyelet
  module FieldPapers
    INTERFACE = "app/http/openapi.yaml"
    GARMENT = "docs/garment.schema.json"
    # A plain decimal, as lengths and figures are kept.
    DECIMAL = "^-?\\d+(\\.\\d{1,6})?$"

    # @param root [String] folder of the application
    def self.write(root)
      { INTERFACE => method(:interface), GARMENT => method(:garment) }.each do |file, written|
        path = File.join(root, file)
        File.write(path, written.call(File.read(path)))
      end
    end

    # @param text [String] of the description
    # @return [String]
    def self.interface(text)
      fields = ClosureFields::ALL
      plan = fields.map { |field| "        #{field.path}: #{shown(field)}\n" }.join
      change = fields.map { |field| "        #{field.path}: { $ref: '#/components/schemas/AsTyped' }\n" }.join
      required = [*fields.map(&:path), *ClosureFields::LISTS.keys, "machine.id", "swatch.accepted"].join(", ")
      workroom(part(part(text, "Plan", plan), "PlanChange", change)).sub(/^  version: .*$/, "  version: #{VERSION}")
                                                                    .sub(/(^    Plan:\n(?:      .*\n)*?      required: )\[.*\]$/) { "#{Regexp.last_match(1)}[#{required}]" }
    end

    def self.workroom(text)
      fields = WorkroomFields::ALL
      ours = /(?:#{fields.keys.join('|')}):/
      shown = fields.map { |name, field| "        #{name}: { type: string#{one_of(field)} }\n" }.join
      typed = fields.map { |name, field| "        #{name}: { type: string#{one_of(field) || ', maxLength: 2000'} }\n" }.join
      text = part(text, "Workroom", shown, ours)
      %w[WorkroomSettings WorkroomChange].reduce(text) { |found, name| part(found, name, typed, ours) }
    end

    def self.one_of(field) = (", enum: [#{field.choices.keys.join(', ')}]" if field.kind == :choice)

    # The fields stand first among what a schema of the description holds; what is not of the table stands after them.
    def self.part(text, name, lines, ours = /(?!placket\.(?:pins|keep_outs))/)
      text.sub(/(^    #{name}:\n(?:      (?!properties:).*\n)*      properties:\n)(?:        #{ours}.*\n)*/) do
        Regexp.last_match(1) + lines
      end
    end

    def self.shown(field)
      return "{ $ref: '#/components/schemas/Length#{'OrNone' if field.optional}' }" if field.kind == :length

      field.optional ? "{ type: string, nullable: true }" : "{ type: string }"
    end

    # @param text [String] of the schema
    # @return [String]
    def self.garment(text)
      schema = JSON.parse(text)
      schema.dig("properties", "machines", "items", "properties", "kind")["enum"] = MACHINE_KINDS.keys
      plan = schema.dig("properties", "closures", "items", "properties", "plan")
      lists = plan["properties"].slice(*ClosureFields::LISTS.keys)
      others = plan["properties"].except(*ClosureFields::BY_PATH.keys, *lists.keys)
      plan["properties"] = { **ClosureFields::ALL.to_h { |field| [field.path, kept(field)] }, **lists, **others }
      plan["required"] = plan["properties"].keys & (plan["required"] | ClosureFields::BY_PATH.keys)
      "#{JSON.pretty_generate(schema)}\n"
    end

    # As it is kept in a file.
    def self.kept(field)
      type = { whole: "integer", signed: "integer", flag: "boolean" }.fetch(field.kind, "string")
      found = { "type" => field.optional ? [type, "null"] : type }
      found["enum"] = field.choices.keys + (field.optional ? [nil] : []) if field.kind == :choice
      found["pattern"] = DECIMAL if %i[length decimal tex].include?(field.kind)
      found.merge("description" => field.kind == :length ? "#{field.label}, millimetres" : field.label)
    end
    private_class_method :part, :workroom, :one_of, :shown, :kept
  end
end
