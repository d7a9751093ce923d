# frozen_string_literal: true

# Feasibility tells which numbers of gaps a row can have at all, without looking for the best row, and where a row of so
# many gaps can end. Numbers of gaps are a set kept in one integer: bit 7 stands for seven gaps, eight heads.
#
#   reach = Spacing::Feasibility.new(lattice.track)
#   reach.gaps[7]        # => 1, a row of eight is possible
#   reach.to(540)[7]     # => 1, and one that ends at 540
#
# How. Between two fixed points all heads lie on the grid. What can be reached in one more gap from stretches of the
# grid is again a few stretches, so a layer costs as many steps as there are stretches, not places. Layers depend on
# where they begin only, and are kept for all questions about the same track.

require_relative "demands"
require_relative "layers"
require_relative "search_budget"

module NimbleEyelet
  module Spacing
    class Feasibility
      # Every number of gaps a row may have.
      ANY = (1 << MOST_HOLES) - 1

      # @param track [Track]
      # @param work [SearchBudget] that looking is counted in
      # @param kept [Hash] of layers, for tracks that differ in what is fixed only
      def initialize(track, work: SearchBudget.new(Float::INFINITY), kept: {})
        @track = track
        @work = work
        @kept = kept
      end

      # @return [Integer] the set of numbers of gaps that a whole row can have
      def gaps
        @gaps ||= if (last = @track.last)
                    @track.pins.any? { |pin| pin > last + @track.span } ? 0 : ended(last, to(last))
                  else
                    after_last.reduce(at_last) { |set, (layers, before)| set | sums(before, layers.reached) }
                  end
      end

      # @return [Feasibility] from the other end
      def mirrored = @mirrored ||= Feasibility.new(@track.mirrored, work: @work, kept: @kept)

      # @param count [Integer] gaps of a whole row
      def possible?(count) = gaps[count] == 1

      # Rows from the beginning as far as a head, whether one that is fixed or another that may lie there.
      #
      # @param place [Integer] of a head
      # @return [Integer] the set of numbers of gaps before it
      def to(place)
        onto(place, @track.groups.index { |group| group.include?(place) } || @track.pins.count { |pin| pin < place },
             true)
      end

      # @return [Array<Hash{Integer => Integer}>] for each pin, the set of numbers of gaps before each head that hits it
      def posts
        @posts ||= [].tap do |posts|
          @track.groups.each_with_index do |heads, index|
            posts << heads.to_h do |head|
              [head, onto(head, index, @track.fits?(head), posts)]
            end.reject { |_, set| set.zero? }
          end
        end
      end

      # @param count [Integer] gaps of a row that may end anywhere
      # @param wished [Integer]
      # @return [Integer, nil] the place nearest to the one wished for where such a row can end
      def nearest_end(count, wished)
        ends = before_end.select { |head, set| set[count] == 1 && @track.fits_last?(head) }.keys
        after_last.each do |layers, before|
          (0..count).each { |some| ends << layers.nearest(count - some, wished) if before[some] == 1 }
        end
        ends.compact.min_by { |place| [(place - wished).abs, place] }
      end

      # Whether a row that has a head there can have so many gaps.
      #
      # @param head [Integer]
      # @param count [Integer] gaps of a whole row
      def through?(head, count)
        before = @track.fits?(head) ? to(head) : at_first(head)
        before.positive? && sums(before, mirrored.to(-head))[count] == 1
      end

      private

      def at_first(head) = @track.fits_first?(head) ? to(head) & 1 : 0

      # The set before a head when so many pins lie before it; fits tells whether it may be any but the first.
      def onto(head, pins_before, fits, known = posts)
        return beginning(head, fits) if pins_before.zero?

        known[pins_before - 1].reduce(0) do |set, (from, before)|
          next set | before if from == head

          fits ? set | sums(before, between(from, head, pins_before - 1)) : set
        end
      end

      def beginning(head, fits)
        first = @track.first
        return (@track.fits_first?(head) ? 1 : 0) | (fits ? layers(nil).hits(head) : 0) unless first
        return 0 unless @track.fits_first?(first)

        return 1 if head == first

        fits ? between(first, head, nil) : 0
      end

      # Gaps from one head to the next fixed one.
      def between(from, to, pin)
        return 0 if to < from

        (@track.next_to?(from, to, pin) ? 2 : 0) | layers(from).hits(to)
      end

      # All sums of two numbers of gaps, the first of them taken off its set one after another.
      def sums(one, other)
        sums = 0
        until one.zero?
          least = one & -one
          sums |= other * least
          one ^= least
        end
        sums & ANY
      end

      # Heads that a row may have ended at when only fixed ones are counted, with their sets.
      def before_end
        return posts.last if posts.any?

        @track.first && @track.fits_first?(@track.first) ? { @track.first => 1 } : {}
      end

      def at_last = before_end.reduce(0) { |all, (head, set)| all | ended(head, set) }

      # A row of one head goes by what is open to the first.
      def ended(head, set) = @track.fits_last?(head) ? set : set & 1

      # Layers in which a row whose end is free may end, with the set of gaps before they begin.
      def after_last
        return [[layers(nil), 1]] if posts.empty? && !@track.first

        before_end.map { |head, set| [layers(head), set] }
      end

      def layers(from)
        key = [from, @track.low, @track.least, @track.most, @track.pins, @track.closed,
               (from ? nil : @track.closed_first)]
        @kept[key] ||= Layers.new(@track, from, @work)
      end
    end
  end
end
