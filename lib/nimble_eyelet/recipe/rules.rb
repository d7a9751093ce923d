# frozen_string_literal: true

# Rules are the tables the recipe is read from: which style for which cloth and machine, which
# foot, needle and stabiliser. Each rule says when it applies, what it gives and why; the first
# that applies and that the machine can do wins.

require_relative "../cloth/stabiliser"
require_relative "../length/length"
require_relative "../machine/needle"
require_relative "../style/style"
require_relative "../value"

module NimbleEyelet
  module Recipes
    # What a recipe is made for. stabilisers - Array of keys of STABILISER_KINDS that are owned
    class Situation < Value.of(:button, :cloth, :thread, :machine, stabilisers: STABILISER_KINDS.keys)
      # @param style [String] key of STYLES
      # @return [Boolean] whether this machine can sew it
      def programme?(style)
        return true if style == "straight_box"
        return machine.zigzag? if HAND_MADE.include?(style)

        machine.zigzag? && machine.styles.include?(NEEDS.fetch(style, style))
      end

      def stretchy? = cloth.type.knitted || cloth.stretch >= STRETCHY
      def heavy? = cloth.type.thick || (!cloth.type.knitted && cloth.weight >= HEAVY)
      def fine? = cloth.type.fine || cloth.weight < FINE
      def thick_button? = button.shank? || button.height >= THICK_BUTTON
    end

    # Styles any machine that swings its needle can do; a straight-stitch box needs not even that.
    HAND_MADE = %w[manual_zigzag eyelet].freeze
    # Styles that are another programme with something laid under it.
    NEEDS = { "corded" => "two_tacks" }.freeze
    # What a machine may have a programme for.
    PROGRAMMES = (STYLES.keys - HAND_MADE - NEEDS.keys - %w[straight_box]).freeze
    # Percent from which a cloth counts as stretchy; g/m² from which as heavy, and below which as fine.
    STRETCHY = 15
    HEAVY = 280
    FINE = 70
    # From this height a button wants room for its shank.
    THICK_BUTTON = Length.mm(5)

    # name, field - String; applies - Proc(Situation) -> Boolean; gives - Object; says - String
    Rule = Value.of(:name, :applies, :gives, :says)

    # A rule speaks for some styles and against others. It never decides alone: points are added up, and
    # what was said for and against stays readable.
    #
    # name, asks, says - String; asks is when it speaks, in words; votes - Hash of style key to points
    StyleRule = Value.of(:name, :asks, :applies, :votes, :says)

    # Points from which a rule has a style as good as chosen or as good as ruled out.
    STRONG = 5

    STYLE_RULES = [
      StyleRule.new(name: "most wovens", asks: "always", applies: ->(_) { true }, votes: { "two_tacks" => 2, "round_end" => 1 },
                    says: "Two bar tacks hold best; the usual hole for most cloth."),
      StyleRule.new(name: "perforation", asks: "the cloth keeps needle holes", applies: ->(s) { s.cloth.type.perforates },
                    votes: { "straight_box" => 9, "two_tacks" => -6, "round_end" => -6, "two_round" => -6, "keyhole" => -6,
                             "stretch" => -6, "corded" => -6, "manual_zigzag" => -6 },
                    says: "Satin would perforate this cloth and it does not fray: two rounds of straight stitch hold."),
      StyleRule.new(name: "fraying", asks: "the cloth frays", applies: ->(s) { s.cloth.frays? }, votes: { "straight_box" => -6 },
                    says: "Cloth that frays wants its cut edge covered: straight stitch alone does not."),
      StyleRule.new(name: "uncovered edge", asks: "needle holes close again", applies: ->(s) { !s.cloth.type.perforates },
                    votes: { "straight_box" => -2 }, says: "A covered edge wears better wherever satin does no harm."),
      StyleRule.new(name: "stretch", asks: "a knit, or it stretches by 15 % or more", applies: ->(s) { s.stretchy? },
                    votes: { "stretch" => 6, "corded" => 4, "keyhole" => -2 },
                    says: "Knits stretch: an open zigzag gives with them, and a cord keeps the length."),
      StyleRule.new(name: "firm cloth", asks: "it does not stretch", applies: ->(s) { !s.stretchy? }, votes: { "stretch" => -4 },
                    says: "An open zigzag leaves the edge of firm cloth bare."),
      StyleRule.new(name: "shank room", asks: "a thick or shanked button in heavy cloth", applies: lambda { |s|
        s.thick_button? && s.heavy?
      },
                    votes: { "keyhole" => 5, "round_end" => 1 },
                    says: "A thick or shanked button in heavy cloth: the eyelet seats the shank."),
      StyleRule.new(name: "flat button", asks: "a thin button without a shank", applies: ->(s) { !s.thick_button? },
                    votes: { "keyhole" => -2 }, says: "An eyelet has nothing to seat."),
      StyleRule.new(name: "fine cloth", asks: "sheer, or lighter than 70 g/m²", applies: ->(s) { s.fine? },
                    votes: { "round_end" => 4, "two_round" => 3, "keyhole" => -4, "corded" => -3 },
                    says: "Light cloth: a round end has less bulk."),
      StyleRule.new(name: "loose weave", asks: "heavy, and it frays", applies: ->(s) { s.heavy? && s.cloth.frays? },
                    votes: { "corded" => 1 }, says: "A cord under the beads firms a heavy or loosely woven edge."),
      StyleRule.new(name: "programme", asks: "the machine has a programme", applies: ->(s) { s.machine.type.programmed },
                    votes: { "manual_zigzag" => -3 },
                    says: "A programme sews every hole alike; by hand each one is a little different."),
      StyleRule.new(name: "no programme", asks: "the machine has no programme", applies: ->(s) { !s.machine.type.programmed },
                    votes: { "manual_zigzag" => 4 },
                    says: "This machine has no buttonhole programme: narrow beads and wide tacks by hand."),
      StyleRule.new(name: "not for buttons", asks: "always", applies: ->(_) { true }, votes: { "eyelet" => -9 },
                    says: "An eyelet is for cords and removable shanks, not for a button to pass.")
    ].freeze

    # What a style gets, and why.
    #
    # speaks_for, against - Array<StyleRule>; possible - Boolean, this machine can sew it
    StyleScore = Value.of(:style, :points, :speaks_for, :against, :possible)

    # @param situation [Situation]
    # @return [Array<StyleScore>] every style, the best first
    def self.ranked(situation)
      speaking = STYLE_RULES.select { |rule| rule.applies.call(situation) }
      scores = STYLES.each_value.map { |style| score(style, speaking, situation) }
      order = STYLES.keys
      scores.sort_by { |score| [-score.points, order.index(score.style.key)] }
    end

    def self.score(style, speaking, situation)
      votes = speaking.select { |rule| rule.votes.key?(style.key) }
      up, down = votes.partition { |rule| rule.votes[style.key].positive? }
      StyleScore.new(style: style, points: votes.sum { |rule| rule.votes[style.key] }, speaks_for: up, against: down,
                     possible: situation.programme?(style.key))
    end
    private_class_method :score

    # Rules that pull one style strongly both ways; what they disagree about is shown, not hidden.
    #
    # @return [Array<Array(StyleRule, StyleRule)>]
    def self.conflicts(score)
      strong = ->(rule) { rule.votes[score.style.key].abs >= STRONG }
      score.speaks_for.select(&strong).product(score.against.select(&strong))
    end

    FOOT_RULES = [
      Rule.new(name: "straight stitch", gives: "general_zigzag_foot",
               applies: ->(_, style) { style.stitched == :straight },
               says: "Straight stitch along chalked lines: the foot you can see past."),
      Rule.new(name: "sensing", gives: "carriage_foot",
               applies: ->(s, _) { s.machine.type.senses && Recipes.clamps?(s) },
               says: "It holds the button and works with the sensing lever, so every hole comes out alike."),
      Rule.new(name: "cord", gives: "cording_foot", applies: ->(_, style) { style.corded },
               says: "Its prong holds the cord under both beads."),
      Rule.new(name: "scale", gives: "sliding_scale_foot", applies: ->(s, _) { s.machine.type.programmed },
               says: "Its frame slides with the hole and has marks to stop at."),
      Rule.new(name: "channel", gives: "grooved_satin_foot", applies: ->(*) { true },
               says: "The channel under its sole lets satin pass."),
      Rule.new(name: "whatever is there", gives: "general_zigzag_foot", applies: ->(*) { true },
               says: "The foot every zigzag machine has.")
    ].freeze

    # A carriage foot takes flat and domed buttons up to its largest.
    def self.clamps?(situation)
      largest = situation.machine.foot("carriage_foot")&.largest_button
      situation.button.form.clampable && (largest.nil? || situation.button.across <= largest)
    end

    NEEDLES = {
      "light_woven" => [Needle.new(size: 75, point: "universal"), "Light wovens: a fine universal point."],
      "heavy_woven" => [Needle.new(size: 90, point: "universal"), "Heavy wovens: a stout needle stays straight."],
      "knit" => [Needle.new(size: 80, point: "ballpoint"), "Knits: a ballpoint parts the loops instead of cutting them."],
      "sheer" => [Needle.new(size: 70, point: "fine sharp"), "Sheers: a fine sharp point leaves no pulled threads."],
      "leather" => [Needle.new(size: 90, point: "sharp"),
                    "Vinyl: a sharp point, few holes. Real leather only: a leather point."],
      "coated" => [Needle.new(size: 80, point: "sharp"), "Coated cloth: a fine sharp point leaves few and small holes."],
      "quilted" => [Needle.new(size: 90, point: "universal"), "Quilted cloth: stout enough for all its layers."],
      "pile" => [Needle.new(size: 90, point: "universal"), "Pile and felt: stout enough for the thickness."]
    }.freeze

    # Thread from this tex needs a larger eye.
    THICK_TEX = 60
    THICK_THREAD_NEEDLE = 100
  end
end
