# frozen_string_literal: true

# Colour is what a button in the stash is drawn in: the materials and dyes of a button box, by name.
#
#   Buttons::COLOURS.fetch("horn").ink   # "#8c6f4a"

require_relative "../value"

module NimbleEyelet
  module Buttons
    # ink - String, what it is drawn in; rim - String, its edge
    Colour = Value.of(:key, :name, :ink, :rim)

    COLOURS = [
      %w[shell shell #ece4d4 #a99a80], %w[horn horn #8c6f4a #4d3a22], %w[wood wood #b58a58 #6e4f2b],
      %w[slate slate #6c7480 #3a4049], %w[charcoal charcoal #37363a #121214], %w[indigo indigo #35457f #1a2450],
      ["reed", "reed green", "#7d8a55", "#48532a"], %w[madder madder #a4493c #622319], %w[brass brass #c2a24e #7a6122],
      %w[clear clear #dfe6e8 #93a3a8]
    ].to_h { |key, name, ink, rim| [key, Colour.new(key: key, name: name, ink: ink, rim: rim)] }.freeze
  end
end
