# frozen_string_literal: true

# Clearance is the room a needle keeps to the rim of a button's hole, for the width the dial really has
# and where the machine's zigzag is anchored.
#
#   clearance = Attach::Clearance.of(button, machine, needle, spacing: Length.mm(3), width: Length.mm(3))
#   clearance.room      # 0.53 mm
#   clearance.verdict   # => "good"
#
# Source: half the hole − half the needle − what the width is off: all of it on the second hole when the
# zigzag is anchored at the left and lined up by the first, half of it on each when anchored in the centre.

require_relative "../length/length"
require_relative "../machine/needle"
require_relative "../value"

module NimbleEyelet
  module Attach
    # From here on there is room; below it mind; below nothing it strikes.
    CLEAR_GOOD = Length.mm(2r / 10)

    # room, width - Length; largest_needle - Integer or nil, the largest size that clears well at this width
    class Clearance < Value.of(:room, :width, :largest_needle)
      # @param button [Button]
      # @param machine [Machine]
      # @param needle [Needle]
      # @param spacing [Length] of the two holes the needle swings between
      # @param width [Length] set on the dial
      # @return [Clearance]
      def self.of(button, machine, needle, spacing:, width:)
        off = (width - spacing).abs
        share = machine.anchor == "left" ? off : off / 2
        room = ->(size) { (button.hole_diameter / 2) - (Length.mm(Rational(size, 100)) / 2) - share }
        new(room: room.call(needle.size), width: width,
            largest_needle: Needle::OLD_NUMBERS.keys.select { |size| room.call(size) >= CLEAR_GOOD }.max)
      end

      # @return [String] "good", "mind" or "strikes"
      def verdict
        return "strikes" if room.negative?

        room >= CLEAR_GOOD ? "good" : "mind"
      end

      # The width of the dial at which this needle has the most room.
      # @return [Length, nil] nil where it strikes at every width
      def self.best_width(button, machine, needle, spacing:)
        room = ->(width) { of(button, machine, needle, spacing: spacing, width: width).room }
        reach = machine.max_width / machine.width_step
        best = (0..reach.floor).map { |steps| machine.width_step * steps }.max_by(&room)
        best unless room.call(best).negative?
      end
    end
  end
end
