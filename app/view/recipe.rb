# frozen_string_literal: true

# recipe: what to set, fit and lay under, each with its reason.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module RecipeView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        recipe = sheet.recipe
        { settings: recipe.lines.map { |line| setting(line, present) },
          bead: present.length(recipe.bead), space: present.length(recipe.space), coverage: recipe.coverage.round(2),
          coverage_least: SewingThread::COVERAGE_LEAST, coverage_most: SewingThread::COVERAGE_MOST,
          satin: recipe.style.value.stitched == :satin,
          thread_thickness: present.length(sheet.plan.thread.diameter), stack: present.length(sheet.plan.cloth.stack),
          corded: recipe.cord.value, cord: cord(sheet, present), scores: scores(recipe),
          stack_parts: sheet.plan.cloth.build.map { |name, thickness| { name: name, thickness: present.length(thickness) } },
          thread_in: LinearDensity.in_all(sheet.plan.thread.tex).map { |system, number| "#{system} #{number}" },
          pressure: sheet.plan.cloth.type.pressure, cautions: present.cautions(recipe.cautions) }
      end

      def self.cord(sheet, present)
        return unless sheet.recipe.cord.value

        cord = Cord.of(sheet.plan.thread, overall: sheet.cut.overall)
        { strands: cord.strands, thickness: present.length(cord.diameter), length: present.length(cord.length) }
      end

      def self.scores(recipe)
        recipe.scores.map do |score|
          { key: score.style.key, name: score.style.name, points: score.points, possible: score.possible,
            chosen: score.style == recipe.style.value,
            speaks_for: score.speaks_for.map(&:says), against: score.against.map(&:says) }
        end
      end

      # @return [String] for the knot
      def self.short(sheet, present)
        "#{present.words(sheet.recipe.stitch_width.value)} wide"
      end

      def self.setting(line, present)
        decision = line.decision
        { key: line.key.to_s, label: line.label, field: line.field, text: present.decided(decision.value),
          yours: decision.because.first.kind == :yours,
          because: present.reasons(decision.because), cautions: present.cautions(decision.cautions) }
      end

      private_class_method :setting, :cord, :scores
    end
  end
end
