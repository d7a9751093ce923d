# frozen_string_literal: true

# Limit says which lengths or numbers a field takes at all, so that a slip of the finger is caught
# where it was typed. Each noun of the core has its own table, LIMITS; they are wider than anything
# that is sewn.
#
#   LIMITS = { thickness: Typing::Limit.length(0, 150, open: true) }.freeze
#   Typing::Limit.check_all(check, "button", button, LIMITS)   # notes a fault for each that is outside

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../value"

module NimbleEyelet
  module Typing
    # least, most - Length or Numeric; kind - Symbol: :length, :whole or :number
    # open - Boolean, the least itself is not allowed
    class Limit < Value.of(:least, :most, :kind, open: false)
      # @param least [Numeric] mm
      # @param most [Numeric] mm
      # @return [Limit]
      def self.length(least, most, open: false)
        new(least: Length.mm(least), most: Length.mm(most), kind: :length, open: open)
      end

      # @param range [Range<Integer>]
      # @return [Limit]
      def self.whole(range) = new(least: range.min, most: range.max, kind: :whole)

      # @param range [Range<Numeric>]
      # @return [Limit]
      def self.number(range) = new(least: range.begin, most: range.end, kind: :number)

      # @param check [Refusal::Check]
      # @param section [String] first part of the path, such as "button"
      # @param values [Struct] what the limits are for; what is left open in it is not checked
      # @param limits [Hash{Symbol => Limit}] by member of values
      # @return [Boolean] whether all are within
      def self.check_all(check, section, values, limits)
        limits.map { |name, limit| values[name].nil? || limit.check(check, "#{section}.#{name}", values[name]) }.all?
      end

      # @param value [Length, Numeric]
      # @return [Boolean]
      def hold?(value) = value <= most && (open ? value - least >= smallest : value >= least)

      # @return [Sentence]
      def allowed
        return Sentence["This takes a length of #{open ? 'more than' : 'at least'} %s and at most %s.", least, most] if kind == :length

        Sentence["This takes a #{kind == :whole ? 'whole number' : 'number'} from #{plain(least)} to #{plain(most)}."]
      end

      # Notes a fault when the value is outside.
      #
      # @param check [Refusal::Check]
      # @param field [String] path of the field
      # @param value [Length, Numeric]
      # @return [Boolean]
      def check(check, field, value)
        check.expect(field, value.is_a?(Length) ? value : plain(value), hold?(value), allowed)
      end

      private

      # A length of less is nothing that could be kept or marked.
      def smallest = kind == :length ? Length.new(Length::MICROMETRE) : 0

      def plain(number) = Wording.decimal(number.to_r, 4)
    end
  end
end
