# frozen_string_literal: true

# FOOT_RULES say which foot suits a hole. Every foot is weighed, and the best that is owned is taken:
# putting one more on record can only make the advice better.

require_relative "../machine/foot"
require_relative "ballot"

module NimbleEyelet
  module Recipes
    # The foot every machine with a zigzag came with, recorded or not.
    ALWAYS_THERE = "general_zigzag_foot"

    # applies - Proc(Situation, Style)
    FOOT_RULES = [
      Rule.new(name: "always there", asks: "always", applies: ->(*) { true }, votes: { "general_zigzag_foot" => 1 },
               says: "The foot every zigzag machine has."),
      Rule.new(name: "not for holes", asks: "always", applies: ->(*) { true }, votes: { "button_foot" => -9 },
               says: "Its short toes are for buttons. Satin sticks under it."),
      Rule.new(name: "channel", asks: "satin", applies: lambda { |_, style|
        style.stitched != :straight
      }, votes: { "grooved_satin_foot" => 3 },
               says: "The channel underneath lets satin pass."),
      Rule.new(name: "straight stitch", asks: "a straight-stitch box", applies: ->(_, style) { style.stitched == :straight },
               votes: { "general_zigzag_foot" => 6, "carriage_foot" => -9, "sliding_scale_foot" => -6,
                        "cording_foot" => -4 },
               says: "Straight stitch along chalked lines: a foot you can see past, that turns on a corner."),
      Rule.new(name: "sensing", asks: "the machine senses and the foot can hold the button, or a card in its place",
               applies: lambda { |s, style|
                 s.machine.type.senses && s.clamps? && !style.by_hand && !style.round? && style.opens
               }, votes: { "carriage_foot" => 10 },
               says: "It holds the button and works with the buttonhole lever, so every hole comes out alike."),
      Rule.new(name: "nothing to sense", asks: "the machine has no lever", applies: ->(s, _) { !s.machine.type.senses },
               votes: { "carriage_foot" => -9 }, says: "It works only with a buttonhole lever."),
      Rule.new(name: "too large for it", asks: "the buttonhole foot cannot hold the button", applies: ->(s, _) { !s.clamps? },
               votes: { "carriage_foot" => -9 }, says: "It cannot hold this one."),
      Rule.new(name: "cord", asks: "a corded hole", applies: ->(_, style) { style.corded }, votes: { "cording_foot" => 8 },
               says: "Its prong holds the cord under both sides."),
      Rule.new(name: "no cord", asks: "no cord", applies: ->(_, style) { !style.corded }, votes: { "cording_foot" => -2 },
               says: "There is no cord to hold."),
      Rule.new(name: "scale", asks: "the machine has a programme that does not sense", applies: lambda { |s, style|
        s.machine.type.programmed && !s.machine.type.senses && !style.by_hand && !style.round? && style.opens
      },
               votes: { "sliding_scale_foot" => 6 }, says: "It slides with the hole and has marks to stop at."),
      Rule.new(name: "tack", asks: "a bar tack", applies: ->(_, style) { !style.opens },
               votes: { "sliding_scale_foot" => -5, "carriage_foot" => -9 },
               says: "A sliding foot is for holes; a tack wants to be seen."),
      Rule.new(name: "by hand", asks: "by hand, or round", applies: ->(_, style) { style.opens && (style.by_hand || style.round?) },
               votes: { "sliding_scale_foot" => -5, "carriage_foot" => -9 }, says: "The fabric has to turn under it.")
    ].freeze

    # @param situation [Situation]
    # @param style [Style]
    # @return [Array<Score>] every foot, the best first
    def self.feet_ranked(situation, style)
      Ballot.rank(FOOT_KINDS, FOOT_RULES, situation, style) do |kind|
        "#{situation.machine.name} has none on record." unless kind.key == ALWAYS_THERE || situation.machine.foot(kind.key)
      end
    end
  end
end
