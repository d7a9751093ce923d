# frozen_string_literal: true

# SessionBounds says how early everything can end at best, from some point of a session on: the largest of four things
# that all have to be true. None of them is ever later than the best end, which is what makes a found order proven.

module NimbleEyelet
  module Schedule
    class SessionBounds
      # @param table [SessionTable]
      def initialize(table)
        @table = table
        @rows = table.rows
        @after_drying = @rows.map { |row| row.drying && (row.dries[row.drying] + row.alone[row.drying + 1]) }
      end

      # @param clock [Integer] seconds
      # @param done [Array<Integer>] blocks done of each chain
      # @param at [Integer] state of the machine
      # @param ready [Array<Integer>] when each chain can go on
      # @return [Integer] no end is earlier
      def earliest(clock, done, at, ready)
        open = (0...@table.count).select { |chain| done[chain] < @table.sizes[chain] }
        [all_work(clock, done, at, open), each_alone(clock, done, at, ready, open), latest_dry(clock, done, ready, open),
         longest_tails(clock, done, at, open)].max
      end

      private

      # All work that is left, with as few changeovers as there can be.
      def all_work(clock, done, at, open)
        clock + open.sum { |chain| @rows[chain].rest[done[chain]] } + @table.least(done, at)
      end

      # Each chain as if there were no other.
      def each_alone(clock, done, at, ready, open)
        latest = clock
        open.each do |chain|
          from = alone(@rows[chain], done[chain], clock, at, ready[chain])
          latest = from if from > latest
        end
        latest
      end

      def alone(row, block, clock, at, ready)
        from = [ready, clock].max + row.alone[block]
        machine = row.next_machine[block] or return from
        [from, clock + row.work(block, machine) + @table.between[at][row.states[machine]] + row.alone[machine]].max
      end

      # Whatever is dry latest comes after that, with its work and its changeovers, and back to neutral.
      def latest_dry(clock, done, ready, open)
        waiting = open.select { |chain| ready[chain] > clock }
        return clock if waiting.empty?

        work = 0
        among = []
        waiting.sort_by { |chain| -ready[chain] }.map do |chain|
          among << chain
          work += @rows[chain].rest[done[chain]]
          ready[chain] + work + @table.least_from_anywhere(done, among.sort)
        end.max
      end

      # Everything up to the last drying of some closures has to be done; the one done last has all of its own still
      # before it.
      def longest_tails(clock, done, at, open)
        drying = open.select { |chain| @after_drying[chain] && done[chain] <= @rows[chain].drying }
        return clock if drying.empty?

        work = 0
        among = []
        drying.sort_by { |chain| -@after_drying[chain] }.map do |chain|
          among << chain
          work += @rows[chain].work(done[chain], @rows[chain].drying + 1)
          clock + work + @table.least_before_drying(done, at, among.sort) + @after_drying[chain]
        end.max
      end
    end
  end
end
