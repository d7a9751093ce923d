# frozen_string_literal: true

# Stabiliser is what is laid under or inside a hole, by cloth: the best first, then what serves when
# that is not in the drawer. The last of each list needs nothing that is not at hand.
#
#   Stabiliser.for("knit", %w[tear_away]).says   # "tear-away under the hole, and a cord"

require_relative "../value"

module NimbleEyelet
  # What a drawer may hold.
  STABILISER_KINDS = {
    "fusible_strip" => "light fusible strip", "knit_fusible" => "fusible knit interfacing", "tear_away" => "tear-away",
    "wash_away" => "wash-away", "wash_film" => "wash-away film"
  }.freeze

  # needs - Array of keys of STABILISER_KINDS; says, why - String
  class Stabiliser < Value.of(:needs, :says, :why)
    # @param cloth [String] key of CLOTH_KINDS
    # @param owned [Array<String>] keys of STABILISER_KINDS
    # @return [Stabiliser] the best that can be made of what is owned
    def self.for(cloth, owned) = STABILISERS.fetch(cloth).find { |stabiliser| (stabiliser.needs - owned).empty? }

    # @return [String] what it takes, in words
    def names = needs.map { |key| STABILISER_KINDS.fetch(key) }.join(" and ")
  end

  module StabiliserTable
    def self.row(needs, says, why) = Stabiliser.new(needs: needs, says: says, why: why)

    TEAR_AWAY = ["tear_away"].freeze
    LAYER = row([], "an extra layer of the cloth inside, grain along the run", "Cloth on cloth always works, and is always there.")
    PAPER = row([], "thin paper under the hole", "No iron and no pins near it: marks stay. Hold with clips.")
    FIRM = row(TEAR_AWAY, "tear-away or paper under the hole", "No iron and no pins near it: marks stay. Hold with clips.")
    UNDER = row(TEAR_AWAY, "tear-away under the hole", "A sheet under it keeps the hole from tunnelling.")

    BY_CLOTH = {
      "light_woven" => [row(["fusible_strip"], "fusible strip, 20 to 25 wide, grain along the run",
                            "Light wovens tunnel without a stay inside. Press, do not slide; try it on a scrap."), UNDER, LAYER],
      "heavy_woven" => [row(TEAR_AWAY, "tear-away under the hole",
                            "Heavy, stable cloth carries its own satin; only the feed needs help."), LAYER],
      "knit" => [row(["knit_fusible"], "fusible knit interfacing along the run, and a cord",
                     "It stays the direction that must not grow; the cord keeps the length of the hole."),
                 row(TEAR_AWAY, "tear-away under the hole, and a cord",
                     "The sheet keeps the feed from waving it, the cord its length."),
                 row([], "a firm strip of woven cloth inside, and a cord", "Something that does not stretch has to hold the line.")],
      "sheer" => [row(["wash_away"], "wash-away under the hole", "Nothing may show afterwards, and sheer cloth puckers by itself."),
                  LAYER],
      "coated" => [FIRM, PAPER], "leather" => [FIRM, PAPER],
      "quilted" => [row(TEAR_AWAY, "tear-away under the hole",
                        "The padding feeds unevenly by itself; a firm sheet under it does not."), LAYER],
      "pile" => [row(%w[tear_away wash_film], "tear-away under, wash-away film on top",
                     "The film keeps stitches from sinking into the pile; no hot iron."), UNDER,
                 row([], "thin paper under the hole", "It steadies the feed; stitches sink a little without a film.")]
    }.freeze
  end

  STABILISERS = StabiliserTable::BY_CLOTH
end
