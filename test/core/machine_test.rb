# frozen_string_literal: true

require_relative "../core_helper"

class MachineTest < CoreTest
  def test_a_width_is_only_what_the_dial_has
    dial = machine(max_width: mm(5.2), width_step: mm(0.5))

    assert_equal([mm(4.5), mm(4.5), mm(5), mm(5), mm(5)],
                 [4.4, 4.7, 4.8, 5.2, 99].map { |wanted| dial.width_settable(mm(wanted)) })
    200.times do
      wanted = random_mm(0.1..12.0)
      set = dial.width_settable(wanted)

      assert_equal 1, (set / dial.width_step).denominator
      assert_operator set, :<=, dial.max_width
      assert_operator (set - wanted).abs, :<=, mm(0.25) if wanted < mm(5)
    end
  end

  def test_a_stitch_is_never_shorter_than_one_step
    dial = machine(length_step: mm(0.25))

    assert_equal([mm(0.25), mm(0.25), mm(0.5)], [0.01, 0.3, 0.4].map { |wanted| dial.length_settable(mm(wanted)) })
  end

  def test_figures_of_a_dial_are_in_its_own_numbers
    dial = machine("stepped", length_stepless: true)

    assert_equal(["0.5", "0.38 (half way from 0.25 to 0.5)", "0.33 (a third of the way from 0.25 to 0.5)"],
                 [0.5, 0.38, 0.33].map { |length| dial.length_mark(mm(length)) })
    assert_equal "4.5", dial.width_mark(mm(4.5))
    assert_equal([mm(5), mm(4)], [4.1, 3.6].map do |wanted|
      machine(width_step: mm(0.5)).width_from(mm(wanted))
    end.map { |width| width.round_up_to(mm(1)) })
    assert_equal([4r, 4.5r, 0r], [4.2, 4.3, -1].map { |wanted| dial.tension_settable(wanted) })
  end

  # Back to the first part and forgetting the length are two things; where a machine begins is unknown until watched.
  def test_what_a_machine_forgets_and_where_it_begins
    assert_equal said("machine.turn_the_selector_back"), machine("stepped", reset: "none").reset_words
    assert_nil machine("memory").reset_words
    assert_equal said("machine.press_its_clear_key"), machine("memory", forgets: "clear_key").forget_words
    assert_equal([nil, :near, :far], [nil, "away", "toward"].map { |way| machine(first_direction: way).begins })
    MACHINE_KINDS.each_value do |kind|
      assert_includes STOPS, kind.usual.fetch(:stops)
      assert_includes RESETS, kind.usual.fetch(:reset)
      assert_includes FORGETS, kind.usual.fetch(:forgets)
    end
  end

  def test_every_table_a_machine_points_into_has_what_it_names
    CoreValues::MACHINES.each do |kind, facts|
      found = machine(kind)

      assert found.type.order
      assert RESETS.key?(facts[:reset])
      assert FEED_STOPS.key?(facts[:feed_stop])
      assert(found.feet.all? { |foot| FOOT_KINDS.value?(foot.type) })
      assert_nil found.foot("laser")
    end
  end

  # No row of the tables is out of reach, and none is missing.
  def test_every_style_can_be_chosen_somewhere
    things = [button, button(attachment: "shank"), button(shape: "bar_tack")]
    machines = CoreValues::MACHINES.keys.map { |name| machine(name).then { |one| one.with(styles: one.styles + ["bar_tack"]) } }
    machines << machine("plain", max_width: mm(0))
    chosen = CLOTH_KINDS.keys.product(machines, things).map do |kind, owned, thing|
      situation = Recipes::Situation.new(button: thing, cloth: cloth(kind: kind), thread: thread, machine: owned)
      Recipes::Recipe.of(situation, Recipes::Overrides.none).style.value.key
    end

    # Two round ends are a matter of taste, and an eyelet is for no button: those are asked for.
    assert_equal STYLES.keys - %w[two_round eyelet], STYLES.keys & chosen
    votes = ->(rules) { rules.flat_map { |rule| rule.votes.keys }.uniq.sort }

    assert_equal [STABILISERS, Recipes::POINTS, FOOT_KINDS, Recipes::TENSION_MOVES].map { |table| table.keys.sort },
                 [Recipes::STABILISER_RULES, Recipes::NEEDLE_RULES, Recipes::FOOT_RULES, Recipes::TENSION_RULES].map(&votes)
  end
end
