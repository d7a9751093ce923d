# frozen_string_literal: true

# StepWords are the words of a step as they are shown: a headline that is read at a glance, every figure and as much
# more as fits beside it, and the rest one tap away.
#
#   View::StepWords.of(step, present)   # => { does: "Needle up, foot up.", how: "Leave 10 cm of thread.", symptom: "…" }

require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"

module NimbleEyelet
  module View
    module StepWords
      # Words of a headline, and of what stands beside it. A single longer sentence is never torn.
      HEADLINE = 8
      BESIDE = 12
      # A sentence ends before the next one begins; a number has no blank behind its point.
      ENDS = /(?<=[.!?])\s+(?=[[:upper:]\d])/

      # @param step [Work::Step]
      # @param present [Presenter]
      # @return [Hash{Symbol => String, nil}] does, how and symptom: what to do, what else at once, and the why
      def self.of(step, present)
        first, *rest = present.words(step.does).split(ENDS)
        does, rest = taken([first], rest, HEADLINE)
        more = [*rest, *present.words(step.how)&.split(ENDS)]
        # A figure is needed at every hole, and what stands before it leads up to it.
        figures = more.rindex { |sentence| sentence.match?(/\d/) }
        how, later = taken(more.take(figures ? figures + 1 : 0), more.drop(figures ? figures + 1 : 0), BESIDE)
        { does: does.join(" "), how: shown(how), symptom: shown([*later, *step.symptom]) }
      end

      # @return [Array(Array<String>, Array<String>)] as many sentences as fit, and those that are left
      def self.taken(begun, sentences, most)
        sentences.each_with_index do |sentence, index|
          return [begun, sentences.drop(index)] if count([*begun, sentence]) > most && !begun.empty?

          begun += [sentence]
        end
        [begun, []]
      end

      def self.count(sentences) = sentences.sum { |sentence| sentence.split.size }
      def self.shown(sentences) = sentences.empty? ? nil : sentences.join(" ")
      private_class_method :taken, :count, :shown
    end
  end
end
