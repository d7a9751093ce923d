# frozen_string_literal: true

# GuideHole is how a Guide sews one hole: the machine at its start, the needle in the mark, the lever, each stretch to
# its end, and the fabric out.

require_relative "../simulation/hole_work"
require_relative "../simulation/mend_work"

module NimbleEyelet
  module Rehearsal
    module GuideHole
      private

      def hole(state, goal)
        piece = state.piece(goal)
        return (out(state, "look") if state.under == goal) if piece.finished && piece.spoiled.nil?
        return whole(state) || mended(state) if state.under == goal && piece.lost && !piece.finished

        whole(state) || ready(state, goal) || laid(state, goal) || sewing(state)
      end

      # Where it lost its place and the fabric has not moved: the needle into its last hole, the rest by plain zigzag.
      def mended(state)
        return power("on", "rescue") unless state.power

        number, stitch = Simulation::MendWork.new(@work).following(state.piece.lost)
        stretch = @work.stretches[number]
        return presser("down", "rescue") unless state.foot_down

        zigzag(state, stretch) || pedalled(state, stretch.points.size - stitch, "Sew #{named(stretch)}.")
      end

      def zigzag(state, stretch)
        part, to = @work.mended_by(stretch).find { |one, at| state.parts[one] != at }
        return unless part

        state.needle_down? ? needle_up(state, "rescue") : set(part, to, "rescue")
      end

      # Whatever else lies there, or was spoiled, comes out first.
      def ready(state, goal)
        return after(state) if state.under && (state.under != goal || state.piece.spoiled)
        return threaded_again(state) if state.threading != "ready" || state.bobbin <= 0
        return if state.under

        parts(state, hole_parts) || at_the_start(state)
      end

      # By hand the dials are turned within the hole.
      def hole_parts = @work.by_hand? ? @work.row.except("width", "length") : @work.row

      def after(state) = out(state, state.piece.spoiled ? "rescue" : "look")

      # Within a hole what broke at the needle is threaded with the foot down.
      def threaded_again(state)
        return threading(state) if state.under.nil? || !state.within_a_hole? || state.threading == "outside"
        return needle_up(state, "rescue") if state.needle_down?
        return set("top_thread", @work.row["top_thread"], "rescue") if state.threading == "broken"
        return threading(state) if state.threading == "none"

        set("bobbin_thread", @work.row["bobbin_thread"], "rescue")
      end

      def at_the_start(state)
        return if @work.by_hand?

        words = @work.machine.reset_words
        return lever("up") if state.parts["lever"] && @work.machine.reset != "push_lever" && (words || state.at_first?)
        return if state.at_first? && state.parts["lever"].nil?

        act("begin_again", "reset", words ? "Back to the start: #{words}." : "Select the buttonhole again.")
      end

      def lever(to) = act("set", to == "up" ? "reset" : "lever", LEVER.fetch(to), part: "lever", to: ("down" if to == "down"))
      LEVER = { "up" => "Push the buttonhole lever up.", "down" => "Pull the buttonhole lever right down." }.freeze
      private_constant :LEVER

      # The fabric under the needle, the needle in the mark, foot and lever down.
      def laid(state, goal)
        if state.under.nil?
          return needle_up(state, "look") if state.needle_down?
          return presser("up", "place") if state.foot_down

          return act("lay", "place", "Lay the mark under the needle.", to: goal)
        end
        return if state.within_a_hole? && state.piece.begun

        lined_up(state) || ends_ready(state) || lowered(state)
      end

      def lined_up(state)
        return unless state.piece.untouched? && state.off.any? { |off| off.abs > 0.01 }

        across, along = state.off.map(&:-@)
        act("move", "place", "Move the mark exactly under the needle.", across: across, along: along)
      end

      def ends_ready(state)
        return act("slide_foot", "place", "Slide the buttonhole foot up to its front stop.") if @work.clamped? && state.carriage == "gap"
        return act("hook_cord", "place", "Hook the cord's loop over the prong.") if @work.corded? && !state.cord

        act("lead_tails", "place", "Lead both threads under the foot and off to one side.") if state.tails == "loose"
      end

      def lowered(state)
        return dials(state) if @work.by_hand? && state.piece.untouched? && dials(state)
        return wheel(state, 180, "place", "Turn the hand wheel towards you to lower the needle into the mark.") if state.piece.untouched?
        return presser("down", "sew") unless state.foot_down

        lever("down") if @work.clamped? && state.parts["lever"].nil?
      end

      def sewing(state)
        return presser("down", "sew") unless state.foot_down || pivoting?(state)
        return programme(state) if @work.programmed?

        stretch = wanted(state)
        return further(state) unless stretch == stretch(state) || (@work.by_hand? && further(state).nil?)

        further = further_dials(state, stretch) and return further
        pedalled(state, stretch.points.size - (stretch == stretch(state) ? state.stitch : 0), "Sew #{named(stretch)}.")
      end

      def further_dials(state, stretch) = (dials(state, stretch) if @work.by_hand?)

      def stretch(state) = stretches(state)[state.stretch]
      def stretches(state) = Simulation::HoleWork.new(@work).stretches(state)

      # What a person sees of it: a side or an end.
      def named(stretch) = { bead: "one side", tack: "the end", lock: "three stitches on the spot" }.fetch(stretch.kind, "on round the end")

      # Length by length on a machine that goes on by itself; its key at the end of the first side.
      def programme(state)
        if @work.stores? && state.parts["memory"].nil? && state.stretch.zero?
          left = @work.keyed_after - state.stitch
          return left.positive? ? pedalled(state, left, "Sew to your line.") : act("key", "test-sew", "Press the reverse key at the line.")
        end
        left = stretches(state).drop(state.stretch).sum { |one| one.points.size } - state.stitch
        pedalled(state, left, @work.stops_itself? ? "Sew. It stops by itself." : "Sew. Stop when the second side meets the end.")
      end

      # Held until so many more stitches are sewn, with the needle in the last of them.
      def pedalled(state, stitches, says)
        degrees = (360 * (stitches - 1)) + ((180 - state.angle) % 360).then { |turn| turn.zero? ? 360 : turn }
        act("pedal", "sew", says, seconds: degrees / 360.0 / @needle.rate(state, false))
      end

      # The next stretch of a hole that somebody steps through.
      def further(state)
        return stepped(state) if @work.partwise?

        pivoted(state) || dials(state)
      end

      def stepped(state)
        return needle_up(state, "sew") if state.needle_down?

        act("step", "sew", "Turn the dial to the next part.", to: (state.stretch + 1).to_s)
      end

      def wanted(state)
        state.stitch < stretch(state).points.size ? stretch(state) : stretches(state)[state.stretch + 1]
      end

      # The dials of what is sewn next, needle up.
      def dials(state, stretch = wanted(state))
        have = state.turned_to
        part = %w[aside width length].find { |one| stretch.needs.key?(one) && have[one] != stretch.needs[one] } or return
        return needle_up(state, "sew") if state.needle_down? && state.under && !state.piece.untouched?
        return set(part, stretch.needs[part], "sew") unless part == "aside"

        act("position", "sew", aside(stretch.needs[part]), to: stretch.needs[part] ? "aside" : "middle")
      end

      def aside(to) = to ? "Move the needle to the side." : "Move the needle back to the middle."

      # Half a turn: in the middle, at width 0, needle down, foot up.
      def pivoted(state)
        following = wanted(state) or return
        return unless following.needs["turned"] && !state.turned

        if state.parts["width"] != "0" || state.aside
          return needle_up(state, "sew") if state.needle_down?

          return state.aside ? act("position", "sew", aside(false), to: "middle") : set("width", "0", "sew")
        end
        return wheel(state, 180, "sew", "Turn the wheel towards you: needle down on the slit line.") unless state.needle_down?
        return presser("up", "sew") if state.foot_down

        act("turn", "sew", "Turn the fabric half round.")
      end

      def pivoting?(state)
        @work.by_hand? && state.parts["width"] == "0" && !state.turned && state.stretch == 2 && state.needle_down?
      end
    end
  end
end
