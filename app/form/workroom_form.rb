# frozen_string_literal: true

# WorkroomForm reads what is typed in a workroom: names, and the habits of the house.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/field"

module NimbleEyelet
  module Form
    module WorkroomForm
      # @param text [String]
      # @return [String]
      # @raise [Refusal]
      def self.name(text, field:)
        name = Field.clean(text)
        return name if name.length.between?(1, Field::LONGEST_TEXT)

        raise Refusal.field(field, name[0, Field::LONGEST_TEXT], "This needs a name of at most #{Field::LONGEST_TEXT} characters.")
      end

      # @param typed [Hash{String => String, nil}] by path; empty goes back to the first school
      # @param unit [Symbol] the person's unit
      # @return [Hash{String => Object, nil}]
      # @raise [Refusal]
      def self.habits(typed, unit:)
        typed.to_h do |path, text|
          raise Refusal.field("habits", path[0, 60], "There is no such preference.") unless HABITS.key?(path)

          field = ClosureFields.fetch(path)
          value = field.read(text, unit: unit)
          Refusal.unless_valid { |check| field.limit.check(check, path, value) } if value && field.limit
          [path, value]
        end
      end
    end
  end
end
