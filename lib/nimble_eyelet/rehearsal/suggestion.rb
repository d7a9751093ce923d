# frozen_string_literal: true

# Suggestion is which exercises are worth the few minutes before a session: those that bring back the most of what is
# likely forgotten, for the time they take.
#
#   Rehearsal::Suggestion.of(exercises, { "lever" => 0.4, "reset" => 0.9 }, minutes: 4).map(&:key)   # => ["hole"]

module NimbleEyelet
  module Rehearsal
    module Suggestion
      # Minutes before a session that nobody minds.
      MINUTES = 4
      # How likely something is forgotten that was never practised, and how much has to be for an exercise to be worth
      # it.
      UNKNOWN_SKILL = 0.5
      WORTH_A_MINUTE = 0.1

      # @param exercises [Array<Exercise>]
      # @param chances [Hash{String => Float}] skill to the chance that it is remembered; absent where never practised
      # @param minutes [Integer]
      # @return [Array<Exercise>] in the order to do them, none of them mishaps
      def self.of(exercises, chances, minutes: MINUTES)
        left = exercises.reject(&:mishap)
        chosen = []
        remembered = chances.dup
        while (best = best_of(left, remembered, minutes))
          chosen << best
          left -= [best]
          minutes -= best.minutes
          best.skills.each { |skill| remembered[skill] = 1.0 }
        end
        chosen
      end

      def self.best_of(exercises, remembered, minutes)
        able = exercises.select { |one| one.minutes <= minutes }
        best = able.max_by { |one| worth(one, remembered) }
        best if best && worth(best, remembered) >= WORTH_A_MINUTE
      end

      def self.worth(exercise, remembered)
        exercise.skills.sum { |skill| 1 - remembered.fetch(skill, 1 - UNKNOWN_SKILL) } / exercise.minutes
      end
      private_class_method :best_of, :worth
    end
  end
end
