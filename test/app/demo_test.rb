# frozen_string_literal: true

require_relative "../app_helper"

# The sample workroom, worked through: for each closure what a dressmaker would expect to read.
class DemoTest < AppTest
  # garment, closure => H, opening, overall, verdict, style, foot, width, length, holes, attach
  EXPECTED = {
    ["linen field smock", "front placket"] =>
      ["21 mm", "22.5 mm", "25 mm", "snug", "rectangular, two bar tacks", "carriage foot (the sledge)", "4.5 mm", "0.4 mm",
       [24, 118, 212, 294, 376, 458, 540], "3 mm"],
    ["linen field smock", "left cuff"] =>
      ["13 mm", "14.5 mm", "17 mm", "snug", "rectangular, two bar tacks", "carriage foot (the sledge)", "4.5 mm", "0.4 mm",
       [12, 48], "2.5 mm"],
    ["ribbed merino henley", "neck placket"] =>
      ["13 mm", "13.5 mm", "16 mm", "snug", "stretch, open zigzag", "cording foot (the pronged one)", "5.1 mm", "0.6 mm",
       [16, 82, 148], "2.5 mm"],
    ["flannel camp pyjamas", "jacket front"] =>
      ["16.83 mm", "19 mm", "21.5 mm", "snug", "rectangular, two bar tacks", "sliding scale foot (the long frame)", "5 mm", "0.5 mm",
       [95, 200, 305, 410, 515], "3 mm"],
    ["felted waistcoat", "fitted front"] =>
      ["25.54 mm", "29 mm", "34.25 mm", "snug", "keyhole", "sliding scale foot", "6.4 mm", "0.5 mm", [17, 133, 250, 340], "by hand"],
    ["coated hat strap", "chin strap"] =>
      ["24 mm", "26 mm", "28 mm", "snug", "straight-stitch box, twice round", "general zigzag foot", "3 mm", "2.5 mm", [30], "5 mm"],
    ["waxed rain cape", "storm front"] =>
      ["18.85 mm", "21.5 mm", "26.75 mm", "snug", "keyhole", "sliding scale foot", "6 mm", "0.65 mm",
       [29, 147, 265, 383, 501, 620], "6 mm"]
  }.freeze

  def test_every_closure_of_the_demo
    found = db[:closures].select_map(:id).to_h do |id|
      read = closure(id)
      sheet = read["sheet"]
      settings = sheet["recipe"]["settings"].to_h { |setting| [setting["key"], setting["text"]] }
      attach = sheet["attach"]["by_machine"] ? sheet["attach"]["width"]["text"] : "by hand"
      [[read["garment"]["name"], read["name"]],
       [sheet["button"]["half_perimeter"]["text"], sheet["opening"]["length"]["text"], sheet["opening"]["overall"]["text"],
        sheet["opening"]["verdict"]["words"], *settings.values_at("style", "foot", "stitch_width", "stitch_length"),
        sheet["placket"]["holes"].map { |hole| hole["at"]["mm"].to_i }, attach]]
    end

    EXPECTED.each { |name, expected| assert_equal expected, found[name], name.join(", ") }
    assert_equal EXPECTED.keys.sort, found.keys.sort
  end

  def test_every_answer_says_why
    db[:closures].select_map(:id).each do |id|
      sheet = closure(id)["sheet"]

      refute_empty sheet["opening"]["because"]
      refute_empty sheet["placket"]["because"]
      refute_empty sheet["attach"]["because"]

      assert(sheet["recipe"]["settings"].all? { |setting| setting["because"].any? { |reason| reason["says"].length > 10 } })
      assert(sheet["opening"]["answers"].all? { |answer| answer["assumes"].end_with?(".") && answer["fails"].end_with?(".") })
    end
  end

  def test_in_every_unit_every_figure_is_in_that_unit
    { "in" => / in\z/, "cm" => / cm\z/, "mm" => / mm\z/ }.each do |unit, form|
      call(:patch, "/api/workroom", { unit: unit }, "HTTP_IF_MATCH" => "\"#{db[:workrooms].get(:revision)}\"")
      db[:closures].select_map(:id).each do |id|
        lengths(closure(id)).each { |length| assert_match form, length["text"] }
      end
    end
  end

  def test_a_whole_machine_change_keeps_every_value_settable
    machines = call(:get, "/api/workroom")["machines"]
    machines.each do |machine|
      db[:closures].select_map(:id).each do |id|
        found = save({ machine: { id: machine["id"] } }, id: id)

        assert_status 200
        width = found["sheet"]["recipe"]["settings"].find { |setting| setting["key"] == "stitch_width" }["text"].to_f

        assert_operator width, :<=, machine["max_width"]["mm"]
        assert_empty found["sheet"]["faults"]
      end
    end
  end

  def test_shelves_fill_fields_that_can_be_saved_as_they_are
    shelves = call(:get, "/api/workroom")
    { "buttons" => "button", "cloths" => "cloth", "threads" => "thread" }.each do |shelf, room|
      shelves[shelf].each do |item|
        found = save({ room => item["fields"] }, id: 2)

        assert_status 200
        assert_equal item["name"], found["plan"]["#{room}.name"]
      end
    end
  end

  # Every demo closure on every demo machine: a recipe with reasons, and nothing its dials cannot do.
  def test_every_closure_on_every_machine
    pairs = db[:closures].select_map(:id).product(db[:machines].select_map(:id))

    assert_equal 28, pairs.size
    pairs.each do |id, machine_id|
      found = save({ machine: { id: machine_id } }, id: id)
      machine = workroom.machines.one(machine_id)
      settings = found["sheet"]["recipe"]["settings"].to_h { |setting| [setting["key"], setting] }

      settings.each_value { |setting| refute_empty setting["because"], setting["key"] }
      hole = act(:post, "stitches", {}, id: id)

      assert_operator hole["points"].size, :>, 40
      assert_settable machine, found, hole
    end
  end

  private

  # Every length anywhere in an answer.
  def lengths(value)
    case value
    when Hash then value.key?("mm") && value.key?("text") ? [value] : value.values.flat_map { |item| lengths(item) }
    when Array then value.flat_map { |item| lengths(item) }
    else []
    end
  end

  def assert_settable(machine, found, hole)
    on_dial = ->(figure, step) { ((figure / step) - (figure / step).round).abs < 1e-6 }

    assert on_dial.call(hole["stitch_length"]["mm"], machine.length_step.to_f), found["name"]
    style = found["sheet"]["recipe"]["scores"].find { |score| score["chosen"] }["key"]
    return if style == "straight_box"

    assert on_dial.call(hole["width"]["mm"], machine.width_step.to_f), found["name"]
    assert_operator hole["width"]["mm"], :<=, machine.max_width.to_f
    assert_includes machine.styles + %w[manual_zigzag corded], style
  end
end
