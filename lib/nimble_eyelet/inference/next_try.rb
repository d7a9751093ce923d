# frozen_string_literal: true

# NextTry is what to do after the test holes so far: look again, change something, sew the same once more,
# sew the row, or stop turning. Every setting the machine has is weighed by the chance that every hole of
# the row is right.
#
#   tried = NextTry.of([fit, cover, tension, space], gate: 0.5)
#   tried.kind    # => :change
#   tried.moves   # => [Move(axis: :cover, to: Option, …)]

require_relative "../value"

module NimbleEyelet
  module Inference
    # What the chance of a whole row has to be before it is sewn: on cloth that can be unpicked, and where holes stay.
    ROW_GATE = 0.35
    HOLE_STAYS_GATE = 0.8
    # Holes that chance is worked out for: a longer row is stopped by its first wrong hole like any other.
    LONGEST_ROW = 7

    # One axis set otherwise. to - Option; before, after - Float, the chances of the row on this axis
    Move = Value.of(:axis, :to, :before, :after)

    # kind - Symbol: :first (sew one), :sew_row, :again (the same once more), :change, :by_hand
    # moves - Array<Move>, the first to be made first; row - Float, chance that every hole is right as it is set now
    # stuck - Array<Symbol>, axes on which no setting is worth another hole
    class NextTry < Value.of(:kind, :row, moves: [], stuck: [])
      # A chance that rises by this much is worth a change even where nothing was wrong.
      WORTH_A_CHANGE = 0.1
      # Before the first hole less is: no test hole is lost by it.
      WORTH_SETTING = 0.03

      # @param axes [Array<Axis>] of which something was seen or can be set
      # @param gate [Float]
      # @param sewn [Integer] holes looked at so far
      # @param faults [Boolean] something else is wrong with the newest, or it was not all looked at
      # @param taught [Array<Symbol>] axes of which something was learned before the first
      # @param at_once [Integer, nil] so many axes may be changed for one swatch; nil: each
      # @return [NextTry]
      def self.of(axes, gate:, sewn:, faults: false, at_once: nil, taught: [])
        row = axes.reduce(1.0) { |chance, axis| chance * axis.chance }
        return new(kind: :first, row: row, moves: before_first(axes, taught)) if sewn.zero?

        wrong = axes.select(&:wrong?)
        return unsettled(axes, wrong, row, at_once) if wrong.any?
        return new(kind: :by_hand, row: row, moves: better(rising(axes), at_once)) if faults

        settled(axes, row, gate, at_once)
      end

      def self.before_first(axes, taught)
        better(rising(axes.select { |axis| taught.include?(axis.key) }, WORTH_SETTING), nil)
      end

      # Something was wrong: every axis that was, or that rises by a tenth. Where no other setting is likelier it may
      # have been chance, and the same is sewn once more.
      def self.unsettled(axes, wrong, row, at_once)
        stuck = wrong.select(&:between?)
        moves = better((wrong - stuck) | rising(axes - wrong), at_once)
        new(kind: moves.empty? && stuck.empty? ? :again : :change, row: row, stuck: stuck.map(&:key), moves: moves)
      end

      # All looked right: what is set otherwise then has to be worth it.
      def self.settled(axes, row, gate, at_once)
        twice = axes.all? { |axis| axis.times_right >= 2 }
        return new(kind: :sew_row, row: row) if row >= gate || twice

        moves = better(rising(axes), at_once)
        best = moves.reduce(row) { |chance, move| chance * move.after / [move.before, 1e-9].max }
        best >= gate ? new(kind: :change, row: row, moves: moves) : new(kind: :again, row: row)
      end

      def self.rising(axes, worth = WORTH_A_CHANGE) = axes.select { |axis| axis.rise >= worth }

      # What raises the chance of the row most comes first.
      def self.better(found, at_once)
        moves = found.filter_map do |axis|
          to = axis.best
          Move.new(axis: axis.key, to: to, before: axis.chance, after: axis.chance(to)) if to && to != axis.current
        end
        moves.sort_by { |move| -move.after / [move.before, 1e-9].max }.first(at_once || moves.size)
      end
      private_class_method :before_first, :unsettled, :settled, :rising, :better
    end
  end
end
