# frozen_string_literal: true

# Progress is how far the row has come: which steps are done, which were passed over, which is
# next, and what is away from neutral on the machine by now.
#
#   progress = Sewing::Progress.of(steps, ["stabilise", "mark"])
#   progress.passed_over   # => ["try-on"]
#   progress.next_key      # => "needle"

require_relative "../machine/ledger"
require_relative "../value"

module NimbleEyelet
  module Sewing
    # steps - Array<Step>; done, passed_over - Array<String> of keys; next_key - String or nil
    class Progress < Value.of(:steps, :done, :passed_over, :next_key, :ledger)
      # @param steps [Array<Step>]
      # @param done [Array<String>] keys ever ticked; ones the plan no longer has are left out
      # @return [Progress]
      def self.of(steps, done)
        ticked = steps.select { |step| done.include?(step.key) }
        furthest = steps.rindex { |step| done.include?(step.key) } || -1
        before = steps[0..furthest] if furthest >= 0
        passed_over = (before || []).reject { |step| done.include?(step.key) }.map(&:key)
        new(steps: steps, done: ticked.map(&:key), passed_over: passed_over, next_key: steps[furthest + 1]&.key,
            ledger: ticked.reduce(Ledger.empty) { |state, step| state.changed(step.changes) })
      end
    end
  end
end
