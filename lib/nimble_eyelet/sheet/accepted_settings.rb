# frozen_string_literal: true

# AcceptedSettings is the recipe as the accepted test hole holds it, and what is set differently now.
#
#   sheet.frozen.changes   # => [PlanChange(path: "recipe.stitch_length", from: 0.4 mm, to: 0.35 mm)]

require_relative "../length/length"
require_relative "../swatch/stand_in"
require_relative "../value"
require_relative "../plan/plan"

module NimbleEyelet
  # swatch - Swatches::Swatch; changes - Array<PlanChange> from what it was sewn with to what is set
  class AcceptedSettings < Value.of(:swatch, :changes)
    # What of a test hole holds for the row.
    HELD = %w[machine.id recipe.style recipe.foot setting.hands opening.length recipe.stitch_width recipe.stitch_length recipe.tension
              recipe.balance recipe.second_pass recipe.stabiliser recipe.stay_layers recipe.needle thread.fibre thread.tex cloth.kind
              cloth.thickness cloth.layers].freeze

    # @param sheet [Sheet]
    # @return [AcceptedSettings, nil] nothing while no test hole is accepted
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

    # What of the recipe is set as it was where it is otherwise by now.
    SET_BACK = %w[recipe.style recipe.foot recipe.stabiliser recipe.second_pass].freeze

    # @param swatch [Swatches::Swatch]
    # @param sheet [Sheet] of the plan as it is
    # @return [Plan] that accepts the test hole and sews as it was sewn
    def self.accepting(swatch, sheet) = sheet.plan.changed(held_by(swatch, sheet)).with(accepted: swatch.id)

    # What the plan has to say so that the row is sewn as a test hole was, as far as cloth, thread and machine are the same.
    #
    # @param swatch [Swatches::Swatch]
    # @param sheet [Sheet] of the plan as it is
    # @return [Hash{String => Object}] value by path
    def self.held_by(swatch, sheet)
      with = swatch.sewn_with
      set = with["setting.set"]
      dials = { "recipe.stitch_width" => swatch.stitch_width, "recipe.stitch_length" => swatch.stitch_length,
                "recipe.tension" => swatch.tension, "recipe.balance" => with["recipe.balance"]&.to_i,
                "recipe.stay_layers" => layers(with, sheet) }
      { "opening.correction" => set && (set - swatch.opening), "opening.ease" => ease(swatch, sheet.cut), **dials,
        **with.slice(*SET_BACK).reject { |path, was| sheet.sewn_with[path] == was } }.compact
    end

    # Nothing where as many lie there now.
    def self.layers(with, sheet)
      was = with["recipe.stay_layers"]
      was.to_i unless was.nil? || was == sheet.sewn_with["recipe.stay_layers"]
    end

    # Another opening was wanted then: more ease or less.
    def self.ease(swatch, cut)
      off = swatch.opening - cut.length
      [cut.ease + off, Length.zero].max unless off.zero? || !cut.eased?
    end
    private_class_method :held_by, :ease, :layers
  end
end
