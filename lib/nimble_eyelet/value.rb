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
      Struct.new(*fields) do
        # Written out with real keywords, since a sheet makes some hundreds of these.
        keywords = fields.map { |field| defaults.key?(field) ? "#{field}: DEFAULTS[:#{field}]" : "#{field}:" }
        const_set(:DEFAULTS, defaults.freeze)
        singleton_class.send(:alias_method, :from_fields, :new)
        class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          def self.new(#{keywords.join(', ')})           # def self.new(position:, note: DEFAULTS[:note])
            from_fields(#{fields.join(', ')}).freeze     #   from_fields(position, note).freeze
          end                                            # end
          private_class_method :from_fields, :[]
        RUBY

        # @return [Struct] a copy with some fields changed
        def with(**changes) = self.class.new(**to_h, **changes)

        class_eval(&body) if body
      end
    end
  end
end
