# frozen_string_literal: true

# GuideButton is how a Guide sews a button on: set for it, each pair of holes under the needle, tried by hand, then
# sewn.

require_relative "../simulation/button_work"

module NimbleEyelet
  module Rehearsal
    module GuideButton
      private

      def button(state)
        whole(state) || button_set(state) || pairs(state)
      end

      # The width is that of the pair.
      def button_set(state)
        return out(state, "look") if state.under && !state.button?

        wanted = @work.for_button.except("lever", "cycle", "memory", "width")
        parts(state, wanted.reject { |part, to| part == "length" && to.nil? }, skill: "button-width")
      end

      def pairs(state)
        number = (0...@work.pairs).find { |pair| undone?(state.piece("pair-#{pair}")) }
        return (out(state, "look") if state.under) unless number

        pair(state, number)
      end

      def undone?(piece) = !piece.finished || !piece.spoiled.nil?

      def pair(state, number)
        name = "pair-#{number}"
        lying(state, name) || width_of(state, number) || tried(state) || sewn_on(state)
      end

      def lying(state, name)
        return if state.under == name && state.piece.spoiled.nil? && state.off.all? { |off| off.abs < 0.01 }
        return needle_up(state, "button") if state.needle_down?
        return presser("up", "button") if state.foot_down

        act("lay", "button", "Lay the next pair of holes under the needle.", to: name)
      end

      def width_of(state, number)
        mark = @work.pair_width(number)
        return if state.parts["width"] == mark

        state.needle_down? ? needle_up(state, "button-width") : set("width", mark, "button-width")
      end

      def tried(state)
        return presser("down", "button") unless state.foot_down
        return if state.piece.begun || state.wheeled >= Simulation::ButtonWork::BOTH_HOLES

        act("wheel", "button", "Turn the hand wheel: the needle must drop into both holes.", degrees: TWO_TURNS)
      end
      TWO_TURNS = 720
      private_constant :TWO_TURNS

      def sewn_on(state)
        left = @work.sewn_on(nil).parts[state.under[/\d+/].to_i].points.size - state.stitch
        pedalled(state, left, "Sew this pair, slowly.")
      end
    end
  end
end
