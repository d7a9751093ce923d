# frozen_string_literal: true

# HoleWork lays the stitches of a hole on a practice machine: by its programme, part by part, or by dials that are
# turned within it.
#
#   HoleWork.new(work).sewn(happening, 12, by_hand: false).laid.size   # => 12

require_relative "practice_state"

module NimbleEyelet
  module Simulation
    class HoleWork
      # How far the mark may lie off the needle, mm.
      OFF_MARK = 1.0
      # How far a side may pass its end or stop before it, mm, and an end, in stitches.
      PAST = 1.0
      PAST_STITCHES = 3
      # Where the first stitch goes when nobody lowered the needle by hand, mm.
      BESIDE = [0.8, 0.9].freeze
      private_constant :BESIDE

      # @param work [PracticeWork]
      def initialize(work)
        @work = work
        @machine = work.machine
      end

      # @param state [PracticeState]
      # @return [Boolean] whether the length is stored at the next press of the key
      def learning?(state) = @work.stores? && state.parts["memory"].nil?

      # What was forgotten before the first stitch by power.
      #
      # @param happened [Happening]
      # @return [Happening] with a beep where the machine does not go on
      def begun(happened)
        piece = happened.state.piece
        return happened if mending?(happened.state)
        return lever(happened) if piece.begun
        return happened if piece.finished

        found = forgotten(happened.state)
        begun = found.reduce(happened) { |all, (slip, about)| slipped(all, slip, about) }
        lever(begun.with(state: begun.state.with_piece(begun: true)))
      end

      # @param happened [Happening]
      # @param count [Integer] penetrations
      # @param by_hand [Boolean] at the wheel
      # @return [Happening]
      def sewn(happened, count, by_hand:)
        state = happened.state
        return happened.with(seen: happened.seen + %w[finished_already]) if state.spent && state.piece.finished && @work.stops_itself?
        return happened if by_hand && (pivot?(state) || mending?(state))
        return mended(happened, count) if mending?(state)

        happened = first(happened, by_hand) if state.piece.untouched?
        happened = by_dials(happened) if @work.by_hand?
        before = happened.state
        happened = laid(happened, count)
        past(happened, before)
      end

      # Another stretch is begun: where the last one stopped too early or too late, what follows lies elsewhere.
      #
      # @param state [PracticeState]
      # @param to [Integer] number of the stretch
      # @return [Happening]
      def goes_on(state, to)
        unless state.within_a_hole? && to == state.stretch + 1
          return Happening.new(state: state.with(stretch: to,
                                                 stitch: 0))
        end

        stretch = stretches(state)[state.stretch]
        along = beyond(stretch, state.stitch)
        moved = state.with(stretch: to, stitch: 0, shift: [state.shift[0], state.shift[1] + along].freeze)
        if early?(stretch,
                  state.stitch)
          slipped(Happening.new(state: moved), "stopped_early")
        else
          Happening.new(state: moved)
        end
      end

      # @param state [PracticeState]
      # @return [Array<HoleStretch>] as the dials stand
      def stretches(state) = @work.stretches(state.learned || @work.opening_of(state.parts), state.parts)

      private

      def slipped(happened, slip, about = [])
        happened.with(state: SPARED.include?(slip) ? happened.state : happened.state.spoiled(slip)).with_slip(slip,
                                                                                                              about)
      end
      # What does not spoil the hole.
      SPARED = %w[tails_loose overrun].freeze
      private_constant :SPARED

      def forgotten(state)
        parts = differs(state)
        [["tails_loose", [], state.tails == "loose"], ["not_set", parts, parts.any?],
         ["memory_lost", [], learning?(state) && state.under != "hole-0"], ["no_cord", [], @work.corded? && !state.cord],
         ["gap", [], @work.clamped? && state.carriage == "gap"]].filter_map { |slip, about, so| [slip, about] if so }
      end

      def differs(state)
        wanted = @work.by_hand? ? @work.row.except("width", "length") : @work.row
        wanted.reject { |part, to| state.parts[part] == to }.keys
      end

      # With the lever up some machines beep and wait, and others sew and never turn.
      def lever(happened)
        return happened unless @work.clamped? && happened.state.parts["lever"].nil? && !happened.state.piece.finished
        return slipped(happened, "lever_up") unless @work.stops_itself?

        untouched = happened.state.with_piece(begun: false)
        happened.with(state: untouched, heard: %w[beep], seen: happened.seen + %w[waits]).with_slip("lever_up")
      end

      # By plain zigzag, from where the programme lost its place.
      def mending?(state) = !state.piece.lost.nil? && !state.piece.finished && state.parts["selector"] == "zigzag"

      def mended(happened, count)
        state = happened.state
        all = @work.stretches
        stretch, stitch = state.piece.lost
        if stitch >= all[stretch].points.size && stretch + 1 < all.size
          stretch += 1
          stitch = 0
        end
        unset = @work.mended_by(all[stretch]).reject { |part, to| state.parts[part] == to }.keys
        return happened.with_slip("not_set", unset) if unset.any?

        laid = (0...count).map { |number| all[stretch].at(stitch + number) }
        across, along = state.off.zip(state.shift).map(&:sum)
        kept_on(happened, laid.map { |x, y| [x + across, y + along] }, all, [stretch, stitch + count])
      end

      def kept_on(happened, laid, all, (stretch, stitch))
        state = happened.state
        finished = stretch == all.size - 1 && !early?(all.last, stitch)
        changed = state.with_piece(points: (state.piece.points + laid).freeze, lost: [stretch, stitch].freeze,
                                   finished: finished,
                                   spoiled: finished ? nil : state.piece.spoiled)
        past = late?(all[stretch], stitch) && !late?(all[stretch], stitch - laid.size)
        happened = happened.with(state: changed, laid: happened.laid + laid)
        past ? happened.with_slip("overrun") : happened
      end

      # The needle is down on the slit line at width 0, for the half turn.
      def pivot?(state) = @work.by_hand? && state.parts["width"] == "0" && !state.aside && !state.turned

      def first(happened, by_hand)
        state = happened.state
        off = Math.hypot(*state.off) > OFF_MARK
        happened = slipped(happened, "off_mark") if off
        unless by_hand || off
          shift = [state.shift[0] + BESIDE[0], state.shift[1] + BESIDE[1]].freeze
          happened = slipped(happened.with(state: happened.state.with(shift: shift)), "not_lowered")
        end
        @work.by_hand? || state.at_first? ? happened : in_the_middle(happened)
      end

      # What is not at its start begins somewhere in its middle.
      def in_the_middle(happened)
        state = happened.state
        state = state.with(stretch: stretches(state).size / 2, stitch: 0, spent: false) if state.spent
        slipped(happened.with(state: state), "mid_cycle")
      end

      # Which stretch the dials stand for.
      def by_dials(happened)
        state = happened.state
        all = stretches(state)
        now = unmet(all[state.stretch], state)
        return happened if now.empty? || state.piece.spoiled

        further = all[state.stretch + 1]
        return went_on(happened, goes_on(state, state.stretch + 1)) if further && state.stitch.positive? && unmet(
          further, state
        ).empty?

        slipped(happened, "not_set", state.stitch.positive? && further ? unmet(further, state) : now)
      end

      def went_on(happened, further) = happened.with(state: further.state, slips: happened.slips + further.slips)

      def unmet(stretch, state)
        have = { "width" => state.parts["width"], "length" => state.parts["length"], "aside" => state.aside,
"turned" => state.turned }
        stretch.needs.reject { |part, to| have[part] == to }.keys
      end

      def laid(happened, count)
        state = happened.state
        all = stretches(state)
        across, along = state.off.zip(state.shift).map(&:sum)
        stretch = state.stretch
        stitch = state.stitch
        left = @work.bobbin_stitch
        endless = endless(state)
        finished = state.piece.finished
        seen = []
        laid = []
        count.times do
          break seen << "bobbin_out" if state.bobbin - (left * laid.size) <= 0

          x, y = all[stretch].at(stitch)
          laid << [x + across, y + along]
          stitch += 1
          next unless @work.programmed? && stitch >= all[stretch].points.size && stretch != endless

          if stretch + 1 < all.size
            stretch += 1
            stitch = 0
          elsif !finished
            finished = true
            break seen << "stopped" if @work.stops_itself?
          end
        end
        spent = [state.bobbin - (left * laid.size), 0.0].max
        ended(happened, laid, seen, state.with(stretch: stretch, stitch: stitch, bobbin: spent), finished)
      end

      def ended(happened, laid, seen, state, finished)
        finished ||= !@work.programmed? && whole?(state)
        state = state.with(spent: true) if finished && @work.programmed?
        state = state.with(stretch: 0, stitch: 0, spent: false) if seen.include?("stopped") && @machine.reset_words.nil?
        piece = { points: (state.piece.points + laid).freeze, finished: finished }
        happened.with(state: state.with_piece(**piece), laid: happened.laid + laid, seen: happened.seen + seen)
      end

      # A stretch that never ends by itself: the first side while its length is learned, or the side with the lever up.
      def endless(state)
        return state.stretch if @work.straight_on?(state.parts)
        return 0 if learning?(state)

        1 if state.piece.spoiled == "lever_up"
      end

      # The last stretch of a hole that somebody stops.
      def whole?(state)
        all = stretches(state)
        state.stretch == all.size - 1 && !early?(all.last, state.stitch)
      end

      # mm along that it lies beyond where it ends.
      def beyond(stretch, stitch)
        return 0.0 if stitch.zero?

        stretch.at(stitch - 1).last - stretch.at(stretch.ends - 1).last
      end

      def early?(stretch, stitch)
        return stitch < stretch.ends - PAST_STITCHES unless stretch.kind == :bead

        stitch < stretch.ends && beyond(stretch, stitch).abs > PAST
      end

      def late?(stretch, stitch)
        return stitch > stretch.points.size + PAST_STITCHES unless stretch.kind == :bead

        stitch > stretch.points.size && beyond(stretch, stitch - stretch.points.size + stretch.ends).abs > PAST
      end

      # Whoever stops it stopped too late, and had not before.
      def past(happened, before)
        state = happened.state
        stretch = stretches(state)[state.stretch]
        return happened if state.stretch == endless(state) || !late?(stretch, state.stitch)
        return happened if state.stretch == before.stretch && late?(stretch, before.stitch)

        happened.with_slip("overrun")
      end
    end
  end
end
