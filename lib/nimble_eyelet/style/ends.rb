# frozen_string_literal: true

# Ends is how the two ends of a hole are finished, and how long each finish is.
#
#   ends.both   # what is added to the opening: the overall length

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  # Length of one stitched bar tack, along the hole: 1 to 1.5.
  TACK = Length.mm(5r / 4)

  # The two end finishes of a hole. near is the outer end of a horizontal hole or the upper end
  # of a vertical one.
  #
  # near, far - Length; near_name, far_name - String
  class Ends < Value.of(:near, :far, :near_name, :far_name)
    def both = near + far
  end
end
