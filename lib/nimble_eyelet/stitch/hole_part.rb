# frozen_string_literal: true

# HolePart is one stretch of a hole that a machine sews in one go: a bead, a tack, a round.

require_relative "../value"

module NimbleEyelet
  module Stitches
    # name - String; kind - Symbol: :bead, :tack, :round, :eyelet, :straight or :lock; points - Array of [x, y] mm
    class HolePart < Value.of(:name, :kind, :points)
      # What the name of a second pass ends with.
      AGAIN = ", again"

      # @return [Boolean] whether it is sewn over what lies there already
      def again? = name.end_with?(AGAIN)
    end
  end
end
