# frozen_string_literal: true

# Sessions makes up sessions by chance, and knows the best end of small ones by trying everything.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Support
    module Sessions
      BLOCKS = %w[stay row seal open buttons].freeze
      ROWS = { "stay" => 120..720, "row" => 600..2400, "seal" => 60..460, "open" => 120..1020,
               "buttons" => 200..1400 }.freeze

      # @param random [Random]
      # @param closures [Integer]
      # @param dries [Range] seconds
      # @param blocks [Integer, nil] so many of each only, from anywhere in its work
      # @return [Array<Schedule::WorkChain>]
      def self.chains(random, closures, dries: 600..1800, blocks: nil)
        Array.new(closures) do |number|
          all = whole(random, number, dries)
          from = blocks ? random.rand(0..(BLOCKS.size - blocks)) : 0
          dry = blocks && random.rand(3).zero? ? random.rand(dries) : 0
          Schedule::WorkChain.new(key: number, blocks: all[from, blocks || BLOCKS.size], dry_in: dry)
        end
      end

      def self.whole(random, number, dries)
        needs = needs(random, number)
        BLOCKS.map do |key|
          lag = key == "seal" && random.rand(4).positive? ? random.rand(dries) : 0
          needs.delete("buttons") if random.rand(25).zero?
          Schedule::WorkBlock.new(key: key, seconds: random.rand(ROWS.fetch(key)), needs: needs[key], dries: lag)
        end
      end

      def self.needs(random, number)
        thread = "thread #{random.rand(4)}"
        needle = "needle #{random.rand(3)}"
        row = { "needle" => needle, "top_thread" => thread, "bobbin" => thread,
                "foot" => %w[carriage scale].sample(random: random),
                "settings" => "row #{number}" }
        { "row" => row, "buttons" => row.merge("foot" => "button", "settings" => "zigzag #{random.rand(3)}", "feed" => "off") }
      end
      private_class_method :whole, :needs

      # The machine may be set to anything at any moment, every block may come next: all of it is tried.
      class Everything
        def initialize(chains, from, costs = Sewing::Changeover::USUAL)
          @chains = chains
          @from = from.slice(*costs.parts).compact
          @costs = costs
        end

        # @return [Integer] seconds
        def best
          @best = Float::INFINITY
          from(Array.new(@chains.size, 0), @from, 0, @chains.map(&:dry_in), set: false)
          @best
        end

        private

        def left(done) = @chains.each_index.select { |chain| done[chain] < @chains[chain].blocks.size }
        def rest(chain, done) = @chains[chain].blocks.drop(done[chain])

        def from(done, at, clock, ready, set:)
          open = left(done)
          return if clock + open.sum { |chain| rest(chain, done).sum(&:seconds) } >= @best
          return @best = [@best, clock + change(at, {})].min if open.empty?

          open.each { |chain| work(chain, done, at, clock, ready) }
          return if set

          states = open.flat_map { |chain| rest(chain, done).filter_map(&:needs) } << {}
          (states.uniq - [at]).each { |state| from(done, state, clock + change(at, state), ready, set: true) }
        end

        def work(chain, done, at, clock, ready)
          block = rest(chain, done).first
          return if block.needs && block.needs != at

          ends = [clock, ready[chain]].max + block.seconds
          from(done.dup.tap { |next_one| next_one[chain] += 1 }, at, ends, ready.dup.tap do |next_one|
            next_one[chain] = ends + block.dries
          end, set: false)
        end

        def change(one, other) = @costs.between(one, other)
      end

      # A small session: chains, and what the machine is set to.
      def self.small(random)
        closures = [1, 2, 2, 3, 3].sample(random: random)
        blocks = { 1 => 2..5, 2 => 2..3, 3 => 2..2 }.fetch(closures)
        dries = 30..[200, 600, 1800].sample(random: random)
        [chains(random, closures, dries: dries, blocks: random.rand(blocks)),
         [{}, { "foot" => "scale", "top_thread" => "thread 1" }].sample(random: random)]
      end
    end
  end
end
