# frozen_string_literal: true

# ClothFeel works out what nobody knows about a cloth from what anybody can measure: a square on kitchen
# scales, a folded stack under a ruler, a marked stretch pulled.
#
#   ClothFeel.weight(grams: 1.2r, side: Length.mm(100))                     # 120 g/m²
#   ClothFeel.thickness(folded: Length.mm(4), layers: 8)                    # 0.5 mm
#   ClothFeel.stretch(marked: Length.mm(100), pulled: Length.mm(125))       # 25 %

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"

module NimbleEyelet
  module ClothFeel
    # @param grams [Rational] of a square
    # @param side [Length]
    # @return [Integer] g/m²
    # @raise [Refusal]
    def self.weight(grams:, side:)
      sound("feel.grams", grams.to_s, grams.positive? && grams <= 500, "Some grams, at most 500.")
      sound("feel.side", side, side.between?(Length.mm(20), Length.mm(1000)),
            Sentence["From %s to %s.", Length.mm(20), Length.mm(1000)])
      (grams * 1_000_000 / (side.millimetres**2)).round
    end

    # @param folded [Length] pressed flat, not squeezed
    # @param layers [Integer]
    # @return [Length] of one layer, to the hundredth
    # @raise [Refusal]
    def self.thickness(folded:, layers:)
      sound("feel.layers", layers, (2..64).cover?(layers), "Fold it to 2 to 64 layers.")
      sound("feel.folded", folded, folded.positive? && folded <= Length.mm(200),
            Sentence["More than nothing, at most %s.", Length.mm(200)])
      (folded / layers).round_to(Length.mm(1r / 100))
    end

    # @param marked [Length] two marks apart, at rest
    # @param pulled [Length] as far as it goes without force
    # @return [Integer] percent
    # @raise [Refusal]
    def self.stretch(marked:, pulled:)
      sound("feel.marked", marked, marked >= Length.mm(20), Sentence["At least %s apart.", Length.mm(20)])
      sound("feel.pulled", pulled, pulled.between?(marked, marked * 3), "From where it was to three times that.")
      (((pulled / marked) - 1) * 100).round
    end

    def self.sound(field, given, holds, allowed)
      Refusal.unless_valid { |check| check.expect(field, given, holds, allowed) }
    end
    private_class_method :sound
  end
end
