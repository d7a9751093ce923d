# frozen_string_literal: true

# Machine is a sewing machine as its owner knows it: how it makes a buttonhole, what must be done
# between two holes, what its dials can be set to, and which feet lie in the box.
#
#   machine.width_settable(Length.mm(4.7))   # 4.5 mm, the step its dial has
#   machine.foot("sliding_scale_foot")       # Foot or nil

require_relative "../value"
require_relative "../measure"

module NimbleEyelet
  # How a machine makes the hole.
  #
  # length_from, order - String; operator_stops - Boolean
  MachineKind = Value.define(:key, :name, :length_from, :order)

  MACHINE_KINDS = [
    MachineKind.new(key: "sensing", name: "sensing one-step", length_from: "the button clamped in the carriage foot",
                    order: "near tack, one bead away, far tack, other bead back"),
    MachineKind.new(key: "memory", name: "memory one-step",
                    length_from: "the reverse key, pressed at the first hole's far end",
                    order: "first bead out to where you press, then the rest by itself"),
    MachineKind.new(key: "stepped", name: "stepped", length_from: "your eye on the marks",
                    order: "side, tack, side, tack: each with its own setting"),
    MachineKind.new(key: "plain", name: "plain zigzag", length_from: "chalk lines",
                    order: "wide tack, narrow bead, pivot half a turn, wide tack, narrow bead")
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

  # kind - String, key of FOOT_KINDS; nickname - String; largest_button - Length or nil
  # allowance - Length a carriage foot adds to the button by itself, learned from test holes
  # click - Length of one click of its catch
  Foot = Value.define(:kind, :nickname, :largest_button, :allowance, :click,
                      nickname: "", largest_button: nil, allowance: Length.zero, click: FOOT_CLICK) do
    def name = FOOT_KINDS.fetch(kind)
  end

  # styles - Array<String> of programmes it has; stops - "machine" or "operator"
  # reset - String, key of RESETS; feed_stop - String, key of FEED_STOPS
  # max_width, width_step, length_step - Length; neutral_tension, tension_step - Rational
  Machine = Value.define(:id, :name, :kind, :styles, :stops, :reset, :max_width, :width_step, :length_step,
                         :neutral_tension, :tension_step, :feed_stop, :bobbin_finger, :balance, :feet, id: nil) do
    def type = MACHINE_KINDS.fetch(kind)
    def reset_words = RESETS.fetch(reset)

    # @param kind [String] key of FOOT_KINDS
    # @return [Foot, nil]
    def foot(kind) = feet.find { |foot| foot.kind == kind }

    # @param width [Length]
    # @return [Length] nearest width the dial has, never beyond the machine's widest
    def width_settable(width) = [width.round_to(width_step), max_width.round_down_to(width_step)].min

    # @param length [Length]
    # @return [Length] nearest stitch length the dial has, at least one step
    def length_settable(length) = [length.round_to(length_step), length_step].max
  end
end
