# frozen_string_literal: true

# Symptom is the table of what can be seen on a test hole, besides whether the button goes
# through, in the order in which they are put right.

require_relative "../value"

module NimbleEyelet
  module Swatches
    # How the button went through the test hole, first the ones that need a change.
    #
    # remedy - Symbol or nil, what the Troubleshooter does about it
    Passing = Value.of(:key, :name, :remedy)

    PASSES = [
      Passing.new(key: "will_not_pass", name: "will not pass", remedy: :lengthen),
      Passing.new(key: "tight", name: "tight", remedy: :loosen),
      Passing.new(key: "passes", name: "passes as it should", remedy: nil),
      Passing.new(key: "slips_out", name: "slips out", remedy: :shorten)
    ].to_h { |passing| [passing.key, passing] }.freeze

    # causes - Array<String>, likely ones in order; remedy - Symbol, what the Troubleshooter does about it
    Symptom = Value.of(:key, :name, :causes, :remedy)

    SYMPTOMS = [
      Symptom.new(key: "piled_up", remedy: :longer_stitch, name: "stitches pile up, the feed stalls",
                  causes: ["stitch too short", "sole without a groove", "thread too thick"]),
      Symptom.new(key: "gappy", remedy: :shorter_stitch, name: "gaps in both beads", causes: ["stitch too long", "thread too fine"]),
      Symptom.new(key: "uneven_beads", remedy: :balance, name: "one bead dense, one open",
                  causes: ["balance of forward and backward feed", "cloth dragged"]),
      Symptom.new(key: "bobbin_on_top", remedy: :lower_tension, name: "bobbin thread shows on top", causes: ["top tension too tight"]),
      Symptom.new(key: "puckers", remedy: :steady, name: "puckers or a tunnel",
                  causes: ["no stabiliser, or too light", "too wide", "tension"])
    ].to_h { |symptom| [symptom.key, symptom] }.freeze
  end
end
