# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/printed"

# Strips that are long, and labels that lie close.
class LongRunTest < AppTest
  include Printed

  # A run of two metres: on a roll in one piece, one side alone, or as a card with its marks.
  def test_long_runs
    save({ placket: { run_length: "2000", first: "50", last: "1950", count: "20", pins: [], keep_outs: [] } })
    holes = closure["sheet"]["placket"]["holes"]
    roll = PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/strip.pdf?paper=roll&side=overlap")))

    assert_equal [1, 2000 + 28 + 24 + 1], [roll.page_count, (roll.pages.first.height / POINTS).round]
    one = lines(call(:get, "/api/closures/1/strip.pdf?paper=roll&side=underlap"))

    assert_equal 1, one.size
    assert_crosses_true(one, 0)
    assert_equal lines(strip("pdf")).size, 2 * lines(call(:get, "/api/closures/1/strip.pdf?side=overlap")).size
    card = call(:get, "/api/closures/1/hole-card.pdf")
    found = lines(card).first
    last = holes.last
    slit = found.find do |x1, y1, x2, y2|
      (x1 - x2).abs < 0.01 && ((y2 - y1).abs - (last["open_to"]["mm"] - last["open_from"]["mm"])).abs < 0.1
    end

    assert slit, "the hole at its true length"
    marks = found.select { |x1, y1, _, y2| (x1 - 6).abs < 0.01 && (y1 - y2).abs < 0.01 }.map { |_, y, _, _| y }.minmax

    assert_in_delta 100, marks[1] - marks[0], 0.1, "the gauge"
    assert_in_delta last["open_from"]["mm"] - last["at"]["mm"], [slit[1], slit[3]].min - marks[0], 0.1
    text = PDF::Reader.new(StringIO.new(card)).pages.map(&:text).join(" ")

    holes.each { |hole| assert_includes text, hole["at"]["text"] }

    save({ placket: { last: "1949" } })

    refute_includes PDF::Reader.new(StringIO.new(call(:get, "/api/closures/1/hole-card.pdf"))).pages.first.text, said("hole_card_pdf.the_next_mark")
  end

  # An eyelet is two circles on its mark: what is open, and the ring round it.
  def test_an_eyelet_is_printed_round
    eyelets = closure(8)["sheet"]
    circles = strip("svg", id: 8).scan(/<circle cx="([\d.]+)" cy="([\d.]+)" r="([\d.]+)" class="(slit|tack)"/)
    open, rings = circles.partition { |*, kind| kind == "slit" }

    assert_equal(eyelets["placket"]["holes"].map { |hole| hole["at"]["mm"] + 26 }, open.map { |circle| circle[1].to_f })
    assert_equal [eyelets["opening"]["length"]["mm"] / 2], open.map { |circle| circle[2].to_f }.uniq
    assert_equal [eyelets["opening"]["overall"]["mm"] / 2], rings.map { |circle| circle[2].to_f }.uniq
    assert_empty strip("svg", id: 8).scan(/<line [^>]*class="slit"/)
  end

  # Beside the cloth, whatever lies close together; and nothing on the heading.
  def test_no_label_lies_on_another
    seams = [{ "from" => "0", "to" => "2", "label" => "seam tape" }, { "from" => "100", "label" => "zip" }]
    save({ placket: { run_length: "200", first: "18", last: "182", count: "", pins: [], keep_outs: seams } })

    assert_status 200
    labels = strip("svg").scan(/<text x="([\d.]+)" y="([\d.]+)" font-size="([\d.]+)"[^>]*>([^<]*)</)
                         .map { |x, y, size, words| [x.to_f, y.to_f, size.to_f, words] }
    labels.combination(2) do |one, other|
      from, to = [one, other].map { |label| label[0] + (label[3].length * label[2] * 0.45) }
      next unless one[0] < to && other[0] < from

      gap = (one[1] - other[1]).abs

      assert_operator gap, :>=, [one[2], other[2]].min * 0.8, "#{one[3]} and #{other[3]}"
    end
    assert_operator(labels.find { |label| label[3].include?("seam tape") }[1], :>, 26)
  end
end
