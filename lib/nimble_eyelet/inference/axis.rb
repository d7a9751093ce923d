# frozen_string_literal: true

# Axis is one thing that can be set on a machine and is seen by itself on a test hole: what it was set to
# and what that showed, what else it can be set to, and how likely each is right for a whole row.
#
#   axis.wrong?       # whether the newest hole was wrong here
#   axis.best         # => Option, worth trying next
#   axis.between?     # no setting is worth another hole: it lies between two marks, or the measuring is off

require_relative "../value"

module NimbleEyelet
  module Inference
    # One setting of an axis. at - Array<Float>, one for everything that is seen of it, rising with what is seen
    # value - Object, what it means to whoever sets it
    class Option < Value.of(:at, :value)
      # What is set the same is the same, whatever it is called.
      def ==(other) = other.is_a?(Option) && at == other.at
      alias eql? ==
      def hash = at.hash
    end

    # What one hole showed on an axis. option - Option; seen - Array<Range<Integer>, nil>, one for each of its places
    Showing = Value.of(:option, :seen)

    class Axis
      # Too little, and too much.
      TO_EITHER_SIDE = [-1, 1].freeze
      private_constant :TO_EITHER_SIDE
      # So many holes that were wrong the same way rule a setting out.
      RULES_OUT = 2
      # A setting that was ruled out is taken again only where every other has less than this share of its chance.
      RULED_OUT_SHARE = 0.25
      # And never a third time.
      MOST_TRIES = 2
      # Below this chance of the best, after a setting failed twice, no turning helps.
      HOPELESS = 0.03

      # @return [Symbol]
      attr_reader :key

      # @return [Option] what is set now
      attr_reader :current

      # @param key [Symbol]
      # @param options [Array<Option>] in order
      # @param current [Option]
      # @param showings [Array<Showing>] oldest first
      # @param right [Range<Integer>] of what can be seen
      # @param score [Proc] Option -> Float, the chance less what speaks against it among equals; nil: the chance itself
      # @yieldparam option [Option]
      # @yieldreturn [Float] chance that the whole row is right there
      def initialize(key, options:, current:, showings:, right: 2..2, score: nil, &chance)
        @key = key
        @options = options.include?(current) ? options : [*options, current]
        @current = current
        @showings = showings
        @right = right
        @of = chance
        @score = score
        @chances = {}
      end

      # @param option [Option]
      # @return [Float]
      def chance(option = current) = @chances[option] ||= @of.call(option)

      # @return [Boolean] whether the newest hole was wrong here
      def wrong? = !@showings.empty? && wrong_in?(@showings.last)

      # @return [Boolean] whether the newest was looked at, and right
      def right? = !@showings.empty? && @showings.last.seen.all? && !wrong?

      # @return [Integer] how often what is set now was right
      def times_right
        @showings.count { |showing| showing.option == current && showing.seen.all? && !wrong_in?(showing) }
      end

      # @return [Option, nil] worth trying next, what is set now among them; nil where nothing is left
      def best
        return @best if defined?(@best)

        open, closed = @options.partition { |option| !ruled_out?(option) }
        first = open.max_by { |option| worth(option) }
        second = closed.select { |option| again?(option) }.max_by { |option| worth(option) }
        @best = second && (first.nil? || chance(first) < chance(second) * RULED_OUT_SHARE) ? second : first
      end

      # @return [Float] what the best is worth more than what is set now
      def rise = best ? chance(best) - chance : 0.0

      # @return [Boolean] no mark is worth another hole
      def between? = best.nil? || (failed_twice? && chance(best) < HOPELESS)

      # @return [Option, nil] the one that is likeliest of all, tried or not
      def likeliest = @options.max_by { |option| chance(option) }

      # Two holes that were wrong the same way rule out what they were set to and all beyond it: one answer may have
      # been careless, and no hole is quite like the next.
      #
      # @param option [Option]
      # @return [Boolean]
      def ruled_out?(option)
        option.at.each_index.any? do |place|
          TO_EITHER_SIDE.any? { |way| @showings.count { |showing| beyond?(option, showing, place, way) } >= RULES_OUT }
        end
      end

      private

      # Whether that hole was wrong that way, and the option lies where it was set or further off.
      def beyond?(option, showing, place, way)
        seen = showing.seen[place] or return false
        return false unless way.negative? ? seen.end < @right.begin : seen.begin > @right.end

        (option.at[place] <=> showing.option.at[place]) != -way
      end

      def worth(option) = @score ? @score.call(option, chance(option)) : chance(option)

      def wrong_in?(showing)
        showing.seen.compact.any? { |seen| seen.end < @right.begin || seen.begin > @right.end }
      end

      # Not at once, and never a third time.
      def again?(option)
        @showings.last.option != option && @showings.count { |showing| showing.option == option } < MOST_TRIES
      end

      def failed_twice?
        wrong = @showings.select { |showing| wrong_in?(showing) }
        wrong.group_by(&:option).any? { |_, found| found.size >= MOST_TRIES }
      end
    end
  end
end
