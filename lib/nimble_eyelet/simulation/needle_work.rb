# frozen_string_literal: true

# NeedleWork is what the needle of a practice machine does: how high it stands, where it goes in, stitch by stitch,
# when it stops by itself, and what comes of whatever was not ready.
#
#   needle = Simulation::NeedleWork.new(work)
#   needle.pedal(state, 1.5, false).laid.size   # => 7

require_relative "../length/length"
require_relative "../stitch/reckoning"
require_relative "button_work"
require_relative "hole_work"
require_relative "practice_state"

module NimbleEyelet
  module Simulation
    class NeedleWork
      # How far from its line the key may be pressed, mm.
      KEY_OFF = 0.75
      # Degrees that a hand may turn the wheel back without doing harm.
      WHEEL_SLACK = 30

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
        @machine = work.machine
        @hole = HoleWork.new(work)
        @button = ButtonWork.new(work)
      end

      # @param state [PracticeState]
      # @param hard [Boolean]
      # @return [Float] stitches a second
      def rate(state, hard)
        fast = hard && !state.parts.key?("speed")
        @machine.top_speed * (fast ? 1.0 : Stitches::SATIN_SPEED.to_f) / 60
      end

      # @param state [PracticeState]
      # @param degrees [Integer] towards the person; away from them below zero
      # @return [Happening]
      def wheel(state, degrees)
        return back(state, degrees) if degrees.negative?

        happened = sewn(Happening.new(state: state), turns(state, degrees), by_hand: true)
        changed = happened.state
        happened.with(state: changed.with(angle: (state.angle + degrees) % 360,
                                          wheeled: [changed.wheeled + degrees, MOST_WHEELED].min))
      end

      # @param state [PracticeState]
      # @param seconds [Float]
      # @param hard [Boolean]
      # @return [Happening]
      def pedal(state, seconds, hard)
        return Happening.new(state: state, seen: %w[dark]) unless state.power
        return Happening.new(state: state, seen: %w[stuck], heard: %w[grind]) if state.jammed

        begun = begun(Happening.new(state: state, heard: %w[hum]), hard)
        return begun if begun.heard.include?("beep")

        degrees = (seconds * rate(state, hard) * 360).round
        happened = sewn(begun, turns(state, degrees), by_hand: false)
        stopped = happened.seen.include?("stopped")
        happened.with(state: happened.state.with(angle: stopped ? 0 : (state.angle + degrees) % 360))
      end

      # The reverse key: a memory machine that has no length yet stores what it has sewn of the first side.
      #
      # @param state [PracticeState]
      # @return [Happening]
      def key(state)
        return Happening.new(state: state, seen: %w[no_such_part]) unless @work.stores?
        return Happening.new(state: state, heard: %w[click]) unless @hole.learning?(state) && state.stretch.zero? && state.stitch > 1

        first = @work.stretches.first
        stored(state, (first.beyond(state.stitch) * (first.feed <=> 0)) + @work.added)
      end

      # What the pedal would do if it were held from here on.
      #
      # @param state [PracticeState]
      # @return [Happening]
      def ahead(state) = pedal(state, AHEAD, false)

      # @param state [PracticeState]
      # @param to [Integer] number of the stretch
      # @return [Happening]
      def goes_on(state, to) = @hole.goes_on(state, to)

      MOST_WHEELED = 3600
      # Seconds that are shown in advance.
      AHEAD = 40.0
      private_constant :MOST_WHEELED

      private

      # A length that is nearly the one wanted is that one: a machine stores stitches. It sews on to the end of the
      # side.
      #
      # @param off [Float] mm that the key was pressed beyond its line
      def stored(state, off)
        near = off.abs <= KEY_OFF
        kept = near ? @work.figure : Length.mm((@work.figure.to_f + off).rationalize(1r / 100))
        learned = @work.opening + (near ? 0.0 : off.round(6))
        over = state.stitch >= @work.stretches(learned, state.parts).first.points.size
        changed = state.with_part("memory", kept).with(learned: learned, **(over ? { stretch: 1, stitch: 0 } : {}))
        happened = Happening.new(state: changed, heard: %w[click])
        near ? happened : happened.with_spoiled("key_off")
      end

      # How often the needle passes its lowest place.
      def turns(state, degrees) = ((state.angle + degrees + 180) / 360) - ((state.angle + 180) / 360)

      # The wheel turned away ties the threads in the hook.
      def back(state, degrees)
        turned = state.with(angle: (state.angle + degrees) % 360)
        return Happening.new(state: turned) if degrees > -WHEEL_SLACK

        tied = state.threading == "ready" && state.under && (state.needle_down? || turns(turned, -degrees).positive?)
        turned = turned.with(jammed: true, needle_whole: false).spoiled("wheel_away") if tied
        Happening.new(state: turned, heard: tied ? %w[grind] : []).with_slip("wheel_away")
      end

      # What was forgotten shows when the pedal goes down.
      def begun(happened, hard)
        state = happened.state
        return happened.with(seen: %w[no_fabric]) unless state.under

        up = !state.foot_down && state.piece.spoiled.nil? && state.needle_whole
        happened = happened.with(state: state.spoiled("foot_up")).with_slip("foot_up") if up
        state.button? ? @button.begun(happened, hard) : @hole.begun(happened)
      end

      # So many penetrations, or as many as it makes before it stops.
      def sewn(happened, count, by_hand:)
        state = happened.state
        return happened unless state.under && count.positive?
        return happened.with(seen: happened.seen + %w[no_thread]) if %w[none broken].include?(state.threading)
        return happened.with(seen: happened.seen + %w[no_needle]) unless state.needle_whole

        (state.button? ? @button : @hole).sewn(happened, count, by_hand: by_hand)
      end
    end
  end
end
