# frozen_string_literal: true

# What bin/bench measures of a house that is used for years: how soon it starts, what pages cost in a workroom with
# thousands of closures beside one with a few, how long others wait while strips are printed, and what it holds in
# memory.

require "fileutils"
require "net/http"
require "securerandom"
require "socket"
require "tmpdir"
require_relative "served"
require_relative "swatch_book_bench"
require_relative "../../app/server/cluster"

module NimbleEyelet
  module Support
    module HouseBench
      GARMENTS = 500
      # Closures of each of them: two thousand in all.
      OF_EACH = 4
      BUTTONS = 20_000
      SAMPLES = 5_000
      FACTS = 5_000
      REVISIONS = 2_000
      ROOM = "/api/workrooms/marsh-walk"
      PAGES = { "list of workrooms" => "/api/workrooms", "workroom" => ROOM, "under way" => "#{ROOM}/under-way",
                "buttons" => "#{ROOM}/stash", "swatch book" => "#{ROOM}/swatches", "sessions" => "#{ROOM}/sessions",
                "a closure" => "#{ROOM}/closures/1?station=opening", "the same, whole" => "#{ROOM}/closures/1",
                "its history" => "#{ROOM}/closures/1/history", "its log" => "#{ROOM}/closures/1/journal",
                "its garment" => "#{ROOM}/garments/1" }.freeze
      START = File.expand_path("../../bin/start", __dir__)
      SENT = { "X-Nimble-Eyelet" => "1", "Content-Type" => "application/json" }.freeze
      MIXED = 10_000
      # As many where everything is measured.
      SHORT_MIXED = 2_000

      # From the command to a page that answers, the first time and after that.
      def starting
        Dir.mktmpdir("nimble-eyelet-start-") do |folder|
          File.chmod(0o755, folder)
          first, second = Array.new(2) { started(folder) }
          puts format("the very first start, to an answering page: %.1f s (aim 12)", first)
          puts format("a start after that: %.1f s (aim 4)", second)
        ensure
          Server::Cluster.new("#{folder}/postgres").stop
        end
      end

      def started(folder)
        begun = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        running("NIMBLE_EYELET_VAR" => folder, "DATABASE_URL" => nil) do |address|
          Net::HTTP.get(URI(address))
          Process.clock_gettime(Process::CLOCK_MONOTONIC) - begun
        end
      end

      # @yieldparam address [String] at which the application runs as a person starts it
      def running(around)
        port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
        io = IO.popen({ "PORT" => port.to_s, "NIMBLE_EYELET_CALIPER" => "none", **around }, START, err: File::NULL)
        io.each_line { |line| break if line.include?("http://") }
        yield "http://127.0.0.1:#{port}/"
      ensure
        Process.kill("TERM", io.pid)
        io.close
      end

      # Each page in a workroom as the sample is, at work, and in one of two thousand closures.
      def large(world)
        world.db[:revisions].where(closure_id: 1, number: 1).update(parent: 1)
        small = pages_of(world)
        grow(world.db)
        grown = pages_of(world)
        PAGES.each_key do |page|
          puts format("%-18s with %d closures: %.1f times the processor time of a few (aim 1.5), %.1f ms", page,
                      GARMENTS * OF_EACH, grown[page] / small[page], grown[page])
        end
        world.reset
      end

      def served(world, **how)
        world.db.disconnect
        Served.new(world.cluster.url("nimble_eyelet_test"), bare: "{}", **how)
      end

      # Milliseconds of the server, by page.
      def pages_of(world)
        served = served(world, forgetful: true)
        served.compare(50, **PAGES.to_h { |name, path| [name.to_sym, ->(http) { http.get(path, SENT) }] })
              .to_h { |name, cost| [name.to_s, cost.cpu] }
      ensure
        served&.close
      end

      def grow(db)
        copy(db, :garments, where: "id = 1", times: GARMENTS, id: "DEFAULT", name: "'Bench ' || n")
        room = db[:workrooms].where(slug: "marsh-walk").get(:id)
        garment = "(SELECT min(id) FROM garments WHERE name = 'Bench ' || (1 + (n - 1) / #{OF_EACH}))"
        copy(db, :closures, where: "id = 2", times: GARMENTS * OF_EACH, id: "DEFAULT", name: "'Bench ' || n", garment_id: garment)
        copy(db, :buttons, where: "id = (SELECT min(id) FROM buttons)", times: BUTTONS, id: "DEFAULT", words: "DEFAULT",
                           name: "'Bench ' || n")
        db.fetch(SwatchBookBench::FILL, workroom: room, count: SAMPLES).all
        happen(db, room)
        copy(db, :revisions, where: "closure_id = 1 AND number = (SELECT max(number) FROM revisions WHERE closure_id = 1)",
                             times: REVISIONS, number: "number + n", parent: "number + n - 1")
        db.run("ANALYZE garments, closures, buttons, journal, revisions, swatch_book")
      end

      # Steps told and taken back, and notes.
      def happen(db, room)
        db.run(<<~SQL)
          WITH told AS (
            INSERT INTO journal (workroom_id, id, kind, closure_id, step_key, data, happened_at)
            SELECT #{room}, gen_random_uuid(), CASE n % 2 WHEN 0 THEN 'note' ELSE 'step' END, 1,
                   CASE n % 2 WHEN 1 THEN (ARRAY['mark', 'thread', 'needle', 'stay'])[1 + n % 4] END,
                   jsonb_build_object('note', 'Bench ' || n, 'with', '{}'::jsonb), now() - n * interval '1 minute'
              FROM generate_series(1, #{FACTS * 2 / 3}) AS n RETURNING *)
          INSERT INTO journal (workroom_id, id, kind, closure_id, about, data, happened_at)
          SELECT workroom_id, gen_random_uuid(), 'withdrawal', 1, id, '{}', now() FROM told WHERE kind = 'step'
        SQL
      end

      def copy(db, table, where:, times:, **changes)
        kept = db[table].columns - changes.select { |_, value| value == "DEFAULT" }.keys
        values = kept.map { |column| changes[column] || column }
        source = "SELECT #{values.join(', ')} FROM #{table}, generate_series(1, #{times}) AS n WHERE #{where}"
        db.run("INSERT INTO #{table} (#{kept.join(', ')}) #{source}")
      end

      # How long it takes to be told that all is well while eight strips are printed.
      def beside(world)
        waited = nil
        running("DATABASE_URL" => world.cluster.url("nimble_eyelet_test")) do |address|
          ask = ->(path) { Net::HTTP.get_response(URI.join(address, path)) }
          ask.call("/api/health")
          printing = Array.new(8) { |number| Thread.new { ask.call("#{ROOM}/closures/#{number + 1}/strip.pdf") } }
          waited = Array.new(5) { clocked { ask.call("/api/health") } }
          printing.each(&:join)
        end
        puts format("told that all is well beside eight strips in print: %.2f s at most (aim 0.2)", waited.max)
      end

      # Ten thousand requests of all kinds, and what the server holds after the first thousand and after all.
      def memory(world)
        begin_anew
        served = served(world)
        asks = mixed
        first = MIXED / 10
        most = everything? ? SHORT_MIXED : MIXED
        held = [first, most - first].map do |many|
          served.compare(many / asks.size / Served::BLOCK * Served::BLOCK, **asks)
          served.held
        end
        served.close
        puts format("%d mixed requests: %.0f MB held after them (aim 350), %.2f times what was held after the first %d",
                    most, held.last, held.last / held.first, first)
        world.reset
      end

      def mixed
        paths = [*PAGES.values, "#{ROOM}/closures/1/strip.svg"]
        { **paths.to_h { |path| [path.to_sym, ->(http) { http.get(path, SENT) }] },
          **%i[preview save tick line].to_h { |kind| [kind, method(:"ask_#{kind}").to_proc] } }
      end
    end
  end
end
