# frozen_string_literal: true

require_relative "../core_helper"

# A jacket and a cover from beginning to end, reckoned beside the rules from what was measured.
class GarmentsTest < CoreTest
  def places(found) = found.layout.holes.map { |hole| hole.at.to_f }

  # The way round a section, added up from its corners; half of it has to pass.
  def half_way_round(points)
    points.each_with_index.sum { |(x, y), index| Math.hypot(x - points[index - 1][0], y - points[index - 1][1]) } / 2
  end

  # A coated jacket on a stepped machine of one's own: dials to 5 by 0.5, length marks of 0.25, a zip and a flap.
  JACKET_MACHINE = { max_width: Length.mm(5), width_step: Length.mm(0.5r), length_step: Length.mm(0.25r),
                     anchor: "left" }.freeze

  def jacket(**changes)
    sheet(button: button(shape: "domed", diameter: mm(23), thickness: mm(6)), cloth: cloth(kind: "coated", weight: 140),
          machine: machine("stepped", **JACKET_MACHINE),
          placket: run_of(orientation: "horizontal", count: 6, first: mm(40), last: mm(580), extension: mm(28),
                          pins: [Placket::Pin.new(at: mm(300), label: "bust")],
                          keep_outs: [Placket::KeepOut.new(from: mm(350), label: "zip seam"),
                                      Placket::KeepOut.new(from: mm(420), to: mm(450), label: "flap")]), **changes)
  end

  def test_the_jackets_opening_lets_its_buttons_through_and_no_more
    found = jacket
    half = half_way_round(found.plan.button.section)

    assert_in_delta half, found.plan.button.half_perimeter.to_f, 0.05
    assert_operator found.opening.to_f, :>, half
    assert_operator found.opening.to_f, :<, half + 3
    assert_equal 0, (found.opening.to_f * 2) % 1, "half millimetres"
    assert_equal %w[straight_box general_zigzag_foot], [found.recipe.style.value.key, found.recipe.foot.value.kind]
    assert_equal mm(2), found.overall - found.opening, "a millimetre outside the slit at either end"
  end

  def test_the_jackets_holes_keep_off_zip_and_flap_and_hit_the_bust
    holes = jacket.layout.holes

    assert_equal [40.0, 300.0, 580.0], places(jacket).values_at(0, 2, 5)
    half = holes.first.width.to_f / 2
    holes.each do |hole|
      at = hole.at.to_f

      refute at.between?(345 - half - 3 + 0.01, 355 + half + 3 - 0.01), "zip"
      refute at.between?(420 - half - 3 + 0.01, 450 + half + 3 - 0.01), "flap"
      assert_equal [hole.at, hole.at], [hole.button, hole.middle]
      # 3 mm past the centre line, and its end finish outside that.
      assert_equal mm(28 - 3 - 1), hole.edge
    end
  end

  def test_the_jackets_steps_never_name_an_iron_a_pin_or_satin
    said = words(jacket)
    all = said.values.join(" ")

    assert_includes said["settings"], "length 2.5"
    refute_match(/satin|fusible|last iron|a pin at/i, all)
    assert_includes said["mark-buttons"], said("steps.pencil_dot")
    assert_includes said["pins"], said("steps.every_clip")
    assert_includes said["mark"], "24 mm from the edge"
    assert(said.keys.grep(/\Aplace-at/).all? { |key| said[key].include?("halfway along a side") })
    assert_equal said.keys.grep(/\Asew-at/).map { |key| key[/\d+\z/].to_i }, places(jacket).reverse.map { |at|
      (at * 1000).to_i
    },
                 "the hem, least seen, first"
  end

  def test_the_jackets_buttons_are_too_high_for_the_foot_and_go_on_by_hand
    low = jacket
    high = jacket(machine: machine("stepped", **JACKET_MACHINE, foot_lift: mm(9)))

    assert_equal [false, true], [low.attaching.by_machine, high.attaching.by_machine]
    assert_includes words(low).keys, "hand-thread"
    refute_includes words(high).keys, "hand-thread"
    assert_empty ledger_after(low.progress.steps).entries, "nothing stays set"
  end

  # A cover of two metres, planned with an inch ruler.
  def cover
    sheet(button: button(diameter: Length.inches(7r / 8), thickness: Length.inches(1r / 8)), unit: "in",
          cloth: cloth(kind: "heavy_woven", weight: 380, thickness: mm(0.8)), machine: machine("memory"),
          opening: wish(ruler: "sixteenth_inch"),
          placket: run_of(run_length: mm(2000), use: "bedding", count: 14, first: Length.inches(2),
                          last: Length.inches(153r / 2), grid: "sixteenth_inch"))
  end

  def test_the_covers_marks_lie_on_sixteenths_and_are_even
    marks = cover.layout.holes.map { |hole| hole.at.millimetres/25.4r }
    gaps = marks.each_cons(2).map { |upper, lower| lower - upper }

    assert_equal [14, 2, 153r / 2], [marks.size, marks.first, marks.last]
    assert(marks.all? { |mark| (mark * 16).denominator == 1 })
    assert_equal 1r / 16, gaps.max - gaps.min
    # (76 1/2 − 2) / 13 lies between 5 11/16 and 5 3/4.
    assert_equal [91r / 16, 92r / 16], gaps.uniq.sort
    assert_equal Rational(149, 2), gaps.sum
  end

  def test_the_covers_steps_are_all_in_inches_and_its_machine_in_its_own_marks
    found = cover
    all = found.progress.steps.flat_map { |step| [step.does, step.how].compact.map { |text| said_in(text, :in) } }
    dials = all.grep(/\ASet width/)

    assert_empty all.grep(/\d mm\b/)
    width = found.plan.machine.width_mark(found.recipe.stitch_width.value)

    assert_equal ["Set width #{width}, length 0.4, tension 3 and balance in the middle."], dials.first(1)
    assert_includes 4.5..7, width.to_f, "millimetres, whatever the ruler"
    # 22.225 + 3.175 round the button, ease of 1 and 0.9 for the fold: 27.3 mm, up to the next sixteenth.
    assert_equal "1 1/8 in", said_in(Sentence["%s", found.opening], :in)
    assert_empty found.layout.cautions.map { |caution| said_in(caution.says, :in) }.grep(/hem|garment/)
  end
end
