# frozen_string_literal: true

require_relative "../core_helper"

class SheetTest < CoreTest
  def tied(given = plan) = given.with(knots: STAGES.transform_values { |stage| stage.fingerprint(given) })

  def states(given) = Sheet.of(given).stages

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
    moved = states(all.with(run: run_of(first: mm(30))))

    assert_equal(%w[placket sewing print], moved.select { |_, state| state == "stale" }.keys)
    assert_equal ["stale"], states(all.with(button: button(diameter: mm(19)))).values.uniq
    # A name, or the same value said in another unit, changes nothing.
    assert_equal ["tied"], states(all.with(button: button(name: "shell", diameter: Length.inches(18 / 25.4r)))).values.uniq
    assert_equal "loose", states(plan)["button"]
  end

  def test_faults_of_all_rooms_come_together
    faults = refused { plan(button: button(thickness: mm(30)), run: run_of(count: 0), thread: thread(tex: 0)).validate }

    assert_equal %w[button.thickness placket.count thread.tex], faults.keys.sort
  end

  def test_the_same_plan_gives_the_same_sheet
    assert_equal Sheet.of(plan), Sheet.of(plan)
  end
end
