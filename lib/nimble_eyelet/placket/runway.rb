# frozen_string_literal: true

# Runway is the flat cloth a foot needs around a hole: a ridge within it tilts the foot, and the hole
# comes out short or skewed.
#
#   Placket::Runway.of("carriage_foot").caution(hole, keep_outs)   # Caution or nil

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/foot"
require_relative "../value"

module NimbleEyelet
  module Placket
    # behind, before - Length of flat cloth beyond the hole, as seen from the chair
    class Runway < Value.of(:foot, :behind, :before)
      # @param foot [String] key of FOOT_KINDS
      # @return [Runway]
      def self.of(foot) = RUNWAYS.fetch(foot) { RUNWAYS.fetch("general_zigzag_foot") }

      # @param hole [Hole] along the run, sewn with the top of the garment away from the chair
      # @param ridges [Array<KeepOut>]
      # @param turnable [Boolean] whether both ends are alike, so that the garment can be turned round
      # @return [Caution, nil]
      def caution(hole, ridges, turnable: true)
        ridge = ridges.find { |item| near?(hole, item, behind, before) } or return
        turned = turnable && !near?(hole, ridge, before, behind)
        name = ridge.label.empty? ? "A ridge" : ridge.label.capitalize
        flat = "where the #{FOOT_KINDS.fetch(foot).name} wants flat fabric"
        Caution.new(rule: "runway",
                    says: Sentence["#{name} lies %s from hole #{hole.number}, #{flat}: %s behind and %s in front.",
                                   distance(hole, ridge), behind, before],
                    instead: if turned
                               "Turn the garment and sew this hole the other way, or level the foot with a folded scrap."
                             else
                               "Level the foot with a folded scrap of the same thickness."
                             end)
      end

      private

      def near?(hole, ridge, above, below) = ridge.lower > hole.from - above && ridge.upper < hole.to + below

      def distance(hole, ridge)
        ridge.lower <= hole.from ? hole.from - ridge.lower : [ridge.upper - hole.to, Length.zero].max
      end
    end

    RUNWAYS = [
      Runway.new(foot: "carriage_foot", behind: Length.mm(40), before: Length.mm(20)),
      Runway.new(foot: "sliding_scale_foot", behind: Length.mm(40), before: Length.mm(20)),
      Runway.new(foot: "cording_foot", behind: Length.mm(10), before: Length.mm(10)),
      Runway.new(foot: "grooved_satin_foot", behind: Length.mm(10), before: Length.mm(10)),
      Runway.new(foot: "general_zigzag_foot", behind: Length.mm(10), before: Length.mm(10))
    ].to_h { |runway| [runway.foot, runway] }.freeze
  end
end
