# frozen_string_literal: true

# SewnHole is a hole that is in the garment already: it is known by its place, never by a number.
#
#   SewnHole.new(at: Length.mm(118), opening: Length.mm(22.5))

require_relative "../value"

module NimbleEyelet
  module Placket
    # at - Length from the datum; opening - Length of the slit, or nil where nobody said
    SewnHole = Value.of(:at, opening: nil)
  end
end
