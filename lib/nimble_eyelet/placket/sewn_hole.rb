# frozen_string_literal: true

# SewnHole is a hole that is in the garment already: it is known by its place, never by a number.
#
#   SewnHole.new(at: 118 mm, opening: 22.5 mm, from_edge: 12 mm, lies: "horizontal")

require_relative "../value"

module NimbleEyelet
  module Placket
    # at - Length from the datum; opening - Length of the slit, or nil where nobody said
    # from_edge - Length, outer end of the slit to the finished edge; lies - String, key of ORIENTATIONS
    # width - Length, as its stitches were set; each nil where it was sewn before that was kept
    SewnHole = Value.of(:at, opening: nil, from_edge: nil, lies: nil, width: nil)
  end
end
