# frozen_string_literal: true

# ClosureView is one closure as the interface shows it: what was said about it, and the sheet
# worked out from that.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/conventions"
require_relative "../field/plan_document"
require_relative "attach"
require_relative "button"
require_relative "opening"
require_relative "placket"
require_relative "recipe"
require_relative "revision"
require_relative "sewing"
require_relative "swatch"

module NimbleEyelet
  module View
    module ClosureView
      VIEWS = { "button" => ButtonView, "opening" => OpeningView, "placket" => PlacketView, "recipe" => RecipeView,
                "swatch" => SwatchView, "sewing" => SewingView, "attach" => AttachView }.freeze

      # The answer of a stage that has no view of its own.
      SHORT = { "cloth" => ->(sheet, _) { sheet.plan.cloth.type.name }, "print" => ->(*) { "1 : 1" } }.freeze

      # What a stage looks at beside what the table always shows. The rest is asked for when its stage is opened.
      LOOKED_AT = { "cloth" => %w[recipe], "button" => [], "opening" => %w[opening], "placket" => [],
                    "recipe" => %w[recipe swatch], "swatch" => %w[recipe swatch], "sewing" => %w[recipe swatch sewing],
                    "attach" => %w[recipe attach], "print" => %w[recipe attach] }.freeze

      # @param closure [Store::Closure]
      # @param present [Presenter]
      # @param sheet [Sheet] of the closure's plan
      # @param station [String, nil] word of the stage that is looked at; nothing for the whole
      # @return [Hash]
      def self.of(closure, present, sheet: closure.sheet, station: nil)
        station = nil unless LOOKED_AT.key?(station)
        { id: closure.id, name: closure.plan.name, station: station,
          garment: { id: closure.garment_id, name: closure.garment_name },
          machine: closure.plan.machine.then { |one| { id: one.id, name: one.name, practice: one.practice } },
          version: closure.version, unit: present.unit, undo: changed(closure.undo_changes, present),
          redo: changed(closure.redo_changes, present), house: house(closure.house, present),
          usual: Conventions.otherwise(sheet.plan), plan: plan(closure.plan, present),
          sheet: sheet(sheet, closure, present, station) }
      end

      # What the table always shows; of how long a hole is, and of what is set, only what its drawings take.
      ALWAYS = %w[button placket].freeze

      # @param closure [Store::Closure] with the plan it may become
      # @param sheet [Sheet] of that plan
      # @param station [String, nil] word of the stage in view
      # @return [Hash]
      def self.preview(closure, present, sheet:, station:, moved:)
        parts = { "opening" => OpeningView.brief(sheet, present), **views(ALWAYS | [station], sheet, present) }
        # How far the steps are is worked out only where they are looked at.
        seen = Stage.of(closure.plan).reject { |stage| stage.word == "sewing" && station != "sewing" }
        { plan: plan(closure.plan, present), moved: present.words(moved),
          sheet: parts.merge("stages" => seen.map { |stage| stage(stage, sheet, present) }, "faults" => present.faults(sheet.faults),
                             "edge_lies" => edge_lies(sheet)) }
      end

      # @return [String, nil] what the next undo or redo is about
      def self.changed(changes, present) = changes && RevisionView.words(changes, present)

      # What the house does where the closure leaves a question open, in the unit of the closure.
      def self.house(house, present)
        house.habits.to_h do |path, value|
          option = HABITS.fetch(path).option(value)
          [path, { value: present.words(value), name: present.words(option&.name || value) }]
        end
      end

      # Everything by its path.
      def self.plan(plan, present)
        fields = ClosureFields::ALL.to_h { |field| [field.path, present.field(field.named(plan.at(field.path)), dial: field.dial)] }
        lists = ClosureFields::LISTS.to_h { |path, list| [path, plan.at(path).map { |row| row(list, row, present) }] }
        fields.merge(lists, PlanDocument::MACHINE => plan.machine.id, "swatch.accepted" => plan.accepted)
      end

      def self.row(list, row, present)
        shown = row.to_h.to_h { |name, value| [name, list.lengths.include?(name) ? present.length(value) : value.to_s] }
        # A seam is one place as typed, and a stretch as it is drawn.
        return shown unless row.is_a?(Placket::KeepOut)

        shown.merge(upper: present.length(row.upper), lower: present.length(row.lower))
      end

      def self.sheet(sheet, closure, present, station)
        parts(station, sheet, present)
          .merge("stages" => Stage.of(sheet.plan).map { |stage| stage(stage, sheet, present) },
                 "faults" => present.faults(sheet.faults),
                 "edge_lies" => edge_lies(sheet), "ledger" => SewingView.ledger(closure.ledger, present),
                 **next_step(station, sheet, present))
      end

      # Where hands are at the machine it stands beside.
      AT_THE_MACHINE = [nil, "recipe", "swatch", "sewing", "attach"].freeze

      def self.next_step(station, sheet, present)
        AT_THE_MACHINE.include?(station) ? { "next" => SewingView.next(sheet, present) } : {}
      end

      def self.parts(station, sheet, present)
        return views(VIEWS.keys, sheet, present) unless station

        { "opening" => OpeningView.brief(sheet, present), "recipe" => RecipeView.brief(sheet, present),
          **views(ALWAYS + LOOKED_AT.fetch(station), sheet, present) }
      end

      def self.views(words, sheet, present) = VIEWS.slice(*words).transform_values { |view| view.of(sheet, present) }

      # Of the buttonhole side, right side up with its top away.
      def self.edge_lies(sheet) = Placket.edge_at_right?(sheet.plan.placket.overlap) ? "right" : "left"

      def self.stage(stage, sheet, present)
        state = stage.state(sheet, sheet.plan.settled[stage.word])
        { word: stage.word, title: stage.title_for(sheet),
          question: stage.question_for(sheet),
          state: state.state,
          missing: stage.missing_of(sheet), changes: state.changes.map { |change| RevisionView.since(change, present) },
          answer: short(stage.word, sheet, present) }
      end

      # The answer of a stage in a few words.
      def self.short(word, sheet, present)
        SHORT.key?(word) ? SHORT.fetch(word).call(sheet, present) : VIEWS.fetch(word).short(sheet, present)
      end
      private_class_method :changed, :plan, :row, :sheet, :next_step, :parts, :views, :stage
    end
  end
end
