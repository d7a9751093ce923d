# frozen_string_literal: true

# Fasteners are what closes without any hole: press studs, a hook and bar, hook-and-loop squares; and the ribbon that
# makes a hole in a knitted band hold.
#
#   Fasteners::PressStud.beats(given, {}).size   # => 3

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "way"

module NimbleEyelet
  module Otherways
    module Fasteners
      module PressStud
        def self.figures(_given) = { "square" => Length.mm(20) }
        def self.once(*) = ["Try one on a scrap of the same layers and pull hard."]

        def self.beats(_given, figures)
          [Sentence["Lay a %s square of fabric behind both marks.", figures["square"]],
           "Put the ball half on the upper side, at the mark.",
           "Close the edge, press, and put the socket half where it marks."]
        end

        def self.supplies(given, _figures)
          [WaySupply.new(name: "press studs", count: given.count),
           WaySupply.new(name: "squares of fabric behind them, 20 mm", count: given.count * 2)]
        end
      end

      module HookAndBar
        def self.figures(_given) = { "back" => Length.mm(3) }
        def self.once(*) = []

        def self.beats(_given, figures)
          [Sentence["Sew the hook under the upper side, %s back from the edge.", figures["back"]],
           "Close it and mark where the hook lies.", "Sew the bar there, through all layers but the outer one."]
        end

        def self.supplies(given, _figures) = [WaySupply.new(name: "hooks and bars", count: given.count)]
      end

      module HookAndLoop
        def self.figures(_given) = { "square" => Length.mm(20) }
        def self.once(*) = ["The buttons stay on the outside, for show."]

        def self.beats(_given, figures)
          [Sentence["Sew a %s hook square on the under side.", figures["square"]],
           Sentence["Sew a %s loop square behind the button; the soft half faces the skin.", figures["square"]]]
        end

        def self.supplies(given, _figures) = [WaySupply.new(name: "pairs of hook-and-loop squares, 20 mm", count: given.count)]
      end

      # The holes are sewn through it by machine, as always.
      module Ribbon
        def self.figures(given) = { "ribbon" => given.edge + Length.mm(30) }

        def self.once(_given, figures)
          ["Wash the ribbon first: it shrinks.",
           Sentence["Cut %s of ribbon for each band. Ease the knit onto it; never stretch it.", figures["ribbon"]],
           "Sew both long edges of the ribbon down by hand."]
        end

        def self.beats(*) = ["Sew each hole through knit and ribbon, and cut both."]

        def self.supplies(_given, figures) = [WaySupply.new(name: "grosgrain ribbon, for both bands", length: figures["ribbon"] * 2)]
      end
    end
  end
end
