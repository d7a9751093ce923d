# frozen_string_literal: true

# PlainValue writes lengths, numbers and words as JSON can hold them, and reads them back: a length is
# { "mm" => "18.5" }, all else is text.
#
#   PlainValue.load(PlainValue.dump(Length.mm(18.5)))   # 18.5 mm

require_relative "../../lib/nimble_eyelet"
require_relative "field"

module NimbleEyelet
  module PlainValue
    # @param value [Length, String, nil]
    # @return [Hash, String, nil]
    def self.dump(value) = value.is_a?(Length) ? { "mm" => Field.decimal(value) } : value&.to_s

    # @param dumped [Hash, String, nil]
    # @return [Length, String, nil]
    def self.load(dumped) = dumped.respond_to?(:to_hash) ? Length.new(dumped.to_hash.fetch("mm").to_r) : dumped&.to_s

    def self.dump_all(values) = values.transform_values { |value| dump(value) }
    def self.load_all(values) = values.to_h.transform_values { |value| load(value) }
  end
end
