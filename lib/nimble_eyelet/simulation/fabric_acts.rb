# frozen_string_literal: true

# FabricActs is what hands do to the fabric at a practice machine: lay it, move it, turn it, take it out.

require_relative "practice_state"

module NimbleEyelet
  module Simulation
    module FabricActs
      # What fabric slips, mm, that is turned about nothing.
      PIVOT_LOST = 2.0
      # How everything lies about a hole that was just laid there.
      AS_LAID = { shift: [0.0, 0.0].freeze, tails: "loose", carriage: "gap", turned: false, wheeled: 0,
                  cord: false }.freeze
      private_constant :AS_LAID

      private

      def do_lay(state, act)
        return now(state, "foot_in_the_way") if state.foot_down
        return dragged(state) if state.needle_down? && state.under

        laid = state.with(under: act.to, off: [act.across, act.along].freeze, **AS_LAID)
        laid = laid.with(stretch: 0, stitch: 0) if @work.by_hand? || laid.button?
        now(again(laid))
      end

      # What was not finished there, or spoiled, is sewn over.
      def again(state)
        piece = state.piece
        return state if piece.spoiled.nil? && (piece.finished || piece.untouched?)

        state.with(sewn: state.sewn.merge(state.under => SewnSoFar.new(before: piece.points)).freeze)
      end

      def dragged(state)
        bent = state.snapped.spoiled("dragged")
        now(bent, heard: %w[snap]).with_slip("dragged")
      end

      def do_move(state, act)
        return now(state, "no_fabric") unless state.under
        return dragged(state) if state.needle_down? && state.needle_whole
        return now(state.with(off: shifted(state.off, act))) unless state.within_a_hole?

        now(state.with(shift: shifted(state.shift, act)).with_piece(lost: nil)).with_spoiled("dragged")
      end

      def shifted(by, act) = [by[0] + act.across, by[1] + act.along].freeze

      # Half a turn about the needle: it has to be in the fabric and in the middle, with the foot up.
      def do_turn(state, _act)
        return now(state, "no_fabric") unless state.under
        return now(state, "foot_in_the_way") if state.foot_down

        turned = state.with(turned: !state.turned)
        middle = state.needle_down? && !state.aside && state.parts["width"] == "0"
        return now(turned) if middle || !state.within_a_hole?

        slipped = turned.with(shift: [state.shift[0], state.shift[1] + PIVOT_LOST].freeze).spoiled("pivot_off")
        now(slipped).with_slip("pivot_off")
      end

      def do_lift(state, _act)
        return now(state, "no_fabric") unless state.under
        return now(state, "foot_in_the_way") if state.foot_down
        return dragged(state) if state.needle_down?

        gone = state.piece.lost ? state.with_piece(lost: nil) : state
        now(gone.with(under: nil))
      end

      def do_lead_tails(state, _act) = state.under ? now(state.with(tails: "led")) : now(state, "no_fabric")

      def do_slide_foot(state, _act)
        @work.clamped? ? now(state.with(carriage: "front"), heard: %w[click]) : now(state, "no_such_part")
      end

      def do_hook_cord(state, _act) = @work.corded? ? now(state.with(cord: true)) : now(state, "no_such_part")
    end
  end
end
