# frozen_string_literal: true

# Attaching is how the buttons of one closure are sewn on: the zigzag width that drops the needle
# into the holes, how much room it has there, in which pattern and with how many stitches, and how
# high the thread shank is. A button the needle would strike is never offered to the machine.
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
require_relative "clearance"
require_relative "swings"

module NimbleEyelet
  module Attach
    # Stitches into each pair of holes.
    STITCHES = 8
    STITCHES_HEAVY = 10

    # An overlap thicker than this wants a thread shank: as high as it is thick, and a little more; where it is thick
    # more still.
    FLAT_OVERLAP = Length.mm(3r / 2)
    SHANK_EXTRA = Length.mm(1r / 2)
    THICK_OVERLAP = Length.mm(3)
    SHANK_EXTRA_THICK = Length.mm(1)
    # Nobody winds a shank to a tenth.
    SHANK_STEP = Length.mm(1r / 2)
    # Of a padded or felted fabric so much is left between two fingers.
    PINCHED = 6r / 10
    # A spacer under the thread: so much narrower than the needle's ways, and no higher than this.
    SPACER_ROOM = Length.mm(6r / 10)
    SPACER_LEAST = Length.mm(6r / 10)
    SPACER_HIGHEST = Length.mm(4)

    # By hand: passes through the holes, and thread for winding, for the needle and for the tails.
    PASSES_BY_HAND = 5
    HAND_EXTRA = Length.mm(300)

    # pattern - String; stitches - Integer or nil; width, shank - Length or nil, the person's own settings
    # marks, between, secure, shank_by, order, feed - String, keys of BUTTON_MARKS, BETWEEN_PAIRS, SECURINGS, SHANKS,
    #   ATTACH_ORDERS, BUTTON_FEEDS, or nil for the first of each
    class ButtonSewing < Value.of(:pattern, stitches: nil, width: nil, marks: nil, between: nil, secure: nil,
                                  shank_by: nil, order: nil, feed: nil, shank: nil)
      LIMITS = { stitches: Typing::Limit.whole(4..20), width: Typing::Limit.length(0, 12),
                 shank: Typing::Limit.length(0, 15) }.freeze

      # Where no hole is there yet, only the plan says where a button goes.
      def from_plan? = marks == "plan" || first?
      def first? = order == "buttons"
      # @param machine [Machine]
      # @return [String] key of FEED_STOPS
      def feed_stop(machine) = feed == "length_zero" ? feed : machine.feed_stop

      def carried? = between == "carry"
      def secured = secure || "knot"

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "attach", self, LIMITS)
        end
        self
      end
    end

    # by_machine - Boolean; width, spacing, clearance - Length or nil where there is nothing to swing between: the width
    #   and the span of the first swing, the least room at any penetration; diagonal - Length or nil, the width for the
    #   diagonal where the dial is turned for it; swings - Swings, what is simulated
    # verdict - "good", "mind" or "strikes", or nil; stitches - Integer a pair; shank - Length, zero for none
    # spacer - Length or nil, height of what lies under the thread; needle_most - Integer or nil, the largest needle
    #   that clears
    # heavy - Boolean, the cloth wants more stitches, and a button behind; hand_thread - Length, for one button by hand
    # cord - Length or nil, what a toggle hangs on, from fabric to toggle: less, and it cannot tip to go through
    # instead - String or nil, what to do when the machine cannot
    class Attaching < Value.of(:by_machine, :width, :spacing, :diagonal, :swings, :clearance, :verdict, :pattern,
                               :stitches, :shank, :spacer, :needle_most, :hand_thread, :because, :cautions, :instead,
                               heavy: false, cord: nil)
      # @return [Attaching]
      def self.of(button, cloth, machine, needle, sewing)
        AttachPlanner.new(button, cloth, machine, needle, sewing).attaching
      end
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
        found = obstacle
        if found
          return build(by_machine: false, instead: found.last, because: [shank_reason],
                       cautions: [Caution.new(rule: found[0], says: found[1], instead: found.last)])
        end

        build(by_machine: true, instead: nil, because: because, cautions: cautions)
      end

      private

      HAND = "Sew it on by hand."
      private_constant :HAND

      def build(**more)
        Attaching.new(width: holes? ? width : nil, spacing: holes? ? spacing : nil, diagonal: holes? ? diagonal : nil,
                      swings: holes? ? swings : nil, clearance: clearance&.room, verdict: clearance&.verdict,
                      pattern: pattern, stitches: stitches, shank: shank, spacer: shank.zero? || !holes? ? nil : spacer,
                      needle_most: clearance&.largest_needle, hand_thread: hand_thread, heavy: heavy?, cord: cord,
                      **more)
      end

      # Why the machine is not offered: rule, words, and what instead.
      def obstacle
        tipped || held || wide || struck || high || spaced
      end

      def tipped
        return unless cord

        ["toggle", Sentence["A toggle has to tip to go through: it hangs on %s of cord.", cord], "Tie it on with thin cord, by hand."]
      end

      # Source: half its length, and through all layers.
      def cord
        return unless @button.form.end_on

        ((@button.across / 2) + @cloth.stack).round_up_to(Length.mm(1))
      end

      def held
        return if holes?

        ["shank", "A #{@button.attachment} lies where the needle would swing.",
         "Sew it on by hand, or stitch an eyelet and use a removable pin if it comes off for washing."]
      end

      def wide
        return if swings.longest <= @machine.max_width

        ["too wide", Sentence["The holes are %s apart; #{@machine.name} swings #{@machine.width_mark(@machine.max_width)} at most.",
                              swings.longest],
         "Sew it on by hand, or choose a pattern with a shorter swing."]
      end

      def struck
        return unless clearance.verdict == "strikes"

        ["strikes", Sentence["At width #{dialled} the needle #{@needle} strikes the rim: %s too little room.", clearance.room.abs],
         "#{way_round} Or sew it on by hand."]
      end

      def way_round
        best = swings.roomiest
        return "Set the width to #{@machine.width_mark(best)}: there it clears most." if best && best != width
        return "A needle of #{clearance.largest_needle} or finer clears." if clearance.largest_needle

        "No needle clears well in these holes."
      end

      def high
        tall = @button.height + overlap
        return if tall <= @machine.foot_lift

        ["too high", Sentence["Button and fabric are %s high; the foot lifts %s.", tall, @machine.foot_lift], HAND]
      end

      def spaced
        return if shank.zero? || (spacer <= SPACER_HIGHEST && room_for_spacer >= SPACER_LEAST)

        says = Sentence["A shank of %s wants a spacer %s high between the needle's ways: there is no room for it.", shank, spacer]
        ["spacer", says, HAND]
      end

      def holes? = @button.holes.positive?

      # Two holes have only one pair: the pattern is a single bar.
      def pattern = Stitches::BUTTON_PATTERNS.fetch(@button.holes == 4 ? @sewing.pattern : "two_bars")

      def swings
        @swings ||= Swings.new(pattern: pattern, button: @button, machine: @machine, needle: @needle,
                               stitches: stitches, carried: @sewing.carried?)
      end

      def widths = @widths ||= swings.widths(@sewing.width)
      def spacing = swings.span(pattern.swings.first)
      def width = widths.values.first
      def diagonal = widths.size > 1 ? widths.fetch(:diagonal) : nil
      def clearance = holes? ? @clearance ||= Clearance.of(swings.sewn(widths)) : nil

      # As it stands on the dial, for each swing.
      def dialled = widths.values.uniq.map { |one| @machine.width_mark(one) }.join(" and ")

      def stitches = @sewing.stitches || (heavy? ? STITCHES_HEAVY : STITCHES)
      def heavy? = @cloth.type.heavy_wear

      def shank
        return Length.zero if cord
        return @sewing.shank if @sewing.shank

        [usual_shank - own_shank, Length.zero].max.round_to(SHANK_STEP)
      end

      # Room for the overlap between button and garment; none where it is thin.
      def usual_shank
        return Length.zero if overlap <= FLAT_OVERLAP

        (overlap + (overlap > THICK_OVERLAP ? SHANK_EXTRA_THICK : SHANK_EXTRA)).round_to(SHANK_STEP)
      end

      # One that nobody measured is taken to be long enough.
      def own_shank = @button.shank? ? @button.shank || usual_shank : Length.zero

      # As it is pinched between two fingers: what is padded gives.
      def overlap = @cloth.type.padded ? @cloth.stack * PINCHED : @cloth.stack

      # The thread runs slanted over the spacer: it is higher than the shank that is left. Nobody cuts one to a tenth.
      # Source: √(q² + q·s).
      def spacer
        q = shank.to_f
        Length.mm(Math.sqrt((q**2) + (q * swings.longest.to_f))).round_to(SHANK_STEP)
      end

      def room_for_spacer = swings.shortest - @needle.across - SPACER_ROOM

      # Source: 4 × passes × (spacing + shank + stack + thickness), a pair of four holes as two, and what is wound.
      def hand_thread
        across = (holes? ? swings.longest : Length.zero) + shank + @cloth.stack + @button.height
        (across * (4 * PASSES_BY_HAND * (@button.holes == 4 ? 2 : 1))) + HAND_EXTRA
      end

      def because
        off = @machine.anchor == "left" ? "|width − spacing|" : "|width − spacing|/2"
        largest = clearance.largest_needle&.then { |size| "; the largest that clears well is #{size}" }
        [Reason.new(rule: "width", source: "zigzag width = hole spacing, × √2 for a diagonal", says: swing_words),
         Reason.new(rule: "clearance", source: "hole/2 − needle/2 − #{off}",
                    says: Sentence["In a hole of %s the #{@needle} needle keeps %s from the rim#{largest}.",
                                   @button.hole_diameter, clearance.room]),
         shank_reason]
      end

      def swing_words
        says = "The needle swings %s from hole to hole; #{@machine.name} is set to #{@machine.width_mark(width)}."
        return Sentence[says, spacing] unless diagonal

        Sentence["#{says} For the diagonal it swings %s: set #{@machine.width_mark(diagonal)}.", spacing, swings.span(:diagonal)]
      end

      def shank_reason
        says = if @sewing.shank && !cord then Sentence["You chose a thread shank of %s.", shank]
               elsif @button.shank? then own_shank_words
               elsif shank.zero? then "Thin overlap: the button may lie flat on it."
               else Sentence["The overlap is %s thick: a thread shank of %s lets it lie under the button.", overlap, shank]
               end
        Reason.new(rule: "thread shank", says: says)
      end

      def own_shank_words
        return "The button has its own shank." if usual_shank.zero?
        return Sentence["Measure its shank: under %s, wind a thread shank as well.", usual_shank] if @button.shank.nil?
        return Sentence["Its own shank of %s is high enough.", @button.shank] if shank.zero?

        Sentence["The overlap is %s thick and its shank %s high: add a thread shank of %s.", overlap, @button.shank, shank]
      end

      def cautions
        turn = Caution.new(rule: "first stitch", says: "A needle that hits a button can snap and fly. Turn the hand wheel towards you first. " \
                                                       "Wear glasses and go slowly.")
        return [turn] if clearance.verdict == "good"

        [Caution.new(rule: "clearance", says: Sentence["#{CLEARANCES.fetch(clearance.verdict).capitalize}: %s.", clearance.room],
                     instead: "#{way_round} Try it on a scrap first."), turn]
      end
    end
  end
end
