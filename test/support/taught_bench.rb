# frozen_string_literal: true

# What bin/bench tells of test holes that teach: how soon somebody who does only what the tool says comes
# to a good hole, against the table of symptoms alone; how true what is said comes; and how far it gets on
# machines nobody would have expected.

require_relative "core_values"
require_relative "other_machines"
require_relative "taught"

module NimbleEyelet
  module Support
    module TaughtBench
      SEED = 20_261_127
      # Bins of what is said, and how many rows a bin needs to be told.
      BINS = 10
      ENOUGH = 40
      # The slack from which a button slips out: as the model was first tried, and as buttons of 18 mm have it.
      SLIPS = [4.0, 3.6].freeze

      # @param machines [Integer] how many are taught
      def self.run(machines)
        @machines = machines
        { "one change an axis" => true, "one change a swatch" => false }.each { |name, each| paced(name, each) }
        [Inference::ROW_GATE, Inference::HOLE_STAYS_GATE].product(SLIPS).each { |gate, slips| gated(gate, slips) }
        noisy
        [*ManyMachines::FAR.keys, :all].each { |far| outside(far) }
        others
        speed
      end

      def self.paced(name, each)
        runs = ManyMachines.sewn(@machines, seed: SEED, each: each)
        found = runs.reject(&:hopeless)
        puts "#{name}: #{@machines} machines, on #{runs.size - found.size} no settings make 4 in 5 right"
        soon(found)
        puts "  mean on all #{against(runs)}"
        seconds(found.filter_map(&:second))
        told_true(runs.map(&:first))
        puts "  within 4 by kind: #{found.group_by(&:kind).map { |kind, of_kind| "#{kind} #{within(of_kind, 4)}" }.join(', ')}"
      end

      def self.soon(runs)
        late = runs.map(&:first).select { |one| one.holes > 8 }
        between = runs.count { |run| run.first.ended == :between }
        three, four = [3, 4].map { |most| within(runs, most) }
        puts "  accepted within 3: #{three} (85 or 78), 4: #{four} (93 or 89); beyond 8: #{share(late.size, runs.size)} " \
             "#{late.map(&:ended).uniq.join(', ')}; ended between: #{share(between, runs.size)}"
        puts "  mean #{against(runs)}"
      end

      def self.against(runs)
        own, table = [runs.map { |run| run.first.holes }, runs.map(&:table)].map { |numbers| mean(numbers) }
        format("%<own>.2f, the table alone %<table>.2f: %<ratio>.2f", own: own, table: table, ratio: own / table)
      end

      def self.seconds(found)
        first, two = [1, 2].map do |most|
          share(found.count do |one|
            one.ended == :accepted && one.holes <= most
          end, found.size)
        end
        puts "  second closure, #{found.size}: accepted at the first #{first} (70), within two #{two} (90)"
      end

      # What was said of the row, and what came of it, machines nothing helps among them.
      def self.told_true(all)
        all.group_by { |one| (one.row * BINS).floor }.sort.each do |_, found|
          next if found.size < ENOUGH

          said, came = [found.map(&:row), found.map(&:rows)].map { |shares| mean(shares) }
          error = 2 * Math.sqrt(found.sum { |one| (one.rows - came)**2 }) / found.size
          puts format("  of a row said %<said>.2f, came %<came>.2f ± %<error>.2f (%<count>d machines)",
                      said: said, came: came, error: error, count: found.size)
        end
      end

      def self.gated(gate, slips)
        runs = ManyMachines.sewn(@machines / 2, seed: SEED + 1, gate: gate, slips: slips,
                                 second: false).reject(&:hopeless)
        right = mean(runs.map(&:first).select { |one| one.ended == :accepted }.map(&:right))
        puts "gate #{gate}, slips from #{slips}: #{share(right, 1)} of the holes of accepted rows right (84 or 90); within 3 " \
             "#{within(runs, 3)}, 4 #{within(runs, 4)}"
      end

      def self.noisy
        runs = ManyMachines.sewn(@machines / 2, seed: SEED + 2, noisier: true, second: false)
        found = runs.reject(&:hopeless)
        puts "doubled noise: #{runs.size - found.size} of #{runs.size} hopeless; of the others within 4 #{within(found, 4)}"
      end

      def self.outside(far)
        runs = ManyMachines.sewn(@machines / 4, seed: SEED + 3, far: far).reject(&:hopeless)
        four, six = [4, 6].map { |most| within(runs, most) }
        puts "truth far out in #{far}: within 4 #{four} (87), within 6 #{six} (95; all at once 92) of #{runs.size}"
      end

      # Machines that share nothing with the beliefs, through real plans.
      def self.others
        runs = Array.new(@machines) { |number| OtherMachines.run(number) }.compact
        accepted = runs.select { |run| run.ended == :accepted }
        puts "machines that know nothing of the beliefs: #{runs.size}; accepted within 3 #{soon_enough(runs, 3)} (76), " \
             "4 #{soon_enough(runs, 4)} (86); of those with a good one among four #{soon_enough(runs.select { |run| run.good_at&.<=(4) }, 4)} (94)"
        puts format("  mean %<ratio>.2f of the table's (0.8); rows right %<rows>.2f times as often (1.4); holes right %<right>.2f (0.92)",
                    ratio: runs.sum(&:holes) / runs.sum(&:table).to_f, right: mean(accepted.map(&:right)),
                    rows: mean(accepted.map(&:rows)) / mean(runs.map(&:table_rows)))
        rows = accepted.map(&:sewn)
        puts format("  within what the eye blurs %<near>.2f (0.97); a row of 7 looked at hole by hole: %<spoiled>.2f spoiled " \
                    "(1.2), right to the eye %<rows>s (95), lengths moved untold %<moved>d (0)",
                    near: mean(accepted.map(&:near)), spoiled: mean(rows.map(&:spoiled)),
                    rows: share(rows.count(&:near), rows.size), moved: rows.sum(&:moved))
        later = accepted.map(&:second)
        at_once = later.select { |one| one[:ended] == :accepted && one[:holes] == 1 }
        puts "  second set accepted at its first #{share(at_once.size, later.size)} (52), of those that looked right " \
             "#{share(at_once.count { |one| one[:looked] }, later.count { |one| one[:looked] })} (85)"
        { row: :rows, hole: :right }.each { |said, came| calibrated(accepted, said, came) }
      end

      def self.soon_enough(runs, most)
        share(runs.count { |run| run.ended == :accepted && run.holes <= most }, runs.size)
      end

      def self.calibrated(runs, said, came)
        runs.group_by { |run| (run[said] * BINS).floor }.sort.each do |_, found|
          next if found.size < ENOUGH

          puts format("  of a #{said} said %<said>.2f, came %<came>.2f (%<count>d machines)",
                      said: mean(found.map(&said)), came: mean(found.map(&came)), count: found.size)
        end
      end

      # One update with the next try, in processor time, against sorting the cells of its grid.
      def self.speed
        run = Taught.new(Random.new(1),
                         Ground.new(kind: "sensing", cloth: "light_woven", slips: SLIPS.first, balance: true))
        truth = Simulation::HiddenMachine.drawn(Array.new(4) { |seed| Random.new(seed) })
        holes = run.until_accepted(truth).holes
        update = clock { 5.times { run.until_accepted(truth) } } / (5 * holes)
        cells = Array.new(4539) { |cell| Math.sin(cell) }
        sort = clock { 50.times { cells.sort } } / 50
        puts format("update with the next try: %<ms>.1f ms CPU (25), %<ratio>.0f times sorting 4,539 figures",
                    ms: update * 1000, ratio: update / sort)
      end

      def self.clock
        from = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
        yield
        Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - from
      end

      def self.mean(numbers) = numbers.empty? ? 0.0 : numbers.sum / numbers.size.to_f
      def self.share(part, whole) = format("%.1f %%", part * 100.0 / whole)
      def self.within(runs, most) = share(ManyMachines.within(runs, most), 1)
      private_class_method :others, :soon_enough, :calibrated, :paced, :soon, :against, :seconds, :told_true, :gated, :noisy, :outside, :speed, :clock, :mean, :share,
                           :within
    end
  end
end
