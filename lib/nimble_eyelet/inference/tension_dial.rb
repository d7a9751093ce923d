# frozen_string_literal: true

# TensionDial counts the top tension from a machine's usual, in numbers of a dial to 9: where a dial goes
# no higher than a few, its numbers are worth more.
#
#   TensionDial.new(machine).units(3)   # => -1.0, where 4 is usual

module NimbleEyelet
  module Inference
    class TensionDial
      # The usual of a dial to 9, and below which a dial counts in parts of it.
      USUAL_OF_NINE = 4.5
      LEAST_USUAL = 3
      # Above the usual: beyond, something else is wrong.
      MOST_RAISED = 3

      # @param machine [Machine]
      def initialize(machine)
        @machine = machine
        @scale = machine.neutral_tension >= LEAST_USUAL ? 1.0 : [machine.neutral_tension.to_f / USUAL_OF_NINE, 0.1].max
      end

      # @param tension [Numeric] as on the dial
      # @return [Float]
      def units(tension) = (tension - @machine.neutral_tension).to_f / @scale

      # @param units [Float]
      # @return [Float] as on the dial
      def number(units) = @machine.neutral_tension.to_f + (units * @scale)

      # @return [Array<Rational>] its marks, as far as they are worth turning to
      def marks
        most = ((@machine.neutral_tension + (MOST_RAISED * @scale)) / @machine.tension_step).floor
        (0..most).map { |number| @machine.tension_step * number }
      end
    end
  end
end
