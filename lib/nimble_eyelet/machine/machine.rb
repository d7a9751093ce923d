# frozen_string_literal: true

# Machine is a sewing machine as its owner knows it: how it makes a buttonhole, what must be done
# between two holes, what its dials can be set to, and which feet lie in the box.
#
#   machine.width_settable(Length.mm(4.7))   # 4.5 mm, the step its dial has
#   machine.foot("sliding_scale_foot")       # Foot or nil

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../typing/limit"
require_relative "../value"
require_relative "machine_kind"

module NimbleEyelet
  # What resets the machine between two holes.
  RESETS = {
    "none" => nil, "select_again" => "select the buttonhole again",
    "dial_away_and_back" => "turn the selector away and back",
    "push_lever" => "push the lever away from you",
    "first_step" => "turn the dial back to the first step"
  }.freeze

  # What keeps the cloth from feeding under a button.
  FEED_STOPS = {
    "drop_feed" => "drop the feed dogs", "cover_plate" => "put the cover plate over the feed dogs",
    "length_zero" => "set stitch length 0"
  }.freeze

  # What makes a machine forget the length it has stored.
  FORGETS = {
    "clear_key" => "press its clear key", "other_programme" => "select another programme",
    "other_setting" => "turn the width or the length", "off" => "switch it off"
  }.freeze

  # Where the swing of its needle is anchored, and which end of a hole gets the eye or the round.
  ANCHORS = { "centre" => "in the centre", "left" => "at the left" }.freeze
  EYE_ENDS = { "far" => "the end away from you", "near" => "the end towards you" }.freeze
  SECOND_BEADS = { "back" => "the other way", "same" => "the same way as the first" }.freeze

  # Which bead comes first, as seen from the chair, and which way it is sewn.
  FIRST_SIDES = { "left" => "left-hand side", "right" => "right-hand side" }.freeze
  FIRST_DIRECTIONS = { "away" => "away from you, backward", "toward" => "towards you, forward" }.freeze
  STOPS = { "machine" => "it stops by itself", "operator" => "you stop it" }.freeze

  # styles - Array<String> of programmes it has; stops - "machine" or "operator"
  # reset - String, key of RESETS; feed_stop - String, key of FEED_STOPS
  # max_width, width_step, length_step - Length; neutral_tension, tension_step - Rational
  # first_side, first_direction - String, or nil until one hole was watched; straight_first - Boolean, a straight run
  #   before the satin
  # lift_resets - Boolean, lifting the foot half way loses the place; top_speed - Integer, stitches a minute
  # length_stepless, width_stepless - Boolean, the dial stops between its marks too
  # anchor - String, key of ANCHORS; eye_end - String, key of EYE_ENDS; second_bead - String, key of SECOND_BEADS
  # tack_length - Length or nil, of the bar tack it sews when nobody has pressed a key
  # practice - Boolean, it only behaves like one: nothing of it is ever known of a real machine
  # forgets - String, key of FORGETS; foot_pressure, speed_limiter - Boolean, whether it has one; foot_lift - Length
  class Machine < Value.of(:name, :kind, :styles, :stops, :reset, :max_width, :width_step, :length_step,
                           :neutral_tension, :tension_step, :feed_stop, :bobbin_finger, :balance, :feet, id: nil,
                           first_side: nil, first_direction: nil, straight_first: false, lift_resets: false,
                           needle_positions: 2, top_speed: 700, length_stepless: false, width_stepless: false,
                           anchor: "centre", eye_end: "far", second_bead: "back", forgets: "other_programme",
                           foot_pressure: false, speed_limiter: false, foot_lift: Length.mm(6), tack_length: nil,
                           practice: false)
    LIMITS = {
      max_width: Typing::Limit.length(0, 12), width_step: Typing::Limit.length(0.05r, 2),
      length_step: Typing::Limit.length(0.01r, 1), neutral_tension: Typing::Limit.number(0..20),
      tension_step: Typing::Limit.number((1r / 20)..5),
      needle_positions: Typing::Limit.whole(1..50), top_speed: Typing::Limit.whole(50..1500),
      foot_lift: Typing::Limit.length(2, 20), tack_length: Typing::Limit.length(2, 40)
    }.freeze

    def type = MACHINE_KINDS.fetch(kind)

    # What is sewn on a practice machine goes by a name that no real one has.
    BEFORE_PRACTICE = "stand-in for "

    # @return [String] what its test holes say they were sewn on
    def known_as = practice ? "#{BEFORE_PRACTICE}#{id}" : id.to_s

    # What takes it back to the first part of a hole; a stepped machine always has to be taken there.
    # @return [String, nil] nothing where nothing is to be done
    def reset_words = RESETS.fetch(reset) || type.reset

    # What makes it forget a stored length; going back to the first part does not.
    # @return [String]
    def forget_words = FORGETS.fetch(forgets)

    # @return [Boolean] whether somebody has seen where it begins and which side it sews first
    def watched? = !first_direction.nil? && !first_side.nil?

    # Where it begins a hole, as seen from the chair.
    # @return [Symbol, nil] :near or :far, nothing until it was watched
    def begins = { "away" => :near, "toward" => :far }[first_direction]

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
    def width_settable(width)
      return [width.round_to(FINEST), max_width].min if width_stepless

      [width.round_to(width_step), max_width.round_down_to(width_step)].min
    end

    # @param width [Length]
    # @return [Length] the next width the dial has that is not below, as far as the machine goes
    def width_from(width)
      step = width_stepless ? FINEST : width_step
      [width.round_up_to(step), max_width.round_down_to(step)].min
    end

    # @param length [Length]
    # @return [Length] nearest stitch length the dial has, at least one step
    def length_settable(length)
      return [length.round_to(FINEST), FINEST].max if length_stepless

      [length.round_to(length_step), length_step].max
    end

    # @param tension [Numeric]
    # @return [Rational] the nearest mark of the tension dial, never below 0
    def tension_settable(tension) = [(tension.to_r / tension_step).round(half: :up) * tension_step, 0r].max

    # A figure of a dial in its own numbers, never converted: where it lies between two marks, how far.
    #
    # @param value [Length]
    # @param step [Length] between two marks
    # @return [String] "0.4", or "0.4 (three fifths of the way from 0.25 to 0.5)"
    def self.mark(value, step)
      number = Wording.decimal(value.millimetres, 2)
      below = value.round_down_to(step)
      return number if below == value

      share = [((value - below) / step).round(1), 1r / 10].max.to_f
      "#{number} (#{WAYS_BETWEEN.fetch(share)} from #{Wording.decimal(below.millimetres, 2)} " \
        "to #{Wording.decimal((below + step).millimetres, 2)})"
    end

    # @return [String]
    def length_mark(length) = Machine.mark(length, length_step)
    def width_mark(width) = Machine.mark(width, width_step)

    # A dial without steps is set by eye to a hundredth at best.
    FINEST = Length.mm(1r / 100)
    # How far between two marks, in words.
    WAYS_BETWEEN = {
      0.1 => "a tenth of the way", 0.2 => "a fifth of the way", 0.3 => "a third of the way",
      0.4 => "two fifths of the way", 0.5 => "half way", 0.6 => "three fifths of the way",
      0.7 => "two thirds of the way", 0.8 => "four fifths of the way", 0.9 => "nearly all the way",
      1.0 => "nearly all the way"
    }.freeze
  end
end
