# frozen_string_literal: true

# SheetMemo remembers the sheets asked for last, by all they are worked out from. A sheet holds nothing else, so that one
# remembered and one made anew are equal.
#
#   memo = NimbleEyelet::SheetMemo.new(64)
#   memo.of(plan, facts).equal?(memo.of(plan, facts))   # => true

require_relative "sheet"

module NimbleEyelet
  class SheetMemo
    # @param most [Integer] sheets that are remembered
    def initialize(most)
      @most = most
      @sheets = {}
      @lock = Mutex.new
    end

    # @param plan [Plan] valid, in its house
    # @param facts [Sewing::Facts]
    # @return [Sheet]
    def of(plan, facts)
      key = [plan, facts].freeze
      @lock.synchronize do
        # The one asked for last goes to the end; the one not asked for longest is forgotten.
        sheet = @sheets.delete(key) || Sheet.of(plan, facts)
        @sheets.shift if @sheets.size >= @most
        @sheets[key] = sheet
      end
    end

    # @return [Integer] sheets remembered
    def size = @sheets.size
  end
end
