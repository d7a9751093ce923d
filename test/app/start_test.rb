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
    App::Cluster.new("#{@folder}/postgres").stop
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

  def ask(path, verb = Net::HTTP::Get, body: nil, revision: 1)
    request = verb.new(path, "X-Nimble-Eyelet" => "1", "If-Match" => "\"#{revision}\"", "Content-Type" => "application/json")
    request.body = body && JSON.generate(body)
    Net::HTTP.start("127.0.0.1", @port) { |http| http.request(request) }
  end

  def test_it_starts_stops_cleanly_and_recovers_from_a_kill
    first = start

    assert_includes until_it_answers(first), "http://127.0.0.1:#{@port}"
    assert_equal "200", ask("/api/health").code
    assert_equal "200", ask("/api/closures/1", Net::HTTP::Patch, body: { button: { diameter: "21" } }).code
    second = start

    assert_match(/Port #{@port} is taken/, second.read)
    third = start(PORT: (@port + 1).to_s)

    assert_match(%r{another bin/start}, third.read)
    finish(first, "KILL")
    again = start
    until_it_answers(again)

    assert_equal "21 mm", JSON.parse(ask("/api/closures/1").body)["plan"]["button"]["diameter"]["text"]
    assert_predicate App::Cluster.new("#{@folder}/postgres"), :running?
    finish(again, "TERM")

    refute_predicate App::Cluster.new("#{@folder}/postgres"), :running?
  end

  def test_nonsense_in_the_environment_is_said_in_one_line
    io = start(PORT: "lots")

    assert_equal ["PORT is a number from 1 to 65535.\n"], io.readlines
    io = start(DATABASE_URL: "postgres://nobody@127.0.0.1:1/nothing")

    assert_match(/\AThe database does not start: .+\n\z/, io.read)
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
