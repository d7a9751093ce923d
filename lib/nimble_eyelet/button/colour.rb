# frozen_string_literal: true

# Colour is what a button in the stash is drawn in: the materials and dyes of a button box by name, or any colour that
# somebody picked.
#
#   Buttons.colour("horn").ink      # "#8c6f4a"
#   Buttons.colour("#2e7d6b").rim   # "#19453b"

require_relative "../value"

module NimbleEyelet
  module Buttons
    # ink - String, what it is drawn in; rim - String, its edge
    Colour = Value.of(:key, :name, :ink, :rim)

    COLOURS = [
      %w[shell shell #ece4d4 #a99a80], %w[horn horn #8c6f4a #4d3a22], %w[wood wood #b58a58 #6e4f2b],
      %w[slate slate #6c7480 #3a4049], %w[charcoal charcoal #37363a #121214], %w[indigo indigo #35457f #1a2450],
      ["reed", "reed green", "#7d8a55", "#48532a"], %w[madder madder #a4493c #622319], %w[brass brass #c2a24e #7a6122],
      %w[clear clear #dfe6e8 #93a3a8], %w[white white #f6f4ee #a8a59b], %w[cream cream #efe3c4 #a6946a],
      %w[grey grey #9a9da0 #55585b], %w[black black #24231f #000000], %w[brown brown #6b4a32 #3b2718],
      %w[red red #b3322c #6b1714], %w[pink pink #d893a2 #8d4c5c], %w[orange orange #cf7a33 #7f4512],
      %w[yellow yellow #dcbb45 #86701d], %w[green green #4f7b4b #27431f], %w[blue blue #4a76a8 #23446b],
      %w[purple purple #74518c #432a55]
    ].to_h { |key, name, ink, rim| [key, Colour.new(key: key, name: name, ink: ink, rim: rim)] }.freeze

    # What else people say.
    SAID = { "pearl" => "shell", "ivory" => "cream", "beige" => "cream", "natural" => "wood", "tan" => "wood",
             "silver" => "grey", "gray" => "grey", "gold" => "brass", "navy" => "indigo", "olive" => "reed", "reed green" => "reed",
             "turquoise" => "blue", "burgundy" => "madder", "rust" => "madder", "lilac" => "purple",
             "transparent" => "clear" }.freeze

    # A colour that was picked: red, green and blue by two hexadecimal digits each.
    PICKED = /\A#\h{6}\z/
    # How much darker its rim is drawn.
    RIM = 0.55

    # @param text [String] as somebody says it, or picked it
    # @return [String, nil] key of a colour, or the colour itself
    def self.colour_said(text)
      word = text.strip.downcase
      COLOURS.key?(word) || word.match?(PICKED) ? word : SAID[word]
    end

    # @param kept [String] key of a colour, or one that was picked
    # @return [Colour]
    def self.colour(kept)
      COLOURS.fetch(kept) { Colour.new(key: kept, name: kept, ink: kept, rim: darker(kept)) }
    end

    def self.darker(ink) = "##{ink.scan(/\h{2}/).map { |part| format('%02x', (part.hex * RIM).round) }.join}"
    private_class_method :darker
  end
end
