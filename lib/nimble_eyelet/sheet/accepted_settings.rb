# frozen_string_literal: true

# AcceptedSettings is the recipe as the accepted test hole holds it, and what is set differently now.
#
#   sheet.frozen.changes   # => [PlanChange(path: "recipe.stitch_length", from: 0.4 mm, to: 0.35 mm)]

require_relative "../length/length"
require_relative "../plan/plan"
require_relative "../swatch/sewn_with"
require_relative "../value"

module NimbleEyelet
  # swatch - Swatches::Swatch; changes - Array<PlanChange> from what it was sewn with to what is set
  class AcceptedSettings < Value.of(:swatch, :changes)
    # @param sheet [Sheet]
    # @return [AcceptedSettings, nil] nothing while no test hole is accepted
    def self.of(sheet)
      swatch = sheet.facts.swatches.find { |one| one.id == sheet.plan.accepted } or return
      now = sheet.sewn_with
      held = swatch.sewn_with
      changes = Swatches::SewnWith::HELD.filter_map do |path|
        PlanChange.new(path: path, from: held[path], to: now[path]) if held.key?(path) && held[path] != now[path]
      end
      new(swatch: swatch, changes: changes)
    end

    # @param swatch [Swatches::Swatch]
    # @param sheet [Sheet] of the plan as it is
    # @return [Plan] that accepts the test hole and sews as it was sewn
    def self.accepting(swatch, sheet) = sheet.plan.changed(held_by(swatch, sheet)).with(accepted: swatch.id)

    # What the plan has to say so that the row is sewn as a test hole was, as far as cloth, thread and machine are the
    # same.
    #
    # @param swatch [Swatches::Swatch]
    # @param sheet [Sheet] of the plan as it is
    # @return [Hash{String => Object}] value by path
    def self.held_by(swatch, sheet)
      with = swatch.sewn_with
      set = with["setting.set"]
      keys = kept(with, :key).reject { |path, _| sheet.sewn_with[path] == with[path] }
      { "opening.correction" => set && (set - swatch.opening), "opening.ease" => ease(swatch, sheet.cut), **kept(with, :dial),
        **keys }.compact
    end

    # Each as a plan has it: as it was kept, or the number of it.
    def self.kept(with, how)
      with.slice(*Swatches::SewnWith.back(how)).compact.to_h { |path, was| [path, was.is_a?(Length) ? was : number(path, was)] }
    end

    def self.number(path, was)
      limit = Swatches::SewnWith::FIGURES.fetch(path).limit or return was
      limit.kind == :whole ? was.to_i : was.to_r
    end

    # Another opening was wanted then: more ease or less.
    def self.ease(swatch, cut)
      off = swatch.opening - cut.length
      [cut.ease + off, Length.zero].max unless off.zero? || !cut.eased?
    end
    private_class_method :held_by, :ease, :kept, :number
  end
end
