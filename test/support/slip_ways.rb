# frozen_string_literal: true

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Support
    # For every slip an exercise that is done rightly up to a moment, and the one or two acts by which it goes wrong
    # there.
    class SlipWays
      # Seconds of the pedal that are long enough to be seen.
      SHORT = 0.8
      EXERCISES = %w[row button thread back rescue-needle_struck hole].freeze

      # @param work [Simulation::PracticeWork]
      # @param key [String] of an exercise
      # @return [Array<Simulation::PracticeAct>] done rightly
      def self.led(work, key)
        exercise = Rehearsal::Exercise.fetch(work, key)
        acts = []
        loop do
          attempt = Rehearsal::Attempt.of(exercise, work, acts)
          return acts if attempt.done?

          acts << attempt.step.act
        end
      end

      # @param act [Hash{String => Object}] as it is told
      # @return [Hash{Symbol => Object}]
      def self.read(act)
        to = act["to"]
        mm = to && to[%r{\Amm:(\d+(?:/\d+)?)\z}, 1]
        { act: act["act"], part: act["part"], to: mm ? Length.mm(mm.to_r) : to, degrees: act["degrees"].to_i,
          seconds: act["seconds"].to_f, hard: act["hard"] || false, across: act["across"].to_f, along: act["along"].to_f }
      end

      # @param works [Hash{Integer => Simulation::PracticeWork}] by closure
      def initialize(works)
        @works = works
      end

      # @return [Hash{String => Array}] slip to closure, exercise, acts before it, and those that go wrong
      def all
        found = { "left_changed" => [@works.keys.first, "back", [], [act("finish")]] }
        @works.each { |id, work| EXERCISES.each { |key| search(id, work, key, found) } }
        found
      end

      private

      def act(name, **more) = Simulation::PracticeAct.new(act: name, **more)

      def search(id, work, key, found)
        machine = Simulation::PracticeMachine.new(work)
        exercise = Rehearsal::Exercise.all(work).find { |one| one.key == key } or return
        before = []
        state = exercise.start
        [*SlipWays.led(work, key), nil].each do |right|
          wrong(work).each { |acts| keep(machine, state, acts, found, [id, key, before.dup]) }
          break unless right

          state = machine.apply(state, right).state
          before << right
        end
      end

      def keep(machine, state, acts, found, where)
        happened = nil
        acts.each { |one| happened = machine.apply(happened ? happened.state : state, one) }
        happened.slips.map(&:first).each { |slip| found[slip] ||= [*where, acts] }
      end

      # One or two acts that somebody may do at any moment.
      def wrong(work)
        set = { "needle" => nil, "selector" => nil, "top_thread" => work.row["top_thread"] }
        singles = set.map { |part, to| act("set", part: part, to: to) }
        singles += [act("pedal", seconds: SHORT), act("wheel", degrees: -180), act("presser", to: "up"), act("lift")]
        singles += [act("move", across: 2.0), *([act("turn")] if work.by_hand?)]
        singles.each_slice(1).to_a + pairs + [[act("pedal", seconds: SHORT, hard: true)]]
      end

      def pairs
        sew = act("pedal", seconds: SHORT)
        laid = %w[hole-0 hole-1].map { |to| [act("lay", to: to, across: 1.5, along: -1.0), act("wheel", degrees: 180)] }
        [*laid, [act("clear"), sew], [sew, act("key")],
         [sew, act("wheel", degrees: 180), act("step", to: "1")], [act("set", part: "feed_dogs", to: nil), sew],
         [act("set", part: "width", to: "0"), sew]]
      end
    end
  end
end
