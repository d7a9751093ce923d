# frozen_string_literal: true

# EdgeSearch finds along a line where it changes most, to a fraction of a step.
#
#   EdgeSearch.outermost(EdgeSearch.slopes(greys, 3), least: 0.4, floor: 1)   # => [number of the step, slope] or nil
#
# Source: the edge is where the slope of the smoothed line is steepest (Canny 1986), to a part of a step by a parabola.

module NimbleEyelet
  module PhotoReading
    module EdgeSearch
      # Of a line smoothed by its neighbours, how steep it is at each place, in grey values a step.
      #
      # @param greys [Array<Float>]
      # @param half [Integer] how many neighbours on each side
      # @return [Array<Float>] as long, 0 where there are no neighbours
      def self.slopes(greys, half)
        sums = [0.0]
        greys.each { |grey| sums << (sums.last + grey) }
        Array.new(greys.size) do |at|
          next 0.0 if at < half || at + half >= greys.size

          (((sums[at + half + 1] - sums[at + 1]) - (sums[at] - sums[at - half])) / half) / (half + 1)
        end
      end

      # Of all places where it is steep, the last one.
      #
      # @param slopes [Array<Float>]
      # @param least [Float] share of the steepest
      # @param floor [Float] what a slope is at least
      # @return [Array(Float, Float), nil] the place, as a number of steps, and its slope
      def self.outermost(slopes, least:, floor:)
        peaks = peaks(slopes, floor)
        most = peaks.map { |_, slope| slope.abs }.max or return
        peaks.reverse.find { |_, slope| slope.abs >= least * most }
      end

      # @return [Array<Array(Float, Float)>] places and slopes, from the first to the last
      def self.peaks(slopes, floor)
        (1...(slopes.size - 1)).filter_map do |at|
          before, here, after = slopes[at - 1, 3].map(&:abs)
          next unless here >= floor && here > before && here >= after

          [at + part(before, here, after), slopes[at]]
        end
      end

      # @param values [Array<Float>]
      # @param level [Float]
      # @return [Float, nil] the place from which on three in a row lie above it
      def self.crossing(values, level)
        at = (1...(values.size - 2)).find { |number| values[number, 3].all? { |value| value > level } } or return
        before, here = values[at - 1, 2]
        before >= level ? at.to_f : at - ((here - level) / (here - before))
      end

      # Of a parabola through three, where it is highest.
      def self.part(before, here, after)
        bend = before - (2 * here) + after
        bend.zero? ? 0.0 : ((before - after) / (2 * bend)).clamp(-0.5, 0.5)
      end
    end
  end
end
