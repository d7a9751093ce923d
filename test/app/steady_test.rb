# frozen_string_literal: true

require_relative "../app_helper"

# What goes wrong around the application harms nothing that was kept, and is said in words.
class SteadyTest < AppTest
  # Like the application's own, only less patient.
  SHORT = { statement_timeout: 2000, lock_timeout: 150, idle_in_transaction_session_timeout: 2000 }.freeze

  def url = world.cluster.url("nimble_eyelet_test")

  def with_app(**options)
    own = Store::Database.connect(url, limits: SHORT)
    aside = Store::Database.aside(url)
    @app = world.app(clock: -> { NOW })
    @app = Http::Web.application(db: own, aside: aside, log: nil, **options)
    yield
  ensure
    @app = nil
    [own, aside].each(&:disconnect)
  end

  def test_a_table_that_is_locked_is_waited_for_only_so_long_and_health_not_at_all
    with_app do
      seen = match
      db.transaction do
        db.run("LOCK TABLE closures IN ACCESS EXCLUSIVE MODE")
        call(:patch, "/api/closures/1/plan", { "button.diameter" => "21" }, seen)

        assert_status 503
        assert_includes JSON.parse(last_response.body)["detail"], "did not answer in time"
        assert_equal "ok", call(:get, "/api/health")["status"]
      end
      call(:patch, "/api/closures/1/plan", { "button.diameter" => "21" }, seen)

      assert_status 200
    end
  end

  def test_too_many_at_once_are_sent_away_but_health_answers
    inside = Queue.new
    go = Queue.new
    waiting = lambda do |env|
      if env["PATH_INFO"] == "/api/workrooms"
        inside << true
        go.pop
      end
      [200, {}, []]
    end
    crowd = Http::Guards::Crowd.new(waiting)
    most = Http::Guards::Crowd::MOST
    threads = Array.new(most) { Thread.new { crowd.call({ "PATH_INFO" => "/api/workrooms" }) } }
    most.times { inside.pop }

    assert_equal 503, crowd.call({ "PATH_INFO" => "/api/workrooms" }).first
    assert_equal 200, crowd.call({ "PATH_INFO" => "/api/health" }).first
    assert_equal 200, crowd.call({ "PATH_INFO" => "/assets/a.js" }).first, "files are there for all"
    most.times { go << true }
    threads.each(&:join)
    go << true

    assert_equal 200, crowd.call({ "PATH_INFO" => "/api/workrooms" }).first, "there is room again"
  end

  # Eight at once, two hundred saves: each that is taken rests on the one before it, and no other.
  def test_contended_saves_lose_nothing_unseen
    call(:get, "/api/closures/1")
    taken = Queue.new
    refused = Queue.new
    Array.new(8) { |who| Thread.new { contend(who, taken, refused) } }.each(&:join)
    chain = Array.new(taken.size) { taken.pop }.sort_by { |seen, _, _| seen }

    assert_equal 200, chain.size + refused.size
    assert_equal (1..chain.size).to_a, chain.map(&:first), "each took another version"
    kept = db[:revisions].where(closure_id: 1).order(:number).select_map(:changes).drop(1)

    assert_equal(chain.map { |_, _, text| text }, kept.map { |changes| changes.to_a[0]["to"] })
    assert_operator chain.size, :>, 10
  end

  def contend(who, taken, refused)
    session = Rack::MockRequest.new(app)
    25.times do |turn|
      seen = db[:closures].where(id: 1).get(:version)
      text = (20 + who + (turn/1000r)).to_f.to_s
      sent = HEADERS.merge("HTTP_IF_MATCH" => "\"#{db[:identity].get(:id)}.#{seen}\"", "CONTENT_TYPE" => "application/json",
                           input: JSON.generate("button.diameter" => text))
      answer = session.patch("#{HOME}/closures/1/plan", sent)
      if answer.status == 200
        taken << [seen, who, text.to_r.then do |number|
          Field.decimal(number)
        end]
      else
        refused << answer.status
      end
    end
  end

  def test_what_cannot_be_kept_is_said_at_its_field
    ["0.0004", "0.0000001"].each do |text|
      found = save({ "button.diameter" => text })

      assert_status 422
      assert_equal(["button.diameter"], found["faults"].map { |fault| fault["field"] })
    end
    row = { "from" => "10.00000001", "to" => "10.00000002" }
    call(:patch, "/api/closures/1/plan", { "placket.keep_outs" => { "a" => row } }, match)

    assert_status 422
    failure = Http::DatabaseFailure.of(refusal_of { db[:closures].where(id: 1).update(button_diameter_mm: -1) })

    assert_equal [422, "button.diameter"], [failure.status, failure.field]
    assert_equal 422, Http::DatabaseFailure.of(refusal_of { db[:closures].where(id: 1).update(position: 2**40) }).status
    full = Sequel::DatabaseError.new("").tap { |error| error.wrapped_exception = PG::DiskFull.new }

    assert_includes Http::DatabaseFailure.of(full).says, "full"
  end

  def refusal_of(&) = assert_raises(Sequel::DatabaseError, &)

  def test_addresses_nobody_should_ask_for
    { "/~root" => 200, "/%00" => 400, "/.stamp" => 200, "/assets/../.stamp" => 200,
      "/api/closures/1e308" => 404 }.each do |path, status|
      custom_request("GET", path, {}, HEADERS)

      assert_equal status, last_response.status, path
      refute_match(/\A\h{40,}/, last_response.body, "#{path}: nothing hidden")
    end
    custom_request("GET", "/api/health", {}, HEADERS.merge("HTTP_HOST" => "[::1]:4567"))

    assert_status 200
  end

  def test_a_log_that_cannot_be_written_harms_no_answer
    full = Object.new.tap { |out| out.define_singleton_method(:puts) { |*| raise Errno::ENOSPC } }
    [full, IO.pipe.last.tap(&:close)].each do |out|
      answer = Rack::MockRequest.new(Http::Web.application(db: db, log: out)).get("/api/health", HEADERS)

      assert_equal 200, answer.status
    end
  end
end
