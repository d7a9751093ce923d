# frozen_string_literal: true

require_relative "../core_helper"

class OpeningTest < CoreTest
  ENDS = NimbleEyelet::Style.fetch("two_tacks").ends(width: NimbleEyelet::Length.mm(4.5))

  def cut(button: self.button, cloth: self.cloth, **wished) = Opening::Cut.of(button, cloth, wish(**wished), ENDS)

  def test_a_flat_button_by_every_school
    lengths = cut.answers.to_h { |answer| [answer.school.key, answer.length.to_s] }

    # 18 + 3 + 1 ease + 0.45 fold = 22.45, up to the half millimetre.
    assert_equal({ "passing_geometry" => "22.5 mm", "diameter_thickness" => "21 mm", "diameter_allowance" => "21 mm",
                   "diameter_tacks" => "20.5 mm", "clamp" => "18 mm", "clamp_clicks" => "18.5 mm", "strip" => "22 mm" }, lengths)
    assert_equal "25 mm", cut.overall.to_s
    assert_equal "snug", cut.verdict.key
    assert_equal "0.05 mm", cut.rounding.to_s
  end

  def test_the_fixed_allowance_fails_a_ball
    ball = button(shape: "ball", attachment: "shank", diameter: mm(12))
    by_allowance = cut(button: ball, school: "diameter_allowance")

    assert_equal "will_not_pass", by_allowance.verdict.key
    assert_match(/will not pass/, by_allowance.cautions.first.says.to_s)
    assert_predicate cut(button: ball).verdict, :usable?
  end

  def test_what_the_carriage_foot_makes_of_it
    foot = Foot.new(kind: "carriage_foot", allowance: mm(3.5), click: mm(0.8))
    by = ->(school, thing, **wished) { Opening::Cut.of(thing, cloth, wish(school: school, **wished), ENDS, foot: foot) }

    assert_equal mm(21.5), by.call("clamp", button).chosen.exact
    assert_equal mm(23.1), by.call("clamp_clicks", button, clicks: 2).chosen.exact
    # A ball cannot be clamped: a stand-in as long as H is.
    ball = button(shape: "ball", attachment: "shank", diameter: mm(12))

    assert_equal ball.half_perimeter + mm(3.5), by.call("clamp", ball).chosen.exact
    assert_match(/stand-in/, by.call("clamp", ball).chosen.because.first.says.to_s)
  end

  def test_a_wrapped_strip_is_halved_and_eased
    assert_equal mm(23), cut(school: "strip", wrapped: mm(44)).chosen.exact
    # Not wrapped yet: what a strip would measure.
    assert_equal mm(22), cut(school: "strip").chosen.exact
    assert_equal %w[opening.clicks opening.wrapped], refused { wish(clicks: 99, wrapped: mm(0)).validate }.keys.sort
  end

  def test_bands_are_where_the_verdict_changes
    [cloth, cloth(stretch: 40), cloth(layers: 5)].each do |stuff|
      Opening::Verdict.bands(button, stuff).each do |key, length|
        # Slips out begins just beyond its band's end.
        beyond = key == "slips_out" ? mm(0.001r) : Length.zero

        assert_equal key, Opening::Verdict.of(length + beyond, button, stuff).key
        refute_equal key, Opening::Verdict.of(length - mm(0.001r), button, stuff).key
      end
    end
  end

  def test_openings_for_what_is_no_button
    ruler = Ruler.fetch("half_millimetre")
    # π·4/2 + 2 = 8.28; 4 + 1; 10 + 2; 30 + 2; 1.5 + 2.
    { ["cord", 4] => "8.5 mm", ["cord_eyelet", 4] => "5 mm", ["ribbon", 10] => "12 mm", ["belt", 30] => "32 mm",
      ["hook", 1.5] => "3.5 mm" }.each do |(kind, size), expected|
      assert_equal expected, NonButton.fetch(kind).opening(mm(size), ruler).to_s
    end
    NON_BUTTONS.each_value do |plain|
      50.times { random_mm(0.5..60.0).then { |size| assert_operator plain.opening(size, ruler), :>, size } }

      assert_includes refused { plain.opening(mm(0), ruler) }.keys, "plain.size"
    end
  end

  def test_the_more_the_cloth_gives_the_looser_the_same_slit
    steps = cut.if_it_gives(button, cloth(stretch: 10))

    assert_equal [10, 15, 60], steps.map(&:first).values_at(0, 1, -1)
    assert_equal steps.map { |_, verdict| verdict.slack }, steps.map { |_, verdict| verdict.slack }.sort
    assert_equal "slips_out", steps.last.last.key
  end

  def test_verdict_bands
    needed = button.half_perimeter + cloth.fold

    { -0.01 => "will_not_pass", 0 => "tight", 0.49 => "tight", 0.5 => "snug", 1.99 => "snug", 2 => "easy", 4 => "easy",
      4.01 => "slips_out" }.each do |slack, band|
      assert_equal band, Opening::Verdict.of(needed + mm(Rational(slack.to_s)), button, cloth).key, slack.to_s
    end
    # A large button may have a fifth of its diameter.
    large = button(diameter: mm(40))

    assert_equal "easy", Opening::Verdict.of(large.half_perimeter + cloth.fold + mm(8), large, cloth).key
  end

  def test_thick_cloth_asks_for_more_and_stretch_for_less
    assert_operator cut(cloth: cloth(layers: 6)).length, :>, cut.length
    assert_operator cut(cloth: cloth(stretch: 50)).length, :<, cut.length
    assert_operator cut(cloth: cloth(kind: "pile")).length, :>, cut.length
  end

  def test_what_passes_is_never_shorter_than_the_button_needs
    300.times do
      thing = button(shape: BUTTON_SHAPES.keys.sample(random: random), attachment: "shank",
                     diameter: random_mm(8.0..40.0), thickness: random_mm(1.0..8.0))
      stuff = cloth(kind: CLOTH_KINDS.keys.sample(random: random), thickness: random_mm(0.1..3.0), layers: random.rand(1..5),
                    stretch: random.rand(0..80))
      ruler = RULERS.keys.sample(random: random)
      cut = cut(button: thing, cloth: stuff, ruler: ruler)
      cut.answers.each do |answer|
        next if answer.verdict.key == "will_not_pass"

        assert_operator answer.length * stuff.give, :>=, thing.half_perimeter + stuff.fold
      end

      refute_equal "will_not_pass", cut.verdict.key
      # An eighth of an inch may be too coarse a mark for a small button; a millimetre is not.
      assert_predicate cut.verdict, :usable?, "#{thing} in #{stuff}" if ruler.end_with?("millimetre")
    end
  end

  def test_what_the_test_holes_taught_is_added_before_rounding
    assert_equal "24 mm", cut(correction: mm(1.5)).length.to_s
    assert_includes cut(correction: mm(1.5)).chosen.because.map(&:rule), "learned"
  end

  def test_every_end_finish_counts_into_the_overall_length
    ends = STYLES.values.to_h { |style| [style.key, style.ends(width: mm(5)).both.to_s] }

    assert_equal({ "two_tacks" => "2.5 mm", "round_end" => "3.75 mm", "two_round" => "5 mm",
                   "keyhole" => "5.25 mm", "stretch" => "2.5 mm",
                   "corded" => "2.5 mm", "straight_box" => "2 mm", "manual_zigzag" => "2.5 mm", "eyelet" => "2.5 mm" }, ends)
  end
end
