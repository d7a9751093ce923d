# frozen_string_literal: true

require "socket"
require_relative "../app_helper"

# bin/start as a person runs it, and the database going away under a running server.
class StartTest < AppTest
  BIN = File.expand_path("../../bin/start", __dir__)
  # Long enough for a slow machine; a good start takes a few seconds.
  PATIENCE = 60

  def setup
    @folder = Dir.mktmpdir("nimble-eyelet-start-")
    File.chmod(0o755, @folder)
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @running = []
  end

  def teardown
    @running.each { |io| finish(io, "TERM") }
    Server::Cluster.new("#{@folder}/postgres").stop
    FileUtils.rm_rf(@folder)
  end

  def start(**environment)
    around = { "PORT" => @port.to_s, "NIMBLE_EYELET_VAR" => @folder, "DATABASE_URL" => nil }
    io = IO.popen(around.merge(environment.transform_keys(&:to_s)), [BIN], err: %i[child out])
    @running << io
    io
  end

  def finish(io, signal)
    @running.delete(io)
    Process.kill(signal, io.pid)
    io.read
    Process.wait2(io.pid).last
  rescue Errno::ECHILD
    $CHILD_STATUS
  end

  def until_it_answers(io)
    Timeout.timeout(PATIENCE) { io.each_line { |line| return line if line.include?("http://") } }

    flunk "it ended without an address"
  end

  def ask(path, verb = Net::HTTP::Get, body: nil, seen: nil)
    request = verb.new(path, { "X-Nimble-Eyelet" => "1", "If-Match" => seen && "\"#{seen}\"", "Content-Type" => "application/json" }.compact)
    request.body = body && JSON.generate(body)
    Net::HTTP.start("127.0.0.1", @port) { |http| http.request(request) }
  end

  # Those of our processes that serve as a caliper for this start.
  def calipers(io)
    Dir["/proc/[0-9]*/stat"].filter_map do |file|
      id, parent = File.read(file).sub(/\(.*\)/, "").split.values_at(0, 2).map(&:to_i)
      id if parent == io.pid && File.read("/proc/#{id}/cmdline").include?("caliper.rb")
    rescue Errno::ENOENT, Errno::ESRCH
      next
    end
  end

  def gone?(id) = !File.exist?("/proc/#{id}") || File.read("/proc/#{id}/stat").include?(") Z ")

  def test_the_stand_in_caliper_comes_and_goes_with_it
    io = start
    until_it_answers(io)
    ids = calipers(io)

    assert_equal 1, ids.size
    reading = JSON.parse(ask("/api/workrooms/marsh-walk/caliper/reading", Net::HTTP::Post).body)

    assert_in_delta 18, reading["length"]["mm"], 0.04
    assert_predicate finish(io, "TERM"), :success?
    Timeout.timeout(PATIENCE) { Thread.pass until ids.all? { |id| gone?(id) } }
  end

  def test_a_caliper_can_be_left_out_or_be_another_and_a_large_file_is_refused_unread
    io = start(NIMBLE_EYELET_CALIPER: "none")
    until_it_answers(io)

    refute JSON.parse(ask("/api/workrooms/marsh-walk/caliper").body)["there"]
    assert_equal "413", refused_early(50 * 1024 * 1024)
    finish(io, "TERM")
    another = start(NIMBLE_EYELET_CALIPER: "/dev/no-such-gauge")
    until_it_answers(another)

    assert JSON.parse(ask("/api/workrooms/marsh-walk/caliper").body)["there"]
    silent = ask("/api/workrooms/marsh-walk/caliper/reading", Net::HTTP::Post)

    assert_equal ["503", "The caliper is not connected."], [silent.code, JSON.parse(silent.body)["detail"]]
  end

  # Announces a body and sends none of it: the answer must not wait for it.
  def refused_early(bytes)
    Timeout.timeout(10) do
      Socket.tcp("127.0.0.1", @port) do |line|
        line.write("POST /api/workrooms/marsh-walk/stash/import HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Nimble-Eyelet: 1\r\nContent-Type: text/csv\r\n" \
                   "Content-Length: #{bytes}\r\n\r\n")
        line.gets[/ (\d{3}) /, 1]
      end
    end
  end

  def test_it_starts_stops_cleanly_and_recovers_from_a_kill
    first = start

    assert_includes until_it_answers(first), "http://127.0.0.1:#{@port}"
    assert_equal "200", ask("/api/health").code
    seen = JSON.parse(ask("/api/workrooms/marsh-walk/closures/1").body)["version"]

    assert_equal "200",
                 ask("/api/workrooms/marsh-walk/closures/1/plan", Net::HTTP::Patch, body: { "button.diameter" => "21" },
                                                                                    seen: seen).code
    second = start

    assert_match(/Port #{@port} is taken/, second.read)
    third = start(PORT: (@port + 1).to_s)

    assert_match(%r{another bin/start}, third.read)
    finish(first, "KILL")
    again = start
    until_it_answers(again)

    assert_equal "21 mm", JSON.parse(ask("/api/workrooms/marsh-walk/closures/1").body)["plan"]["button.diameter"]["text"]
    assert_predicate Server::Cluster.new("#{@folder}/postgres"), :running?
    finish(again, "TERM")

    refute_predicate Server::Cluster.new("#{@folder}/postgres"), :running?
  end

  # Others come and go meanwhile.
  def worker_of?(pid, file)
    File.read(file).include?("cluster worker") && parent(file) == pid
  rescue Errno::ENOENT, Errno::ESRCH
    false
  end

  # Each connection may be answered by either process; what one has saved the other says, whatever it remembers.
  def test_two_processes_on_one_database_answer_alike
    io = start(WEB_CONCURRENCY: "2")
    until_it_answers(io)
    workers = Dir["/proc/[0-9]*/cmdline"].count { |file| worker_of?(io.pid, file) }

    assert_equal 2, workers
    seen = JSON.parse(ask("/api/workrooms/marsh-walk/closures/1").body)["version"]
    (19..24).each do |width|
      saved = ask("/api/workrooms/marsh-walk/closures/1/plan", Net::HTTP::Patch, body: { "button.diameter" => width.to_s }, seen: seen)
      seen = JSON.parse(saved.body)["version"]
      shown = Array.new(6) { JSON.parse(ask("/api/workrooms/marsh-walk/closures/1").body) }

      assert_equal([[seen, "#{width} mm"]], shown.map { |found| [found["version"], found["plan"]["button.diameter"]["text"]] }.uniq)
    end
  end

  def parent(file) = File.read(file.sub("cmdline", "stat")).sub(/\(.*\)/, "").split[2].to_i

  def test_nonsense_in_the_environment_is_said_in_one_line
    io = start(PORT: "lots")

    assert_equal ["PORT is a number from 1 to 65535.\n"], io.readlines
    io = start(DATABASE_URL: "postgres://nobody@127.0.0.1:1/nothing")

    assert_match(/\AThe database does not start: .+\n\z/, io.read)
    { { DATABASE_URL: "rubbish" } => "no address of a PostgreSQL", { NIMBLE_EYELET_VAR: "/proc/none" } => "cannot be used",
      { WEB_CONCURRENCY: "many" } => "number of server processes" }.each do |around, why|
      said = start(**around).readlines

      assert_equal 1, said.size, said.join
      assert_includes said.first, why
    end
  end

  def test_the_database_goes_away_and_comes_back
    world.reset
    call(:get, "/api/health")

    assert_status 200
    world.cluster.stop

    assert_equal "away", call(:get, "/api/health")["database"]
    assert_status 503
    closure

    assert_status 503
    assert_equal "2", last_response["retry-after"]
    world.cluster.start

    assert_equal "ok", call(:get, "/api/health")["status"]
    closure

    assert_status 200
  end
end
