# frozen_string_literal: true

# Extent is how much room a hole takes along its line: the slit and how its two ends are finished.
#
#   Extent.new(opening: Length.mm(22), ends: ends).overall   # 24.5 mm

require_relative "../value"

module NimbleEyelet
  # opening - Length; ends - Ends
  class Extent < Value.of(:opening, :ends)
    # @return [Length] the slit and both end finishes
    def overall = opening + ends.both
  end
end
