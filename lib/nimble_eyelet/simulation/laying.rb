# frozen_string_literal: true

# Laying is stitch after stitch of a hole, from stretch to stretch where a programme goes on by itself, until the
# machine stops, the bobbin is empty, or the pedal comes up.
#
#   Laying.new(work, stretches, nil).lay(happened, 12).laid.size   # => 12

module NimbleEyelet
  module Simulation
    class Laying
      # @param work [PracticeWork]
      # @param stretches [Array<HoleStretch>]
      # @param endless [Integer, nil] number of a stretch that never ends by itself
      def initialize(work, stretches, endless)
        @work = work
        @stretches = stretches
        @endless = endless
      end

      # @param happened [Happening]
      # @param count [Integer] penetrations, at most
      # @return [Happening]
      def lay(happened, count)
        begin_at(happened.state)
        laid = []
        while laid.size < count && stop.nil?
          laid << stitch
          @stop = "bobbin_out" if @bobbin <= 0
        end
        ended(happened, laid)
      end

      private

      attr_reader :stop

      def begin_at(state)
        @stretch = state.stretch
        @stitch = state.stitch
        @bobbin = state.bobbin
        @finished = state.piece.finished
        @stop = ("bobbin_out" if @bobbin <= 0)
        @across, @along = state.off.zip(state.shift).map(&:sum)
      end

      # @return [Array(Float, Float)] mm
      def stitch
        x, y = @stretches[@stretch].at(@stitch)
        @stitch += 1
        @bobbin -= @work.bobbin_stitch
        go_on if @work.programmed? && @stretch != @endless && @stitch >= @stretches[@stretch].points.size
        [x + @across, y + @along]
      end

      def go_on
        if @stretch + 1 < @stretches.size
          @stretch += 1
          @stitch = 0
        elsif !@finished
          @finished = true
          @stop = "stopped" if @work.stops_itself?
        end
      end

      def ended(happened, laid)
        whole = @finished || (!@work.programmed? && last?)
        state = happened.state.with(stretch: @stretch, stitch: @stitch, bobbin: [@bobbin, 0.0].max)
        state = state.with(spent: true) if whole && @work.programmed?
        state = state.with(stretch: 0, stitch: 0, spent: false) if stop == "stopped" && @work.machine.reset_words.nil?
        state = state.with_piece(points: (state.piece.points + laid).freeze, finished: whole)
        happened.with(state: state, laid: happened.laid + laid, seen: happened.seen + [*stop])
      end

      # The last stretch of a hole that somebody stops.
      def last? = @stretch == @stretches.size - 1 && !@stretches.last.early?(@stitch)
    end
  end
end
