# frozen_string_literal: true

# Bands are the places that each head of a row can have when the row's gaps differ from their mean by no more than
# so much in all: Σ(gap − mean)² ≤ cost. What leaves the bands need not be looked at.
#
#   bands = Spacing::Bands.new(lattice, reach, starts: 24..24, ends: 540..540)
#   bands.least            # no row costs less
#   bands.within(40)       # [[[24, 24]], [[98.2, 121.8]], …]
#
# How. From one fixed point to the next, k gaps over a length l cost at least k(l/k − mean)² (Cauchy–Schwarz), and
# what is left over lets the i-th head stray from its even place by √(rest·i(k − i)/k). Which heads the fixed points
# are is found by adding those least costs up from either end. Where an end is free, lengths and means are ranges and
# their least distance counts.

module NimbleEyelet
  module Spacing
    class Bands
      # Roots are rounded: a little more than needed does no harm.
      SLACK = 1.000001

      # @param lattice [Lattice]
      # @param reach [Feasibility]
      # @param starts [Range<Integer>] where the first head may be
      # @param ends [Range<Integer>] where the last head may be
      def initialize(lattice, reach, starts:, ends:)
        @lattice = lattice
        @gaps = lattice.gaps
        @points = [starts.minmax, *lattice.track.groups.map { |heads| [heads.first, heads.last] }, ends.minmax]
        @mean = [Float(ends.first - starts.last) / @gaps, Float(ends.last - starts.first) / @gaps]
        @layers = layers(reach)
        @before = added(@points, @layers)
        @after = from_the_end
      end

      # @return [Float] what any row costs at least
      def least = @before.last.fetch(@gaps, Float::INFINITY)

      # @param cost [Numeric]
      # @return [Array<Array<Array(Numeric, Numeric)>>] stretches of places, by layer
      def within(cost)
        bands = Array.new(@gaps + 1) { [] }
        @points.each_with_index { |point, index| standing(index, cost).each { |layer| bands[layer] << point } }
        @points.each_cons(2).with_index do |(from, to), index|
          strewn(from, to, index, cost) { |layer, stretch| bands[layer] << stretch }
        end
        [[@points.first], *bands[1...-1].map { |stretches| joined(stretches) }, [@points.last]]
      end

      private

      # Which heads each fixed point can be: those that are reached from both ends.
      def layers(reach)
        between = @lattice.track.groups.map do |heads|
          sets = heads.map { |head| [reach.to(head), reach.mirrored.to(-head)] }
          (0..@gaps).select { |layer| sets.any? { |before, after| before[layer] == 1 && after[@gaps - layer] == 1 } }
        end
        [[0], *between, [@gaps]]
      end

      # The least cost of a row from its beginning to each fixed point, by the point's layer.
      def added(points, layers)
        costs = [{ layers.first.first => 0.0 }]
        points.each_cons(2).with_index do |(from, to), index|
          costs << layers[index + 1].each_with_object({}) do |layer, found|
            least = costs.last.filter_map do |before, cost|
              cost + even(from, to, layer - before) if before <= layer
            end.min
            found[layer] = least if least && least < Float::INFINITY
          end
        end
        costs
      end

      # The same from the row's end, by the layer counted from its beginning.
      def from_the_end
        points = @points.reverse.map { |low, high| [-high, -low] }
        costs = added(points, @layers.reverse.map { |layers| layers.map { |layer| @gaps - layer } })
        costs.reverse.map { |found| found.transform_keys { |layer| @gaps - layer } }
      end

      # What so many gaps between two points cost at least.
      def even(from, to, gaps)
        least = to[0] - from[1]
        most = to[1] - from[0]
        return 0.between?(least, most) ? 0.0 : Float::INFINITY if gaps.zero?

        away = [(least.to_f / gaps) - @mean[1], @mean[0] - (most.to_f / gaps), 0.0].max
        gaps * away * away
      end

      def standing(index, cost)
        @layers[index].select { |layer| (@before[index][layer] || Float::INFINITY) + (@after[index][layer] || Float::INFINITY) <= cost * SLACK }
      end

      # Where the heads between two fixed points can be, whichever heads those are.
      def strewn(from, to, index, cost)
        @before[index].each do |first, before|
          @after[index + 1].each do |last, after|
            gaps = last - first
            next if gaps < 2 || (rest = (cost * SLACK) - before - after - even(from, to, gaps)).negative?

            (1...gaps).each do |layer|
              yield first + layer, stray(from, to, Float(layer) / gaps, Math.sqrt(rest * layer * (gaps - layer) / gaps))
            end
          end
        end
      end

      def stray(from, to, part, reach)
        [from[0] + ((to[0] - from[0]) * part) - (reach * SLACK) - 1, from[1] + ((to[1] - from[1]) * part) + (reach * SLACK) + 1]
      end

      def joined(stretches)
        stretches.sort.each_with_object([]) do |(low, high), found|
          if found.any? && low <= found.last[1]
            found.last[1] = [found.last[1], high].max
          else
            found << [low, high]
          end
        end
      end
    end
  end
end
