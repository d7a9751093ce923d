# frozen_string_literal: true

# Stage is the table of the stages of the work, in order, with what each leans on. A stage the
# person has settled (a tied knot) remembers what it was settled from; when any of that changes, it
# is stale, and can say from what to what.
#
#   Stage.fetch("opening").standing(plan).state   # => "stale"

require_relative "../length/length"
require_relative "../length/wording"
require_relative "../value"
require_relative "plan"

module NimbleEyelet
  # state - String: "loose", "tied" or "stale"; changes - Array<PlanChange> since it was settled
  StageState = Value.of(:state, changes: [])

  # word - String, also the name of the room; title, question - String
  # leans_on - Array<Symbol>, the parts of the plan it is worked out from
  class Stage < Value.of(:word, :title, :question, :leans_on)
    # What a thing is called changes nothing that was worked out from it; nor does what is left on the bobbin.
    NAMES = %i[id name nickname label bobbin washed].freeze

    # @raise [KeyError]
    def self.fetch(word) = STAGES.fetch(word)

    # What the stage leans on, by path, in plain values that can be kept and compared.
    #
    # @param plan [Plan] in its house
    # @return [Hash{String => Length, String}]
    def read(plan) = leans_on.map { |part| values(part.to_s, plan[part]) }.reduce({}, :merge)

    # @param plan [Plan] in its house
    # @return [StageState]
    def state(plan)
      settled = plan.settled[word] or return StageState.new(state: "loose")

      now = read(plan)
      changes = settled.filter_map do |path, was|
        PlanChange.new(path: path, from: was, to: now[path]) unless now[path] == was
      end
      StageState.new(state: changes.empty? ? "tied" : "stale", changes: changes)
    end

    private

    def values(part, value)
      return { part => plain(value) } unless value.is_a?(Struct)

      (value.members - NAMES).to_h { |name| ["#{part}.#{name}", plain(value[name])] }
    end

    # A length stays one; all else is one spelling for equal values.
    def plain(value)
      case value
      when Length then value
      when Struct then (value.members - NAMES).map { |name| plain(value[name]).to_s }.join(" ")
      when Array then value.map { |item| plain(item).to_s }.join(", ")
      when Numeric then Wording.decimal(value.to_r, 6)
      else value.to_s
      end
    end
  end

  STAGES = [
    Stage.new(word: "button", title: "Button", question: "What is this button, and how does it pass through a slit?",
              leans_on: %i[button]),
    Stage.new(word: "opening", title: "Opening", question: "How long is the slit?", leans_on: %i[button cloth opening machine]),
    Stage.new(word: "placket", title: "Placket", question: "Where do the holes go?",
              leans_on: %i[button cloth opening placket machine]),
    Stage.new(word: "recipe", title: "Recipe", question: "What to set, fit and lay under?",
              leans_on: %i[button cloth thread machine recipe stabilisers]),
    Stage.new(word: "swatch", title: "Swatch", question: "What did the test hole show?",
              leans_on: %i[button cloth opening thread machine recipe stabilisers]),
    Stage.new(word: "sewing", title: "Sewing", question: "What do the hands do next?",
              leans_on: %i[button cloth opening placket thread machine recipe]),
    Stage.new(word: "attach", title: "Attach", question: "How are the buttons sewn on?",
              leans_on: %i[button cloth machine recipe attach]),
    Stage.new(word: "print", title: "Print", question: "What lies on the table?",
              leans_on: %i[button cloth opening placket machine recipe])
  ].to_h { |stage| [stage.word, stage] }.freeze
end
