# frozen_string_literal: true

# Layout is the answer of the placket stage: the holes in their places, why there are so many, how
# even they are, and what one hole more or fewer would cost.
#
#   layout = Placket::Layout.of(run, button, extent, width: Length.mm(4.5), foot: "carriage_foot")
#   layout.holes.map(&:at)
#
# What is shown of it is worked out at once; why it is so, and what else it could be, when somebody asks.

require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../spacing/demands"
require_relative "../value"
require_relative "collision"
require_relative "edge"
require_relative "hole"
require_relative "layout_words"
require_relative "spacings"

module NimbleEyelet
  module Placket
    # A gauge is set to the mean gap; a hole this far off it is not seen.
    UNSEEN = Length.mm(1)

    # row - Spacing::Row; evenness - Length, largest less smallest gap; cautions - Array<Caution>
    # spacings - Spacings, that it was chosen from; words - LayoutWords
    class Layout < Value.of(:run, :row, :holes, :edge, :mean_gap, :smallest_gap, :largest_gap, :evenness, :cautions,
                            :spacings, :words)
      # Two are equal when all that is shown is: what else there could be follows from it.
      def ==(other) = other.is_a?(Layout) && to_h.except(:spacings, :words) == other.to_h.except(:spacings, :words)

      # What only somebody who looks at the run asks is worked out then.
      #
      # @return [Array<Alternative>]
      def alternatives
        return spacings.alternatives unless run.stand

        spacings.alternatives.map do |one|
          one.with(count: one.count + 1, places: one.fits? ? [run.stand_place, *one.places] : [])
        end
      end

      # @return [Array<Sentence>] demands that hold holes where they are
      def binding = words.binding(row)

      # @return [Array<Reason>]
      def because = words.because(row)

      # @return [Reason, nil] whether one hole more or fewer would lie more evenly
      def because_even = words.evenness(row)

      # What became of the holes since they lay elsewhere, in one sentence.
      #
      # @param before [Array<Length>] places; none for nothing to compare with
      # @return [Sentence, nil] nothing when none moved
      def moved_since(before)
        return if before.empty?
        return Sentence["#{LayoutWords.so_many(holes.size, words.noun)} instead of #{before.size}."] if holes.size != before.size

        moves = holes.zip(before).filter_map { |hole, place| [hole.number, hole.at - place] unless hole.at == place }
        return if moves.empty?

        Layout.moved(LayoutWords.counted(moves.map(&:first), words.noun), moves.map(&:last))
      end

      # @param which [String] holes
      # @param ways [Array<Length>] how far each
      def self.moved(which, ways)
        sizes = ways.map(&:abs).minmax.uniq
        Sentence["#{which} moved#{way(ways)} by #{(['%s'] * sizes.size).join(' to ')}.", *sizes]
      end

      def self.way(ways)
        return " down" if ways.all?(&:positive?)

        " up" if ways.all?(&:negative?)
      end
    end

    # Works a layout out.
    class LayoutPlanner
      # @param run [Run] already sound by itself
      # @param button [Button]
      # @param extent [Extent]
      # @param width [Length] total stitch width of a hole
      # @param foot [String, nil] key of FOOT_KINDS; nil where nothing is sewn by machine
      # @param sewn [Array<SewnHole>] that are in the garment and stay where they are
      # @param beginning [Beginning, nil] of the machine, for start marks
      def initialize(run, button, extent, width, foot, sewn: [], beginning: nil)
        @run = run
        @front = run.front
        @button = button
        @sewn = sewn.reject { |hole| hole.at == run.stand_place }.first(Spacing::MOST_HOLES)
        @holes = holes_of(run, extent, width, foot, sewn, beginning)
        spaced = run.stand ? holes_of(@front, extent, width, foot, sewn, beginning) : @holes
        @spacings = Spacings.new(@front, button, spaced, sewn: @sewn)
        @words = LayoutWords.new(@front, button, @spacings)
      end

      # @return [Layout]
      # @raise [Refusal] when the holes do not fit the run as described
      def layout
        check_ends
        row = @spacings.found or raise refusal
        holes = @holes.at([*@run.stand_place, *row.places])
        edge = Edge.of(@run, @button, @holes)
        gaps = row.gaps
        Layout.new(run: @run, row: row, holes: holes, edge: edge, mean_gap: mean(gaps), smallest_gap: gaps.min, largest_gap: gaps.max,
                   evenness: gaps.empty? ? Length.zero : gaps.max - gaps.min, spacings: @spacings, words: @words,
                   cautions: edge.cautions + Edge.end_cautions(@run, @button, holes) +
                             @words.cautions(row, holes, @holes.first_seat) + holes.flat_map(&:cautions))
      end

      private

      def holes_of(run, extent, width, foot, sewn, beginning)
        Holes.new(run, extent, width, foot, @button, sewn: sewn, beginning: beginning)
      end

      def check_ends
        half = (@holes.footprint / 2) + least
        Refusal.unless_valid do |check|
          check_first(check, (@holes.first_footprint / 2) + least)
          check_last(check, half)
          @run.musts.each { |pin| check_pin(check, pin, half) }
          @sewn.each { |hole| check_sewn(check, hole, half) }
        end
      end

      # What is nearer to an end of the edge than this is not sewn at all.
      def least = @run.run_length < NARROW || !@button.opens? ? Length.zero : EDGE_LEAST

      def check_first(check, top)
        check.expect("placket.first", @spacings.first, @spacings.first >= top,
                     Sentence["Write at least %s for the first hole: it reaches so far up itself.", top])
      end

      def check_last(check, half)
        check.expect("placket.last", @spacings.last, @spacings.last + half <= @run.run_length,
                     Sentence["Write at most %s for the last hole: it reaches %s down itself.", @run.run_length - half, half])
      end

      def check_pin(check, pin, half)
        check.expect("placket.pins.#{pin.id}.at", pin.at, @holes.pinned(pin).between?(half, @run.run_length - half),
                     Sentence["Write a place where a hole fits on the edge, from %s to %s.", *pin_range(pin, half)])
      end

      def check_sewn(check, hole, half)
        check.expect("placket.run_length", @run.run_length, hole.at + half <= @run.run_length,
                     Sentence["A hole is sewn at %s already: the edge has to reach below it, to %s at least.", hole.at, hole.at + half])
      end

      def pin_range(pin, half)
        off = @holes.pinned(pin) - pin.at
        [half - off, @run.run_length - half - off]
      end

      def refusal
        given = %i[pin blocked first last most_gap count]
        given << :least_gap if @run.least_gap && @run.least_gap > @spacings.apart
        collision = Collision.of(@spacings.collided, given: given, pinned: @run.musts.map(&:at))
        says = if collision.remedies.empty?
                 Sentence["%s.", collision.says]
               else
                 Sentence["%s: %s", collision.says, Sentence.list(collision.remedies.first(3))]
               end
        Refusal.field(collision.field, "", says)
      end

      def mean(gaps) = gaps.empty? ? nil : gaps.sum(Length.zero) / gaps.size
    end

    # @return [Layout]
    # @raise [Refusal]
    def Layout.of(run, button, extent, width:, foot: "general_zigzag_foot", **more)
      LayoutPlanner.new(run, button, extent, width, foot, **more).layout
    end
  end
end
