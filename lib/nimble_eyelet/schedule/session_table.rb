# frozen_string_literal: true

# SessionTable is the work of a session in numbers, for its search: blocks by chain and place, states of the machine as
# numbers with what lies between any two, and the least changeovers that what is left can do with.

require_relative "work_chain"

module NimbleEyelet
  module Schedule
    class SessionTable
      # configs - Array<Hash> of what the machine can be set to; between - Array of arrays, seconds from state to state
      # now, neutral - Integer, states; rows - Array<ChainTable>; sizes - Array<Integer>, blocks of each; dry - Array of
      #   seconds
      attr_reader :configs, :between, :now, :neutral, :rows, :sizes, :dry

      # @param chains [Array<WorkChain>]
      # @param from [Hash] what the machine is set to
      # @param costs [ChangeoverCosts]
      def initialize(chains, from, costs)
        @parts = costs.parts
        @configs = WorkChain.needs(chains).unshift(from, {}).map { |needs| known(needs) }.uniq
        @between = @configs.map { |one| @configs.map { |other| costs.between(one, other) } }
        @now, @neutral = [from, {}].map { |needs| state_of(needs) }
        @dry = chains.map(&:dry_in)
        @rows = chains.map { |chain| ChainTable.new(chain.blocks, between, neutral) { |needs| state_of(needs) } }
        @sizes = rows.map(&:size)
        @ahead = {}
      end

      # @return [Integer] number of chains
      def count = sizes.size

      # @return [Integer] blocks in all
      def blocks = sizes.sum

      # Least changeovers of all machine work left, and back to neutral.
      #
      # @param done [Array<Integer>] blocks done of each chain
      # @param at [Integer] state of the machine
      # @return [Integer] seconds
      def least(done, at) = all.least(done, at)

      # The same for some chains only, wherever the machine stands.
      def least_from_anywhere(done, among) = all.from_anywhere(done, among)

      # The same up to the last drying of each of these chains, not back to neutral.
      def least_before_drying(done, at, among) = heads.least(done, at, among)

      # @return [Array<Integer>] states that machine work still to come begins with; neutral when there is none
      def ahead(done)
        @ahead[code(done)] ||= begin
          found = rows.zip(done).filter_map do |row, from|
            row.next_machine[from]&.then do |block|
              row.states[block]
            end
          end.uniq
          found.empty? ? [neutral] : found
        end
      end

      # @return [Integer] one number for what is done
      def code(done)
        number = 0
        done.each_with_index { |blocks, chain| number = (number * (@sizes[chain] + 1)) + blocks }
        number
      end

      private

      def known(needs) = needs.slice(*@parts).compact
      def state_of(needs) = @configs.index(known(needs))
      def all = @all ||= LeastChangeovers.new(rows.map(&:states), between, neutral)

      def heads
        @heads ||= LeastChangeovers.new(rows.map { |row| row.states.first((row.drying || row.size) + 1) }, between, nil)
      end
    end

    # The numbers of one chain, by block.
    class ChainTable
      # seconds, dries - Array<Integer>; states - Array<Integer, nil>, nil where the machine is not used
      # rest - Array<Integer>, work from a block on; next_machine - Array<Integer, nil>, first block from there on that
      #   needs it
      # drying - Integer or nil, last block after which something dries that is gone on with
      # alone - Array<Integer>, seconds from the beginning of a block, whenever that is, to the end of everything by
      #   this chain
      attr_reader :seconds, :dries, :states, :rest, :next_machine, :drying, :alone

      # @yieldparam needs [Hash]
      # @yieldreturn [Integer] number of the state
      def initialize(blocks, between, neutral)
        @seconds = blocks.map(&:seconds)
        @dries = blocks.map(&:dries)
        @states = blocks.map { |block| block.needs && yield(block.needs) }
        @rest = (0..size).map { |from| seconds.drop(from).sum }
        @next_machine = (0..size).map { |from| (from...size).find { |block| states[block] } }
        @drying = dries[0...-1].rindex(&:positive?) # what dries last of all is waited for by nobody
        @alone = (0..size).map { |block| alone_from(block, between, neutral) }
      end

      # @return [Integer] number of blocks
      def size = seconds.size

      # @return [Integer] seconds of work
      def work(from, to) = rest[from] - rest[to]

      private

      # Walks the chain with nothing else to do: what dries is waited for, the machine changed meanwhile.
      def alone_from(from, between, neutral)
        clock = ready = hands = 0
        at = nil
        (from...size).each do |block|
          wanted = states[block]
          set = wanted && at ? hands + between[at][wanted] : 0
          clock = [clock, ready, set].max + seconds[block]
          ready = clock + dries[block]
          hands = wanted ? clock : hands + seconds[block]
          at = wanted || at
        end
        at ? [clock, hands + between[at][neutral]].max : clock
      end
    end

    # Least changeovers for chains of machine states, whatever dries: exact, by what is left and where the machine
    # stands.
    class LeastChangeovers
      # @param chains [Array<Array<Integer, nil>>] states, nil where the machine is not used
      # @param between [Array<Array<Integer>>]
      # @param last [Integer, nil] state everything ends with
      def initialize(chains, between, last)
        @states = chains.map(&:compact)
        @passed = chains.map { |chain| (0..chain.size).map { |done| chain.first(done).count { |state| state } } }
        @between = between
        @last = last
        @weights = @states.each_with_object([1]) { |chain, weights| weights << (weights.last * (chain.size + 1)) }
        @known = {}
        @anywhere = {}
      end

      # @param done [Array<Integer>] blocks done of each chain
      # @param at [Integer]
      # @param among [Array<Integer>, nil] chains that count, all of them when nil
      # @return [Integer]
      def least(done, at, among = nil) = best(left(done, among), at)

      # @return [Integer] from whatever state is best
      def from_anywhere(done, among = nil)
        passed = left(done, among)
        @anywhere[code(passed)] ||= nexts(passed).map do |chain|
          best(after(passed, chain), @states[chain][passed[chain]])
        end.min || 0
      end

      private

      def left(done, among)
        (0...@states.size).map do |chain|
          next @states[chain].size if among && !among.include?(chain)

          @passed[chain][done[chain]] || @states[chain].size
        end
      end

      def best(passed, at)
        @known[(code(passed) * @between.size) + at] ||=
          nexts(passed).map do |chain|
            state = @states[chain][passed[chain]]
            @between[at][state] + best(after(passed, chain), state)
          end.min || (@last ? @between[at][@last] : 0)
      end

      def nexts(passed) = (0...@states.size).select { |chain| passed[chain] < @states[chain].size }
      def after(passed, chain) = passed.dup.tap { |next_one| next_one[chain] += 1 }

      def code(passed)
        number = 0
        passed.each_with_index { |blocks, chain| number += blocks * @weights[chain] }
        number
      end
    end
  end
end
