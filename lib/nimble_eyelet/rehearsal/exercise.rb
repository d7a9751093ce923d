# frozen_string_literal: true

# Exercise is one thing to practise at the machine: from where it begins, and to where it goes. Every figure in it is
# that of the plan it is practised for.
#
#   Rehearsal::Exercise.all(work).map(&:key)   # => ["thread", "set", "hole", "row", "button", "back", "session", …]

require_relative "../sewing/mishap"
require_relative "../simulation/practice_machine"
require_relative "../simulation/practice_state"
require_relative "../simulation/practice_work"
require_relative "../value"
require_relative "guide"

module NimbleEyelet
  module Rehearsal
    # key - String; name, says - String; goals - Array<String>, as a Guide takes them; start - Simulation::PracticeState
    # minutes - Integer, as it mostly takes
    class Exercise < Value.of(:key, :name, :says, :goals, :start, :minutes)
      # Mishaps that can be practised, by what was wrong when they happened.
      RESCUES = %w[mid_cycle mid_programme lost_under_foot lost_out thread_broke thread_out bobbin_out bobbin_under jammed needle_struck].freeze
      RESCUE_PREFIX = "rescue-"

      # @param work [Simulation::PracticeWork]
      # @return [Array<Exercise>] that can be practised for it, the simplest first
      def self.all(work) = Exercises.new(work).all

      # @param work [Simulation::PracticeWork]
      # @param key [String]
      # @return [Exercise]
      # @raise [KeyError]
      def self.fetch(work, key) = Exercises.new(work).find(key) || raise(KeyError, key)

      # What a goal asks of hands; a hole asks for the rest.
      ASKED_BY = { "thread" => %w[thread power], "set" => %w[settings power], "button" => %w[button button-width feed-off],
                   "back" => %w[back] }.freeze
      OF_A_HOLE = %w[place lever sew look].freeze
      private_constant :ASKED_BY, :OF_A_HOLE

      # @return [Array<String>] keys of SKILLS that it trains
      def skills
        holes = goals.count { |goal| goal.start_with?("hole") }
        hole = [*OF_A_HOLE, *("reset" if holes > 1)]
        goals.flat_map { |goal| ASKED_BY.fetch(goal, hole) }.uniq + (mishap ? %w[rescue] : [])
      end

      # @return [String, nil] key of the mishap it is the way out of
      def mishap = key.start_with?(RESCUE_PREFIX) ? key.delete_prefix(RESCUE_PREFIX) : nil
    end

    class Exercises
      # @param work [Simulation::PracticeWork]
      def initialize(work)
        @work = work
        @machine = Simulation::PracticeMachine.new(work)
        @guide = Guide.new(work)
      end

      # @return [Array<Exercise>]
      def all = plain + Exercise::RESCUES.filter_map { |key| rescue_of(key) }

      # @param key [String]
      # @return [Exercise, nil] without working out the others
      def find(key)
        return rescue_of(key.delete_prefix(Exercise::RESCUE_PREFIX)) if key.start_with?(Exercise::RESCUE_PREFIX)

        plain.find { |one| one.key == key }
      end

      private

      def plain
        sewn = @work.hole?
        [thread, set, *(holes if sewn), (button if @work.button?), back, (session if sewn)].compact
      end

      def usual = Simulation::PracticeState.new(bobbin: Simulation::PracticeMachine::FULL_BOBBIN)
      def ready = usual.with(parts: @work.row.compact.freeze)

      def thread
        start = usual.with(threading: "none", foot_down: true, angle: 120, bobbin: 0.0)
        Exercise.new(key: "thread", name: "Thread up", says: "Thread the machine for your buttonholes.", goals: %w[thread], start: start, minutes: 1)
      end

      def set
        Exercise.new(key: "set", name: "Set the machine", says: "Set it as these buttonholes need it.", goals: %w[set], start: usual, minutes: 2)
      end

      def holes
        [Exercise.new(key: "hole", name: hole_name, says: "Sew one buttonhole from its mark.", goals: %w[hole-0], start: ready, minutes: 2),
         Exercise.new(key: "row", name: "Three in a row", says: "Sew three, and start each one at the beginning.",
                      goals: (0...Simulation::PracticeWork::SCRAP_HOLES).map do |number|
                        "hole-#{number}"
                      end, start: ready, minutes: 4)]
      end

      def hole_name
        return "One corded buttonhole" if @work.corded?
        return "One buttonhole by zigzag" if @work.by_hand?

        @work.partwise? ? "One buttonhole, step by step" : "One buttonhole"
      end

      def button
        name = @work.pairs > 1 ? "A four-hole button" : "A button"
        Exercise.new(key: "button", name: name, says: "Set the machine for buttons, and sew one on.", goals: %w[button], start: ready, minutes: 3)
      end

      # As it stands when the last button is on, or the last hole sewn.
      def back
        left = @work.button? ? @work.row.merge(@work.for_button) : @work.row
        start = usual.with(parts: left.merge(@work.stores? ? { "memory" => @work.figure } : {}).compact.freeze)
        Exercise.new(key: "back", name: "Back to normal", says: "Put back everything you changed.", goals: %w[back], start: start, minutes: 2)
      end

      def session
        goals = %w[set hole-0 hole-1] + (@work.button? ? %w[button] : []) + %w[back]
        Exercise.new(key: "session", name: "My next session, fast", says: "Everything once, at four times the speed.", goals: goals, start: usual,
                     minutes: 4)
      end

      def rescue_of(key)
        mishap = Exercise::RESCUES.include?(key) && Sewing::MISHAPS.fetch(key)
        return unless mishap && @work.hole? && happens?(mishap)

        Exercise.new(key: "#{Exercise::RESCUE_PREFIX}#{key}", name: mishap.says,
                     says: "Put it right, then finish the hole.", goals: %w[hole-0], start: gone_wrong(key), minutes: 2)
      end

      # A place is lost only where a programme has one.
      def happens?(mishap)
        return false unless mishap.on?(@work.machine.type)

        mishap.key == "lost_under_foot" ? @work.programmed? : !(mishap.cycle && @work.by_hand?)
      end

      # In the middle of the first side.
      def under_way
        state = ready
        while (step = @guide.towards(state, "hole-0")) && !middle?(state)
          act = step.act.act == "pedal" ? halved(step.act, state) : step.act
          state = @machine.apply(state, act).state
        end
        state
      end

      def middle?(state)
        state.piece.points.size > @work.stretches.first.points.size / 2 && state.stretch >= first_side
      end

      def first_side = @work.stretches.index { |stretch| stretch.kind == :bead } || 0

      # So long that it stops in the middle of a side.
      def halved(act, state)
        return act unless state.stretch <= first_side && act.seconds > HALF_WAY

        act.with(seconds: act.seconds * (@work.programmed? ? QUARTER : HALF_WAY))
      end
      HALF_WAY = 0.5
      QUARTER = 0.25
      private_constant :HALF_WAY, :QUARTER

      def gone_wrong(key)
        return begun_wrong if %w[mid_cycle mid_programme].include?(key)

        state = under_way
        case key
        when "lost_under_foot" then @machine.apply(state, Simulation::PracticeAct.new(act: "power", to: "off")).state.with(power: true)
        when "thread_broke" then state.with(threading: "broken")
        when "thread_out" then state.with(threading: "outside").spoiled("threaded_down")
        when "bobbin_out" then state.with(bobbin: 0.0)
        when "bobbin_under" then state.with(bobbin: 0.0, shut: true).spoiled("bobbin_under")
        when "jammed" then state.with(jammed: true, needle_whole: false).spoiled("jammed")
        when "needle_struck" then state.snapped.spoiled("needle_struck")
        else state.with(foot_down: false, angle: 0, under: nil, stretch: 0, stitch: 0).with_part("memory", nil)
        end
      end

      # A second hole that began where the first one ended.
      def begun_wrong
        spent = ready.with(stretch: @work.stretches.size - 1, stitch: 1, spent: true)
        lay = Simulation::PracticeAct.new(act: "lay", to: "hole-0")
        laid = @machine.apply(spent, lay).state.with(tails: "led", carriage: "front")
        @machine.apply(laid, Simulation::PracticeAct.new(act: "wheel", degrees: 180)).state.with(foot_down: true)
      end
    end
  end
end
