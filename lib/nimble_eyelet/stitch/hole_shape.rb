# frozen_string_literal: true

# HoleShape is the finished hole as a drawing to sew after: how long and wide, how its ends are
# finished, how wide its beads, and how far one stitch feeds. Figures are millimetres as floats: this
# is where the exact plan becomes a drawing.
#
# The near end lies at y = 0 and the far end at y = overall; x is 0 on the cut line, left is negative.
#
#   shape = Stitches::HoleShape.new(style: "two_tacks", opening: 22.5, near: 1.25, far: 1.25, width: 4.5, space: 0.6, length: 0.4)
#   shape.bead   # 1.95

require_relative "../value"

module NimbleEyelet
  module Stitches
    # style - String, key of Recipes::STYLES; length - Float, feed of one stitch
    # balance - Float, how much farther forward feed goes than it should, as a share: 0.1 is a tenth
    # bead - Float or nil, where it is not half of what the cutting space leaves
    HoleShape = Value.define(:style, :opening, :near, :far, :width, :space, :length, :balance, :own_bead,
                             balance: 0.0, own_bead: nil) do
      def overall = near + opening + far
      def bead = own_bead || [(width - space) / 2, 0].max

      # Where the cut begins and ends.
      def slit = [near, near + opening]

      def outer = width / 2
      def inner = outer - bead

      # @param forward [Boolean] the cloth is fed away from the chair
      # @return [Float] how far one stitch really goes
      def feed(forward) = length * (forward ? 1 + balance : 1 - balance)

      # @return [HoleShape] as seen in a mirror across the cut line's middle: the ends change places
      def turned = with(near: far, far: near, balance: -balance)
    end
  end
end
