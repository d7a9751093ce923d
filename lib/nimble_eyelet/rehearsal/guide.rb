# frozen_string_literal: true

# Guide knows the next right act towards a goal, whatever state a practice machine is in: it shows, it hints, and it
# leads back from every slip.
#
#   guide = Rehearsal::Guide.new(work)
#   guide.towards(state, "hole-0").act.act   # => "lay"

require_relative "../simulation/needle_work"
require_relative "../simulation/practice_machine"
require_relative "guide_button"
require_relative "guide_hole"
require_relative "guide_parts"
require_relative "guided_act"

module NimbleEyelet
  module Rehearsal
    class Guide
      include GuideParts
      include GuideHole
      include GuideButton

      # @param work [Simulation::PracticeWork]
      def initialize(work)
        @work = work
        @needle = Simulation::NeedleWork.new(work)
      end

      # @param state [Simulation::PracticeState]
      # @param goal [String] "thread", "set", "hole-0", "button" or "back"
      # @return [GuidedAct, nil] nothing when it is reached
      def towards(state, goal)
        case goal
        when "thread" then threading(state)
        when "set" then setting(state)
        when "button" then button(state)
        when "back" then back(state)
        else hole(state, goal)
        end
      end

      private

      def act(name, skill, says, **more)
        GuidedAct.new(act: Simulation::PracticeAct.new(act: name, **more), skill: skill, says: says)
      end

      # What has to be put right before anything else: a jam, a broken needle, the power.
      def whole(state)
        if state.jammed then state.power ? power("off", "rescue") : act("free", "rescue", "Cut what holds, and clean the hook.")
        elsif state.pieces then state.power ? power("off", "rescue") : act("search", "rescue", "Find every piece of the needle.")
        elsif !state.needle_whole
          state.power ? power("off", "rescue") : set("needle", @work.row["needle"], "rescue")
        end
      end

      def power(to, skill) = act("power", skill, "Switch the machine #{to}.", to: to)

      def presser(to, skill)
        act("presser", skill, to == "down" ? "Lower the presser foot." : "Raise the presser foot.", to: to)
      end

      # @param to [Integer] degrees, 0 for the needle up and 180 for it down
      def wheel(state, to, skill, says)
        act("wheel", skill, says, degrees: ((to - state.angle) % 360).then { |turn| turn.zero? ? 360 : turn })
      end

      def needle_up(state, skill) = wheel(state, 0, skill, "Turn the hand wheel towards you until the needle is up.")

      # The fabric comes out: the needle first.
      def out(state, skill)
        return needle_up(state, skill) if state.needle_down?
        return presser("up", skill) if state.foot_down

        act("lift", skill, "Slide the fabric out.")
      end
    end
  end
end
