# frozen_string_literal: true

# OlderWords reads what earlier versions kept as a sentence and this one keeps as figures. What was kept is never rewritten: it is
# read so wherever it comes in, from a plan, the journal or a file.
#
#   OlderWords.figures("recipe.stabiliser" => "tear-away under the hole, and a second layer")
#   # => { "recipe.stabiliser" => "tear-away under the hole", "recipe.stay_layers" => "2" }

module NimbleEyelet
  module OlderWords
    SECOND_LAYER = /,? and a second layer\z/
    STABILISER = "recipe.stabiliser"
    LAYERS = "recipe.stay_layers"

    # @param figures [Hash{String => Object}] by path
    # @return [Hash{String => Object}]
    def self.figures(figures)
      text = figures[STABILISER]
      return figures unless text.is_a?(String) && text.match?(SECOND_LAYER)

      figures.merge(STABILISER => text.sub(SECOND_LAYER, ""), LAYERS => "2")
    end
  end
end
