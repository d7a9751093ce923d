# frozen_string_literal: true

# Stage is the table of the stages of the work, in order, with what each leans on. A stage the
# person has settled (a tied knot) remembers a fingerprint of what it was settled from; when any
# of that changes, the knot shows as stale.
#
#   Stage.fetch("opening").fingerprint(plan)   # => "5f1c…"

require "digest"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # word - String, also the name of the room; title, question - String
  # leans_on - Array<Symbol>, the parts of the plan it is worked out from
  class Stage < Value.of(:word, :title, :question, :leans_on)
    # @param plan [Plan]
    # @return [String] 64 hexadecimal digits; names of things do not count
    def fingerprint(plan)
      Digest::SHA256.hexdigest(leans_on.map { |part| Stage.canonical(plan[part]) }.join("|"))
    end

    # @return [String] "loose", "tied" or "stale"
    def state(plan)
      tied = plan.knots[word] or return "loose"

      tied == fingerprint(plan) ? "tied" : "stale"
    end

    # @raise [KeyError]
    def self.fetch(word) = STAGES.fetch(word)

    # One spelling for equal values, whatever built them.
    def self.canonical(value)
      case value
      when Struct then value.members.map { |name| Stage::NAMES.include?(name) ? "" : canonical(value[name]) }.join(",")
      when Array then "[#{value.map { |item| canonical(item) }.join(',')}]"
      when Length then value.millimetres.to_s
      when Numeric then value.to_r.to_s
      else value.to_s
      end
    end
  end

  # What a thing is called changes nothing that was worked out from it; nor does what is left on the bobbin.
  Stage::NAMES = %i[id name nickname label bobbin washed].freeze

  STAGES = [
    Stage.new(word: "button", title: "Button", question: "What is this button, and how does it pass through a slit?",
              leans_on: %i[button]),
    Stage.new(word: "opening", title: "Opening", question: "How long is the slit?", leans_on: %i[button cloth opening machine]),
    Stage.new(word: "placket", title: "Placket", question: "Where do the holes go?",
              leans_on: %i[button cloth opening run machine]),
    Stage.new(word: "recipe", title: "Recipe", question: "What to set, fit and lay under?",
              leans_on: %i[button cloth thread machine overrides stabilisers]),
    Stage.new(word: "swatch", title: "Swatch", question: "What did the test hole show?",
              leans_on: %i[button cloth opening thread machine overrides stabilisers]),
    Stage.new(word: "sewing", title: "Sewing", question: "What do the hands do next?",
              leans_on: %i[button cloth opening run thread machine overrides]),
    Stage.new(word: "attach", title: "Attach", question: "How are the buttons sewn on?",
              leans_on: %i[button cloth machine overrides attach]),
    Stage.new(word: "print", title: "Print", question: "What lies on the table?",
              leans_on: %i[button cloth opening run machine overrides])
  ].to_h { |stage| [stage.word, stage] }.freeze
end
