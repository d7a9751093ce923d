# frozen_string_literal: true

# Reason and Caution are how every answer says why. They are values that travel with a result;
# nobody outside the core works them out again.
#
#   Reason.new(rule: "fold", says: Sentence["Half the stack, %s, is eaten by the fold.", cloth.fold])

require_relative "../value"

module NimbleEyelet
  # rule   - String, short name of the rule that spoke
  # says   - String or Sentence, one sentence for the person
  # kind   - Symbol: :craft, what people who do this work do; :yours, what the person set; :worked_out
  # source - String, where the rule comes from, in words
  class Reason < Value.of(:rule, :says, kind: :craft, source: "")
    SOURCES = { craft: "custom of the craft", yours: "your own setting", worked_out: "" }.freeze

    # @return [String] the formula, the machine or the person it comes from
    def from = source.empty? ? SOURCES.fetch(kind) : source
  end

  # Something that can go wrong, and what to do about it.
  #
  # rule - String; says, instead - String or Sentence; instead is the way out
  Caution = Value.of(:rule, :says, instead: nil)

  # A value that was chosen, with its reasons.
  class Decision < Value.of(:value, :because, cautions: [])
    # @param value [Object]
    # @param rule [String]
    # @param says [String, Sentence]
    # @return [Decision] with one reason
    def self.of(value, rule, says, kind: :craft, source: "", cautions: [])
      new(value: value, because: [Reason.new(rule: rule, says: says, kind: source.empty? ? kind : :worked_out,
                                             source: source)],
          cautions: cautions)
    end
  end
end
