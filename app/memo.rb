# frozen_string_literal: true

# Memo remembers the newest of what was worked out, each by all that it hangs on: what is remembered and what is made
# anew are the same, so that it makes no difference which of several servers is asked.
#
#   memo = NimbleEyelet::Memo.new(64)
#   memo.of([plan, facts]) { Sheet.of(plan, facts) }

module NimbleEyelet
  class Memo
    # A key that stands for the thing itself and not for what it is like: for what never changes, is remembered anyway,
    # and would cost more to compare than to work out. What is kept by it keeps the thing.
    class Itself
      attr_reader :thing, :more

      # @param thing [Object]
      # @param more [Array<Object>] what else it hangs on, by what it is like
      def initialize(thing, *more)
        @thing = thing
        @more = more
      end

      def hash = [@thing.__id__, @more].hash
      def eql?(other) = other.is_a?(Itself) && other.thing.equal?(@thing) && other.more == @more
    end

    # @param most [Integer] that are remembered
    def initialize(most)
      @most = most
      @kept = {}
      @lock = Mutex.new
    end

    # @param key [Object] that what is worked out hangs on, and nothing else
    # @yieldreturn [Object]
    # @return [Object]
    def of(key)
      known = @lock.synchronize { @kept.delete(key)&.tap { |value| @kept[key] = value } }
      known || yield.tap { |value| keep(key, value) }
    end

    # @return [Integer] how many are remembered
    def size = @kept.size

    private

    # The one asked for last is at the end; the one not asked for longest is forgotten.
    def keep(key, value)
      @lock.synchronize do
        @kept[key] = value
        @kept.shift while @kept.size > @most
      end
    end
  end
end
