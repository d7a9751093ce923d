# frozen_string_literal: true

require_relative "../app_helper"

# One line, its first answer, and kept: what the card says is what the buttonholes say afterwards.
class RequestRouteTest < AppTest
  LINES = ["shirt front, 7 buttons 11.5 mm, cotton poplin", "coat cuff, 3 buttons 24L, wool", "cushion cover, 4 buttons 22 mm",
           "toddler romper, jersey, 5 buttons 11 mm", "women's boiled wool jacket, four 25 mm domed buttons, 5 mm thick",
           "bag strap, leather, one 20 mm button", "silk chiffon blouse, 9 ball buttons 10 mm", "skirt waistband 18 mm",
           "jersey romper, 7 snaps", "satin dress, 24 ball buttons 10 mm, rouleau loops", "tweed coat, 4 buttons 25 mm, bound buttonholes"].freeze

  def ask(text, chosen = {}, room: "/api/workroom")
    call(:post, "#{room}/request", { text: text, chosen: chosen }).tap { assert_status 200 }
  end

  def keep(text, chosen = {}, room: "/api/workroom")
    call(:post, "#{room}/request/keep", { text: text, chosen: chosen }).tap { assert_status 201 }
  end

  def test_what_the_card_says_is_what_is_kept
    LINES.each do |line|
      found = ask(line)
      kept = keep(line)
      sheet = kept["sheet"]

      assert_empty found["unread"], line
      assert_equal found["answer"]["length"], sheet["opening"]["length"], line
      assert_equal found["answer"]["drawn"]["places"], sheet["placket"]["holes"].map { |hole| hole["at"]["mm"] }, line
      assert_equal ways(found["answer"]["way"]), ways(sheet["recipe"]["ways"]), line
      warned = sheet["placket"]["cautions"].map { |one| one["says"] }

      assert_equal found["answer"]["cautions"], warned.uniq.first(2), line
      assert_equal [found["garment"], found["part"]], [kept["garment"]["name"], kept["name"]]
      found["chips"].each { |chip| assert_chip kept, chip }
    end

    assert_equal LINES.size + 12, db[:closures].count
  end

  # Of the card, or of the sheet, what closes it by hand and with which figures.
  def ways(found)
    return found && [found["name"], found["figures"].map { |one| one.values_at("label", "text") }] unless found&.key?("offered")

    chosen = found["offered"].find { |one| one["key"] == found["chosen"] }
    chosen && [chosen["name"], chosen["figures"].map { |one| [one["name"], one["value"]["text"]] }]
  end

  # Nothing is kept by asking; a guessed thickness gives a range and no chance, a measured one a chance.
  def test_a_thickness_that_is_guessed_is_asked_for_first
    guessed = ask(LINES.first)
    measured = ask(LINES.first, { "button.thickness" => "2.5" })

    assert_equal 12, db[:closures].count
    assert_equal ["button.thickness", "usual"], guessed["chips"].first.values_at("path", "origin")
    assert_nil guessed["answer"]["chance"]
    assert_operator guessed["answer"]["range"]["from"]["mm"], :<, guessed["answer"]["range"]["to"]["mm"]
    assert_nil measured["answer"]["range"]
    assert_operator measured["answer"]["chance"]["in_twenty"], :>, 0
    assert_equal "chosen", measured["chips"].find { |chip| chip["path"] == "button.thickness" }["origin"]
  end

  # A dome is higher than a disc, and a toggle as thick as a finger: what nobody measured is taken as it mostly is, in
  # the line, on the button's page and for the length, until somebody measures it or sews a test hole.
  def test_a_guessed_thickness_is_that_of_such_a_button_everywhere
    words = { "rounded" => "", "domed" => "domed", "bar" => "toggle", "rimmed" => "rimmed" }
    words.to_a.product([10, 18, 28, 38]) do |(shape, word), across|
      usual = BUTTON_SHAPES.fetch(shape).usual_thickness(Length.mm(across)).to_s
      line = "coat, 3 buttons #{across} mm #{word}"
      first = ask(line)
      kept = keep(line)

      assert_nil kept["plan"]["button.thickness"], line
      assert_equal [usual] * 2, [first["chips"].first["text"], kept["sheet"]["button"]["height"]["text"]], line
      assert_equal first["answer"].slice("range", "chance"), kept["sheet"]["opening"].slice("range", "chance"), line
      assert_operator first["answer"]["range"]["from"]["mm"], :<, first["answer"]["range"]["to"]["mm"], line
    end
    { "rounded" => [18, 3], "domed" => [28, 8.5], "bar" => [28, 7] }.each do |shape, (across, high)|
      assert_equal Length.mm(high), BUTTON_SHAPES[shape].usual_thickness(Length.mm(across)), shape
    end
  end

  # Whoever measures in inches gets inches, on the card and in what is kept, and types inches into the card.
  def test_a_line_in_inches_goes_on_in_inches
    line = "linen shirt front, 27 in, 7 buttons 1/2\""
    first = ask(line)
    chips = first["chips"].to_h { |chip| chip.values_at("path", "text") }

    assert_equal ["1/2 in", "27 in"], chips.values_at("button.diameter", "placket.run_length")
    assert_match(/ in\z/, first["answer"]["length"]["text"])
    assert_equal "3/32 in thick", "#{chips['button.thickness']} thick", "a guess is a mark of the ruler too"
    kept = keep(line, { "button.thickness" => "1/8" })
    usual = keep("linen shirt cuff, buttons 1/2 in")["plan"].values_at("placket.extension", "placket.run_length").map { |one| one["text"] }

    usual.each { |text| assert_match(%r{\A(\d+ )?(\d+/[248] )?in\z|\A\d+ in\z}, text) }

    assert_equal ["in", "1/8 in"], [kept["unit"], kept["plan"]["button.thickness"]["text"]]
    [["linen shirt, 27 in, 7 buttons 11.5 mm", "mm"], ["linen shirt, 7 buttons 18L", "mm"], ["linen shirt, 7 buttons", "mm"],
     ["linen shirt in cream, 7 buttons", "mm"], ["linen shirt, buttons half an inch", "in"]].each do |said, unit|
      assert_equal unit, keep(said)["unit"], said
    end
  end

  # A cardigan is knitted and a coat heavy, whatever was sewn last, until a fabric is named.
  def test_a_garment_is_of_what_it_is_mostly_made_of
    kind = ->(line) { ask(line)["chips"].find { |chip| chip["path"] == "cloth.kind" }.values_at("text", "origin") }

    assert_equal %w[knit usual], kind.call("baby cardigan, 4 buttons 12 mm")
    assert_equal ["heavy woven", "usual"], kind.call("pea coats, 4 buttons 30 mm")
    assert_equal ["pile or felted", "said"], kind.call("boiled wool cardigan, 4 buttons 20 mm")
    assert_equal "jeans buttons", keep("denim skirt, 8 jeans buttons")["plan"]["button.name"]
  end

  # A large button wants more fabric beside it: taken so, with a chip that says it, unless somebody measured the edge.
  def test_a_guessed_edge_has_room_for_its_buttons
    chip = ->(found) { found["chips"].find { |one| one["path"] == "placket.extension" }&.fetch("text") }
    warns = ->(kept) { kept["sheet"]["placket"]["cautions"].any? { |one| one["says"].start_with?("The extension is") } }
    large = "wool coat, 4 buttons 38 mm, 90 cm"

    assert_equal "25 mm", chip.call(ask(large))
    refute warns.call(keep(large))
    assert_nil chip.call(ask("wool coat, 4 buttons 20 mm, 90 cm")), "as usual there"
    assert_equal "18 mm", chip.call(ask(large, { "placket.extension" => "18" }))
    assert warns.call(keep(large, { "placket.extension" => "18" }))
    assert_equal "1 in", chip.call(ask('wool coat, 4 buttons 1 1/2", 36 in'))
  end

  # Towelling takes an iron and the wash, other pile does not; where another fabric is chosen nothing of it is left.
  def test_what_is_said_of_a_fabric_goes_with_it
    care = ->(line, chosen = {}) { keep(line, chosen)["plan"].values_at("cloth.kind", "cloth.iron", "cloth.washed") }

    assert_equal %w[pile yes yes], care.call("robe, 5 buttons 28 mm, towelling")
    assert_equal ["pile", nil, nil], care.call("jacket, 5 buttons 28 mm, velvet")
    assert_equal ["leather", nil, nil], care.call("robe, 5 buttons 28 mm, towelling", { "cloth.kind" => "leather" })
  end

  def test_the_range_ends_with_what_is_measured_or_sewn
    kept = keep("flannel shirt, 6 buttons 20 mm domed")
    id = kept["id"]
    refused = call(:post, "/api/buttons", { closure_id: id, name: "horn" })

    assert kept["sheet"]["button"]["guessed"]
    assert_match(/Measure it/, kept["sheet"]["button"]["cautions"].first["instead"])
    assert_equal(["button.thickness"], refused["faults"].map { |one| one["field"] })
    typed = preview({ button: { thickness: "5" } }, id: id, station: "opening")["sheet"]

    assert_nil typed["opening"]["range"]
    assert_operator typed["opening"]["chance"]["in_twenty"], :>, 0
    enter({ closure: id, kind: "swatch", with: kept["sheet"]["swatch"]["with"], passes: "passes",
            measured: kept["sheet"]["opening"]["length"]["text"] })

    tested = closure(id)["sheet"]["opening"]

    assert_equal [nil, true], [tested["range"], tested["chance"]["tested"]]
  end

  # Only what the answer rests on is asked: of a ball not how thick it is, of a stud no button at all.
  def test_nothing_is_asked_that_changes_nothing
    ball = ask("coat, 4 ball buttons 20 mm")
    chips = ball["chips"].to_h { |chip| chip.values_at("path", "text") }

    assert_nil ball["answer"]["range"]
    assert_operator ball["answer"]["chance"]["in_twenty"], :>, 0
    assert_equal "shank", chips["button.attachment"]
    refute_includes chips.keys, "button.thickness"
    # Where a hole is the wrong answer the card says so, until another way is asked for.
    soft = "boiled wool coat, 4 ball buttons 20 mm"

    assert_equal keep(soft)["sheet"]["recipe"]["ways"]["wrong"], ask(soft)["answer"]["doubt"]
    assert_nil ask("#{soft}, button loops")["answer"]["doubt"]
    loop = ask(soft)["answer"]["instead"].first
    looped = ask(soft, { "recipe.way" => loop["key"] })["answer"]

    assert_equal [loop["name"], nil, []], [looped["way"]["name"], *looped.values_at("doubt", "instead")]
    assert_equal ask(soft)["answer"], ask(soft, { "recipe.way" => "" })["answer"], "a hole after all"
    assert_empty(ask("romper, 7 snaps")["chips"].select { |chip| chip["path"].start_with?("button.") })
  end

  # Names of the workroom go before the words of the craft.
  def test_ones_own_things_are_known_by_their_names
    found = keep("linen field smock, right cuff, 2 small shell 11 on Curlew")

    assert_equal ["linen field smock", "small shell 11", "Curlew"],
                 [found["garment"]["name"], found["plan"]["button.name"], found["machine"]["name"]]
    assert_equal 3, call(:get, "/api/garments/#{found['garment']['id']}")["closures"].size
  end

  # Without a machine one is taken that most people have, and it can be corrected afterwards.
  def test_a_short_line_finds_buttons_and_tests_as_well
    log_swatch({ passes: "passes", symptoms: [] })
    found = call(:post, "/api/request", { text: "river 18" })["found"]

    assert_equal [["river shell 18"], 0], found.values_at("buttons", "tests")
    assert_equal 1, call(:post, "/api/request", { text: "field linen" })["found"]["tests"]
    assert_equal({ "buttons" => [], "tests" => 0 }, call(:post, "/api/request", { text: "shirt front, 7 buttons river 18" })["found"])
  end

  def test_an_empty_workroom_needs_one_line_and_no_more
    room = "/api/workrooms/#{call(:post, '/api/workrooms', { name: 'Attic' })['slug']}"
    found = ask(LINES.first, room: room)

    assert_empty call(:get, room)["machines"]
    assert_equal [nil, true], found["machine"].values_at("id", "assumed")
    keep(LINES.first, room: room)
    keep(LINES.first, room: room)

    assert_equal(["My machine"], call(:get, room)["machines"].map { |one| one["name"] })
    assert_equal(["cotton poplin shirt", "cotton poplin shirt (2)"], call(:get, room)["garments"].map do |one|
      one["name"]
    end)
    # What is called as the craft calls it is added to by another part only.
    names = ["shirt, 7 buttons 11 mm", "shirt, 6 buttons 11 mm", "shirt cuff, 1 button 11 mm"].map do |line|
      keep(line, room: room).then { |kept| [kept["garment"]["name"], kept["name"], kept["plan"]["placket.use"]] }
    end

    assert_equal [%w[shirt front shirt], ["shirt (2)", "front", "shirt"], %w[shirt cuff shirt]], names
  end

  def test_what_cannot_be_is_said_and_nothing_is_kept
    found = ask("shirt, 40 buttons 30 mm, edge 200 mm")

    assert_nil found["answer"]
    refute_empty found["faults"]
    call(:post, "/api/workroom/request/keep", { text: "shirt, 7 buttons 900 mm" })

    assert_status 422
    call(:post, "/api/workroom/request", { text: "shirt", chosen: { "button.thickness" => "wide" } })

    assert_status 422
    assert_equal 12, db[:closures].count
    call(:post, "/api/workroom/request", { text: "shirt", chosen: { "placket.pins" => "x" } })

    assert_status 422
    call(:post, "/api/workroom/request", { text: "x" * 201 })

    assert_status 400
  end

  private

  def assert_chip(kept, chip)
    value = kept["plan"][chip["path"]]
    text = value.is_a?(Hash) ? value["text"] : value
    return if text.nil? || ClosureFields.fetch(chip["path"]).choices

    assert_equal text, chip["text"], chip["path"]
  end
end
