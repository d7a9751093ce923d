# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/description"
require_relative "../support/fuzz"

# Every operation of the interface, sent what nobody should send: the answer is always a clear refusal
# in the one shape, never a failure of the server, and nothing kept is changed by it.
class HostileTest < AppTest
  include Description

  TEXTS = ["", " ", "\u0000", "W" * 5000, "'; DROP TABLE closures; --", "<script>alert(1)</script>", "1e999",
           "NaN", "-0", "٣", "9" * 400,
           "../../etc/passwd", "\u202e18", "18 mm mm", "{\"a\":1}", "1/0", "°", "=1+1"].freeze

  def address(path, id: 1, number: 1)
    path.sub("{slug}", "marsh-walk").sub("{id}", id.to_s).sub("{number}", number.to_s).sub("{stage}", "button")
        .sub("{kind}", "closure").sub("{shelf}", "cloths")
        .sub("{entry}", "6f0c7a1e-0000-4000-8000-000000000001").sub("{photo}", "6f0c7a1e-0000-4000-8000-000000000002").sub("{size}", "small")
        .sub("{token}", "n" * 32).sub("{session}", "none").sub("{sheet}", "card.pdf").sub("{link}", "1")
  end

  def send_raw(verb, path, input, type: "application/json", headers: {})
    seen = path.match?(%r{/closures/1(/|\z)}) ? match : { "HTTP_IF_MATCH" => "\"1\"" }
    sent = HEADERS.merge(seen).merge(input: input).merge(headers)
    custom_request(verb.upcase, path, {}, input ? sent.merge("CONTENT_TYPE" => type) : sent)
    last_response
  end

  def assert_answered(what, refused: false)
    assert_includes refused ? 400..499 : 200..499, last_response.status, "#{what}: #{last_response.body[0, 200]}"
    return if last_response.status < 400

    assert_equal "application/problem+json", last_response.content_type, what
    problem = JSON.parse(last_response.body)

    assert_operator problem["detail"].length, :>, 10, what
    refute_match(/Error|undefined|nil|PG::|backtrace/, problem["detail"], what)
  end

  # A little of what bin/fuzz does at length.
  def test_whatever_is_sent_the_answer_is_no_failure
    fuzz = NimbleEyelet::Support::Fuzz.new(app, Random.new(20_261_127), version: -> { version })

    assert_empty fuzz.run(500)
  end

  def test_strange_words_in_every_field_are_taken_as_words_or_refused
    operations.each do |verb, path, operation|
      schema = json_schema(operation) or next
      TEXTS.each do |text|
        send_raw(verb, address(path), JSON.generate(body(schema, text)))

        assert_answered "#{verb} #{path} with #{text[0, 20].inspect}"
      end
      world.reset
    end
  end

  def test_bodies_of_another_shape_are_refused
    operations.each do |verb, path, operation|
      next unless json_schema(operation)

      ["[]", "7", "\"text\"", "null", "{", "{\"nobody\":\"knows\"}", "\xFF\xFE", "[#{'[' * 500}"].each do |input|
        send_raw(verb, address(path), input)

        assert_answered "#{verb} #{path} with #{input[0, 20].inspect}", refused: input != "null"
      end
      send_raw(verb, address(path), "a=1", type: "application/x-www-form-urlencoded")

      assert_answered "#{verb} #{path} as a form", refused: true
    end

    assert_equal 12, db[:closures].count
  end

  def test_what_is_not_there_is_not_found
    operations.each do |verb, path, operation|
      next unless path.include?("{id}")

      [999, 2_147_483_648, 10**30].each do |id|
        schema = json_schema(operation)
        send_raw(verb, address(path, id: id), schema && JSON.generate(body(schema, "18")))

        photo = operation.dig("requestBody", "content")&.key?("image/jpeg")

        assert_includes [404, 422, *(415 if photo)], last_response.status, "#{verb} #{path} #{id}: #{last_response.body[0, 120]}"
      end
      send_raw(verb, address(path, id: "one"), nil)

      assert_includes 400..499, last_response.status
    end
  end

  def test_no_write_is_taken_from_another_page
    before = db[:revisions].count
    operations.each do |verb, path, operation|
      next if verb == "get"

      schema = json_schema(operation)
      input = schema ? JSON.generate(body(schema, "18")) : ""
      stranger = { "HTTP_HOST" => "127.0.0.1", "HTTP_IF_MATCH" => "\"1\"", "CONTENT_TYPE" => "application/json",
                   input: input }
      custom_request(verb.upcase, address(path), {}, stranger)

      assert_equal 403, last_response.status, "#{verb} #{path}"
      send_raw(verb, address(path), input, headers: { "HTTP_ORIGIN" => "http://elsewhere.test" })

      assert_equal 403, last_response.status, "#{verb} #{path}"
    end

    assert_equal [before, 12, 12], [db[:revisions].count, db[:closures].count, db[:buttons].count]
  end

  def test_queries_that_make_no_sense
    ["search=%00", "search=%FF%FE", "search=#{'a' * 300}", "from=-1", "from=many", "from=99999999999", "search[]=1"].each do |query|
      custom_request("GET", "/api/stash?#{query}", {}, HEADERS)

      assert_answered "stash?#{query}"
    end
    ["from=#{'1' * 200}", "to=2026-02-30", "before=#{'x' * 200}", "machine=#{'9' * 40}"].each do |query|
      custom_request("GET", "/api/swatches?#{query}", {}, HEADERS)

      assert_answered "swatches?#{query[0, 20]}", refused: true
    end
    custom_request("GET", "/api/closures/1/strip.pdf?paper=bedsheet", {}, HEADERS)

    assert_answered "paper", refused: true
  end

  # Two people at once: of two saves that saw the same, one is taken and the other is shown what is there.
  def test_of_two_saves_at_once_one_is_taken
    button = { "name" => "twin", "shape" => "flat", "attachment" => "shank", "diameter" => "18", "thickness" => "3" }
    { "/api/stash/1" => ["PUT", ->(turn) { button.merge("owned" => turn.to_s) }],
      "/api/closures/1/plan" => ["PATCH", ->(turn) { { "button.diameter" => "#{16 + turn}.5" } }] }.each do |path, (verb, sent)|
      @seen = path.include?("closures") ? match : { "HTTP_IF_MATCH" => "\"1\"" }
      statuses = Array.new(4) { |turn| Thread.new { answer_to(verb, path, sent.call(turn)) } }.map(&:value)

      assert_equal [200, 412, 412, 412], statuses.sort, path
    end
  end

  def answer_to(verb, path, sent)
    asked = HEADERS.merge(@seen).merge("CONTENT_TYPE" => "application/json", input: JSON.generate(sent))
    Rack::MockRequest.new(app).request(verb, at(path), asked).status
  end
end
