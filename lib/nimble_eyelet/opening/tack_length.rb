# frozen_string_literal: true

# TackLength is where a bar tack gets its length from: the programme's own, a key press, or two chalk lines.
#
#   TackLength.by(machine, style, wanted: Length.mm(9), tack_by: nil)   # => "press"
#
# A machine that learns the length from a key press sews on by about two stitches after it: the key is pressed so much
# earlier.

require_relative "../length/length"

module NimbleEyelet
  module Opening
    module TackLength
      # Stitches it sews on after the key is pressed.
      SEWS_ON = 2
      # The programme's own length is taken when it is this near to what is wanted.
      NEAR = Length.mm(1r / 2)

      # @param machine [Machine]
      # @param wanted [Length]
      # @return [Boolean] whether its programme makes such a tack
      def self.programme?(machine, wanted)
        machine.zigzag? && machine.styles.include?("bar_tack") && (machine.type.stores || near?(machine, wanted))
      end

      # @param style [Style] of a tack
      # @param tack_by [String, nil] key of TACK_LENGTHS
      # @return [String] key of SETTING_METHODS
      def self.by(machine, style, wanted:, tack_by: nil)
        return "lines" if style.by_hand
        return "own" if machine.tack_length && (tack_by == "own" || !machine.type.stores)

        tack_by.nil? && near?(machine, wanted) ? "own" : "press"
      end

      # @param stitch [Length] of the zigzag
      # @return [Length] how much before its end the key is pressed
      def self.early(stitch) = stitch * SEWS_ON

      def self.near?(machine, wanted) = !machine.tack_length.nil? && (machine.tack_length - wanted).abs <= NEAR
      private_class_method :near?
    end
  end
end
