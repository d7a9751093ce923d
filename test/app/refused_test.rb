# frozen_string_literal: true

require_relative "../app_helper"

# What a person, or anything else, may send that cannot be taken.
class RefusedTest < AppTest
  LENGTH_FIELDS = ClosureFields::ALL.select { |field| field.kind == :length }.map(&:path).freeze

  def change(path, typed)
    { path => typed }
  end

  def test_every_length_refuses_what_is_none_and_what_is_out_of_range
    LENGTH_FIELDS.each do |path|
      ["abc", "NaN", "1e308", "3/0", "99999", "-99999", "½½"].each { |typed| assert_refused path, change(path, typed) }
    end

    LENGTH_FIELDS.reject do |path|
      ClosureFields.fetch(path).optional
    end.each { |path| assert_refused path, change(path, "\u0000") }
    (LENGTH_FIELDS - %w[opening.correction]).each { |path| assert_refused path, change(path, "-1") }
  end

  def test_every_other_field_refuses_what_it_cannot_take
    { "cloth.layers" => ["0", "13", "two", "1.5", ""], "cloth.weight" => %w[1 9999], "cloth.stretch" => ["-1", "500"],
      "thread.tex" => %w[0 1000 thick], "placket.count" => %w[0 61 many], "recipe.tension" => ["-1", "99", "high"],
      "recipe.needle_size" => %w[12 999], "attach.stitches" => %w[0 100], "button.shape" => ["hexagon", ""],
      "button.name" => ["x" * 81], "closure.name" => ["", "  ", "x" * 81], "recipe.style" => ["fancy"] }.each do |path, typed|
      typed.each { |text| assert_refused path, change(path, text) }
    end
  end

  def test_things_that_do_not_go_together
    assert_refused "button.thickness", change("button.thickness", "19")
    assert_refused "button.hole_spacing", change("button.hole_spacing", "17")
    assert_refused "placket.count", change("placket.count", "60")
    assert_refused "placket.last", { placket: { first: "400", last: "300" } }
    assert_refused "placket.pins.t1.at", { placket: { pins: [{ at: "700" }] } }
    assert_refused "placket.pins.t1.at", { placket: { pins: [{ at: "here" }] } }
    assert_refused "placket.pins", { placket: { pins: Array.new(30) { |at| { at: (at + 20).to_s } } } }
    assert_refused "placket.keep_outs.t1.to", { placket: { keep_outs: [{ from: "200", to: "100" }] } }
    assert_refused "machine.id", { machine: { id: 999 } }
    # All faults at once, with what was typed.
    problem = save({ button: { diameter: "wide", thickness: "-2" } })

    assert_equal(%w[button.diameter], problem["faults"].map { |fault| fault["field"] })
    assert_equal "wide", problem["faults"][0]["given"]
  end

  def test_corner_points_of_a_button
    { "0 0, 5 5" => "At least 3", "0 0, 10 10, 10 0, 0 10" => "crosses itself", "0 0, 1 1, 2 2" => "one line",
      "<svg>" => "At least 3", Array.new(10_000) { |at| "#{at % 90} #{at / 90}" }.join(", ") => "at most 500" }.each do |typed, why|
      assert_refused "button.outline", change("button.outline", typed)
      assert_includes JSON.parse(last_response.body)["detail"], why
    end
    call(:patch, "/api/workroom", { unit: "in" }, "HTTP_IF_MATCH" => '"1"')
    db[:closures].update(unit: "in")
    found = save({ button: { shape: "polygon", outline: "0 0, 1 0, 1 0.5, 0 0.5" } })

    assert_equal "0 0, 1 0, 1 0.5, 0 0.5", found["plan"]["button.outline"]
    assert_equal "1/2 in", found["sheet"]["button"]["smallest"]["text"]
    assert_equal 4, found["sheet"]["button"]["face"].size
  end

  def test_a_button_that_no_longer_fits_its_run_is_saved_and_said
    save({ placket: { count: "19" } })

    assert_status 200
    found = save({ button: { diameter: "30" } })

    assert_status 200
    assert_nil found["sheet"]["placket"]
    assert_equal(["placket.count"], found["sheet"]["faults"].map { |fault| fault["field"] })
    assert_nil found["sheet"]["sewing"]
    call(:get, "/api/closures/1/strip.pdf")

    assert_status 422
  end

  def test_what_is_not_json_or_not_as_described
    ["{", "[1]", "\xFF\xFE", "{\"button.diameter\": {}}", "{\"button.diameter\": 18}", "{\"nonsense\": \"x\"}", "null", "{}",
     "{\"button.colour\": \"red\"}", "{\"placket.pins\": []}", "[" * 5000].each do |body|
      call(:patch, "/api/closures/1/plan", body, match)

      assert_status 400
    end
    enter({ kind: "swatch", passes: "perhaps" })

    assert_status 400
  end

  def test_unknown_things
    %w[/api/closures/999 /api/closures/99999999999999999999 /api/closures/abc /api/closures/-1 /api/nowhere
       /api/closures/999/history /api/closures/999/strip.pdf].each do |path|
      call(:get, path)

      assert_status 404
    end
    act(:post, "history/77")

    assert_status 404
    call(:delete, "/api/closures/999", nil, match)

    assert_status 404
  end

  def test_saves_need_the_revision_seen
    call(:patch, "/api/closures/1/plan", { "button.diameter" => "20" })

    assert_status 428
    first = match
    save({ button: { diameter: "20" } })
    problem = call(:patch, "/api/closures/1/plan", { "button.diameter" => "21" },
                   "HTTP_IF_MATCH" => first["HTTP_IF_MATCH"])

    assert_status 412
    assert_equal "20 mm", problem["current"]["plan"]["button.diameter"]["text"]
    ['"0"', "nonsense", '"99999999999"', "*"].each do |tag|
      call(:post, "/api/closures/1/undo", nil, "HTTP_IF_MATCH" => tag)

      assert_status 412
    end
  end

  def test_two_saves_of_one_revision_at_once_leave_one
    seen = match
    statuses = Array.new(4) do |number|
      Thread.new do
        session = Rack::MockRequest.new(app)
        wider = { "CONTENT_TYPE" => "application/json", input: JSON.generate("button.diameter" => (20 + number).to_s) }
        session.patch("#{HOME}/closures/1/plan", HEADERS.merge(seen, wider)).status
      end
    end.map(&:value)

    assert_equal [200, 412, 412, 412], statuses.sort
    assert_equal 2, db[:revisions].where(closure_id: 1).count
  end

  def test_too_much_at_once
    call(:patch, "/api/closures/1/plan", "{\"button.name\": \"#{'x' * 300_000}\"}", match)

    assert_status 413
    # Not announced either.
    env = Rack::MockRequest.env_for("#{HOME}/closures/1/plan", method: "PATCH", input: "x" * 300_000)
                           .merge(HEADERS).merge("CONTENT_TYPE" => "application/json").except("CONTENT_LENGTH")

    assert_equal 413, app.call(env).first
  end

  def test_only_our_own_pages_may_write
    body = JSON.generate("button.diameter" => "20")
    json = { "CONTENT_TYPE" => "application/json", input: body }.merge(match)
    { HEADERS.except("HTTP_X_NIMBLE_EYELET") => 403, HEADERS.merge("HTTP_ORIGIN" => "http://elsewhere.example") => 403,
      HEADERS.merge("HTTP_HOST" => "elsewhere.example") => 403,
      HEADERS.merge("HTTP_ORIGIN" => "http://127.0.0.1") => 200 }.each do |headers, status|
      custom_request("PATCH", "/api/closures/1/plan", {}, headers.merge(json))

      assert_status status
    end
    custom_request("PATCH", "/api/closures/1/plan", {}, HEADERS.merge(match).merge("CONTENT_TYPE" => "text/plain", input: body))

    assert_status 415
  end

  def test_headers_that_keep_others_out
    call(:get, "/")
    policy = last_response["content-security-policy"]

    refute_match(/script-src[^;]*unsafe-inline/, policy)
    # The page has one script of its own, and just that may run.
    script = last_response.body[%r{<script>(.*?)</script>}m, 1]

    assert_equal ["'self'", "'sha256-#{Digest::SHA256.base64digest(script)}'"], policy[/script-src ([^;]*)/, 1].split
    call(:get, "/api/workroom")

    assert_match(/script-src 'self';/, last_response["content-security-policy"])
    assert_includes policy, "default-src 'none'"
    assert_equal "nosniff", last_response["x-content-type-options"]
  end

  def test_names_of_all_sorts_come_back_as_they_went_in
    ["Łódź \"żupan\" <b>&", "ボタン🧵", "Robert'); DROP TABLE closures;--"].each do |name|
      save({ closure: { name: name } })

      assert_equal name, closure["name"]
      assert_equal "%PDF", call(:get, "/api/closures/1/strip.pdf")[0, 4]
      assert_includes call(:get, "/api/closures/1/strip.svg"), CGI.escapeHTML(name)
    end
  end

  def test_whatever_breaks_inside_no_trace_leaves
    out = StringIO.new
    broken = Http::Guards::Failures.new(->(_) { raise "secret /etc/path" }, out)
    status, headers, body = broken.call({})

    assert_equal [500, "application/problem+json"], [status, headers["content-type"]]
    refute_includes body.join, "secret"
    assert_includes out.string, "RuntimeError"
  end

  def test_the_log_has_one_line_a_request_and_nothing_typed
    out = StringIO.new
    logged = Http::Web.application(db: db, log: out)
    Rack::MockRequest.new(logged).patch("#{HOME}/closures/1/plan?who=me", HEADERS.merge(match).merge(
                                                                            "CONTENT_TYPE" => "application/json",
                                                                            input: '{"button.name": "grandmother"}'
                                                                          ))

    line = %r{\A\d{4}-\d\d-\d\dT[\d:.]+Z PATCH  /api/workrooms/marsh-walk/closures/1/plan (200|422) \d+\.\d ms\n\z}

    assert_match(line, out.string)
    # What is refused is answered, and leaves no trace of what was typed anywhere.
    out.truncate(0)
    out.rewind
    errors = StringIO.new
    typed = { input: '{"button.diameter": "grandmother"}', "CONTENT_TYPE" => "application/json", "rack.errors" => errors }
    Rack::MockRequest.new(logged).patch("#{HOME}/closures/1/plan", HEADERS.merge(match).merge(typed))

    assert_match(line, out.string)
    assert_empty errors.string
  end
end
