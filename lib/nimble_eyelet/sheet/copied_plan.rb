# frozen_string_literal: true

# CopiedPlan is a plan begun like another one. It takes what was wished for; what test holes, or somebody at the
# machine, set beyond that stays behind: it was true of those holes, on what was known then.
#
#   CopiedPlan.of(plan, name: "right cuff", mirror: true).left   # => ["opening.correction", "recipe.tension"]

require_relative "../length/length"
require_relative "../placket/run"
require_relative "../swatch/sewn_with"
require_relative "../value"

module NimbleEyelet
  # plan - Plan; left - Array<String>, paths of what stayed behind
  class CopiedPlan < Value.of(:plan, :left)
    # What is set until a hole comes out right. Ways of sewing (style, foot, stabiliser) are wishes.
    CORRECTIONS = ["opening.correction", "recipe.second_pass", *Swatches::SewnWith.back(:dial)].freeze
    # Of the edge that was copied: the other front has them at the same places, a cuff does not.
    ALONG_THE_EDGE = { "placket.pins" => [], "placket.keep_outs" => [] }.freeze

    # @param source [Plan]
    # @param name [String]
    # @param mirror [Boolean] the other side of the same garment
    # @param longer [Length] by how much every edge is longer, in another size; below nothing it is shorter
    # @param places [Boolean] whether what lies at places along the edge comes with it
    # @return [CopiedPlan]
    # @raise [Refusal] when an edge is shorter than an edge can be
    def self.of(source, name:, mirror: false, longer: Length.zero, places: mirror)
      nothing = { **CORRECTIONS.to_h { |path| [path, nil] }, **(places ? {} : ALONG_THE_EDGE) }
      left = nothing.reject { |path, value| source.at(path) == value }
      side = mirror ? { "placket.overlap" => Placket.mirrored(source.placket.overlap) } : {}
      plan = source.changed({ "closure.name" => name, **left, **side, **longer_by(source.placket, longer) })
      new(plan: plan.with(accepted: nil, settled: {}), left: left.keys)
    end

    # The first hole stays where it was from the end that is measured from; the last one goes with the other end.
    def self.longer_by(run, longer)
      return {} if longer.zero?

      { "placket.run_length" => run.run_length + longer, "placket.last" => run.last && (run.last + longer) }.compact
    end
    private_class_method :longer_by
  end
end
