# frozen_string_literal: true

# HoleShape is the finished hole as a drawing to sew after: how long and wide, how its ends are
# finished, how wide its beads, and how far one stitch feeds. Figures are millimetres as floats: this
# is where the exact plan becomes a drawing.
#
# The near end lies at y = 0 and the far end at y = overall; x is 0 on the cut line, left is negative.
#
#   shape = Stitches::HoleShape.new(near_end: :tack, far_end: :tack, opening: 22.5, near: 1.25, far: 1.25, width: 4.5,
#                                   space: 0.6, length: 0.4)
#   shape.bead   # 1.95

require_relative "../value"

module NimbleEyelet
  module Stitches
    # near_end, far_end - Symbol, how an end is finished, as in Style; :bar for a bar tack alone
    # near, far - Float, length of each end; length - Float, feed of one stitch
    # balance - Float, how much farther forward feed goes than it should, as a share: 0.1 is a tenth
    # own_bead - Float or nil, where it is not half of what the cutting space leaves
    # eye - Float, open radius of a keyhole's eye; cord - Float, thickness of the cord under the beads, 0 for none
    # twice - Boolean, the beads, or the zigzag of a bar tack, are sewn over a second time
    class HoleShape < Value.of(:near_end, :far_end, :opening, :near, :far, :width, :space, :length,
                               cord: 0.0, balance: 0.0, own_bead: nil, eye: 0.0, twice: false)
      def corded? = cord.positive?
      def overall = near + opening + far
      def bead = own_bead || [(width - space) / 2, 0].max

      # Where the cut begins and ends: of a keyhole at the inside of its eye.
      def slit = [near, near + opening]

      # Where the beads begin and end: below the ring round an eye.
      def beads = [near_end == :eyelet ? near + (2 * eye) + near : near, near + opening]

      # Outer radius of the ring round the eye.
      def ring = eye + near

      def outer = width / 2
      def inner = outer - bead

      # @param forward [Boolean] the cloth is fed away from the chair
      # @return [Float] how far one stitch really goes
      def feed(forward) = length * (forward ? 1 + balance : 1 - balance)

      # A keyhole or a round end lies where it lies; only alike ends can be sewn from either.
      def turnable? = near_end == far_end

      # @return [HoleShape] as seen in a mirror across the cut line's middle: the ends change places
      def turned = with(near: far, far: near, balance: -balance)
    end
  end
end
