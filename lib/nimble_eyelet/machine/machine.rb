# frozen_string_literal: true

# Machine is a sewing machine as its owner knows it: how it makes a buttonhole, what must be done
# between two holes, what its dials can be set to, and which feet lie in the box.
#
#   machine.width_settable(Length.mm(4.7))   # 4.5 mm, the step its dial has
#   machine.foot("sliding_scale_foot")       # Foot or nil

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../typing/limit"
require_relative "../value"
require_relative "machine_kind"

module NimbleEyelet
  # What resets the machine between two holes.
  RESETS = {
    "none" => nil, "select_again" => "select the buttonhole again",
    "dial_away_and_back" => "turn the selector away from the buttonhole and back",
    "push_lever" => "push the sensing lever back, away from you",
    "first_step" => "turn the selector back to the first step"
  }.freeze

  # What keeps the cloth from feeding under a button.
  FEED_STOPS = {
    "drop_feed" => "drop the feed dogs", "cover_plate" => "put the cover plate over the feed dogs",
    "length_zero" => "set stitch length 0"
  }.freeze

  # Which bead comes first, as seen from the chair, and which way it is sewn.
  FIRST_SIDES = { "left" => "left bead", "right" => "right bead" }.freeze
  FIRST_DIRECTIONS = { "away" => "away from you, backward", "toward" => "toward you, forward" }.freeze
  STOPS = { "machine" => "it stops by itself", "operator" => "you stop it" }.freeze

  # styles - Array<String> of programmes it has; stops - "machine" or "operator"
  # reset - String, key of RESETS; feed_stop - String, key of FEED_STOPS
  # max_width, width_step, length_step - Length; neutral_tension, tension_step - Rational
  # first_side, first_direction - String; straight_first - Boolean, a straight run before the satin
  # lift_resets - Boolean, lifting the foot half way loses the place; top_speed - Integer, stitches a minute
  class Machine < Value.of(:name, :kind, :styles, :stops, :reset, :max_width, :width_step, :length_step,
                           :neutral_tension, :tension_step, :feed_stop, :bobbin_finger, :balance, :feet, id: nil,
                           first_side: "left", first_direction: "away", straight_first: false,
                           lift_resets: false, needle_positions: 2, top_speed: 700)
    LIMITS = {
      max_width: Typing::Limit.length(0, 12), width_step: Typing::Limit.length(0.05r, 2), length_step: Typing::Limit.length(0.01r, 1),
      neutral_tension: Typing::Limit.number(0..20), tension_step: Typing::Limit.number((1r / 20)..5),
      needle_positions: Typing::Limit.whole(1..50), top_speed: Typing::Limit.whole(50..1500)
    }.freeze

    def type = MACHINE_KINDS.fetch(kind)
    def reset_words = RESETS.fetch(reset)

    # @param kind [String] key of FOOT_KINDS
    # @return [Foot, nil]
    def foot(kind) = feet.find { |foot| foot.kind == kind }

    # @return [Boolean] whether its needle swings at all
    def zigzag? = max_width >= width_step

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        Typing::Limit.check_all(check, "machine", self, LIMITS)
        check.expect("machine.width_step", width_step, max_width.zero? || width_step <= max_width,
                     Sentence["One step of the dial is not more than its whole range, %s.", max_width])
        check.expect("machine.kind", kind, !type.programmed || zigzag?,
                     "A machine whose needle does not swing has no buttonhole programme: it is a plain one.")
        feet.each { |foot| check.gather { foot.validate } }
      end
      self
    end

    # @param width [Length]
    # @return [Length] nearest width the dial has, never beyond the machine's widest
    def width_settable(width) = [width.round_to(width_step), max_width.round_down_to(width_step)].min

    # @param length [Length]
    # @return [Length] nearest stitch length the dial has, at least one step
    def length_settable(length) = [length.round_to(length_step), length_step].max
  end
end
