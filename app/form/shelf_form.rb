# frozen_string_literal: true

# ShelfForm reads a cloth or a thread as typed, or as a row of a file says it; what was left empty is typical
# for its kind.
#
#   Form::ShelfForm.new(shelf, :mm).read({ "name" => "linen", "kind" => "light_woven" })   # => { "name" => "linen", … }

require_relative "../../lib/nimble_eyelet"
require_relative "../field/shelf_fields"

module NimbleEyelet
  module Form
    class ShelfForm
      # @param shelf [ShelfFields::Shelf]
      # @param unit [Symbol]
      def initialize(shelf, unit)
        @shelf = shelf
        @unit = unit
      end

      # @param typed [Hash{String => String, nil}] by name of field
      # @return [Hash{String => Object}] values by name
      # @raise [Refusal] with every fault
      def read(typed)
        given = typed.reject { |_, text| text.to_s.strip.empty? }
        usual = @shelf.usual.call(given)
        check = Refusal::Check.new
        values = @shelf.fields.to_h do |name, field|
          value = check.gather { field.read(given[name] || usual[name] || field.initial, unit: @unit) }
          field.limit&.check(check, field.path, value) unless value.nil?
          [name, value]
        end
        raise Refusal, check.faults unless check.faults.empty?

        values
      end
    end
  end
end
