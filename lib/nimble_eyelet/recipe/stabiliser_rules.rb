# frozen_string_literal: true

# STABILISER_RULES say what to lay under or inside a hole. What needs an iron or a wash the cloth does
# not take, or is not in the drawer, cannot be had, and says so.

require_relative "../cloth/stabiliser"
require_relative "ballot"

module NimbleEyelet
  module Recipes
    # What is laid with cloth that takes either, as people were taught; what the cloth itself forbids stays forbidden.
    STAY_SCHOOLS = { "fusible" => "fusible inside", "tear_away" => "tear-away under", "both" => "both" }.freeze

    # applies - Proc(Situation)
    STABILISER_RULES = [
      Rule.new(name: "always something", asks: "always", applies: ->(_) { true },
               votes: { "layer" => 1, "tear_away" => 2, "fusible_strip" => 1 },
               says: "Satin is never sewn without something to carry it."),
      Rule.new(name: "taught: a sheet under it", asks: "tear-away under, always", applies: lambda { |s|
        s.stay_by == "tear_away" && !s.fine?
      },
               votes: { "tear_away" => 9 }, says: "You lay tear-away under wherever the fabric lets you."),
      Rule.new(name: "taught: both", asks: "both, always, on firm fabric without pile",
               applies: lambda { |s|
                 s.stay_by == "both" && !s.fine? && !s.stretchy? && !s.cloth.type.nap && !s.cloth.type.perforates
               },
               votes: { "fusible_and_tear_away" => 14 }, says: "You fuse a strip inside and lay tear-away under it."),
      Rule.new(name: "tack", asks: "a bar tack", applies: ->(s) { !s.button.opens? && !s.cloth.type.nap },
               votes: { "tear_away" => 7, "paper" => 5, "fusible_strip" => -2 },
               says: "A tack is carried by the layers it holds; a sheet under it lets the feed take hold."),
      Rule.new(name: "soft weave", asks: "a woven fabric that is neither heavy nor sheer",
               applies: lambda { |s|
                 !s.stretchy? && !s.heavy? && !s.fine? && !s.cloth.type.perforates && !s.cloth.type.nap
               },
               votes: { "fusible_strip" => 6, "layer" => 1 }, says: "Light wovens tunnel without a stay inside."),
      Rule.new(name: "firm fabric", asks: "heavy, and it does not stretch", applies: lambda { |s|
        s.heavy? && !s.stretchy? && !s.cloth.type.nap
      },
               votes: { "tear_away" => 5 }, says: "Heavy, stable fabric carries its own satin; only the feed needs help."),
      Rule.new(name: "stretch", asks: "a knit, or it stretches", applies: lambda(&:stretchy?),
               votes: { "knit_fusible" => 7, "fusible_strip" => -3, "woven_strip" => 2, "layer" => -3,
                        "tear_away" => 2 },
               says: "A knit stay keeps the direction that must not grow and moves with the rest."),
      Rule.new(name: "sheer", asks: "sheer, or lighter than 70 g/m²", applies: lambda(&:fine?),
               votes: { "wash_away" => 7, "organza" => 6, "fusible_strip" => -6, "tear_away" => -1, "layer" => -2 },
               says: "Nothing may show through afterwards, and sheer fabric puckers by itself."),
      Rule.new(name: "holes stay", asks: "needle holes stay", applies: ->(s) { s.cloth.type.perforates },
               votes: { "tear_away" => 4, "paper" => 4, "layer" => -2, "wash_away" => -3, "tear_away_film" => -3 },
               says: "No iron, no pins and no water near it: a sheet under it, held with clips."),
      Rule.new(name: "pile", asks: "nap or pile", applies: ->(s) { s.cloth.type.nap },
               votes: { "tear_away_film" => 8, "tear_away" => 3, "fusible_strip" => -4, "paper" => 2 },
               says: "A film keeps stitches from sinking into the pile.")
    ].freeze

    # @param situation [Situation]
    # @return [Array<Score>] every stabiliser, the best first
    def self.stabilisers_ranked(situation)
      Ballot.rank(STABILISERS, STABILISER_RULES, situation) do |option|
        option.obstacle(situation.cloth, situation.stabilisers)
      end
    end
  end
end
