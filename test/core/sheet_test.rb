# frozen_string_literal: true

require_relative "../core_helper"

class SheetTest < CoreTest
  def tied(given = plan) = given.with(settled: STAGES.transform_values { |stage| stage.read(given) })

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
    assert_equal ["stale"], states(all.with(button: button(diameter: mm(19)))).values.uniq
    # A name, or the same value said in another unit, changes nothing.
    assert_equal ["tied"], states(all.with(button: button(name: "shell", diameter: Length.inches(18 / 25.4r)))).values.uniq
    assert_equal "loose", states(plan)["button"]
    changes = Sheet.of(all.with(button: button(diameter: mm(19)))).stages["button"].changes

    assert_equal [["button.diameter", mm(18), mm(19)]], changes.map(&:to_a)
  end

  def test_a_plan_is_read_and_changed_by_paths_and_says_what_changed
    pin = Placket::Pin.new(id: "a", at: mm(212), label: "bust")
    changed = plan.changed("button.diameter" => mm(20), "closure.name" => "cuff", "placket.pins" => [pin])

    assert_equal [mm(20), "cuff", [pin]], [changed.at("button.diameter"), changed.name, changed.placket.pins]
    assert_equal [["closure.name", "front placket", "cuff"], ["button.diameter", mm(18), mm(20)], ["placket.pins.a", nil, pin]],
                 changed.changes_since(plan).map(&:to_a)
    assert_empty plan.changes_since(plan)
    open = plan.changed("placket.seat" => nil, "opening.school" => nil)

    assert_equal(%w[upper passing_geometry], %w[placket.seat opening.school].map { |path| open.in(House.usual).at(path) })
    Plan::PATHS.each { |path| assert_equal plan, plan.changed(path => plan.at(path)), path }
  end

  def test_faults_of_all_rooms_come_together
    faults = refused { plan(button: button(thickness: mm(30)), placket: run_of(count: 0), thread: thread(tex: 0)).validate }

    assert_equal %w[button.thickness placket.count thread.tex], faults.keys.sort
  end

  def test_the_same_plan_gives_the_same_sheet
    assert_equal Sheet.of(plan), Sheet.of(plan)
  end
end
