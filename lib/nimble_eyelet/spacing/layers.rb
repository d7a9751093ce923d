# frozen_string_literal: true

# Layers are the stretches of the grid that are reached from one head, or from anywhere a row may begin, after one
# gap, two gaps and so on. Worked out one after another, as far as they are asked for.
#
#   layers = Spacing::Layers.new(track, 24, work)
#   layers.hits(540)           # => 0b11100000, in five gaps, six or seven
#   layers.nearest(6, 500)     # => 498

require_relative "demands"

module NimbleEyelet
  module Spacing
    class Layers
      # @param track [Track]
      # @param from [Integer, nil] a head; nil for all that a row may begin at
      # @param work [SearchBudget]
      def initialize(track, from, work)
        @track = track
        @work = work
        @from = from
        @least = -(-track.least).div(track.step)
        @most = track.most&.div(track.step)
        @layers = [from ? [] : unbounded(track.free(track.closed_first))]
        @layers << beyond(from) if from
      end

      # @param place [Integer] of a head
      # @return [Integer] the set of numbers of gaps, the one to it included, after which it can come
      def hits(place) = (@hits ||= {})[place] ||= all_hits(place)

      # @return [Integer] the set of numbers of gaps after which a row can be anywhere at all
      def reached
        set = 0
        each { |_, gaps| set |= 1 << gaps }
        set
      end

      # @return [Integer, nil] the place nearest to the one wished for that is reached after so many gaps
      def nearest(gaps, wished)
        mark = Rational(wished, @track.step)
        marks = (gaps.zero? && @from ? [] : @track.clipped(layer(gaps))).map { |low, high| mark.round.clamp(low, high) }
        found = marks.min_by { |number| [(number - mark).abs, number] }
        found && (found * @track.step)
      end

      private

      def all_hits(place)
        high = (place - @track.least).div(@track.step)
        low = @most && -(@track.most - place).div(@track.step)
        set = 0
        return set if low && low > high

        each do |stretches, gaps|
          break if stretches[0][0] > high

          index = low ? stretches.bsearch_index { |stretch| stretch[1] >= low } : 0
          set |= 2 << gaps if index && stretches[index][0] <= high
        end
        set & ((1 << MOST_HOLES) - 1)
      end

      def each
        gaps = @from ? 1 : 0
        while gaps < MOST_HOLES && (stretches = layer(gaps)).any?
          yield stretches, gaps
          gaps += 1
        end
      end

      def layer(gaps)
        @layers << onward(@layers.last) while @layers.size <= gaps
        @layers[gaps]
      end

      def beyond(place)
        low = -(-place - @track.least).div(@track.step)
        high = @most ? (place + @track.most).div(@track.step) : @track.top
        low > high ? [] : settled([[low, high]])
      end

      def onward(layer)
        return layer if layer.empty?
        return settled([[layer[0][0] + @least, @track.top]]) unless @most
        return [] if @most < @least

        settled(layer.each_with_object([]) do |(low, high), wider|
          if wider.any? && low + @least <= wider.last[1] + 1
            wider.last[1] = high + @most
          else
            wider << [low + @least, high + @most]
          end
        end)
      end

      def settled(stretches)
        @work.spend(stretches.size + 1)
        unbounded(@track.clipped(stretches))
      end

      # Where a gap may be as wide as one likes only the first mark counts: all that is open beyond it comes with it.
      def unbounded(stretches) = @most || stretches.empty? ? stretches : [[stretches[0][0], @track.top]]
    end
  end
end
