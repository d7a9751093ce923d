# frozen_string_literal: true

# MachineKind is the table of how machines make a buttonhole.
#
#   MACHINE_KINDS.fetch("memory").sews   # the parts of a hole in the order it sews them

require_relative "../value"

module NimbleEyelet
  # How a machine makes the hole.
  #
  # length_from, order - String, in words
  # sews - Array<Symbol>, the parts of a hole with two tacks in the order it sews them
  # programmed - Boolean, has a buttonhole programme; senses - Boolean, a lever feels the button in the foot
  # stores - Boolean, keeps the length of the first hole and repeats it
  # sewing - Array(String, Array), how a hole is sewn on it: what to do, and how, a Symbol for a figure of it; nil where
  #   it is sewn by hand; partwise - Boolean, the person turns from part to part and so says how long each is
  # reset - String or nil, what always takes it back to its first part; usual - Hash of a machine's member to what this
  #   kind mostly does, to begin its form with
  # foot - String, key of FOOT_KINDS: what it sews its holes with as it is sold
  class MachineKind < Value.of(:key, :name, :length_from, :order, :sews, programmed: true, senses: false, stores: false,
                                                                         partwise: false, sewing: nil, reset: nil,
                                                                         foot: "carriage_foot", usual: {})
    # @return [Boolean] whether a hole begins with a tack and so at its very end, or with a bead, at the slit's end
    def tack_first? = sews.first == :near_tack
  end

  MACHINE_KINDS = [
    MachineKind.new(key: "sensing", name: "sensing one-step", senses: true, length_from: "the button clamped in the buttonhole foot",
                    order: "near end, one side away, far end, other side back",
                    sewing: ["Sew the hole.", [:in_order]],
                    sews: %i[near_tack first_bead far_tack second_bead],
                    usual: { stops: "machine", reset: "push_lever", forgets: "other_programme" }),
    MachineKind.new(key: "memory", name: "memory one-step", stores: true, foot: "sliding_scale_foot",
                    length_from: "the reverse key, pressed at the first hole's far end",
                    order: "first side out to where you press, then the rest by itself",
                    sewing: ["Sew. The machine repeats the length.", ["Press no key this time."]],
                    sews: %i[first_bead far_tack second_bead near_tack],
                    usual: { stops: "machine", reset: "none", forgets: "clear_key" }),
    MachineKind.new(key: "stepped", name: "stepped", partwise: true, length_from: "your eye on the marks",
                    foot: "sliding_scale_foot",
                    sewing: ["Sew the hole in its four parts.",
                             ["Side, end, side, end. Needle up before each turn of the selector. Sew the same four to seven " \
                              "stitches at both ends."]],
                    order: "side, end, side, end: each with its own setting", reset: "turn the dial back to the first step",
                    sews: %i[first_bead far_tack second_bead near_tack],
                    usual: { stops: "operator", reset: "first_step", forgets: "other_programme" }),
    MachineKind.new(key: "plain", name: "plain zigzag", programmed: false, length_from: "chalk lines",
                    foot: "general_zigzag_foot",
                    order: "wide end, narrow side, half a turn, wide end, narrow side",
                    sews: %i[near_tack first_bead far_tack second_bead],
                    usual: { stops: "operator", reset: "none", forgets: "other_programme" })
  ].to_h { |kind| [kind.key, kind] }.freeze

  # By hand the operator begins with the wide tack, whatever the machine could do.
  SEWN_BY_HAND = %i[near_tack first_bead far_tack second_bead].freeze
end
