# frozen_string_literal: true

# WorkStep is the table of steps as a sitting sees them: to which block of the work each belongs, how long it mostly
# takes, and whether it only sets the machine, which need not be done when it is so already.
#
#   Sewing::WorkStep.of("open-at-24000").seconds   # => 90

require_relative "../value"
require_relative "step_key"

module NimbleEyelet
  module Sewing
    # name - String, key of a step without its hole; block - String, of BLOCKS; seconds - Integer
    # each - Boolean, seconds are for every hole; sets - Boolean, it only sets the machine
    class WorkStep < Value.of(:name, :block, :seconds, each: false, sets: false)
      # @param name [String, nil] of a step, without its hole
      # @return [String, nil] "test", "hole" or "button": what is done again together when it goes wrong
      def self.turn(name) = TURNS.find { |_, names| names.include?(name) }&.first

      # @param key [String] of a Step
      # @param round [Boolean] an eyelet, which is punched and not cut
      # @return [Boolean] whether the button can go through once it is done
      def self.opens?(key, round:) = StepKey.parse(key).name == (round ? "punch" : "open")

      # @param key [String] of a Step; what is done to a hole may be called as what is done once
      # @return [WorkStep]
      def self.of(key)
        one = StepKey.parse(key)
        (WORK_STEPS["#{one.name} of a hole"] if one.at) || WORK_STEPS.fetch(one.name)
      end
    end

    # What is done in one go, and again from its beginning.
    TURNS = { "test" => %w[test-sew watch test-open accept reset-test stored], "button" => %w[test-button button],
              "hole" => %w[reset place lever sew look cord punch open] }.freeze

    # Blocks of the work on one closure, in their order; the last one is the machine's.
    BLOCKS = { "stay" => "Stays and cord", "row" => "Test and row", "seal" => "Tails and seal", "open" => "Open and mark",
               "buttons" => "Buttons and secure", "end" => "Machine back, and note it" }.freeze

    # Seconds as they mostly are: placing and reset about a minute a hole, opening one and a half, a button three.
    # What the needle takes comes on top of that from the stitches.
    WORK_STEPS = {
      "stay" => { "cord" => [60, :each], "stabilise" => [60, :each], "stabilise-buttons" => [30, :each] },
      "row" => { "needle" => [120, :sets], "thread" => [150, :sets], "finger" => [30, :sets], "foot" => [60, :sets],
                 "settings" => [20, :sets], "pressure" => [10, :sets], "speed" => [5, :sets], "clamp" => [30, :sets],
                 "test-sew" => [60], "watch" => [60], "test-open" => [120], "accept" => [60], "reset-test" => [15], "stored" => [60],
                 "try-on" => [180], "mark" => [40, :each], "chalk" => [30, :each], "pins" => [30],
                 "reset" => [15], "place" => [35], "lever" => [10], "sew" => [5], "look" => [30], "cord of a hole" => [60] },
      "seal" => { "tails" => [60, :each], "tear" => [20, :each], "film" => [30, :each], "seal" => [20, :each] },
      "open" => { "dry" => [10], "punch" => [30], "open" => [90], "mark-buttons" => [30, :each],
                "seal-after" => [20, :each] },
      "buttons" => { "dry-after" => [10], "shank-eyelet" => [240, :each], "hand-thread" => [60], "button-foot" => [60, :sets],
                     "feed-off" => [30, :sets], "button-width" => [20, :sets],
                     "spacer" => [20],
                     "button" => [180], "test-button" => [180], "spare-button" => [90],
                     "wind" => [60, :each], "secure" => [60, :each], "rinse" => [120] },
      "end" => { "note" => [60] }
    }.flat_map do |block, rows|
      rows.map do |name, (seconds, *said)|
        WorkStep.new(name: name, block: block, seconds: seconds, each: said.include?(:each), sets: said.include?(:sets))
      end
    end.to_h { |row| [row.name, row] }.freeze
  end
end
