# frozen_string_literal: true

# Value makes small immutable records: every field is named when one is made, a field left out
# without a default is an error, and two records with equal fields are equal.
#
#   class Mark < NimbleEyelet::Value.of(:position, note: nil)
#     def named? = !note.nil?
#   end
#   mark = Mark.new(position: 12)
#   mark.with(note: "collar").named?   # => true

module NimbleEyelet
  module Value
    # @param fields [Array<Symbol>] names of the fields that have to be given, in order
    # @param defaults [Hash{Symbol => Object}] fields that may be left out; a name that stands among the fields
    #   keeps its place there
    # @return [Class] to be inherited from: a frozen Struct with keyword arguments
    def self.of(*fields, **defaults)
      members = fields | defaults.keys
      raise ArgumentError, "with makes another record: no field can be called so" if members.include?(:with)

      Struct.new(*members) do
        # Written out with real keywords, since a sheet makes some hundreds of these.
        keywords = members.map { |field| defaults.key?(field) ? "#{field}: DEFAULTS[:#{field}]" : "#{field}:" }
        own = members.each_with_index.map { |field, at| "#{field}: self[#{at}]" }
        same = members.map { |field| "#{field}: #{field}" }
        const_set(:DEFAULTS, defaults.freeze)
        singleton_class.send(:alias_method, :from_fields, :new)
        class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          def self.new(#{keywords.join(', ')})           # def self.new(position:, note: DEFAULTS[:note])
            from_fields(#{members.join(', ')}).freeze    #   from_fields(position, note).freeze
          end                                            # end
          private_class_method :from_fields, :[]

          # @return [Struct] a copy with some fields changed
          def with(#{own.join(', ')})                    # def with(position: self[0], note: self[1])
            self.class.new(#{same.join(', ')})           #   self.class.new(position: position, note: note)
          end                                            # end
        RUBY
      end
    end
  end
end
