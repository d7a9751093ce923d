# frozen_string_literal: true

# Torture saves to a server of its own without a pause, kills the server or its database at some moment, starts again
# and compares: what was confirmed is there, and nothing is there by half.
#
#   Torture.new(folder, Random.new(7)).run(3)   # => [] or what was lost

require "json"
require "net/http"
require "socket"

module NimbleEyelet
  module Support
    class Torture
      BIN = File.expand_path("../../bin/start", __dir__)
      PATH = "/api/workrooms/marsh-walk/closures/1"
      # Seconds before something is taken for hung.
      PATIENCE = 600

      # @param folder [String] for the data
      # @param random [Random]
      # @param port [Integer] of the server, which may be somebody else's
      def initialize(folder, random, port: TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] })
        @folder = folder
        @random = random
        @port = port
      end

      # @return [Array<String>] what was wrong
      def run(times)
        Array.new(times) { round }.flatten
      ensure
        stop("TERM")
      end

      # Saves without a pause until the block has killed the server, at some moment.
      #
      # @yield kills it
      # @return [Proc] tells what is wrong once it has been started again, an array
      def interrupted
        confirmed = ask(Net::HTTP::Get, PATH).then { |closure| [closure["version"], closure.dig("plan", "button.diameter", "text")] }
        told = Queue.new
        saving = Thread.new do
          save_on(confirmed) { |saved| told << (confirmed = saved) }
        ensure
          told.close
        end
        # At some moment: so many saves are confirmed, and the next one is somewhere on its way.
        @random.rand(1..12).times { told.pop }
        @random.rand(1..20_000).times { Thread.pass }
        yield
        saving.join
        -> { differences(confirmed, ask(Net::HTTP::Get, PATH)) }
      end

      private

      def round
        start
        wrong = interrupted { kill_something }
        start
        wrong.call
      end

      # What was confirmed last is there, or what was sent after it and not confirmed any more: one step on.
      def differences(confirmed, found)
        number, was = [found["version"], confirmed[0]].map { |version| version[/\d+\z/].to_i }
        text = found.dig("plan", "button.diameter", "text")
        return [] if (number == was && text == confirmed[1]) || (number == was + 1 && text == @sent)

        ["confirmed #{confirmed.inspect}, sent #{@sent}, found #{[found['version'], text].inspect}"]
      end

      def save_on(confirmed)
        loop do
          @sent = "#{@random.rand(1200..3000) / 100.0} mm"
          answer = ask(Net::HTTP::Patch, "#{PATH}/plan", { "button.diameter" => @sent }, confirmed[0])
          confirmed = [answer["version"], @sent]
          yield confirmed
        end
      rescue SystemCallError, IOError, Net::ReadTimeout, RuntimeError
        nil # it was killed
      end

      def kill_something
        database = File.join(@folder, "postgres", "postmaster.pid")
        return stop("KILL") if @random.rand < 0.6 || !File.exist?(database)

        Process.kill("KILL", File.foreach(database).first.to_i)
        stop("KILL")
      end

      def start
        return if @server

        around = { "PORT" => @port.to_s, "NIMBLE_EYELET_VAR" => @folder, "DATABASE_URL" => nil,
                   "WEB_CONCURRENCY" => "2" }
        @server = Process.spawn(around, BIN, %i[out err] => File::NULL, pgroup: true)
        (PATIENCE * 10).times do
          return if ask(Net::HTTP::Get, "/api/health")["status"] == "ok"
        rescue SystemCallError, IOError, RuntimeError
          sleep 0.1
        end
        raise "it does not start"
      end

      def stop(signal)
        return unless @server

        # All its processes at once, as a power cut would; or the first of them, which stops the others.
        Process.kill(signal, signal == "KILL" ? -@server : @server)
        Process.wait(@server)
        @server = nil
      rescue Errno::ESRCH
        @server = nil
      end

      def ask(verb, path, body = nil, version = nil)
        request = verb.new(path, { "X-Nimble-Eyelet" => "1", "Content-Type" => "application/json",
                                   "If-Match" => version && "\"#{version}\"" }.compact)
        request.body = JSON.generate(body) if body
        answer = Net::HTTP.start("127.0.0.1", @port, read_timeout: PATIENCE) { |http| http.request(request) }
        raise "#{answer.code}: #{answer.body}" unless answer.code.to_i < 300

        JSON.parse(answer.body)
      end
    end
  end
end
