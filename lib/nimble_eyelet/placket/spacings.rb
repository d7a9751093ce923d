# frozen_string_literal: true

# Spacings are the ways to space one run: what a row of so many holes in a pattern has to meet, the row asked for, and
# one hole more or fewer. Each is solved when it is first asked for, and once.
#
#   spacings = Placket::Spacings.new(run, button, holes, sewn: [])
#   spacings.found.places      # of the row asked for
#   spacings.alternatives      # one fewer, as it is, one more, another pattern
#
# Places left open are wished for: the first button half its width and 6 mm below the top, the last about one gap above
# the lower edge, the count from the gap wished for. What a person has set is kept exactly.

require_relative "../length/length"
require_relative "../spacing/demands"
require_relative "../spacing/solver"
require_relative "../value"
require_relative "edge"
require_relative "hole"

module NimbleEyelet
  module Placket
    # Last hole above the lower edge, on a long run: within the usual 70 to 100.
    ABOVE_HEM = Length.mm(80)
    # Runs up to this length are small closures that end as they begin.
    SHORT_RUN = Length.mm(250)
    # Bare cloth left between two holes or two buttons.
    BETWEEN = Length.mm(3)

    # One way to space the run with another number of holes, or in another pattern.
    #
    # count - Integer; pattern - String; places - Array<Length>, none when it does not fit
    # smallest, largest - Length or nil
    class Alternative < Value.of(:count, :pattern, :places, :smallest, :largest)
      def fits? = places.any?
    end

    class Spacings
      # @return [Array<SewnHole>]
      attr_reader :sewn

      # @return [Holes]
      attr_reader :holes

      # @param run [Run] already sound by itself
      # @param button [Button]
      # @param holes [Holes]
      # @param sewn [Array<SewnHole>] that are in the garment and stay where they are
      def initialize(run, button, holes, sewn: [])
        @run = run
        @button = button
        @holes = holes
        @sewn = sewn
        @grid = run.grid_ruler
        @solved = {}
      end

      # @return [Length] where the first and the last hole are, said or wished for
      def first = @first ||= @run.first || [@grid.up(clearance), default_last].min
      def last = @last ||= @run.last || [default_last, first].max

      # Holes and buttons may not touch their neighbours.
      def apart = @apart ||= [@holes.footprint, @button.fastens? ? @button.across : Length.zero].max + BETWEEN

      # Places that must have a hole: of a pinned button, where its hole goes.
      def musts = @musts ||= @run.musts.map { |pin| @holes.pinned(pin) }

      # @return [Spacing::Row, nil] the row asked for; where no count was, one that fits and is near the gap wished
      def found
        @found ||= if @run.count && !@run.count_most
                     solved(fitted(@run.count))
                   else
                     counts.lazy.filter_map { |count| solved(count) }.first
                   end
      end

      # One fewer, as it is, one more; and the other way to group them.
      #
      # @return [Array<Alternative>]
      def alternatives
        count = found.places.size
        near = [count - step, count, count + step].grep(1..Spacing::MOST_HOLES).map do |number|
          alternative(number, @run.pattern, solved(number))
        end
        near << other_pattern(count)
      end

      # The row with one hole more or fewer that lies more evenly, within gaps that are usual.
      #
      # @return [Spacing::Row, nil]
      def more_even
        others = [-step, step].filter_map { |way| solved(found.places.size + way) }
        others.select { |row| usual?(row) && spread(row) < spread(found) }.min_by { |row| spread(row) }
      end

      # The demands no row was found for: of the count asked for, or the one nearest to the gap wished for.
      #
      # @return [Spacing::Demands]
      def collided = demands(@run.count ? fitted(@run.count) : (counts.first || fitted(fixed_points)))

      # Keep-outs, each widened by half of what a hole covers and the cloth to keep clear.
      def blocked(half = @holes.footprint / 2)
        @run.no_goes.map do |item|
          Spacing::Blocked.new(from: item.upper - half - KEEP_CLEAR, to: item.lower + half + KEEP_CLEAR, label: item.label)
        end
      end

      private

      # What the button wants at the top, or half the hole where that is more. It is the button that
      # has to stay on the cloth, and in a vertical hole it sits above the hole's middle.
      # Its stitches keep as far from the end of the edge as from its side.
      def clearance = @clearance ||= [Edge.margin(@button) + @holes.first_seat, half(@holes.first_footprint)].max

      def half(footprint) = (footprint / 2) + Edge.end_room(@run, @button, footprint)

      def default_last
        least = [Edge.margin(@button), half(@holes.footprint)].max
        below = @run.run_length > SHORT_RUN ? [ABOVE_HEM, least].max : least
        @default_last ||= [@run.run_length - below, Length.zero].max.round_down_to(@grid.step)
      end

      def least_gap = [@run.least_gap, apart].compact.max
      def together = @run.clustered? ? @run.together : 1
      def inner = @run.inner_gap || @grid.up(apart)

      # What the count asked for comes to in this pattern.
      def fitted(count)
        return count + (count % 2) if @run.pattern == "ribbon"

        (count.to_f / together).ceil * together
      end

      # Counts to try, from the one that comes nearest to the gap wished for.
      def counts
        range = @run.count ? (@run.count..@run.count_most) : (1..Spacing::MOST_HOLES)
        usual = fitted(usual_count.clamp(range.min, range.max))
        near = (0..8).flat_map { |away| [usual + (away * step), usual - (away * step)] }.uniq
        near.select { |count| count.positive? && range.cover?(count) && count <= Spacing::MOST_HOLES }
      end

      def usual_count
        usual = short? ? 1 : 1 + [((last - first) / @run.gap_wished).round, 1].max
        @run.count ? usual : [usual, fixed_points].max
      end

      # A gap that is wished for is met as nearly as it goes: down to half of it.
      #
      # @return [Boolean] two would lie closer than is usual: a waistband, a cuff, a tab takes one
      def short? = last - first < (@run.wished_gap ? @run.wished_gap / 2 : @run.usage.least_gap)

      def fixed_points
        ends = short? ? [@run.first, @run.last].compact : [first, last]
        [[*ends, *musts, *@sewn.map(&:at)].uniq.size, 1].max
      end

      def step = @run.pattern == "ribbon" ? 2 : together

      def solved(count, pattern = @run.pattern, together = self.together)
        @solved.fetch([count, pattern]) { |key| @solved[key] = Spacing::Solver.solve(demands(count, pattern, together)) }
      end

      def demands(count, pattern = @run.pattern, together = self.together)
        half = @holes.footprint / 2
        demands = Spacing::Demands.new(count: count, grid: @grid.step, from: @run.first ? half : [clearance, first].min,
                                       to: @run.run_length - (@run.last ? half : self.half(@holes.footprint)),
                                       **ends(count), least_gap: least_gap, most_gap: @run.most_gap,
                                       pins: musts, sewn: @sewn.map(&:at),
                                       soft_pins: soft_pins, blocked: blocked,
                                       blocked_first: (blocked(@holes.first_footprint / 2) if @run.first_across?),
                                       together: together, inner: together > 1 ? inner : Length.zero)
        pattern == "ribbon" ? equal_steps(demands) : demands
      end

      # One hole alone is first and last at once.
      def ends(count)
        return %i[first last].to_h { |place| [place, Spacing::RowEnd.new(at: alone, fixed: true)] } if count == 1

        { first: Spacing::RowEnd.new(at: first, fixed: !@run.first.nil? && outermost?(:min, first)),
          last: Spacing::RowEnd.new(at: last, fixed: !@run.last.nil? && outermost?(:max, last)) }
      end

      # In a run that takes no more it lies in the middle.
      def alone = @run.first || !short? ? first : [(@run.run_length / 2).round_down_to(@grid.step), first].max

      # What is sewn beyond an end that was said has become the end.
      def outermost?(which, place) = [place, *@sewn.map(&:at)].public_send(which) == place

      def soft_pins
        @run.pins.reject(&:must?).map { |pin| Spacing::SoftPin.new(at: @holes.pinned(pin), weight: pin.weight) }
      end

      # One and the same gap throughout; what stays over is left at the lower end.
      def equal_steps(demands)
        return demands if demands.count < 2

        pitch = [((last - first) / (demands.count - 1)).round_down_to(@grid.step), @grid.step].max
        last = Spacing::RowEnd.new(at: first + (pitch * (demands.count - 1)), fixed: false)
        demands.with(last: last, least_gap: [pitch, least_gap].max, most_gap: pitch)
      end

      def other_pattern(count)
        return alternative(count, "even", solved(count, "even", 1)) unless @run.pattern == "even"

        pairs = count + (count % @run.together).then { |over| over.zero? ? 0 : @run.together - over }
        alternative(pairs, "clusters", solved(pairs, "clusters", @run.together))
      end

      def alternative(count, pattern, row)
        gaps = row ? row.gaps : []
        Alternative.new(count: count, pattern: pattern, places: row ? row.places : [], smallest: gaps.min, largest: gaps.max)
      end

      def spread(row) = row.gaps.max - row.gaps.min

      def usual?(row)
        row.gaps.size > 1 && row.gaps.all? { |gap| gap.between?(@run.usage.least_gap, @run.usage.most_gap) }
      end
    end
  end
end
