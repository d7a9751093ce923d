# frozen_string_literal: true

require_relative "../app_helper"

# The edges of what is asked: nothing to undo, said twice, just within a limit.
class EdgesTest < AppTest
  def test_undo_with_nothing_to_undo_changes_nothing
    assert_equal 1, act(:post, "undo")["revision"]
    assert_equal 1, act(:post, "redo")["revision"]
    save({ button: { diameter: "19" } })
    act(:post, "redo")

    assert_equal "19 mm", closure["plan"]["button"]["diameter"]["text"]
  end

  def test_fifty_changes_can_be_undone_and_redone
    (19..68).each { |size| save({ button: { diameter: size.to_s } }) }
    50.times { act(:post, "undo") }

    assert_equal "18 mm", closure["plan"]["button"]["diameter"]["text"]
    50.times { act(:post, "redo") }

    assert_equal "68 mm", closure["plan"]["button"]["diameter"]["text"]
    refute closure["can_redo"]
    assert_equal 51, call(:get, "/api/closures/1/history").size
  end

  def test_saying_it_twice_is_saying_it_once
    act(:put, "steps/foot")
    revision = closure["revision"]
    act(:put, "steps/foot")
    act(:put, "knots/button")
    tied = closure["revision"]
    act(:put, "knots/button")

    assert_equal [revision + 1, tied], [tied, closure["revision"]]
    act(:delete, "steps/never")

    assert_status 404
  end

  def test_every_stage_can_be_tied
    STAGES.each_key { |word| act(:put, "knots/#{word}") }

    assert_equal(["tied"], closure["sheet"]["stages"].map { |stage| stage["state"] }.uniq)
  end

  def test_ticks_stay_when_the_plan_grows_and_go_with_the_hole_when_it_shrinks
    act(:put, "steps/sew-7")
    more = save({ placket: { count: "8" } })

    assert(more["sheet"]["sewing"]["steps"].find { |step| step["key"] == "sew-7" }["done"])
    fewer = save({ placket: { count: "6" } })

    assert_equal 0, fewer["sheet"]["sewing"]["done"]
    assert_equal 1, save({ placket: { count: "7" } })["sheet"]["sewing"]["done"]
  end

  def test_a_body_of_just_the_limit_is_read
    room = Http::Guards::LARGEST_BODY - "{\"button\":{\"name\":\"\"}}".bytesize
    call(:patch, "/api/closures/1", "{\"button\":{\"name\":\"#{'x' * room}\"}}", match)

    assert_includes [400, 422], last_response.status
    call(:patch, "/api/closures/1", "{\"button\":{\"name\":\"#{'x' * (room + 1)}\"}}", match)

    assert_status 413
  end

  def test_keep_outs_may_overlap
    found = save({ placket: { keep_outs: [{ from: "100", to: "130" }, { from: "120", to: "140", label: "dart" }] } })

    assert_equal 2, found["plan"]["placket"]["keep_outs"].size
    found["sheet"]["placket"]["holes"].each { |hole| refute_includes 86..154, hole["at"]["mm"] }
    assert_includes found["sheet"]["placket"]["cautions"].map { |caution| caution["rule"] }, "runway"
  end

  def test_a_single_hole_needs_no_gaps
    found = save({ placket: { count: "1", pins: [] } })["sheet"]["placket"]

    assert_equal [1, nil, nil], [found["holes"].size, found["mean_gap"], found["holes"][0]["gap"]]
    assert_equal([[1, true], [2, true], [2, true]], found["alternatives"].map { |item| item.values_at("count", "fits") })
    assert_equal "%PDF", call(:get, "/api/closures/1/strip.pdf")[0, 4]
  end

  def test_a_long_note_is_cut_and_symptoms_count_once
    found = act(:post, "swatches", { passes: "passes", symptoms: %w[gappy gappy], note: "n" * 900 })["sheet"]["swatch"]["log"][0]

    assert_equal [["gappy"], 500], [found["symptoms"], found["note"].size]
  end

  def test_the_strip_speaks_inches_to_people_who_read_inches
    call(:patch, "/api/workroom", { unit: "in" }, "HTTP_IF_MATCH" => '"1"')
    svg = call(:get, "/api/closures/1/strip.svg")

    assert_match(/slit 0.886 in/, svg)
    assert_includes svg, "50 mm", "the check line is what it is"
  end

  def test_removing_a_closure_takes_its_history_and_leaves_the_rest
    others = db[:closures].exclude(id: SMOCK).count
    call(:delete, "/api/closures/1")

    assert_equal others, db[:closures].count
    %i[pins keep_outs recipes revisions].each { |table| assert_empty db[table].where(closure_id: SMOCK).all, table.to_s }
    act(:post, "undo", id: 2)

    assert_status 200
  end
end
