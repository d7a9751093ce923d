# frozen_string_literal: true

# GoOn is where a person goes on with some buttonholes: the stage, what is to be done there, and how far it is.

require_relative "../../lib/nimble_eyelet"
require_relative "step_words"

module NimbleEyelet
  module View
    module GoOn
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash] station - word of a stage; next - String; sewn - Integer, holes; finished - Boolean, every step
      #   is done
      def self.of(sheet, present)
        word, = sheet.stages.find { |_, state| state.state != "tied" } || ["print"]
        begun = sheet.facts.steps.any?
        step = sheet.progress&.then { |progress| progress.steps.find { |one| one.key == progress.next_key } }
        { station: begun ? "sewing" : word, sewn: sheet.layout ? sheet.layout.holes.count(&:sewn) : 0,
          finished: sheet.progress&.finished? || false, next: next_move(sheet, begun, step, word, present) }
      end

      def self.next_move(sheet, begun, step, word, present)
        return STAGES.fetch(word).question_for(sheet) unless begun

        step ? StepWords.of(step, present)[:does] : "All steps are done."
      end
      private_class_method :next_move
    end
  end
end
