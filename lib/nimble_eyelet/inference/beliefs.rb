# frozen_string_literal: true

# Beliefs are what is believed of one closure's holes: how long they come out and how the button goes
# through, how dense a bead has to be, where the tension lies, how wide it has to be.
#
#   beliefs = Prior.of(current, learned).beliefs
#   beliefs.after(hole).cover.chance(Math.log(0.52), holes: 5)

require_relative "../value"

module NimbleEyelet
  module Inference
    # What one test hole was set to, in the units of the beliefs, and what was seen on it; nil where nothing was.
    #
    # fit - Opening::FitTried or nil; cover, balance, tension, width - Float; tension from the usual
    # away, back, edge, space - Range<Integer> or nil, as seen; careless - Hash of axis to Float, where it is not the
    #   usual one
    HoleSeen = Value.of(:cover, :balance, :tension, :width, fit: nil, away: nil, back: nil, edge: nil, space: nil,
                        careless: {})

    # A test hole that somebody should look at again before anything is learned. axis - Symbol; chance - Float
    Surprise = Value.of(:axis, :chance)

    # fit - Opening::FitBelief; cover - CoverBand or nil where nothing is covered; tension, space - Belief::Band or nil
    class Beliefs < Value.of(:fit, :cover, :tension, :space)
      # Deviations in numbers of a dial to 9: what hangs on the machine, the thread, and the closure.
      TENSION_BY = { machine: 0.5, thread: 0.4, own: 0.15 }.freeze
      # Below neutral the top thread rolls to the back.
      TENSION_BELOW = -1.0
      # The same over the stitch width, mm: cloth draws in, and machines swing a little more or less than they say.
      SPACE_BY = { machine: 0.5, cloth: 0.4, own: 0.15 }.freeze
      # From this chance on that an answer was careless one looks again.
      SURPRISING = 0.3

      # @param by [Hash{Symbol => Float}] deviations by what they hang on
      # @param alike [Array<Symbol>]
      # @return [Float] share of the variance that hangs on what is alike
      def self.share(by, alike) = by.slice(*alike).values.sum { |one| one**2 } / (deviation(by)**2)

      def self.deviation(by) = Math.sqrt(by.values.sum { |one| one**2 })

      # @param hole [HoleSeen]
      # @return [Beliefs]
      def after(hole)
        with(fit: hole.fit ? fit.after(hole.fit) : fit, cover: covered(hole),
             tension: seen(tension, hole, :tension, hole.edge), space: seen(space, hole, :space, hole.space))
      end

      # @param hole [HoleSeen] before it is learned from
      # @return [Surprise, nil] the likeliest to be careless
      def surprise(hole)
        found = { fit: hole.fit && fit.surprise(hole.fit),
                  cover: cover && beads(hole) { |**beads| cover.surprise(**beads) },
                  tension: tension && hole.edge && tension.surprise(at: hole.tension, seen: hole.edge),
                  space: space && hole.space && space.surprise(at: hole.width, seen: hole.space) }
        axis, chance = found.compact.reject { |key, _| hole.careless.key?(key) }.max_by(&:last)
        Surprise.new(axis: axis, chance: chance) if axis && chance >= SURPRISING
      end

      private

      def covered(hole) = (cover && beads(hole) { |**beads| cover.after(**beads, **worth(hole, :cover)) }) || cover

      def beads(hole)
        yield(cover: hole.cover, balance: hole.balance, away: hole.away, back: hole.back) if hole.away || hole.back
      end

      def seen(belief, hole, axis, range)
        return belief unless belief && range

        belief.after(at: axis == :space ? hole.width : hole.tension, seen: range, **worth(hole, axis))
      end

      def worth(hole, axis) = hole.careless.key?(axis) ? { careless: hole.careless[axis] } : {}
    end
  end
end
