# frozen_string_literal: true

# StepKey is what a step goes by in the journal: its name, and of a hole its place. It is spelled and read here and
# nowhere else; the keys of older journals are read as they are.
#
#   StepKey.at("sew", Length.mm(24)).to_s        # => "sew-at-24000"
#   StepKey.parse("sew-at-24000").name           # => "sew"
#   StepKey.parse("rescue-6f0c12ab-2").mishap    # => "6f0c12ab"

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Work
    # name - String; at - Length or nil, place of its hole; mishap - String or nil, beginning of the id of what it is
    #   the way out of
    # number - Integer or nil: of the step within a way out; of the hole, in the journals of the first version
    class StepKey < Value.of(:name, at: nil, mishap: nil, number: nil)
      RESCUE = "rescue"
      PUT_BACK = "back-"
      # Enough of an id to know a mishap by.
      SHORT = 8
      # Where the browser puts the id of a mishap that it is just told about.
      ID_TO_COME = "{id}"

      AT = /\A(?<name>[a-z_-]+)-at-(?<at>-?\d+)\z/
      WAY_OUT = /\A#{RESCUE}-(?<mishap>\h{#{SHORT}}|#{Regexp.escape(ID_TO_COME)})-(?<number>\d+)\z/
      NUMBERED = /\A(?<name>sew|place|reset|open|button)-(?<number>\d+)\z/

      # @param name [String]
      # @param place [Length] of a hole, from the top edge
      # @return [StepKey]
      def self.at(name, place) = new(name: name, at: place)

      # @param id [String] of the fact that something went wrong
      # @param number [Integer] from one
      def self.rescue(id, number) = new(name: RESCUE, mishap: id[0, SHORT], number: number)

      # @param part [MachinePart]
      def self.back(part) = new(name: "#{PUT_BACK}#{part.key}")

      # @param text [String]
      # @return [StepKey]
      def self.parse(text)
        if (found = text.match(AT)) then new(name: found[:name], at: Length.new(Rational(found[:at].to_i, 1000)))
        elsif (found = text.match(WAY_OUT)) then new(name: RESCUE, mishap: found[:mishap], number: found[:number].to_i)
        elsif (found = text.match(NUMBERED)) then new(name: found[:name], number: found[:number].to_i)
        else new(name: text)
        end
      end

      # @return [String]
      def to_s
        return "#{name}-at-#{(at.millimetres * 1000).round}" if at
        return "#{name}-#{mishap}-#{number}" if mishap

        number ? "#{name}-#{number}" : name
      end

      # @return [Boolean] whether it puts a part of the machine back
      def back? = name.start_with?(PUT_BACK)

      # @param id [String] of a fact
      # @return [Boolean] whether it is part of the way out of it
      def out_of?(id) = mishap == id[0, SHORT]

      # @return [Boolean] of the first version, which knew a hole by its number
      def numbered? = mishap.nil? && !number.nil?
    end
  end
end
