# frozen_string_literal: true

# CoverBand is what is believed of how dense a bead has to be here, in logarithms of the coverage index k:
# the bead sewn away lies at ln k + q − B, the one sewn back at ln k − q + B, where q is what the machine
# feeds further one way than the other and B what its balance is set to. Both are full within c ± w.
# Exact on a grid of 37 × 19 × 6 cells.
#
#   band = CoverBand.prior(SewingThread::COVERAGE_LEAST, SewingThread::COVERAGE_MOST)
#   band = band.after(cover: Math.log(0.45), balance: 0, away: 1..1, back: 2..2)
#   band.chance(Math.log(0.52), balance: 0, holes: 5)

require_relative "../belief/answers"
require_relative "../belief/normal"

module NimbleEyelet
  class CoverBand
    STEP = 0.04
    CENTRES = (-18..18).map { |number| number * STEP }.freeze
    SKEWS = (-9..9).map { |number| number * STEP }.freeze
    # Half of what is full, with its chance; beyond COVER_BADLY more it is badly wrong.
    COVER_HALVES = { 0.18 => 0.25, 0.25 => 0.5, 0.32 => 0.25 }.freeze
    COVER_BADLY = 0.15
    # From hole to hole a bead, with its chance, and what the eye adds.
    COVER_NOISES = { 0.03 => 0.65, 0.06 => 0.35 }.freeze
    COVER_BLUR = 0.03
    # Deviations of the centre by what it hangs on, and of the skew; and of the wide part.
    CENTRE_BY = { machine: 0.06, thread: 0.08, cloth: 0.04, own: 0.02 }.freeze
    SKEW_BY = { machine: 0.05, cloth: 0.03 }.freeze
    WIDE_CENTRE = 0.3
    WIDE_SKEW = 0.2
    # What one notch of the balance does, until that is known.
    NOTCH = 0.05
    # What a second pass over both beads adds: its stitches fall between those of the first or on them, so that two
    # cover about half as much again as one. Nobody has measured it better; a test hole says the rest.
    SECOND_PASS = Math.log(1.5)
    # Half the usual band, in logarithms.
    USUAL_HALF = 0.25

    COVER_LAYERS = COVER_HALVES.keys.product(COVER_NOISES.keys).freeze
    COVER_CHANCES = COVER_HALVES.values.product(COVER_NOISES.values).map { |pair| pair.reduce(:*) }.freeze
    COVER_SEEN = COVER_LAYERS.map { |_, noise| Math.sqrt((noise**2) + (COVER_BLUR**2)) }.freeze
    # Centre and skew lie on one lattice, so that a bead has one of these distances.
    FARTHEST = (CENTRES.size / 2) + (SKEWS.size / 2)
    CELLS = CENTRES.size * SKEWS.size
    NOTHING_SAID = Array.new((2 * FARTHEST) + 1, 1.0).freeze
    OPPOSITE_BEADS, ALIKE_BEADS = [-1, 1].map do |way|
      places = CENTRES.each_index.to_a.product(SKEWS.each_index.to_a).map do |centre, skew|
        number = skew - (SKEWS.size / 2)
        to = FARTHEST + (CENTRES.size / 2) - centre
        [to + number, to + (way * number)]
      end
      places.transpose.each(&:freeze).freeze
    end
    private_constant :FARTHEST, :CELLS, :NOTHING_SAID, :OPPOSITE_BEADS, :ALIKE_BEADS

    # @return [Float] logarithm of the coverage index in the middle of the band
    attr_reader :middle

    # @return [Float] width of the band against the usual one
    attr_reader :scale

    # @return [Boolean] the second bead is sewn the other way
    attr_reader :opposite

    # @return [Array<Float>] over COVER_LAYERS × CENTRES × SKEWS, together 1
    attr_reader :weights

    def initialize(middle, scale, weights, opposite)
      @middle = middle
      @scale = scale
      @weights = weights
      @opposite = opposite
    end

    # @param least [Float] coverage index
    # @param most [Float]
    # @return [CoverBand]
    def self.prior(least, most, opposite: true)
      centre, skew = [CENTRE_BY, SKEW_BY].map { |by| by.values.sum { |deviation| deviation**2 } }
      built(Math.log(least * most) / 2, Math.log(most / least) / 2 / USUAL_HALF, [[0.0, centre], [0.0, skew]], opposite)
    end

    def self.built(middle, scale, moments, opposite, layers: COVER_CHANCES, share: Belief::WIDE_SHARE)
      (centre, centre_variance), (skew, skew_variance) = moments
      centres = Belief::Normal.prior(CENTRES, mean: centre, deviation: Math.sqrt(centre_variance), wide: WIDE_CENTRE,
                                     share: share)
      skews = Belief::Normal.prior(SKEWS, mean: skew, deviation: Math.sqrt(skew_variance), wide: WIDE_SKEW,
                                   share: share)
      weights = layers.flat_map { |layer| centres.flat_map { |one| skews.map { |other| layer * one * other } } }
      new(middle, scale, weights, opposite)
    end
    private_class_method :built

    # @param cover [Float] ln k it was sewn with
    # @param balance [Float] B
    # @param away [Range<Integer>, nil] what was seen on the bead sewn away, 0 badly open to 4 badly piled up
    # @param back [Range<Integer>, nil]
    # @return [CoverBand]
    def after(cover:, balance:, away:, back:, careless: Belief::CARELESS)
      one = away && seen_tables(away, careless)
      other = back && seen_tables(back, careless)
      CoverBand.new(middle, scale, Belief::Normal.normalised(weighed(cover, balance, one, other)), opposite)
    end

    # @return [Float] chance that what was said of one bead or the other was careless
    def surprise(cover:, balance:, away:, back:)
      [[away, nil], [nil, back]].filter_map do |pair|
        range = pair.compact.first or next
        tables = pair.map { |seen| seen && seen_tables(seen, 0.0) }
        honest = weighed(cover, balance, *tables).sum
        stray = Belief::CARELESS * range.size / 5.0
        stray / (stray + ((1 - Belief::CARELESS) * honest))
      end.max || 0.0
    end

    # @param cover [Float] ln k
    # @param balance [Float]
    # @param holes [Integer]
    # @return [Float] chance that both beads of all of them are full
    def chance(cover, balance: 0.0, holes: 1)
      away = full_table(cover - middle - balance)
      back = full_table(cover - middle + (opposite ? balance : -balance))
      likely.each_with_index.sum do |(ones, others, shares), layer|
        one = away[layer]
        other = back[layer]
        total = 0.0
        cell = 0
        while cell < shares.size
          total += shares[cell] * ((one[ones[cell]] * other[others[cell]])**holes)
          cell += 1
        end
        total
      end
    end

    # @return [Array(Float, Float)] centre from the middle: mean and variance
    def centre = @centre ||= Belief::Normal.moments(CENTRES, margin(CENTRES.size, CENTRE_OF))

    # @return [Array(Float, Float)] skew: mean and variance
    def skew = @skew ||= Belief::Normal.moments(SKEWS, margin(SKEWS.size, SKEW_OF))

    # @return [Float] mean of half the full stretch
    def half = COVER_LAYERS.each_with_index.sum { |(half, _), layer| half * scale * layers[layer] }

    # @return [Array<Float>] chance of each layer
    def layers = @layers ||= weights.each_slice(CELLS).map(&:sum)

    # What is believed of something alike, from this.
    #
    # @param alike [Array<Symbol>] what both share, of :machine, :thread, :cloth
    # @param least [Float]
    # @param most [Float]
    # @return [CoverBand]
    def carried(alike, least, most, opposite: self.opposite)
      moments = [[centre, CENTRE_BY], [skew, SKEW_BY]].map do |(mean, variance), by|
        all = by.values.sum { |deviation| deviation**2 }
        shared = by.slice(*alike).values.sum { |deviation| deviation**2 } / all
        [shared * mean, (all * (1 - (shared**2))) + ((shared**2) * variance)]
      end
      CoverBand.send(:built, Math.log(least * most) / 2, Math.log(most / least) / 2 / USUAL_HALF, moments, opposite,
                     layers: layers, share: Belief::CARRIED_WIDE_SHARE)
    end

    def inspect = "#<CoverBand full at #{Math.exp(middle + centre.first).round(3)}, skew #{skew.first.round(3)}>"

    private

    # What somebody would say of a bead at every distance, layer by layer; nothing said is no news.
    def seen_tables(range, careless)
      ->(from) { tables(from) { |offs, layer, cuts| Belief::Answers.given(cuts, range, offs, COVER_SEEN[layer], careless) } }
    end

    def full_table(from)
      tables(from) { |offs, layer, cuts| Belief::Answers.chances(cuts, 2..2, offs, COVER_LAYERS[layer][1]) }
    end

    def tables(from)
      offs = (-FARTHEST..FARTHEST).map { |number| from + (number * STEP) }
      COVER_LAYERS.each_with_index.map do |(half, _), layer|
        yield(offs, layer, [-half - COVER_BADLY, -half, half, half + COVER_BADLY].map { |cut| cut * scale })
      end
    end

    # Every cell's weight with what both tables say of it. Some thousands of cells each time: no block, no pair.
    def weighed(cover, balance, seen_away, seen_back)
      away = seen_away&.call(cover - middle - balance)
      back = seen_back&.call(cover - middle + (opposite ? balance : -balance))
      COVER_LAYERS.each_index.flat_map do |layer|
        weighed_layer(layer * CELLS, away ? away[layer] : NOTHING_SAID, back ? back[layer] : NOTHING_SAID)
      end
    end

    def weighed_layer(from, one, other)
      ones, others = beads
      found = Array.new(CELLS)
      place = 0
      while place < CELLS
        found[place] = weights[from + place] * (one[ones[place]] * other[others[place]])
        place += 1
      end
      found
    end

    # The cells that matter, layer by layer: where the beads lie in a table, and the weights.
    def likely
      @likely ||= begin
        least = least_weight
        all = weights.sum { |weight| weight < least ? 0.0 : weight }
        weights.each_slice(CELLS).map do |layer|
          cells = layer.each_index.select { |cell| layer[cell] >= least }
          [*beads.map { |places| places.values_at(*cells) }, cells.map { |cell| layer[cell] / all }]
        end
      end
    end

    # Where both beads of every cell lie in a table.
    def beads = opposite ? OPPOSITE_BEADS : ALIKE_BEADS

    # What is lighter adds up to less than LEFT_OUT.
    def least_weight
      left = LEFT_OUT
      weights.sort.find { |weight| (left -= weight).negative? }
    end
    LEFT_OUT = 0.002
    private_constant :LEFT_OUT

    def margin(size, number_of) = Belief::Normal.margin(weights, size, number_of)

    CENTRE_OF = Array.new(COVER_LAYERS.size * CELLS) { |cell| (cell / SKEWS.size) % CENTRES.size }.freeze
    SKEW_OF = Array.new(COVER_LAYERS.size * CELLS) { |cell| cell % SKEWS.size }.freeze
    private_constant :CENTRE_OF, :SKEW_OF
  end
end
