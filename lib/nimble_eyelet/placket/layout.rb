# frozen_string_literal: true

# Layout is the answer of the placket stage: the holes in their places, why there are so many, how
# even they are, and what one hole more or fewer would cost.
#
#   layout = Placket::Layout.of(run, button, extent, width: Length.mm(4.5), foot: "carriage_foot")
#   layout.holes.map(&:at)
#
# Places left open are wished for: the first button half its width and 6 mm below the top, the last about
# one gap above the lower edge, the count from the gap wished for. What a person has set is kept
# exactly, and all of it is solved for at once.

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../spacing/demands"
require_relative "../spacing/solver"
require_relative "../value"
require_relative "collision"
require_relative "edge"
require_relative "hole"
require_relative "place"
require_relative "run"

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

    # One way to space the run with another number of holes, or in another pattern.
    #
    # count - Integer; pattern - String; places - Array<Length>, none when it does not fit
    # smallest, largest - Length or nil
    class Alternative < Value.of(:count, :pattern, :places, :smallest, :largest)
      def fits? = places.any?
    end

    # evenness - Length, largest less smallest gap; binding - Array<Sentence>, demands that hold holes where they are
    class Layout < Value.of(:run, :holes, :edge, :mean_gap, :smallest_gap, :largest_gap, :evenness, :alternatives,
                            :binding, :because, :cautions)
      # What became of the holes since they lay elsewhere, in one sentence.
      #
      # @param before [Array<Length>] places; none for nothing to compare with
      # @return [Sentence, nil] nothing when none moved
      def moved_since(before)
        return if before.empty?
        return Sentence["#{Layout.so_many(holes.size)} instead of #{before.size}."] if holes.size != before.size

        moves = holes.zip(before).filter_map { |hole, place| [hole.number, hole.at - place] unless hole.at == place }
        return if moves.empty?

        ways = moves.map(&:last)
        sizes = ways.map(&:abs).minmax.uniq
        Sentence["#{Layout.counted(moves.map(&:first))} moved#{Layout.way(ways)} by #{(['%s'] * sizes.size).join(' to ')}.", *sizes]
      end

      def self.way(ways)
        return " down" if ways.all?(&:positive?)

        " up" if ways.all?(&:negative?)
      end

      # @return [String] so many holes, in words
      def self.so_many(count) = count == 1 ? "1 hole" : "#{count} holes"

      def self.counted(numbers)
        return "Hole #{numbers.first}" if numbers.size == 1

        if numbers.each_cons(2).all? do |one, two|
          two == one + 1
        end
          "Holes #{numbers.first} to #{numbers.last}"
        else
          "Holes #{numbers.join(', ')}"
        end
      end
    end

    # Works a layout out.
    class LayoutPlanner
      # @param run [Run] already sound by itself
      # @param button [Button]
      # @param extent [Extent]
      # @param width [Length] total stitch width of a hole
      # @param foot [String] key of FOOT_KINDS
      # @param sewn [Array<SewnHole>] that are in the garment and stay where they are
      # @param beginning [Beginning, nil] of the machine, for start marks
      def initialize(run, button, extent, width, foot, sewn: [], beginning: nil)
        @run = run
        @button = button
        @sewn = sewn.first(Spacing::MOST_HOLES)
        @holes = Holes.new(run, extent, width, foot, sewn: sewn, beginning: beginning, fastens: button.fastens?)
        @grid = run.grid_ruler
      end

      # @return [Layout]
      # @raise [Refusal] when the holes do not fit the run as described
      def layout
        check_ends
        row = found or raise refusal
        holes = @holes.at(row.places)
        edge = Edge.of(@run, @button, @holes)
        gaps = row.gaps
        Layout.new(run: @run, holes: holes, edge: edge, mean_gap: mean(gaps), smallest_gap: gaps.min, largest_gap: gaps.max,
                   evenness: gaps.empty? ? Length.zero : gaps.max - gaps.min, alternatives: alternatives(row),
                   binding: binding_demands(row), because: because(row),
                   cautions: edge.cautions + end_cautions(holes) + gap_cautions(gaps) + holes.flat_map(&:cautions))
      end

      private

      def first = @first ||= @run.first || [@grid.up(clearance), default_last].min

      # Places that must have a hole: of a pinned button, where its hole goes.
      def musts = @musts ||= @run.musts.map { |pin| @holes.pinned(pin) }
      def last = @last ||= @run.last || [default_last, first].max

      # What the button wants at the top, or half the hole where that is more. It is the button that
      # has to stay on the cloth, and in a vertical hole it sits above the hole's middle.
      def clearance = @clearance ||= [Edge.margin(@button) + @holes.first_seat, @holes.first_footprint / 2].max

      def default_last
        least = [Edge.margin(@button), @holes.footprint / 2].max
        below = @run.run_length > SHORT_RUN ? [ABOVE_HEM, least].max : least
        @default_last ||= [@run.run_length - below, Length.zero].max.round_down_to(@grid.step)
      end

      # Holes and buttons may not touch their neighbours.
      def apart = @apart ||= [@holes.footprint, @button.fastens? ? @button.across : Length.zero].max + BETWEEN
      def least_gap = [@run.least_gap, apart].compact.max
      def together = @run.clustered? ? @run.together : 1
      def inner = @run.inner_gap || @grid.up(apart)

      # What the count asked for comes to in this pattern.
      def fitted(count)
        return count + (count % 2) if @run.pattern == "ribbon"

        (count.to_f / together).ceil * together
      end

      # @return [Spacing::Row, nil] the row asked for; where no count was, one that fits and is near the gap wished
      def found
        @found ||= if @run.count && !@run.count_most
                     solved(fitted(@run.count))
                   else
                     counts.lazy.filter_map { |count| solved(count) }.first
                   end
      end

      # Counts to try, from the one that comes nearest to the gap wished for.
      def counts
        range = @run.count ? (@run.count..@run.count_most) : (1..Spacing::MOST_HOLES)
        usual = fitted(usual_count.clamp(range.min, range.max))
        near = (0..8).flat_map { |away| [usual + (away * step), usual - (away * step)] }.uniq
        near.select { |count| count.positive? && range.cover?(count) && count <= Spacing::MOST_HOLES }
      end

      def usual_count
        usual = last == first ? 1 : 1 + [((last - first) / @run.gap_wished).round, 1].max
        @run.count ? usual : [usual, fixed_points].max
      end

      def fixed_points = [first, last, *musts, *@sewn.map(&:at)].uniq.size
      def step = @run.pattern == "ribbon" ? 2 : together

      def solved(count, pattern = @run.pattern, together = self.together)
        @solved ||= {}
        @solved.fetch([count, pattern]) { |key| @solved[key] = Spacing::Solver.solve(demands(count, pattern, together)) }
      end

      def demands(count, pattern = @run.pattern, together = self.together)
        half = @holes.footprint / 2
        demands = Spacing::Demands.new(count: count, grid: @grid.step, from: @run.first ? half : [clearance, first].min,
                                       to: @run.run_length - half, **ends(count), least_gap: least_gap, most_gap: @run.most_gap,
                                       pins: musts, sewn: @sewn.map(&:at), soft_pins: soft_pins, blocked: blocked(half),
                                       blocked_first: (blocked(@holes.first_footprint / 2) if @run.first_across?),
                                       together: together, inner: together > 1 ? inner : Length.zero)
        pattern == "ribbon" ? equal_steps(demands) : demands
      end

      # One hole alone is first and last at once.
      def ends(count)
        return { first: Spacing::RowEnd.new(at: first, fixed: true), last: Spacing::RowEnd.new(at: first, fixed: true) } if count == 1

        { first: Spacing::RowEnd.new(at: first, fixed: !@run.first.nil? && outermost?(:min, first)),
          last: Spacing::RowEnd.new(at: last, fixed: !@run.last.nil? && outermost?(:max, last)) }
      end

      # What is sewn beyond an end that was said has become the end.
      def outermost?(which, place) = [place, *@sewn.map(&:at)].public_send(which) == place

      def soft_pins = @run.pins.reject(&:must?).map { |pin| Spacing::SoftPin.new(at: @holes.pinned(pin), weight: pin.weight) }

      # A keep-out, widened by half of what a hole covers and the cloth to keep clear.
      def blocked(half)
        @run.no_goes.map do |item|
          Spacing::Blocked.new(from: item.upper - half - KEEP_CLEAR, to: item.lower + half + KEEP_CLEAR, label: item.label)
        end
      end

      # One and the same gap throughout; what stays over is left at the lower end.
      def equal_steps(demands)
        return demands if demands.count < 2

        pitch = [((last - first) / (demands.count - 1)).round_down_to(@grid.step), @grid.step].max
        demands.with(last: Spacing::RowEnd.new(at: first + (pitch * (demands.count - 1)), fixed: false), least_gap: [pitch, least_gap].max,
                     most_gap: pitch)
      end

      def check_ends
        half = @holes.footprint / 2
        top = @holes.first_footprint / 2
        Refusal.unless_valid do |check|
          check.expect("placket.first", first, first >= top,
                       Sentence["Write at least %s for the first hole: it reaches so far up itself.", top])
          check.expect("placket.last", last, last + half <= @run.run_length,
                       Sentence["Write at most %s for the last hole: it reaches %s down itself.", @run.run_length - half, half])
          @run.musts.each do |pin|
            check.expect("placket.pins.#{pin.id}.at", pin.at, @holes.pinned(pin).between?(half, @run.run_length - half),
                         Sentence["Write a place where a hole fits on the run, from %s to %s.", *pin_range(pin, half)])
          end
          @sewn.each do |hole|
            check.expect("placket.run_length", @run.run_length, hole.at + half <= @run.run_length,
                         Sentence["A hole is sewn at %s already: the run has to reach below it, to %s at least.", hole.at, hole.at + half])
          end
        end
      end

      def pin_range(pin, half)
        off = @holes.pinned(pin) - pin.at
        [half - off, @run.run_length - half - off]
      end

      def refusal
        count = @run.count ? fitted(@run.count) : (counts.first || fitted(fixed_points))
        given = %i[pin blocked first last most_gap count] + (@run.least_gap && @run.least_gap > apart ? [:least_gap] : [])
        collision = Collision.of(demands(count), given: given, pinned: @run.musts.map(&:at))
        says = if collision.remedies.empty?
                 Sentence["%s.", collision.says]
               else
                 Sentence["%s: %s", collision.says, Sentence.list(collision.remedies.first(3))]
               end
        Refusal.field(collision.field, "", says)
      end

      def mean(gaps) = gaps.empty? ? nil : gaps.sum(Length.zero) / gaps.size

      # One fewer, as it is, one more; and the other way to group them.
      def alternatives(row)
        count = row.places.size
        near = [count - step, count, count + step].grep(1..Spacing::MOST_HOLES).map do |number|
          alternative(number, @run.pattern, number == count ? row : solved(number))
        end
        near << other_pattern(count)
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

      # What keeps holes from lying more evenly.
      def binding_demands(row) = pins_binding + blocked_binding(row) + gaps_binding(row.gaps)

      def pins_binding
        @run.musts.map { |pin| Sentence["the pin at %s", pin.at] } + @sewn.map { |hole| Sentence["the hole sewn at %s", hole.at] }
      end

      def blocked_binding(row)
        blocked(@holes.footprint / 2).filter_map do |item|
          next_to = row.places.index { |place| place == item.from || place == item.to } or next
          Sentence["#{item.label.empty? ? 'a keep-out' : item.label}, which hole #{next_to + 1} stands next to"]
        end
      end

      def gaps_binding(gaps)
        [(Sentence["gaps of at least %s", @run.least_gap] if @run.least_gap && gaps.min == @run.least_gap),
         (Sentence["gaps of at most %s", @run.most_gap] if @run.most_gap && gaps.max == @run.most_gap)].compact
      end

      def because(row) = [place_reason, ends_reason, count_reason(row), even_reason(row), pins_reason, pattern_reason].compact

      def place_reason = Reason.new(rule: "place", says: PLACES.fetch(@run.place).says)

      def ends_reason
        return if @run.first && @run.last

        says = @button.fastens? ? "The first button lies half its width and %s below the top" : "The first lies %s below the top"
        Reason.new(rule: "ends", says: Sentence["#{says} or as you set it; the last stays clear of the hem.", BUTTON_MARGIN])
      end

      def count_reason(row)
        count = row.places.size
        return Reason.new(rule: "count", says: "#{Layout.so_many(count)}, as you asked.", source: "your choice") if @run.count == count

        Reason.new(rule: "count", says: Sentence["#{count} #{count == 1 ? 'hole comes' : 'holes come'} nearest to a gap of %s.",
                                                 @run.gap_wished], source: "usual for: #{@run.usage.name}")
      end

      # Whether one more or one fewer would lie more evenly, within gaps that are usual.
      def even_reason(row)
        return if row.places.size < 3

        own = spread(row)
        others = [-step, step].to_h { |way| [row.places.size + way, solved(row.places.size + way)] }.compact
        better = others.select { |_, other| usual?(other) && spread(other) < own }.min_by { |_, other| spread(other) }
        unless better
          return Reason.new(rule: "evenness",
                            says: Sentence["No count near it lies more evenly within usual gaps: the gaps here differ by %s.", own])
        end

        Reason.new(rule: "evenness",
                   says: Sentence["#{better[0]} would lie more evenly: gaps from %s to %s instead of %s to %s.",
                                  *better[1].gaps.minmax, *row.gaps.minmax])
      end

      def spread(row) = row.gaps.max - row.gaps.min
      def usual?(row) = row.gaps.size > 1 && row.gaps.all? { |gap| gap.between?(@run.usage.least_gap, @run.usage.most_gap) }

      def pins_reason
        return if @run.pins.empty?

        says = "A pin holds the button, since that stops the gaping; its hole goes with it, to the nearest mark. " \
               "The rest is as even as that allows."
        says = "Pinned points get a hole exactly; the rest is as even as that allows." if @run.pins.all?(&:hole?) || !@button.fastens?
        Reason.new(rule: "pins", says: says, source: "least squares")
      end

      def pattern_reason
        return if @run.pattern == "even"

        Reason.new(rule: "pattern", says: PATTERNS.fetch(@run.pattern).says, source: "your choice")
      end

      def end_cautions(holes)
        wanted = Edge.margin(@button)
        return [] if !@button.fastens? || holes.first.button >= wanted

        [Caution.new(rule: "top edge", says: Sentence["The first button sits %s from the top; it wants %s.", holes.first.button, wanted],
                     instead: Sentence["Move the first hole down to %s, or choose a smaller button.", wanted + @holes.first_seat])]
      end

      def gap_cautions(gaps)
        wide = gaps.max
        return [] if wide.nil? || wide <= @run.usage.most_gap || @run.clustered?

        [Caution.new(rule: "gap", says: Sentence["The widest gap is %s; %s is the most that is usual here, and it may gape.",
                                                 wide, @run.usage.most_gap],
                     instead: @run.pins.empty? ? "Add a hole, or pin one to the fullest point." : "Add a hole.")]
      end
    end

    # @return [Layout]
    # @raise [Refusal]
    def Layout.of(run, button, extent, width:, foot: "general_zigzag_foot", **more)
      LayoutPlanner.new(run, button, extent, width, foot, **more).layout
    end
  end
end
