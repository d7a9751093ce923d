# frozen_string_literal: true

# Readings are several measurements of one thing, or one of each of several buttons of a set: their
# mean, how far they lie apart, the largest, and the odd one out.
#
#   readings = Typing::Readings.of([Length.mm(18), Length.mm(18.1), Length.mm(18.7)])
#   readings.mean      # 18.267 mm
#   readings.steady?   # false, they lie 0.7 apart
#   readings.odd       # 3

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Typing
    # Readings further apart than this are worth another look.
    SPREAD_ALLOWED = Length.mm(3r / 10)

    # count - Integer; mean, spread, smallest, largest - Length
    # odd - Integer from 1, the reading furthest from the middle one when they are not steady, else nil
    class Readings < Value.of(:count, :mean, :spread, :smallest, :largest, :odd)
      # @param lengths [Array<Length>] at least one
      # @return [Readings]
      def self.of(lengths)
        smallest, largest = lengths.minmax
        spread = largest - smallest
        new(count: lengths.size, mean: (lengths.sum(Length.zero) / lengths.size).round_to(Length.new(Length::MICROMETRE)),
            spread: spread, smallest: smallest, largest: largest, odd: spread > SPREAD_ALLOWED ? odd_one(lengths) : nil)
      end

      def steady? = spread <= SPREAD_ALLOWED

      # @return [Array<Caution>]
      def cautions
        return [] if steady?

        [Caution.new(rule: "spread", says: Sentence["The readings lie %s apart; number #{odd} is the odd one out.", spread],
                     instead: "One button: measure that one again. A set: put that button aside, or go by the largest.")]
      end

      # Two readings alone do not say which of them is off: the later one is looked at again.
      def self.odd_one(lengths)
        middle = lengths.sort[(lengths.size - 1) / 2]
        lengths.each_index.max_by { |index| [(lengths[index] - middle).abs, index] } + 1
      end
      private_class_method :odd_one
    end
  end
end
