# frozen_string_literal: true

# under way: what somebody was at, each with its next step; and the machines left set.

require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"
require_relative "drawn_edge"
require_relative "sewing"
require_relative "step_words"

module NimbleEyelet
  module View
    module UnderWayView
      # @param under_way [Store::UnderWay]
      # @return [Hash]
      def self.of(under_way)
        { sessions: under_way.sessions.map { |session| { **session.to_h, begun_at: session.begun_at.utc.iso8601 } },
          closures: under_way.closures.map { |closure| closure(closure, Presenter.new(closure.unit)) },
          machines: under_way.machines.map do |machine|
            { id: machine.id, name: machine.name, ledger: SewingView.ledger(machine.ledger, Presenter.new(:mm)) }
          end }
      end

      # Where to go on: the first stage that is not settled, and what is to be done there.
      def self.closure(closure, present)
        sheet = closure.sheet
        drawn = DrawnEdge.of(sheet)
        word, = sheet.stages.find { |_, state| state.state != "tied" } || ["print"]
        { id: closure.id, name: closure.plan.name, noun: closure.plan.button.sewn, garment: closure.garment_name,
          drawn: drawn, sewn: drawn[:sewn].count(true), station: sheet.facts.steps.empty? ? word : "sewing",
          next: next_step(sheet, word, present) }
      end

      def self.next_step(sheet, word, present)
        step = sheet.progress&.steps&.find { |one| one.key == sheet.progress.next_key }
        return STAGES.fetch(word).question_for(sheet.plan.button) if sheet.facts.steps.empty?

        step ? StepWords.of(step, present)[:does] : "All steps are done."
      end
      private_class_method :closure, :next_step
    end
  end
end
