# frozen_string_literal: true

# NEEDLE_RULES say which point suits a cloth; its size follows from the weight of the cloth, within
# what the thread needs.

require_relative "../value"
require_relative "ballot"

module NimbleEyelet
  module Recipes
    NeedlePoint = Value.of(:key, :name)

    POINTS = ["universal", "ballpoint", "stretch", "fine sharp", "denim", "leather"]
             .to_h { |name| [name, NeedlePoint.new(key: name, name: name)] }.freeze

    NEEDLE_RULES = [
      Rule.new(name: "most fabric", asks: "always", applies: ->(_) { true }, votes: { "universal" => 3 },
               says: "A universal point suits most fabric."),
      Rule.new(name: "loops", asks: "a knit, or it stretches", applies: lambda(&:stretchy?),
               votes: { "ballpoint" => 6, "stretch" => 4, "fine sharp" => -6, "denim" => -4 },
               says: "A ballpoint parts the loops instead of cutting them."),
      Rule.new(name: "much stretch", asks: "it stretches by 30 % or more", applies: lambda { |s|
        s.cloth.stretch >= 30
      }, votes: { "stretch" => 3 },
               says: "A stretch needle does not skip where the fabric gives a lot."),
      Rule.new(name: "fine fabric", asks: "sheer, or lighter than 70 g/m²", applies: lambda(&:fine?), votes: { "fine sharp" => 5 },
               says: "A fine sharp point leaves no pulled threads."),
      Rule.new(name: "film", asks: "needle holes stay", applies: ->(s) { s.cloth.type.perforates }, votes: { "fine sharp" => 6 },
               says: "A fine sharp point leaves few and small holes."),
      Rule.new(name: "real leather", asks: "leather", applies: ->(s) { s.cloth.type.hide }, votes: { "leather" => 9 },
               says: "Leather is cut by its needle; only real leather takes a leather point."),
      Rule.new(name: "no hide", asks: "not leather", applies: ->(s) { !s.cloth.type.hide }, votes: { "leather" => -9 },
               says: "A leather point cuts fabric."),
      Rule.new(name: "dense and heavy", asks: "a heavy woven of 300 g/m² or more",
               applies: ->(s) { s.heavy? && !s.stretchy? && !s.cloth.type.nap && s.cloth.weight >= 300 },
               votes: { "denim" => 5 },
               says: "A stiff denim needle stays straight in a dense, heavy weave.")
    ].freeze

    # Needle size from these weights of cloth on, g/m².
    SIZES_BY_WEIGHT = { 0 => 65, 70 => 75, 150 => 80, 250 => 90, 350 => 100 }.freeze
    # Sizes a thread up to this tex goes through.
    SIZES_BY_TEX = { 20 => 65..75, 35 => 75..90, 50 => 90..100, Float::INFINITY => 100..110 }.freeze
    # From this much over what the cloth wants, the thread is too thick for it.
    MUCH_LARGER = 15

    # @param situation [Situation]
    # @return [Array<Score>] every point, the best first
    def self.points_ranked(situation) = Ballot.rank(POINTS, NEEDLE_RULES, situation)

    # @return [Array(Integer, Range)] the size this cloth wants, and those this thread goes through
    def self.needle_sizes(situation)
      [SIZES_BY_WEIGHT.select { |weight, _| situation.cloth.weight >= weight }.values.last,
       SIZES_BY_TEX.find { |tex, _| situation.thread.tex <= tex }.last]
    end
  end
end
