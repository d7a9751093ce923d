# frozen_string_literal: true

# garment: all closures of one garment and what is left to do, and the garment as a file.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module GarmentView
      # @param garment [Store::Garment]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(garment, say)
        { id: garment.id, name: garment.name, closures: garment.closures.map { |closure| closure(closure, say) } }
      end

      def self.closure(closure, say)
        sheet = Sheet.of(closure.plan)
        steps = sheet.progress&.steps || []
        { id: closure.id, name: closure.document.fields["closure.name"], holes: sheet.layout ? sheet.layout.holes.size : 0,
          places: sheet.layout ? sheet.layout.holes.map { |hole| hole.at.to_f } : [], run_length: sheet.plan.run.length.to_f,
          overlap: Placket::OVERLAPS.fetch(sheet.plan.run.overlap), button: sheet.plan.button.name,
          opening: say.length(sheet.cut.length),
          machine: closure.machine.name, stages: sheet.stages.map { |word, state| { word: word, state: state } },
          steps: steps.size, done: (steps.map(&:key) & sheet.plan.steps_done).size,
          trouble: sheet.layout ? nil : sheet.faults.map { |fault| say.words(fault.allowed) }.join(" ") }
      end
      private_class_method :closure
    end
  end
end
