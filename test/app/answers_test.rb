# frozen_string_literal: true

require_relative "../app_helper"

# What is remembered of an answer is never shown when it could be another by now.
class AnswersTest < AppTest
  PAGES = %w[/api/closures/1 /api/garments/1 /api/workroom /api/machines/4 /api/under-way /api/shelves/stabilisers /api/stash
             /api/picks/cloth].freeze

  # Everything that anything on the page of a closure hangs on.
  CHANGES = {
    "a field" => -> { save({ button: { thickness: "3.2" } }) },
    "an undo" => -> { act(:post, "undo") },
    "a step done" => -> { tick("needle") },
    "a fact taken back" => lambda {
      id = SecureRandom.uuid
      enter(step("mark").fetch("enter").merge("machine" => 4), id: id)
      enter({ kind: "withdrawal", about: id, closure: nil }.compact)
    },
    "a test hole" => -> { log_swatch({ passes: "passes", measured: "22.5" }) },
    "a habit" => -> { change_workroom({ habits: { "placket.edge" => "six" } }) },
    "the unit" => -> { change_workroom({ unit: "in" }) },
    "the drawer" => -> { change_workroom({ stabilisers: %w[tear_away] }) },
    "the shelf of stabilisers" => lambda {
      call(:post, "/api/shelves/stabilisers", { name: "rinsing film", kind: "wash_film", weight: "30" })
    },
    "the machine" => lambda {
      found = call(:get, "/api/machines/4")
      body = found.slice("styles", "feet", "facts").merge("facts" => found["facts"].merge("foot_lift" => "7mm"))
      call(:put, "/api/machines/4", body, "HTTP_IF_MATCH" => "\"#{found['revision']}\"")
    }
  }.freeze

  # Asked for one stage, a closure says of the whole what that stage shows, and nothing else of it otherwise.
  def test_a_stage_is_answered_with_its_part_of_the_whole
    known = YAML.safe_load_file(Http::Web::DESCRIPTION).dig("components", "schemas")
    [1, 8, 12].each do |id|
      whole = closure(id)

      { "Sheet" => [], "SheetOpening" => %w[opening], "SheetRecipe" => %w[recipe], "OtherWays" => %w[recipe ways] }.each do |schema, at|
        assert_equal known.dig(schema, "properties").keys.sort, whole.dig("sheet", *at).keys.sort, "the whole has all of #{schema}"
      end
      View::ClosureView::LOOKED_AT.each do |word, looked_at|
        part = call(:get, "/api/closures/#{id}?station=#{word}")

        assert_equal [word, nil], [part["station"], whole["station"]]
        assert_equal whole.except("station", "sheet"), part.except("station", "sheet")
        assert_part_of whole["sheet"], part["sheet"], "#{id} #{word}"
        assert_equal whole["sheet"].slice(*looked_at), part["sheet"].slice(*looked_at), "#{id} #{word}"
      end
      call(:get, "/api/closures/#{id}?station=lamp")

      assert_status 404
    end
  end

  def assert_part_of(whole, part, about)
    part.each do |name, value|
      both = value.is_a?(Hash) && whole[name].is_a?(Hash)
      both ? assert_part_of(whole[name], value, about) : assert_equal([whole.fetch(name)], [value], "#{about} #{name}")
    end
  end

  def test_after_every_change_the_answer_is_that_of_a_server_that_remembers_nothing
    CHANGES.each do |what, change|
      before = PAGES.to_h { |path| [path, [call(:get, path), last_response.headers["etag"]]] }
      instance_exec(&change)

      assert_operator last_response.status, :<, 300, "#{what}: #{last_response.body}"
      before.each { |path, (answer, tag)| assert_equal fresh(path), again(path, tag) || answer, "#{what}: #{path}" }
    end
  end

  def test_who_has_the_answer_already_is_told_so_and_it_is_sent_packed
    call(:get, "/api/closures/1")
    plain = last_response.body
    tag = last_response.headers["etag"]
    custom_request("GET", "/api/closures/1", {}, HEADERS.merge("HTTP_IF_NONE_MATCH" => tag))

    assert_equal [304, ""], [last_response.status, last_response.body]
    custom_request("GET", "/api/closures/1", {}, HEADERS.merge("HTTP_ACCEPT_ENCODING" => "gzip"))

    assert_equal ["gzip", plain], [last_response.headers["content-encoding"], Zlib.gunzip(last_response.body).force_encoding(Encoding::UTF_8)]
    custom_request("GET", "/api/catalogue", {}, HEADERS.merge("HTTP_ACCEPT_ENCODING" => "gzip"))

    assert_equal "gzip", last_response.headers["content-encoding"]
    custom_request("GET", "/api/health", {}, HEADERS.merge("HTTP_ACCEPT_ENCODING" => "gzip"))

    refute last_response.headers["content-encoding"], "what is short is not packed"
  end

  # Two things that are alike are two; the same thing with something else beside it is another answer.
  def test_what_is_remembered_by_itself_is_no_other_thing
    memo = Memo.new(10)
    one, other = Array.new(2) { +"the same words" }
    ask = ->(thing, unit) { memo.of(Memo::Itself.new(thing, unit)) { Object.new } }
    known = ask.call(one, :mm)

    assert_same known, ask.call(one, :mm)
    [ask.call(other, :mm), ask.call(one, :in)].each { |found| refute_same known, found }
    assert_equal 3, memo.size
  end

  def test_what_is_remembered_is_as_what_is_made_anew_and_the_oldest_is_forgotten
    memo = Memo.new(5)
    closures = Store::Closures.new(workroom)
    [*1..9, 3, 9].each do |id|
      closure = closures.find(id)
      plan = closure.plan.in(closure.house)
      made = 0
      sheet = -> { memo.of([plan, closure.facts]) { (made += 1) && Sheet.of(plan, closure.facts) } }

      assert_equal Sheet.of(plan, closure.facts), sheet.call
      assert_same sheet.call, memo.of([closures.find(id).plan.in(closure.house), closures.find(id).facts]) {
        flunk
      }, "the same by value"
      memo.of([plan.changed("button.thickness" => Length.mm(4.2)), closure.facts]) { made += 1 }

      assert_operator made, :<=, 2
      assert_operator memo.size, :<=, 5
    end
  end

  private

  # Nothing when what was told before still holds.
  def again(path, tag)
    custom_request("GET", path, {}, HEADERS.merge("HTTP_IF_NONE_MATCH" => tag))
    last_response.status == 304 ? nil : JSON.parse(last_response.body)
  end

  def fresh(path)
    JSON.parse(Rack::MockRequest.new(world.app(clock: -> { NOW })).get(at(path), HEADERS).body)
  end

  def change_workroom(body)
    call(:patch, "/api/workroom", body, "HTTP_IF_MATCH" => "\"#{call(:get, '/api/workroom')['revision']}\"")
  end
end
