# frozen_string_literal: true

# Band is what is believed of a dial with a right stretch in the middle: where that lies, how wide it is,
# and how far one hole is from the next. Exact on a grid of 91 × 3 × 2 cells.
#
#   band = Belief::Band.prior(middle: -1.0, deviation: 0.66)
#   band = band.after(at: -1.0, seen: 4..4)      # badly too far up
#   band.chance(-2.5, holes: 5)                  # => 0.71, that all five are right

require_relative "answers"
require_relative "normal"

module NimbleEyelet
  module Belief
    class Band
      # Around the middle, in numbers of the dial.
      BAND_PLACES = (-45..45).map { |tenth| tenth / 10.0 }.freeze
      # Half of what is right, with its chance; what is beyond BAND_BADLY more is badly wrong.
      BAND_HALVES = { 0.6 => 0.25, 0.9 => 0.5, 1.2 => 0.25 }.freeze
      BAND_BADLY = 0.7
      # From hole to hole, with its chance; the eye blurs a little more.
      BAND_NOISES = { 0.15 => 0.65, 0.30 => 0.35 }.freeze
      BAND_BLUR = 0.15
      BAND_WIDE = 2.0
      BAND_LAYERS = BAND_HALVES.keys.product(BAND_NOISES.keys).freeze
      BAND_CUTS = BAND_LAYERS.map { |half, _| [-half - BAND_BADLY, -half, half, half + BAND_BADLY] }.freeze
      BAND_SEEN = BAND_LAYERS.map { |_, noise| Math.sqrt((noise**2) + (BAND_BLUR**2)) }.freeze
      BAND_CHANCES = BAND_HALVES.values.product(BAND_NOISES.values).map { |pair| pair.reduce(:*) }.freeze

      # @return [Float] what the grid lies around
      attr_reader :middle

      # @return [Array<Float>] over BAND_PLACES × BAND_HALVES × BAND_NOISES, together 1
      attr_reader :weights

      # @param before [Array(Float, Float)] mean and variance of the place before anything was seen
      def initialize(middle, weights, before)
        @middle = middle
        @weights = weights
        @before = before
      end

      # @param middle [Float] what is usual
      # @param deviation [Float]
      # @return [Band]
      def self.prior(middle:, deviation:, layers: BAND_CHANCES, mean: 0.0, share: WIDE_SHARE)
        places = Normal.prior(BAND_PLACES, mean: mean, deviation: deviation, wide: BAND_WIDE, share: share)
        new(middle, layers.flat_map { |layer| places.map { |place| layer * place } }, [mean, deviation**2])
      end

      # @param at [Float] what the dial was set to
      # @param seen [Range<Integer>] of 0 to 4: what was seen, 2 is right
      # @param careless [Float]
      # @return [Band]
      def after(at:, seen:, careless: CARELESS)
        found = layers_of(at) do |offs, layer|
          Answers.given(BAND_CUTS[layer], seen, offs, BAND_SEEN[layer], careless)
        end
        Band.new(middle, Normal.normalised(weights.each_index.map { |cell| weights[cell] * found[cell] }), @before)
      end

      # @return [Float] chance that the answer was careless
      def surprise(at:, seen:)
        honest = total(layers_of(at) { |offs, layer| Answers.chances(BAND_CUTS[layer], seen, offs, BAND_SEEN[layer]) })
        stray = CARELESS * seen.size / 5.0
        stray / (stray + ((1 - CARELESS) * honest))
      end

      # @param at [Float]
      # @param holes [Integer]
      # @return [Float] chance that all of them are right: what is shared fails together
      def chance(at, holes: 1)
        total(layers_of(at) do |offs, layer|
          Answers.chances(BAND_CUTS[layer], 2..2, offs, BAND_LAYERS[layer][1]).map! { |chance| chance**holes }
        end)
      end

      # @return [Array(Float, Float)] where what is right lies: mean and variance around the middle
      def place
        @place ||= Normal.moments(BAND_PLACES, BAND_PLACES.each_index.map do |i|
          BAND_LAYERS.each_index.sum do |layer|
            weights[(layer * BAND_PLACES.size) + i]
          end
        end)
      end

      # @return [Float] mean of half the right stretch
      def half = BAND_LAYERS.each_with_index.sum { |(half, _), layer| half * layers[layer] }

      # @return [Array<Float>] chance of each layer
      def layers = weights.each_slice(BAND_PLACES.size).map(&:sum)

      def inspect = "#<Band right at #{(middle + place.first).round(2)} ± #{half.round(2)}>"

      # What is believed of something alike, from this.
      #
      # @param shared [Float] share of the variance that both have in common
      # @param middle [Float] of the other
      # @return [Band]
      def carried(shared:, middle: self.middle)
        mean, variance = place
        all = @before.last
        Band.prior(middle: middle, mean: shared * mean, layers: layers, share: CARRIED_WIDE_SHARE,
                   deviation: Math.sqrt((all * (1 - (shared**2))) + ((shared**2) * variance)))
      end

      private

      # What every cell says, layer by layer, from how far each place is off.
      def layers_of(at)
        from = at - middle
        offs = BAND_PLACES.map { |place| from - place }
        BAND_LAYERS.each_index.flat_map { |layer| yield(offs, layer) }
      end

      def total(found) = weights.each_index.sum { |cell| weights[cell] * found[cell] }
    end
  end
end
