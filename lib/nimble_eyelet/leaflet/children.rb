# frozen_string_literal: true

# Children are the cautions of a garment that a child wears: what is small comes off and is swallowed, and a cord at
# neck or hood can strangle. They stand where the button or the cord is chosen, at the steps, and on the record.
#
#   Children.cautions(plan)   # => [Caution(rule: "cords", …)]

require_relative "../answer/reason"
require_relative "../work/hazard"

module NimbleEyelet
  module Children
    INSTEAD = { "cords" => "At the waist or hem: short ends, nothing knotted or threaded on them, and stitched fast in the middle.",
                "children" => "No buttons on removable pins, and no loose toggles at the neck." }.freeze

    # @param plan [Plan]
    # @return [Array<String>] keys of Work::HAZARDS
    def self.hazards(plan)
      return [] unless plan.placket.usage.child

      [("children" if plan.button.fastens?), ("cords" if plan.button.form.tied)].compact
    end

    # @param plan [Plan]
    # @return [Array<Caution>]
    def self.cautions(plan)
      hazards(plan).map { |key| Caution.new(rule: key, says: Work::HAZARDS.fetch(key), instead: INSTEAD.fetch(key)) }
    end
  end
end
