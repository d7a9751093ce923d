# frozen_string_literal: true

require "socket"
require_relative "../app_helper"
require_relative "../../app/server/start"
require_relative "../support/torture"

# bin/start as a person runs it, and the database going away under a running server.
class StartTest < AppTest
  BIN = File.expand_path("../../bin/start", __dir__)
  # Seconds before something is taken for hung; a good start takes a few.
  PATIENCE = 600

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

  # @param words [Array<String>] of the command
  def start(*words, **environment)
    around = { "PORT" => @port.to_s, "NIMBLE_EYELET_VAR" => @folder, "DATABASE_URL" => nil }
    io = IO.popen(around.merge(environment.transform_keys(&:to_s)), [BIN, *words], err: %i[child out])
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
    request = verb.new(path, { "X-Nimble-Eyelet" => "1", "If-Match" => seen && "\"#{seen}\"",
                               "Content-Type" => "application/json" }.compact)
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

  # One life of a server: its caliper, its port, its folder; killed, started again as two processes without a caliper,
  # stopped.
  def test_it_starts_recovers_from_a_kill_and_stops_cleanly
    first = start

    assert_includes until_it_answers(first), "http://127.0.0.1:#{@port}"
    assert_equal "200", ask("/api/health").code
    ids = calipers(first)

    assert_equal 1, ids.size
    assert_in_delta 18, JSON.parse(ask("#{HOME}/caliper/reading", Net::HTTP::Post).body)["length"]["mm"], 0.04
    saved(seen, 21)

    assert_match(/Port #{@port} is taken/, start.read)
    assert_match(%r{another bin/start}, start(PORT: (@port + 1).to_s).read)
    wrong = torture.interrupted { [database, first.pid].each { |id| Process.kill("KILL", id) } }
    finish(first, "KILL")
    Timeout.timeout(PATIENCE) { Thread.pass until ids.all? { |id| gone?(id) } }
    again = start(WEB_CONCURRENCY: "2", NIMBLE_EYELET_CALIPER: "none")
    until_it_answers(again)

    assert_empty wrong.call, "it has what was confirmed"
    refute JSON.parse(ask("#{HOME}/caliper").body)["there"]
    assert_equal "413", refused_early(50 * 1024 * 1024)
    assert_two_processes_answer_alike(again)
    assert_predicate Server::Cluster.new("#{@folder}/postgres"), :running?
    assert_predicate finish(again, "TERM"), :success?
    refute_predicate Server::Cluster.new("#{@folder}/postgres"), :running?
  end

  # The house's network is let in only where somebody can sign in, and over TLS.
  def test_it_is_shared_when_there_is_an_account
    alone = start("--share")

    assert_includes alone.read, "Make the first account with bin/account"
    refute_predicate finish(alone, "TERM"), :success?
    around = { "NIMBLE_EYELET_VAR" => @folder, "DATABASE_URL" => nil }
    made = IO.popen(around, [File.expand_path("../../bin/account", __dir__)], "r+", err: %i[child out]) do |io|
      io.write("Ana\nana@marsh.example\nreed bunting at dawn\n")
      io.close_write
      io.read
    end

    assert_includes made, "You have an account now."
    shared = start("--share", HOST: "127.0.0.2")
    Timeout.timeout(PATIENCE) { shared.each_line { |line| break if line.include?("https://127.0.0.2:#{@port}") } }
    fingerprint = Timeout.timeout(PATIENCE) { shared.each_line.find { |line| line.match?(/\A(\h\h:){31}\h\h\Z/) } }
    http = Net::HTTP.new("127.0.0.2", @port)
    http.use_ssl = true
    http.verify_mode = OpenSSL::SSL::VERIFY_NONE
    http.start do |line|
      assert_equal Digest::SHA256.hexdigest(line.peer_cert.to_der).upcase, fingerprint.strip.delete(":")
      assert_equal "401", line.get("/api/workrooms").code
      assert_equal [true, "nobody"], JSON.parse(line.get("/api/account").body).values_at("asks", "kind")
    end
  end

  def test_a_caliper_that_is_not_connected_says_so
    @app = world.app(caliper: Device::Gauge.at("/dev/no-such-gauge"))

    assert call(:get, "/api/workroom/caliper")["there"]
    assert_equal "The caliper is not connected.", call(:post, "/api/workroom/caliper/reading")["detail"]
    assert_status 503
  end

  # The long one is bin/torture.
  def torture = NimbleEyelet::Support::Torture.new(@folder, Random.new(20_261_127), port: @port)
  def database = File.foreach("#{@folder}/postgres/postmaster.pid").first.to_i

  def seen = shown.first
  def shown = JSON.parse(ask("#{HOME}/closures/1").body).then { |found| [found["version"], found["plan"]["button.diameter"]["text"]] }

  # @return [String] the version it has then
  def saved(seen, width)
    answer = ask("#{HOME}/closures/1/plan", Net::HTTP::Patch, body: { "button.diameter" => width.to_s }, seen: seen)

    assert_equal "200", answer.code, answer.body
    JSON.parse(answer.body)["version"]
  end

  # Announces a body and sends none of it: the answer must not wait for it.
  def refused_early(bytes)
    Timeout.timeout(PATIENCE) do
      Socket.tcp("127.0.0.1", @port) do |line|
        line.write("POST /api/workrooms/marsh-walk/stash/import HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Nimble-Eyelet: 1\r\n" \
                   "Content-Type: text/csv\r\n" \
                   "Content-Length: #{bytes}\r\n\r\n")
        line.gets[/ (\d{3}) /, 1]
      end
    end
  end

  # Others come and go meanwhile.
  def worker_of?(pid, file)
    File.read(file).include?("cluster worker") && parent(file) == pid
  rescue Errno::ENOENT, Errno::ESRCH
    false
  end

  # Each connection may be answered by either process; what one has saved the other says, whatever it remembers.
  def assert_two_processes_answer_alike(server)
    assert_equal(2, Dir["/proc/[0-9]*/cmdline"].count { |file| worker_of?(server.pid, file) })
    version = seen
    (19..22).each do |width|
      version = saved(version, width)

      assert_equal [[version, "#{width} mm"]], Array.new(6) { shown }.uniq
    end
  end

  def parent(file) = File.read(file.sub("cmdline", "stat")).sub(/\(.*\)/, "").split[2].to_i

  def test_nonsense_in_the_environment_is_said_in_one_line
    assert_equal ["PORT is a number from 1 to 65535.\n"], start(PORT: "lots").readlines
    { { "DATABASE_URL" => "postgres://nobody@127.0.0.1:1/nothing" } => /\AThe database does not start: /,
      { "DATABASE_URL" => "rubbish" } => /no address of a PostgreSQL/, { "NIMBLE_EYELET_VAR" => "/proc/none" } => /cannot be used/,
      { "WEB_CONCURRENCY" => "many" } => /number of server processes/ }.each do |around, why|
      status = nil
      _, said = capture_io { status = Server::Start.new({ "PORT" => @port.to_s, "NIMBLE_EYELET_VAR" => @folder, **around }).run }

      assert_equal [1, 1], [status, said.lines.size], said
      assert_match why, said
    end
  ensure
    %w[INT TERM].each { |signal| trap(signal, "DEFAULT") }
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
