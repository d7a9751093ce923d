# frozen_string_literal: true

# SewingOrder is what is to be sewn, and the questions its steps are written by.

require_relative "../attach/attaching"
require_relative "../length/wording"
require_relative "../opening/cut_method"
require_relative "../value"

module NimbleEyelet
  module Sewing
    # setting - Opening::Setting; beginning - Placket::Beginning; for_child - Boolean
    # cutting - Opening::CutMethod; button_sewing - Attach::ButtonSewing; tails - String, key of THREAD_TAILS, or nil
    # way - Otherways::Way or nil, how it is closed instead of by a hole of the machine; beside - the same, what is done
    # beside such holes; given - Otherways::WayGiven
    # slit_by_hand - Length or nil, where another way is cut
    # spoiled - Integer, holes of the row that were begun again or taken out
    # tested - Boolean, a test hole sewn with these settings is in use
    # stored - Swatches::Swatch or nil, a recent one that stands for the test hole
    class SewingOrder < Value.of(:button, :cloth, :thread, :machine, :recipe, :cut, :setting, :layout, :attaching,
                                 :beginning, cutting: Opening::CutMethod.new,
                                 button_sewing: Attach::ButtonSewing.new(pattern: "two_bars"), tails: nil, stored: nil,
                                 for_child: false, way: nil, beside: nil, given: nil, slit_by_hand: nil,
                                 tested: false, spoiled: 0)
      # @return [Length] the opening as it will come out
      def opening = slit_by_hand || setting.planned
      def overall = opening + cut.ends.both

      def count = layout.holes.size
      def style = recipe.style.value
      def straight? = recipe.stitched == :straight
      def by_hand? = straight? || style.by_hand || style.round?
      def opens? = style.opens

      def buttons_first? = button.fastens? && button_sewing.first? && way.nil?

      # @return [Boolean] whether buttons are sewn on
      def buttons? = button.fastens? && (way.nil? || way.buttons)

      # @return [String] what is sewn: a hole or a tack
      def noun = button.sewn
      def clamped? = setting.by.key == "clamp"
      def lines? = setting.by.key == "lines"
      def circle? = setting.by.key == "round"

      # @return [String] what is cut open, as one says it
      def cut_open = circle? ? "open hole" : slit_word
      def a_cut_open = circle? ? "an open hole" : "a #{slit_word}"

      def stores? = machine.type.stores && %w[key press].include?(setting.by.key)
      def corded? = recipe.cord.value

      # @return [Boolean] whether between two holes something is to be done to begin anew
      def reset? = !by_hand? && !machine.reset_words.nil? && (opens? || TACK_RESETS.include?(machine.reset))

      # What takes a machine back to the beginning of a bar tack; lever and parts are of a hole.
      TACK_RESETS = %w[select_again dial_away_and_back].freeze
      private_constant :TACK_RESETS

      # Least seen first: the lowest, tucked in, and the collar last.
      # @return [Array<Placket::Hole>]
      def holes = layout.holes.reverse

      # Figures a step keeps.
      def slit = { "opening.length" => opening }
      def lengths = { "opening.length" => opening, "opening.overall" => overall }

      # What the hands set the length by: in the foot's or the machine's own terms.
      def length_set
        { "setting.figure" => setting.figure, "setting.opened" => setting.opened.zero? ? nil : setting.opened }.compact
      end

      # Where a hole lies across, as its marks say it: what is sewn keeps that whatever is planned later.
      def across(hole) = { "hole.from_edge" => hole.from_edge, "hole.lies" => hole.lies }

      def slit_word = opens? ? "slit" : "tack"

      # What the dials are set to.
      def dials
        { "recipe.style" => style.key, "recipe.stitch_width" => straight? ? nil : recipe.stitch_width.value,
          "recipe.stitch_length" => recipe.stitch_length.value,
          "recipe.tension" => Wording.decimal(recipe.tension.value.to_r, 2),
          "recipe.balance" => recipe.balance && recipe.notches.to_s }.compact
      end

      # How a hole is sewn: by what the dials are set to, and how often over the beads.
      def sewn_by = dials.merge("recipe.second_pass" => recipe.passes)
    end
  end
end
