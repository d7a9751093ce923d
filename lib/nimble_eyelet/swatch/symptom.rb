# frozen_string_literal: true

# Symptom is the table of what can be seen on a test hole, besides whether the button goes
# through, in the order in which they are put right.

require_relative "../value"

module NimbleEyelet
  module Swatches
    # How the button went through the test hole, first the ones that need a change.
    PASSES = {
      "will_not_pass" => "will not pass", "tight" => "tight", "passes" => "passes as it should", "slips_out" => "slips out"
    }.freeze

    # causes - Array<String>, likely ones in order
    Symptom = Value.of(:key, :name, :causes)

    SYMPTOMS = [
      Symptom.new(key: "piled_up", name: "stitches pile up, the feed stalls",
                  causes: ["stitch too short", "sole without a groove", "thread too thick"]),
      Symptom.new(key: "gappy", name: "gaps in both beads", causes: ["stitch too long", "thread too fine"]),
      Symptom.new(key: "uneven_beads", name: "one bead dense, one open",
                  causes: ["balance of forward and backward feed", "cloth dragged"]),
      Symptom.new(key: "bobbin_on_top", name: "bobbin thread shows on top", causes: ["top tension too tight"]),
      Symptom.new(key: "puckers", name: "puckers or a tunnel",
                  causes: ["no stabiliser, or too light", "too wide", "tension"])
    ].to_h { |symptom| [symptom.key, symptom] }.freeze
  end
end
