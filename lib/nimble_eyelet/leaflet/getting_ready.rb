# frozen_string_literal: true

# GettingReady is what to know before the first mark: what lets water in, and what is washed, soaked or left alone
# first.
#
#   GettingReady.of(sheet).first   # => "Wash the fabric first, as the garment will be washed. It may shrink."

module NimbleEyelet
  module GettingReady
    WATER = "Every needle hole lets water in. Put the holes under a flap, or seal them from the back."
    WASH = "Wash the fabric first, as the garment will be washed. It may shrink."
    SOAK = "Soak the fusible interfacing in hand-warm water and dry it flat. Never machine-wash it."
    KEEP_DRY = "Keep wash-away dry until the holes are sewn."
    STEAM_FIRST = "Steam the fabric before you mark. It is not washed."
    CORD = "Wash a cotton cord with the fabric."

    # @param sheet [Sheet]
    # @return [Array<String>] in the order they are done
    def self.of(sheet)
      cloth = sheet.plan.cloth
      stay = sheet.recipe.stay
      [(WATER if cloth.type.proof), shrunk(cloth), (CORD if sheet.recipe.cord.value && cloth.washed?),
       (SOAK if stay&.heat && cloth.washed?), (KEEP_DRY if stay&.wash)].compact
    end

    # Pile is marked by steam, and leather and film are harmed.
    def self.shrunk(cloth)
      return WASH if cloth.washed?

      STEAM_FIRST if cloth.iron? && !cloth.type.nap && !cloth.type.perforates
    end
    private_class_method :shrunk
  end
end
