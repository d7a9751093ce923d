# frozen_string_literal: true

# Plain openings are for things that are no buttons: a cord, a drawstring, a ribbon, a belt, a hook
# or a ring. They come single, in pairs and in rows.
#
#   Opening::Plain.fetch("ribbon").opening(Length.mm(10), Measure::Ruler.fetch("millimetre"))   # 12 mm

require_relative "../refused"
require_relative "../measure"
require_relative "../reason"

module NimbleEyelet
  module Opening
    # What something that is no button needs beside its own size.
    PLAIN_EASE = Length.mm(2)
    EYELET_EASE = Length.mm(1)

    # key, name, measured, formula - String; rule - Proc(Length) -> Length
    Plain = Value.define(:key, :name, :measured, :formula, :rule) do
      # @param size [Length] what was measured
      # @param ruler [Measure::Ruler]
      # @return [Length] opening, rounded up
      # @raise [Refused]
      def opening(size, ruler)
        Refused.unless_sound { |check| Measure::Limits.check(check, "plain.size", size) }
        ruler.up(rule.call(size))
      end

      # @return [Array<Reason>]
      def because(size, ruler)
        exact = rule.call(size)
        added = opening(size, ruler) - exact
        [Reason.new(rule: name, says: Said["#{measured} %s makes %s.", size, exact], source: formula),
         Reason.new(rule: "rounding", says: Said["Rounded up by %s, to #{ruler.name}.", added], source: "your ruler")]
      end

      # @raise [KeyError]
      def self.fetch(key) = PLAIN.fetch(key)
    end

    PLAIN = [
      Plain.new(key: "cord", name: "cord or drawstring through a slit", measured: "Thickness", formula: "πd/2 + 2 mm ease",
                rule: ->(size) { Length.at_least(Math::PI * size.to_f / 2) + PLAIN_EASE }),
      Plain.new(key: "cord_eyelet", name: "cord or drawstring through a round eyelet", measured: "Thickness", formula: "d + 1 mm",
                rule: ->(size) { size + EYELET_EASE }),
      Plain.new(key: "ribbon", name: "ribbon", measured: "Width", formula: "w + 2 mm", rule: ->(size) { size + PLAIN_EASE }),
      Plain.new(key: "belt", name: "belt", measured: "Width", formula: "w + 2 mm", rule: ->(size) { size + PLAIN_EASE }),
      Plain.new(key: "hook", name: "hook or ring", measured: "Wire", formula: "wire + 2 mm", rule: ->(size) { size + PLAIN_EASE })
    ].to_h { |plain| [plain.key, plain] }.freeze
  end
end
