# frozen_string_literal: true

# Attaching is how the buttons of one closure are sewn on: the zigzag width that drops the needle
# into the holes, how much room it has there, in which pattern and with how many stitches, and how
# high the thread shank is. Buttons a machine cannot sew are refused with what to do instead.
#
#   attaching = Attach::Attaching.of(button, cloth, machine, needle, Attach::ButtonSewing.new(pattern: "two_bars"))
#   attaching.width       # 3 mm
#   attaching.clearance   # 0.53 mm

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../stitch/button_pattern"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  module Attach
    # Room between needle and rim of the hole. Source: half the hole − half the needle − half the
    # difference between the width set and the spacing of the holes.
    CLEAR_GOOD = Length.mm(2r / 10)

    # Stitches into each pair of holes.
    STITCHES = 8
    STITCHES_HEAVY = 10

    # A layer thicker than this is thicker than shirting, and wants a thread shank.
    SHIRTING = Length.mm(4r / 10)
    SHANK_EXTRA = Length.mm(1)

    # pattern - String; stitches - Integer or nil; width - Length or nil, the person's own setting
    class ButtonSewing < Value.of(:pattern, stitches: nil, width: nil)
      LIMITS = { stitches: Typing::Limit.whole(4..20), width: Typing::Limit.length(0, 12) }.freeze

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "attach", self, LIMITS)
        end
        self
      end
    end

    # by_machine - Boolean; width, spacing, clearance - Length or nil when sewn by hand
    # verdict - "good", "mind" or "strikes"; stitches - Integer a pair; shank - Length, zero for none
    # instead - String or nil, what to do when the machine cannot
    class Attaching < Value.of(:by_machine, :width, :spacing, :clearance, :verdict, :pattern, :stitches, :shank,
                               :because, :cautions, :instead)
      # @return [Attaching]
      def self.of(button, cloth, machine, needle, sewing) = AttachPlanner.new(button, cloth, machine, needle, sewing).attaching
    end

    # Works an attaching out.
    class AttachPlanner
      CLEARANCES = { "good" => "room enough", "mind" => "mind: hardly any room", "strikes" => "the needle strikes the button" }.freeze

      def initialize(button, cloth, machine, needle, sewing)
        @button = button
        @cloth = cloth
        @machine = machine
        @needle = needle
        @sewing = sewing
      end

      # @return [Attaching]
      def attaching
        return by_hand("shank", "A shank lies where the needle would swing.", SHANK_INSTEAD) if @button.shank?
        if spacing > @machine.max_width
          return by_hand("too wide", Sentence["The holes are %s apart; #{@machine.name} swings %s at most.", spacing, @machine.max_width],
                         "Sew it on by hand, or choose a pattern with a shorter swing.")
        end

        Attaching.new(by_machine: true, width: width, spacing: spacing, clearance: clearance, verdict: verdict,
                      pattern: pattern, stitches: stitches, shank: shank, because: because, cautions: cautions, instead: nil)
      end

      private

      SHANK_INSTEAD = "Sew it on by hand, or stitch an eyelet and use a removable pin if it comes off for washing."
      private_constant :SHANK_INSTEAD

      def by_hand(rule, says, instead)
        Attaching.new(by_machine: false, width: nil, spacing: nil, clearance: nil, verdict: nil, pattern: pattern,
                      stitches: stitches, shank: shank, because: [shank_reason], instead: instead,
                      cautions: [Caution.new(rule: rule, says: says, instead: instead)])
      end

      # Two holes have only one pair: the pattern is a single bar.
      def pattern = Stitches::BUTTON_PATTERNS.fetch(@button.holes == 4 ? @sewing.pattern : "two_bars")

      def spacing
        @spacing ||= pattern.diagonal ? Length.mm(@button.hole_spacing.to_f * Math.sqrt(2)) : @button.hole_spacing
      end

      def width = @machine.width_settable(@sewing.width || spacing)

      def clearance
        (@button.hole_diameter / 2) - (@needle.diameter / 2) - ((width - spacing).abs / 2)
      end

      def verdict
        return "strikes" if clearance.negative?

        clearance >= CLEAR_GOOD ? "good" : "mind"
      end

      def stitches = @sewing.stitches || (heavy? ? STITCHES_HEAVY : STITCHES)
      def heavy? = @cloth.type.heavy_wear

      def shank
        @cloth.thickness > SHIRTING && !@button.shank? ? @cloth.stack + SHANK_EXTRA : Length.zero
      end

      def because
        [Reason.new(rule: "width", source: "zigzag width = hole spacing",
                    says: Sentence["The needle swings %s from hole to hole; #{@machine.name} can set %s.", spacing, width]),
         Reason.new(rule: "clearance", source: "hole/2 − needle/2 − |width − spacing|/2",
                    says: Sentence["In a hole of %s the #{@needle} needle keeps %s from the rim.", @button.hole_diameter, clearance]),
         shank_reason]
      end

      def shank_reason
        says = if @button.shank? then "The button brings its own shank."
               elsif shank.zero? then "Thin cloth: the button may lie flat on it."
               else Sentence["The overlap is %s thick: a thread shank of %s lets it lie under the button.", @cloth.stack, shank]
               end
        Reason.new(rule: "thread shank", says: says)
      end

      def cautions
        turn = Caution.new(rule: "first stitch", says: "Turn the hand wheel toward you through both holes before any power; " \
                                                       "eyes protected, slow speed.")
        return [turn] if verdict == "good"

        instead = "Another width, a finer needle, or by hand."
        [Caution.new(rule: "clearance", says: Sentence["#{CLEARANCES.fetch(verdict).capitalize}: %s.", clearance], instead: instead),
         turn]
      end
    end
  end
end
