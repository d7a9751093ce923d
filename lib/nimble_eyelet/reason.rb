# frozen_string_literal: true

# Reason and Caution are how every answer says why. They are values that travel with a result;
# nobody outside the core works them out again.
#
#   Reason.new(rule: "fold", says: Said["Half the stack, %s, is eaten by the fold.", cloth.fold])

require_relative "said"

module NimbleEyelet
  # rule   - String, short name of the rule that spoke
  # says   - String or Said, one sentence for the person
  # source - String, where the rule comes from: geometry, custom of the craft, the machine, the person
  Reason = Value.define(:rule, :says, :source, source: "custom of the craft")

  # Something that can go wrong, and what to do about it.
  #
  # rule - String; says, instead - String or Said; instead is the way out
  Caution = Value.define(:rule, :says, :instead, instead: nil)

  # A value that was chosen, with its reasons.
  Choice = Value.define(:value, :because, :cautions, cautions: []) do
    # @param value [Object]
    # @param rule [String]
    # @param says [String, Said]
    # @return [Choice] with one reason
    def self.of(value, rule, says, source: "custom of the craft", cautions: [])
      new(value: value, because: [Reason.new(rule: rule, says: says, source: source)], cautions: cautions)
    end
  end
end
