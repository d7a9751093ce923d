# frozen_string_literal: true

# PracticeMachine is a sewing machine of the owner's own kind that behaves: its parts can be moved in any order, it sews
# when the pedal is down, and it does what a real one does when something was forgotten. The same acts always come to
# the same: nothing in it is left to chance.
#
#   machine = Simulation::PracticeMachine.new(Simulation::PracticeWork.of(sheet))
#   happening = machine.apply(state, PracticeAct.new(act: "pedal", seconds: 2.0))
#   happening.laid.size   # => 9
#   happening.slips       # => [["lever_up", []]]

require_relative "../machine/ledger"
require_relative "../value"
require_relative "fabric_acts"
require_relative "needle_work"
require_relative "practice_state"

module NimbleEyelet
  module Simulation
    # What hands do. act - String, of ACTS; part, to - of a part that is set, nil for its usual; degrees - Integer, of
    # the wheel, positive towards the person; seconds - Float, of the pedal; hard - Boolean, it is pressed right down
    # across, along - Float mm, of fabric that is laid or moved
    PracticeAct = Value.of(:act, part: nil, to: nil, degrees: 0, seconds: 0.0, hard: false, across: 0.0, along: 0.0)

    class PracticeMachine
      ACTS = %w[power set presser begin_again step position lay move turn lift lead_tails slide_foot hook_cord wheel pedal key
                clear free search].freeze

      # mm of thread on a full bobbin, about.
      FULL_BOBBIN = 40_000.0
      # What nothing is turned of while the needle is in the fabric.
      TURNED_DIALS = %w[selector width step].freeze
      private_constant :TURNED_DIALS

      include FabricActs

      # @return [PracticeWork]
      attr_reader :work

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
        @machine = work.machine
        @needle = NeedleWork.new(work)
      end

      # @param state [PracticeState]
      # @param act [PracticeAct]
      # @return [Happening]
      # @raise [KeyError] for an act nobody knows
      def apply(state, act)
        raise KeyError, act.act unless ACTS.include?(act.act)

        send(:"do_#{act.act}", state, act)
      end

      private

      def now(state, *seen, heard: []) = Happening.new(state: state, seen: seen, heard: heard)

      def do_power(state, act)
        off = act.to == "off"
        changed = off ? state.with_part("memory", nil).with(power: false, learned: nil) : state.with(power: true)
        return now(changed, heard: %w[click]) unless off && @work.programmed?

        within = state.within_a_hole? && !state.button? && state.piece.spoiled.nil?
        changed = lost(changed).spoiled("power_gone") if within
        now(changed.with(stretch: 0, stitch: 0, spent: false), heard: %w[click])
      end

      def do_presser(state, act)
        down = act.to == "down"
        return now(state.with(foot_down: true), heard: %w[thud]) if down
        return now(state.with(foot_down: false), heard: %w[thud]) unless loses_place?(state)

        changed = lost(state).with(foot_down: false, stretch: 0, stitch: 0, learned: nil).with_part("memory", nil)
        happened = now(changed.spoiled("foot_lifted"), "place_lost", heard: %w[thud])
        on_purpose?(state) ? happened : happened.with_slip("foot_lifted")
      end

      # Where it was: as long as the fabric does not move, the rest can be sewn from there by hand.
      def lost(state) = state.with_piece(lost: [state.stretch, state.stitch].freeze)

      def loses_place?(state)
        within = state.foot_down && state.within_a_hole? && !state.button? && !state.piece.spoiled
        within && @work.programmed? && @machine.lift_resets
      end

      # Where it has to go up to thread again, or to change the bobbin.
      def on_purpose?(state) = state.threading != "ready" || state.bobbin < @work.bobbin_stitch

      # A part is moved, and what that does beside it.
      def do_set(state, act)
        return do_lever(state, act) if act.part == "lever"
        return now(state, "no_such_part") unless there?(act.part)

        return now(state, "out_of_reach") if act.part == "bobbin_thread" && state.shut && state.under

        happened = near_the_needle(now(moved(state, act), heard: %w[click]), state, act)
        return threaded(happened, state) if act.part == "top_thread"
        return renewed(happened, state) if act.part == "needle"

        forgetting(turned_in_fabric(happened, state, act), act)
      end

      # What goes back takes along what goes with it.
      def moved(state, act)
        changes = act.to.nil? ? Ledger.put_back(MACHINE_PARTS.fetch(act.part)) : { act.part => act.to }
        changed = state.with(parts: state.parts.merge(changes).compact.freeze)
        if act.part == "bobbin_thread"
          changed.with(bobbin: act.to ? FULL_BOBBIN : 0.0)
        else
          changed
        end
      end

      # A new needle, before all of the old one was found.
      def renewed(happened, state)
        changed = happened.with(state: happened.state.with(needle_whole: true, pieces: false))
        state.pieces ? changed.with_slip("pieces_left") : changed
      end

      # What this machine has not got.
      def there?(part)
        { "speed" => @machine.speed_limiter, "foot_pressure" => @machine.foot_pressure, "balance" => @machine.balance,
          "bobbin_finger" => @machine.bobbin_finger, "feed_dogs" => @machine.feed_stop == "drop_feed",
          "cover_plate" => @machine.feed_stop == "cover_plate" }.fetch(part, MACHINE_PARTS.key?(part))
      end

      def do_lever(state, act)
        return now(state, "no_such_part") unless @machine.type.senses

        now(state.with_part("lever", act.to), heard: %w[click])
      end

      # Fingers beside a needle that can move. What lies under the foot need not be let go for the thread alone.
      def near_the_needle(happened, state, act)
        near = MACHINE_PARTS.fetch(act.part).hands_near || (act.part == "top_thread" && state.threading != "broken")
        near && state.power ? happened.with_slip("power_on") : happened
      end

      # With the foot down a thread from the spool stays outside the discs; what broke at the needle lies in them still.
      def threaded(happened, state)
        outside = state.foot_down && state.threading != "broken"
        changed = happened.with(state: happened.state.with(threading: outside ? "outside" : "ready"))
        outside ? changed.with_slip("threaded_down") : changed
      end

      def turned_in_fabric(happened, state, act)
        unless TURNED_DIALS.include?(act.part) && state.needle_down? && state.under && state.needle_whole
          return happened
        end

        bent = happened.state.snapped.spoiled("needle_in_turn")
        happened.with(state: bent, heard: happened.heard + %w[snap]).with_slip("needle_in_turn")
      end

      # What is turned makes it forget the length that it stored, and takes it back to the beginning, as this machine
      # does.
      def forgetting(happened, act)
        state = happened.state
        forgets = { "other_programme" => %w[selector], "other_setting" => %w[selector width length] }.fetch(@machine.forgets, [])
        state = state.with_part("memory", nil).with(learned: nil) if forgets.include?(act.part)
        state = state.with(stretch: 0, stitch: 0, spent: false) if act.part == "selector" && @work.programmed?
        happened.with(state: state)
      end

      def do_begin_again(state, _act)
        return now(state, "no_such_part") if @work.by_hand?

        changed = state.with(stretch: 0, stitch: 0, spent: false, shift: [0.0, 0.0].freeze)
        changed = changed.with_part("lever", nil) if @machine.reset == "push_lever" || @machine.reset_words.nil?
        happened = now(changed, heard: %w[click])
        @work.partwise? ? turned_in_fabric(happened, state, PracticeAct.new(act: "set", part: "step")) : happened
      end

      # The next part of a stepped machine.
      def do_step(state, act)
        return now(state, "no_such_part") unless @work.partwise?

        to = act.to.to_i.clamp(0, @work.stretches.size - 1)
        happened = @needle.goes_on(state, to)
        turned_in_fabric(happened, state, PracticeAct.new(act: "set", part: "step")).then { |one| one.with(heard: one.heard + %w[click]) }
      end

      # The needle, or the fabric, to one side.
      def do_position(state, act)
        happened = now(state.with(aside: act.to == "aside"), heard: %w[click])
        turned_in_fabric(happened, state, PracticeAct.new(act: "set", part: "width"))
      end

      def do_clear(state, _act)
        return now(state, "no_such_part") unless @work.stores?

        now(state.with_part("memory", nil).with(learned: nil), heard: %w[click])
      end

      # What is drawn into the plate is cut free and the hook cleaned.
      def do_free(state, _act)
        happened = now(state.with(jammed: false, threading: state.jammed ? "none" : state.threading))
        state.power ? happened.with_slip("power_on") : happened
      end

      # Every piece of a broken needle.
      def do_search(state, _act) = now(state.with(pieces: false))

      def do_wheel(state, act) = @needle.wheel(state, act.degrees)
      def do_pedal(state, act) = @needle.pedal(state, act.seconds, act.hard)
      def do_key(state, _act) = @needle.key(state)
    end
  end
end
