# frozen_string_literal: true

# Unreadable says why a photo cannot be measured, and what to do about it.
#
#   raise Unreadable.for(:corner)

module NimbleEyelet
  module PhotoReading
    # Raised for a photo that no figure can be read from. key - Symbol of WHY
    class Unreadable < StandardError
      # What is wrong, and what helps, by key.
      WHY = {
        corner: "The photo does not show all four corners. Move your hand or step back until you see them.",
        dots: "The photo does not show enough dots of the frame. Lay the card flat, with nothing on its edge.",
        far: "The card is too small in the picture. Come nearer until it fills the picture.",
        oblique: "You held the phone too far to one side. Hold it straight above the card.",
        blurred: "The photo is not sharp. Hold still, tap the card on the screen to focus, and take it again.",
        dark: "The photo is too dark. Move to a window or switch on a lamp.",
        print: "The printer changed the size of the card. Print it again at 100 %, or type what its 100 mm line measures.",
        bent: "The card is not flat. Press it flat, then take the photo again.",
        no_button: "There is no button on the card. Lay it in the middle of the light or the dark field.",
        at_edge: "The button reaches the edge of its field. Move it to the middle.",
        unclear: "The button's outline is not clear. Try the other field, or more even light.",
        no_slot: "There is no button in a slot. Push it half way through the slot, standing on its edge.",
        across: "You held the phone beside the slot. Hold it straight above the button.",
        no_hole: "There is no buttonhole in the window. Put the test scrap under the card, with the buttonhole in the middle.",
        hole_unclear: "The stitches do not stand out. Try more light from one side, and white paper under a dark thread."
      }.freeze

      # @return [Symbol]
      attr_reader :key

      # @param key [Symbol] of WHY
      # @return [Unreadable]
      def self.for(key) = new(key)

      def initialize(key)
        @key = key
        super(WHY.fetch(key))
      end
    end
  end
end
