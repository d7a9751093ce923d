# frozen_string_literal: true

# EndPairs finds where a row can begin and end, as near as can be to where that is wished: what an end costs is
# END_WEIGHT times its distance squared, and far outweighs how even the row is.
#
#   pairs = Spacing::EndPairs.new(lattice, reach, work)
#   pairs.nearest          # EndPair(cost: 0, first: 24, last: 540)
#   pairs.starts(20_000)   # 23..25: no row that begins elsewhere costs so little
#
# How. The further down a row begins, the fewer places are left to end at, as long as gaps may be as wide as one likes.
# So what the first of a stretch of starts costs at least bounds all of them, and so does how far the last of them can
# reach; stretches are halved, the cheapest first.

require_relative "../value"
require_relative "demands"
require_relative "feasibility"

module NimbleEyelet
  module Spacing
    # cost - Integer; first, last - Integer, heads
    EndPair = Value.of(:cost, :first, :last)

    class EndPairs
      # @param lattice [Lattice]
      # @param reach [Feasibility] of its track
      # @param work [SearchBudget]
      def initialize(lattice, reach, work)
        @lattice = lattice
        @track = lattice.track
        @gaps = lattice.gaps
        @reach = reach
        @work = work
        @kept = {}
        @beyond = {}
      end

      # @return [Numeric] what the ends of any row cost at least, once the nearest pair was looked for
      attr_reader :least

      # @return [EndPair, nil] the nearest pair, or what was found of it within the work allowed
      def nearest
        best = wished
        @least = best&.cost
        best || search(parts)
      end

      # @param cost [Numeric]
      # @return [Range<Integer>] starts, none outside of which a row costs so little
      def starts(cost)
        parts = parts(within(Math.sqrt(cost.to_f / END_WEIGHT).floor + 1))
        parts.filter_map { |part| outermost(part, cost, :itself) }.min..parts.filter_map do |part|
          outermost(part, cost, :reverse)
        end.max
      end

      private

      # places - Array<Integer>, some starts; least - Numeric, what a row from any of them costs at least
      class Stretch < Value.of(:places, :least)
        def one? = places.size == 1
      end
      private_constant :Stretch

      # Mostly the ends can lie where they are wished, or on the mark next to it: no others cost less.
      def wished
        start = @track.first || @lattice.starts.min_by { |place| (place - @lattice.first).abs }
        pair = start && pair(start) or return
        nearest_end = @track.last || @lattice.open.min_by { |place| (place - @lattice.last).abs }
        pair if pair.cost == cost(start, nearest_end)
      end

      # Starts no further than so much from where it is wished.
      def within(away)
        return [@track.first] if @track.first

        from = @lattice.starts.bsearch_index { |place| place >= @lattice.first - away } || 0
        @lattice.starts.drop(from).take_while { |place| place <= @lattice.first + away }
      end

      # Halves stretches, the cheapest first, until nothing that is left can be nearer.
      def search(open)
        best = nil
        while (part = open.min_by(&:least)) && nearer?(part, best)
          open.delete(part)
          next open.concat(halves(part)) unless part.one?

          best = [best, pair(part.places.first)].compact.min_by(&:cost)
        end
        @least = [part&.least, best&.cost].compact.min
        best
      end

      def nearer?(part, best) = best ? part.least < best.cost && @work.left? : part.least.finite?

      # A row that begins at the first pin is like no other.
      def parts(starts = @track.first ? [@track.first] : @lattice.starts)
        pinned = starts & @track.groups.fetch(0, [])
        [starts - pinned, *pinned.zip].reject(&:empty?).map { |places| stretch(places) }
      end

      def stretch(places)
        return Stretch.new(places: places, least: Float::INFINITY) if places.size == 1 && !begins?(places.first)

        away = @track.first ? 0 : [places.first - @lattice.first, @lattice.first - places.last, 0].max
        Stretch.new(places: places, least: END_WEIGHT * ((away**2) + ([beyond(places.first), short(places.last)].max**2)))
      end

      def halves(part) = part.places.each_slice((part.places.size / 2.0).ceil).map { |places| stretch(places) }

      # The first or the last start that can cost so little.
      def outermost(part, cost, order)
        return if part.least > cost
        return part.places.first if part.one?

        halves(part).public_send(order).each do |half|
          found = outermost(half, cost, order)
          return found if found
        end
        nil
      end

      # How far from where it is wished a row from here ends at least.
      def beyond(start)
        return 0 if @track.last

        @beyond[start] ||= free_end(start, nil)&.then { |last| (last - @lattice.last).abs } || Float::INFINITY
      end

      # How far above where it is wished a row from here ends at least.
      def short(start)
        return 0 if @track.last || @track.most.nil?

        # No row at all ends nearer.
        @short ||= @reach.nearest_end(@gaps, @lattice.last)&.then { |last| (last - @lattice.last).abs } || Float::INFINITY
        [@short, @lattice.last - start - (@gaps * @track.most)].max
      end

      def pair(start)
        last = @track.last ? fixed_end(start) : free_end(start, @track.most)
        last && EndPair.new(cost: cost(start, last), first: start, last: last)
      end

      def cost(first, last)
        ((@track.first ? 0 : (first - @lattice.first)**2) + (@track.last ? 0 : (last - @lattice.last)**2)) * END_WEIGHT
      end

      # Whether any row begins here, wherever it ends.
      def begins?(start) = @reach.mirrored.to(-start)[@gaps] == 1

      def fixed_end(start) = (@track.last if @track.fits_last?(@track.last) && begins?(start))

      def free_end(start, most)
        Feasibility.new(@track.with(first: start, most: most), work: @work, kept: @kept).nearest_end(@gaps, @lattice.last)
      end
    end
  end
end
