# frozen_string_literal: true

require_relative "../core_helper"

class SheetTest < CoreTest
  def tied(given = plan)
    made = Sheet.of(given)
    given.with(settled: STAGES.transform_values { |stage| stage.answer(made) })
  end

  def states(given) = Sheet.of(given).stages.transform_values(&:state)

  def test_another_diameter_moves_opening_run_and_steps
    small = sheet
    large = sheet(button: button(diameter: mm(25)))

    assert_operator large.cut.length, :>, small.cut.length
    refute_equal small.layout.holes.map(&:from), large.layout.holes.map(&:from)
    refute_equal(small.progress.steps.map { |step| step.does.to_s }, large.progress.steps.map { |step| step.does.to_s })
  end

  def test_a_knot_goes_stale_when_what_it_leans_on_changes_and_only_then
    all = tied

    assert_equal ["tied"], states(all).values.uniq
    moved = states(all.with(placket: run_of(first: mm(30))))

    assert_equal(%w[placket sewing print], moved.select { |_, state| state == "stale" }.keys)
    assert_equal %w[button opening placket swatch sewing print],
                 states(all.with(button: button(diameter: mm(19)))).select { |_, state| state == "stale" }.keys
    # A name, or the same value said in another unit, changes nothing.
    assert_equal ["tied"], states(all.with(button: button(name: "shell", diameter: Length.inches(18 / 25.4r)))).values.uniq
    assert_equal "loose", states(plan)["button"]
    changes = Sheet.of(all.with(button: button(diameter: mm(19)))).stages["opening"].changes

    assert_equal ["opening.length", mm(22.5), mm(23.5)], changes.first.to_a
  end

  # Whatever makes a stage answer otherwise makes its knot stale, and nothing else does.
  def test_a_stage_is_stale_exactly_when_its_answer_is_another
    all = tied
    before = Sheet.of(all)
    changes = { "recipe.style" => "round_end", "recipe.stitch_width" => mm(5), "thread.tex" => 60,
                "attach.pattern" => "cross",
                "cloth.layers" => 5, "placket.seat" => "centre", "opening.correction" => mm(1), "cloth.washed" => "no",
                "recipe.stabiliser" => "paper", "button.hole_spacing" => mm(4) }
    changes.each do |path, value|
      now = Sheet.of(all.changed(path => value))
      other = STAGES.values.reject { |stage| stage.answer(before) == stage.answer(now) }.map(&:word)

      assert_equal other, now.stages.select { |_, state| state.state == "stale" }.keys, path
    end
    wide = Sheet.of(all.changed("recipe.stitch_width" => mm(5), "recipe.style" => "round_end")).stages

    assert_equal(%w[stale stale], %w[opening placket].map do |word|
      wide[word].state
    end, "an end as round as the hole is wide moves both")
    drawer = Sheet.of(all.with(stabilisers: [])).stages

    assert_equal(%w[stale stale stale], %w[cloth recipe sewing].map { |word| drawer[word].state })
    assert_equal STAGES.keys - %w[attach], Sheet.of(plan.changed("button.shape" => "cord")).stages.keys
  end

  # What was told for the first test hole stays told: what it came to is advised, and known to the next closure.
  def test_hands_are_held_and_what_a_foot_adds_is_known_after_one_measured_hole
    first = sheet(machine: machine(id: 1))
    swatch = Swatches::Swatch.new(passes: "slips_out", measured: mm(24), symptoms: [], opening: mm(22.5),
                                  stitch_width: mm(4.5), stitch_length: mm(0.4), tension: 3r,
                                  stabiliser: "fusible strip", sewn_with: first.sewn_with)
    learned = sheet(machine: machine(id: 1), facts: facts(swatches: [swatch]))
    earlier = [Swatches::EarlierSwatch.new(closure: 9, swatch: swatch)]
    another = sheet(machine: machine(id: 1), facts: Sewing::Facts.new(earlier: earlier))

    assert_equal [nil, mm(20.5), [mm(21.5), mm(23.5)]],
                 [first.setting.gives, first.sewn_with["setting.hands"], first.setting.expected], "18, and 2.5 for 2 of its own"
    assert_equal [mm(22.5), mm(2.5)], [learned.setting.gives, learned.setting.opened], "nothing moves by itself"
    assert_match(/adds about 3.5 mm/, learned.diagnosis.remarks.map { |one| said_in(one, :mm) }.join)
    assert_equal [mm(22.5), mm(1)], [another.setting.gives, another.setting.opened]
    assert_nil sheet(machine: machine(id: 2), facts: facts(swatches: [swatch])).setting.gives, "another machine's foot is another foot"
  end

  def test_a_plan_is_read_and_changed_by_paths_and_says_what_changed
    pin = Placket::Pin.new(id: "a", at: mm(212), label: "bust")
    changed = plan.changed("button.diameter" => mm(20), "closure.name" => "cuff", "placket.pins" => [pin])

    assert_equal [mm(20), "cuff", [pin]], [changed.at("button.diameter"), changed.name, changed.placket.pins]
    assert_equal [["closure.name", "front placket", "cuff"], ["button.diameter", mm(18), mm(20)],
                  ["placket.pins.a", nil, pin]],
                 changed.changes_since(plan).map(&:to_a)
    assert_empty plan.changes_since(plan)
    open = plan.changed("placket.seat" => nil, "opening.school" => nil)

    assert_equal(%w[upper passing_geometry],
                 %w[placket.seat opening.school].map { |path| open.in(House.usual).at(path) })
    Plan::PATHS.each { |path| assert_equal plan, plan.changed(path => plan.at(path)), path }
  end

  def test_faults_of_all_rooms_come_together
    faults = refused do
      plan(button: button(thickness: mm(30)), placket: run_of(count: 0), thread: thread(tex: 0)).validate
    end

    assert_equal %w[button.thickness placket.count thread.tex], faults.keys.sort
  end

  def test_the_same_plan_gives_the_same_sheet
    assert_equal Sheet.of(plan), Sheet.of(plan)
  end
end
