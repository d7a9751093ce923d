# frozen_string_literal: true

# SessionSearch looks for the order in which everything ends first. Best first over what is done and how the machine is
# set; of each only those points are kept that no other one beats in clock and in drying. The whole orders it is given
# and, where none of them meets the bound, a narrow search give the first order; where that meets it nothing more is to
# be done.

require_relative "../value"
require_relative "session_bounds"

module NimbleEyelet
  module Schedule
    # One point of a session. done - Array<Integer>; at - Integer, state; clock - Integer; ready - Array<Integer>
    # chain - Integer done last, or nil
    # began - Integer, when that block began; before - SessionPoint or nil
    # bound - Integer, no end from here is earlier; beaten - Boolean, another one is at least as good
    SessionPoint = Struct.new(:done, :at, :clock, :ready, :chain, :began, :before, :bound, :beaten)

    # last - SessionPoint, where everything is done; ends - Integer, with the machine back; labels - Integer looked at
    # bound - Integer, no order ends earlier
    SessionFound = Value.of(:last, :ends, :bound, :labels)

    class SessionSearch
      # Points looked at before the best one found is taken, and how many are kept side by side at first.
      MOST_LABELS = 6000
      BEAM = 20

      # @param table [SessionTable]
      def initialize(table)
        @table = table
        @bounds = SessionBounds.new(table)
      end

      # @param orders [Array<Array<Integer>>] whole orders to be no worse than, as chain numbers
      # @param first [Integer, nil] chain that comes first
      # @param most [Integer] points
      # @return [SessionFound]
      def run(orders: [], first: nil, most: MOST_LABELS)
        start = point([0] * @table.count, @table.now, 0, @table.dry)
        start = go(start, first, nil) if first
        @best = nil
        @ends = Float::INFINITY
        orders.each { |order| better(along(order)) }
        start.bound = bound(start)
        better(beam(start)) if start.bound < @ends
        finished?(start) ? found(@ends, 0) : search(start, most)
      end

      # The same order of blocks, the machine changed when it is best.
      #
      # @param order [Array<Integer>] chain numbers
      # @return [SessionPoint]
      def along(order)
        start = point([0] * @table.count, @table.now, 0, @table.dry)
        order.reduce([start]) do |points, chain|
          undominated(points.flat_map { |from| steps_of(from, chain) })
        end.min_by { |last| ends(last) }
      end

      # As somebody would who changes the machine only when the block at hand needs it.
      #
      # @param order [Array<Integer>] chain numbers
      # @return [SessionPoint]
      def plainly(order)
        start = point([0] * @table.count, @table.now, 0, @table.dry)
        order.reduce(start) { |from, chain| go(from, chain, nil) }
      end

      # @return [Integer] when the machine is back
      def ends(last) = last.clock + @table.between[last.at][@table.neutral]

      private

      def point(done, at, clock, ready) = SessionPoint.new(done, at, clock, ready)

      def finished?(point) = point.done == @table.sizes

      def better(last)
        ends = ends(last)
        return unless ends < @ends

        @best = last
        @ends = ends
      end

      def search(start, most)
        queue = SessionQueue.new
        queue.add(start)
        kept = { key_of(start) => [start] }
        labels = 0
        while (from = queue.take)
          return found(from.bound, labels) if from.bound >= @ends || labels >= most
          next if from.beaten

          labels += 1
          nexts(from).each { |to| keep(to, kept, queue) }
        end
        found(@ends, labels)
      end

      def found(bound, labels) = SessionFound.new(last: @best, ends: @ends, bound: [bound, @ends].min, labels: labels)

      def keep(to, kept, queue)
        return better(to) if finished?(to)

        others = kept[key_of(to)] ||= []
        return if others.any? { |other| beats?(other, to) }

        to.bound = [bound(to), to.before.bound].max
        return if to.bound >= @ends

        among(others, to)
        queue.add(to)
      end

      # Takes the place of all it beats.
      def among(others, to)
        others.reject! { |other| other.beaten = true if beats?(to, other) }
        others << to
      end

      def key_of(point) = (@table.code(point.done) * @table.configs.size) + point.at

      # What is dry by now counts as dry now.
      def beats?(one, other)
        clock = other.clock
        return false if one.clock > clock

        one.ready.each_with_index do |ready, chain|
          return false if ready > clock && ready > other.ready[chain]
        end
        true
      end

      def bound(point) = @bounds.earliest(point.clock, point.done, point.at, point.ready)

      def nexts(from)
        (0...@table.count).select do |chain|
          from.done[chain] < @table.sizes[chain]
        end.flat_map { |chain| steps_of(from, chain) }
      end

      # One block more; while it dries the machine can be made ready for what comes next.
      def steps_of(from, chain)
        block = from.done[chain]
        return [go(from, chain, nil)] if @table.rows[chain].states[block] || from.ready[chain] <= from.clock

        [go(from, chain, nil)] + (@table.ahead(from.done) - [from.at]).map { |state| go(from, chain, state) }
      end

      def go(from, chain, set)
        row = @table.rows[chain]
        block = from.done[chain]
        state = row.states[block] || set || from.at
        start = [set_at(from, state), from.ready[chain]].max
        clock = start + row.seconds[block]
        ready = with(from.ready, chain, block + 1 == row.size ? 0 : clock + row.dries[block])
        SessionPoint.new(with(from.done, chain, block + 1), state, clock, ready, chain, start, from)
      end

      def set_at(from, state) = from.clock + @table.between[from.at][state]

      def with(numbers, place, number)
        numbers.dup.tap { |other| other[place] = number }
      end

      def beam(start)
        level = [start]
        level = (@table.blocks - start.done.sum).times.reduce(level) do |points, _|
          nexts = points.flat_map { |from| nexts(from) }
          undominated(nexts).min_by(BEAM) { |point| point.bound ||= bound(point) }
        end
        level.min_by { |last| ends(last) }
      end

      def undominated(points)
        points.group_by { |point| key_of(point) }.values.flat_map do |alike|
          alike.each_with_object([]) do |point, kept|
            among(kept, point) unless kept.any? do |other|
              beats?(other, point)
            end
          end
        end
      end
    end

    # Points still to be looked at, the earliest bound first.
    class SessionQueue
      def initialize
        @points = []
      end

      # Sorted with the next one last; of equal ones that further on comes first.
      def add(point)
        place = @points.bsearch_index do |other|
          (other.bound <=> point.bound).then do |by|
            by.zero? ? point.clock >= other.clock : by.negative?
          end
        end
        @points.insert(place || @points.size, point)
      end

      # @return [SessionPoint, nil]
      def take = @points.pop
    end
  end
end
