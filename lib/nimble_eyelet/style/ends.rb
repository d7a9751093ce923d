# frozen_string_literal: true

# Ends is how the two ends of a hole are finished, and how long each finish is.
#
#   ends.both   # what is added to the opening: the overall length

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # Length of one stitched bar tack, along the hole: 1 to 1.5.
  TACK = Length.mm(5r / 4)
  # Open radius of a keyhole's eye, and the least bead round it: on a narrow hole the eye narrows, never its bead.
  EYE_RADIUS = Length.mm(3r / 2)
  EYE_BEAD = Length.mm(1)
  # A straight-stitch box: this far outside the slit at each end, and the distance of its two rows.
  BOX_END = Length.mm(1)
  BOX_WIDTH = Length.mm(3)
  # Bead round an eyelet that is sewn on its own.
  RING_BEAD = Length.mm(1)

  # The two end finishes of a hole. near is the outer end of a horizontal hole or the upper end
  # of a vertical one.
  #
  # near, far - Length, what is sewn beyond the opening; near_finish, far_finish - Symbol, key of END_NAMES
  # eye - Length, open radius of a keyhole's eye at the near end; zero for all others
  class Ends < Value.of(:near, :far, :near_finish, :far_finish, eye: Length.zero)
    def both = near + far

    # @return [Boolean] whether it makes no difference which end lies where
    def alike? = near == far && near_finish == far_finish
  end
end
