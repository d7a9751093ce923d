# frozen_string_literal: true

# FitBelief is what is believed of how long a hole comes out and how the button goes through it: a, what
# machine and foot add beyond their usual; h, what button and cloth want beyond what was reckoned; and
# how far one hole is from the next. Exact on one grid of 89 × 17 × 3 cells.
#
#   belief = Opening::FitBelief.prior(offset: Offset.prior, fold: 0.4, length: 22.5)
#   belief = belief.after(tried)
#   belief.chance(23.0, demand, holes: 5)   # => 0.71, that the button goes through all five as it should

require_relative "../belief/answers"
require_relative "../belief/normal"
require_relative "../machine/offset"
require_relative "../value"
require_relative "slack_table"
require_relative "verdict"

module NimbleEyelet
  module Opening
    # What the button asks of an opening L: its slack is L × give − need. Floats, mm. slips - slack from which it slips
    # out
    class SlitDemand < Value.of(:need, :give, :slips)
      # @param passing [Passing]
      # @return [SlitDemand]
      def self.of(passing)
        new(need: (passing.half_perimeter + passing.fold - passing.eye).to_f, give: passing.give.to_f,
            slips: passing.slips_from.to_f)
      end
    end

    # One test hole. set - Float, what the hands set and what foot or key usually add to it, mm
    # reading - Float or nil, the slit as measured; reading_spread - Float, of the ruler or the caliper
    # seen - Range<Integer> or nil, of 0 (will not pass) to 4 (slips out)
    # careless, misread - Float, chance that what was said, or read, is worth nothing
    FitTried = Value.of(:set, :demand, reading: nil, reading_spread: 0.25, seen: nil, careless: Belief::CARELESS,
                                       misread: Belief::CARELESS)

    class FitBelief
      ADDED = (-44..44).map { |quarter| quarter / 4.0 }.freeze
      WANTED = (-8..8).map { |quarter| quarter / 4.0 }.freeze
      FIT_NOISES = Offset::HOLE_NOISES.keys.freeze
      # How far a careless reading lies from where the slit ends.
      STRAY = 4.0
      # Slack at which the words change, and what the eye blurs.
      FIT_CUTS = [TIGHT_FROM, SNUG_FROM, EASY_FROM].map(&:to_f).freeze
      FIT_BLUR = 0.15
      RIGHT = (2..3)
      WIDE_WANT = 1.2
      # Of the hand that pushes the button through.
      HAND_SPREAD = 0.2

      # @return [Array<Float>] over FIT_NOISES × ADDED × WANTED, together 1
      attr_reader :weights

      def initialize(weights) = @weights = weights

      # @param offset [Offset] what is believed of machine and foot
      # @param fold [Float] mm
      # @param length [Float] mm, about
      # @param like [Array(Float, Float), nil] mean and variance of h learned on something alike; without, nothing is
      #   known
      # @param doubt [Float] mm, for a button whose thickness is a guess
      # @return [FitBelief]
      def self.prior(offset:, fold:, length:, like: nil, doubt: 0.0)
        mean, variance = like || [0.0, of_cloth(fold) + of_button(length)]
        wanted = Belief::Normal.prior(WANTED, mean: mean, deviation: Math.sqrt(variance + (doubt**2)), wide: WIDE_WANT,
                                              share: like ? Belief::CARRIED_WIDE_SHARE : Belief::WIDE_SHARE)
        weights = offset.noises.each_with_index.flat_map do |chance, noise|
          offset.weights(ADDED, noise).flat_map { |one| wanted.map { |other| chance * one * other } }
        end
        new(weights)
      end

      # Variances of h: what every button in the same cloth shares, and what each has of its own.
      def self.of_cloth(fold) = ((FOLD_SPREAD * fold)**2) + (HAND_SPREAD**2)
      def self.of_button(length) = (BUTTON_SPREAD**2) + ((LENGTH_SPREAD * length)**2)

      # @param tried [FitTried]
      # @return [FitBelief]
      def after(tried)
        FitBelief.new(Belief::Normal.normalised(weighed(tried, tried.careless, tried.misread)))
      end

      # @param tried [FitTried]
      # @return [Float] chance that the reading was careless, or what was said of how it went through
      def surprise(tried)
        [reading_surprise(tried), word_surprise(tried)].max
      end

      # @param set [Float] what the hands set and what is usually added
      # @param demand [SlitDemand]
      # @param holes [Integer]
      # @return [Float] chance that the button goes through all of them as it should
      def chance(set, demand, holes: 1)
        FIT_NOISES.each_index.sum do |noise|
          deviation = Math.sqrt(((demand.give * FIT_NOISES[noise])**2) + (CUT_SPREAD**2))
          bins = bins(demand.give).fetch(noise)
          slacks = bins.map { |middle, _| (set * demand.give) - demand.need + middle }
          right = Belief::Answers.chances([SNUG_FROM.to_f, demand.slips], 1..1, slacks, deviation)
          bins.zip(right).sum { |(_, weight), chance| weight * (chance**holes) }
        end
      end

      # @return [Array(Float, Float)] what is added beyond the usual at the next hole: mean and deviation, with its own
      #   noise
      def added
        @added ||= begin
          mean, variance = Belief::Normal.moments(ADDED, margin(ADDED.size, ADDED_OF))
          noises = margin(FIT_NOISES.size, NOISE_OF)
          own = noises.each_with_index.sum { |weight, noise| weight * (FIT_NOISES[noise]**2) }
          [mean, Math.sqrt(variance + own)]
        end
      end

      # @return [Array(Float, Float)] h: mean and variance
      def wanted = @wanted ||= Belief::Normal.moments(WANTED, margin(WANTED.size, WANTED_OF))

      # What is believed of h at another closure.
      #
      # @param fold [Float] of the other
      # @param length [Float]
      # @param same_cloth [Boolean]
      # @param same_button [Boolean] what a button has of its own is the same there
      # @return [Array(Float, Float)] mean and variance
      def carried(fold:, length:, same_cloth:, same_button: false)
        all = FitBelief.of_cloth(fold) + FitBelief.of_button(length)
        common = same_cloth ? FitBelief.of_cloth(fold) : HAND_SPREAD**2
        common += FitBelief.of_button(length) if same_button
        share = common / all
        mean, variance = wanted
        [share * mean, (all * (1 - (share**2))) + ((share**2) * variance)]
      end

      def inspect = "#<FitBelief adds #{added.first.round(2)}, wants #{wanted.first.round(2)}>"

      private

      # Every cell's weight with what the hole says of it.
      def weighed(tried, careless, misread)
        found = Array.new(weights.size)
        FIT_NOISES.each_with_index do |noise, layer|
          tables = tried.seen ? tables(tried, noise, careless) : [nil, nil]
          ADDED.each_index do |added|
            ways = ways(tried, tried.set + ADDED[added], noise, misread)
            one, other = ways.zip(tables).map { |(chance, length), table| column(tried.demand, chance, length, table) }
            weigh_column(found, ((layer * ADDED.size) + added) * WANTED.size, one, other)
          end
        end
        found
      end

      def weigh_column(found, from, one, other)
        wanted = 0
        while wanted < WANTED.size
          found[from + wanted] = weights[from + wanted] * (other ? one[wanted] + other[wanted] : one[wanted])
          wanted += 1
        end
      end

      # What is said of a slit of that length, for everything the button may want.
      def column(demand, chance, length, table)
        return Array.new(WANTED.size, chance) if table.nil? || chance < NO_CHANCE

        table.column((length * demand.give) - demand.need - WANTED.first, WANTED.size, chance)
      end
      # Less is as good as nothing.
      NO_CHANCE = 1e-9
      private_constant :NO_CHANCE

      # How long the slit may be, expected so or read so: [chance of the reading, mean].
      def ways(tried, expected, noise, misread)
        return [[1.0, expected]] unless tried.reading

        spread = tried.reading_spread**2
        share = spread / ((noise**2) + spread)
        off = (tried.reading - expected).clamp(-FARTHEST_OFF, FARTHEST_OFF)
        [[misread * Belief::Normal.density(off, STRAY), expected],
         [(1 - misread) * Belief::Normal.density(off, Math.sqrt((noise**2) + spread)),
          (share * expected) + ((1 - share) * tried.reading)]]
      end

      # Mm; what was read further off has as little to do with the slit.
      FARTHEST_OFF = 40.0
      private_constant :FARTHEST_OFF

      # What would be said at every slack, for a length that is expected so, and for one that was read.
      def tables(tried, noise, careless)
        cuts = [*FIT_CUTS, tried.demand.slips]
        spread = tried.reading_spread**2
        [1.0, spread / ((noise**2) + spread)].map do |share|
          deviation = Math.sqrt((share * ((tried.demand.give * noise)**2)) + OTHER_NOISE)
          SlackTable.new(cuts, tried.seen, deviation, careless)
        end
      end
      # What cutting and looking add to a slack, mm².
      OTHER_NOISE = (CUT_SPREAD**2) + (FIT_BLUR**2)
      private_constant :OTHER_NOISE

      # By the length alone: what the button wants has no say in it.
      def reading_surprise(tried)
        return 0.0 unless tried.reading

        honest, stray = [0.0, 1.0].map { |misread| FIT_NOISES.each_index.sum { |noise| read(tried, noise, misread) } }
        stray *= Belief::CARELESS
        stray / (stray + (honest * (1 - Belief::CARELESS)))
      end

      def read(tried, noise, misread)
        lengths[noise].each_with_index.sum do |weight, added|
          weight * ways(tried, tried.set + ADDED[added], FIT_NOISES[noise], misread).sum(&:first)
        end
      end

      # Weights of what is added, by the noise.
      def lengths = @lengths ||= weights.each_slice(WANTED.size).map(&:sum).each_slice(ADDED.size).to_a

      # Given the reading, whether such a hole is said to be so.
      def word_surprise(tried)
        return 0.0 unless tried.seen

        alone = FIT_NOISES.each_index.sum { |noise| read(tried, noise, Belief::CARELESS) }
        honest = weighed(tried, 0.0, Belief::CARELESS).sum / alone
        stray = Belief::CARELESS * tried.seen.size / 5.0
        stray / (stray + (honest * (1 - Belief::CARELESS)))
      end

      # How a and h together move the slack, by the noise: [middle, weight] of what matters.
      def bins(give)
        @bins ||= {}
        @bins[give] ||= weights.each_slice(ADDED.size * WANTED.size).map do |layer|
          found = Hash.new(0.0)
          layer.each_with_index do |weight, cell|
            next if weight < LEAST_WEIGHT

            added, wanted = cell.divmod(WANTED.size)
            found[((give * ADDED[added]) - WANTED[wanted]).round(1)] += weight
          end
          found.to_a
        end
      end
      LEAST_WEIGHT = 1e-7
      private_constant :LEAST_WEIGHT

      def margin(size, number_of) = Belief::Normal.margin(weights, size, number_of)

      FIT_CELLS = FIT_NOISES.size * ADDED.size * WANTED.size
      ADDED_OF = Array.new(FIT_CELLS) { |cell| (cell / WANTED.size) % ADDED.size }.freeze
      WANTED_OF = Array.new(FIT_CELLS) { |cell| cell % WANTED.size }.freeze
      NOISE_OF = Array.new(FIT_CELLS) { |cell| cell / (WANTED.size * ADDED.size) }.freeze
      private_constant :FIT_CELLS, :ADDED_OF, :WANTED_OF, :NOISE_OF
    end
  end
end
