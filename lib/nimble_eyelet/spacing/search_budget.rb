# frozen_string_literal: true

# SearchBudget counts what a search has looked at, against a budget. Counted, not timed: the same demands have the same
# answer on every machine, however busy.
#
#   work = Spacing::SearchBudget.new(400_000)
#   work.spend(1_200)
#   work.left?          # => true

module NimbleEyelet
  module Spacing
    class SearchBudget
      # @return [Integer] places looked at so far
      attr_reader :spent

      # @param budget [Integer] places that may be looked at
      def initialize(budget)
        @budget = budget
        @spent = 0
      end

      # @param places [Integer]
      # @return [void]
      def spend(places) = @spent += places

      def left? = @spent < @budget
    end
  end
end
