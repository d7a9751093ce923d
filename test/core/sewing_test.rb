# frozen_string_literal: true

require_relative "../core_helper"

class SewingTest < CoreTest
  def steps(**changes) = sheet(**changes).progress.steps

  def test_the_machine_is_as_it_was_after_the_last_step_whatever_is_sewn_on_it
    CoreValues::MACHINES.each_key do |kind|
      CLOTH_KINDS.each_key do |cloth_kind|
        [button, button(shape: "ball", attachment: "shank")].each do |thing|
          made = steps(machine: machine(kind), cloth: cloth(kind: cloth_kind), button: thing)

          assert_predicate ledger_after(made), :empty?, "#{kind}, #{cloth_kind}"
          assert_equal made.map(&:key), made.map(&:key).uniq
        end
      end
    end
  end

  def test_the_order_of_the_work
    keys = steps.map(&:key)
    order = %w[stabilise mark settings lever test-sew sew-1 reset-2 sew-2 open-1 mark-buttons feed-off button-1 back-foot note]

    assert_equal(order, order.sort_by { |key| keys.index(key) })
  end

  def test_a_reset_stands_between_every_two_holes_where_the_machine_wants_one
    assert_equal(6, steps.count { |step| step.key.start_with?("reset-") })
    assert_empty(steps(machine: machine("memory")).select { |step| step.key.start_with?("reset-") })
    lever = steps.find { |step| step.key == "lever" }

    assert_predicate lever, :guarded?
    assert_match(/beeps/, lever.symptom)
    assert_empty(steps(machine: machine("stepped")).select { |step| step.key == "lever" })
  end

  def test_each_machine_kind_sews_in_its_own_words
    words = CoreValues::MACHINES.keys.to_h { |kind| [kind, steps(machine: machine(kind)).find { |step| step.key == "sew-1" }.how.to_s] }

    assert_match(/Near tack/, words["sensing"])
    assert_match(/press the reverse key 22.5 mm/, words["memory"])
    assert_match(/marks 25 mm apart/, words["stepped"])
    assert_match(/pivot/, words["plain"])
  end

  def test_feed_dogs_rise_only_at_the_next_stitch_and_no_iron_near_coated_cloth
    assert_match(/rise only at the next stitch/, steps.find { |step| step.key == "back-feed_dogs" }.does)
    assert_match(/No hot iron/, steps(cloth: cloth(kind: "leather")).first.caution)
    assert_nil steps.first.caution
  end

  def test_progress_tells_what_was_passed_over_and_what_is_away_from_neutral
    made = sheet(steps_done: %w[stabilise foot no-longer-there]).progress

    assert_equal %w[stabilise foot], made.done
    assert_equal %w[try-on mark needle], made.passed_over
    assert_equal "settings", made.next_key
    assert_equal ["presser foot"], made.ledger.entries.map(&:name)
    assert_nil sheet(steps_done: steps.map(&:key)).progress.next_key
  end

  def test_shank_buttons_are_sewn_by_hand
    keys = steps(button: button(attachment: "shank")).map(&:key)

    assert_includes keys, "buttons-by-hand"
    refute_includes keys, "feed-off"
  end
end
