# frozen_string_literal: true

# Pace is how long somebody's steps really take. The middle of what was seen is robust against a telephone that rang; it
# is drawn toward what is usual until there is enough of it.
#
#   pace = Schedule::Pace.of("place" => [31, 40, 38])
#   pace.seconds("place", 35)   # 36
#
# Shrunk as (n·median + k·usual) / (n + k), spread from the median absolute deviation × 1.4826.

require_relative "../value"

module NimbleEyelet
  module Schedule
    # usual - Hash of step name to PaceSeen
    class Pace < Value.of(:seen)
      # So many steps seen weigh as much as what is usual.
      WEIGHT = 3
      # Nobody stands at one step longer: what lasts so long was a break. Seconds.
      BREAK = 1200
      # Spread of a step nobody has seen, as a share of it; and of all of them together, while nothing is known.
      SPREAD = 0.4
      TOGETHER = 0.2
      # Eight in ten lie within so many deviations.
      EIGHT_IN_TEN = 1.28
      MAD = 1.4826

      # @param durations [Hash{String => Array<Numeric>}] seconds by step name
      # @return [Pace]
      def self.of(durations)
        worked = durations.transform_values { |all| all.grep(1..BREAK) }.reject { |_, all| all.empty? }
        new(seen: worked.transform_values { |all| PaceSeen.of(all) })
      end

      # What nobody has watched.
      def self.usual = new(seen: {})

      # @param name [String] of a step
      # @param usual [Numeric] seconds
      # @return [Float] seconds
      def seconds(name, usual)
        one = seen[name] or return usual.to_f
        ((one.count * one.median) + (WEIGHT * usual)) / (one.count + WEIGHT)
      end

      # @param steps [Array<Array(String, Numeric)>] name, and seconds as {#seconds} gives them
      # @return [Array(Float, Float)] seconds, within which they take in eight of ten cases
      def range(steps)
        total = steps.sum(&:last)
        alone = steps.sum { |name, expected| spread(name, expected)**2 }
        deviation = Math.sqrt(alone + ((TOGETHER * total / Math.sqrt(1 + (count / 20.0)))**2))
        [[total - (EIGHT_IN_TEN * deviation), 0].max, total + (EIGHT_IN_TEN * deviation)]
      end

      # @return [Integer] steps that were seen
      def count = seen.values.sum(&:count)

      private

      def spread(name, expected)
        one = seen[name]
        one && one.count >= WEIGHT ? [one.spread * MAD, 1].max : SPREAD * expected
      end
    end

    # count - Integer; median, spread - Float seconds, of the steps and of their distance from the median
    class PaceSeen < Value.of(:count, :median, :spread)
      # @param all [Array<Numeric>]
      def self.of(all)
        middle = PaceSeen.median(all)
        new(count: all.size, median: middle, spread: PaceSeen.median(all.map { |one| (one - middle).abs }))
      end

      def self.median(all)
        sorted = all.sort
        half = sorted.size / 2
        (sorted.size.odd? ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2.0).to_f
      end
    end
  end
end
