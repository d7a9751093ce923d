# frozen_string_literal: true

# MendWork finishes a hole by plain zigzag, from where its programme lost the place: side and end by dials that are
# turned for each.
#
#   mend = MendWork.new(work)
#   mend.at?(state)   # => true, zigzag is selected and the fabric has not moved

module NimbleEyelet
  module Simulation
    class MendWork
      # @param work [PracticeWork]
      def initialize(work)
        @work = work
      end

      # @param state [PracticeState]
      # @return [Boolean]
      def at?(state) = !state.piece.lost.nil? && !state.piece.finished && state.parts["selector"] == "zigzag"

      # @param happened [Happening]
      # @param count [Integer]
      # @return [Happening]
      def sewn(happened, count)
        state = happened.state
        number, stitch = following(state.piece.lost)
        stretch = @work.stretches[number]
        unset = @work.mended_by(stretch).reject { |part, to| state.parts[part] == to }.keys
        return happened.with_slip("not_set", unset) if unset.any?

        count = count.clamp(0, [@work.most_stitches - state.piece.points.size, 0].max)
        happened = kept(happened, places(state, stretch, stitch, count), [number, stitch + count])
        stretch.late?(stitch + count) && !stretch.late?(stitch) ? happened.with_slip("overrun") : happened
      end

      # At the end of a stretch the next one follows.
      #
      # @param lost [Array(Integer, Integer)] stretch and stitch where the place was lost
      # @return [Array(Integer, Integer)] where it goes on
      def following((number, stitch))
        over = stitch >= @work.stretches[number].points.size && number + 1 < @work.stretches.size
        over ? [number + 1, 0] : [number, stitch]
      end

      private

      def places(state, stretch, stitch, count)
        across, along = state.off.zip(state.shift).map(&:sum)
        Array.new(count) { |number| stretch.at(stitch + number) }.map { |x, y| [x + across, y + along] }
      end

      def kept(happened, laid, lost)
        state = happened.state
        all = @work.stretches
        finished = lost.first == all.size - 1 && !all.last.early?(lost.last)
        changed = state.with_piece(points: (state.piece.points + laid).freeze, lost: lost.freeze, finished: finished,
                                   spoiled: finished ? nil : state.piece.spoiled)
        happened.with(state: changed, laid: happened.laid + laid)
      end
    end
  end
end
