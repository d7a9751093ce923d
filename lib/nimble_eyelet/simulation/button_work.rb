# frozen_string_literal: true

# ButtonWork sews a button on, on a practice machine: pair after pair of its holes, and the needle breaks where it
# meets the rim.
#
#   ButtonWork.new(work).sewn(happening, 8, by_hand: false).heard   # => ["hum", "snap"]

module NimbleEyelet
  module Simulation
    class ButtonWork
      # Degrees of the wheel that take the needle through both holes.
      BOTH_HOLES = 540
      # Parts that have slips of their own, or are turned from pair to pair.
      APART = %w[width feed_dogs cover_plate length].freeze
      # Stitches on the spot at the end, that nobody counts.
      SPARE = 3

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
      end

      # What was forgotten before the first stitch by power.
      #
      # @param happened [Happening]
      # @param hard [Boolean]
      # @return [Happening]
      def begun(happened, hard)
        happened = happened.with_slip("hard_button") if hard
        state = happened.state
        return happened if state.piece.begun

        happened = happened.with_slip("untested") if state.wheeled < BOTH_HOLES
        parts = @work.for_button.except(*APART).reject { |part, to| state.parts[part] == to }.keys
        happened = happened.with(state: happened.state.spoiled("not_set")).with_slip("not_set", parts) if parts.any?
        happened.with(state: happened.state.with_piece(begun: true))
      end

      # @param happened [Happening]
      # @param count [Integer] penetrations
      # @param by_hand [Boolean] at the wheel: it is felt, and nothing breaks
      # @return [Happening]
      def sewn(happened, count, by_hand:)
        state = happened.state
        # By hand the needle is only tried.
        return tried(happened, count) if by_hand

        laid = []
        count.times do
          break if state.stitch + laid.size >= part(state).points.size

          place = place(state, state.stitch + laid.size)
          return struck(kept(happened, laid)) unless room?(state, state.stitch + laid.size, place)

          laid << place
        end
        kept(happened, laid)
      end

      private

      def part(state) = @work.sewn_on(state.parts["width"] || "0").parts[number(state)]
      def number(state) = state.under[/\d+/].to_i.clamp(0, @work.pairs - 1)

      # Where the needle goes in: the button lies off, and what feeds it moves it on.
      def place(state, stitch)
        x, y = part(state).points[stitch]
        [x + state.off[0] + state.shift[0], y + state.off[1] + state.shift[1] + (feed(state) * stitch)]
      end

      def room?(state, stitch, place)
        Math.hypot(*place.zip(part(state).aims[stitch]).map do |one, other|
          one - other
        end) <= @work.sewn_on(nil).sewn.room + 1e-9
      end

      # mm a stitch
      def feed(state)
        stopped = @work.for_button.slice("feed_dogs", "cover_plate", "length").compact
        stopped.all? { |part, to| state.parts[part] == to } ? 0.0 : FED
      end
      # mm that feed dogs move it with each stitch, where nothing holds them.
      FED = 0.35
      private_constant :FED

      def tried(happened, count)
        state = happened.state
        # Into one hole and then the other.
        swings = part(state).points.each_index.reject do |index|
          part(state).aims[index] == part(state).aims.first
        end.first(1)
        free = [0, *swings].first(count).all? { |stitch| room?(state, stitch, still(state, stitch)) }
        free ? happened : happened.with(seen: happened.seen + %w[touches])
      end

      def still(state, stitch)
        x, y = part(state).points[stitch]
        [x + state.off[0] + state.shift[0], y + state.off[1] + state.shift[1]]
      end

      def kept(happened, laid)
        state = happened.state
        stitch = state.stitch + laid.size
        finished = stitch >= part(state).points.size - SPARE
        seen = stitch >= part(state).points.size ? %w[sewn_on] : []
        changed = state.with(stitch: stitch).with_piece(points: (state.piece.points + laid).freeze, finished: finished)
        happened.with(state: changed, laid: laid, seen: happened.seen + seen)
      end

      def struck(happened)
        state = happened.state
        slip = cause(state)
        broken = state.snapped.with(angle: 0).spoiled(slip)
        happened.with(state: broken, seen: happened.seen + %w[stopped], heard: happened.heard + %w[snap]).with_slip(slip)
      end

      def cause(state)
        return "feed_up" if feed(state).positive?

        state.parts["width"] == @work.pair_width(number(state)) ? "off_mark" : "struck"
      end
    end
  end
end
