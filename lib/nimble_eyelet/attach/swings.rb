# frozen_string_literal: true

# Swings is what the needle of one machine swings between the holes of one button, and the widths the dial is set to for
# it. Each length of swing wants its own; a person's own width is for the first, and the others are off by as much.
#
#   swings = Attach::Swings.new(pattern: arrow, button: button, machine: machine, needle: needle, stitches: 8,
#                               carried: false)
#   swings.widths(nil)             # => {straight: 3 mm, diagonal: 4 mm}
#   swings.widths(Length.mm(3.5))  # => {straight: 3.5 mm, diagonal: 4.5 mm}

require_relative "../length/length"
require_relative "../stitch/button_path"
require_relative "../value"

module NimbleEyelet
  module Attach
    # pattern - Stitches::ButtonPattern; button - Button with holes; machine - Machine; needle - Needle; stitches -
    #   Integer a pair
    # carried - Boolean, the thread is not cut between pairs
    class Swings < Value.of(:pattern, :button, :machine, :needle, :stitches, :carried)
      # @param swing [Symbol] :straight or :diagonal
      # @return [Length] from the middle of one hole to that of the other
      def span(swing) = swing == :diagonal ? Length.mm(button.hole_spacing.to_f * Math.sqrt(2)) : button.hole_spacing

      # @return [Length]
      def longest = span(pattern.swings.last)
      def shortest = span(pattern.swings.first)

      # @param own [Length, nil] a person's own width
      # @return [Hash{Symbol => Length}] as the dial can be set, in the order of sewing
      def widths(own)
        off = own ? own - shortest : Length.zero
        pattern.swings.to_h { |swing| [swing, machine.width_settable([span(swing) + off, Length.zero].max)] }
      end

      # @param widths [Hash{Symbol => Length}]
      # @param size [Integer] of the needle
      # @return [Stitches::ButtonSewn]
      def sewn(widths, size: needle.size)
        Stitches::ButtonSewn.new(spacing: button.hole_spacing.to_f, hole: button.hole_diameter.to_f, needle: size / 100.0,
                                 widths: widths.transform_values(&:to_f), anchor: machine.anchor, stitches: stitches,
                                 holes: button.holes, pattern: pattern.key, carried: carried)
      end

      # @return [Length, nil] the first width at which this needle has the most room; nil where it strikes at every
      #   width
      def roomiest
        reach = (machine.max_width / machine.width_step).floor
        room = ->(width) { sewn(widths(width)).then { |one| one.room - one.lost } }
        best = (0..reach).map { |steps| machine.width_step * steps }.max_by(&room)
        best unless room.call(best).negative?
      end
    end
  end
end
