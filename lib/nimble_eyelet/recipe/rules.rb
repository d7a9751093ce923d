# frozen_string_literal: true

# Rules are the tables the recipe is read from: which style for which cloth and machine, which
# foot, needle and stabiliser. Each rule says when it applies, what it gives and why; the first
# that applies and that the machine can do wins.

require_relative "style"
require_relative "cloth"
require_relative "../reason"
require_relative "../button"
require_relative "../stitch"
require_relative "../sewing/machine"

module NimbleEyelet
  module Recipes
    # What a recipe is made for.
    Situation = Value.define(:button, :cloth, :thread, :machine) do
      def programme?(style) = HAND_MADE.include?(style) || machine.styles.include?(style)
      def thick_button? = button.shank? || button.height >= THICK_BUTTON
    end

    # Styles any machine can do: one of them needs straight stitch only, one plain zigzag.
    HAND_MADE = %w[straight_box manual_zigzag].freeze
    # From this height a button wants room for its shank.
    THICK_BUTTON = Length.mm(5)

    # name - String; applies - Proc(Situation) -> Boolean; gives - Object; says - String
    Rule = Value.define(:name, :applies, :gives, :says)

    STYLE_RULES = [
      Rule.new(name: "perforation", gives: "straight_box", applies: ->(s) { s.cloth.kind == "leather" },
               says: "Satin would perforate this cloth and it does not fray: two rounds of straight stitch hold."),
      Rule.new(name: "no programme", gives: "manual_zigzag", applies: ->(s) { s.machine.kind == "plain" },
               says: "This machine has no buttonhole programme: narrow beads and wide tacks by hand."),
      Rule.new(name: "stretch", gives: "stretch", applies: ->(s) { s.cloth.kind == "knit" || s.cloth.stretch >= 15 },
               says: "Knits stretch: an open zigzag gives with them, and a cord keeps the length."),
      Rule.new(name: "shank room", gives: "keyhole",
               applies: ->(s) { s.thick_button? && %w[heavy_woven pile].include?(s.cloth.kind) },
               says: "A thick or shanked button in heavy cloth: the eyelet seats the shank."),
      Rule.new(name: "fine cloth", gives: "round_end", applies: ->(s) { s.cloth.kind == "sheer" },
               says: "Light cloth: a round end has less bulk."),
      Rule.new(name: "most wovens", gives: "two_tacks", applies: ->(_) { true },
               says: "Two bar tacks hold best; the usual hole for most cloth.")
    ].freeze

    # When the machine lacks the style that was wanted.
    NEAREST = {
      "stretch" => %w[stretch two_tacks manual_zigzag], "keyhole" => %w[keyhole two_tacks manual_zigzag],
      "round_end" => %w[round_end two_tacks manual_zigzag], "two_tacks" => %w[two_tacks manual_zigzag],
      "straight_box" => %w[straight_box], "manual_zigzag" => %w[manual_zigzag]
    }.freeze

    FOOT_RULES = [
      Rule.new(name: "straight stitch", gives: "general_zigzag_foot",
               applies: ->(s, style) { style == "straight_box" && s },
               says: "Straight stitch along chalked lines: the foot you can see past."),
      Rule.new(name: "sensing", gives: "carriage_foot",
               applies: ->(s, _) { s.machine.kind == "sensing" && Recipes.clamps?(s) },
               says: "It holds the button and works with the sensing lever, so every hole comes out alike."),
      Rule.new(name: "cord", gives: "cording_foot", applies: ->(s, style) { s && Style.fetch(style).corded },
               says: "Its prong holds the cord under both beads."),
      Rule.new(name: "scale", gives: "sliding_scale_foot", applies: ->(s, _) { s.machine.kind != "plain" },
               says: "Its frame slides with the hole and has marks to stop at."),
      Rule.new(name: "channel", gives: "grooved_satin_foot", applies: ->(s, _) { s },
               says: "The channel under its sole lets satin pass."),
      Rule.new(name: "whatever is there", gives: "general_zigzag_foot", applies: ->(s, _) { s },
               says: "The foot every zigzag machine has.")
    ].freeze

    # A carriage foot takes flat and domed buttons up to its largest.
    def self.clamps?(situation)
      largest = situation.machine.foot("carriage_foot")&.largest_button
      !%w[ball half_ball].include?(situation.button.shape) && (largest.nil? || situation.button.across <= largest)
    end

    # size - Integer, hundredths of a millimetre; point - String
    Needle = Value.define(:size, :point) do
      # @return [Length]
      def diameter = Length.mm(Rational(size, 100))

      def to_s = "#{point} #{size}"
    end

    NEEDLES = {
      "light_woven" => [Needle.new(size: 75, point: "universal"), "Light wovens: a fine universal point."],
      "heavy_woven" => [Needle.new(size: 90, point: "universal"), "Heavy wovens: a stout needle stays straight."],
      "knit" => [Needle.new(size: 80, point: "ballpoint"), "Knits: a ballpoint parts the loops instead of cutting them."],
      "sheer" => [Needle.new(size: 70, point: "fine sharp"), "Sheers: a fine sharp point leaves no pulled threads."],
      "leather" => [Needle.new(size: 90, point: "sharp"),
                    "Coated cloth and vinyl: a sharp point, few holes. Real leather only: a leather point."],
      "pile" => [Needle.new(size: 90, point: "universal"), "Pile and felt: stout enough for the thickness."]
    }.freeze

    # Thread from this tex needs a larger eye.
    THICK_TEX = 60
    THICK_THREAD_NEEDLE = 100

    STABILISERS = {
      "light_woven" => ["fusible strip, 20 to 25 wide, grain along the run",
                        "Light wovens tunnel without a stay inside. Press, do not slide; try it on a scrap."],
      "heavy_woven" => ["tear-away under the hole", "Heavy, stable cloth carries its own satin; only the feed needs help."],
      "knit" => ["fusible knit interfacing along the run, and a cord",
                 "It stays the direction that must not grow; the cord keeps the length of the hole."],
      "sheer" => ["wash-away under the hole", "Nothing may show afterwards, and sheer cloth puckers by itself."],
      "leather" => ["tear-away or paper under the hole", "No iron and no pins near it: marks stay. Hold with clips."],
      "pile" => ["tear-away under, wash-away film on top", "The film keeps stitches from sinking into the pile; no hot iron."]
    }.freeze
  end
end
