# frozen_string_literal: true

# recipe: what to set, fit and lay under, each with its reason.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "figures"
require_relative "other_ways"

module NimbleEyelet
  module View
    module RecipeView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        recipe = sheet.recipe
        { **brief(sheet, present), settings: recipe.lines.map { |line| setting(line, sheet, present) },
          bead: present.length(recipe.bead), coverage: recipe.coverage.round(2),
          coverage_least: recipe.cover&.least, coverage_most: recipe.cover&.most,
          satin: recipe.stitched == :satin, second_pass: recipe.second_pass,
          stack: present.length(sheet.plan.cloth.stack),
          cord: cord(sheet, present), stay: recipe.stay&.key,
          stack_parts: sheet.plan.cloth.build.map do |name, thickness|
            { name: name, thickness: present.length(thickness) }
          end,
          thread_in: LinearDensity.in_all(sheet.plan.thread.tex).map { |system, number| "#{system} #{number}" },
          before: before(sheet, present), pressure: sheet.plan.cloth.type.pressure,
          getting_ready: GettingReady.of(sheet),
          ways: OtherWaysView.of(sheet, present), cautions: present.cautions(recipe.cautions) }
      end

      # What a drawing of the hole takes.
      #
      # @return [Hash]
      def self.brief(sheet, present)
        { space: present.length(sheet.recipe.space), feed: present.length(sheet.recipe.stitch_length.value),
          thread_thickness: present.length(sheet.plan.thread.thickness), ways: OtherWaysView.brief(sheet) }
      end

      # What worked last time, and what is otherwise here.
      def self.before(sheet, present)
        before = sheet.before or return
        swatch = before.swatch
        { id: swatch.id, closure: before.closure, sewn_at: swatch.sewn_at.to_s, simulated: swatch.simulated,
          cloth: swatch.sewn_with["cloth.name"] || CLOTH_KINDS.fetch(sheet.plan.cloth.kind).name,
          machine: sheet.plan.machine.name, says: set_then(swatch, present),
          changes: before.changes.map { |change| Figures.change(change, present) },
          sets: before.as_then.transform_values { |value| value.is_a?(Length) ? "#{Field.decimal(value)}mm" : value.to_s } }
      end

      def self.set_then(swatch, present)
        length, width = [swatch.stitch_length, swatch.stitch_width].map { |one| Wording.decimal(one.millimetres, 2) }
        "stitch length #{length}, width #{width}, tension #{present.number(swatch.tension)}"
      end

      def self.cord(sheet, present)
        return unless sheet.recipe.cord.value

        cord = Cord.of(sheet.plan.thread, overall: sheet.overall)
        { strands: cord.strands, thickness: present.length(cord.thickness), length: present.told(Tool::SCISSORS.at(cord.length)) }
      end

      # What else there is, and why not.
      def self.scores(line, chosen)
        line.scores.map do |score|
          { key: score.key, name: called(score.option), points: score.points, obstacle: score.obstacle,
            chosen: score.key == chosen, speaks_for: score.speaks_for.map(&:says), against: score.against.map(&:says) }
        end
      end

      def self.called(option) = option.respond_to?(:name) ? option.name : option.says

      # Key of what was chosen, among what was weighed.
      def self.chosen(line, recipe)
        { style: recipe.style.value.key, foot: recipe.foot.value.kind, needle: recipe.needle.value.point,
          stabiliser: recipe.stay&.key, tension: recipe.tension_move.key }[line.key]
      end

      # @return [String] for the knot
      def self.short(sheet, present)
        return sheet.way.name if sheet.way
        return "straight stitch" if sheet.recipe.stitch_width.value.zero?

        "#{present.dial(sheet.recipe.stitch_width.value)[:text]} wide"
      end

      # Figures of the machine are said as its dial says them.
      def self.setting(line, sheet, present)
        decision = line.decision
        value = sheet.recipe.told(line)
        { key: line.key.to_s, label: line.label, field: line.field,
          text: value.is_a?(Length) ? present.dial(value)[:text] : present.decided(value),
          scores: scores(line, chosen(line, sheet.recipe)), dial: dial(line.key, value, sheet.plan.machine),
          yours: decision.because.first.kind == :yours,
          because: present.reasons(decision.because), cautions: present.cautions(decision.cautions) }
      end

      # Where a dial stands among its marks; a balance is told in notches from its middle and has no such dial.
      def self.dial(key, value, machine)
        step, most = { stitch_width: [machine.width_step, machine.max_width], stitch_length: [machine.length_step, nil],
                       tension: [machine.tension_step, nil] }[key]
        step && { value: value.to_f, step: step.to_f, least: 0.0, most: most&.to_f }
      end

      private_class_method :dial, :before, :set_then, :setting, :cord, :scores, :called, :chosen
    end
  end
end
