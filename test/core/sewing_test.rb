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
    made = sheet(facts: facts(steps: %w[stabilise foot no-longer-there])).progress

    assert_equal %w[stabilise foot], made.done
    assert_equal %w[try-on mark needle], made.passed_over
    assert_equal "settings", made.next_key
    assert_nil sheet(facts: facts(steps: steps.map(&:key))).progress.next_key
  end

  def test_a_step_done_with_other_figures_says_from_what_to_what
    done = facts(steps: %w[mark needle], with: { "opening.length" => mm(27), "recipe.needle" => "universal 75/11" })
    outdated = sheet(facts: done).progress.outdated

    assert_equal ["mark"], outdated.keys
    assert_equal [["opening.length", mm(27), mm(22.5)]], outdated["mark"].map(&:to_a)
  end

  # A length in the sentence of a step is one of the figures it is done with: no tick outlives its figure.
  def test_every_step_keeps_the_lengths_it_says
    steps.each do |step|
      next unless step.does.is_a?(Sentence)

      assert_empty step.does.figures.grep(Length) - step.figures.values, step.key
    end
    moved = facts(steps: %w[mark place-1 stabilise], with: { "mark.2" => mm(1), "hole.start" => mm(2),
                                                             "recipe.stabiliser" => "none" })

    assert_equal({ "mark" => ["mark.2"], "place-1" => ["hole.start"], "stabilise" => ["recipe.stabiliser"] },
                 sheet(facts: moved).progress.outdated.transform_values { |found| found.map(&:figure) })
  end

  def test_facts_are_read_off_the_journal_and_what_is_withdrawn_does_not_count
    entry = ->(id, kind, **more) { Sewing::Entry.new(id: id, kind: kind, happened_at: nil, **more) }
    read = Sewing::Facts.of([
                              entry.call("a", "hole_sewn", step: "sew-1", at: mm(118), opening: mm(22)),
                              entry.call("b", "hole_sewn", step: "sew-2", at: mm(24), opening: mm(22)),
                              entry.call("c", "step", step: "mark"), entry.call("d", "withdrawal", about: "c"),
                              entry.call("e", "hole_sewn", step: "sew-1", at: mm(118), opening: mm(22.5))
                            ])

    assert_equal %w[sew-1 sew-2], read.steps.keys
    assert_equal [[mm(24), mm(22)], [mm(118), mm(22.5)]], read.holes.map(&:to_a)
    assert_equal "e", read.steps["sew-1"].id, "the newest counts"
  end

  def test_shank_buttons_are_sewn_by_hand
    keys = steps(button: button(attachment: "shank")).map(&:key)

    assert_includes keys, "buttons-by-hand"
    refute_includes keys, "feed-off"
  end
end
