# frozen_string_literal: true

# NonButton openings are for things that are no buttons: a cord, a drawstring, a ribbon, a belt, a hook
# or a ring. They come single, in pairs and in rows.
#
#   NonButton.fetch("ribbon").opening(Length.mm(10), Ruler.fetch("millimetre"))   # 12 mm

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  # What something that is no button needs beside its own size.
  SLIT_EASE = Length.mm(2)
  EYELET_EASE = Length.mm(1)

  # key, name, measured, formula - String; rule - Proc(Length) -> Length
  class NonButton < Value.of(:key, :name, :measured, :formula, :rule)
    LIMITS = { size: Typing::Limit.length(0, 200, open: true) }.freeze

    # @param size [Length] what was measured
    # @param ruler [Ruler]
    # @return [Length] opening, rounded up
    # @raise [Refusal]
    def opening(size, ruler)
      Refusal.unless_valid { |check| LIMITS.fetch(:size).check(check, "plain.size", size) }
      ruler.up(rule.call(size))
    end

    # @return [Array<Reason>]
    def because(size, ruler)
      exact = rule.call(size)
      added = opening(size, ruler) - exact
      [Reason.new(rule: name, says: Sentence["#{measured} %s makes %s.", size, exact], source: formula),
       Reason.new(rule: "rounding", says: Sentence["Rounded up by %s, to #{ruler.name}.", added], source: "your ruler")]
    end

    # @raise [KeyError]
    def self.fetch(key) = NON_BUTTONS.fetch(key)
  end

  NON_BUTTONS = [
    NonButton.new(key: "cord", name: "cord or drawstring through a slit", measured: "Thickness", formula: "πd/2 + 2 mm ease",
                  rule: ->(size) { Length.at_least(Math::PI * size.to_f / 2) + SLIT_EASE }),
    NonButton.new(key: "cord_eyelet", name: "cord or drawstring through a round eyelet", measured: "Thickness", formula: "d + 1 mm",
                  rule: ->(size) { size + EYELET_EASE }),
    NonButton.new(key: "ribbon", name: "ribbon", measured: "Width", formula: "w + 2 mm", rule: ->(size) { size + SLIT_EASE }),
    NonButton.new(key: "belt", name: "belt", measured: "Width", formula: "w + 2 mm", rule: ->(size) { size + SLIT_EASE }),
    NonButton.new(key: "hook", name: "hook or ring", measured: "Wire", formula: "wire + 2 mm", rule: ->(size) { size + SLIT_EASE })
  ].to_h { |plain| [plain.key, plain] }.freeze
end
