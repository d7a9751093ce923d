# frozen_string_literal: true

# ButtonPattern is how the stitches of a four-hole button lie.
#
#   Stitches::BUTTON_PATTERNS.fetch("cross").swings   # => [:diagonal]

require_relative "../value"

module NimbleEyelet
  module Stitches
    # swings - Array of :straight and :diagonal, each wants a width of its own, in the order they are sewn: from hole to
    #   hole along a side, or to the opposite hole, spacing × √2; turned - Boolean, the work is turned between pairs
    ButtonPattern = Value.of(:key, :name, :how, swings: %i[straight].freeze, turned: true)

    BUTTON_PATTERNS = [
      ButtonPattern.new(key: "two_bars", name: "two parallel bars", turned: false,
                        how: "Sew the near pair, lift the needle, move the button, sew the far pair."),
      ButtonPattern.new(key: "cross", name: "a cross", swings: %i[diagonal].freeze,
                        how: "Turn it 45° for each diagonal."),
      ButtonPattern.new(key: "square", name: "a square",
                        how: "Sew the near and the far pair, turn the work a quarter, and sew the two sides."),
      ButtonPattern.new(key: "arrow", name: "an arrow", swings: %i[straight diagonal].freeze,
                        how: "Sew from one hole to each of the others: both sides first, the diagonal last. Turn the work for each, and set the width back after it.")
    ].to_h { |pattern| [pattern.key, pattern] }.freeze
  end
end
