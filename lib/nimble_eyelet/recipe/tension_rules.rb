# frozen_string_literal: true

# TENSION_RULES say how the top thread is made to roll to the back: by a lower top tension, by the
# bobbin finger, or not at all. Never two of them at first.

require_relative "../value"
require_relative "ballot"

module NimbleEyelet
  module Recipes
    TensionMove = Value.of(:key, :name)

    TENSION_MOVES = [
      TensionMove.new(key: "lower_top", name: "lower the top tension"),
      TensionMove.new(key: "bobbin_finger", name: "thread the bobbin finger"),
      TensionMove.new(key: "leave", name: "leave it alone")
    ].to_h { |move| [move.key, move] }.freeze

    # Where the thread ends lie when a hole is begun.
    THREAD_TAILS = { "under" => "draw both tails under the foot", "held" => "hold the top tail" }.freeze

    # Top tension below neutral, in units of the dial.
    TENSION_DROP = 1r

    # applies - Proc(Situation, Symbol), how the hole is stitched
    TENSION_RULES = [
      Rule.new(name: "satin", asks: "satin", applies: ->(_, stitched) { stitched != :straight },
               votes: { "lower_top" => 4, "bobbin_finger" => 3, "leave" => 1 }, says: "In satin the top thread has to roll to the back."),
      Rule.new(name: "straight stitch", asks: "a straight-stitch box", applies: ->(_, stitched) { stitched == :straight },
               votes: { "leave" => 9, "lower_top" => -4, "bobbin_finger" => -4 }, says: "Straight stitch wants the usual tension.")
    ].freeze

    # @param situation [Situation]
    # @param stitched [Symbol]
    # @return [Array<Score>] every move, the best first
    def self.tension_ranked(situation, stitched)
      machine = situation.machine
      Ballot.rank(TENSION_MOVES, TENSION_RULES, situation, stitched) do |move|
        lower = machine.tension_settable(machine.neutral_tension - TENSION_DROP)
        { "lower_top" => ("Your usual is at the foot of the dial already." unless lower < machine.neutral_tension),
          "bobbin_finger" => ("#{machine.name} has no bobbin finger." unless machine.bobbin_finger) }[move.key]
      end
    end
  end
end
