# frozen_string_literal: true

# Diagnosis reads the test holes sewn so far and names the one change to make next: one thing a
# swatch, so that it is known what helped.
#
#   Swatches::Diagnosis.of(swatches, bench).change   # Change, or nil when there is nothing to put right

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../opening/verdict"
require_relative "../value"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    # A slit this much shorter than set was probably not cut all the way.
    UNCUT = Length.mm(1)
    # Slack aimed at when a hole is made shorter.
    WANTED_SLACK = Length.mm(1)

    # What the closure is set to now, and what the machine can do.
    CurrentSettings = Value.of(:button, :cloth, :machine, :ruler, :correction, :stitch_width, :stitch_length, :tension,
                               :stabiliser)

    # field - String of the setting to change, or nil for something done by hand
    # from, to - Length, Rational or String; says - String or Sentence; because - Array<Reason>
    Change = Value.of(:says, :because, field: nil, from: nil, to: nil)

    class Diagnosis < Value.of(:change, :accept)
      # @param swatches [Array<Swatch>] oldest first
      # @param bench [CurrentSettings]
      # @return [Diagnosis] accept is true when the newest swatch has nothing to put right
      def self.of(swatches, bench)
        newest = swatches.last
        return new(change: nil, accept: false) unless newest
        return new(change: nil, accept: true) if newest.clean?

        new(change: Troubleshooter.new(swatches, bench).change, accept: false)
      end
    end

    # Works out the change for the newest swatch.
    class Troubleshooter
      def initialize(swatches, bench)
        @swatches = swatches
        @newest = swatches.last
        @current = bench
      end

      # @return [Change]
      # Fit first, then cover, then the rest: later ones often go away with the earlier; a tight button last.
      #
      # @raise [KeyError] for a symptom nobody knows
      def change
        passing = PASSES.fetch(@newest.passes)
        seen = SYMPTOMS.fetch_values(*@newest.symptoms).min_by { |symptom| SYMPTOMS.keys.index(symptom.key) }
        tight = passing.remedy == :loosen
        send((passing.remedy unless tight && seen) || seen.remedy)
      end

      private

      def lengthen
        measured = @newest.measured
        return cut_through if measured && measured <= @newest.opening - UNCUT && !cut_through_tried?

        shortfall = @current.button.half_perimeter + @current.cloth.fold -
                    ((measured || @newest.opening) * @current.cloth.give)
        correct(@current.ruler.up([shortfall, @current.ruler.step].max), "short",
                "The hole is too short for this button; made longer by what is missing, rounded up.")
      end

      # Lower down the same row of causes: the slit itself comes before the size.
      def cut_through
        Change.new(says: "Cut the last threads up to both tacks, and try the button again.",
                   because: [reason("uncut", Sentence["You measured %s where %s was set: the slit may not be cut to its ends.",
                                                      @newest.measured, @newest.opening])])
      end

      def cut_through_tried?
        @swatches[0...-1].any? { |earlier| earlier.passes == "will_not_pass" && earlier.opening == @newest.opening }
      end

      def loosen
        correct(@current.ruler.step, "tight", "It goes through, but tight: one mark longer.")
      end

      def shorten
        length = @newest.measured || @newest.opening
        verdict = Opening::Verdict.of(length, @current.button, @current.cloth)
        less = (verdict.slack - WANTED_SLACK).round_down_to(@current.ruler.step)
        correct(-[less, @current.ruler.step].max, "long", "The button slips out: made shorter.")
      end

      def correct(by, rule, says)
        Change.new(field: "opening.correction", from: @current.correction, to: @current.correction + by,
                   says: Sentence["#{by.negative? ? 'Shorten' : 'Lengthen'} the opening by %s.", by.abs],
                   because: [reason(rule, says)])
      end

      def shorter_stitch = stitch(-1, "gappy", "piled_up", "Gaps in both beads: the stitch is too long.")
      def longer_stitch = stitch(1, "piled_up", "gappy", "Stitches pile up: the stitch is too short.")

      # One step of the dial, or half way to a length that showed the opposite.
      def stitch(direction, seen, opposite, says)
        step = @current.machine.length_step
        wanted = @newest.stitch_length + (step * direction)
        bound = opposite_length(direction, opposite)
        wanted = between(bound, step) if bound && (direction.negative? ? wanted <= bound : wanted >= bound)
        return second_pass(seen) if wanted.nil? || !wanted.positive?

        Change.new(field: "recipe.stitch_length", from: @newest.stitch_length, to: wanted,
                   says: Sentence["#{direction.negative? ? 'Shorten' : 'Lengthen'} the stitch from %s to %s.",
                                  @newest.stitch_length, wanted],
                   because: [reason(seen, bound ? "#{says} The other way was too far, so try between." : says)])
      end

      def opposite_length(direction, opposite)
        lengths = @swatches.select { |swatch| swatch.shows?(opposite) }.map(&:stitch_length)
        lengths = lengths.select { |length| (length <=> @newest.stitch_length) == direction }
        direction.negative? ? lengths.max : lengths.min
      end

      # @return [Length, nil] nil when no mark of the dial lies between
      def between(bound, step)
        middle = ((bound + @newest.stitch_length) / 2).round_to(step)
        [bound, @newest.stitch_length].include?(middle) ? nil : middle
      end

      def second_pass(seen)
        says = seen == "gappy" ? "Keep the stitch and sew a second pass over both beads." : "Keep the stitch; fit the grooved foot."
        Change.new(says: says, because: [reason("no mark between", "Your dial has no mark between the two that were tried.")])
      end

      def balance
        says = if @current.machine.balance
                 "Turn the balance by one notch toward the open bead's direction, and sew again."
               else
                 "Support the garment so that it neither hangs nor drags, and sew again."
               end
        Change.new(says: says,
                   because: [reason("balance", "Beads that differ come from forward and backward feed, not from stitch length.")])
      end

      def lower_tension
        to = [@newest.tension - @current.machine.tension_step, 0r].max
        Change.new(field: "recipe.tension", from: @newest.tension, to: to,
                   says: "Lower the top tension from #{number(@newest.tension)} to #{number(to)}.",
                   because: [reason("tight top", "The top thread pulls the bobbin thread up: one step of the dial at a time.")])
      end

      # Stabiliser first, then width, then tension.
      def steady
        tried = @swatches[0...-1].count { |earlier| earlier.shows?("puckers") }
        return lower_tension if tried > 1
        return narrower if tried == 1

        to = "#{@newest.stabiliser}, and a second layer"
        Change.new(field: "recipe.stabiliser", from: @newest.stabiliser, to: to, says: "Add a second layer of stabiliser.",
                   because: [reason("soft", "Satin pulls soft cloth together: hold it flat first.")])
      end

      def narrower
        to = [@newest.stitch_width - @current.machine.width_step, @current.machine.width_step].max
        Change.new(field: "recipe.stitch_width", from: @newest.stitch_width, to: to,
                   says: Sentence["Narrow the stitch width from %s to %s.", @newest.stitch_width, to],
                   because: [reason("wide", "More stabiliser did not do it: a narrower stitch pulls less.")])
      end

      def number(figure) = Wording.decimal(figure, 2)

      def reason(rule, says) = Reason.new(rule: rule, says: says, source: "your test holes")
    end
  end
end
