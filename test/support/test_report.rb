# frozen_string_literal: true

# TestReport tells what became of the tests of a file: each that failed at once, with what a person needs to look into
# it, and what each of them took in a file of its own. A test that hangs ends its process, after very long, with where
# it hung.

require "minitest"

module NimbleEyelet
  module Support
    class TestReport < Minitest::AbstractReporter
      # Seconds. No test takes a hundredth of it on a good day.
      HANGS = 1200
      # Letters of a message that are printed; longer ones are kept whole beside the log.
      TOLD = 1500

      # @param out [IO] for failures
      # @param folder [String] for what each took
      def initialize(out:, folder:, root:, seed:)
        super()
        @out = out
        @root = root
        @seed = seed
        @folder = folder
        @times = "#{folder}/#{Process.pid}.tsv"
        @runs = @assertions = @failed = @skipped = 0
        watch
      end

      def prerecord(klass, name)
        @test = "#{klass}##{name}"
        @since = now
      end

      def record(result)
        @since = nil
        @runs += 1
        @assertions += result.assertions
        outcome = result.skipped? ? "skipped" : result.passed? ? "passed" : "failed" # rubocop:disable Style/NestedTernaryOperator
        @skipped += 1 if outcome == "skipped"
        file = result.source_location.first.delete_prefix("#{@root}/")
        File.write(@times, "#{[result.time.round(3), file, "#{result.klass}##{result.name}", outcome].join("\t")}\n", mode: "a")
        tell(result, file) if outcome == "failed"
      end

      def passed? = @failed.zero?
      def to_s = "#{@runs} runs, #{@assertions} assertions, #{@failed} failures, #{@skipped} skips"

      private

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def tell(result, file)
        @failed += 1
        @out.puts "", "FAILED #{result.klass}##{result.name}", *result.failures.map { |failure| words(failure, result) },
                  *(result.metadata[:page] if result.metadata?), "again: bin/test #{file} -n #{result.name} --seed #{@seed}", ""
      end

      def words(failure, result)
        error = failure.is_a?(Minitest::UnexpectedError) ? failure.error : failure
        name = "#{error.class}: " unless failure.equal?(error)
        lines = (error.backtrace || []).select { |line| line.start_with?(@root) && !line.include?("/vendor/") }.first(6)
        places = lines.map { |line| "    #{line.delete_prefix("#{@root}/")}" }
        ["#{name}#{shortened(error.message, result)}", *places].join("\n")
      end

      def shortened(message, result)
        return message if message.size <= TOLD

        whole = "#{@folder}/#{result.klass}-#{result.name}-message.txt"
        File.write(whole, message)
        "#{message[0, TOLD]}…\n    (all of it: #{whole})"
      end

      def watch
        @watch ||= Thread.new do
          loop do
            sleep 5
            hung if @since&.then { |since| now - since > HANGS }
          end
        end
      end

      def hung
        stacks = Thread.list.map { |thread| [thread.inspect, *thread.backtrace].join("\n    ") }
        @out.puts "#{@test} has been running for #{HANGS} seconds:", *stacks
        exit! 1
      end
    end
  end
end
