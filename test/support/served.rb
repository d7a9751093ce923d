# frozen_string_literal: true

# Served runs an application in a process of its own beside the bare thing it is compared with, and tells what a request
# costs either: processor time of the serving process, and how long whoever asked waited.
#
#   served = Served.new(url) { |app| app }
#   served.compare(200, ours: -> (http) { http.get("/x") }, bare: -> (http) { http.get("/bare") })

require "net/http"
require_relative "world"

module NimbleEyelet
  module Support
    class Served
      # One request. cpu - ms of the server; median, slow - ms waited, the latter the 95th percentile
      Cost = Struct.new(:cpu, :median, :slow, keyword_init: true)
      # Requests of one kind before it is the other's turn: the clock of the processor is coarse.
      BLOCK = 25
      TICKS = Etc.sysconf(Etc::SC_CLK_TCK)

      # @param url [String] of the database
      # @param forgetful [Boolean] whether nothing is remembered between requests
      # @param bare [String] what the bare route answers
      def initialize(url, bare:, forgetful: false)
        reader, writer = IO.pipe
        @pid = fork do
          reader.close
          serve(url, bare, forgetful, writer)
        end
        writer.close
        @port = Integer(reader.gets)
      end

      # @param asks [Hash{Symbol => Proc(Net::HTTP)}] taken in turns, in blocks
      # @return [Hash{Symbol => Cost}]
      def compare(rounds, **asks)
        Net::HTTP.start("127.0.0.1", @port) do |http|
          asks.each_value { |ask| BLOCK.times { checked(ask.call(http)) } }
          spent = asks.transform_values { [0.0, []] }
          (rounds / BLOCK).times { asks.each { |name, ask| block(http, ask, spent[name]) } }
          spent.transform_values { |cpu, waited| cost(cpu, waited) }
        end
      end

      # @return [Float] MB of memory that the server holds
      def held = File.read("/proc/#{@pid}/status")[/VmRSS:\s*(\d+)/, 1].to_i / 1024.0

      def close
        Process.kill("KILL", @pid)
        Process.wait(@pid)
      end

      private

      def block(http, ask, spent)
        before = cpu
        BLOCK.times do
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          checked(ask.call(http))
          spent[1] << ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000)
        end
        spent[0] += cpu - before
      end

      def cost(cpu, waited)
        sorted = waited.sort
        Cost.new(cpu: cpu * 1000 / waited.size, median: sorted[sorted.size / 2], slow: sorted[sorted.size * 95 / 100])
      end

      def checked(answer) = answer.code.to_i < 400 ? answer : raise("#{answer.code}: #{answer.body}")

      # Seconds of processor time that the server has taken so far.
      def cpu = File.read("/proc/#{@pid}/stat").sub(/\(.*\)/, "").split.values_at(12, 13).sum(&:to_i).fdiv(TICKS)

      def serve(url, bare, forgetful, port)
        forget if forgetful
        db = Store::Database.connect(url)
        app = Http::Web.application(db: db, log: nil)
        plain = bare_route(url, bare)
        both = ->(env) { env["PATH_INFO"] == "/bare" ? plain.call(env) : app.call(env) }
        server = Puma::Server.new(both, nil, { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
        port.puts server.add_tcp_listener("127.0.0.1", 0).addr[1]
        port.close
        server.run.join
      end

      def forget = Memo.class_eval { define_method(:of) { |_key, &work| work.call } }

      # The same bytes from a bare Sinatra route that reads the same rows, by prepared statements on the raw connection.
      def bare_route(url, bytes)
        connection = PG.connect(url)
        connection.prepare("workroom", "SELECT * FROM workrooms WHERE slug = $1 AND removed_at IS NULL")
        connection.prepare("closure", Store::Closures::READ.gsub(":workroom", "$1").gsub(/:id\b/, "$2").gsub(/:known\b/, "'{}'"))
        Class.new(Sinatra::Base) do
          set :environment, :production
          set :host_authorization, permitted_hosts: []
          get "/bare" do
            connection.exec_prepared("workroom", ["marsh-walk"]).to_a
            connection.exec_prepared("closure", [1, 1]).to_a
            content_type :json
            bytes
          end
        end
      end
    end
  end
end
