# frozen_string_literal: true

# Change is one thing to do otherwise at the next test hole; CurrentSettings is what it starts from.

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Swatches
    # A slit this far from what it should have become is a thing to learn from.
    OFF = Length.mm(1r / 2)
    # And this far, it is not accepted before it was.
    MUCH_OFF = Length.mm(1)

    # What the closure is set to now, and what the machine can do. set - Hash of path to value, all of it
    # passing - Opening::Passing; wanted - Length, the opening; ease - Length; correction - Length
    # stay - Stabiliser or nil, where the rules chose it; cover - Recipes::CoverAim or nil, the band the stitch is kept in
    CurrentSettings = Value.of(:button, :cloth, :machine, :foot, :ruler, :wanted, :ease, :correction, :passing, :stitched, :stay,
                               :stitch_width, :stitch_length, :tension, :stabiliser, cover: nil, set: {})

    # field - String of the setting to change, or nil for something done by hand; axis - String
    # from, to - Length, Rational or String; says - String or Sentence; because - Array<Reason>
    Change = Value.of(:says, :because, axis: "", field: nil, from: nil, to: nil)
  end
end
