# frozen_string_literal: true

# LayoutWords says why a row of holes lies as it does, what keeps it from lying more evenly, and what to mind.
#
#   words = Placket::LayoutWords.new(run, button, spacings)
#   words.because(row)   # => [Reason, …]

require_relative "../answer/reason"
require_relative "../answer/sentence"
require_relative "edge"
require_relative "place"
require_relative "run"

module NimbleEyelet
  module Placket
    class LayoutWords
      # @param count [Integer]
      # @param noun [String] what is sewn
      # @return [String] so many of it
      def self.so_many(count, noun = "hole") = count == 1 ? "1 #{noun}" : "#{count} #{noun}s"

      # @param numbers [Array<Integer>] of what is sewn
      # @param noun [String]
      # @return [String] "Holes 2 to 4"
      def self.counted(numbers, noun = "hole")
        noun = noun.capitalize
        return "#{noun} #{numbers.first}" if numbers.size == 1

        following = numbers.each_cons(2).all? { |one, two| two == one + 1 }
        following ? "#{noun}s #{numbers.first} to #{numbers.last}" : "#{noun}s #{numbers.join(', ')}"
      end

      # @param run [Run]
      # @param button [Button]
      # @param spacings [Spacings]
      def initialize(run, button, spacings)
        @run = run
        @button = button
        @spacings = spacings
      end

      # @return [String] what is sewn: a hole or a tack
      def noun = @button.sewn

      # @param row [Spacing::Row]
      # @return [Array<Sentence>] demands that hold holes where they are
      def binding(row) = pins_binding + blocked_binding(row) + gaps_binding(row.gaps)

      # @param row [Spacing::Row]
      # @return [Array<Reason>]
      def because(row) = [place_reason, ends_reason, count_reason(row), pins_reason, pattern_reason].compact

      # Whether one more or one fewer would lie more evenly: takes solving for those.
      #
      # @param row [Spacing::Row]
      # @return [Reason, nil]
      def evenness(row)
        return if row.places.size < 3

        better = @spacings.more_even
        unless better
          says = "No count near it lies more evenly within usual gaps: the gaps here differ by %s."
          return Reason.new(rule: "evenness", says: Sentence[says, row.gaps.max - row.gaps.min])
        end

        Reason.new(rule: "evenness",
                   says: Sentence["#{better.places.size} would lie more evenly: gaps from %s to %s instead of %s to %s.",
                                  *better.gaps.minmax, *row.gaps.minmax])
      end

      # @param row [Spacing::Row]
      # @param holes [Array<Hole>]
      # @param seat [Length] how far below the button the first hole's middle lies
      # @return [Array<Caution>]
      def cautions(row, holes, seat)
        end_cautions(holes, seat) + gap_cautions(row.gaps) + unlike_cautions(holes) + unproven(row)
      end

      private

      def pins_binding
        @run.musts.map { |pin| Sentence["the pin at %s", pin.at] } + @spacings.sewn.map do |hole|
          Sentence["the #{noun} sewn at %s", hole.at]
        end
      end

      def blocked_binding(row)
        @spacings.blocked.filter_map do |item|
          next_to = row.places.index { |place| place == item.from || place == item.to } or next
          Sentence["#{item.label.empty? ? 'a keep-out' : item.label}, which #{noun} #{next_to + 1} stands next to"]
        end
      end

      def gaps_binding(gaps)
        [(Sentence["gaps of at least %s", @run.least_gap] if @run.least_gap && gaps.min == @run.least_gap),
         (Sentence["gaps of at most %s", @run.most_gap] if @run.most_gap && gaps.max == @run.most_gap)].compact
      end

      def place_reason = Reason.new(rule: "place", says: PLACES.fetch(@run.place).says)

      def ends_reason
        return if @run.first && @run.last

        says = @button.fastens? ? "The first button lies half its width and %s below the top" : "The first lies %s below the top"
        Reason.new(rule: "ends", says: Sentence["#{says} or as you set it; the last stays clear of the hem.", BUTTON_MARGIN])
      end

      def count_reason(row)
        count = row.places.size
        asked = "#{LayoutWords.so_many(count, noun)}, as you asked."
        return Reason.new(rule: "count", says: asked, source: "your choice") if @run.count == count

        Reason.new(rule: "count",
                   says: Sentence["#{LayoutWords.so_many(count, noun)} #{count == 1 ? 'comes' : 'come'} nearest to a gap of %s.",
                                  @run.gap_wished], source: "usual for: #{@run.usage.name}")
      end

      def pins_reason
        return if @run.pins.empty?

        says = "A pin holds the button, since that stops the gaping; its hole goes with it, to the nearest mark. " \
               "The rest is as even as that allows."
        if @run.pins.all?(&:hole?) || !@button.fastens?
          says = "Pinned points get a #{noun} exactly; the rest is as even as that allows."
        end
        Reason.new(rule: "pins", says: says, source: "least squares")
      end

      def pattern_reason
        return if @run.pattern == "even"

        Reason.new(rule: "pattern", says: PATTERNS.fetch(@run.pattern).says, source: "your choice")
      end

      # Holes that were sewn before something across was changed: the rest would not lie as they do.
      def unlike_cautions(holes)
        return [] if holes.all?(&:sewn)

        turned = holes.select(&:turned)
        off = holes.reject { |hole| hole.off.zero? }.group_by(&:off)
        [(unlike(turned, "the other way round from the others") if turned.any?),
         *off.map do |far, some|
           unlike(some, "%s #{far.positive? ? 'nearer' : 'farther from'} the edge than the others will", far.abs)
         end].compact
      end

      def unlike(some, how, *lengths)
        lie = some.one? ? "lies" : "lie"
        Caution.new(rule: "one line", says: Sentence["#{LayoutWords.counted(some.map(&:number), noun)} #{lie} #{how}.", *lengths],
                    instead: "Undo that change to keep them in line.")
      end

      def end_cautions(holes, seat)
        wanted = Edge.margin(@button)
        return [] if !@button.fastens? || holes.first.button >= wanted

        says = Sentence["The first button sits %s from the #{@run.measured_from}; it wants %s.", holes.first.button, wanted]
        [Caution.new(rule: "top edge", says: says,
                     instead: Sentence["Move the first hole down to %s, or choose a smaller button.", wanted + seat])]
      end

      def gap_cautions(gaps)
        wide = gaps.max
        return [] if wide.nil? || wide <= @run.usage.most_gap || @run.clustered? || !@button.opens?

        [Caution.new(rule: "gap", says: Sentence["The widest gap is %s; %s is the most that is usual here, and it may gape.",
                                                 wide, @run.usage.most_gap],
                     instead: @run.pins.empty? ? "Add a hole, or pin one to the fullest point." : "Add a hole.")]
      end

      # The search is given up after so much work; how much less another row could cost at most is known.
      def unproven(row)
        return [] if row.proven?

        share = (100 * row.short_of / row.cost).ceil
        [Caution.new(rule: "evenness", instead: "Take away a keep-out or a wish that is not needed.",
                     says: "So many demands leave too many rows to try them all: another may lie better, by up to #{share} %.")]
      end
    end
  end
end
