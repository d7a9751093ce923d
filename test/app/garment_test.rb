# frozen_string_literal: true

require "open3"
require "pdf-reader"
require "vips"
require_relative "../app_helper"

# A garment with all its closures, its mirror images, and the way out to a file and back.
class GarmentTest < AppTest
  def garments = call(:get, "/api/workroom")["garments"].to_h { |garment| [garment["name"], garment["id"]] }
  def file(id) = call(:get, "/api/garments/#{id}/file").then { last_response.body }

  def take_in(text, type: "application/json")
    custom_request("POST", "/api/garments/import", {}, HEADERS.merge("CONTENT_TYPE" => type, input: text))
    JSON.parse(last_response.body)
  end

  # The smock with something of everything.
  def worked
    save({ "placket" => { "pins" => [{ "at" => "212", "label" => "fullest" },
                                     { "at" => "8 1/2in", "label" => "", "weight" => "3" }],
                          "least_gap" => "60", "first_lies" => "across" } })
    log_swatch({ passes: "tight", measured: "22.1", symptoms: ["gappy"], note: "ok" })
    act(:put, "accepted/#{closure['sheet']['swatch']['log'][0]['id']}")
    act(:put, "settled/button")
    tick("stabilise")
  end

  def test_a_garment_shows_what_is_left_of_every_closure
    act(:put, "settled/button")
    garment = call(:get, "/api/garments/#{garments['linen field smock']}")

    assert_equal(["front placket", "left cuff"], garment["closures"].map { |closure| closure["name"] })
    front = garment["closures"].first

    assert_equal [7, "right over left", "Lapwing", 0], front.values_at("holes", "overlap", "machine", "done")
    assert_equal([%w[Fabric loose], %w[Button tied]], front["stages"].first(2).map { |stage| stage.values_at("title", "state") })
    save({ "placket" => { "most_gap" => "70" } })

    assert_nil call(:get, "/api/garments/#{garments['linen field smock']}")["closures"].first["trouble"]
    call(:get, "/api/garments/99")

    assert_status 404
  end

  def test_a_mirror_image_lies_the_other_way_round_and_at_the_same_places
    made = call(:post, "/api/closures", { garment: "linen field smock", name: "right cuff", like: 2, mirror: true })
    left = closure(2)

    assert_equal %w[right left], [left["plan"]["placket.overlap"], made["plan"]["placket.overlap"]]
    places = ->(of) { of["sheet"]["placket"]["holes"].map { |hole| hole["at"]["mm"] } }

    assert_equal places.call(left), places.call(made)
  end

  def test_a_garment_is_called_otherwise_noted_on_and_archived
    id = garments["linen field smock"]
    call(:patch, "/api/garments/#{id}", { note: "Sleeves to the elbow.\nHem by hand.", note_was: "" })

    assert_status 200
    call(:patch, "/api/garments/#{id}", { note: "Other words.", note_was: "" })

    assert_status 412
    assert_equal "Sleeves to the elbow.\nHem by hand.", JSON.parse(last_response.body)["garment"]["note"]
    call(:patch, "/api/garments/#{id}", { name: "felted waistcoat" })

    assert_status 422
    save({ "placket" => { "most_gap" => "70" } })

    assert_includes(call(:get, "/api/under-way")["closures"].map { |one| one["garment"] }, "linen field smock")
    found = call(:patch, "/api/garments/#{id}", { archived: true, name: "marsh smock" })

    assert_equal [true, "marsh smock"], found.values_at("archived", "name")
    refute_includes(call(:get, "/api/under-way")["closures"].map { |one| one["garment"] }, "marsh smock")
    refute call(:patch, "/api/garments/#{id}", { archived: false })["archived"]
  end

  def test_a_copy_for_another_size_and_fabric_takes_wishes_only
    worked
    id = garments["linen field smock"]
    made = call(:post, "/api/garments/#{id}/copies", { name: "linen field smock", longer: "-3 cm", plan: { "cloth.kind" => "knit" } })

    assert_status 201
    assert_equal "linen field smock (2)", made["garment"]["name"]
    assert_includes made["left_behind"], "pins"
    before, after = [id, made["garment"]["id"]].map { |one| call(:get, "/api/garments/#{one}")["closures"].map { |part| closure(part["id"]) } }

    assert_equal(before.map { |one| one["plan"]["placket.run_length"]["mm"] - 30 }, after.map { |one| one["plan"]["placket.run_length"]["mm"] })
    assert_equal ["knit"], after.map { |one| one["plan"]["cloth.kind"] }.uniq
    assert(after.all? do |one|
      one["sheet"]["swatch"]["log"].empty? && one["sheet"]["sewing"]["steps"].none? do |step|
        step["done"]
      end
    end)
    call(:post, "/api/garments/#{id}/copies", { name: "too short", longer: "-3 m" })

    assert_status 422
    refute_includes garments.keys, "too short"
  end

  # A template is planned as any garment, takes nothing out of the box, and nobody goes on with it; what is started from
  # it is a garment again.
  def test_others_are_started_from_a_template
    id = garments["linen field smock"]
    planned = -> { workroom.stash.planned_for(["river shell 18"]).fetch("river shell 18").map { |one| one[:garment] } }
    before = planned.call
    made = call(:post, "/api/garments/#{id}/copies", { name: "any smock", template: true })["garment"]
    save({ "placket" => { "most_gap" => "70" } }, id: made["closures"].first["id"])

    assert_equal [true, before], [made["template"], planned.call]
    refute_includes(call(:get, "/api/under-way")["closures"].map { |one| one["garment"] }, "any smock")
    started = call(:post, "/api/garments/#{made['id']}/copies", { name: "this smock", longer: "2 cm" })["garment"]

    assert_equal [false, made["closures"].size], [started["template"], started["closures"].size]
    listed = call(:get, "/api/workroom")["garments"].to_h { |one| [one["name"], one["template"]] }

    assert_equal [true, false, false], listed.values_at("any smock", "this smock", "linen field smock")
    assert_includes planned.call, "this smock"
  end

  def test_photos_of_a_garment_are_kept_deleted_and_put_back
    id = garments["linen field smock"]
    at = "/api/garments/#{id}/photos"
    custom_request("POST", at, {}, HEADERS.merge(input: "no photo", "CONTENT_TYPE" => "image/jpeg"))

    assert_status 422
    picture = (Vips::Image.black(400, 300, bands: 3) + 90).cast(:uchar).copy(interpretation: :srgb).jpegsave_buffer
    custom_request("POST", at, {}, HEADERS.merge(input: picture, "CONTENT_TYPE" => "image/jpeg"))

    assert_status 201
    photo = JSON.parse(last_response.body).first
    custom_request("GET", "#{at}/#{photo['id']}/small.jpg", {}, HEADERS)

    assert_equal 320, Vips::Image.new_from_buffer(last_response.body, "").width
    call(:patch, "/api/garments/#{id}", { note: "With pockets.", note_was: "" })
    taken = take_in(file(id))

    assert_equal [1, "With pockets."], [taken["photos"].size, taken["note"]]
    assert_empty call(:delete, "#{at}/#{photo['id']}")
    assert_equal([photo["id"]], call(:post, "#{at}/#{photo['id']}/back").map { |one| one["id"] })
    call(:delete, "#{at}/#{photo['id']}")

    assert_equal 1, Store::GarmentPhotos.sweep(db, Store::Album.of(ENV, Http::Web::PHOTOS))
    assert_empty call(:get, "/api/garments/#{id}")["photos"]
  end

  def test_all_sheets_of_a_garment_are_one_pdf
    call(:get, "/api/garments/#{garments['linen field smock']}/sheets.pdf")
    found = PDF::Reader.new(StringIO.new(last_response.body))
    text = found.pages.map(&:text).join(" ")

    ["shopping list", "front placket", "left cuff", "button side", "Put back", "record"].each { |words| assert_includes text, words }
    root = found.objects.deref(found.objects.trailer[:Root])

    assert_equal ["en-GB", :None], [root[:Lang], root[:ViewerPreferences][:PrintScaling]]
    assert_equal "linen field smock", found.info[:Title]
    # Loops have a page of their own, and no card of a machine that does not sew them.
    call(:get, "/api/garments/#{garments['silk blouse']}/sheets.pdf")
    text = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join(" ")

    assert_includes text, Otherways::WAYS.fetch("fabric_loop").name.capitalize
    refute_includes text, "Put back"
  end

  def test_out_and_in_again_is_the_same
    worked
    garments.each_value do |id|
      before = file(id)
      taken = take_in(before)

      assert_status 201
      assert_equal without_ids(before), without_ids(file(taken["id"]))
    end

    assert_includes garments.keys, "linen field smock (2)"
    # Into a workroom that knows none of its machines.
    before = file(1)
    %i[journal garments machines].each { |table| db[table].delete }

    assert_equal without_ids(before), without_ids(file(take_in(before)["id"]))
  end

  # Facts get ids of their own, and all that points to them; the name may get a number, and the machine
  # a record was sewn on is that of its name in the workroom the file is taken into.
  def without_ids(text)
    file = JSON.parse(text).except("name")
    file["closures"].flat_map { |one| one["journal"] }.each { |entry| entry.dig("data", "with")&.delete("machine.id") }
    ids = file["closures"].flat_map { |closure| closure["journal"].map { |entry| entry["id"] } }
    JSON.parse(ids.each_with_index.reduce(JSON.generate(file)) { |json, (id, index)| json.gsub(id, "entry-#{index}") })
  end

  def test_a_file_of_the_first_version_is_still_read
    old = JSON.parse(File.read(File.expand_path("../fixtures/garment-v1.json", __dir__)))
    taken = take_in(JSON.generate(old))

    assert_status 201
    id = taken["closures"].find { |one| one["name"] == "front placket" }["id"]
    found = closure(id)
    kept = old["closures"].find { |one| one["fields"]["closure.name"] == "front placket" }

    assert_equal kept["fields"]["button.diameter"].to_f, found["plan"]["button.diameter"]["mm"]
    assert_equal kept["pins"].size, found["plan"]["placket.pins"].size
    assert_equal kept["swatches"].map { |swatch| swatch["passes"] }, found["sheet"]["swatch"]["log"].map { |swatch|
      swatch["passes"]
    }.reverse
    assert_equal kept["steps_done"].sort, found["sheet"]["sewing"]["steps"].select { |step|
      step["done"]
    }.map { |step| step["key"] }.sort
    assert_empty found["sheet"]["ledger"], "what comes with a file moves no machine"
  end

  def test_what_a_garment_takes_is_told_in_three_ways
    id = garments["linen field smock"]
    found = call(:get, "/api/garments/#{id}/supplies")

    assert_status 200
    assert_includes found.map { |one| one["kind"] }, "thread"
    button = found.find { |one| one["kind"] == "button" }

    assert_equal db[:buttons].where(name: button["name"]).get(:owned), button["owned"]
    rows = CSV.parse(call(:get, "/api/garments/#{id}/supplies.csv"), headers: true)

    assert_equal(found.map { |one| one["name"] }, rows.map { |row| row["name"] })
    tick("stabilise")
    enter({ kind: "mishap", machine: 4, step: "stabilise", with: { "mishap.what" => "stay_wrong" } })
    call(:get, "/api/garments/#{id}/record.pdf")

    assert_status 200
    assert last_response.body.start_with?("%PDF")
    call(:get, "/api/garments/99/record.pdf")

    assert_status 404
  end

  SCHEMA = File.expand_path("../../docs/garment.schema.json", __dir__)

  # What the schema says of files, by a validator that is not ours.
  def faults_of(*texts)
    files = texts.map do |text|
      Tempfile.create(["garment", ".json"]).tap do |file|
        file.write(text) && file.close
      end.path
    end
    out, status = Open3.capture2e("node", File.expand_path("../support/validate.mjs", __dir__), SCHEMA, *files)

    assert_predicate status, :success?, out
    JSON.parse(out)
  ensure
    FileUtils.rm_f(files)
  end

  # Every garment of the sample, with a test hole, a tick taken back, a mishap and a photo's worth of looks in its log.
  def test_files_follow_their_schema
    log_swatch({ passes: "tight", measured: "22", looks: { bead_away: "thin" } })
    act(:put, "accepted/#{closure['sheet']['swatch']['log'][0]['id']}")
    tick("stabilise")
    enter({ kind: "withdrawal", about: step("stabilise")["entry"] })
    enter({ kind: "mishap", closure: SMOCK, step: "needle", with: { "mishap.what" => "jammed" }, moves: {} })
    files = db[:garments].select_order_map(:id).map { |id| file(id) }

    assert_empty faults_of(*files)
    broken = JSON.parse(files.first)
    broken["closures"].first["plan"]["button.diameter"] = "wide"
    broken["machines"].first.delete("kind")

    assert_equal 2, faults_of(JSON.generate(broken)).size
    assert_equal ClosureFields::BY_PATH.keys.sort,
                 (JSON.parse(File.read(SCHEMA)).dig("properties", "closures", "items", "properties", "plan",
                                                    "required") -
                  %w[placket.pins placket.keep_outs swatch.accepted settled]).sort
  end

  def test_a_newer_or_broken_file_changes_nothing
    good = JSON.parse(file(1))
    broken = ->(&change) { JSON.generate(JSON.parse(JSON.generate(good)).tap(&change)) }
    { "{" => "not as the interface", "[]" => "not as the interface", "{}" => "no garment file", broken.call do |f|
      f["version"] = 3
    end => "version 3; this application reads up to version 2",
      broken.call { |f| f["version"] = "?" } => "no version",
      broken.call { |f| f["closures"] = 7 } => "closures is no list",
      broken.call { |f| f["closures"][0]["plan"]["button.diameter"] = "wide" } => "button.diameter holds wide",
      broken.call { |f| f["closures"][0]["plan"]["button.diameter"] = "-3" } => "button.diameter",
      broken.call { |f| f["closures"][0]["machine"] = "none" } => "damaged",
      broken.call { |f| f["closures"][0]["plan"].delete("placket.pins") } => "damaged",
      broken.call { |f| f["machines"][0]["max_width"] = "400" } => "machine.max_width", broken.call do |f|
                                                                                          f["name"] = ""
                                                                                        end => "no name",
      broken.call { |f| f["closures"][0]["journal"] = [{ "kind" => "singing" }] } => "damaged",
      broken.call { |f| f["closures"] *= 501 } => "At most 500" }.each do |text, why|
      problem = take_in(text)

      assert_includes [400, 422], last_response.status
      assert_includes problem["detail"], why
      assert_equal 10, garments.size, why
    end
  end

  def test_a_preview_keeps_nothing_and_says_what_moved
    before = db[:revisions].count
    places = closure["sheet"]["placket"]["holes"].map { |hole| hole["at"]["mm"] }
    moved = preview({ "placket" => { "keep_outs" => [{ "from" => "300", "to" => "320", "label" => "pocket" }] } },
                    places: places)

    assert_status 200
    assert_match(/\AHoles? \d.* moved .*mm\.\z/, moved["moved"])
    moved["sheet"]["placket"]["holes"].each { |hole| refute_includes 285..335, hole["at"]["mm"].to_i }
    assert_equal before, db[:revisions].count
    stuck = preview({ "placket" => { "keep_outs" => [{ "from" => "200", "to" => "230" }] } }, id: 1)

    assert_nil stuck["sheet"]["placket"]
    assert_includes stuck["sheet"]["faults"].first["allowed"], "The hole of the button pinned at 212 mm lies within the keep-out"
    preview({ "placket" => { "keep_outs" => [{ "from" => "x", "to" => "1" }] } }, id: 1)

    assert_status 422
  end

  def test_bad_rows_get_clear_answers_in_bounded_time
    wrong = {
      { "count" => "0" } => "placket.count", { "count" => "500" } => "placket.count",
      { "run_length" => "5m" } => "placket.run_length",
      { "keep_outs" => Array.new(80) { |at| { "from" => at.to_s, "to" => (at + 1).to_s } } } => "placket.keep_outs",
      { "keep_outs" => [{ "from" => "300", "to" => "290" }] } => "placket.keep_outs.t1.to",
      { "together" => "9" } => "placket.together",
      { "pins" => [{ "at" => "212" }, { "at" => "212.0", "weight" => "4" }] } => "placket.pins",
      { "grid" => "0.05" } => "placket.grid",
      { "pins" => [{ "at" => "212", "weight" => "lots" }] } => "placket.pins.t1.weight",
      { "least_gap" => "90", "most_gap" => "80" } => "placket.most_gap",
      { "count_most" => "9" } => "placket.count_most", { "pattern" => "spiral" } => "placket.pattern",
      { "most_gap" => "40", "count" => "3", "first" => "24", "last" => "540" } => "placket.pins"
    }

    wrong.each do |typed, field|
      assert_refused field, { "placket" => typed }
    end
    save({ "placket" => { "keep_outs" => [{ "from" => "300", "to" => "320" }, { "from" => "310", "to" => "340" }] } })

    assert_status 200
  end
end
