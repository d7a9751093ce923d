# frozen_string_literal: true

# Sentence is a sentence with figures in it that is written out only when somebody reads it, so that
# one answer serves people with metric rulers and people with inch rulers alike.
#
#   Sentence["Ease of %s lets a hand push it through.", Length.mm(0.5)].in(:mm)

require_relative "../length/length"
require_relative "../length/tool"
require_relative "../length/wording"
require_relative "../value"

module NimbleEyelet
  # template - String with a %s for each figure; figures - Array of Length, ToolLength or anything with to_s
  class Sentence < Value.of(:template, :figures)
    def self.[](template, *figures) = new(template: template, figures: figures)

    # @param sentences [Array<Sentence>]
    # @return [Sentence] all of them, one after the other
    def self.list(sentences) = Sentence[(["%s"] * sentences.size).join(" "), *sentences]

    # @param text [String, Sentence, Length, ToolLength, Object]
    # @param unit [Symbol] :mm, :cm or :in
    # @return [String]
    def self.in(text, unit)
      case text
      when Sentence, ToolLength then text.in(unit)
      when Length then Wording.by_hand(text, unit)
      else text.to_s
      end
    end

    # @param unit [Symbol]
    # @return [String] every length in that unit
    def in(unit) = format(template, *figures.map { |figure| Sentence.in(figure, unit) })

    def to_s = self.in(:mm)
  end
end
