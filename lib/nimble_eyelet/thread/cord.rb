# frozen_string_literal: true

# Cord is filler laid under the beads, made of strands of the sewing thread: how many, how thick it
# comes out, and how much a hole takes.
#
#   cord = Cord.of(thread, overall: Length.mm(25))
#   cord.strands    # 8
#   cord.length     # 290 mm
#
# Source of the thickness: n strands side by side fill three quarters of a round, d·√(n / 0.75).

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # strands - Integer; diameter - Length; length - Length for one hole
  class Cord < Value.of(:strands, :diameter, :length)
    # A cord this thick is hidden by two beads and still firms the edge.
    THICKNESS = Length.mm(7r / 10)
    FILL = 0.75
    # What the foot needs to hook it, and the tails that are pulled closed and knotted.
    HOOK = Length.mm(20)
    TAILS = Length.mm(200)
    # At most so many strands can be twisted together by hand.
    MOST_STRANDS = 16

    # @param thread [SewingThread]
    # @param overall [Length] of the hole
    # @return [Cord]
    def self.of(thread, overall:)
      strands = strands_of(thread)
      new(strands: strands, diameter: thickness(thread, strands), length: ((overall + HOOK) * 2) + TAILS)
    end

    # The one thickness of a cord: in the recipe, in the steps and in the picture.
    # @param thread [SewingThread]
    # @return [Length]
    def self.thickness_of(thread) = thickness(thread, strands_of(thread))

    def self.strands_of(thread) = (1..MOST_STRANDS).find { |number| thickness(thread, number) >= THICKNESS } || MOST_STRANDS

    def self.thickness(thread, strands) = Length.mm(thread.diameter.to_f * Math.sqrt(strands / FILL))
    private_class_method :thickness, :strands_of
  end
end
