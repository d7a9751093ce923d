# frozen_string_literal: true

# ButtonPattern is how the stitches of a four-hole button lie.
#
#   Stitches::BUTTON_PATTERNS.fetch("cross").diagonal   # => true

require_relative "../value"

module NimbleEyelet
  module Stitches
    # diagonal - Boolean, the needle swings between opposite holes: spacing × √2; turned - Boolean, the work is turned between pairs
    ButtonPattern = Value.of(:key, :name, :how, diagonal: false, turned: true)

    BUTTON_PATTERNS = [
      ButtonPattern.new(key: "two_bars", name: "two parallel bars", turned: false,
                        how: "Sew the near pair, lift the needle, move the button, sew the far pair."),
      ButtonPattern.new(key: "cross", name: "a cross", diagonal: true,
                        how: "Turn the work 45° so that the needle swings along a diagonal, sew, turn, and sew the other."),
      ButtonPattern.new(key: "square", name: "a square",
                        how: "Sew the near and the far pair, turn the work a quarter, and sew the two sides."),
      ButtonPattern.new(key: "arrow", name: "an arrow", diagonal: true,
                        how: "From one hole to each of the others: turn the work for each, and set the width for the diagonal.")
    ].to_h { |pattern| [pattern.key, pattern] }.freeze
  end
end
