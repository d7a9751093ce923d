# frozen_string_literal: true

require "icalendar"
require_relative "../app_helper"

# A session over the interface: begun, sewn to the end by what is handed out, changed, followed live.
class SessionRoutesTest < AppTest
  def of_machine(name)
    db[:closures].where(machine_id: db[:machines].where(name: name).get(:id)).order(:id).select_map(:id)
  end

  def begin_session(ids) = call(:post, "/api/workroom/sessions", { closures: ids })
  def session(id) = call(:get, "/api/workroom/sessions/#{id}")
  def change(found, body) = call(:patch, "/api/workroom/sessions/#{found['id']}", body, seen(found))
  def seen(found) = { "HTTP_IF_MATCH" => "\"#{found['revision']}\"" }

  # Everything a step hands out, as a screen sends it back.
  def done(found, step, more = {}, at: NOW)
    step["enter"].map do |entry|
      id = SecureRandom.uuid
      with = entry.fetch("with", {}).merge("sitting.id" => found["id"].to_s)
      call(:put, "/api/journal/#{id}",
           { "machine" => found["machine"]["id"], **entry, "with" => with, happened_at: at.iso8601,
             sent_at: NOW.iso8601 }.merge(more))

      assert_status 200
      id
    end
  end

  def test_a_session_is_sewn_to_the_end_by_what_it_hands_out
    ids = of_machine("Avocet")
    found = begin_session(ids)

    assert_status 201
    assert_operator ids.size, :>=, 2
    assert_operator found["order"]["seconds"], :<=, [found["order"]["one_by_one"], found["order"]["by_stages"]].min
    assert_equal([found["id"]], call(:get, "/api/workroom/under-way")["sessions"].map { |one| one["id"] })
    found["steps"].each_with_index { |step, index| done(found, step, at: NOW - 9000 + (index * 40)) }
    after = session(found["id"])

    assert_equal after, call(:get, "/api/workroom/sittings/#{found['id']}"), "by the address of older pages"
    assert_equal [[], []], after.values_at("steps", "ledger")
    assert_empty call(:get, "/api/workroom/under-way")["machines"], "the thread may stay on"
    ids.each { |id| assert_nil closure(id)["sheet"]["sewing"]["next"], "the closure's own page says so too" }
    ended = call(:post, "/api/workroom/sessions/#{found['id']}/ended", nil, seen(after))

    refute_nil ended["ended_at"]
    change(ended, { drying_minutes: 5 })

    assert_status 412
    assert_operator begin_session(ids)["id"], :>, found["id"], "another can be begun"
  end

  # A step that is done just then counts for its closure and for the machine, or for neither.
  def test_what_is_done_while_a_session_is_read_is_in_it_whole_or_not_at_all
    found = begin_session(of_machine("Avocet"))
    step = found["steps"].find { |one| one["key"] == "needle" }
    find = Store::Closures.instance_method(:find)
    meanwhile = Thread.method(:new)
    doing = -> { meanwhile.call { done(found, step) }.join }
    between = [doing]
    Store::Closures.define_method(:find) { |id| find.bind_call(self, id).tap { between.shift&.call } }
    read = Store::Sessions.new(workroom, now: NOW).find(found["id"]).session

    refute read.ledger.state.key?("needle"), "it was not so when the closures were read"
    assert_includes read.steps.map { |one| one.step.key }, "needle"
    assert(session(found["id"])["ledger"].any? { |part| part["key"] == "needle" })
  ensure
    Store::Closures.define_method(:find, find)
  end

  # What a session was composed of before is said again only as long as it is still so, whatever is changed.
  def test_a_remembered_session_is_the_one_that_would_be_composed_now
    at = NOW
    @app = world.app(clock: -> { at })
    found = begin_session(of_machine("Avocet"))
    known = -> { session(found["id"]) }
    fresh = -> { JSON.parse(JSON.generate(View::SessionView.of(Store::Sessions.new(workroom, now: at).find(found["id"]), at))) }
    heard = CHANGES.map do |name, doing|
      before = known.call
      instance_exec(before, &doing)
      after = known.call

      assert_status 200
      assert_empty(fresh.call.filter_map { |key, value| [key, value, after[key]] if after[key] != value }, name.to_s)
      refute_equal before, after, name.to_s
      after
    end

    assert_equal heard.last, known.call
    at += 59

    assert_equal heard.last.except("told_at"), known.call.except("told_at")
    assert_equal (NOW + 59).iso8601, known.call["told_at"]
    at += 60

    assert_equal fresh.call, known.call, "its moments count from the minute it is read in"
  end

  CHANGES = {
    plan: ->(read) { save({ button: { diameter: "13" } }, id: read["closures"].first["id"]) },
    garment: lambda do |read|
      of = db[:closures].where(id: read["closures"].first["id"]).get(:garment_id)
      call(:patch, "/api/garments/#{of}", { name: "another name" })
    end,
    machine: lambda { |read|
      db[:machines].where(id: read["machine"]["id"]).update(name: "Avocet of the kitchen", revision: 9)
    },
    drying: ->(read) { change(read, { drying_minutes: 75 }) },
    costs: ->(read) { change(read, { costs: { "needle" => 300 } }) },
    a_step: ->(read) { done(read, read["steps"].first) },
    deleted: ->(read) { act(:delete, "", id: read["closures"].last["id"]) }
  }.freeze

  def test_what_was_done_last_can_be_taken_back_whole
    found = begin_session([SMOCK])
    first = found["steps"].first
    entries = done(found, first)

    assert_equal entries.sort, session(found["id"])["last"]["entries"].sort
    entries.each do |about|
      call(:put, "/api/journal/#{SecureRandom.uuid}",
           { kind: "withdrawal", about: about, happened_at: NOW.iso8601, sent_at: NOW.iso8601 })
    end

    assert_equal first["id"], session(found["id"])["steps"].first["id"]
  end

  def test_a_session_goes_into_a_calendar
    found = begin_session(of_machine("Avocet"))
    call(:get, "/api/workroom/sessions/#{found['id']}/session.ics?at=2026-12-01T14:00")

    assert_status 200
    events = Icalendar::Calendar.parse(last_response.body).first.events
    sewing = events.first

    assert_equal "Buttonholes at Avocet", sewing.summary
    assert_equal "2026-12-01 14:00", sewing.dtstart.strftime("%F %H:%M")
    assert_in_delta found["forecast"]["seconds"], (sewing.dtend.to_time - sewing.dtstart.to_time), 300
    waits = found["order"]["moments"].select { |one| one["kind"] == "wait" && one["to"] - one["from"] >= 600 }

    assert_equal(waits.map { |one| one["from"] }, events.drop(1).map do |one|
      (one.dtstart.to_time - sewing.dtstart.to_time).round
    end)
    found["kit"].flat_map { |kind| kind["items"] }.each { |item| assert_includes sewing.description, item["name"] }
    %w[soon 2026-13-40T14:00].each do |at|
      call(:get, "/api/workroom/sessions/#{found['id']}/session.ics?at=#{at}")

      assert_status 422
    end
  end

  def test_what_goes_on_is_told_shortly_on_every_page
    assert_empty call(:get, "/api/workroom/sessions")
    found = begin_session(of_machine("Avocet").first(1))
    needle = found["steps"].find { |step| step["key"] == "needle" }
    done(found, needle)
    open = call(:get, "/api/workroom/sessions")

    assert_equal([[found["id"], "Avocet", ["needle"]]], open.map do |one|
      [one["id"], one["machine"], one["ledger"].map do |entry|
        entry["name"]
      end]
    end)
    call(:post, "/api/workroom/sessions/#{found['id']}/ended", nil, seen(found))

    assert_empty call(:get, "/api/workroom/sessions")
    assert_equal ["Avocet"], call(:get, "/api/workroom/under-way")["machines"].map { |one|
      one["name"]
    }, "what is set stays known"
  end

  def test_the_way_somebody_wants_it
    ids = of_machine("Avocet")
    found = begin_session(ids)
    wish = ids.flat_map do |id|
      found["order"]["blocks"].select do |closure, _|
        closure == id
      end.map { |_, block| { closure: id, block: block } }
    end
    wished = change(found, { wish: wish })

    assert_equal(wish.map { |one| one[:closure] }, wished["order"]["blocks"].map(&:first))
    assert_operator wished["order"]["wish_costs"], :>=, 0
    slow = change(wished, { wish: [], costs: { "needle" => 600 }, drying_minutes: 90 })

    refute slow["order"]["wished"]
    assert_operator slow["order"]["seconds"], :>, found["order"]["seconds"]
    assert_equal 600, slow["costs"].find { |one| one["part"] == "needle" }["seconds"]
    assert_equal(ids.first(1), change(slow, { closures: ids.first(1) })["closures"].map { |one| one["id"] })
    change(found, { drying_minutes: 5 })

    assert_status 412
    change(session(found["id"]), { wish: [{ closure: ids[0], block: "row" }] * 9 })

    assert_status 200
    begin_session((1..7).to_a)

    assert_status 400
    problem = change(session(found["id"]), { costs: { "lamp" => 3 } })

    assert_equal [422, "session.costs.lamp"], [last_response.status, problem["faults"].first["field"]]
  end

  def test_what_cannot_be_sewn_in_one_go_is_refused_in_words
    begin_session(of_machine("Avocet").first(1) + of_machine("Lapwing").first(1))

    assert_status 422
    assert_match(said("diagnosis.another_machine"), last_response.body)
    begin_session([99_999])

    assert_status 404
    begin_session([SMOCK])
    begin_session([SMOCK])

    assert_status 422
    assert_match(/goes on already/, last_response.body)
    tick("foot")
    save({ placket: { count: "19" } })
    save({ button: { diameter: "30" } })
    found = call(:get, "/api/workroom/sessions/#{db[:sittings].max(:id)}")

    assert_status 200
    assert_match(/\w/, found["closures"].first["waits"], "its holes do not fit by now")
    assert_equal %w[back-foot], found["steps"].map { |step| step["key"] }, "and the machine is put back all the same"
  end

  # A mishap is told with what was measured; its way out comes first, and the plan follows.
  def test_a_mishap_inserts_its_way_out_and_changes_the_hole
    found = begin_session([SMOCK])
    upto = found["steps"].index { |step| step["key"].start_with?("open-at") }
    found["steps"].first(upto).each_with_index { |step, index| done(found, step, at: NOW - 8000 + (index * 30)) }
    step = session(found["id"])["steps"].first
    mishap = found["mishaps"].find { |row| row["key"] == "tack_cut" }
    id = SecureRandom.uuid
    enter({ kind: "mishap", closure: SMOCK, machine: found["machine"]["id"], step: step["key"], at: step["hole"].to_s,
            with: { "mishap.what" => "tack_cut", "sitting.id" => found["id"].to_s } }, id: id)

    assert_status 200
    after = session(found["id"])["steps"]

    told = mishap["steps"].map { |one| one.slice("key", "part", "does", "caution", "asks") }

    assert_equal(told.map { |one| one.merge("key" => one["key"].sub("{id}", id[0, 8])) },
                 after.first(told.size).map { |one| one.slice("key", "part", "does", "caution", "asks") },
                 "as it was given out")
    assert_equal ["rescue-#{id[0, 8]}-1", "rescue", id[0, 8]], after.first.values_at("key", "name", "rescue")
    last = after[mishap["steps"].size - 1]

    assert_equal "slit", last["asks"]
    after.first(mishap["steps"].size - 1).each { |one| done(found, one) }
    done(found, last, { "kind" => "hole_sewn", "measured" => "30" })

    assert_equal step["id"], session(found["id"])["steps"].first["id"]
    assert_in_delta(30.0, closure["sheet"]["placket"]["holes"].find do |hole|
      hole["at"]["mm"] == step["hole"]
    end["opening"]["mm"])
    custom_request("POST", "/api/garments/import", {},
                   HEADERS.merge("CONTENT_TYPE" => "application/json", input: JSON.generate(call(:get, "/api/garments/1/file"))))
    facts = Store::Closures.new(workroom).find(db[:closures].where(garment_id: db[:garments].max(:id)).min(:id)).facts

    assert_status 201
    assert facts.steps.key?("rescue-#{facts.mishaps.first.id[0, 8]}-1"), "taken in elsewhere, what was done is done"
    enter({ kind: "mishap", with: { "mishap.what" => "lunch" } })

    assert_status 422
    assert_match(/Went wrong: The tack is cut through/,
                 call(:get, "/api/closures/1/journal")["lines"].map { |line| line["says"] }.join(" "))
  end
end
