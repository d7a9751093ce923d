# frozen_string_literal: true

# Step is one thing to do with the hands, the figures to do it with, what it moves on the machine,
# and the sign by which one notices that it was left out.

require_relative "../value"
require_relative "hazard"
require_relative "step_key"

module NimbleEyelet
  module Sewing
    # key     - String, stays the same when the plan changes elsewhere; of a hole it names its place, not its number
    # part    - String, heading the step stands under
    # does    - String or Sentence; how - String or Sentence or nil
    # figures - Hash of path to Length or String, what it is done with; kept when it is done
    # moves   - Hash for Ledger#changed: machine part to its state afterwards, Length or String, nil for neutral
    # hole    - Placket::SewnHole or nil, the hole that is in the garment once the step is done
    # symptom - String or nil, what happens when it is skipped; hazards - Array<String>, keys of HAZARDS
    class Step < Value.of(:key, :part, :does, how: nil, figures: {}, moves: {}, hole: nil, symptom: nil, hazards: [])
      # @return [String, nil] its cautions, as one text
      def caution = hazards.empty? ? nil : HAZARDS.values_at(*hazards).join(" ")

      # @param name [String]
      # @param at [Length] place of a hole
      # @return [String] key of a step of that hole
      def self.key_at(name, at) = StepKey.at(name, at).to_s

      # @return [String] of what is done, wherever it is done
      def name = StepKey.parse(key).name
    end
  end
end
