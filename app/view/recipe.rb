# frozen_string_literal: true

# recipe: what to set, fit and lay under, each with its reason.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module RecipeView
      # key, label - String; field - String or nil, the setting a person can overrule
      Part = Value.of(:key, :label, :field)

      PARTS = [
        Part.new(key: :style, label: "Style", field: "recipe.style"),
        Part.new(key: :foot, label: "Foot", field: "recipe.foot"),
        Part.new(key: :stitch_width, label: "Stitch width", field: "recipe.stitch_width"),
        Part.new(key: :stitch_length, label: "Stitch length", field: "recipe.stitch_length"),
        Part.new(key: :tension, label: "Top tension", field: "recipe.tension"),
        Part.new(key: :stabiliser, label: "Stabiliser", field: "recipe.stabiliser"),
        Part.new(key: :needle, label: "Needle", field: "recipe.needle_size"),
        Part.new(key: :cord, label: "Cord", field: nil),
        Part.new(key: :manual_width, label: "Bead by hand", field: nil)
      ].freeze

      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(sheet, say)
        recipe = sheet.recipe
        { settings: PARTS.filter_map { |part| recipe[part.key] && setting(part, recipe[part.key], say, label(part, recipe)) },
          bead: say.length(recipe.bead), space: say.length(recipe.space), coverage: recipe.coverage.round(2),
          coverage_least: SewingThread::COVERAGE_LEAST, coverage_most: SewingThread::COVERAGE_MOST,
          satin: recipe.style.value.stitched == :satin,
          thread_diameter: say.length(sheet.plan.thread.diameter), stack: say.length(sheet.plan.cloth.stack),
          corded: recipe.cord.value, cord: cord(sheet, say), scores: scores(recipe),
          stack_parts: sheet.plan.cloth.build.map { |name, thickness| { name: name, thickness: say.length(thickness) } },
          thread_in: LinearDensity.in_all(sheet.plan.thread.tex).map { |system, number| "#{system} #{number}" },
          pressure: sheet.plan.cloth.type.pressure, cautions: say.cautions(recipe.cautions) }
      end

      def self.cord(sheet, say)
        return unless sheet.recipe.cord.value

        cord = Cord.of(sheet.plan.thread, overall: sheet.cut.overall)
        { strands: cord.strands, diameter: say.length(cord.diameter), length: say.length(cord.length) }
      end

      def self.scores(recipe)
        recipe.scores.map do |score|
          { key: score.style.key, name: score.style.name, points: score.points, possible: score.possible,
            chosen: score.style == recipe.style.value,
            speaks_for: score.speaks_for.map(&:says), against: score.against.map(&:says) }
        end
      end

      # @return [String] for the knot
      def self.short(sheet, say)
        "#{say.words(sheet.recipe.stitch_width.value)} wide"
      end

      def self.setting(part, choice, say, label)
        { key: part.key.to_s, label: label, field: part.field, text: text(choice.value, say),
          yours: choice.because.first.kind == :yours,
          because: say.reasons(choice.because), cautions: say.cautions(choice.cautions) }
      end

      # A straight-stitch box has no swing of the needle, only a distance of its rows.
      def self.label(part, recipe)
        part.key == :stitch_width && recipe.style.value.stitched == :straight ? "Between the rows" : part.label
      end

      def self.text(value, say)
        case value
        when Style then value.name
        when Foot then value.nickname.empty? ? value.name : "#{value.name} (#{value.nickname})"
        when true then "yes"
        when false then "no"
        when Rational, Integer then say.number(value)
        else say.words(value)
        end
      end
      private_class_method :setting, :label, :text, :cord, :scores
    end
  end
end
