# frozen_string_literal: true

require_relative "../app_helper"

# The edges of what is asked: nothing to undo, said twice, just within a limit.
class EdgesTest < AppTest
  def test_undo_with_nothing_to_undo_changes_nothing
    first = version

    assert_equal first, act(:post, "undo")["version"]
    assert_equal first, act(:post, "redo")["version"]
    save({ button: { diameter: "19" } })
    act(:post, "redo")

    assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
  end

  def test_saying_it_twice_is_saying_it_once
    act(:put, "settled/button")
    tied = version
    act(:put, "settled/button")

    assert_equal tied, version
    foot = { **step("foot")["enter"], machine: 4 }
    2.times { enter(foot, id: "6f0c7a1e-0000-4000-8000-000000000001") }

    assert_status 200
    assert_equal 1, db[:journal].count
    assert_equal tied, version, "a tick is no edit"
    enter(foot.merge("step" => "mark"), id: "6f0c7a1e-0000-4000-8000-000000000001")

    assert_status 409
  end

  def test_every_stage_can_be_tied
    STAGES.each_key { |word| act(:put, "settled/#{word}") }

    assert_equal(["tied"], closure["sheet"]["stages"].map { |stage| stage["state"] }.uniq)
  end

  # What a closure begins with is typed in its own unit, and refused like anything else.
  def test_a_closure_begins_in_its_own_unit_and_within_the_limits
    workroom.change(revision: workroom.revision, settings: { unit: "in" })
    names = ("a".."z").each
    begin_with = lambda { |plan|
      call(:post, "/api/closures", { garment: "gull cardigan", name: "band #{names.next}", plan: plan })
    }
    begun = begin_with.call({ "closure.unit" => "mm", "button.diameter" => "12", "thread.fibre" => "cotton",
                              "thread.tex" => "Ne 50/2" })

    assert_equal ["mm", "12 mm", "23.62"], [begun["unit"], begun["plan"]["button.diameter"]["text"],
                                            begun["plan"]["thread.tex"]]
    assert_equal("in", begin_with.call({ "button.diameter" => "1/2" })["unit"])
    refused = begin_with.call({ "button.diameter" => "12" })

    assert_equal([["button.diameter", "12 in"]], refused["faults"].map { |fault| fault.values_at("field", "given") })
    which = begin_with.call({ "thread.fibre" => "cotton", "thread.tex" => "No. 50" })

    assert_equal(["thread.tex"], which["faults"].map { |fault| fault["field"] })
    assert_equal 2,
                 db[:closures].join(:garments, id: :garment_id).where(Sequel[:garments][:name] => "gull cardigan").count
  end

  # The log names what was done and with what, and what was withdrawn stands there struck through.
  def test_the_log_says_each_fact_in_words
    id = SecureRandom.uuid
    enter({ **step("needle")["enter"], machine: 4 }, id: id)
    enter({ **step("sew-7")["enter"], machine: 4 })
    enter({ kind: "withdrawal", about: id })
    log = call(:get, "/api/closures/1/journal")["lines"]

    assert_equal(["Hole at 540 mm sewn, 22.5 mm.", "Done: needle, the needle universal 80/12."], log.map { |line| line["says"] })
    assert_equal([false, true], log.map { |line| !line["withdrawn_at"].nil? })
  end

  # A hole that is sewn is known by its place and stays there, however many others there are.
  def test_a_sewn_hole_stays_when_the_plan_grows_or_shrinks
    key = step("sew-5")["key"]
    tick("sew-5")
    %w[8 6 7].each do |count|
      found = save({ placket: { count: count } })

      assert step(key, of: found)["done"], count
      assert_equal([380], found["sheet"]["placket"]["holes"].select do |hole|
        hole["sewn"]
      end.map { |hole| hole["at"]["mm"] })
    end
    # Nor does it move across, whatever edge the others get.
    wider = save({ placket: { extension: "24" } })["sheet"]["placket"]
    sewn, others = wider["holes"].partition { |hole| hole["sewn"] }.map { |holes| holes.map { |hole| hole["edge"]["mm"] }.uniq }

    assert_equal [1, [sewn.first + 6]], [sewn.size, others]
    assert_equal ["Hole 5 lies 6 mm nearer the edge than the others will."],
                 wider["cautions"].map { |one| one["says"] }.grep(/nearer/)
    # Unpicked: the fact is withdrawn, and the hole is planned as any other.
    enter({ kind: "withdrawal", about: step(key)["entry"] })

    assert_empty(closure["sheet"]["placket"]["holes"].select { |hole| hole["sewn"] })
  end

  # Where a hole lies is no other hand's to make up: what cannot be is as if it were not said.
  def test_a_place_that_no_hole_can_have_is_not_believed
    told = step("sew-4")["enter"]
    before = closure["sheet"]["placket"]["holes"][3].values_at("edge", "lies")
    [[{ "mm" => "99999" }, "vertical"], [{ "mm" => "9" }, "upside_down"], ["far", "vertical"], ["", ""]].each do |far, lies|
      enter({ **told, "machine" => 4, "with" => { **told["with"], "hole.from_edge" => far, "hole.lies" => lies } })

      assert_equal before, closure["sheet"]["placket"]["holes"][3].values_at("edge", "lies")
    end
  end

  # A plan without room for what is sewn says so; undo is never refused for it.
  def test_undo_is_never_refused_for_what_is_sewn
    save({ placket: { run_length: "800" } })
    tick(step("sew-9")["key"])
    undone = act(:post, "undo")

    assert_status 200
    assert_match(/sewn at \d+ mm already/, undone["sheet"]["faults"].first["allowed"])
  end

  def test_a_body_of_just_the_limit_is_read
    room = Http::Guards::LARGEST_BODY - "{\"button.name\":\"\"}".bytesize
    call(:patch, "/api/closures/1/plan", "{\"button.name\":\"#{'x' * room}\"}", match)

    assert_includes [400, 422], last_response.status
    call(:patch, "/api/closures/1/plan", "{\"button.name\":\"#{'x' * (room + 1)}\"}", match)

    assert_status 413
  end

  def test_keep_outs_may_overlap
    found = save({ placket: { keep_outs: [{ from: "100", to: "130" }, { from: "120", to: "140", label: "dart" }] } })

    assert_equal 2, found["plan"]["placket.keep_outs"].size
    found["sheet"]["placket"]["holes"].each { |hole| refute_includes 86..154, hole["at"]["mm"] }
    assert(found["sheet"]["placket"]["cautions"].any? { |caution| caution["says"].include?("wants flat fabric") })
  end

  def test_a_single_hole_needs_no_gaps
    found = save({ placket: { count: "1", pins: [] } })["sheet"]["placket"]

    assert_equal [1, nil, nil], [found["holes"].size, found["mean_gap"], found["holes"][0]["gap"]]
    others = call(:get, "/api/closures/1/spacings")["alternatives"]

    assert_equal([[1, true], [2, true], [2, true]], others.map { |item| item.values_at("count", "fits") })
    assert_equal "%PDF", call(:get, "/api/closures/1/strip.pdf")[0, 4]
  end

  def test_a_long_note_is_cut_and_symptoms_count_once
    log_swatch({ passes: "passes", symptoms: %w[gappy gappy], note: "n" * 900 })
    found = closure["sheet"]["swatch"]["log"][0]

    assert_equal [["gappy"], 500], [found["symptoms"], found["note"].size]
  end

  def test_the_strip_speaks_inches_to_people_who_read_inches
    call(:patch, "/api/workroom", { unit: "in" }, "HTTP_IF_MATCH" => '"1"')
    svg = call(:get, "/api/closures/1/strip.svg")

    assert_match(/cut length 22.5 mm/, svg, "made in millimetres")
    db[:closures].update(unit: "in")
    svg = call(:get, "/api/closures/1/strip.svg")

    assert_match(%r{cut length 15/16 in}, svg)
    assert_includes svg, "50 mm", "the check line is what it is"
    # Spacer and shank stand on the station as the step says them, in marks of a ruler.
    save({ cloth: { layers: "5" } })
    attach = closure["sheet"]["attach"]
    said = step("spacer").values_at("does", "how").join(" ")

    %w[spacer shank].each { |name| assert_includes said, " #{attach[name]['text']}" }
    refute_includes attach["spacer"]["text"], "."
  end

  def test_a_closure_that_is_removed_lies_in_the_waste_basket_and_comes_out_whole
    tick("stabilise")
    before = closure
    act(:delete, "")

    assert_status 204
    closure

    assert_status 404
    lying = call(:get, "/api/waste-basket")

    assert_equal([["closure", SMOCK, "front placket"]], lying.map { |item| item.values_at("kind", "id", "name") })
    assert_equal 30, (Time.parse(lying[0]["until"]) - Time.parse(lying[0]["removed_at"])) / 86_400
    taken = call(:post, "/api/closures", { garment: "linen field smock", name: "front placket" })

    call(:post, "/api/waste-basket/closure/1")

    assert_status 422
    call(:patch, "/api/closures/#{taken['id']}/plan", { "closure.name" => "another" }, match(taken["id"]))

    assert_empty call(:post, "/api/waste-basket/closure/1")
    assert_equal before, closure
  end

  # What a closure left on its machine outlives it.
  def test_the_basket_is_emptied_of_what_has_lain_there_thirty_days
    tick("foot")
    ledger = closure(2)["sheet"]["ledger"]
    act(:delete, "")

    assert_equal 0, Store::WasteBasket.empty(db)
    db[:closures].where(id: SMOCK).update(removed_at: Time.now - (31 * 86_400))
    db[:machines].where(id: [1, 2, 3]).update(removed_at: Time.now - (31 * 86_400))

    assert_equal 1, Store::WasteBasket.empty(db), "machines that closures name stay"
    %i[pins keep_outs revisions].each { |table| assert_empty db[table].where(closure_id: SMOCK).all, table.to_s }
    assert_equal ledger, closure(2)["sheet"]["ledger"]
  end
end
