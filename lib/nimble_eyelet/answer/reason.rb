# frozen_string_literal: true

# Reason and Caution are how every answer says why. They are values that travel with a result;
# nobody outside the core works them out again.
#
#   Reason.new(rule: "fold", says: Sentence["Half the stack, %s, is eaten by the fold.", cloth.fold])

require_relative "../value"

module NimbleEyelet
  # rule   - String, short name of the rule that spoke
  # says   - String or Sentence, one sentence for the person
  # source - String, where the rule comes from: geometry, custom of the craft, the machine, the person
  Reason = Value.of(:rule, :says, :source, source: "custom of the craft")

  # Something that can go wrong, and what to do about it.
  #
  # rule - String; says, instead - String or Sentence; instead is the way out
  Caution = Value.of(:rule, :says, :instead, instead: nil)

  # A value that was chosen, with its reasons.
  class Decision < Value.of(:value, :because, :cautions, cautions: [])
    # @param value [Object]
    # @param rule [String]
    # @param says [String, Sentence]
    # @return [Decision] with one reason
    def self.of(value, rule, says, source: "custom of the craft", cautions: [])
      new(value: value, because: [Reason.new(rule: rule, says: says, source: source)], cautions: cautions)
    end
  end
end
