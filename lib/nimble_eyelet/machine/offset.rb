# frozen_string_literal: true

# Offset is what a machine and a foot add to what is set beyond their usual, as far as earlier closures
# tell: a mean and a deviation for every noise from hole to hole, in closed form.
#
#   Offset.prior(set: 22.5)                                     # before anything was measured
#   Offset.of(earlier, structure: "knit", set: 22.5)            # what is to be expected next

require_relative "../belief/normal"
require_relative "../value"

module NimbleEyelet
  # One earlier closure on the same machine and foot. structure - String, of its cloth; set - Float, mm, the mean
  # added - Array<Float>, what each measured hole had beyond what was set and is usual; spread - Float, of the measuring
  OffsetEvidence = Value.of(:structure, :set, :added, spread: 0.25)

  # means, deviations - Array<Float>, one a noise; noises - Array<Float>, the chance of each; left_out - Array<Float> of
  #   readings
  # measured - Integer, holes it rests on
  class Offset < Value.of(:means, :deviations, :noises, share: Belief::WIDE_SHARE, left_out: [], measured: 0)
    # What is usually added by how the length is set, mm: a carriage foot clamps slack, an eye stops late.
    USUALLY_ADDED = { "clamp" => 2.0, "scale" => 0.5, "lines" => 0.0, "key" => 0.0, "round" => 0.0,
                      "press" => 0.0, "own" => 0.0 }.freeze
    # Nothing adds to what is drawn but how well the eye keeps to it, mm.
    DRAWN = 0.5
    # Deviations, mm: of a foot, of the structure of a cloth, of a closure, and of every millimetre away from LEVEL.
    FOOT = 1.2
    STRUCTURE = 0.4
    OWN_OFFSET = 0.2
    SLOPE = 0.03
    LEVEL = 20.0
    WIDE_OFFSET = 4.0
    # From hole to hole, mm, with its chance.
    HOLE_NOISES = { 0.2 => 0.35, 0.4 => 0.45, 0.65 => 0.20 }.freeze
    # The newest closures are enough.
    MOST_CLOSURES = 9
    # No machine adds more by what fewer holes than TOLD_APART say, mm: that was misread, or mistyped.
    FARTHEST_ADDED = 2 * WIDE_OFFSET
    # From so many holes of one closure on, one that is more likely misread than not is told apart.
    TOLD_APART = 3
    MISREAD = 0.03

    # @param set [Float] mm
    # @return [Offset]
    def self.prior(set: LEVEL) = of([], structure: nil, set: set)

    # @param earlier [Array<OffsetEvidence>] newest first
    # @param structure [String, nil] of the cloth to come
    # @param set [Float] mm, what will be set about
    # @return [Offset]
    def self.of(earlier, structure:, set:)
      read = earlier.first(MOST_CLOSURES).map { |evidence| [evidence, careful(evidence)] }
      kept = read.reject { |_, added| added.empty? }
      found = HOLE_NOISES.keys.map { |noise| expected(kept, noise, structure, set) }
      new(means: found.map(&:first), deviations: found.map { |_, variance| Math.sqrt(variance) }, noises: noises(kept),
          share: kept.empty? ? Belief::WIDE_SHARE : Belief::CARRIED_WIDE_SHARE,
          measured: kept.sum { |_, added| added.size },
          left_out: read.flat_map { |evidence, added| evidence.added - added })
    end

    # Of a hole between lines: whatever was measured before, there is nothing to learn.
    #
    # @return [Offset]
    def self.drawn
      new(means: [0.0] * HOLE_NOISES.size, deviations: [DRAWN] * HOLE_NOISES.size, noises: HOLE_NOISES.values,
          share: Belief::CARRIED_WIDE_SHARE)
    end

    # @param lattice [Array<Float>]
    # @param noise [Integer] number of it
    # @return [Array<Float>] weights, together 1
    def weights(lattice, noise)
      Belief::Normal.prior(lattice, mean: means[noise], deviation: deviations[noise], wide: WIDE_OFFSET, share: share)
    end

    # @return [Float] mm, over all noises
    def mean = means.each_index.sum { |noise| noises[noise] * means[noise] }

    # @return [Float] mm, of the next hole
    def deviation
      centre = mean
      Math.sqrt(means.each_index.sum do |noise|
        noises[noise] * ((deviations[noise]**2) + (HOLE_NOISES.keys[noise]**2) + ((means[noise] - centre)**2))
      end)
    end

    # Without readings that are more likely stray than not, by the middle one of their closure.
    def self.careful(evidence)
      return evidence.added.reject { |added| added.abs > FARTHEST_ADDED } if evidence.added.size < TOLD_APART

      middle = evidence.added.sort[evidence.added.size / 2]
      honest = Math.sqrt((evidence.spread**2) + (HOLE_NOISES.keys.last**2))
      evidence.added.reject do |added|
        misread = MISREAD * Belief::Normal.density(added - middle, WIDE_OFFSET)
        misread > (1 - MISREAD) * Belief::Normal.density(added - middle, honest)
      end
    end

    # Regression on foot, structure, closure and slope with the variances above. Source: the conditional normal,
    # mean kᵀK⁻¹y, variance v − kᵀK⁻¹k.
    def self.expected(kept, noise, structure, set)
      to_come = [structure, set]
      own = common(to_come, to_come) + (OWN_OFFSET**2)
      return [0.0, own] if kept.empty?

      to_next = kept.map { |evidence, _| common(place(evidence), to_come) }
      shares = solved(together(kept, noise), to_next)
      [shares.zip(kept).sum { |share, (_, added)| share * added.sum / added.size }, own - shares.zip(to_next).sum do |one, other|
        one * other
      end]
    end

    # How the closures vary together, with what each has of its own.
    def self.together(kept, noise)
      kept.each_with_index.map do |(one, added), row|
        kept.each_with_index.map do |(other, _), column|
          shared = common(place(one), place(other))
          row == column ? shared + (OWN_OFFSET**2) + (((noise**2) + (one.spread**2)) / added.size) : shared
        end
      end
    end

    def self.place(evidence) = [evidence.structure, evidence.set]

    def self.common(one, other)
      (FOOT**2) + (one[0] == other[0] ? STRUCTURE**2 : 0.0) + ((SLOPE**2) * (one[1] - LEVEL) * (other[1] - LEVEL))
    end

    # How far holes of one closure lie apart tells the noise.
    def self.noises(kept)
      Belief::Normal.normalised(HOLE_NOISES.map do |noise, chance|
        kept.reduce(chance) do |weight, (evidence, added)|
          variance = (noise**2) + (evidence.spread**2)
          middle = added.sum / added.size
          spread = added.sum { |one| (one - middle)**2 }
          weight * (variance**(-(added.size - 1) / 2.0)) * Math.exp(-spread / (2 * variance))
        end
      end)
    end

    # Gauss, for a positive definite matrix.
    def self.solved(matrix, right)
      rows = matrix.zip(right).map { |row, value| [*row, value] }
      rows.each_index do |pivot|
        rows.each_index do |row|
          next if row == pivot

          factor = rows[row][pivot] / rows[pivot][pivot]
          rows[row] = rows[row].zip(rows[pivot]).map { |one, other| one - (factor * other) }
        end
      end
      rows.each_with_index.map { |row, index| row.last / row[index] }
    end
    private_class_method :careful, :expected, :together, :place, :common, :noises, :solved
  end
end
