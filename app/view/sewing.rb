# frozen_string_literal: true

# sewing: the steps in order, how far they are done, and the machine ledger.

module NimbleEyelet
  module View
    module SewingView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash, nil] nothing while the holes do not fit
      def self.of(sheet, say)
        progress = sheet.progress or return
        { steps: progress.steps.map { |step| step(step, progress, say) }, next: progress.next_key,
          done: progress.done.size, ledger: progress.ledger.entries.map { |entry| entry(entry, say) } }
      end

      # @return [String] for the knot
      def self.short(sheet, _say)
        progress = sheet.progress or return "waits"
        "#{progress.done.size} of #{progress.steps.size}"
      end

      def self.step(step, progress, say)
        { key: step.key, part: step.part, does: say.words(step.does), how: say.words(step.how), symptom: step.symptom,
          caution: step.caution, done: progress.done.include?(step.key), passed_over: progress.passed_over.include?(step.key) }
      end

      def self.entry(entry, say)
        { key: entry.part.key, name: entry.name, now: say.words(entry.now), neutral: entry.part.neutral, back: entry.part.back }
      end
      private_class_method :step, :entry
    end
  end
end
