# frozen_string_literal: true

require_relative "../core_helper"

# A bag and a cardigan from beginning to end, and anything else: one figure all the way.
class OneFigureTest < CoreTest
  def places(found) = found.layout.holes.map { |hole| hole.at.to_f }

  # A bag with two openings for a cord of 8 mm: wider round than this machine swings.
  def bag(**changes)
    sheet(button: button(shape: "cord", diameter: mm(8)), cloth: cloth(thickness: mm(0.5)),
          machine: machine("memory", max_width: mm(7)),
          placket: run_of(run_length: mm(300), use: "bag", first: mm(139), last: mm(161), count: 2), **changes)
  end

  def test_a_cord_goes_through_a_slit_where_the_machine_sews_no_eyelet_so_wide
    found = bag

    assert_equal "two_tacks", found.recipe.style.value.key
    assert_includes found.recipe.style.cautions.map(&:rule), "machine"
    # Half the way round the cord, and room to run.
    assert_operator found.opening.to_f, :>=, 4 * Math::PI
    assert_equal %w[cloth button opening placket recipe swatch sewing print], found.stages.keys
    assert_equal [139.0, 161.0], places(found)
    assert_empty words(found).keys.grep(/button|hand-thread|feed-off/)
    assert_empty words(found).values.grep(/\bbutton\b/), "nothing is buttoned"
  end

  def test_two_openings_too_near_each_other_say_how_far_apart_they_must_be
    near = bag(placket: run_of(run_length: mm(300), use: "bag", first: mm(140), last: mm(160), count: 2))

    assert_nil near.layout
    fault = said_in(near.faults.first.allowed, :mm)
    least = fault[/gaps of at least ([\d.]+) mm/, 1].to_f

    assert_operator least, :>, 20
    assert_equal near.overall.to_f + 3, least, "the hole with both its ends, and cloth between"
    refute_includes fault, "button"
  end

  # A knit cardigan with shank buttons of 12 mm, corded, on a machine that remembers a length.
  def cardigan(**changes)
    sheet(button: button(shape: "ball", attachment: "shank", diameter: mm(12)),
          cloth: cloth(kind: "knit", weight: 260, thickness: mm(0.9), stretch: 45),
          machine: machine("memory", foot_pressure: true, first_side: "left", first_direction: "away"),
          recipe: Recipes::Overrides.new(style: "corded"),
          placket: run_of(run_length: mm(560), use: "knitwear", count: 8, first: mm(20), last: mm(540)), **changes)
  end

  def test_the_cardigans_hole_is_half_way_round_the_ball_and_its_cord_keeps_it_from_growing
    found = cardigan
    half = Math::PI * 12 / 2

    assert_in_delta half, found.plan.button.half_perimeter.to_f, 0.001
    # Ease of 1, half of the stack of 2 mm that the fold eats, up to the next half.
    assert_equal mm(21), found.opening
    assert_equal 21, ((half + 1 + 1) * 2).ceil / 2.0
    assert_equal 0, found.recipe.stretch_left
    # What gives more is reckoned with the same cord: it begins where the verdict stands, and stays there.
    gives = found.cut.if_it_gives(found.plan.button, found.plan.cloth, opening: found.opening).map(&:last)

    assert_equal [found.verdict], gives.uniq
    assert_equal [Recipes::CORDED_COVER, true], [found.recipe.cover, found.recipe.coverage.between?(0.5, 0.66)]
    assert_equal [true, "cording_foot", "stretch"],
                 [found.recipe.cord.value, found.recipe.foot.value.kind, found.recipe.needle.value.point]
    assert_operator found.recipe.coverage, :>=, 0.5, "it hides its cord"
    assert_empty found.recipe.cautions.map(&:rule) - ["stretch"]
  end

  def test_the_cardigans_test_hole_teaches_the_machine_and_the_end_makes_it_forget
    said = words(cardigan)
    opening = cardigan.opening.to_s

    assert_includes said["test-sew"], "a line #{opening} from the start"
    said.keys.grep(/\Asew-at/).each { |key| assert_includes said[key], said("steps.repeats_by_itself") }
    assert(said.any? { |key, text| key.start_with?("back-") && text.include?(said("steps.forget_the_length")) })
    assert(said.values.any? { |text| text.include?("foot pressure one step lighter") })
    assert(said.values.any? { |text| text.include?("foot pressure back to your usual") })
    assert_equal 8, said.keys.grep(/\Acord-at|\Aloop-at|\Apull-at/).size, "each loop is pulled closed"
    refute_includes said.keys, "feed-off", "a shank goes on by hand"
  end

  # Whatever goes through, on whatever: one figure from the answer to the mark, and nothing left set.
  def test_any_closure_tells_one_figure_all_the_way
    shapes = BUTTON_SHAPES.keys - %w[cornered]
    120.times do
      found = random_sheet(shapes)
      next unless found.layout

      steps = words(found)
      opening = found.opening.to_s

      assert_includes steps["mark"], " #{opening} long" unless found.recipe.style.value.round?

      assert_equal found.setting.planned, found.opening
      found.layout.holes.each do |hole|
        assert_equal found.opening, hole.opening
        if hole.vertical? && !found.recipe.style.value.round?
          assert_equal hole.opening + found.cut.ends.both,
                       hole.to - hole.from
        end
        place = steps.fetch(Work::Step.key_at("place", hole.at))

        hole.starts.each { |start| assert_includes place, start.along.to_s }
      end

      assert_equal found.verdict, found.cut.passing.verdict(found.opening)
      assert_empty ledger_after(found.progress.steps).entries, "#{found.plan.machine.kind}, #{found.recipe.style.value.key}"
    end
  end

  private

  def random_sheet(shapes)
    pick = ->(list) { list.to_a.sample(random: random) }
    shape = pick.call(shapes)
    diameter = random.rand(8..30)
    thing = button(shape: shape, attachment: pick.call(%w[four_holes shank]), diameter: mm(diameter),
                   thickness: mm(random.rand(2..5)), width: mm(random.rand(4..diameter)), hole_spacing: mm(2.5),
                   hole_diameter: mm(1.2))
    sheet(button: thing,
          cloth: cloth(kind: pick.call(CLOTH_KINDS.keys), weight: random.rand(60..400),
                       stretch: pick.call([0, 20, 45])),
          machine: machine(pick.call(CoreValues::MACHINES.keys), first_side: "left",
                           first_direction: pick.call(%w[away toward]),
                                                                 foot_lift: mm(9)),
          placket: run_of(orientation: pick.call(%w[vertical horizontal]), run_length: mm(900), first: mm(60),
                          last: mm(840), count: 6))
  end
end
