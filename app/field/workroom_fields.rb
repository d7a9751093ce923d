# frozen_string_literal: true

# WorkroomFields is the table of what is set for a whole workroom, beside the habits of the house. A new setting is a
# row here, its column in a migration and its control.
#
#   WorkroomFields.read({ "unit" => "in" })   # => { unit: "in" }, by column

require_relative "../../lib/nimble_eyelet"
require_relative "field"

module NimbleEyelet
  module WorkroomFields
    # What stands between the cells of a table, and in its numbers.
    SPREADSHEETS = { "comma" => "commas, and points in numbers", "semicolon" => "semicolons, and commas in numbers" }.freeze

    # Whether a caliper that only behaves like one lies on the table; in the example it always does.
    CALIPERS = { "none" => "a ruler, or a caliper I read myself", "practice" => "the practice caliper on the screen" }.freeze

    ALL = [
      Field.new(path: "workroom.name", kind: :text, column: :name, label: "name"),
      Field.new(path: "workroom.unit", kind: :choice, column: :unit, label: "lengths in", choices: Field.names(Plan::UNITS),
                initial: "mm"),
      Field.new(path: "workroom.csv", kind: :choice, column: :csv, label: "tables for a spreadsheet",
                choices: SPREADSHEETS, initial: "comma"),
      Field.new(path: "workroom.caliper", kind: :choice, column: :caliper, label: "caliper", choices: CALIPERS, initial: "none")
    ].to_h { |field| [field.path.split(".").last, field] }.freeze

    # @param typed [Hash{String => Object}] by name; what is no setting is left out
    # @return [Hash{Symbol => Object}] by column
    # @raise [Refusal]
    def self.read(typed)
      ALL.slice(*typed.compact.keys).to_h { |name, field| [field.column, field.read(typed[name], unit: :mm)] }
    end

    # @param row [Hash{Symbol => Object}] of the workroom
    # @return [Hash{Symbol => Object}] by name
    def self.of(row) = ALL.to_h { |name, field| [name.to_sym, field.load(row[field.column])] }
  end
end
