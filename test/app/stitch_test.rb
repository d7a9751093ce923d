# frozen_string_literal: true

require "pdf-reader"
require_relative "../app_helper"
require_relative "../support/printed"

# The simulator over HTTP, its files, the card, and the tests by feel.
class StitchTest < AppTest
  include Printed

  def stitches(trial = {}, id: SMOCK) = act(:post, "stitches", trial, id: id)

  def test_dials_turned_for_a_try_change_the_hole_and_nothing_that_is_kept
    before = db[:revisions].count
    hole = stitches

    assert_equal(%w[full full], hole["cover"].map { |bead| bead["words"] })
    assert_equal hole["points"].size, hole["parts"].last["to"] * 2
    gappy = stitches({ "stitch_length" => "0.6" })

    assert_equal(%w[gappy gappy], gappy["cover"].map { |bead| bead["words"] })
    piled = stitches({ "stitch_length" => "0.25" })

    assert_equal(["piled up", "piled up"], piled["cover"].map { |bead| bead["words"] })
    off = stitches({ "balance" => 25 })["cover"].map { |bead| bead["index"] }

    assert_operator off[0], :<, off[1]
    assert_equal 7, stitches({ "stitch_width" => "9" })["width"]["mm"], "no wider than the machine goes"
    assert_operator stitches({ "tension" => "1" })["top"]["mm"], :>, hole["top"]["mm"]
    assert_equal before, db[:revisions].count
  end

  def test_dials_that_cannot_be_turned_so_far
    { "stitch_length" => "40", "stitch_width" => "x", "tension" => "99" }.each do |dial, typed|
      problem = stitches({ dial => typed })

      assert_status 422
      assert_equal(["recipe.#{dial}"], problem["faults"].map { |fault| fault["field"] })
    end
    assert_equal(["recipe.balance"], stitches({ "balance" => 90 })["faults"].map { |fault| fault["field"] })
    stitches({ "turbo" => "1" })

    assert_status 400
  end

  def test_the_stitches_as_svg_and_as_a_table_are_the_same_in_real_units
    hole = stitches
    rows = CSV.parse(call(:get, "/api/closures/1/stitches.csv"), headers: true)

    assert_equal hole["points"].size / 2, rows.size
    rows.each_with_index do |row, index|
      assert_in_delta hole["points"][index * 2] / 1000.0, row["x_mm"].to_f, 0.001
      assert_equal (index + 1).to_s, row["index"]
    end
    svg = call(:get, "/api/closures/1/stitches.svg")

    assert_includes svg, "width=\"12.5mm\" height=\"33.0mm\""
    assert_equal hole["parts"].size, svg.scan(/<path class="(?:bead|tack|lock)"/).size
    assert_includes svg, "translate(6.25 4.0)"
  end

  def test_the_stretch_scale_is_true
    pdf = PDF::Reader.new(StringIO.new(call(:get, "/api/stretch-scale.pdf")))

    assert_includes pdf.pages.first.text, "100 mm"
    places = pdf.pages.first.raw_content.scan(/([\d.]+) ([\d.]+) m\n([\d.]+) [\d.]+ l/).map do |x, _, to|
      [x.to_f, to.to_f]
    end
    upright = places.select { |x, to| (x - to).abs < 0.001 }.map { |x, _| x * 25.4 / 72 }.sort

    assert_in_delta 100, upright[1] - upright[0], 0.05
    assert_in_delta 5, upright[2] - upright[1], 0.05
  end

  def test_the_card_says_what_to_set_in_the_machines_own_marks_and_what_to_put_back
    text = PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/card.pdf"))).pages.map(&:text).join(" ").squeeze(" \n")

    ["linen field smock: front placket", "Lapwing", "Stitch width: 4.5 mm", "Stitch length: 0.4 mm",
     "Put the button in the foot. Then open the foot 5 more clicks of 0.5 mm: 22.5",
     "It begins at the end towards you; the left side first",
     "Put back", "Push the buttonhole lever up", "Presser foot"].each do |words|
      assert_includes text, words
    end
    tick("settings")
    tick("sew-7")
    save({ recipe: { second_pass: "yes" } })
    card, record = %w[closures/1/card garments/1/record].map { |path| printed_text(call(:get, "/api/#{path}.pdf")) }

    assert_empty step("settings")["outdated"]
    assert_includes step("sew-7")["outdated"].join(" "), said("density_choice.second_pass")
    assert_includes step("sew-7").values_at("does", "how").join(" "), said("steps.sew_the_whole_hole")
    assert_includes card, said("steps.sew_the_whole_hole")
    assert_includes record, said("record_pdf.sewn_twice")
  end

  def test_the_bobbin_against_the_row
    found = save({ "thread" => { "bobbin" => "about a quarter", "tex" => "No. 120" } })

    assert_equal "25", found["plan"]["thread.tex"]
    assert_includes stitches["row"]["says"], said("hole_simulation.whole_row")
    save({ "thread" => { "bobbin" => "1 m" } })

    assert_includes stitches["row"]["says"], "change the bobbin before hole 2"
    assert_refused "thread.bobbin", { "thread" => { "bobbin" => "a little" } }
    assert_refused "thread.tex", { "thread" => { "tex" => "0" } }
    assert_refused "cloth.layers", { "cloth" => { "layers" => "1000" } }
    assert_refused "cloth.frays", { "cloth" => { "frays" => "maybe" } }
  end

  def test_a_cloth_by_feel
    feel = ->(test, **typed) { call(:post, "/api/feel", { test: test }.merge(typed)) }

    assert_equal({ "weight" => "120" }, feel.call("weigh", grams: "1,2", side: "10cm"))
    assert_equal({ "thickness" => "0.5 mm" }, feel.call("fold", folded: "4", layers: "8"))
    assert_equal({ "stretch" => "25" }, feel.call("pull", marked: "100", pulled: "125"))
    assert_equal(["feel.grams"], feel.call("weigh", grams: "heavy", side: "10cm")["faults"].map do |fault|
      fault["field"]
    end)
    assert_equal(["feel.pulled"], feel.call("pull", marked: "100", pulled: "50")["faults"].map do |fault|
      fault["field"]
    end)
  end
end
