# frozen_string_literal: true

require_relative "../app_helper"

# Undo and redo across all stages, far further back than anybody needs.
class UndoTest < AppTest
  STEPS = 16

  def random = @random ||= Random.new(7)

  # A change of some stage, never twice the same.
  def change(turn)
    [{ "button" => { "diameter" => "#{15 + (turn % 5)}.#{turn % 10}" } },
     { "opening" => { "correction" => "0.#{turn % 9}#{turn % 7}" } },
     { "placket" => { "run_length" => (600 + turn).to_s } }, { "recipe" => { "stitch_length" => "0.#{3 + (turn % 4)}" } },
     { "cloth" => { "weight" => (120 + turn).to_s } }, { "thread" => { "bobbin" => "#{turn + 1} m" } },
     { "placket" => { "keep_outs" => [{ "from" => (300 + turn).to_s, "to" => (306 + turn).to_s,
                                        "label" => "seam #{turn}" }] } },
     { "attach" => { "stitches" => (6 + (turn % 5)).to_s } }][turn % 8]
  end

  # Row ids are given anew each time a test writes a list whole.
  def state(found) = found.slice("plan", "sheet")

  # All of it, page by page.
  def history
    pages = [call(:get, "/api/closures/1/history")]
    pages << call(:get, "/api/closures/1/history?before=#{pages.last.last['number']}") until pages.last.last["first"]
    pages.flatten
  end

  def test_every_step_back_and_forth_again_shows_what_was_shown
    seen = [state(closure)]
    turn = -1
    until seen.size > STEPS
      before = version
      found = save(change(turn += 1))

      assert_status 200
      seen << state(found) if found["version"] != before
    end

    assert_equal STEPS + 1, history.size

    seen[0..-2].reverse_each { |before| assert_equal before, state(act(:post, "undo")) }

    assert_nil closure["undo"]
    assert_equal seen.first, state(act(:post, "undo")), "nothing further back: it stays"
    seen.drop(1).each { |after| assert_equal after, state(act(:post, "redo")) }

    assert_nil closure["redo"]
  end

  # Whatever is done between, undo brings back what was shown before, and every revision can be had again.
  def test_a_random_walk_never_loses_a_revision
    shown = [state(closure)]
    40.times do |turn|
      if shown.size > 1 && random.rand < 0.4
        shown.pop

        assert_equal shown.last, state(act(:post, "undo"))
      else
        before = version
        found = save(change(turn))
        shown << state(found) if found["version"] != before
      end
    end
    revisions = history

    assert_operator revisions.size, :>, 15
    revisions.sample(10, random: random).each do |revision|
      assert_instance_of Plan, Store::Closures.new(workroom).plan_at(1, revision["number"])
      act(:post, "history/#{revision['number']}")

      assert_status 200
    end
  end

  def test_a_change_after_undo_begins_a_new_way_and_the_old_one_stays_in_the_history
    save({ "button" => { "diameter" => "16" } })
    act(:post, "undo")
    save({ "button" => { "diameter" => "17" } })

    assert_nil closure["redo"]
    summaries = call(:get, "/api/closures/1/history").map { |revision| revision["changes"] }

    assert_includes summaries.join, "16 mm"
    assert_includes summaries.join, "17 mm"
    assert_equal "18 mm", act(:post, "undo")["plan"]["button.diameter"]["text"]
    assert_equal "17 mm", act(:post, "redo")["plan"]["button.diameter"]["text"], "the newest of the two ways"
  end

  # What happened at the table is no part of the plan: no undo and no jump in the history takes it back.
  def test_a_jump_in_the_history_leaves_every_swatch_and_tick_in_place
    save({ button: { diameter: "19" } })
    log_swatch({ passes: "tight" })
    log_swatch({ passes: "passes" })
    %w[stabilise mark sew-1].each { |key| tick(key) }
    done = ->(found) { [found["sheet"]["swatch"]["log"].map { |swatch| swatch["id"] }, found["sheet"]["sewing"]["done"]] }
    before = done.call(closure)

    assert_equal 3, before.last
    assert_equal before, done.call(act(:post, "history/1"))
    assert_equal before, done.call(act(:post, "undo"))
    assert_equal before, done.call(act(:post, "undo"))
    assert_equal "diameter 18 → 19 mm", closure["redo"]
  end

  def test_undo_to_a_machine_that_was_removed_is_a_clear_answer_and_a_way_on
    save({ machine: { id: 2 } }, id: SMOCK)
    db[:closures].where(machine_id: 4).exclude(id: SMOCK).update(machine_id: 2)
    call(:delete, "/api/machines/4", nil, "HTTP_IF_MATCH" => '"1"')

    assert_status 204
    problem = act(:post, "undo")

    assert_status 409
    assert_includes problem["detail"], "Lapwing"
    assert_equal({ "kind" => "machine", "id" => 4, "name" => "Lapwing" }, problem["missing"])
    call(:post, "/api/waste-basket/machine/4")
    act(:post, "undo")

    assert_status 200
    assert_equal 4, closure["plan"]["machine.id"]
  end
end
