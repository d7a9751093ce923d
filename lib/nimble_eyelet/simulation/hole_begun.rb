# frozen_string_literal: true

# HoleBegun is what shows when the pedal goes down for the first time in a hole: whatever was forgotten before it.
#
#   HoleBegun.new(work).begun(happened).slips   # => [["tails_loose", []], ["lever_up", []]]

module NimbleEyelet
  module Simulation
    class HoleBegun
      # What does not spoil the hole.
      SPARED = %w[tails_loose].freeze
      private_constant :SPARED

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
      end

      # @param happened [Happening]
      # @return [Happening]
      def begun(happened)
        piece = happened.state.piece
        return lever(happened) if piece.begun
        return happened if piece.finished

        begun = forgotten(happened.state).reduce(happened) do |all, (slip, about)|
          SPARED.include?(slip) ? all.with_slip(slip, about) : all.with_spoiled(slip, about)
        end
        lever(begun.with(state: begun.state.with_piece(begun: true)))
      end

      private

      def forgotten(state)
        parts = differs(state)
        lost = @work.learning?(state.parts) && state.under != "hole-0"
        [["tails_loose", [], state.tails == "loose"], ["not_set", parts, parts.any?], ["memory_lost", [], lost],
         ["no_cord", [], @work.corded? && !state.cord], ["gap", [], @work.clamped? && state.carriage == "gap"]]
          .filter_map { |slip, about, so| [slip, about] if so }
      end

      def differs(state)
        wanted = @work.by_hand? ? @work.row.except("width", "length") : @work.row
        wanted.reject { |part, to| state.parts[part] == to }.keys
      end

      # With the lever up some machines beep and wait, and others sew and never turn.
      def lever(happened)
        state = happened.state
        return happened unless @work.clamped? && state.parts["lever"].nil? && !state.piece.finished
        return happened.with_spoiled("lever_up") unless @work.stops_itself?

        happened.with(state: state.with_piece(begun: false), heard: %w[beep], seen: happened.seen + %w[waits])
                .with_slip("lever_up")
      end
    end
  end
end
