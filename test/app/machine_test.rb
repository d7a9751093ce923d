# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../../app/device/stand_in_caliper"

# Machines with their feet, the habits of the house, and the caliper.
class MachineTest < AppTest
  LAPWING = 4

  def machine(id = LAPWING) = call(:get, "/api/machines/#{id}")

  def typed(**facts)
    machine.slice("styles", "feet", "facts").then { |body| body.merge("facts" => body["facts"].merge(facts.transform_keys(&:to_s))) }
  end

  def test_a_machine_is_shown_as_typed_changed_whole_and_asked_about_when_stale
    assert_equal ["7 mm", "yes", "no"], machine["facts"].values_at("max_width", "lift_resets", "straight_first")
    body = typed(max_width: "1/4", top_speed: "600")
    body["feet"][0]["allowance"] = "2.5"
    changed = call(:put, "/api/machines/#{LAPWING}", body, "HTTP_IF_MATCH" => '"1"')

    assert_equal ["6.35 mm", "600", "2.5 mm"], [*changed["facts"].values_at("max_width", "top_speed"),
                                                changed["feet"][0]["allowance"]]
    assert_includes closure["sheet"]["opening"]["setting"]["says"], "4 more clicks", "18 and 2.5 by itself, then 4 halves to 22.5"
    call(:put, "/api/machines/#{LAPWING}", body, "HTTP_IF_MATCH" => '"1"')

    assert_status 412
    call(:put, "/api/machines/#{LAPWING}", body)

    assert_status 428
  end

  def test_a_new_machine_and_one_that_is_in_use
    call(:post, "/api/machines", typed(name: "Barn"))

    assert_status 201
    id = JSON.parse(last_response.body)["id"]
    call(:delete, "/api/machines/#{id}", nil, "HTTP_IF_MATCH" => '"1"')

    assert_status 204
    problem = call(:delete, "/api/machines/#{LAPWING}", nil, "HTTP_IF_MATCH" => '"1"')

    assert_status 422
    assert_includes problem["detail"], "front placket"
    call(:get, "/api/machines/99")

    assert_status 404
  end

  def test_what_no_machine_can_be_is_refused_at_its_field
    { { name: "" } => "machine.name", { name: "Curlew" } => "machine.name", { max_width: "40" } => "machine.max_width",
      { max_width: "0" } => "machine.kind",
      { width_step: "x" } => "machine.width_step", { needle_positions: "0" } => "machine.needle_positions",
      { kind: "robot" } => "machine.kind", { tension_step: "0" } => "machine.tension_step" }.each do |facts, field|
      problem = call(:put, "/api/machines/#{LAPWING}", typed(**facts), "HTTP_IF_MATCH" => '"1"')

      assert_status 422
      assert_includes problem["faults"].map { |fault| fault["field"] }, field, facts.inspect
    end
    body = typed
    body["feet"][1].merge!("click" => "40", "scale_pitch" => "?")
    body["feet"] << body["feet"][0]

    assert_equal(["feet.2.scale_pitch"],
                 call(:put, "/api/machines/4", body, "HTTP_IF_MATCH" => '"1"')["faults"].map { |fault| fault["field"] })
    body["feet"][1].merge!("click" => "0.5", "scale_pitch" => "4")

    assert_includes call(:put, "/api/machines/4", body, "HTTP_IF_MATCH" => '"1"')["detail"], "twice"
  end

  def habits(typed, revision: 1)
    call(:patch, "/api/workroom", { habits: typed }, "HTTP_IF_MATCH" => "\"#{revision}\"")
  end

  def test_a_habit_holds_wherever_a_closure_leaves_it_open
    save({ "button" => { "thickness" => "5" } }, id: 2)
    own = save({ "opening" => { "school" => "diameter_thickness" } })["sheet"]["opening"]["length"]
    habits({ "opening.school" => "diameter_allowance", "opening.ease" => "3/16" })

    assert_equal own, closure["sheet"]["opening"]["length"], "this closure goes its own way"
    assert_equal "14 mm", closure(2)["sheet"]["opening"]["length"]["text"], "11 and 3"
    save({ "opening" => { "school" => "" } })

    assert_equal "21 mm", closure["sheet"]["opening"]["length"]["text"]
    habits({ "opening.school" => "", "opening.ease" => "" }, revision: 2)

    assert_equal "22.5 mm", closure["sheet"]["opening"]["length"]["text"]
  end

  def test_the_recipe_goes_by_what_lies_in_the_drawer
    act(:put, "settled/recipe")
    before = closure["sheet"]["recipe"]["settings"].find { |setting| setting["key"] == "stabiliser" }
    found = call(:patch, "/api/workroom", { stabilisers: %w[tear_away wash_film] }, "HTTP_IF_MATCH" => "\"1\"")
    after = closure["sheet"]["recipe"]["settings"].find { |setting| setting["key"] == "stabiliser" }

    # The mesh lies on the shelf.
    assert_equal(%w[knit_fusible tear_away wash_film],
                 found["stabilisers"].select { |item| item["owned"] }.map { |item| item["key"] })
    assert_equal ["fusible strip inside, firm direction along the hole", "tear-away under the hole"],
                 [before["text"], after["text"]]
    assert_includes after["cautions"].first["instead"], said("stabiliser.light_fusible_strip")
    assert_equal "stale", closure["sheet"]["stages"].find { |stage| stage["word"] == "recipe" }["state"]
    call(:patch, "/api/workroom", { stabilisers: ["glue"] }, "HTTP_IF_MATCH" => "\"2\"")

    assert_status 400
  end

  def test_a_habit_that_cannot_be_is_refused
    [{ "opening.school" => "guess" }, { "opening.ease" => "-1" }, { "opening.ease" => "lots" },
     { "button.diameter" => "3" }].each do |typed|
      habits(typed)

      assert_status 422
    end
    habits({ "placket.seat" => "centre" }, revision: 7)

    assert_status 412
  end

  # A caliper of its own for the length of the block.
  def with_caliper
    caliper = Device::StandInCaliper.new(random: Random.new(7))
    served = Thread.new { caliper.run }
    @app = world.app(clock: -> { NOW }, caliper: Device::Gauge.at("stand-in:#{caliper.port}"))
    yield
  ensure
    caliper.close
    served.join
  end

  def test_the_stand_in_reads_what_lies_between_its_jaws_with_a_trembling_hand
    with_caliper do
      call(:put, "/api/caliper", { jaws: "11.4" })
      readings = Array.new(12) { call(:post, "/api/caliper/reading") }

      readings.each { |reading| assert_in_delta 11.4, reading["length"]["mm"], 0.036 }
      assert_operator readings.map { |reading| reading["text"] }.uniq.size, :>, 2
      assert_match(/\A11\.\d\d mm\z/, readings.first["text"])
      call(:put, "/api/caliper", { key: "unit" })
      inches = call(:post, "/api/caliper/reading")

      assert_match(/\A0\.4\d{3} in\z/, inches["text"])
      assert_in_delta 11.4, inches["length"]["mm"], 0.036
      assert call(:put, "/api/caliper", { key: "zero" })["zeroed"]
      assert_in_delta 0, call(:post, "/api/caliper/reading")["length"]["mm"], 0.036
      call(:put, "/api/caliper", { jaws: "400" })

      assert_status 422
      # In a workroom of one's own nothing is read off what only behaves like a caliper.
      own = call(:post, "/api/workrooms", { name: "Heron Loft" })["slug"]

      refute call(:get, "/api/workrooms/#{own}/caliper")["there"]
      call(:post, "/api/workrooms/#{own}/caliper/reading")

      assert_status 404
      # Until it is switched on there, and after it is switched off again.
      there = %w[practice none].map do |switch|
        seen = call(:get, "/api/workrooms/#{own}")["revision"]
        call(:patch, "/api/workrooms/#{own}", { caliper: switch }, "HTTP_IF_MATCH" => "\"#{seen}\"")
        call(:get, "/api/workrooms/#{own}/caliper")["there"]
      end

      assert_equal [true, false], there
    end
  end

  def test_without_a_caliper_nothing_is_read
    refute call(:get, "/api/caliper")["there"]
    call(:post, "/api/caliper/reading")

    assert_status 404
  end

  def test_a_silent_caliper_is_named
    @app = world.app(caliper: Device::Gauge.at("tcp:127.0.0.1:9"))

    assert_includes call(:post, "/api/caliper/reading")["detail"], said("gauge.not_connected")
    assert_status 503
  end

  def test_any_gauge_that_answers_with_a_line_is_read
    { "+018.03 mm" => 18.03, "-00.50 mm" => -0.5, "0.7102 in" => 18.039, "garbled" => nil }.each do |line, millimetres|
      server = TCPServer.new("127.0.0.1", 0)
      gauge = Thread.new { server.accept.then { |client| client.gets && client.write("#{line}\r\n") && client.close } }
      reading = Device::Gauge.at("tcp:127.0.0.1:#{server.addr[1]}")
      if millimetres
        assert_in_delta millimetres, reading.read.first.to_f, 0.001
      else
        assert_raises(Device::Gauge::Silent) { reading.read }
      end
      gauge.join
      server.close
    end
  end
end
