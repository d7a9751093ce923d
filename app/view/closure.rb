# frozen_string_literal: true

# ClosureView is one closure as the interface shows it: what was said about it, and the sheet
# worked out from that.

require_relative "../../lib/nimble_eyelet"
require_relative "../store/document"
require_relative "attach"
require_relative "button"
require_relative "opening"
require_relative "placket"
require_relative "recipe"
require_relative "sewing"
require_relative "swatch"

module NimbleEyelet
  module View
    module ClosureView
      VIEWS = { "button" => ButtonView, "opening" => OpeningView, "placket" => PlacketView, "recipe" => RecipeView,
                "swatch" => SwatchView, "sewing" => SewingView, "attach" => AttachView }.freeze

      # @param closure [Store::Closure]
      # @param say [Presenter]
      # @param sheet [Sheet] of the closure's plan
      # @return [Hash]
      # @param before [Sheet, nil] what the holes are compared with
      def self.of(closure, say, sheet: Sheet.of(closure.plan), before: nil)
        { id: closure.id, name: closure.document.fields["closure.name"],
          garment: { id: closure.garment_id, name: closure.garment_name }, revision: closure.revision,
          unit: say.unit, can_undo: closure.can_undo, can_redo: closure.can_redo, plan: plan(closure.document, say),
          sheet: sheet(sheet, say), moved: say.words(sheet.layout && before&.layout && sheet.layout.moved_since(before.layout)) }
      end

      def self.plan(document, say)
        rooms = Store::Document::ROOMS.transform_values do |fields|
          fields.transform_values { |path| say.field(document.fields[path]) }
        end
        rooms["placket"].merge!(pins: document.pins.map do |pin|
          { at: say.length(pin.at), label: pin.label, weight: pin.weight.to_s }
        end,
                                keep_outs: document.keep_outs.map { |item| keep_out(item, say) })
        rooms.merge("machine" => { id: document.machine_id })
      end

      def self.keep_out(item, say) = { from: say.length(item.from), to: say.length(item.to), label: item.label }

      def self.sheet(sheet, say)
        VIEWS.transform_values { |view| view.of(sheet, say) }
             .merge("stages" => stages(sheet, say), "faults" => say.faults(sheet.faults))
      end

      def self.stages(sheet, say)
        STAGES.values.map do |stage|
          { word: stage.word, title: stage.title, question: stage.question, state: sheet.stages.fetch(stage.word),
            answer: VIEWS.key?(stage.word) ? VIEWS.fetch(stage.word).short(sheet, say) : "1 : 1" }
        end
      end
      private_class_method :plan, :keep_out, :sheet, :stages
    end
  end
end
