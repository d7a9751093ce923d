# frozen_string_literal: true

# Foot is one presser foot as its owner knows it; feet are told apart by what they do.
#
#   Foot.new(kind: "sliding_scale_foot").scale_pitch   # 5 mm

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  # Feet by what they do.
  #
  # clamps - Boolean, holds the button and feels its length; marks - Boolean, has a scale to stop at
  # neutral - Boolean, what is fitted when nothing is sewn
  FootKind = Value.of(:key, :name, clamps: false, marks: false, neutral: false)

  FOOT_KINDS = [
    FootKind.new(key: "carriage_foot", name: "buttonhole foot", clamps: true),
    FootKind.new(key: "sliding_scale_foot", name: "sliding scale foot", marks: true),
    FootKind.new(key: "grooved_satin_foot", name: "grooved satin foot"),
    FootKind.new(key: "cording_foot", name: "cording foot"),
    FootKind.new(key: "button_foot", name: "button foot"),
    FootKind.new(key: "general_zigzag_foot", name: "general zigzag foot", neutral: true)
  ].to_h { |kind| [kind.key, kind] }.freeze

  # What a buttonhole foot usually makes beyond the button it holds, as long as nobody has measured it.
  USUAL_ALLOWANCE = [Length.mm(1), Length.mm(3)].freeze
  # What is assumed until then.
  GUESSED_ALLOWANCE = Length.mm(2)

  # Marks of a sliding scale foot that nobody has looked at yet, and what they may count.
  SCALE_PITCH = Length.mm(5)
  SCALE_READS = { "overall" => "the overall length", "opening" => "the opening" }.freeze

  # kind - String, key of FOOT_KINDS; nickname - String; largest_button - Length or nil
  # allowance - Length a buttonhole foot adds to the button by itself, or nil until a hole was measured
  # guessed - Boolean, that is only what feet usually add
  # click - Length of one click of its catch, or nil where it has none
  # scale_pitch - Length between two marks of a sliding scale foot; scale_reads - String, key of SCALE_READS
  class Foot < Value.of(:kind, nickname: "", largest_button: nil, allowance: nil, guessed: false, click: nil,
                               scale_pitch: SCALE_PITCH, scale_reads: "overall")
    LIMITS = {
      largest_button: Typing::Limit.length(0, 150, open: true), allowance: Typing::Limit.length(-5, 10),
      click: Typing::Limit.length(0.05r, 3), scale_pitch: Typing::Limit.length(0.1r, 25)
    }.freeze

    def type = FOOT_KINDS.fetch(kind)
    def name = type.name

    # @return [String] as its owner calls it, too
    def full_name = nickname.empty? ? name : "#{name} (#{nickname})"

    # What its marks are written in: never converted, whatever ruler a person reads.
    # @return [Symbol] :mm, or :in where its marks lie on fractions of an inch
    def unit
      (scale_pitch.millimetres * 4).denominator == 1 || (64 % scale_pitch.in(:in).denominator).positive? ? :mm : :in
    end

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        Typing::Limit.check_all(check, "foot", self, LIMITS)
      end
      self
    end
  end
end
