# frozen_string_literal: true

# Machine is a sewing machine as its owner knows it: how it makes a buttonhole, what must be done
# between two holes, what its dials can be set to, and which feet lie in the box.
#
#   machine.width_settable(Length.mm(4.7))   # 4.5 mm, the step its dial has
#   machine.foot("sliding_scale_foot")       # Foot or nil

require_relative "../value"
require_relative "../measure"
require_relative "../refused"

module NimbleEyelet
  # How a machine makes the hole.
  #
  # length_from, order - String, in words
  # sews - Array<Symbol>, the parts of a hole with two tacks in the order it sews them
  MachineKind = Value.define(:key, :name, :length_from, :order, :sews)

  MACHINE_KINDS = [
    MachineKind.new(key: "sensing", name: "sensing one-step", length_from: "the button clamped in the carriage foot",
                    order: "near tack, one bead away, far tack, other bead back",
                    sews: %i[near_tack first_bead far_tack second_bead]),
    MachineKind.new(key: "memory", name: "memory one-step",
                    length_from: "the reverse key, pressed at the first hole's far end",
                    order: "first bead out to where you press, then the rest by itself",
                    sews: %i[first_bead far_tack second_bead near_tack]),
    MachineKind.new(key: "stepped", name: "stepped", length_from: "your eye on the marks",
                    order: "side, tack, side, tack: each with its own setting",
                    sews: %i[first_bead far_tack second_bead near_tack]),
    MachineKind.new(key: "plain", name: "plain zigzag", length_from: "chalk lines",
                    order: "wide tack, narrow bead, pivot half a turn, wide tack, narrow bead",
                    sews: %i[near_tack first_bead far_tack second_bead])
  ].to_h { |kind| [kind.key, kind] }.freeze

  # Feet by what they do.
  FOOT_KINDS = {
    "carriage_foot" => "carriage foot", "sliding_scale_foot" => "sliding scale foot",
    "grooved_satin_foot" => "grooved satin foot", "cording_foot" => "cording foot",
    "button_foot" => "button foot", "general_zigzag_foot" => "general zigzag foot"
  }.freeze

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

  # A click of a carriage foot that nobody has measured yet.
  FOOT_CLICK = Length.mm(1r / 2)

  # Marks of a sliding scale foot that nobody has looked at yet, and what they may count.
  SCALE_PITCH = Length.mm(5)
  SCALE_READS = { "overall" => "the overall length", "opening" => "the opening" }.freeze

  # kind - String, key of FOOT_KINDS; nickname - String; largest_button - Length or nil
  # allowance - Length a carriage foot adds to the button by itself, learned from test holes
  # click - Length of one click of its catch
  # scale_pitch - Length between two marks of a sliding scale foot; scale_reads - String, key of SCALE_READS
  Foot = Value.define(:kind, :nickname, :largest_button, :allowance, :click, :scale_pitch, :scale_reads,
                      nickname: "", largest_button: nil, allowance: Length.zero, click: FOOT_CLICK,
                      scale_pitch: SCALE_PITCH, scale_reads: "overall") do
    def name = FOOT_KINDS.fetch(kind)

    # @return [self]
    # @raise [Refused]
    def sound!
      Refused.unless_sound do |check|
        { "foot.largest_button" => largest_button, "foot.allowance" => allowance, "foot.click" => click,
          "foot.scale_pitch" => scale_pitch }.each { |field, length| length && Measure::Limits.check(check, field, length) }
      end
      self
    end
  end

  # Which bead comes first, as seen from the chair, and which way it is sewn.
  FIRST_SIDES = { "left" => "left bead", "right" => "right bead" }.freeze
  FIRST_DIRECTIONS = { "away" => "away from you, backward", "toward" => "toward you, forward" }.freeze
  STOPS = { "machine" => "it stops by itself", "operator" => "you stop it" }.freeze

  # styles - Array<String> of programmes it has; stops - "machine" or "operator"
  # reset - String, key of RESETS; feed_stop - String, key of FEED_STOPS
  # max_width, width_step, length_step - Length; neutral_tension, tension_step - Rational
  # first_side, first_direction - String; straight_first - Boolean, a straight run before the satin
  # lift_resets - Boolean, lifting the foot half way loses the place; top_speed - Integer, stitches a minute
  Machine = Value.define(:id, :name, :kind, :styles, :stops, :reset, :max_width, :width_step, :length_step,
                         :neutral_tension, :tension_step, :feed_stop, :bobbin_finger, :balance, :feet,
                         :first_side, :first_direction, :straight_first, :lift_resets, :needle_positions, :top_speed,
                         id: nil, first_side: "left", first_direction: "away", straight_first: false, lift_resets: false,
                         needle_positions: 2, top_speed: 700) do
    def type = MACHINE_KINDS.fetch(kind)
    def reset_words = RESETS.fetch(reset)

    # @param kind [String] key of FOOT_KINDS
    # @return [Foot, nil]
    def foot(kind) = feet.find { |foot| foot.kind == kind }

    # @return [Boolean] whether its needle swings at all
    def zigzag? = max_width >= width_step

    # @return [self]
    # @raise [Refused]
    def sound!
      Refused.unless_sound do |check|
        Machine::LENGTHS.each { |name| Measure::Limits.check(check, "machine.#{name}", self[name]) }
        Machine::NUMBERS.each do |name, range|
          check.that("machine.#{name}", self[name].to_s, range.cover?(self[name]),
                     "This takes a number from #{range.min} to #{range.max}.")
        end
        check.that("machine.width_step", width_step, max_width.zero? || width_step <= max_width,
                   Said["One step of the dial is not more than its whole range, %s.", max_width])
        check.that("machine.kind", kind, kind == "plain" || zigzag?,
                   "A machine whose needle does not swing has no buttonhole programme: it is a plain one.")
        feet.each { |foot| check.gather { foot.sound! } }
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

  Machine::LENGTHS = %i[max_width width_step length_step].freeze
  Machine::NUMBERS = { neutral_tension: 0..20, tension_step: (1r / 20)..5, needle_positions: 1..50, top_speed: 50..1500 }.freeze
end
