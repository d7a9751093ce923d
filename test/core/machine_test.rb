# frozen_string_literal: true

require_relative "../core_helper"

class MachineTest < CoreTest
  def test_a_width_is_only_what_the_dial_has
    dial = machine(max_width: mm(5.2), width_step: mm(0.5))

    assert_equal([mm(4.5), mm(4.5), mm(5), mm(5), mm(5)], [4.4, 4.7, 4.8, 5.2, 99].map { |wanted| dial.width_settable(mm(wanted)) })
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
    chosen = CLOTH_KINDS.keys.product(CoreValues::MACHINES.keys, [button, button(attachment: "shank")]).map do |kind, name, thing|
      situation = Recipes::Situation.new(button: thing, cloth: cloth(kind: kind), thread: thread, machine: machine(name))
      Recipes::Recipe.of(situation, Recipes::Overrides.none).style.value.key
    end

    # Two round ends are a matter of taste, and an eyelet is for no button: those are asked for.
    assert_equal STYLES.keys - %w[two_round eyelet], STYLES.keys & chosen
    assert_equal CLOTH_KINDS.keys.sort, Recipes::NEEDLES.keys.sort
    assert_equal CLOTH_KINDS.keys.sort, STABILISERS.keys.sort
  end
end
