# frozen_string_literal: true

# STYLE_RULES say which style of hole suits a button, a cloth and a machine, with points for and against.

require_relative "../style/style"
require_relative "ballot"

module NimbleEyelet
  module Recipes
    STYLE_RULES = [
      Rule.new(name: "tack", asks: "a bar tack", applies: ->(s) { !s.button.opens? },
               votes: { "bar_tack" => 4, "zigzag_tack" => 1 },
               says: "Straight stitches the long way, and zigzag over them: a programme sews every one alike."),
      Rule.new(name: "most wovens", asks: "always", applies: ->(_) { true }, votes: { "two_tacks" => 2, "round_end" => 1 },
               says: "Two bar tacks hold best; the usual hole for most fabric."),
      Rule.new(name: "perforation", asks: "the fabric keeps needle holes", applies: ->(s) { s.cloth.type.perforates },
               votes: { "straight_box" => 9, "two_tacks" => -6, "round_end" => -6, "two_round" => -6, "keyhole" => -6,
                        "stretch" => -6, "corded" => -6, "manual_zigzag" => -6, "straight_tack" => 9, "bar_tack" => -6,
                        "zigzag_tack" => -6 },
               says: "Satin would perforate this fabric and it does not fray: two rounds of straight stitch hold."),
      Rule.new(name: "fraying", asks: "the fabric frays", applies: ->(s) { s.cloth.frays? }, votes: { "straight_box" => -6 },
               says: "Fabric that frays wants its cut edge covered: straight stitch alone does not."),
      Rule.new(name: "uncovered edge", asks: "needle holes close again", applies: ->(s) { !s.cloth.type.perforates },
               votes: { "straight_box" => -2 }, says: "A covered edge wears better wherever satin does no harm."),
      Rule.new(name: "stretch", asks: "a knit, or it stretches by 15 % or more", applies: lambda(&:stretchy?),
               votes: { "stretch" => 6, "corded" => 4, "keyhole" => -2 },
               says: "Knits stretch: an open zigzag gives with them, and a cord keeps the length."),
      Rule.new(name: "firm fabric", asks: "it does not stretch", applies: ->(s) { !s.stretchy? }, votes: { "stretch" => -4 },
               says: "An open zigzag leaves the edge of firm fabric bare."),
      Rule.new(name: "shank room", asks: "a thick or shanked button in heavy fabric", applies: lambda { |s|
        (s.thick_button? || s.thread_shank?) && s.heavy?
      },
               votes: { "keyhole" => 5, "round_end" => 1 },
               says: "A thick or shanked button in heavy fabric: the eyelet seats the shank."),
      Rule.new(name: "flat button", asks: "a thin button without a shank", applies: ->(s) { s.button.fastens? && !s.thick_button? && !s.thread_shank? },
               votes: { "keyhole" => -2 }, says: "An eyelet has nothing to seat."),
      Rule.new(name: "fine fabric", asks: "sheer, or lighter than 70 g/m²", applies: lambda(&:fine?),
               votes: { "round_end" => 4, "two_round" => 3, "keyhole" => -4, "corded" => -3 },
               says: "Light fabric: a round end has less bulk."),
      Rule.new(name: "loose weave", asks: "heavy, and it frays", applies: ->(s) { s.heavy? && s.cloth.frays? },
               votes: { "corded" => 1 }, says: "A cord under the sides firms a heavy or loosely woven edge."),
      Rule.new(name: "programme", asks: "the machine has a programme", applies: ->(s) { s.machine.type.programmed },
               votes: { "manual_zigzag" => -3 },
               says: "A programme sews every hole alike; by hand each one is a little different."),
      Rule.new(name: "no programme", asks: "the machine has no programme", applies: ->(s) { !s.machine.type.programmed },
               votes: { "manual_zigzag" => 4 },
               says: "This machine has no buttonhole programme: narrow sides and wide ends by hand."),
      Rule.new(name: "not for buttons", asks: "a button", applies: ->(s) { s.button.fastens? }, votes: { "eyelet" => -9 },
               says: "An eyelet is for cords and removable shanks, not for a button to pass."),
      Rule.new(name: "for a cord", asks: "a cord or drawstring", applies: lambda(&:cord?), votes: { "eyelet" => 4 },
               says: "A cord runs best through a round hole that stays open."),
      Rule.new(name: "no shank", asks: "not a button", applies: ->(s) { !s.button.fastens? },
               votes: { "keyhole" => -6, "round_end" => -2, "corded" => -2 },
               says: "Nothing seats in an eye or a round end here: two firm bar tacks take the pull from both sides."),
      Rule.new(name: "flat band", asks: "a ribbon, strap, hook or ring", applies: ->(s) { !s.button.fastens? && !s.cord? },
               votes: { "eyelet" => -9 }, says: "A band or a wire wants a slit, not a round hole.")
    ].freeze

    # @param situation [Situation]
    # @return [Array<Score>] every style, the best first
    def self.ranked(situation)
      Ballot.rank(STYLES.select do |_, style|
        style.opens == situation.button.opens?
      end, STYLE_RULES, situation) do |style|
        "#{situation.machine.name} has no programme for it." unless situation.programme?(style.key)
      end
    end
  end
end
