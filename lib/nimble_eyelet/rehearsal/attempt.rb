# frozen_string_literal: true

# Attempt is an exercise as it was done: every act in order, what came of it, the slips where they happened, and what
# to do next. The same acts come to the same attempt.
#
#   attempt = Rehearsal::Attempt.of(exercise, work, acts)
#   attempt.slips.map { |one| one.slip.key }   # => ["lever_up"]
#   attempt.ratings(alone: true)               # => { "place" => 3, "lever" => 1, … }

require_relative "../machine/ledger"
require_relative "../simulation/practice_machine"
require_relative "../value"
require_relative "guide"
require_relative "slip"

module NimbleEyelet
  module Rehearsal
    # A slip where it happened. act - Integer, number of the act, from 0; slip - Slip; about - Array<String>, machine
    # parts
    SlipMoment = Value.of(:act, :slip, :about)

    # exercise - Exercise; state - Simulation::PracticeState; last - Simulation::Happening or nil, what came of the
    #   last act
    # slips - Array<SlipMoment>; reached - Integer, goals so far; asked - Array<String>, skills that were asked for
    # step - GuidedAct or nil, what comes next; finished - Boolean, whoever practised said so
    class Attempt < Value.of(:exercise, :state, :last, :slips, :reached, :asked, :step, :finished)
      # Said by whoever thinks that all is done.
      SAID_DONE = "finish"
      # How well something went, as a schedule of repetitions asks.
      MISSED = 1
      HARD = 2
      GOOD = 3

      # @param exercise [Exercise]
      # @param work [Simulation::PracticeWork]
      # @param acts [Array<Simulation::PracticeAct>]
      # @return [Attempt]
      # @raise [KeyError] for an act nobody knows
      def self.of(exercise, work, acts)
        machine = Simulation::PracticeMachine.new(work)
        guide = Guide.new(work)
        first = new(exercise: exercise, state: exercise.start, last: nil, slips: [], reached: 0, asked: [], step: nil,
                    finished: false)
        acts.each_with_index.reduce(first.led(guide)) do |attempt, (act, number)|
          attempt.after(act, number, machine).led(guide)
        end
      end

      # @return [Boolean] whether every goal is reached, or it was said to be done
      def done? = finished || reached >= exercise.goals.size

      # @return [Boolean] whether it was done, and every goal reached
      def whole? = reached >= exercise.goals.size

      # @return [SlipMoment, nil] the dearest slip, the last of them: the one thing to watch
      def watch = slips.reverse.max_by { |one| one.slip.minutes }

      # @param alone [Boolean] without hints
      # @return [Hash{String => Integer}] skill to how well it went
      def ratings(alone:)
        missed = slips.map { |one| one.slip.skill }
        went = alone ? GOOD : HARD
        (asked | missed).to_h { |skill| [skill, missed.include?(skill) ? MISSED : went] }
      end

      # @param act [Simulation::PracticeAct]
      # @param number [Integer]
      # @param machine [Simulation::PracticeMachine]
      # @return [Attempt]
      def after(act, number, machine)
        return self if done?
        return said_done(number) if act.act == SAID_DONE

        happened = machine.apply(state, act)
        found = happened.slips.map { |key, about| SlipMoment.new(act: number, slip: SLIPS.fetch(key), about: about) }
        with(state: happened.state, last: happened, slips: slips + found)
      end

      # @param guide [Guide]
      # @return [Attempt] with the goals that are reached, and what comes next
      def led(guide)
        goals = exercise.goals
        at = reached
        step = nil
        at += 1 while at < goals.size && (step = guide.towards(state, goals[at])).nil?
        with(reached: at, step: step, asked: step ? asked | [step.skill] : asked)
      end

      private

      # Whatever of the machine is not back then stays so.
      def said_done(number)
        left = Ledger.empty.changed(state.parts).entries.map { |entry| entry.part.key }
        missed = exercise.goals.include?("back") && left.any?
        found = missed ? [SlipMoment.new(act: number, slip: SLIPS.fetch("left_changed"), about: left)] : []
        with(finished: true, slips: slips + found)
      end
    end
  end
end
