# frozen_string_literal: true

require "open3"
require_relative "../app_helper"

# The sample workroom, worked through: for each closure what a dressmaker would expect to read.
class DemoTest < AppTest
  # garment, closure => H, opening, overall, verdict, style, foot, width, length, holes, attach
  EXPECTED = {
    ["linen field smock", "front placket"] =>
      ["21 mm", "22.5 mm", "25 mm", "snug", "rectangular, two bar tacks", "buttonhole foot (the sledge)", "4.5 mm", "0.4 mm",
       [24, 122, 220, 300, 380, 460, 540], "3 mm"],
    ["linen field smock", "left cuff"] =>
      ["13 mm", "14.5 mm", "17 mm", "snug", "rectangular, two bar tacks", "buttonhole foot (the sledge)", "4.5 mm", "0.4 mm",
       [13, 47], "2.5 mm"],
    ["ribbed merino henley", "neck placket"] =>
      ["13 mm", "15 mm", "17.5 mm", "snug", "stretch, open zigzag", "cording foot (the pronged one)", "5.1 mm", "0.6 mm",
       [19, 80, 141], "2.5 mm"],
    ["flannel camp pyjamas", "jacket front"] =>
      ["16.83 mm", "19 mm", "21.5 mm", "snug", "rectangular, two bar tacks", "sliding scale foot (the long frame)", "5 mm", "0.5 mm",
       [95, 200, 305, 410, 515], "3 mm"],
    ["felted waistcoat", "fitted front"] =>
      ["25.54 mm", "27 mm", "29.85 mm", "snug", "keyhole", "sliding scale foot", "6.2 mm", "0.5 mm", [17, 133, 250, 340], "by hand"],
    ["coated hat strap", "chin strap"] =>
      ["24 mm", "26 mm", "28 mm", "snug", "straight-stitch box, twice round", "general zigzag foot", "3 mm", "2.5 mm", [30], "5 mm"],
    ["waxed rain cape", "storm front"] =>
      ["18.85 mm", "19.5 mm", "21.95 mm", "snug", "keyhole", "sliding scale foot", "5.4 mm", "0.6 mm",
       [29, 147, 265, 383, 501, 620], "by hand"],
    ["reed-green hide screen", "cord eyelets"] =>
      ["6.28 mm", "5 mm", "7 mm", "snug", "eyelet, twice round", "grooved satin foot", "1 mm", "0.4 mm", [14, 82, 151, 220], "none"],
    ["reed-green hide screen", "ribbon row"] =>
      ["12.4 mm", "15 mm", "17.5 mm", "snug", "rectangular, two bar tacks", "sliding scale foot", "5.3 mm", "0.4 mm",
       [19, 146, 273, 400], "none"],
    ["child's marsh smock", "shoulder opening"] =>
      ["14.43 mm", "16.5 mm", "19 mm", "snug", "stretch, open zigzag", "buttonhole foot (the sledge)", "5 mm", "0.6 mm",
       [20, 55, 90], "2.5 mm"],
    ["boiled-wool vest", "front"] =>
      ["22.28 mm", "26.5 mm", "31.5 mm", "easy", "by hand with zigzag", "grooved satin foot", "5 mm", "0.5 mm",
       [16, 144, 272, 400], "by hand"],
    ["silk blouse", "front"] =>
      ["18.85 mm", "20 mm", "20 mm", "snug", "one round end and a bar tack", "buttonhole foot (the sledge)", "3.5 mm", "0.4 mm",
       [20, 48, 76, 104, 133, 162, 191, 220], "by hand"]
  }.freeze

  def test_every_closure_of_the_demo
    found = db[:closures].select_map(:id).to_h do |id|
      read = closure(id)
      sheet = read["sheet"]
      settings = sheet["recipe"]["settings"].to_h { |setting| [setting["key"], setting["text"]] }
      attach = sheet["attach"]["by_machine"] ? sheet["attach"]["width"]["text"] : "by hand"
      attach = "none" unless sheet["stages"].any? { |stage| stage["word"] == "attach" }
      [[read["garment"]["name"], read["name"]],
       [sheet["button"]["half_perimeter"]["text"], sheet["opening"]["length"]["text"], sheet["opening"]["overall"]["text"],
        sheet["opening"]["verdict"]["words"], *settings.values_at("style", "foot", "stitch_width", "stitch_length"),
        sheet["placket"]["holes"].map { |hole| hole["at"]["mm"].to_i }, attach]]
    end

    EXPECTED.each { |name, expected| assert_equal expected, found[name], name.join(", ") }
    assert_equal EXPECTED.keys.sort, found.keys.sort
  end

  # The example lies there in the middle of the work: one garment finished, one half sewn, one at its second test. What
  # happened there was told as a person tells it, so every part of it agrees with every other.
  def test_a_fresh_example_lies_in_the_middle_of_the_work
    room = "/api/workrooms/#{call(:post, '/api/workrooms/sample')['slug']}"
    under_way = call(:get, "#{room}/under-way")

    assert_equal(["ribbed merino henley", "linen field smock"], under_way["closures"].map { |one| one["garment"] })
    assert_equal([0, 4], under_way["closures"].map { |one| one["sewn"] })
    assert_equal(%w[Avocet Lapwing], under_way["machines"].map { |one| one["name"] })
    parts = call(:get, room)["garments"].flat_map { |garment| call(:get, "#{room}/garments/#{garment['id']}")["closures"] }

    assert_equal(["jacket front"], parts.filter_map { |part| part["name"] if part["go_on"]["finished"] })
    assert_empty(parts.flat_map { |part| part["stages"].filter_map { |stage| stage["word"] if stage["state"] == "stale" } })
    parts.each { |part| assert_told_as_sewn("#{room}/closures/#{part['id']}", part) }
  end

  # Nothing is done that was not on the list, and the row drawn for the garment is the one that was sewn.
  def assert_told_as_sewn(path, part)
    sheet = call(:get, path)["sheet"]
    sewn = sheet["placket"]["holes"].map { |hole| hole["sewn"] }
    steps = sheet["sewing"]["steps"].select { |step| step["done"] }

    assert_equal sewn, part["drawn"]["sewn"]
    assert_equal(sewn.count(true), steps.count { |step| step["key"].start_with?("sew-") })
    assert_equal part["done"], steps.size
    assert_equal(sheet["swatch"]["log"].size, log_of(path).count { |line| line["kind"] == "swatch" })
  end

  # Whatever can go wrong has its drawing; the handwork of every stage is three to five drawn beats.
  def test_every_mishap_is_drawn
    drawn = File.read("#{__dir__}/../../web/src/drawn/mishaps.ts").scan(/^  (\w+): \{/).flatten

    assert_empty Sewing::MISHAPS.keys - drawn
    assert_empty drawn - Sewing::MISHAPS.keys
    tools = File.read("#{__dir__}/../../web/src/drawn/tools.ts").scan(/^  '?([a-z_-]+)'?: (?:[A-Z_]+|\{)/).flatten

    assert_equal STAGES.keys.sort, HOW_TO.keys.sort
    HOW_TO.each_value do |one|
      assert_includes 3..5, one.beats.size, one.title
      assert_empty one.beats.map(&:step) - tools, one.title
      one.beats.each { |beat| assert_operator Presenter.new(:mm).words(beat.says).split.size, :<=, 20 }
    end
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
        read = closure(id)
        # A closure keeps the unit it was made in, and what is on a machine stays in its own millimetres.
        assert_equal "mm", read["unit"]
        db[:closures].where(id: id).update(unit: unit, version: Sequel[:version] + 1)
        texts = lengths(closure(id)).map { |length| length["text"] }

        assert_operator texts.grep(form).size, :>, texts.size / 2
        assert_empty(texts.grep_v(form).grep_v(/ mm\z/))
        db[:closures].where(id: id).update(unit: "mm", version: Sequel[:version] + 1)
      end
    end
  end

  def test_shelves_fill_fields_that_can_be_saved_as_they_are
    %w[button cloth thread].each do |room|
      items = call(:get, "/api/picks/#{room}")["items"]

      refute_empty items
      items.each do |item|
        found = save({ room => item["fields"] }, id: 2)

        assert_status 200
        assert_equal item["name"], found["plan"]["#{room}.name"]
      end
    end
  end

  # Every demo closure on every demo machine: a recipe with reasons, and nothing its dials cannot do.
  def test_every_closure_on_every_machine
    pairs = db[:closures].select_map(:id).product(db[:machines].select_map(:id))

    assert_equal 48, pairs.size
    pairs.each_with_index do |(id, machine_id), turn|
      found = save({ machine: { id: machine_id }, recipe: { way: "" } }, id: id)

      assert_status 200
      assert_empty found["sheet"]["faults"]
      machine = workroom.machines.one(machine_id)
      settings = found["sheet"]["recipe"]["settings"].to_h { |setting| [setting["key"], setting] }

      settings.each_value { |setting| refute_empty setting["because"], setting["key"] }

      assert_operator settings["stitch_width"]["text"].to_f, :<=, machine.max_width.to_f
      # What is drawn and printed, of each closure on one machine and on each machine of two closures or three.
      assert_printed(machine, found, id) if ((turn + (turn / 4)) % 4).zero?
    end
  end

  def assert_printed(machine, found, id)
    hole = act(:post, "stitches", {}, id: id)

    assert_operator hole["points"].size, :>, 40
    assert_settable machine, found, hole
    assert_one_truth found["sheet"], id
  end

  # What a station says, the steps, the strip, the card and the start marks say too.
  def assert_one_truth(sheet, id)
    slit, overall = sheet["opening"].values_at("length", "overall").map { |length| length["text"] }
    steps = sheet["sewing"]["steps"].to_h do |step|
      [step["key"], step.values_at("does", "how", "symptom").compact.join(" ")]
    end
    settings = sheet["recipe"]["settings"].to_h { |setting| [setting["key"], setting["text"].delete_suffix(" mm")] }
    said = sheet["opening"]["setting"]["says"]

    assert_includes steps.fetch("mark"), slit
    assert_includes steps.fetch("stabilise").downcase, settings.fetch("stabiliser").downcase
    assert_includes steps.fetch("needle"), settings.fetch("needle")
    assert_includes steps.fetch("settings"), "length #{settings.fetch('stitch_length')}"
    assert_equal([slit, overall], sheet["swatch"]["to_sew"].values_at("opening", "overall").map { |length| length["text"] })
    assert_includes [steps.fetch("test-sew"), steps["clamp"]].join, said
    sheet["placket"]["holes"].each do |hole|
      place = steps.fetch("place-at-#{(hole['at']['mm'] * 1000).round}")

      hole["starts"].each { |start| [start["along"], start["from_edge"]].each { |length| assert_includes place, length["text"] } }

      assert_equal slit, hole["opening"]["text"]
    end
    assert_includes text_of("closures/#{id}/strip.svg"), "cut length #{slit}, overall length #{overall}"
    card = text_of("closures/#{id}/card.pdf")

    [said, "Cut length #{slit}, overall length #{overall}", settings.fetch("stitch_length")].each { |figure| assert_includes card, figure }
  end

  def text_of(path)
    get("/api/workrooms/marsh-walk/#{path}", {}, HEADERS)
    return last_response.body.gsub(/<[^>]+>/, " ") unless path.end_with?("pdf")

    text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: last_response.body, binmode: true)
    text.force_encoding("UTF-8").gsub(/\s+/, " ")
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
    style = found["sheet"]["recipe"]["settings"].first["scores"].find { |score| score["chosen"] }["key"]
    return if style == "straight_box"

    assert on_dial.call(hole["width"]["mm"], machine.width_step.to_f), found["name"]
    assert_operator hole["width"]["mm"], :<=, machine.max_width.to_f
    assert_includes machine.styles + %w[manual_zigzag corded eyelet], style
  end
end
