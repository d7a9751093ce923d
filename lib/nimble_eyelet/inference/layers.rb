# frozen_string_literal: true

# Layers is the advice to begin with as many layers of stabiliser as this fabric came to before: what only a second one
# ended there needs no test hole to show it again.
#
#   Layers.as_before(learned, prior, current).first.sets   # => { "recipe.stay_layers" => 2 }

require_relative "../answer/reason"
require_relative "../swatch/change"

module NimbleEyelet
  module Inference
    module Layers
      LAYERS_IN_WORDS = { 2 => "two", 3 => "three" }.freeze
      private_constant :LAYERS_IN_WORDS

      # @param learned [Swatches::Learned] from earlier closures
      # @param prior [Prior] of this one
      # @param current [Swatches::CurrentSettings]
      # @return [Array<Swatches::Change>] one, or none where as many lie there already
      def self.as_before(learned, prior, current)
        layers = learned.layers(current.set["recipe.stabiliser"], **prior.alike, stitched: prior.stitched)
        return [] unless layers && layers > current.stay_layers

        reason = Reason.new(rule: "stabiliser", says: "On this fabric fewer layers were not enough last time.", source: "your test holes")
        [Swatches::Change.new(axis: "stay", says: "Put #{LAYERS_IN_WORDS.fetch(layers)} layers of stabiliser under it, as last time.",
                              because: [reason], sets: { "recipe.stay_layers" => layers })]
      end
    end
  end
end
