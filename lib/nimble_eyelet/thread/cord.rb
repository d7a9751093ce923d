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
  # strands - Integer; thickness - Length; length - Length for one hole
  class Cord < Value.of(:strands, :thickness, :length)
    # A cord this thick is hidden by two beads and still firms the edge.
    THICKNESS = Length.mm(7r / 10)
    FILL = 0.75
    # What the foot needs to hook it, and the tails that are pulled closed and knotted.
    HOOK = Length.mm(20)
    TAILS = Length.mm(200)
    # It is cut to the next so many.
    CUT_AT = Length.mm(5)
    private_constant :CUT_AT
    # At most so many strands can be twisted together by hand.
    MOST_STRANDS = 16
    # Twisting takes up a tenth. A zigzag over it lies so far beside it, is never narrower, and is so long.
    TAKEN_UP = 11r / 10
    ZIGZAG_BESIDE = Length.mm(1r / 2)
    LEAST_ZIGZAG = Length.mm(1)
    ZIGZAG_LONG = Length.mm(3r / 2)

    # @param thread [SewingThread]
    # @param overall [Length] of the hole
    # @return [Cord]
    def self.of(thread, overall:)
      strands = strands_of(thread)
      new(strands: strands, thickness: thickness(thread, strands),
          length: (((overall + HOOK) * 2) + TAILS).round_up_to(CUT_AT))
    end

    # What one is made of: strands are cut longer than the cord, since twisting takes some up.
    #
    # @param holes [Integer]
    # @return [Length] of every strand
    def strand(holes) = length * holes * TAKEN_UP

    # What it is zigzagged over with, instead of twisting: a little wider than itself, closer is stiffer.
    # @return [Length]
    def zigzag = [thickness + ZIGZAG_BESIDE, LEAST_ZIGZAG].max

    # The one thickness of a cord: in the recipe, in the steps and in the picture.
    # @param thread [SewingThread]
    # @return [Length]
    def self.thickness_of(thread) = thickness(thread, strands_of(thread))

    def self.strands_of(thread)
      (1..MOST_STRANDS).find { |number| thickness(thread, number) >= THICKNESS } || MOST_STRANDS
    end

    def self.thickness(thread, strands) = Length.mm(thread.thickness.to_f * Math.sqrt(strands / FILL))
    private_class_method :thickness, :strands_of
  end
end
