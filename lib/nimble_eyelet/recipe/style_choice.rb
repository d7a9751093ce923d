# frozen_string_literal: true

# StyleChoice takes the style with the most points that the machine can sew, or the one a person chose,
# and says what speaks against it.

require_relative "../answer/reason"
require_relative "../style/style"
require_relative "style_rules"

module NimbleEyelet
  module Recipes
    class StyleChoice
      # @param situation [Situation]
      # @param overrides [Overrides]
      def initialize(situation, overrides)
        @machine = situation.machine
        @wanted = overrides.style && Style.fetch(overrides.style)
        @situation = situation
      end

      # @return [Array<Score>]
      def scores = @scores ||= Recipes.ranked(@situation)

      # @return [Decision] of a Style
      def decision = @decision ||= scores.any? { |score| score.option == @wanted } ? own : ruled

      private

      def best = scores.find(&:possible?)

      def own
        score = scores.find { |other| other.option == @wanted }
        # What the machine cannot sew is not what was chosen, whatever it is called.
        return ruled.with(cautions: [lacking(@wanted)] + against(best)) unless score.possible?

        Decision.of(@wanted, "your choice", "You chose it.", kind: :yours).with(cautions: against(score))
      end

      def ruled
        reasons = best.reasons.map { |rule| Reason.new(rule: rule.name, says: rule.says) }
        reasons = [Reason.new(rule: "what is left", says: "The best of what #{@machine.name} can sew.")] if reasons.empty?
        first = scores.first
        Decision.new(value: best.option, because: reasons, cautions: (first.possible? ? [] : [lacking(first.option)]) + conflicts)
      end

      # What speaks against a style that was chosen all the same.
      def against(score)
        instead = best == score ? nil : "The rules would take: #{best.option.name}."
        score.against.map { |rule| Caution.new(rule: rule.name, says: rule.says, instead: instead) }
      end

      def conflicts
        best.conflicts.map do |one, other|
          Caution.new(rule: "conflict", says: "Two rules disagree here. #{one.says} But: #{other.says}",
                      instead: "Let a test hole decide.")
        end
      end

      def lacking(wanted)
        return footless if @situation.lacks_foot?(wanted.key)

        Caution.new(rule: "machine", says: "#{@machine.name} cannot sew: #{wanted.name}.",
                    instead: "The nearest it can do is chosen instead.")
      end

      def footless
        Caution.new(rule: "machine", says: "#{@machine.name} takes the length from its buttonhole foot. None is among its feet.",
                    instead: "Add that foot on the machine's page.")
      end
    end
  end
end
