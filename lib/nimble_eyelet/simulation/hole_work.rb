# frozen_string_literal: true

# HoleWork lays the stitches of a hole on a practice machine: by its programme, part by part, or by dials that are
# turned within it.
#
#   HoleWork.new(work).sewn(happening, 12, by_hand: false).laid.size   # => 12

require_relative "hole_begun"
require_relative "laying"
require_relative "mend_work"
require_relative "practice_state"

module NimbleEyelet
  module Simulation
    class HoleWork
      # How far the mark may lie off the needle, mm.
      OFF_MARK = 1.0
      # Where the first stitch goes when nobody lowered the needle by hand, mm.
      BESIDE = [0.8, 0.9].freeze
      private_constant :BESIDE

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
        @begun = HoleBegun.new(work)
        @mend = MendWork.new(work)
      end

      # @param state [PracticeState]
      # @return [Boolean] whether the length is stored at the next press of the key
      def learning?(state) = @work.learning?(state.parts)

      # What was forgotten before the first stitch by power.
      #
      # @param happened [Happening]
      # @return [Happening] with a beep where the machine does not go on
      def begun(happened) = @mend.at?(happened.state) ? happened : @begun.begun(happened)

      # @param happened [Happening]
      # @param count [Integer] penetrations
      # @param by_hand [Boolean] at the wheel
      # @return [Happening]
      def sewn(happened, count, by_hand:)
        state = happened.state
        return happened.with(seen: happened.seen + %w[finished_already]) if over?(state)
        return happened if by_hand && (pivot?(state) || @mend.at?(state))
        return @mend.sewn(happened, count) if @mend.at?(state)

        happened = first(happened, by_hand) if state.piece.untouched?
        happened = by_dials(happened) if @work.by_hand?
        laid(happened, count)
      end

      # Another stretch is begun: where the last one stopped too early or too late, what follows lies elsewhere.
      #
      # @param state [PracticeState]
      # @param to [Integer] number of the stretch
      # @return [Happening]
      def goes_on(state, to)
        moved = state.with(stretch: to, stitch: 0)
        return Happening.new(state: moved) unless state.within_a_hole? && to == state.stretch + 1

        left = stretches(state)[state.stretch]
        moved = moved.with(shift: [state.shift[0], state.shift[1] + left.beyond(state.stitch)].freeze)
        happened = Happening.new(state: moved)
        left.early?(state.stitch) ? happened.with_spoiled("stopped_early") : happened
      end

      # @param state [PracticeState]
      # @return [Array<HoleStretch>] as the dials stand
      def stretches(state) = @work.stretches(state.learned || @work.opening_of(state.parts), state.parts)

      private

      def over?(state) = state.spent && state.piece.finished && @work.stops_itself?

      # The needle is down on the slit line at width 0, for the half turn.
      def pivot?(state) = @work.by_hand? && state.parts["width"] == "0" && !state.aside && !state.turned

      def first(happened, by_hand)
        off = Math.hypot(*happened.state.off) > OFF_MARK
        happened = happened.with_spoiled("off_mark") if off
        happened = beside(happened) unless by_hand || off
        @work.by_hand? || happened.state.at_first? ? happened : in_the_middle(happened)
      end

      def beside(happened)
        shift = happened.state.shift.zip(BESIDE).map(&:sum).freeze
        happened.with(state: happened.state.with(shift: shift)).with_spoiled("not_lowered")
      end

      # What is not at its start begins somewhere in its middle.
      def in_the_middle(happened)
        state = happened.state
        state = state.with(stretch: stretches(state).size / 2, stitch: 0, spent: false) if state.spent
        happened.with(state: state).with_spoiled("mid_cycle")
      end

      # Which stretch the dials stand for.
      def by_dials(happened)
        state = happened.state
        here, further = stretches(state)[state.stretch, 2]
        now = unmet(here, state)
        return happened if now.empty? || state.piece.spoiled
        return happened.with_spoiled("not_set", now) unless further && state.stitch.positive?

        following = unmet(further, state)
        following.empty? ? went_on(happened, state) : happened.with_spoiled("not_set", following)
      end

      def went_on(happened, state)
        further = goes_on(state, state.stretch + 1)
        happened.with(state: further.state, slips: happened.slips + further.slips)
      end

      def unmet(stretch, state)
        stretch.needs.reject { |part, to| state.turned_to[part] == to }.keys
      end

      def laid(happened, count)
        before = happened.state
        left = @work.most_stitches - before.piece.points.size
        endless = endless(before)
        happened = Laying.new(@work, stretches(before), endless).lay(happened, [count, left].min)
        full = count > left && happened.state.piece.points.size >= @work.most_stitches
        happened = past(happened, before) unless happened.state.stretch == endless
        full ? piled(happened) : happened
      end

      # A stretch that never ends by itself: the first side while its length is learned, or the side with the lever up.
      def endless(state)
        return state.stretch if @work.straight_on?(state.parts)
        return 0 if learning?(state)

        1 if state.piece.spoiled == "lever_up"
      end

      # Whoever stops it stopped too late, and had not before.
      def past(happened, before)
        state = happened.state
        stretch = stretches(state)[state.stretch]
        return happened unless stretch.late?(state.stitch)
        return happened if state.stretch == before.stretch && stretch.late?(before.stitch)

        happened.with_slip("overrun")
      end

      # Stitches on stitches, until nothing moves.
      def piled(happened)
        happened.with(state: happened.state.with(jammed: true, needle_whole: false).spoiled("jammed"),
                      heard: happened.heard + %w[grind], seen: happened.seen + %w[stuck])
      end
    end
  end
end
