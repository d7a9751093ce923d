# frozen_string_literal: true

# Foot is one presser foot as its owner knows it; feet are told apart by what they do.
#
#   Foot.new(kind: "sliding_scale_foot").scale_pitch   # 5 mm

require_relative "../answer/refusal"
require_relative "../length/length"
require_relative "../typing/limits"
require_relative "../value"

module NimbleEyelet
  # Feet by what they do.
  FOOT_KINDS = {
    "carriage_foot" => "carriage foot", "sliding_scale_foot" => "sliding scale foot",
    "grooved_satin_foot" => "grooved satin foot", "cording_foot" => "cording foot",
    "button_foot" => "button foot", "general_zigzag_foot" => "general zigzag foot"
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
  class Foot < Value.of(:kind, :nickname, :largest_button, :allowance, :click, :scale_pitch, :scale_reads,
                        nickname: "", largest_button: nil, allowance: Length.zero, click: FOOT_CLICK,
                        scale_pitch: SCALE_PITCH, scale_reads: "overall")
    def name = FOOT_KINDS.fetch(kind)

    # @return [self]
    # @raise [Refusal]
    def validate
      Refusal.unless_valid do |check|
        { "foot.largest_button" => largest_button, "foot.allowance" => allowance, "foot.click" => click,
          "foot.scale_pitch" => scale_pitch }.each { |field, length| length && Typing::Limits.check(check, field, length) }
      end
      self
    end
  end
end
