# frozen_string_literal: true

# HolePart is one stretch of a hole that a machine sews in one go: a bead, a tack, a round.

require_relative "../value"

module NimbleEyelet
  module Stitches
    # name - String; kind - Symbol: :bead, :tack, :round, :eyelet, :straight or :lock; points - Array of [x, y] mm
    HolePart = Value.of(:name, :kind, :points)
  end
end
