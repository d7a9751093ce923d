# frozen_string_literal: true

# Said is a sentence with figures in it that is written out only when somebody reads it, so that
# one answer serves people with metric rulers and people with inch rulers alike.
#
#   Said["Ease of %s lets a hand push it through.", Length.mm(0.5)].in(:mm)

require_relative "value"
require_relative "measure/wording"

module NimbleEyelet
  # template - String with a %s for each figure; figures - Array of Length or anything with to_s
  Said = Value.define(:template, :figures) do
    def self.[](template, *figures) = new(template: template, figures: figures)

    # @param sentences [Array<Said>]
    # @return [Said] all of them, one after the other
    def self.list(sentences) = Said[(["%s"] * sentences.size).join(" "), *sentences]

    # @param text [String, Said, Length, Object]
    # @param unit [Symbol] :mm, :cm or :in
    # @return [String]
    def self.in(text, unit)
      case text
      when Said then text.in(unit)
      when Length then Measure::Wording.of(text, unit)
      else text.to_s
      end
    end

    # @param unit [Symbol]
    # @return [String] every length in that unit
    def in(unit) = format(template, *figures.map { |figure| Said.in(figure, unit) })

    def to_s = self.in(:mm)
  end
end
