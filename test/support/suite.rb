# frozen_string_literal: true

# Suite runs tests: linters, the core in a process of its own, and every file of the application and the browser, each
# taken by the next of as many workers as there are cores. A worker keeps its database, its server and its browser from
# file to file. It is what bin/test calls:
#
#   ruby -Itest test/support/suite.rb                                          # everything
#   ruby -Itest test/support/suite.rb test/app/undo_test.rb -n /sixty/ --seed 7
#   ruby -Itest test/support/suite.rb --slowest 10                             # and says which tests took longest

require "etc"
require "fileutils"
require "minitest"
require "optparse"
require_relative "test_report"

# The files are run here, not when the process ends.
def Minitest.autorun; end

module NimbleEyelet
  module Support
    class Suite
      ROOT = File.expand_path("../..", __dir__)
      LOGS = "#{ROOT}/var/test".freeze
      # What each test took, one a line, of the last run.
      TIMES = "#{ROOT}/var/test-times.tsv".freeze
      # A linter makes and drops millions of small values: where it collects them less often it takes a third less.
      ROOMY = "RUBY_GC_HEAP_INIT_SLOTS=3000000 RUBY_GC_HEAP_OLDOBJECT_LIMIT_FACTOR=4 RUBY_GC_MALLOC_LIMIT=200000000 " \
              "RUBY_GC_OLDMALLOC_LIMIT=400000000"
      # And what is compiled another third.
      COMPILED = defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled? ? "RUBYOPT='--yjit --yjit-exec-mem-size=64'" : ""
      LINTERS = { "ruby-lint" => "#{ROOMY} #{COMPILED} bundle exec rubocop --format quiet --cache-root var/cache/rubocop",
                  "web-lint" => "cd web && npm run --silent lint && npm run --silent check && npm run --silent test" }.freeze

      # name - what is printed; command - what the shell is given, or nil; files - what a worker runs itself
      Unit = Struct.new(:name, :command, :files, keyword_init: true)

      def initialize(arguments)
        @name = nil
        @slowest = 0
        @seed = rand(0xFFFF)
        @files = OptionParser.new do |given|
          given.banner = "Usage: bin/test [FILE...] [-n NAME] [--seed N] [--slowest N]"
          given.on("-n", "--name NAME", "only tests of this name, or /like this/") { |name| @name = name }
          given.on("--seed N", Integer, "the order of the tests") { |seed| @seed = seed }
          given.on("--slowest N", Integer, "say which tests took longest") { |many| @slowest = many }
        end.parse(arguments).map { |file| File.expand_path(file) }
      end

      # @return [Boolean] whether everything passed
      def run
        FileUtils.rm_rf(LOGS)
        FileUtils.mkdir_p(LOGS)
        before = [now, machine]
        waiting = queue(units.size)
        workers = Array.new([Etc.nprocessors, units.size].min) { |number| fork { work(number, waiting) } }
        statuses = workers.map { |worker| Process.wait2(worker).last }
        broke = statuses.each_index.reject { |number| [0, 1].include?(statuses[number].exitstatus) }
        broke.each { |number| puts File.read("#{LOGS}/worker-#{number}.log") }
        report(before) && statuses.all?(&:success?)
      end

      private

      # The longest first, so that no core is left alone at the end.
      def units
        @units ||= if @files.empty?
                     linters = LINTERS.map { |name, command| Unit.new(name: name, command: command) }
                     [linters.last, core(Dir["#{ROOT}/test/core/*_test.rb"]), linters.first,
                      *by_length(Dir["#{ROOT}/test/{app,browser}/*_test.rb"]).map { |file| alone(file) }]
                   else
                     cores, others = @files.partition { |file| file.include?("/test/core/") }
                     [cores.any? && core(cores), *others.map { |file| alone(file) }].select(&:itself)
                   end
      end

      # Nothing else may be loaded beside the core.
      def core(files)
        again = ["--in-this-process", *files, *(["-n", @name] if @name), "--seed", @seed.to_s]
        yjit = RbConfig.ruby if defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled?
        Unit.new(name: "core", command: [RbConfig.ruby, *("--yjit" if yjit), "-Itest", __FILE__, *again].shelljoin)
      end

      def alone(file) = Unit.new(name: file.delete_prefix("#{ROOT}/test/").delete_suffix("_test.rb"), files: [file])

      # By what they took the last time; a file nobody has run yet is taken for a long one.
      def by_length(files)
        took = Hash.new(0.0)
        if File.exist?(TIMES)
          File.foreach(TIMES) do |line|
            line.split("\t").then do |seconds, file|
              took[file] += seconds.to_f
            end
          end
        end
        files.sort_by { |file| -(took[file.delete_prefix("#{ROOT}/")].nonzero? || (1000 + File.size(file))) }
      end

      # A pipe that all workers read from: each number is had by one of them.
      def queue(many)
        reader, writer = IO.pipe
        writer.write(Array.new(many) { |number| [number].pack("N") }.join)
        writer.close
        reader
      end

      def work(number, waiting)
        out = $stdout.dup.tap { |stream| stream.sync = true }
        [$stdout, $stderr].each { |stream| stream.reopen("#{LOGS}/worker-#{number}.log", "a").sync = true }
        passed = true
        while (record = waiting.read_nonblock(4, exception: false))
          break unless record.is_a?(String)

          passed &= run_one(units[record.unpack1("N")], out)
        end
        exit(passed ? 0 : 1)
      rescue Exception => e # rubocop:disable Lint/RescueException
        raise if e.is_a?(SystemExit)

        warn e.full_message
        exit 2
      end

      def run_one(unit, out)
        start = now
        said, passed = unit.command ? command(unit, out) : files(unit.files, out)
        out.puts format("%-28s %4d s  %s", unit.name, now - start, passed ? said : "FAILED  #{said}") if passed || unit.files
        passed
      end

      def command(unit, out)
        log = "#{LOGS}/#{unit.name}.log"
        passed = system(unit.command, chdir: ROOT, %i[out err] => log)
        text = File.read(log)
        out.puts "#{unit.name} FAILED\n#{text}" unless passed
        # The core counts its tests itself; a linter is one failure.
        linter = LINTERS.key?(unit.name) && !passed
        File.write("#{LOGS}/#{unit.name}.tsv", "0\t#{unit.name}\t#{unit.name}\tfailed\n") if linter
        [text[/^\d+ runs, .*$/], passed]
      end

      # @return [Array(String, Boolean)] how many there were, and whether all passed
      def files(files, out)
        Minitest.seed = @seed
        report = TestReport.new(out: out, folder: LOGS, root: ROOT, seed: @seed)
        files.each do |file|
          before = Minitest::Runnable.runnables.dup
          require file
          added = Minitest::Runnable.runnables - before
          raise "#{file} adds to the tests of another file: a class of its own name is there already" if added.empty?

          added.each { |suite| suite.run(report, { filter: @name }) }
        end
        [report.to_s, report.passed?]
      end

      def report(before)
        times = Dir["#{LOGS}/*.tsv"].flat_map { |file| File.readlines(file, chomp: true) }
        FileUtils.cp(all_times(times), TIMES) if @files.empty?
        outcomes = times.map { |line| line.split("\t")[3] }.tally
        puts_slowest(times)
        puts format("%d passed, %d failed, %d skipped, in %s; this machine was busy for %s (load %s), seed %d",
                    outcomes.fetch("passed", 0), outcomes.fetch("failed", 0), outcomes.fetch("skipped", 0),
                    lasted(now - before[0]), lasted(machine - before[1]), File.read("/proc/loadavg").split.first, @seed)
        outcomes.fetch("failed", 0).zero? && (outcomes.any? || !@files.empty?)
      end

      def all_times(lines) = "#{LOGS}/times".tap { |file| File.write(file, lines.join("\n")) }

      def puts_slowest(times)
        return if @slowest.zero?

        puts "The slowest:"
        times.map { |line| line.split("\t") }.max_by(@slowest) { |row| row[0].to_f }.each do |seconds, file, name,|
          puts format("%6.1f s  %s  %s", seconds.to_f, name, file)
        end
      end

      def lasted(seconds) = format("%d:%02d min", *seconds.round.divmod(60))
      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      # Seconds of processor time of everything on this machine: databases and browsers are nobody's children.
      def machine
        File.read("/proc/stat")[/\Acpu +(.*)/, 1].split.values_at(0, 1, 2, 5, 6).sum(&:to_i).fdiv(Etc.sysconf(Etc::SC_CLK_TCK))
      end

      public

      # What {#core} starts.
      def run_in_this_process = files(@files, $stdout).tap { |said, _| puts said }.last
    end
  end
end

if $PROGRAM_NAME == __FILE__
  require "shellwords"
  alone = ARGV.delete("--in-this-process")
  suite = NimbleEyelet::Support::Suite.new(ARGV)
  exit(alone ? suite.run_in_this_process : suite.run)
end
