# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/description"

# Several workrooms beside each other: begun, named, put away, taken back; and nothing of one is seen from another.
class WorkroomTest < AppTest
  include Description

  def all = call(:get, "/api/workrooms")
  def names = all["workrooms"].map { |one| one["name"] }

  def begun(name = "Heron Loft") = call(:post, "/api/workrooms", { name: name })

  def test_one_of_ones_own_begins_empty_and_the_sample_stays
    loft = begun

    assert_status 201
    assert_equal ["heron-loft", false, "mm"], loft.values_at("slug", "sample", "unit")
    %w[garments machines].each { |shelf| assert_empty loft[shelf], shelf }
    %w[button cloth thread].each { |shelf| assert_equal 0, call(:get, "/api/workrooms/heron-loft/picks/#{shelf}")["total"], shelf }
    assert_equal ["Heron Loft", "Marsh Walk"], names
    assert_equal "heron-loft-2", begun["slug"], "an address is never given twice"
    assert_equal "workroom", begun("***")["slug"]
    assert_equal "osterhus", begun("Österhus")["slug"]
    begun(" ")

    assert_status 422
    renamed = call(:patch, "/api/workrooms/heron-loft", { name: "Loft" }, "HTTP_IF_MATCH" => '"1"')

    assert_equal %w[heron-loft Loft], renamed.values_at("slug", "name"), "the address stays"
  end

  def test_the_sample_is_put_away_taken_back_and_laid_out_fresh
    save({ button: { diameter: "21" } })
    call(:delete, HOME, nil, "HTTP_IF_MATCH" => '"7"')

    assert_status 412
    call(:delete, HOME, nil, "HTTP_IF_MATCH" => '"1"')

    assert_status 204
    call(:get, HOME)

    assert_status 404
    assert_equal [[], ["Marsh Walk"]], [names, all["put_away"].map { |one| one["name"] }]
    fresh = call(:post, "/api/workrooms/sample")

    assert_equal ["marsh-walk-2", true], fresh.values_at("slug", "sample")
    assert_equal(12, fresh["garments"].sum { |garment| garment["closures"].size })
    call(:post, "#{HOME}/taken-back")

    assert_equal "21 mm", closure["plan"]["button.diameter"]["text"], "as it was left"
    assert_equal 2, names.size
  end

  def test_a_closure_is_worked_through_in_a_workroom_of_ones_own
    begun
    machine = call(:get, "/api/machines/4").slice("facts", "styles", "feet")
    call(:post, "/api/workrooms/heron-loft/closures", { garment: "coat", name: "front" })

    assert_status 422
    call(:post, "/api/workrooms/heron-loft/machines", machine)

    assert_status 201
    made = call(:post, "/api/workrooms/heron-loft/closures", { garment: "coat", name: "front" })

    assert_status 201
    assert_equal "%PDF", call(:get, "/api/workrooms/heron-loft/closures/#{made['id']}/strip.pdf")[0, 4]
  end

  # Every described operation with ids of another workroom: nothing is found, nothing is changed.
  def test_no_operation_reaches_into_another_workroom
    begun
    tick("stabilise")
    entry = step("stabilise")["entry"]
    before = rows
    tried = operations.select { |_, path, _| path.match?(/\{(id|entry)\}/) }
    tried.each do |verb, path, operation|
      address = path.sub("{slug}", "heron-loft").sub(/\{(id|number)\}/, "1").sub("{number}", "1").sub("{shelf}", "cloths")
                    .sub("{stage}", "button").sub("{kind}", "machine").sub("{photo}", SecureRandom.uuid)
                    .sub("{size}", "small").sub("{link}", "1")
                    .sub("{entry}", path.include?("accepted") ? entry : SecureRandom.uuid)
      call_raw(verb, address, operation)

      assert_includes [404, 422], last_response.status, "#{verb} #{path}: #{last_response.body[0, 200]}"
    end

    assert_operator tried.size, :>, 25
    # And by ids in bodies.
    { "closures" => { garment: "x", name: "y", like: 1 }, "buttons" => { closure_id: 1, name: "z" } }.each do |what, body|
      call(:post, "/api/workrooms/heron-loft/#{what}", body)

      assert_status 404
    end
    { kind: "note", closure: SMOCK, note: "n" }.then { |body| elsewhere(body) }
    { kind: "withdrawal", about: entry }.then { |body| elsewhere(body) }

    assert_equal before, rows
  end

  def test_old_addresses_lead_to_where_things_are_now
    { "/closures/1/opening" => "/w/marsh-walk/closures/1/opening", "/machines/4" => "/w/marsh-walk/machines/4",
      "/garments/1" => "/w/marsh-walk/garments/1", "/stash" => "/w/marsh-walk/stash" }.each do |old, now|
      call(:get, old)

      assert_equal [302, now], [last_response.status, URI(last_response["location"]).path]
    end
    call_plain("get", "/api/closures/1/strip.pdf?paper=letter")

    assert_equal [308, "/api/workrooms/marsh-walk/closures/1/strip.pdf", "paper=letter"],
                 [last_response.status, *URI(last_response["location"]).then { |uri| [uri.path, uri.query] }]
    call_plain("get", "/closures/999/opening")

    assert_status 404
  end

  private

  def elsewhere(body)
    call(:put, "/api/workrooms/heron-loft/journal/#{SecureRandom.uuid}", { happened_at: NOW.iso8601, sent_at: NOW.iso8601, **body })

    assert_status 404
  end

  def rows
    %i[closures machines buttons garments journal revisions feet].to_h do |table|
      [table, db[table].order(Sequel.lit("1, 2")).all]
    end
  end

  def call_plain(verb, path)
    Rack::Test::Methods.instance_method(:custom_request).bind_call(self, verb.upcase, path, {}, HEADERS)
  end

  def call_raw(verb, address, operation)
    schema = json_schema(operation)
    input = schema ? JSON.generate(body(schema, "18")) : nil
    sent = HEADERS.merge("HTTP_IF_MATCH" => "\"#{version}\"")
    type = operation.dig("requestBody", "content")&.keys&.first
    sent = type ? sent.merge("CONTENT_TYPE" => type, input: input.to_s) : sent.merge(input: nil)
    custom_request(verb.upcase, address, {}, sent)
  end
end
