# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/printed"

# What is counted, laid by and looked at when holes are opened and buttons sewn on, told alike in every way out.
class SuppliesAnswersTest < AppTest
  include Printed

  def garments = call(:get, "/api/workroom")["garments"].to_h { |garment| [garment["name"], garment["id"]] }

  # By the ruler of whoever reads the list: that of the buttonholes, or that of the workroom.
  def test_what_is_cut_off_is_told_by_the_ruler_at_hand
    db[:closures].update(unit: "in")
    long = ->(whose, id) { call(:get, "/api/#{whose}/#{id}/supplies").find { |one| one["kind"] == "stay" }["length"] }

    assert_match(%r{\A\d+( [13]/[24])? in\z}, long["closures", SMOCK]["text"])
    assert_predicate long["garments", garments["linen field smock"]].then { |found| found["mm"] % 5 }, :zero?
  end

  # One figure in all four: on the page, in the table, on paper and in the session that sews it.
  def test_buttons_are_laid_by_counted_and_told_for_a_closure_a_garment_and_a_session
    db[:buttons].where(name: closure["plan"]["button.name"]).update(owned: 9)
    of = ->(whose, id, card = "") { call(:get, "/api/#{whose}/#{id}/supplies#{card}").find { |one| one["kind"] == "button" } }

    assert_equal [9, 0, 0, 0], of["closures", SMOCK].values_at("owned", "reserved", "elsewhere", "lacks")
    other = call(:post, "/api/closures", { garment: "linen field smock", name: "second front", like: SMOCK })["id"]
    call(:put, "/api/closures/#{other}/reservation", { count: 6 })

    assert_status 200
    assert_includes of["closures", SMOCK]["says"], "also planned for linen field smock: second front"
    assert_equal [6, 5], of["closures", SMOCK].values_at("elsewhere", "lacks")
    assert_includes of["closures", SMOCK, "?card=2"]["says"], "3 cards of 2 to buy"
    call(:put, "/api/closures/#{SMOCK}/reservation", { count: 4 })

    assert_status 422
    assert_equal "3 of 9 are free: lay by so many at most.", JSON.parse(last_response.body)["faults"].first["allowed"]
    call(:put, "/api/closures/#{SMOCK}/reservation", { count: 3 })

    assert_equal [3, 6], of["closures", SMOCK].values_at("reserved", "elsewhere")
    assert_equal [9, 0, 7], of["garments", garments["linen field smock"]].values_at("reserved", "elsewhere", "lacks")
    session = call(:post, "/api/sessions", { closures: [SMOCK] })["id"]

    assert_equal of["closures", SMOCK], of["sessions", session]
    call(:put, "/api/closures/#{SMOCK}/shelf-count", { left: 1 })

    assert_equal [1, 0], of["closures", SMOCK].values_at("owned", "reserved")
    enter(step("button-at-540000").fetch("enter").merge("machine" => 4))

    assert_includes of["closures", SMOCK]["says"], "1 sewn on already"
    assert_equal [7, 0], of["closures", SMOCK].values_at("lacks", "to_lay"), "one needs no buying, the one there lies by for others"
    %w[closures garments].each do |whose|
      row = CSV.parse(call(:get, "/api/#{whose}/1/supplies.csv"), headers: true).first

      assert_equal of[whose, 1].values_at("owned", "reserved", "lacks").map(&:to_s), row.values_at("owned", "laid_by", "to_buy")
    end
    assert_includes printed_text(call(:get, "/api/closures/#{SMOCK}/supplies.pdf")), "1 in the stash"
    save({ button: { name: "never seen" } })
    call(:put, "/api/closures/#{SMOCK}/reservation", { count: 1 })

    assert_includes JSON.parse(last_response.body)["detail"], "not in the stash"
  end

  # How the button went through is a fact of its hole: in the step, in the log, in the record, and learned from.
  def test_how_the_button_went_through_each_hole_is_kept
    tick("sew-7")
    opened = step("open-at-540000")

    assert_equal [true, nil], opened.values_at("opens", "through")
    with = closure["sheet"]["swatch"]["with"].merge("hole.at" => { "mm" => "540" })
    enter({ kind: "swatch", machine: 4, with: with, passes: "tight", symptoms: [] })

    assert_equal "tight", step("open-at-540000")["through"]
    assert_nil step("open-at-460000")["through"]
    assert_includes printed_text(call(:get, "/api/garments/1/record.pdf")), "Through the holes: 7 tight."
    assert_includes step("open-at-540000")["does"], "to the middle: 22.5 mm"
  end

  # What worked last time stands for the test where the house works so, and nowhere else.
  def test_a_recent_test_hole_of_another_closure_stands_for_the_test
    # By the real clock: what is recent is told by today.
    @app = world.app
    now = Time.now.utc.iso8601
    pyjamas = db[:closures].where(name: "jacket front").get(:id)
    found = closure(pyjamas)
    enter({ kind: "swatch", closure: pyjamas, machine: found["machine"]["id"], with: found["sheet"]["swatch"]["with"],
            passes: "passes", symptoms: [],
            looks: { "bead_away" => "full", "bead_back" => "full", "tension" => "even", "space" => "room" },
            happened_at: now, sent_at: now })
    other = call(:post, "/api/closures", { garment: "flannel camp pyjamas", name: "second", like: pyjamas })["id"]
    keys = -> { closure(other)["sheet"]["sewing"]["steps"].map { |one| one["key"] } & %w[stored test-sew] }

    assert_equal %w[test-sew], keys.call
    save({ recipe: { first_hole: "stored" } }, id: other)

    assert_equal %w[stored], keys.call
    assert_in_delta Time.iso8601(now), Time.iso8601(closure(other)["sheet"]["swatch"]["stored"]["sewn_at"]), 10
    save({ cloth: { layers: "4" } }, id: other)

    assert_equal %w[test-sew], keys.call, "another stack"
  end

  # The strip of the underlap says where its crosses come from, as soon as that matters; and eyelets are planned where
  # buttons sit.
  def test_crosses_as_sewn_or_as_planned_and_eyelets_where_the_buttons_are
    tick("sew-7")
    enter({ kind: "mishap", machine: 4, step: "open-at-540000", at: "540", measured: "528",
            with: { "mishap.what" => "place_cut" } })
    strip = ->(from) { printed_text(call(:get, "/api/closures/#{SMOCK}/strip.pdf?side=underlap&crosses=#{from}")) }

    assert_includes strip["plan"], said("attach.from_the_plan")
    assert_includes strip["sewn"], said("strip.through_the_holes_as")
    refute_equal strip["plan"].scan(/\d+(?:\.\d+)? mm/), strip["sewn"].scan(/\d+(?:\.\d+)? mm/)
    eyelets = call(:post, "/api/closures",
                   { garment: "linen field smock", name: "eyelets", like: SMOCK, eyelets: true })
    buttons = closure["sheet"]["placket"]["holes"].map { |hole| hole["button"]["mm"] }

    assert_equal(buttons, eyelets["sheet"]["placket"]["holes"].map { |hole| hole["at"]["mm"] })
    assert_equal "eyelet", eyelets["plan"]["recipe.style"]
    assert_empty eyelets["sheet"]["faults"]
  end
end
