# frozen_string_literal: true

require_relative "../core_helper"

# What is drawn on the cloth is what is stitched and cut, whatever was measured before; and what is begun like another
# one takes its wishes, never what was set until its holes came out right.
class DrawnAndCopiedTest < CoreTest
  BOXED = { kind: "leather", weight: 600, stretch: 0 }.freeze

  def boxed(**more) = sheet(cloth: cloth(**BOXED), machine: machine("stepped", id: 7), **more)

  def hole(found, measured, id: "swatch-0")
    Swatches::Swatch.new(id: id, number: 1, passes: "easy", measured: mm(measured), symptoms: [], looks: {}, opening: found.cut.length,
                         stitch_width: found.recipe.stitch_width.value, stitch_length: found.recipe.stitch_length.value,
                         tension: found.recipe.tension.value.to_r, stabiliser: found.recipe.stabiliser.value,
                         sewn_with: found.sewn_with)
  end

  def test_lines_learn_nothing_and_drawn_stitched_and_cut_are_one_figure
    found = boxed

    assert_equal "lines", found.setting.by.key
    # Whatever was measured on this machine and foot, here or elsewhere.
    [-3, -1, 1, 3.5].each do |off|
      long = (1..3).map { |number| hole(found, found.cut.length.to_f + off, id: "swatch-#{number}") }
      earlier = long.map { |one| Swatches::EarlierSwatch.new(closure: 9, swatch: one) }
      [Sewing::Facts.new(earlier: earlier), facts(swatches: long)].each do |known|
        after = boxed(facts: known)

        assert_equal found.cut.length, after.setting.hands, off
        assert_one_figure after
      end
    end
    # Somebody draws them longer: then all of it is longer.
    longer = boxed(opening: wish(correction: mm(1.5)))

    assert_equal found.cut.length + mm(1.5), longer.opening
    assert_one_figure longer
  end

  # The lines, what comes of them, every hole of the row and where the blade stops.
  def assert_one_figure(found)
    drawn = found.setting.figure

    assert_equal [drawn], [found.setting.hands, found.opening, found.cut_line.slit, *found.layout.holes.map do |hole|
      hole.open_to - hole.open_from
    end].uniq
    assert_equal drawn + found.cut.ends.both, found.overall
  end

  # Every correction set at once, copied plainly and as a mirror image: the copy is what it would be without them.
  def test_a_copy_takes_wishes_and_says_what_it_left
    pin = Placket::Pin.new(id: "a", at: mm(212), label: "bust")
    wished = plan(machine: machine(id: 1)).changed("opening.ease" => mm(2), "recipe.style" => "round_end",
                                                   "placket.pins" => [pin])
    set = { "opening.correction" => mm(3), "recipe.stitch_width" => mm(5), "recipe.stitch_length" => mm(0.35),
            "recipe.tension" => 2r, "recipe.balance" => 1, "recipe.second_pass" => "yes" }
    worked = wished.changed(set).with(accepted: "some hole")
    mirrored = CopiedPlan.of(worked, name: "right front", mirror: true)
    plain = CopiedPlan.of(worked, name: "cuff")

    assert_equal set.keys.sort, mirrored.left.sort
    assert_equal (set.keys + %w[placket.pins]).sort, plain.left.sort
    assert_equal([[pin], []], [mirrored, plain].map { |one| one.plan.placket.pins })
    [mirrored, plain].each do |copy|
      copied = Sheet.of(copy.plan)

      assert_nil copy.plan.accepted
      assert_equal [mm(2), "round_end"], [copied.cut.ease, copied.recipe.style.value.key]
      assert_equal Sheet.of(wished).setting, copied.setting, "what comes of it is what is wanted"
    end
    assert_empty CopiedPlan.of(wished.changed("placket.pins" => []), name: "again").left
  end
end
