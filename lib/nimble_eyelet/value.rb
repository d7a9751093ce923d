# frozen_string_literal: true

# Value makes small immutable records: every field is named when one is made, a field left out
# without a default is an error, and two records with equal fields are equal.
#
#   Mark = NimbleEyelet::Value.define(:position, :note, note: nil)
#   mark = Mark.new(position: 12)
#   mark.with(note: "collar").position   # => 12

module NimbleEyelet
  module Value
    # @param fields [Array<Symbol>] names of the fields, in order
    # @param defaults [Hash{Symbol => Object}] fields that may be left out
    # @yield body of the class, for methods
    # @return [Class] a frozen Struct with keyword arguments
    def self.define(*fields, **defaults, &body)
      Struct.new(*fields, keyword_init: true) do
        define_method(:initialize) do |**given|
          missing = fields - given.keys - defaults.keys
          raise ArgumentError, "missing #{missing.join(', ')}" unless missing.empty?

          super(**defaults, **given)
          freeze
        end

        # @return [Struct] a copy with some fields changed
        def with(**changes) = self.class.new(**to_h, **changes)

        class_eval(&body) if body
      end
    end
  end
end
