# frozen_string_literal: true

# Clearance is the room a needle keeps to the rims of a button's holes, at every penetration of its path: for the widths
# the dial really has, in this pattern, and where the machine's zigzag is anchored.
#
#   clearance = Attach::Clearance.of(sewn)
#   clearance.room      # 0.53 mm
#   clearance.verdict   # => "good"

require_relative "../length/length"
require_relative "../machine/needle"
require_relative "../stitch/button_path"
require_relative "../value"

module NimbleEyelet
  module Attach
    # From here on there is room; below it mind; below nothing it strikes.
    CLEAR_GOOD = Length.mm(2r / 10)

    # room - Length; largest_needle - Integer or nil, the largest size that clears well at these widths
    class Clearance < Value.of(:room, :largest_needle)
      # @param sewn [Stitches::ButtonSewn]
      # @return [Clearance]
      def self.of(sewn)
        room = Stitches::ButtonPath.sew(sewn).room
        # A finer needle has half of what it is finer more on each side.
        with = ->(size) { Length.mm(room + ((sewn.needle - (size / 100.0)) / 2)) }
        largest = Needle::OLD_NUMBERS.keys.select { |size| with[size] >= CLEAR_GOOD }.max
        new(room: Length.mm(room), largest_needle: largest)
      end

      # @return [String] "good", "mind" or "strikes"
      def verdict
        return "strikes" if room.negative?

        room >= CLEAR_GOOD ? "good" : "mind"
      end
    end
  end
end
