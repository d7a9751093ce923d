# frozen_string_literal: true

# Memo remembers the newest of what was worked out, each by all that it hangs on: what is remembered and what is made
# anew are the same, so that it makes no difference which of several servers is asked.
#
#   memo = NimbleEyelet::Memo.new(64)
#   memo.of([plan, facts]) { Sheet.of(plan, facts) }

module NimbleEyelet
  class Memo
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
