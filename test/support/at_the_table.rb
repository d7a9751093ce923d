# frozen_string_literal: true

module NimbleEyelet
  module Support
    # Remembers all it was asked for.
    class Remembers
      def initialize = @kept = {}
      def of(key) = @kept.fetch(key) { @kept[key] = yield }
    end

    # What somebody does at the table: every step entered as it is given out.
    class AtTheTable
      attr_reader :ledger

      # @yieldparam changes [Hash] of a plan
      # @yieldparam facts [Sewing::Facts]
      # @yieldparam memory [Remembers] of all sheets of this table
      # @yieldreturn [Sheet]
      def initialize(plans, ledger = Ledger.empty, &sheet)
        @plans = plans
        @entries = plans.keys.to_h { |key| [key, []] }
        @ledger = ledger
        @sheet = sheet
        @memory = Remembers.new
        @clock = Time.utc(2026, 3, 14, 9)
      end

      def session(**more)
        parts = @plans.map do |key, plan|
          SessionPart.new(key: key, name: key.to_s, garment: "garment", sheet: @sheet.call(plan, facts(key), @memory))
        end
        SewingSession.of(parts, ledger: @ledger, now: @clock, **more)
      end

      def initialize_copy(other)
        super
        @entries = @entries.transform_values(&:dup)
      end

      def facts(key) = Sewing::Facts.of(@entries.fetch(key))
      def count = @entries.values.sum(&:size)

      # @param one [SessionStep]
      def done(one, seconds = 60)
        @clock += seconds
        one.also.each { |part, step| enter(part.key, step) }
        one.part ? enter(one.part.key, one.step) : @ledger = @ledger.changed(one.step.moves)
      end

      def went_wrong(one, mishap, measured: nil, at: one.step.figures["hole.at"])
        row = Sewing::MISHAPS.fetch(mishap)
        with = { "mishap.what" => mishap, "mishap.measured" => measured }.compact
        add(one.part.key, kind: "mishap", step: one.step.key, at: at, done_with: with, moves: row.moves)
      end

      # So many steps are done as they were given out before it is looked again: a phone without a connection does all
      # of them.
      AT_ONCE = 10

      # @param most [Integer] steps
      # @param at_once [Integer] steps that are done as they were given out
      # @yieldparam [SessionStep] the next one; ends before it when the block says so
      # @return [SessionStep, nil] where it ended
      def work(most: 1000, at_once: AT_ONCE)
        given = []
        most.times do
          given = session.steps.first(at_once) if given.empty?
          one = given.shift or break
          return one if block_given? && yield(one)

          done(one)
        end
        nil
      end

      private

      def enter(key, step)
        add(key, kind: step.hole ? "hole_sewn" : "step", step: step.key, at: step.hole&.at, opening: step.hole&.opening,
            done_with: step.figures,
                 moves: step.moves)
      end

      def add(key, moves:, **entry)
        @entries.fetch(key) << Sewing::Entry.new(id: format("%08x", count), happened_at: @clock, moves: moves, **entry)
        @ledger = @ledger.changed(moves)
      end
    end
  end
end
