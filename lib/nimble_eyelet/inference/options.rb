# frozen_string_literal: true

# Options are what can be set otherwise at the next test hole, axis by axis, on the marks this machine
# has; and what a test hole was set to, in the units of the beliefs.
#
#   options = Options.new(current)
#   options.of(:tension)           # => [Option, …]
#   options.set_on(swatch, :fit)   # => Option

require_relative "../length/length"
require_relative "../machine/offset"
require_relative "../thread/cover_band"
require_relative "axis"
require_relative "tension_dial"

module NimbleEyelet
  module Inference
    class Options
      # Around the width by the rules, in steps of the dial.
      WIDTHS_AROUND = 6
      # A dial without steps is tried in these.
      STEPLESS_LENGTH = 0.06
      STEPLESS_WIDTH = Length.mm(1r / 4)
      # Around what is believed right: of ln k, and of the balance.
      COVER_AROUND = 0.36
      BALANCE_AROUND = 0.09
      MOST_NOTCHES = 5

      # @param current [Swatches::CurrentSettings]
      def initialize(current)
        @current = current
        @machine = current.machine
        @dial = TensionDial.new(current.machine)
      end

      # @return [Array<Symbol>] axes that are seen on such a hole, of which something can be said
      def axes
        return %i[fit] if @current.stitched == :straight

        [:fit, :cover, :tension, (:space if @current.style.opens)].compact
      end

      # @return [Float] what is usually added to what the hands set
      def usual = Offset::USUALLY_ADDED.fetch(@current.by)

      # @return [Boolean] the second bead is sewn the other way, so that the balance tells them apart
      def opposite? = @machine.second_bead == "back" && !@current.style.by_hand && @current.style.opens

      # @param length [Length] of a stitch
      # @param twice [Boolean] both beads are sewn over a second time
      # @return [Float] ln k, of as many passes
      def cover(length, twice: @current.twice)
        Math.log((@current.thread.thickness / length).to_f) + (twice ? CoverBand::SECOND_PASS : 0.0)
      end

      # @param axis [Symbol]
      # @param beliefs [Beliefs]
      # @return [Array<Option>] what it can be set to
      def of(axis, beliefs)
        case axis
        when :fit then fits
        when :cover then covers(beliefs.cover)
        when :tension then @dial.marks.map { |tension| tension_at(tension) }
        else widths.map { |width| width_at(width) }
        end
      end

      # What a test hole was set to.
      #
      # @param swatch [Swatches::Swatch]
      # @param axis [Symbol]
      # @return [Option]
      def set_on(swatch, axis)
        case axis
        when :fit then fit_at(swatch.hands, nil)
        when :cover then cover_at(swatch.stitch_length, swatch.balance, twice: swatch.twice?)
        when :tension then tension_at(swatch.tension)
        else width_at(swatch.stitch_width)
        end
      end

      # What is set now.
      #
      # @param axis [Symbol]
      # @return [Option]
      def now(axis)
        case axis
        when :fit then fit_at(hands_now, @current.correction)
        when :cover then cover_at(@current.stitch_length, @current.balance)
        when :tension then tension_at(@current.tension)
        else width_at(@current.stitch_width)
        end
      end

      private

      def hands_now = @current.hands.find { |correction, _| correction == @current.correction }&.last || @current.wanted

      def fits = @current.hands.uniq(&:last).map { |correction, hands| fit_at(hands, correction) }
      def fit_at(hands, correction) = Option.new(at: [hands.to_f.round(4)], value: correction)

      def covers(belief)
        middle = belief.middle + belief.centre.first
        near = stitch_lengths.select { |length| (cover(length) - middle).abs <= COVER_AROUND }
        lengths = near | [@current.stitch_length]
        lengths.product(balances(belief.skew.first)).map { |length, notches| cover_at(length, notches) }
      end

      def cover_at(length, notches, twice: @current.twice)
        at = cover(length, twice: twice)
        by = notches * CoverBand::NOTCH
        Option.new(at: [at - by, at + (opposite? ? by : -by)].map { |place| place.round(4) }, value: [length, notches])
      end

      def balances(skew)
        return [0] unless @machine.balance && opposite?

        near = (-MOST_NOTCHES..MOST_NOTCHES).select { |notches| ((notches * CoverBand::NOTCH) - skew).abs <= BALANCE_AROUND }
        near | [@current.balance]
      end

      def stitch_lengths
        step = @machine.length_step
        return (1..(LONGEST_STITCH / step).floor).map { |number| step * number } unless @machine.length_stepless

        middle = @current.thread.stitch_length
        (-15..15).map do |number|
          @machine.length_settable(Length.mm(middle.to_f * Math.exp(number * STEPLESS_LENGTH)))
        end.uniq
      end
      LONGEST_STITCH = Length.mm(2)
      private_constant :LONGEST_STITCH

      def tension_at(tension) = Option.new(at: [@dial.units(tension).round(4)], value: tension.to_r)

      def widths
        step = @machine.width_stepless ? STEPLESS_WIDTH : @machine.width_step
        (-WIDTHS_AROUND..WIDTHS_AROUND).map { |number| @current.width_wanted + (step * number) }
                                       .select { |width| width.positive? && width <= @machine.max_width }
      end

      def width_at(width) = Option.new(at: [width.to_f.round(4)], value: width)
    end
  end
end
