# frozen_string_literal: true

# Change is one thing to do otherwise at the next test hole; CurrentSettings is what it starts from.

require_relative "../value"

module NimbleEyelet
  module Swatches
    # How many axes are changed for one swatch.
    PACES = { "one" => "one thing at a time", "each" => "one thing on every axis" }.freeze

    # What the closure is set to now, and what the machine can do. set - Hash of path to value, all of it
    # thread - SewingThread; passing - Opening::Passing; wanted, ease, correction - Length; eased - Boolean, ease makes
    #   it longer
    # style - Style; stay - Stabiliser or nil, where the rules chose it; cover - Recipes::CoverAim or nil
    # stitch_width, stitch_length - Length; width_wanted - Length, by the rules; tension - Rational; balance - Integer
    #   of notches
    # adds - Length or nil, what a foot that holds the button adds by itself, as far as that was learned
    # by - String, key of SETTING_METHODS; hands - Array<Array(Length, Length)> of a
    # correction and what the hands then set; ends - Length, of both; holes - Integer of the row; pace - String, key of
    # PACES
    # thin_cover - String, key of THIN_COVERS, or nil; second_pass - String or nil, as it is set; twice - Boolean, it is
    # sewn twice
    CurrentSettings = Value.of(:button, :cloth, :thread, :machine, :foot, :ruler, :wanted, :ease, :eased, :correction,
                               :passing, :stitched, :style, :stay, :stitch_width, :stitch_length, :width_wanted,
                               :tension, :balance, :stabiliser, :stay_layers,
                               :by, :hands, :holes, :pace, thin_cover: nil, second_pass: nil, twice: false, adds: nil,
                               cover: nil, set: {})

    # axis - String; says - String or Sentence; because - Array<Reason>
    # sets - Hash of path to value, or empty for something done by hand
    class Change < Value.of(:axis, :says, :because, sets: {})
      def by_hand? = sets.empty?
    end
  end
end
