# frozen_string_literal: true

# Stabiliser is the table of what can be laid under or inside a hole: what it needs from the drawer,
# whether it takes an iron or a wash, and how much of the cloth's stretch it leaves. Those that need
# nothing are always at hand.
#
#   STABILISERS.fetch("knit_fusible").stretch_left   # => 1/2

require_relative "../value"

module NimbleEyelet
  # What a drawer may hold.
  STABILISER_KINDS = {
    "fusible_strip" => "light fusible strip", "knit_fusible" => "fusible knit interfacing", "tear_away" => "tear-away",
    "wash_away" => "wash-away", "wash_film" => "wash-away film"
  }.freeze

  # needs - Array of keys of STABILISER_KINDS; says, why - String
  # heat - Boolean, goes on with an iron; wash - Boolean, comes out in the wash; inside - Boolean, stays in the garment
  # torn, film - Boolean, torn away or trimmed off after the row
  # stretch_left - Rational, share of the cloth's stretch that a slit still has
  class Stabiliser < Value.of(:key, :says, :why, needs: [], heat: false, wash: false, inside: false, torn: false,
                              film: false,
                                                 stretch_left: 1r)
    # @return [Boolean] whether nothing is left of it that could hold a button
    def goes? = !inside

    # @return [String] what it takes, in words
    def names = needs.map { |key| STABILISER_KINDS.fetch(key) }.join(" and ")

    # @param words [String] what lies under a hole
    # @param layers [Integer] from one to three
    # @return [String]
    def self.layered(words, layers) = layers > 1 ? "#{words}, #{{ 2 => 'two', 3 => 'three' }.fetch(layers)} layers" : words

    # @param laid [String] a key of STABILISERS, or a person's own words
    # @return [String] in words
    def self.called(laid) = STABILISERS[laid]&.says || laid

    # Why it cannot be had for this cloth.
    #
    # @param cloth [Cloth]
    # @param owned [Array<String>] keys of STABILISER_KINDS
    # @return [String, nil]
    def obstacle(cloth, owned)
      return "No hot iron on this fabric." if heat && !cloth.iron?
      return "This fabric is not washed, so it would stay in." if wash && !cloth.washed?

      return unless (needs - owned).any?

      "There is none in the drawer: #{(needs - owned).map do |key|
        STABILISER_KINDS.fetch(key)
      end.join(' and ')}."
    end
  end

  STABILISERS = [
    Stabiliser.new(key: "fusible_strip", needs: %w[fusible_strip], heat: true, inside: true, stretch_left: 0r,
                   says: "fusible strip inside, firm direction along the hole",
                   why: "Fused, it keeps soft cloth from tunnelling. Press, do not slide; try it on a scrap."),
    Stabiliser.new(key: "knit_fusible", needs: %w[knit_fusible], heat: true, inside: true, stretch_left: 1r / 2,
                   says: "fusible knit interfacing inside, firm direction along the hole",
                   why: "It stays the direction that must not grow and moves with the rest."),
    Stabiliser.new(key: "tear_away", needs: %w[tear_away], torn: true, says: "tear-away under the hole",
                   why: "A sheet under it steadies the feed and keeps the hole from tunnelling."),
    Stabiliser.new(key: "fusible_and_tear_away", needs: %w[fusible_strip tear_away], heat: true, inside: true, torn: true,
                   stretch_left: 0r,
                   says: "fusible strip inside, firm direction along the hole, and tear-away under it",
                   why: "The one stays in the garment, the other steadies the feed. Press, do not slide; try it on a scrap."),
    Stabiliser.new(key: "wash_away", needs: %w[wash_away], wash: true, says: "wash-away under the hole",
                   why: "Nothing of it is left to show."),
    Stabiliser.new(key: "tear_away_film", needs: %w[tear_away wash_film], wash: true, torn: true, film: true,
                   says: "tear-away under, wash-away film on top", why: "The film keeps stitches from sinking into the pile."),
    Stabiliser.new(key: "layer", inside: true, stretch_left: 0r, says: "an extra layer of the fabric inside, grain along the hole",
                   why: "Fabric on fabric always works, and is always there."),
    Stabiliser.new(key: "woven_strip", inside: true, stretch_left: 0r, says: "a firm strip of woven fabric inside",
                   why: "Something that does not stretch has to hold the line."),
    Stabiliser.new(key: "organza", inside: true, stretch_left: 0r, says: "a strip of the fabric itself, cut back to the stitches",
                   why: "Self fabric does not show through sheer fabric."),
    Stabiliser.new(key: "paper", torn: true, says: "thin paper under the hole",
                   why: "It steadies the feed and tears off. No iron and no pins near it: hold with clips.")
  ].to_h { |stabiliser| [stabiliser.key, stabiliser] }.freeze
end
