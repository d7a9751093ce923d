# frozen_string_literal: true

# GuideParts is how a Guide sets a machine and puts it back: part after part, with the power off where hands come near
# the needle.

require_relative "../answer/sentence"
require_relative "../machine/ledger"

module NimbleEyelet
  module Rehearsal
    module GuideParts
      # In the order in which they are set.
      SET_IN_ORDER = %w[needle foot top_thread bobbin_thread bobbin_finger selector width length tension balance foot_pressure speed button_in_foot
                        foot_opened feed_dogs cover_plate].freeze
      SKILL_OF = { **%w[needle foot bobbin_finger cover_plate].to_h { |part| [part, "power"] },
        "top_thread" => "thread", "bobbin_thread" => "thread", "feed_dogs" => "feed-off" }.freeze
      private_constant :SET_IN_ORDER, :SKILL_OF

      private

      def threading(state)
        return if threaded?(state) && bobbin?(state) && state.power

        whole(state) || threaded(state) || (power("on", "thread") unless state.power)
      end

      def threaded?(state) = state.threading == "ready" && state.parts["top_thread"] == @work.row["top_thread"]

      def threaded(state)
        unless threaded?(state)
          return needle_up(state, "thread") if state.needle_down?
          return power("off", "power") if state.power
          return presser("up", "thread") if state.foot_down

          return set("top_thread", @work.row["top_thread"], "thread")
        end
        set("bobbin_thread", @work.row["bobbin_thread"], "thread") unless bobbin?(state)
      end

      def bobbin?(state)
        state.parts["bobbin_thread"] == @work.row["bobbin_thread"] && state.bobbin > @work.bobbin_hole
      end

      # For the row; what passes within a hole comes later.
      def setting(state) = whole(state) || parts(state, hole_parts) || threading(state)

      # @return [GuidedAct, nil] the first part that is not as wanted
      def parts(state, wanted, skill: "settings")
        part = (SET_IN_ORDER & wanted.keys).find { |one| differs?(state, one, wanted[one]) } or return power_back(state)
        return threaded(state) || power_back(state) if %w[top_thread bobbin_thread].include?(part)

        near = MACHINE_PARTS.fetch(part).hands_near
        cleared(state, near, skill) || powered(state, near, skill) ||
          set(part, wanted[part], SKILL_OF.fetch(part, skill))
      end

      # What lies under the needle comes out of the way of hands.
      def cleared(state, near, skill)
        return out(state, skill) if state.under && !state.button? && (near || state.needle_down?)

        needle_up(state, skill) if state.needle_down?
      end

      # Off where hands come near the needle, and on where a dial is turned.
      def powered(state, near, skill)
        return if near ^ state.power

        near ? power("off", "power") : power("on", skill)
      end

      def power_back(state) = state.power ? nil : power("on", "settings")
      def differs?(state, part, to) = state.parts[part] != to || (part == "top_thread" && state.threading != "ready")

      def set(part, to, skill)
        act("set", skill, said(part, to), part: part, to: to)
      end

      # As the steps say it.
      def said(part, to)
        row = MACHINE_PARTS.fetch(part)
        return row.back if to.nil?
        return Sentence["Open the foot %s more.", to] if part == "foot_opened"
        return "Put the #{@work.order.setting.clamped} in the foot." if part == "button_in_foot"

        DONE_WITH.fetch(part) { format(SAID_OF.fetch(part, "Set #{row.name.delete_prefix('stitch ')} %s."), row.called(to)) }
      end
      DONE_WITH = { "top_thread" => "Thread the top thread, foot up.", "bobbin_thread" => "Put in a full bobbin.",
                    "feed_dogs" => "Drop the feed dogs.", "bobbin_finger" => "Thread the bobbin finger.",
                    "cover_plate" => "Put the cover plate over the feed dogs." }.freeze
      SAID_OF = { "needle" => "Fit the needle: %s.", "foot" => "Fit the %s.", "selector" => "Select %s." }.freeze
      private_constant :DONE_WITH, :SAID_OF

      # Everything goes back to the owner's usual.
      def back(state)
        return whole(state) if whole(state)
        return out(state, "look") if state.under
        return presser("up", "back") if state.foot_down && ledger(state).any?

        entry = ledger(state).first or return power_back(state)
        part = entry.part.key
        return act("clear", "back", "Clear the memory.") if part == "memory"

        put_back(state, part)
      end

      def put_back(state, part)
        return needle_up(state, "back") if state.needle_down?

        powered(state, MACHINE_PARTS.fetch(part).hands_near, "back") || set(part, nil, "back")
      end

      def ledger(state) = Ledger.empty.changed(state.parts).entries
    end
  end
end
