# frozen_string_literal: true

# Situation is what a recipe is made for: button, cloth, thread, machine, and what lies in the drawer.
#
#   situation.programme?("keyhole")   # whether this machine can sew it

require_relative "../cloth/stabiliser"
require_relative "../length/length"
require_relative "../opening/tack_length"
require_relative "../style/ends"
require_relative "../style/style"
require_relative "../value"

module NimbleEyelet
  module Recipes
    # Styles any machine that swings its needle can do; a straight-stitch box needs not even that.
    HAND_MADE = %w[manual_zigzag eyelet zigzag_tack].freeze
    # Styles that need no swing at all.
    STRAIGHT = %w[straight_box straight_tack].freeze
    # Styles that are another programme with something laid under it.
    NEEDS = { "corded" => "two_tacks" }.freeze
    # What a machine may have a programme for.
    PROGRAMMES = (STYLES.keys - HAND_MADE - NEEDS.keys - STRAIGHT).freeze
    # Percent from which a cloth counts as stretchy; g/m² from which as heavy, and below which as fine.
    STRETCHY = 15
    HEAVY = 280
    FINE = 70
    # From this height a button wants room for its shank.
    THICK_BUTTON = Length.mm(5)
    # Layers of so much want a thread shank of 2.5 mm; one that is shorter by choice has nothing to seat.
    SHANKED_STACK = Length.mm(2)
    SEATED_SHANK = Length.mm(5r / 2)
    # An eyelet has so much over what is drawn through it, and a bead all round that the needle has to swing across.
    ROUND_ROOM = Length.mm(1) + (RING_BEAD * 2)

    # What earlier test holes of something alike taught: the band of cover lies so far away, in logarithms; so much more
    # tension, in numbers of the dial; so many notches of the balance; so much more width, mm. shared - String, in words
    # what was alike
    Experience = Value.of(cover: 0.0, tension: 0.0, balance: 0, width: 0.0, shared: "")

    # stabilisers - Array of keys of STABILISER_KINDS that are owned; stay_by - String, key of STAY_SCHOOLS, or nil for
    #   the first; shank - Length of thread that somebody wants under the button, or nil for what the layers want
    class Situation < Value.of(:button, :cloth, :thread, :machine, stabilisers: STABILISER_KINDS.keys,
                               experience: Experience.new,
                              stay_by: nil, shank: nil)
      # @param style [String] key of STYLES
      # @return [Boolean] whether this machine can sew it
      def programme?(style)
        return true if STRAIGHT.include?(style)
        return machine.zigzag? && round_fits? if style == "eyelet"
        return Opening::TackLength.programme?(machine, button.across) if style == "bar_tack"
        return machine.zigzag? if HAND_MADE.include?(style)

        machine.zigzag? && listed?(style) && length_known?
      end

      # @param style [String] key of STYLES
      # @return [Boolean] whether it is its own foot alone that this machine lacks to sew it
      def lacks_foot?(style) = !programme?(style) && machine.zigzag? && listed?(style) && footless?

      # A programme that senses its length has only its own foot to tell it by, and what that foot takes.
      def length_known? = !machine.type.senses || !button.opens? || (!footless? && clamps?)

      def stretchy? = cloth.type.knitted || cloth.stretch >= STRETCHY
      def heavy? = cloth.type.thick || (!cloth.type.knitted && cloth.weight >= HEAVY)
      def fine? = cloth.type.fine || cloth.weight < FINE
      def thick_button? = button.fastens? && (button.shank? || button.height >= THICK_BUTTON)

      # A thread shank as high seats in an eye as a button's own does.
      def thread_shank?
        return false unless button.fastens?

        shank ? shank >= SEATED_SHANK : cloth.type.heavy_wear && cloth.stack >= SHANKED_STACK
      end

      def cord? = !button.fastens? && button.form.key == "cord"

      # A carriage foot takes flat and domed buttons up to its largest; in place of a ball a piece of card, up to the
      # same.
      def clamps?
        largest = machine.foot("carriage_foot")&.largest_button
        largest.nil? || (button.form.clampable ? button.across : button.half_perimeter) <= largest
      end

      private

      def listed?(style) = machine.styles.include?(NEEDS.fetch(style, style))
      def footless? = machine.type.senses && machine.foot("carriage_foot").nil?

      # The ring is no wider than the needle swings.
      def round_fits? = button.across + ROUND_ROOM <= machine.max_width
    end
  end
end
