# frozen_string_literal: true

# Layout is the answer of the placket stage: the holes in their places, why there are so many, how
# even they are, and what one hole more or fewer would cost.
#
#   layout = Placket::Layout.of(run, button, cut, width: Length.mm(4.5))
#   layout.holes.map(&:at)
#
# Places left open are filled in: the first hole half a button and 6 mm below the top, the last
# about one gap above the lower edge, the count from the gap wished for.

require_relative "run"
require_relative "spacing"
require_relative "hole"
require_relative "edge"

module NimbleEyelet
  module Placket
    # Last hole above the lower edge, on a long run: within the usual 70 to 100.
    ABOVE_HEM = Length.mm(80)
    # Runs up to this length are small closures that end as they begin.
    SHORT_RUN = Length.mm(250)
    # A gauge is set to the mean gap; a hole this far off it is not seen.
    UNSEEN = Length.mm(1)
    # Bare cloth left between two holes or two buttons.
    BETWEEN = Length.mm(3)

    # One way to space the run with another number of holes.
    #
    # count - Integer; smallest, largest - Length or nil; fits - Boolean
    Alternative = Value.define(:count, :smallest, :largest, :unevenness, :fits)

    Layout = Value.define(:run, :holes, :edge, :mean_gap, :smallest_gap, :largest_gap, :unevenness,
                          :alternatives, :because, :cautions)

    # Works a layout out.
    class Planner
      # @param run [Run] already sound by itself
      # @param button [Button]
      # @param cut [Opening::Cut]
      # @param width [Length] total stitch width of a hole
      def initialize(run, button, cut, width)
        @run = run
        @button = button
        @holes = Holes.new(run, cut, width)
        @grid = run.grid_ruler
      end

      # @return [Layout]
      # @raise [Refused] when the holes do not fit the run as described
      def layout
        check_fit
        places = spaced(count)
        gaps = Spacing.gaps(places)
        holes = @holes.at(places)
        edge = Edge.of(@run, @button, @holes)
        Layout.new(run: @run, holes: holes, edge: edge, mean_gap: mean(gaps), smallest_gap: gaps.min,
                   largest_gap: gaps.max, unevenness: Spacing.unevenness(gaps), alternatives: alternatives(gaps),
                   because: because, cautions: edge.cautions + end_cautions(holes) + gap_cautions(gaps) +
                                               holes.flat_map(&:cautions))
      end

      private

      def first = @first ||= @run.first || [@grid.up(clearance), default_last].min

      def last = @last ||= @run.last || [default_last, first].max

      # What the button wants at the top, or half the hole where that is more. It is the button that
      # has to stay on the cloth, and in a vertical hole it sits above the hole's middle.
      def clearance = @clearance ||= [Edge.margin(@button) + @holes.seat, @holes.footprint / 2].max

      def default_last
        least = [Edge.margin(@button), @holes.footprint / 2].max
        below = @run.length > SHORT_RUN ? [ABOVE_HEM, least].max : least
        @default_last ||= [@run.length - below, Length.zero].max.round_down_to(@grid.step)
      end

      def count = @count ||= @run.count || usual_count

      def usual_count
        return 1 if last == first

        wished = 1 + [((last - first) / @run.gap_wished).round, 1].max
        [wished, fixed.size, [most, fixed.size].max].sort[1]
      end

      def fixed = @fixed ||= [first, last, *@run.pins.map(&:at)].uniq

      def spaced(number)
        return [first] if number == 1

        Spacing.even(first: first, last: last, count: number, pins: @run.pins.map(&:at), grid: @grid.step)
      end

      # Holes and buttons may not touch their neighbours.
      def least_gap = @least_gap ||= [@holes.footprint, @button.across].max + BETWEEN

      def most = @most ||= 1 + ((last - first) / least_gap).floor

      def check_fit
        Refused.unless_sound do |check|
          check_ends(check)
          check.that("placket.count", count, count >= fixed.size || count == 1,
                     "There are #{fixed.size} fixed points (first, last and pins): at least as many holes, please.")
          check.that("placket.count", count, count <= most,
                     Said["At most #{most} holes fit between %s and %s: this button and hole need %s each.",
                          first, last, least_gap])
        end
      end

      def check_ends(check)
        half = @holes.footprint / 2
        check.that("placket.first", first, first >= half, Said["The hole itself reaches %s up: at least that.", half])
        check.that("placket.last", last, last + half <= @run.length,
                   Said["The hole itself reaches %s down: at most %s.", half, @run.length - half])
        @run.pins.each do |pin|
          check.that("placket.pins", pin.at, pin.at.between?(first, last),
                     Said["A pin lies between the first and the last hole, from %s to %s.", first, last])
        end
      end

      def mean(gaps) = gaps.empty? ? nil : gaps.sum(Length.zero) / gaps.size

      def alternatives(chosen)
        ((count - 1)..(count + 1)).filter_map do |number|
          next if number < 1

          gaps = number == count ? chosen : gaps_of(number)
          Alternative.new(count: number, smallest: gaps&.min, largest: gaps&.max, fits: !gaps.nil?,
                          unevenness: gaps && Spacing.unevenness(gaps))
        end
      end

      def gaps_of(number)
        Spacing.gaps(spaced(number)) if number <= most && (number >= fixed.size || number == 1)
      end

      def because
        [ends_reason, count_reason, pins_reason].compact
      end

      def ends_reason
        return if @run.first && @run.last

        Reason.new(rule: "ends", says: Said["The first hole is half the button and %s below the top or as you set it; " \
                                            "the last stays clear of the hem.", BUTTON_MARGIN])
      end

      def count_reason
        return Reason.new(rule: "count", says: "#{count} holes, as you asked.", source: "your choice") if @run.count

        Reason.new(rule: "count", says: Said["#{count} #{count == 1 ? 'hole comes' : 'holes come'} nearest to a gap of %s.",
                                             @run.gap_wished], source: "usual for: #{@run.usage.name}")
      end

      def pins_reason
        return if @run.pins.empty?

        Reason.new(rule: "pins", says: "Pinned points get a hole exactly; the rest is as even as that allows, " \
                                       "by the least sum of squared gaps.", source: "least squares")
      end

      def end_cautions(holes)
        wanted = Edge.margin(@button)
        return [] if holes.first.button >= wanted

        [Caution.new(rule: "top edge", says: Said["The first button sits %s from the top; it wants %s.", holes.first.button, wanted],
                     instead: Said["Move the first hole down to %s, or choose a smaller button.", wanted + @holes.seat])]
      end

      def gap_cautions(gaps)
        wide = gaps.max
        return [] unless wide && wide > @run.usage.most_gap

        [Caution.new(rule: "gap", says: Said["The widest gap is %s; %s is the most that is usual here, and it may gape.",
                                             wide, @run.usage.most_gap],
                     instead: @run.pins.empty? ? "Add a hole, or pin one to the fullest point." : "Add a hole.")]
      end
    end

    # @return [Layout]
    # @raise [Refused]
    def Layout.of(run, button, cut, width:) = Planner.new(run, button, cut, width).layout
  end
end
