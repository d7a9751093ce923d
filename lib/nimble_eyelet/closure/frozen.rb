# frozen_string_literal: true

# Frozen is the recipe as the accepted test hole holds it, and what is set otherwise by now.
#
#   sheet.frozen.changes   # => [PlanChange(path: "recipe.stitch_length", from: 0.4 mm, to: 0.35 mm)]

require_relative "../swatch/stand_in"
require_relative "../value"
require_relative "plan"

module NimbleEyelet
  # swatch - Swatches::Swatch; changes - Array<PlanChange> from what it was sewn with to what is set
  class Frozen < Value.of(:swatch, :changes)
    # What of a test hole holds for the row.
    HELD = %w[machine.id recipe.style recipe.foot setting.hands opening.length recipe.stitch_width recipe.stitch_length recipe.tension
              recipe.balance recipe.stabiliser recipe.needle thread.fibre thread.tex cloth.kind cloth.thickness cloth.layers].freeze

    # @param sheet [Sheet]
    # @return [Frozen, nil] nothing while no test hole is accepted
    def self.of(sheet)
      swatch = sheet.facts.swatches.find { |one| one.id == sheet.plan.accepted } or return
      now = sheet.sewn_with
      held = swatch.sewn_with
      changes = HELD.filter_map do |path|
        next if path == "machine.id" && Swatches::StandIn.id(now[path]) == held[path]

        PlanChange.new(path: path, from: held[path], to: now[path]) if held.key?(path) && held[path] != now[path]
      end
      new(swatch: swatch, changes: changes)
    end

    # What the plan has to say so that exactly this is sewn.
    #
    # @return [Hash{String => Object}] value by path
    def self.held_by(swatch)
      with = swatch.sewn_with
      set = with["setting.set"]
      { "opening.correction" => set && (set - swatch.opening), "recipe.stitch_width" => swatch.stitch_width,
        "recipe.stitch_length" => swatch.stitch_length, "recipe.tension" => swatch.tension,
        "recipe.balance" => with["recipe.balance"]&.to_i }.compact
    end
  end
end
