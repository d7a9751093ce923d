# frozen_string_literal: true

module NimbleEyelet
  module Support
    # Somebody who sews buttonholes a few times a year: each thing they have to think of fades by itself, for some
    # faster than for others, and comes back when it is done or practised. Nothing of the schedule is known here.
    class Pupil
      # Days after which one in e is forgotten, when it was done once; each time it is remembered it lasts longer by so
      # much, each time it is not, hardly.
      FADES = 6.0..40.0
      LASTS = 1.7
      RELEARNED = 1.1
      # Somebody who knows it slips now and then; somebody who forgot it, mostly.
      ABSENT = 0.02
      FORGOTTEN = 0.6

      # @param skills [Array<String>]
      # @param random [Random]
      def initialize(skills, random)
        @random = random
        @fades = skills.to_h { |skill| [skill, random.rand(FADES)] }
        @last = {}
      end

      # @return [Boolean] whether it goes wrong today
      def slips?(skill, day)
        remembered = @last[skill] ? Math.exp(-(day - @last[skill]) / @fades[skill]) : 0.0
        slipped = @random.rand < ABSENT + ((1 - remembered) * FORGOTTEN)
        @fades[skill] *= slipped ? RELEARNED : LASTS
        @last[skill] = day
        slipped
      end
    end
  end
end
