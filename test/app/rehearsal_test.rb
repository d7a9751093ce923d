# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/slip_ways"

# Practised on the sample's machines through the interface: led by its own hints, kept, due again, and never a fact.
class RehearsalTest < AppTest
  attr_reader :now

  def clock
    test = self
    -> { test.now || NOW }
  end

  def app = @app ||= world.app(clock: clock)

  def sheet_of(id) = Store::Closures.new(workroom).find(id).sheet

  # Closures whose holes fit, and those on a kind of machine.
  def closures
    db[:closures].where(workroom_id: workroom.id, removed_at: nil).order(:id).select_map(:id).select do |id|
      sheet_of(id).layout
    end
  end

  def closure_on(kind) = closures.find { |id| sheet_of(id).plan.machine.kind == kind }

  def rehearse(id, exercise, acts) = call(:post, "/api/closures/#{id}/rehearsal", { exercise: exercise, acts: acts })

  # Does what comes next until it is done.
  def led(id, exercise, acts = [])
    answer = rehearse(id, exercise, acts)
    until answer["done"]
      acts += [answer["step"]["act"]]
      answer = rehearse(id, exercise, acts)
    end
    [answer, acts]
  end

  # The same in the core.
  def led_there(work, exercise)
    Rehearsal::Attempt.of(exercise, work, Support::SlipWays.led(work, exercise.key))
  end

  def test_every_exercise_of_the_sample_is_led_to_its_end_without_a_slip
    before = facts
    ([plain_one] + closures).each do |id|
      work = Simulation::PracticeWork.of(sheet_of(id))
      Rehearsal::Exercise.all(work).each do |one|
        found = led_there(work, one)

        assert_equal [true, []], [found.whole?, found.slips], "#{id} #{one.key}"
      end
      answer, = led(id, "back")

      assert_equal [true, []], answer.values_at("whole", "slips")
      offered = call(:get, "/api/closures/#{id}/rehearsal")

      assert_equal(Rehearsal::Exercise.all(work).map(&:key), offered["exercises"].map { |one| one["key"] })
    end
    assert_equal before, facts, "what is practised tells nothing"
  end

  # On the plain machine the sample sews no satin.
  def plain_one
    shirt = call(:get, "/api/closures/4")
    machine = db[:machines].where(kind: "plain").get(:id)
    call(:patch, "/api/closures/4/plan", { "machine.id" => machine.to_s }, "HTTP_IF_MATCH" => %("#{shirt['version']}"))
    4
  end

  def facts = [db[:journal].count, db[:moves].count]

  def done(id, acts, exercise: "hole", alone: true, uuid: SecureRandom.uuid)
    call(:post, "/api/closures/#{id}/rehearsals", { id: uuid, exercise: exercise, alone: alone, seconds: 90, acts: acts })
  end

  def test_a_slip_comes_back_sooner_and_what_went_well_later
    id = closure_on("sensing")
    machine = sheet_of(id).plan.machine.id
    _, acts = led(id, "hole")
    without = acts.reject { |act| act["part"] == "lever" }
    uuid = SecureRandom.uuid
    answer = Array.new(2) { done(id, without, uuid: uuid) }.last

    assert_equal(%w[lever], answer["weak"].map { |one| one["key"] })
    assert_equal Rehearsal::SLIPS["lever_up"].does, answer["weak"].first["does"]
    @now = NOW + (2 * 86_400)

    assert_equal(%w[lever], call(:get, "/api/machines/#{machine}/rehearsal")["due"].map { |one| one["key"] })
    assert_empty done(id, acts)["weak"]
    @now = NOW + (40 * 86_400)

    assert_includes call(:get, "/api/machines/#{machine}/rehearsal")["due"].map { |one| one["key"] }, "place"
    other = closure_on("memory")

    assert_empty call(:get, "/api/closures/#{other}/rehearsal")["row"], "another machine, another memory"
    assert_equal(2, call(:get, "/api/closures/#{id}/rehearsal")["row"].size)
  end

  # Reality teaches what to practise: a step that was done for real, and what went wrong for real.
  def test_what_is_done_for_real_counts_and_what_goes_wrong_there_too
    weak = -> { call(:get, "/api/machines/4/rehearsal")["weak"].map { |one| one["key"] } }
    rehearsals = Store::Rehearsals.new(workroom.scope, now: NOW - 60)
    rehearsals.keep(id: SecureRandom.uuid, machine: 4, exercise: "set", alone: true, seconds: 9, slips: %w[power_on],
                    ratings: { "power" => 1 })

    assert_equal %w[power], weak.call
    tick("foot")

    assert_empty weak.call
    enter({ kind: "mishap", closure: SMOCK, machine: 4, step: "test-sew", with: { "mishap.what" => "mid_cycle" } })

    assert_equal %w[reset], weak.call
    assert_includes %w[reset], call(:get, "/api/closures/#{SMOCK}/rehearsal")["weak"].first["key"]
  end

  def test_what_a_machine_cannot_be_set_to_is_refused_in_words
    id = closure_on("sensing")
    [[{ act: "set", part: "width", to: "99" }], [{ act: "lay", to: "hole-9" }], [{ act: "set", part: "lever", to: "sideways" }]].each do |acts|
      answer = rehearse(id, "hole", acts)

      assert_equal(["rehearsal.act"], answer["faults"].map { |fault| fault["field"] })
    end
    assert_equal(["rehearsal.exercise"], rehearse(id, "juggling", [])["faults"].map { |fault| fault["field"] })
  end

  def test_eyes_say_nothing_of_the_truth_before_they_are_asked
    id = closure_on("sensing")
    shown = call(:post, "/api/closures/#{id}/eyes", { seed: 4, level: 0 })
    truth = Rehearsal::Eyes.new(sheet_of(id)).sample(seed: 4, level: 0)

    refute shown.key?("truth")
    judged = call(:post, "/api/closures/#{id}/eyes", { seed: 4, level: 0, seen: truth.looks, change: truth.faults.first.change })

    assert_equal [[], true], judged.values_at("misjudged", "right")
    kept = call(:post, "/api/closures/#{id}/rehearsals",
                { id: SecureRandom.uuid, exercise: "eyes", alone: true, seconds: 20, seed: 4, level: 0, seen: truth.looks.transform_values { "full" }, change: "nothing" })

    assert_includes kept["weak"].map { |one| one["key"] }, "eye-change"
  end
end
