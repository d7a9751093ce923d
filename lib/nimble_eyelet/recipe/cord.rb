# frozen_string_literal: true

# Cord is filler laid under the beads, made of strands of the sewing thread: how many, how thick it
# comes out, and how much a hole takes.
#
#   cord = Recipes::Cord.of(thread, overall: Length.mm(25))
#   cord.strands    # 8
#   cord.length     # 190 mm
#
# Source of the thickness: n strands side by side fill three quarters of a round, d·√(n / 0.75).

require_relative "../stitch/thread"
require_relative "../value"

module NimbleEyelet
  module Recipes
    # A cord this thick is hidden by two beads and still firms the edge.
    CORD = Length.mm(7r / 10)
    CORD_FILL = 0.75
    # What the foot needs to hook it, and the tails that are pulled closed and knotted.
    CORD_HOOK = Length.mm(20)
    CORD_TAIL = Length.mm(100)
    # At most so many strands can be twisted together by hand.
    MOST_STRANDS = 16

    # strands - Integer; diameter - Length; length - Length for one hole
    Cord = Value.define(:strands, :diameter, :length) do
      # @param thread [SewingThread]
      # @param overall [Length] of the hole
      # @return [Cord]
      def self.of(thread, overall:)
        strands = (1..MOST_STRANDS).find { |number| thickness(thread, number) >= CORD } || MOST_STRANDS
        new(strands: strands, diameter: thickness(thread, strands), length: ((overall + CORD_HOOK) * 2) + CORD_TAIL)
      end

      def self.thickness(thread, strands) = Length.mm(thread.diameter.to_f * Math.sqrt(strands / CORD_FILL))
      private_class_method :thickness
    end
  end
end
