# frozen_string_literal: true

require_relative "../core_helper"

class OpeningTest < CoreTest
  ENDS = NimbleEyelet::Style.fetch("two_tacks").ends(width: NimbleEyelet::Length.mm(4.5))

  def cut(button: self.button, cloth: self.cloth, held: 1r, round: false, **wished)
    Opening::SlitLength.of(button, cloth, wish(**wished), ENDS, held: held, round: round)
  end

  def passing(**changes)
    Opening::Passing.of(changes.fetch(:button, button), changes.fetch(:cloth, cloth), **changes.except(:button, :cloth))
  end

  def test_a_flat_button_by_every_school
    lengths = cut.answers.to_h { |answer| [answer.school.key, answer.length.to_s] }

    # 18 + 3 + 1 ease + 0.45 fold = 22.45, up to the half millimetre.
    assert_equal({ "passing_geometry" => "22.5 mm", "diameter_thickness" => "21 mm", "diameter_allowance" => "21 mm",
                   "diameter_tacks" => "20.5 mm", "clamp" => "20 mm", "clamp_clicks" => "20.5 mm", "strip" => "22 mm" }, lengths)
    # Diameter and thickness, which most people use, is tight on a square edge; it is not impossible.
    assert_equal "tight", cut(school: "diameter_thickness").verdict.key
    assert_equal "snug", cut(button: button(shape: "rounded"), school: "diameter_thickness").verdict.key
    assert_equal "25 mm", cut.overall.to_s
    assert_equal "snug", cut.verdict.key
    assert_equal "0.05 mm", cut.rounding.to_s
  end

  def test_the_fixed_allowance_fails_a_ball
    ball = button(shape: "ball", attachment: "shank", diameter: mm(12))
    by_allowance = cut(button: ball, school: "diameter_allowance")

    assert_equal "will_not_pass", by_allowance.verdict.key
    assert_match(said("verdict.will_not_pass"), by_allowance.cautions.first.says.to_s)
    assert_predicate cut(button: ball).verdict, :usable?
  end

  def test_what_the_carriage_foot_makes_of_it
    foot = Foot.new(kind: "carriage_foot", allowance: mm(3.5), click: mm(0.8))
    by = ->(school, thing, **wished) { Opening::SlitLength.of(thing, cloth, wish(school: school, **wished), ENDS, foot: foot) }

    assert_equal mm(21.5), by.call("clamp", button).chosen.exact
    assert_equal mm(23.1), by.call("clamp_clicks", button, clicks: 2).chosen.exact
    # A ball cannot be clamped: a card as long as H is, to the half millimetre it can be cut to.
    ball = button(shape: "ball", attachment: "shank", diameter: mm(12))

    assert_equal mm(19 + 3.5), by.call("clamp", ball).chosen.exact
    assert_match(/card 19 mm long/, by.call("clamp", ball).chosen.because.first.says.to_s)
  end

  def test_a_wrapped_strip_is_halved_and_eased
    assert_equal mm(23), cut(school: "strip", wrapped: mm(44)).chosen.exact
    # Not wrapped yet: what a strip would measure.
    assert_equal mm(22), cut(school: "strip").chosen.exact
    assert_equal %w[opening.clicks opening.wrapped], refused { wish(clicks: 99, wrapped: mm(0)).validate }.keys.sort
  end

  def test_the_more_the_cloth_gives_the_looser_the_same_slit
    steps = cut.if_it_gives(button, cloth(stretch: 10))

    assert_equal [10, 15, 60], steps.map(&:first).values_at(0, 1, -1)
    assert_equal steps.map { |_, verdict| verdict.slack }, steps.map { |_, verdict| verdict.slack }.sort
    assert_equal "slips_out", steps.last.last.key
  end

  def test_thick_cloth_asks_for_more_and_stretch_for_less
    assert_operator cut(cloth: cloth(layers: 6)).length, :>, cut.length
    assert_operator cut(cloth: cloth(stretch: 50)).length, :<, cut.length
    assert_operator cut(cloth: cloth(kind: "pile")).length, :>, cut.length
  end

  def test_every_end_finish_counts_into_the_overall_length
    ends = STYLES.values.select(&:opens).to_h { |style| [style.key, style.ends(width: mm(5)).both.to_s] }

    assert_equal({ "two_tacks" => "2.5 mm", "round_end" => "3.75 mm", "two_round" => "5 mm",
                   "keyhole" => "2.25 mm", "stretch" => "2.5 mm",
                   "corded" => "2.5 mm", "straight_box" => "2 mm", "manual_zigzag" => "2.5 mm", "eyelet" => "2 mm" }, ends)
  end

  # Where nobody said how far it gives, and nothing holds it.
  def test_a_knit_nobody_measured_is_cut_shorter
    rib = cloth(kind: "knit", stretch: 0)

    assert_equal cut(cloth: rib).length, cut(cloth: cloth(stretch: 0)).length - mm(1)
    assert_equal cut(cloth: cloth(kind: "knit", stretch: 30)).length, cut(cloth: cloth(stretch: 30)).length
  end

  def test_bands_are_where_the_verdict_changes
    [cloth, cloth(stretch: 40), cloth(layers: 5)].each do |stuff|
      goes = passing(cloth: stuff)
      goes.bands.each do |key, length|
        # Slips out begins just beyond its band's end.
        beyond = key == "slips_out" ? mm(0.001r) : Length.zero

        assert_equal key, goes.verdict(length + beyond).key
        refute_equal key, goes.verdict(length - mm(0.001r)).key
      end
    end
  end

  def test_verdict_bands
    needed = button.half_perimeter + cloth.fold

    { -0.51 => "will_not_pass", -0.5 => "tight", 0.29 => "tight", 0.3 => "snug", 1.99 => "snug", 2 => "easy",
      3.6 => "easy", 3.61 => "slips_out" }.each do |slack, band|
      assert_equal band, passing.verdict(needed + mm(Rational(slack.to_s))).key, slack.to_s
    end
    # A small button slips out from 2.5, a large one from a fifth of its width.
    assert_equal([mm(2.5), mm(8)], [mm(11), mm(40)].map { |wide| passing(button: button(diameter: wide)).slips_from })
  end

  # σ² = 0.3² + (0.5·fold)² + (0.01·L)² + 0.2²: at the lower end of tight it passes one time in two.
  def test_a_verdict_comes_with_its_chance
    at = ->(slack) { passing.verdict(button.half_perimeter + cloth.fold + mm(slack)) }

    assert_in_delta 0.5, at.call(-0.5r).passes, 1e-9
    assert_in_delta Math.sqrt(0.09 + ((0.5 * 0.45)**2) + ((0.01 * 22.5)**2) + 0.04),
                    passing.verdict(mm(22.5)).deviation, 1e-9
    assert_equal [1, 19], [at.call(-3).passes_in_twenty, at.call(3).passes_in_twenty], "never more certain than that"
    %w[will_not_pass tight snug easy slips_out].zip([-3, -0.1r, 1, 2.8r, 6]).each do |key, slack|
      assert_equal key, at.call(slack).key
    end
    whole = [-4, -1, -0.2r, 1, 3, 7].map { |slack| at.call(slack).chance }

    whole.each { |chance| assert_operator chance, :>, 0.3 }
    assert_operator at.call(1).chance, :>, at.call(0.35r).chance
  end

  # What nobody measured makes every verdict less sure, and a thickness that is typed takes that away again.
  def test_a_guessed_thickness_makes_the_verdict_less_sure
    %w[rounded flat rimmed domed square irregular bar].each do |shape|
      guessed = button(shape: shape, diameter: mm(24), thickness: nil)
      known = guessed.with(thickness: guessed.height)
      sure, doubtful = [known, guessed].map do |one|
        Opening::Passing.of(one, cloth).then { |passing| passing.verdict(passing.bands["easy"]) }
      end

      assert_equal known.half_perimeter, guessed.half_perimeter, shape
      assert_equal sure.slack, doubtful.slack
      assert_operator doubtful.deviation, :>, sure.deviation, shape
      assert_operator doubtful.passes, :<, sure.passes, shape
      assert_in_delta guessed.likely.map { |one| one.half_perimeter.to_f }.minmax.reduce(:-).abs, 4 * guessed.doubt
      assert_equal [known, 0.0], [*known.likely, known.doubt]
    end
  end

  def test_a_stay_or_a_cord_keeps_the_slit_from_giving
    knit = cloth(kind: "knit", stretch: 40)
    whole, half, none = [1r, 1r / 2, 0r].map { |held| cut(cloth: knit, held: held).length }

    assert_operator whole, :<, half
    assert_operator half, :<, none
    assert_includes cut(cloth: knit, held: 0r).chosen.because.map { |reason|
      reason.says.to_s
    }.join, said("school.keeps_it_from_giving")
  end

  # An eye of radius r opens to (π − 2)·r more than the 2r of slit it stands for.
  def test_the_eye_of_a_keyhole_counts_in_what_passes
    ends = Style.fetch("keyhole").ends(width: mm(6))
    with = Opening::SlitLength.of(button, cloth, wish, ends)

    assert_equal mm(1.5), ends.eye
    assert_in_delta (Math::PI - 2) * 1.5, with.passing.eye.to_f, 0.001
    assert_in_delta cut.chosen.exact.to_f - with.passing.eye.to_f, with.chosen.exact.to_f, 0.001
    # The ring is never wider than the hole.
    [2, 3, 4.5, 6, 9].each do |width|
      eyed = Style.fetch("keyhole").ends(width: mm(width))

      assert_equal mm(width) / 2, eyed.eye + eyed.near
    end
  end

  # Cord 8: π·8/2 + 2 = 14.57, + 0.45 fold; an eyelet 8 + 1. Ribbon 10 × 0.3 + 1.5; hook 1.5 + 2; ring 20 + 2 + 1.
  def test_what_is_no_button_is_sized_by_the_same_rules
    bare = cloth(thickness: mm(0.001), interfacing: mm(0), layers: 1)
    thing = lambda { |shape, diameter, thickness = 1, **more|
      button(shape: shape, diameter: mm(diameter), thickness: mm(thickness), **more).validate
    }
    exact = ->(made, **more) { cut(button: made, cloth: bare, **more).chosen.exact.to_f }

    { thing.call("cord", 8) => (8 * Math::PI / 2) + 2, thing.call("ribbon", 10, 0.3) => 11.8, thing.call("hook", 1.5) => 3.5,
      thing.call("ring", 20, 2) => 23 }.each do |made, expected|
      assert_in_delta expected, exact.call(made), 0.01,
                      made.shape
    end
    assert_in_delta 9, exact.call(thing.call("cord", 8), round: true), 0.01
    # What is at its end passes too: the largest rules.
    assert_in_delta 22, exact.call(thing.call("cord", 8, tip: mm(20))), 0.01
    assert_equal(%w[passing_geometry strip],
                 cut(button: thing.call("cord", 8)).answers.map { |answer| answer.school.key })
  end

  def test_what_passes_is_never_shorter_than_the_button_needs
    300.times do
      thing = button(shape: PASSING.sample(random: random), attachment: "shank",
                     diameter: random_mm(8.0..40.0), thickness: random_mm(1.0..8.0))
      stuff = cloth(kind: CLOTH_KINDS.keys.sample(random: random), thickness: random_mm(0.1..3.0),
                    layers: random.rand(1..5), stretch: random.rand(0..80))
      ruler = RULERS.keys.sample(random: random)
      cut = cut(button: thing, cloth: stuff, ruler: ruler)
      cut.answers.each do |answer|
        next if answer.verdict.key == "will_not_pass"

        assert_operator (answer.length * stuff.give).to_f, :>=, (thing.half_perimeter + stuff.fold).to_f - 0.5
      end

      refute_equal "will_not_pass", cut.verdict.key
      # An eighth of an inch may be too coarse a mark for a small button; a millimetre is not.
      assert_predicate cut.verdict, :usable?, "#{thing} in #{stuff}" if ruler.end_with?("millimetre") && thing.fastens?
    end
  end
end
