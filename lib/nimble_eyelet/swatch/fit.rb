# frozen_string_literal: true

# Fit is what to change when a hole came out too short or too long. That a machine sews shorter than it
# is set changes the setting; that the button wants more changes the opening wanted, toward the middle of
# snug, and never back to what was tried.

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "change"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    class Fit
      # @param swatches [Array<Swatch>] alike, oldest first
      # @param current [CurrentSettings]
      def initialize(swatches, current)
        @newest = swatches.last
        @earlier = swatches[0...-1]
        @current = current
      end

      # @return [Change, nil]
      def change
        passing = PASSES[@newest.passes]
        return cut_through if passing&.short && !tried?
        return learn if off && off.abs >= MUCH_OFF && !learned_by_foot?
        return if passing.nil? || passing.short.nil?

        learn_or_size(passing)
      end

      private

      # The slit itself comes before its size.
      def tried?
        @earlier.any? { |earlier| PASSES[earlier.passes]&.short && earlier.opening == @newest.opening } || as_long_as_wanted?
      end

      def as_long_as_wanted? = !off.nil? && off > -OFF

      def off = @newest.measured && @newest.opening && (@newest.measured - @newest.opening)

      # An unmeasured carriage foot is learned as such.
      def learned_by_foot? = @current.foot.type.clamps && @current.foot.allowance.nil? && !@newest.allowance.nil?

      def cut_through
        says = if off
                 Sentence["You measured %s where %s was wanted: the slit may not be cut to its ends.", @newest.measured,
                          @newest.opening]
               else
                 "A slit that is not cut to its ends reads as too tight."
               end
        Change.new(axis: "fit", says: "Cut the last threads up to both tacks, trim whiskers and stay, and try the #{noun} again.",
                   because: [reason("uncut", says)])
      end

      def noun = @current.button.form.noun

      def learn_or_size(passing)
        return learn if off && off.abs >= OFF && off.negative? == passing.short && !learned_by_foot?

        size(passing)
      end

      def learn
        to = @current.correction - off.round_to(@current.ruler.finest)
        Change.new(axis: "fit", field: "opening.correction", from: @current.correction, to: to,
                   says: Sentence["Set %s #{off.negative? ? 'more' : 'less'} than is wanted: this machine sews " \
                                  "#{off.negative? ? 'short' : 'long'} here.", off.abs],
                   because: [reason("offset", "The opening wanted stays as it is; only what is set changes.")])
      end

      # To the middle of snug, between what was too short and what was too long.
      def size(passing)
        sewn = @newest.measured || @newest.opening
        to = between(target(sewn, passing))
        return stuck unless to

        by = to - @current.wanted
        Change.new(axis: "fit", field: "opening.ease", from: @current.ease, to: [@current.ease + by, Length.zero].max,
                   says: Sentence["#{by.negative? ? 'Shorten' : 'Lengthen'} the opening to %s: %s #{by.negative? ? 'less' : 'more'} " \
                                  "ease.", to, by.abs],
                   because: [reason(passing.short ? "short" : "long", passing.short ? "It is cut to its ends and still too tight: " \
                     "aim at the middle of snug." : "The #{noun} slips out: aim at the middle of snug.")])
      end

      # What the sums say; where they say the hole was right already, one mark.
      def target(sewn, passing)
        step = @current.ruler.step
        middle = @current.ruler.up(@current.passing.middle_of_snug)
        passing.short ? [middle, sewn.round_up_to(step) + step].max : [middle, sewn.round_down_to(step) - step].min
      end

      def between(to)
        shorts, longs = [true, false].map { |short| openings(short) }
        low = shorts.max
        high = longs.min
        return to unless (low && to <= low) || (high && to >= high)
        return low + @current.ruler.step if high.nil?
        return high - @current.ruler.step if low.nil?

        middle = ((low + high) / 2).round_to(@current.ruler.step)
        middle if middle > low && middle < high
      end

      def openings(short)
        [*@earlier, @newest].select do |swatch|
          PASSES[swatch.passes]&.short == short
        end.filter_map { |swatch| swatch.measured || swatch.opening }
      end

      def stuck
        Change.new(axis: "fit", says: "It lies between two that were tried, or the measuring is off: measure both " \
                                      "again, and keep the better one.",
                   because: [reason("between", "No mark of your ruler lies between what was too short and what was too long.")])
      end

      def reason(rule, says) = Reason.new(rule: rule, says: says, source: "your test holes")
    end
  end
end
