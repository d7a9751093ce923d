# frozen_string_literal: true

require "csv"
require "pdf-reader"
require_relative "../app_helper"
require "vips"
require_relative "../../app/server/backup"

# Test holes over HTTP: sewn on the stand-in, learned from, found in the book, with a photo.
class SwatchRoutesTest < AppTest
  RIGHT = { bead_away: "full", bead_back: "full", tension: "even", space: "room" }.freeze

  def swatch(id = SMOCK) = closure(id)["sheet"]["swatch"]
  def advice(id = SMOCK) = call(:get, "/api/closures/#{id}/advice")

  # Each hole has a name of its own, and the same in every run: what comes of it hangs on it.
  def sew(id = SMOCK, again: nil)
    @sewn = @sewn.to_i + 1
    call(:post, "/api/closures/#{id}/stand-in", { id: format("00000000-0000-4000-8000-%012d", @sewn), again: again }.compact)
  end

  def log_for(id, seen)
    enter({ kind: "swatch", closure: id, machine: closure(id)["machine"]["id"], with: swatch(id)["with"], passes: "passes",
            looks: RIGHT, **seen })
  end

  # One that nothing can be reckoned with would break every closure that learns from it.
  def test_a_test_hole_says_what_can_be_reckoned_with
    with = swatch["with"]
    { "setting.by" => "guess", "thread.fibre" => "hair", "thread.tex" => "0", "slit.give" => "x",
      "setting.hands" => "12",
      "recipe.stitch_length" => { "mm" => "0" }, "recipe.style" => "zz", "recipe.balance" => "1.5" }.each do |path, value|
      fault = log_for(SMOCK, with: with.merge(path => value))["faults"].first

      assert_equal [422, "swatch.with"], [last_response.status, fault["field"]], path
      assert_includes fault["allowed"], path
    end
    assert_empty swatch["log"]
    # Far off, as a finger slips: asked about, and answered everywhere.
    log_for(SMOCK, with: with, measured: "200", passes: "tight")

    assert_equal "look_again", advice["kind"]
    log_for(SMOCK, with: with, measured: "22.5", again: advice["again"])

    assert_equal(["22.5 mm"], swatch["log"].map { |one| one["measured"]["text"] })
    foot = call(:get, "/api/machines/4/learned")["feet"].first

    assert_equal([0, ["22.5 mm"]], [foot["left_out"], foot["swatches"].map { |one| one["measured"]["text"] }])
    call(:get, "/api/closures/2/advice")

    assert_status 200
    leaf = call(:get, "/api/swatches")["leaves"].first

    assert_equal "22.5 mm", leaf["measured"]["text"], "the book says what the second look said"
    assert_includes call(:get, "/api/swatches.csv"), ",22.5,"
  end

  # A second look is at the same hole, whatever is set by then.
  def test_a_second_look_at_the_stand_in_is_at_what_was_sewn
    db[:machines].update(stand_in: 4711)
    first = sew["sheet"]["swatch"]["log"].first
    act(:patch, "plan", { "opening.ease" => "9", "recipe.stitch_length" => "1" })
    second = sew(again: first["id"])["sheet"]["swatch"]["log"].first

    assert_equal 1, swatch["log"].size
    assert_in_delta first["measured"]["mm"], second["measured"]["mm"], 1.5
    assert_equal first["looks"]["bead_away"], second["looks"]["bead_away"]
  end

  # Doing only what the station says.
  def until_accepted(id)
    1.upto(12) do |number|
      found = sew(id, again: number > 1 ? advice(id)["again"] : nil)["sheet"]["swatch"]
      return [number, found] if advice(id)["kind"] == "sew_row"

      sets = advice(id)["changes"].map { |change| change["sets"] }.reduce({}, :merge)
      call(:patch, "/api/closures/#{id}/plan", sets, match(id)) unless sets.empty?
    end

    flunk "never accepted"
  end

  def test_on_the_stand_in_acceptance_is_reached_and_the_next_closure_begins_there
    db[:machines].update(stand_in: 4711)
    sewn, found = until_accepted(SMOCK)

    assert_operator sewn, :<=, 8
    assert found["log"].first["simulated"]
    held = act(:put, "accepted/#{found['log'].first['id']}")["sheet"]

    assert_equal [true, []], held["swatch"]["frozen"].values_at("simulated", "changes")
    # The cuff is sewn on the same machine, cloth and thread: it begins where this one ended.
    cuff = closure(2)["sheet"]

    assert_match(/washed field linen/, cuff["recipe"]["before"]["cloth"])
    assert_operator until_accepted(2).first, :<=, sewn + 1
    refute_empty call(:get, "/api/machines/4/learned")["feet"], "a practice machine learns of its own holes"
    assert_equal "simulated", call(:get, "/api/closures/1/journal")["lines"].first["says"][0, 9].downcase
    same = db[:journal].where(kind: "swatch").count
    first = db[:journal].where(kind: "swatch").get(:id)
    call(:post, "/api/closures/1/stand-in", { id: first })

    assert_equal same, db[:journal].where(kind: "swatch").count, "sent twice it is one hole"
    call(:post, "/api/closures/1/stand-in", { id: SecureRandom.uuid, again: SecureRandom.uuid })

    assert_status 404
  end

  def test_what_was_learned_goes_by_until_it_is_forgotten
    machine = closure(3)["machine"]["id"]
    log_for(3, { measured: (swatch(3)["to_sew"]["opening"]["mm"] + 2).to_s })
    other = call(:post, "/api/closures", { name: "other", garment: "another henley", like: 3 }).fetch("id")

    # What another closure of like cloth shares with it, on the marks of the ruler.
    beyond = lambda {
      closure(other)["sheet"]["opening"]["setting"]["figure"]["mm"] - swatch(other)["to_sew"]["opening"]["mm"]
    }

    assert_in_delta(-1.75, beyond.call, 0.25)
    learned = call(:get, "/api/machines/#{machine}/learned")

    assert_match(/about 1.[57]5? mm longer than what is set/, learned["feet"].first["says"])
    assert_empty call(:put, "/api/machines/#{machine}/learned", { forget: true })["feet"]
    assert_equal 0, beyond.call
    refute_empty call(:put, "/api/machines/#{machine}/learned", { forget: false })["feet"]
  end

  # The same buttonholes are practised on until the settings are in use there: the real machine knows nothing of it, in
  # no answer; and what its owner sews is nothing to the practice machine.
  def test_practice_teaches_nothing_real
    db[:machines].update(practice: false, stand_in: 4711)
    machine = closure["machine"]["id"]
    known = lambda {
      [closure(2), closure, advice, call(:get, "/api/machines/#{machine}/learned"), call(:get, "/api/closures/#{SMOCK}/supplies"),
       call(:get, "/api/under-way")["machines"], call(:get, "/api/workrooms/marsh-walk")["last"]]
    }
    before = known.call
    sew

    assert_status 404
    copy = call(:post, "/api/closures/#{SMOCK}/practice")

    assert_status 201
    assert_equal [true, "Practice: linen field smock"], [copy["machine"]["practice"], copy["garment"]["name"]]
    practised = copy["id"]

    assert_equal practised, call(:post, "/api/closures/#{SMOCK}/practice")["id"], "gone on with, as long as the plan is the same"
    db[:machines].where(practice: true).update(stand_in: 4711)
    until_accepted(practised)
    hole = swatch(practised)["log"].first["id"]
    act(:put, "accepted/#{hole}", id: practised)
    foot = step("foot", of: closure(practised)).fetch("enter")
    enter(foot.transform_keys(&:to_sym).merge(closure: practised, machine: copy["machine"]["id"]))

    assert_status 200

    assert_equal hole, swatch(practised)["frozen"]["id"]
    assert_equal before, known.call
    act(:put, "accepted/#{hole}")

    assert_status 422
    # A hole of the real machine that came out otherwise.
    told = advice(practised)
    log_for(SMOCK, measured: (swatch["to_sew"]["opening"]["mm"] + 3).to_s, passes: "slips_out")

    refute_equal before[1]["sheet"]["swatch"]["log"], swatch["log"]
    assert_equal told, advice(practised)
    save({ button: { diameter: "20" } })

    assert_equal "front placket (2)", call(:post, "/api/closures/#{SMOCK}/practice")["name"], "another button is practised anew"
  end

  def test_every_answer_has_its_picture_at_these_settings
    pictures = call(:get, "/api/closures/1/looks")
    box = db[:closures].where(cloth_kind: "coated").get(:id)
    stitches = lambda do |grade|
      pictures.find { |one| one["look"] == "bead_away" && one["grade"] == grade }["lines"].first.size
    end

    assert_equal(25, pictures.size)
    assert_equal %w[bare thin full crowded piled_up].map(&stitches),
                 %w[bare thin full crowded piled_up].map(&stitches).sort
    assert_equal %w[fit], call(:get, "/api/closures/#{box}/looks").map { |one| one["look"] }.uniq, "a straight box has no beads"
    eyelet = call(:get, "/api/closures/#{db[:closures].where(recipe_style: 'eyelet').get(:id) || 8}/looks")

    assert_equal(25, eyelet.size)
    assert(eyelet.reject { |one| one["look"] == "fit" }.all? { |one| one["lines"].first.size > 10 })
  end

  def test_the_book_is_searched_by_words_and_by_what_there_is
    log_for(1, { passes: "tight", note: "the reed green one" })
    log_for(5, { measured: "26" })
    ids = ->(query) { call(:get, "/api/swatches?#{query}")["leaves"].map { |leaf| leaf["garment"]["name"] } }

    assert_equal ["felted waistcoat", "linen field smock"], ids.call("").sort
    { "words=reed+green" => 1, "words=smock" => 1, "words=linen+tight" => 1, "words=linen+easy" => 0,
      "words=waistcot" => 1,
      "cloth=pile" => 1, "verdict=tight" => 1, "simulated=no" => 0, "from=2026-11-23&to=2026-11-23" => 2, "to=2026-11-22" => 0,
      "machine=4" => 1 }.each { |query, count| assert_equal count, ids.call(query).size, query }
    call(:get, "/api/swatches?from=yesterday")

    assert_status 422
    call(:get, "/api/swatches?before=nonsense")

    assert_status 404
    assert_equal(%w[light_woven pile], call(:get, "/api/swatches")["there"]["cloth"].map { |one| one["key"] })
    # Withdrawn, it is not in the book.
    entry = db[:journal].where(kind: "swatch", closure_id: 1).get(:id)
    enter({ kind: "withdrawal", about: entry })

    assert_equal ["felted waistcoat"], ids.call("")
    call(:get, "/api/swatches/#{entry}")

    assert_status 404
  end

  def test_pages_follow_each_other_without_a_gap
    35.times { |number| log_for(1, { note: "n#{number}" }) }
    first = call(:get, "/api/swatches")
    second = call(:get, "/api/swatches?before=#{Rack::Utils.escape(first['following'])}")

    assert_equal [20, 15, nil], [first["leaves"].size, second["leaves"].size, second["following"]]
    assert_equal 35, (first["leaves"] + second["leaves"]).map { |leaf| leaf["note"] }.uniq.size
  end

  def test_out_and_in_again_is_the_same
    log_for(1, { measured: "22.5", note: "=1+1", looks: RIGHT.merge(tension: "dots") })
    rows = CSV.parse(call(:get, "/api/swatches.csv"), headers: true)

    assert_equal ["linen field smock", "22.5", "dots", "'=1+1"], rows.first.values_at("garment", "measured_mm", "seen_tension", "note")
    book = call(:get, "/api/swatches.json")
    other = call(:post, "/api/workrooms", { name: "Another" }).fetch("slug")
    taken = call(:post, "/api/workrooms/#{other}/swatches/import", book)

    assert_equal [1, 0], taken.values_at("taken", "known")
    assert_equal [0, 1], call(:post, "/api/workrooms/#{other}/swatches/import", book).values_at("taken", "known")
    doubled = book["swatches"].map { |one| one.merge("id" => SecureRandom.uuid) } * 2

    assert_equal [1, 1], call(:post, "/api/workrooms/#{other}/swatches/import", book.merge("swatches" => doubled)).values_at("taken", "known")
    leaf = call(:get, "/api/workrooms/#{other}/swatches?words=linen")["leaves"].first

    assert_equal [nil, true, "Lapwing", "=1+1", "22.5 mm"],
                 [*leaf.values_at("closure", "imported", "machine", "note"), leaf["measured"]["text"]]
    assert_equal book["swatches"].first["data"].except("with"),
                 call(:get, "/api/workrooms/#{other}/swatches.json")["swatches"].first["data"].except("with")
    [{ version: 2, swatches: [] }, { version: 1, swatches: [{ id: "x" }] }, { version: 1, swatches: "all" }].each do |wrong|
      call(:post, "/api/workrooms/#{other}/swatches/import", wrong)

      assert_status 422
    end
  end
end

# The page that is kept with the scrap.
class SwatchPageTest < AppTest
  def test_its_numbers_and_a_place_to_pin_it_fit_one_page
    log_swatch({ passes: "tight", measured: "21.5", looks: { bead_away: "thin" }, note: "cut with the ripper" })
    page = PDF::Reader.new(StringIO.new(call(:get, "/api/swatches/#{db[:journal].where(kind: 'swatch').get(:id)}.pdf")))

    assert_equal 1, page.page_count
    text = page.pages.first.text

    ["linen field smock: front placket", "Pin the scrap here", "21.5 mm", "tight", "side sewn away: a little fabric",
     "stitch length 0.4", "cut with the ripper", "Lapwing"].each do |words|
      assert_includes text, words
    end
    card = PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/card.pdf"))).pages.first.text

    refute_includes card, said("stitch.held_by_test_hole")
    act(:put, "accepted/#{db[:journal].where(kind: 'swatch').get(:id)}")

    assert_includes PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/card.pdf"))).pages.first.text, "Held by test hole 1."
  end
end

# Photos of test holes.
class PhotoTest < AppTest
  def setup
    super
    @folder = Dir.mktmpdir("nimble-eyelet-photos-")
    @app = world.app(clock: -> { NOW }, album: Store::Album.in(@folder))
    log_swatch({ passes: "passes" })
    @entry = db[:journal].where(kind: "swatch").get(:id)
  end

  def teardown = FileUtils.rm_rf(@folder)

  def picture(width, height)
    (Vips::Image.black(width, height, bands: 3) + [200, 180, 140]).cast(:uchar).copy(interpretation: :srgb)
  end

  # With the place and the camera in it, as a telephone writes it.
  def jpeg(width = 900, height = 600)
    image = picture(width, height).mutate do |written|
      written.set_type!(GObject::GSTR_TYPE, "exif-ifd3-GPSLatitude", "54/1 30/1 0/1")
      written.set_type!(GObject::GSTR_TYPE, "exif-ifd0-Make", "Marsh Optics")
      written.set_type!(GObject::GINT_TYPE, "orientation", 6)
    end
    image.jpegsave_buffer
  end

  def put(bytes, type: "image/jpeg", entry: @entry)
    custom_request("PUT", "/api/swatches/#{entry}/photo", {}, HEADERS.merge(input: bytes, "CONTENT_TYPE" => type))
    JSON.parse(last_response.body)
  end

  def file(size, entry: @entry)
    custom_request("GET", "/api/swatches/#{entry}/photo/#{size}.jpg", {}, HEADERS)
    last_response.body
  end

  def test_a_photo_is_kept_upright_in_three_sizes_without_place_and_camera
    photo = put(jpeg(2400, 1600))

    assert_equal [200, 1600, 2400], [last_response.status, *photo.values_at("width", "height")], "turned upright"
    { "original" => 2400, "large" => 1600, "small" => 320 }.each do |size, longer|
      image = Vips::Image.new_from_buffer(file(size), "")

      assert_equal longer, image.height
      assert_empty image.get_fields.grep(/exif|gps|xmp|iptc/i), size
    end
    assert_equal ["1"], Dir.children(@folder)
    marked = call(:put, "/api/swatches/#{@entry}/photo/points", { x1: 0.1, y1: 0.5, x2: 0.6, y2: 0.5, distance: "25" })

    assert_in_delta 50, marked["points"]["width_mm"]
    assert_equal "25 mm", call(:get, "/api/swatches/#{@entry}")["photo"]["points"]["distance"]["text"]
    call(:put, "/api/swatches/#{@entry}/photo/points", { x1: 0, y1: 0, x2: 1, y2: 0, distance: "long" })

    assert_status 422
    put(picture(400, 300).pngsave_buffer, type: "image/png")

    assert_equal 3, Dir.glob("#{@folder}/**/*.jpg").size, "another takes its place"
    call(:delete, "/api/swatches/#{@entry}/photo")

    assert_status 204
    assert_empty Dir.glob("#{@folder}/**/*.jpg")
    assert_nil call(:get, "/api/swatches/#{@entry}/photo")
  end

  # A withdrawn test hole has none; its files go when the application starts. A large one is shrunk while it is read.
  def test_a_photo_goes_with_its_test_hole
    assert_equal [2667, 4000], put(jpeg(6000, 4000)).values_at("width", "height")
    { { x1: 0.5, y1: 0.5, x2: 0.5, y2: 0.5, distance: "25" } => 422, { x1: 0, y1: 0, x2: 1, y2: 0, distance: "600" } => 422,
      { x1: 0, y1: 0, x2: 1, y2: 0, distance: "400" } => 200 }.each do |points, status|
      call(:put, "/api/swatches/#{@entry}/photo/points", points)

      assert_status status
    end
    enter({ kind: "withdrawal", about: @entry })
    file("small")

    assert_status 404
    put(jpeg)

    assert_status 404
    assert_equal 3, Dir.glob("#{@folder}/**/*.jpg").size
    assert_equal [1, 0], Array.new(2) { Store::Photos.sweep(db, Store::Album.in(@folder)) }
    assert_empty Dir.glob("#{@folder}/**/*.jpg")
  end

  def test_what_is_no_photo_is_refused
    ["no picture at all", "", "GIF89a#{'x' * 90}", jpeg[0, 400]].each do |bytes|
      put(bytes)

      assert_includes [400, 415, 422], last_response.status, bytes[0, 10]
    end
    put(picture(8000, 5100).pngsave_buffer, type: "image/png")

    assert_match(/40 megapixels/, last_response.body)
    put(jpeg, type: "text/csv")

    assert_status 415
    put(jpeg, entry: SecureRandom.uuid)

    assert_status 404
    assert_empty Dir.glob("#{@folder}/**/*.jpg")
  end

  def test_it_goes_with_the_garment_and_with_the_backup
    put(jpeg)
    carried = call(:get, "/api/garments/1/file")
    id = call(:post, "/api/garments/import", JSON.generate(carried)).fetch("id")
    copy = db[:journal].where(kind: "swatch",
                              closure_id: db[:closures].where(garment_id: id).select(:id)).exclude(id: @entry).get(:id)

    assert_equal 900, Vips::Image.new_from_buffer(file("large", entry: copy), "").height
    backup = Server::Backup.new(world.cluster.url("nimble_eyelet_test"), photos: @folder)
    kept = File.join(Dir.mktmpdir, "room.backup")
    backup.write(kept)
    FileUtils.rm_rf(Dir.children(@folder).map { |name| File.join(@folder, name) })
    file("small")

    assert_status 404
    backup.read(kept)
    @app = world.app(clock: -> { NOW }, album: Store::Album.in(@folder))

    assert_operator file("small").bytesize, :>, 500
  end

  # A store that speaks S3 is asked for the same.
  def test_photos_may_lie_in_a_store_of_their_own
    settings = { "NIMBLE_EYELET_S3_ENDPOINT" => "http://127.0.0.1:9", "NIMBLE_EYELET_S3_KEY" => "k", "NIMBLE_EYELET_S3_SECRET" => "s" }
    storage = Store::Album.send(:s3, settings, "swatches", stub_responses: true)
    album = Store::Album.new(storage)
    kept = album.keep(album.read(jpeg), folder: "1")

    assert_equal %w[original large small], kept.keys
    assert_match(%r{\A1/\w+-small\.jpg\z}, kept["small"]["id"])
    assert_equal(%i[put_object put_object put_object],
                 storage.client.api_requests.map { |request| request[:operation_name] })
  end
end
