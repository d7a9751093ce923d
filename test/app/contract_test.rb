# frozen_string_literal: true

require_relative "../app_helper"

# Every answer is held against app/http/openapi.yaml by the helper.
class ContractTest < AppTest
  def test_everything_that_is_read
    %w[/api/health /api/catalogue /api/workroom /api/closures/1/history].each do |path|
      call(:get, path)

      assert_status 200
    end
    db[:closures].select_map(:id).each do |id|
      found = closure(id)

      assert_status 200
      assert_match(/\A"\h{32}"\z/, last_response["etag"])
      assert_equal "private, no-cache", last_response["cache-control"]
      # Nothing is sewn on where nothing fastens; another way is not tested, and a loop is no hole's length.
      without = { /cord|ribbon/ => 1, /hand_worked/ => 1, /fabric_loop/ => 2 }.sum do |what, stages|
        found["plan"].values_at("button.shape", "recipe.way").join.match?(what) ? stages : 0
      end

      assert_equal 9 - without, found["sheet"]["stages"].size
    end
  end

  def test_the_catalogue_offers_just_what_the_core_knows
    found = call(:get, "/api/catalogue")
    keys = found.except("begun", "how_to").transform_values { |items| items.map { |item| item["key"] } }

    assert_equal BUTTON_SHAPES.keys, keys["shapes"]
    assert_equal TERMS.keys, keys["terms"]
    assert_equal(STYLES.keys, found["fields"].find do |field|
      field["path"] == "recipe.style"
    end["choices"].map { |item| item["key"] })
    assert_equal Swatches::SYMPTOMS.keys, keys["symptoms"]
    assert_equal(STAGES.keys.sort, found["how_to"].map { |one| one["stage"] }.sort)
    # What a new machine begins with can be kept as soon as it has a name.
    begun = found["begun"]["machine"].merge("feet" => [found["begun"]["foot"]])
    begun["facts"]["name"] = "Dunlin"
    call(:post, "/api/machines", begun)

    assert_status 201
  end

  def test_the_description_names_every_field_that_can_be_typed
    schemas = YAML.safe_load_file(Http::Web::DESCRIPTION).dig("components", "schemas")
    typed = [*ClosureFields::BY_PATH.keys, *ClosureFields::LISTS.keys, "machine.id"]

    decided = [*STAGES.keys.map { |stage| "settled.#{stage}" }, "swatch.accepted"]

    assert_equal [*typed, *decided].sort, schemas["PlanChange"]["properties"].keys.sort
    assert_equal [*typed, "swatch.accepted"].sort, schemas["Plan"]["required"].sort
  end

  # Whatever fills its gaps, as the library that checks would find it among all of them.
  def test_an_address_means_the_same_operation_as_among_all_of_them
    library = Http::Web::SCHEMA.open_api
    random = Random.new(16)
    Http::Stack::CONTENT["paths"].each do |path, item|
      (Http::Described::VERBS & item.keys).each do |verb|
        address = path.gsub(/\{\w+\}/) { %w[12 a-b zz.y 0-1.pdf].sample(random: random) }
        expected = library.request_operation(verb, address)
        found = Http::Web::SCHEMA.operation_object(address, verb)

        assert_equal [expected.original_path, expected.path_params], [found.original_path, found.path_params], address
      end
    end

    assert_nil Http::Web::SCHEMA.operation_object("/api/nowhere/12", "get")
  end

  def test_the_page_of_the_interface_needs_nothing_from_elsewhere
    page = call(:get, "/api/docs")

    assert_empty page.scan(%r{(?:src|href)="(https?:|//)})
    page.scan(/(?:src|href)="([^"]+)"/).flatten.each do |asset|
      call(:get, asset)

      assert_status 200
    end
    assert_equal call(:get, "/api/openapi.yaml"), File.read(Http::Web::DESCRIPTION)
  end

  def test_the_front_end_is_served_whole_from_here
    page = call(:get, "/w/marsh-walk/closures/1/button")

    assert_status 200
    assets = page.scan(/(?:src|href)="([^"]+)"/).flatten.grep_v(/\Adata:/)

    assert_operator assets.size, :>=, 3
    assets.each do |asset|
      assert asset.start_with?("/"), asset
      call(:get, asset)

      assert_status 200
    end
    styles = Dir["#{Http::FrontEnd::FOLDER}/assets/*.css"].map { |file| File.read(file) }.join

    assert_empty styles.scan(%r{url\((?!["']?(?:/assets/|data:|%23))})
    call(:get, "/../Gemfile")

    refute_includes last_response.body, "rubygems"
  end

  # What a page is told to begin with is there, at every stage by the address that the screens give it; and nothing is
  # told that nobody looks at.
  def test_a_page_is_told_what_it_begins_with
    addresses = File.read("#{Http::FrontEnd::FOLDER}/../src/table/addresses.ts").scan(/^  (\w+): '([\w-]+)',$/).to_h(&:reverse)

    assert_equal Http::FirstLoad::STAGES_AT, addresses
    addresses.each do |stage, word|
      call(:get, "/w/marsh-walk/closures/1/#{stage}")
      told = last_response["link"].scan(/<([^>]+)>/).flatten

      assert_equal(["", "/catalogue", "/closures/1?station=#{word}"].map { |rest| "/api/workrooms/marsh-walk#{rest}" },
                   told.grep(%r{/api/}))
      assert_operator told.grep(/\.js\z/).size, :>=, 4
      told.each { |address| call(:get, address) && assert_status(200) }
    end
    { "/w/marsh-walk" => 2, "/w/marsh-walk/sessions/1/sew" => 1 }.each do |address, answers|
      call(:get, address)
      told = last_response["link"].scan(/<([^>]+)>/).flatten

      assert_operator told.grep(/\.js\z/).size, :>=, 3, address
      assert_operator told.grep(%r{/api/}).size, :>, answers, address
    end
    %w[/ /w/marsh-walk/stash /w/no%3Croom/closures/1/length /w/marsh-walk/closures/1/nowhere].each do |address|
      call(:get, address)

      assert_nil last_response["link"], address
    end
  end

  def test_every_change_is_a_revision_that_can_be_undone_redone_and_brought_back
    save({ button: { diameter: "28L" } })
    save({ cloth: { layers: "4" }, placket: { pins: [{ at: "300", label: "bust" }], keep_outs: [] } })
    tick("stabilise")

    assert_equal ["#{ClosureFields.fetch('cloth.layers').label} 2 → 4; pin fullest point at 212 mm removed; 2 more", nil], closure.values_at("undo", "redo")
    refute(act(:post, "undo")["plan"]["placket.pins"].any? { |pin| pin["label"] == "bust" })
    assert_equal "18 mm", act(:post, "undo")["plan"]["button.diameter"]["text"]
    assert_equal [nil, "diameter 18 → 17.78 mm"], closure.values_at("undo", "redo")
    act(:post, "redo")

    assert_equal "17.78 mm", closure["plan"]["button.diameter"]["text"]
    assert_equal "28", closure["sheet"]["button"]["lignes"]
    redone = act(:post, "redo")

    assert_equal(["300 mm"], redone["plan"]["placket.pins"].map { |pin| pin["at"]["text"] })
    history = call(:get, "/api/closures/1/history")

    assert_equal([3, 2, 1], history.map { |revision| revision["number"] })
    assert_equal(["diameter 18 → 17.78 mm", "begun"], history.last(2).map { |revision| revision["changes"] })
    assert_equal([1], call(:get, "/api/closures/1/history?before=2").map { |revision| revision["number"] })
    back = act(:post, "history/1")

    assert_equal "18 mm", back["plan"]["button.diameter"]["text"]
    assert_equal "17.78 mm", act(:post, "undo")["plan"]["button.diameter"]["text"]
    assert step("stabilise")["done"], "what was done stays done, wherever the plan goes"
  end

  def test_after_undo_a_new_change_is_what_redo_knows
    save({ button: { diameter: "19" } })
    act(:post, "undo")
    save({ button: { diameter: "20" } })

    assert_nil closure["redo"]
    act(:post, "undo")

    assert_equal "20 mm", act(:post, "redo")["plan"]["button.diameter"]["text"]
    save({ button: { diameter: "20" } })

    assert_equal 3, call(:get, "/api/closures/1/history").size, "saying the same again is no change"
  end

  def test_knots_are_tied_go_stale_and_are_taken_up
    act(:put, "settled/opening")
    state = ->(found) { found["sheet"]["stages"].find { |stage| stage["word"] == "opening" }["state"] }

    assert_equal "tied", state.call(closure)
    stale = save({ button: { diameter: "20" } })

    assert_equal "stale", state.call(stale)
    assert_equal "cut length was 22.5 mm, now 24.5 mm", stale["sheet"]["stages"].find { |stage| stage["word"] == "opening" }["changes"].first
    assert_equal "tied", state.call(act(:post, "undo"))
    assert_equal "loose", state.call(act(:delete, "settled/opening"))
    act(:put, "settled/lunch")

    assert_status 404
  end

  # Deciding goes with what was typed, under the version that was seen.
  def test_a_stage_is_decided_with_what_is_typed
    seen = match
    state = ->(found, word) { found["sheet"]["stages"].find { |stage| stage["word"] == word }["state"] }
    found = call(:patch, "/api/closures/1/plan", { "button.diameter" => "20", "settled.opening" => "yes" }, seen)

    assert_equal "tied", state[found, "opening"]
    call(:patch, "/api/closures/1/plan", { "settled.button" => "yes" }, seen)

    assert_status 412
    log_swatch({ passes: "passes", measured: "24" })
    hole = closure["sheet"]["swatch"]["log"].first["id"]
    found = call(:patch, "/api/closures/1/plan", { "swatch.accepted" => hole, "settled.opening" => nil }, match)

    assert_equal(%w[loose tied tied], %w[opening recipe swatch].map { |word| state[found, word] })
    call(:patch, "/api/closures/1/plan", { "swatch.accepted" => SecureRandom.uuid }, match)

    assert_status 422
  end

  def test_a_swatch_from_log_to_accepted
    right = { bead_away: "full", bead_back: "full", tension: "even", space: "room" }
    log_swatch({ passes: "passes", looks: right.merge(bead_away: "thin", bead_back: "thin"), measured: "7/8", note: "first" })
    swatch = closure["sheet"]["swatch"]
    advice = call(:get, "/api/closures/1/advice")
    change = advice["changes"].find { |one| one["axis"] == "cover" }

    assert_equal "22.23 mm", swatch["log"][0]["measured"]["text"]
    assert_equal ["0.3mm"], change["sets"].values_at("recipe.stitch_length")
    call(:patch, "/api/closures/1/plan", advice["changes"].map { |one| one["sets"] }.reduce(:merge), match)

    assert_equal "pending", call(:get, "/api/closures/1/advice")["kind"]
    2.times { log_swatch({ passes: "passes", looks: right, measured: "23" }) }
    swatch = closure["sheet"]["swatch"]

    assert_equal "sew_row", call(:get, "/api/closures/1/advice")["kind"]
    assert_equal "0.3 mm", swatch["log"][0]["stitch_length"]["text"]
    found = act(:put, "accepted/#{swatch['log'][0]['id']}")

    assert_equal([true, false, false], found["sheet"]["swatch"]["log"].map { |logged| logged["accepted"] })
    assert_equal(%w[recipe swatch], found["sheet"]["stages"].select { |stage| stage["state"] == "tied" }.map { |stage| stage["word"] })
    # Held with what it was sewn with: it says so, and what is otherwise since.
    assert_equal [3, []], found["sheet"]["swatch"]["frozen"].values_at("number", "changes")
    moved = save({ recipe: { stitch_length: "0.5" } })["sheet"]["swatch"]["frozen"]

    assert_equal ["stitch length: 0.3 mm → 0.5 mm"], moved["changes"]
    assert_equal NOW, Time.parse(found["sheet"]["swatch"]["log"][0]["sewn_at"])
    act(:put, "accepted/#{SecureRandom.uuid}")

    assert_status 422
  end

  def test_steps_are_ticked_and_the_ledger_follows_the_machine
    tick("foot")
    tick("settings")
    found = closure

    assert_equal(%w[selector tension width length foot], found["sheet"]["ledger"].map { |entry| entry["key"] })
    assert_equal(2, found["sheet"]["sewing"]["steps"].count { |step| step["passed_over"] })
    assert_equal found["sheet"]["ledger"], closure(2)["sheet"]["ledger"], "another closure on the same machine"
    assert_empty closure(3)["sheet"]["ledger"]
    enter({ kind: "withdrawal", about: step("foot")["entry"] })

    assert_empty(closure["sheet"]["ledger"].select { |entry| entry["key"] == "foot" })
    refute step("foot")["done"]
  end

  def test_a_closure_is_begun_blank_or_like_another_and_removed
    blank = call(:post, "/api/closures", { garment: "storm hood", name: "throat strap" })

    assert_status 201
    assert_equal "storm hood", blank["garment"]["name"]
    act(:put, "settled/button")
    like = call(:post, "/api/closures", { garment: "storm hood", name: "other strap", like: SMOCK })

    assert_equal "river shell 18", like["plan"]["button.name"]
    assert_equal ["loose"], like["sheet"]["stages"].map { |stage| stage["state"] }.uniq
    assert_equal(2, call(:get, "/api/workroom")["garments"].find { |garment| garment["name"] == "storm hood" }["closures"].size)
    call(:delete, "/api/closures/#{blank['id']}")

    assert_status 428
    act(:delete, "", id: blank["id"])

    assert_status 204
    closure(blank["id"])

    assert_status 404
    call(:post, "/api/closures", { garment: "storm hood", name: "other strap" })

    assert_status 422
    call(:post, "/api/closures", { garment: " ", name: "x" })

    assert_status 422
    call(:post, "/api/closures", { garment: "storm hood", name: "x", like: 999 })

    assert_status 404
  end

  def test_several_readings_are_weighed_up
    found = call(:post, "/api/readings", { readings: ["18", "", "18.1mm", "3/4"] })

    figures = found.values_at("mean", "spread", "largest").map { |length| length["text"] }

    assert_equal ["18.38 mm", "1.05 mm", "19.05 mm"], figures
    refute found["steady"]
    { %w[18 wide] => "readings.2", ["", " "] => "readings.1", ["-2"] => "readings.1",
      ["900"] => "readings.1" }.each do |readings, field|
      problem = call(:post, "/api/readings", { readings: readings })

      assert_status 422
      assert_equal([field], problem["faults"].map { |fault| fault["field"] })
    end
    call(:post, "/api/readings", { readings: ["1"] * 51 })

    assert_status 400
  end

  def test_a_button_goes_on_the_shelf_under_its_name
    save({ button: { diameter: "3/4" } })
    call(:post, "/api/buttons", { closure_id: SMOCK, name: "marsh pearl" })
    found = call(:get, "/api/picks/button?search=marsh&name=wood+toggle")

    assert_equal("19.05mm", found["items"].find { |button| button["name"] == "marsh pearl" }["fields"]["diameter"])
    call(:post, "/api/buttons", { closure_id: SMOCK, name: " " })

    assert_status 422
  end

  def test_lengths_are_shown_in_the_persons_unit
    call(:patch, "/api/workroom", { unit: "in" }, "HTTP_IF_MATCH" => '"1"')

    assert_equal "in", call(:get, "/api/workroom")["unit"]
    assert_equal "mm", closure["unit"], "a closure keeps the unit it was made in"
    db[:closures].update(unit: "in")
    save({ button: { diameter: "3/4" }, opening: { ruler: "sixteenth_inch" } })
    found = closure

    assert_equal "3/4 in", found["plan"]["button.diameter"]["text"]
    assert_match(%r{\A\d+(/\d+)? ?(\d+/\d+)? in\z}, found["sheet"]["opening"]["length"]["text"])
    refute_match(/\d mm/, found["sheet"]["opening"]["because"].map { |reason| reason["says"] }.join)
    call(:patch, "/api/workroom", { unit: "mm" }, "HTTP_IF_MATCH" => '"1"')

    assert_status 412
  end

  # What a machine may have a programme for is said by the rules; the description repeats it.
  def test_the_description_knows_every_programme
    keys = Http::Web::SCHEMA.open_api.components.schemas["StyleKey"].enum

    assert_equal Recipes::PROGRAMMES, keys
    assert_equal(keys, call(:get, "/api/catalogue")["programmes"].map { |item| item["key"] })
  end
end
