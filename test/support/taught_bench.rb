# frozen_string_literal: true

# What bin/bench tells of test holes that teach: how soon somebody who does only what the tool says comes
# to a good hole, against the table of symptoms alone; how true what is said comes; and how far it gets on
# machines nobody would have expected.

require_relative "taught"

module NimbleEyelet
  module Support
    module TaughtBench
      MACHINES = Integer(ENV.fetch("NIMBLE_EYELET_MACHINES", "240"))
      SEED = 20_261_127
      # Bins of what is said, and how many rows a bin needs to be told.
      BINS = 10
      ENOUGH = 40

      def self.run
        { "one change an axis" => true, "one change a swatch" => false }.each { |name, each| paced(name, each) }
        gates
        far
        speed
      end

      def self.paced(name, each)
        runs = ManyMachines.sewn(MACHINES, seed: SEED, each: each)
        hopeful = runs.reject(&:hopeless)
        tell("#{name}: #{MACHINES} machines, on #{runs.size - hopeful.size} no settings make 4 in 5 right")
        soon(hopeful)
        told_true(runs)
        kinds(hopeful)
      end

      def self.soon(runs)
        firsts = runs.map(&:first)
        late = firsts.select { |one| one.holes > 8 }
        tell(format("  accepted within 3: %<three>s, 4: %<four>s; beyond 8: %<late>s%<ends>s; ended between: %<between>s",
                    three: share(ManyMachines.within(runs, 3)), four: share(ManyMachines.within(runs, 4)), late: share(late.size / runs.size.to_f),
                    ends: late.map(&:ended).uniq.inspect, between: share(firsts.count do |one|
                                                            one.ended == :between
                                                          end / runs.size.to_f)))
        tell(format("  mean %<mean>.2f, the table alone %<table>.2f: %<ratio>.2f", mean: mean(firsts.map(&:holes)), table: mean(runs.map(&:table)),
                                                                                ratio: mean(firsts.map(&:holes)) / mean(runs.map(&:table))))
        seconds(runs.filter_map(&:second))
      end

      def self.seconds(found)
        first, two = [1, 2].map { |most| found.count { |one| one.ended == :accepted && one.holes <= most } / found.size.to_f }
        tell("  second closure, #{found.size}: accepted at the first #{share(first)}, within two #{share(two)}")
      end

      # What was said of the row, and what came of it, machines nothing helps among them.
      def self.told_true(runs)
        all = runs.map(&:first)
        tell(format("  the table alone on all: %<ratio>.2f", ratio: mean(all.map(&:holes)) / mean(runs.map(&:table))))
        all.group_by { |one| (one.row * BINS).floor }.sort.each do |_, found|
          next if found.size < ENOUGH

          error = Math.sqrt(found.sum { |one| (one.rows - mean(found.map(&:rows)))**2 }) / found.size
          tell(format("  of a row said %<said>.2f, came %<came>.2f ± %<error>.2f (%<count>d machines)", said: mean(found.map(&:row)),
                                                                                                     came: mean(found.map(&:rows)), error: 2 * error, count: found.size))
        end
      end

      def self.kinds(runs)
        tell("  within 4 by kind: #{runs.group_by(&:kind).map do |kind, found|
          "#{kind} #{share(ManyMachines.within(found, 4))}"
        end.join(', ')}")
      end

      def self.gates
        { Swatches::ROW_GATE => 4.0, Swatches::HOLE_STAYS_GATE => 4.0, 0.5001 => 3.6 }.each do |gate, slips|
          runs = ManyMachines.sewn(MACHINES / 2, seed: SEED + 1, gate: gate, slips: slips, second: false).reject(&:hopeless)
          right = runs.map(&:first).select { |one| one.ended == :accepted }.map(&:right)
          tell(format("gate %<gate>.1f, slips from %<slips>.1f: of the accepted, %<right>s of all holes of a row right; within 3 %<three>s, 4 %<four>s",
                      gate: gate, slips: slips, right: share(mean(right)), three: share(ManyMachines.within(runs, 3)), four: share(ManyMachines.within(runs, 4))))
        end
        noisy = ManyMachines.sewn(MACHINES / 2, seed: SEED + 2, noisier: true, second: false)
        tell("doubled noise: #{noisy.count(&:hopeless)} of #{noisy.size} hopeless; of the others within 4 #{share(ManyMachines.within(
                                                                                                                    noisy.reject(&:hopeless), 4
))}")
      end

      def self.far
        [*ManyMachines::FAR.keys, :all].each do |far|
          runs = ManyMachines.sewn(MACHINES / 4, seed: SEED + 3, far: far).reject(&:hopeless)
          tell("truth far out in #{far}: within 4 #{share(ManyMachines.within(runs,
                                                                              4))}, within 6 #{share(ManyMachines.within(runs,
                                                                                                                         6))} of #{runs.size}")
        end
      end

      # One update with the next try, in processor time, against sorting the cells of its grid.
      def self.speed
        ground = Ground.new(kind: "sensing", cloth: "light_woven", slips: 4.0, balance: true)
        run = Taught.new(Random.new(1), ground)
        truth = Simulation::HiddenMachine.drawn(Array.new(4) { |seed| Random.new(seed) })
        run.until_accepted(truth)
        update = clock { 5.times { run.until_accepted(truth) } } / (5 * run.until_accepted(truth).holes)
        cells = Array.new(4539) { |cell| Math.sin(cell) }
        sort = clock { 50.times { cells.sort } } / 50
        tell(format("update with the next try: %<ms>.1f ms (25), %<ratio>.0f times sorting 4,539 figures", ms: update * 1000,
ratio: update / sort))
      end

      def self.clock
        from = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
        yield
        Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - from
      end

      def self.mean(numbers) = numbers.empty? ? 0.0 : numbers.sum / numbers.size.to_f
      def self.share(part) = format("%.1f %%", part * 100)
      def self.tell(line) = puts(line)
      private_class_method :paced, :soon, :seconds, :told_true, :kinds, :gates, :far, :speed, :clock, :mean, :share, :tell
    end
  end
end
