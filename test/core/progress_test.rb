# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/older_figures"

# What was done, against what the plan says now.
class ProgressTest < CoreTest
  def steps(**changes) = sheet(**changes).progress.steps
  def at(name, place) = Work::Step.key_at(name, mm(place))

  # A step that was ticked with the names of an earlier version was ticked with the same.
  def test_what_was_done_by_name_is_done_by_key
    named = ->(figures) { Support::OlderFigures.of(figures) }
    found = CoreValues::MACHINES.keys.flat_map { |kind| sheet(machine: machine(kind)).progress.steps }

    assert_operator found.count { |step| named[step.figures] != step.figures }, :>, 20
    found.each do |step|
      assert_equal step.figures, OlderWords.figures(named[step.figures]), step.key
      assert_same step.figures, OlderWords.figures(step.figures), "what is read as it is stays as it is"
    end
  end

  # Names that are others today.
  AS_IT_WAS = { "carriage_foot" => "carriage foot" }.freeze

  # What a machine was set to in words of an earlier version is what it is set to.
  def test_what_a_machine_was_at_by_name_it_is_at_by_key
    plans = [{ recipe: Recipes::Overrides.new(balance: 2) },
             { recipe: Recipes::Overrides.new(style: "keyhole", balance: -1) },
             { button: button(shape: "bar_tack", diameter: mm(12)) }, { cloth: cloth(kind: "coated") }]
    moves = CoreValues::MACHINES.keys.product(plans).flat_map do |kind, plan|
      sheet(machine: machine(kind, balance: true), **plan).progress.steps.map(&:moves)
    end
    moves.each do |moved|
      named = moved.to_h do |part, state|
        said = AS_IT_WAS.fetch(state) { MACHINE_PARTS.fetch(part).called(state) }
        [part, said.is_a?(String) ? said.sub("to the side", "toward the bead that is").sub("towards you", "toward you") : said]
      end

      assert_equal moved, OlderWords.states(named)
      assert_equal moved, OlderWords.states(moved)
    end
    assert_operator moves.flat_map(&:values).grep(String).uniq.size, :>, 20
  end

  # Every key that is given out, and those of older journals, say the same when they are read.
  def test_keys_are_read_as_they_are_spelled
    given = CoreValues::MACHINES.keys.flat_map { |kind| sheet(machine: machine(kind)).progress.steps.map(&:key) }
    older = %w[sew-3 button-12 rescue-6f0c12ab-2 rescue-{id}-1 place-at--1500 back-feed_dogs something-strange]

    (given + older).uniq.each { |key| assert_equal key, Work::StepKey.parse(key).to_s }

    assert_equal ["place", mm(-1.5)], Work::StepKey.parse("place-at--1500").to_h.values_at(:name, :at)
    assert_equal ["rescue", "6f0c12ab", 2], Work::StepKey.parse("rescue-6f0c12ab-2").to_h.values_at(:name, :mishap, :number)
    assert Work::StepKey.parse("rescue-6f0c12ab-2").out_of?("6f0c12ab-0000-4000-8000-000000000000")
    assert_predicate Work::StepKey.parse("sew-3"), :numbered?
  end

  def test_progress_goes_on_with_the_first_step_that_is_open
    made = sheet(facts: facts(steps: %w[needle thread settings no-longer-there])).progress

    assert_equal [%w[needle thread settings], ["foot"], "foot"], [made.done, made.passed_over, made.next_key]
    assert_nil sheet(facts: facts(steps: steps.map(&:key))).progress.next_key
  end

  # Entries of old know a button by its number and its own place.
  def test_a_button_sewn_before_its_key_named_the_hole_is_still_sewn
    last = sheet.layout.holes.last
    older = Sewing::Entry.new(id: "o", kind: "step", happened_at: nil, step: "button-7", done_with: { "hole.button" => last.button })
    found = sheet(facts: Sewing::Facts.of([older])).progress

    assert_equal [at("button", last.at.to_f)], found.done
    assert_empty sheet(button: button(diameter: mm(24)), facts: Sewing::Facts.of([older])).progress.done & found.done
  end

  def test_a_step_done_with_other_figures_says_from_what_to_what
    done = facts(steps: %w[mark needle], with: { "opening.length" => mm(27), "recipe.needle" => "universal 75" })
    outdated = sheet(facts: done).progress.outdated

    assert_equal %w[needle mark], outdated.keys
    assert_equal [["opening.length", mm(27), mm(22.5)]], outdated["mark"].map(&:to_a)
  end

  def test_facts_are_read_off_the_journal_and_what_is_withdrawn_does_not_count
    entry = ->(id, kind, **more) { Sewing::Entry.new(id: id, kind: kind, happened_at: nil, **more) }
    read = Sewing::Facts.of([
                              entry.call("a", "hole_sewn", step: "sew-1", at: mm(118), opening: mm(22)),
                              entry.call("b", "hole_sewn", step: "sew-2", at: mm(24), opening: mm(22)),
                              entry.call("c", "step", step: "mark"), entry.call("d", "withdrawal", about: "c"),
                              entry.call("e", "hole_sewn", step: "sew-1", at: mm(118), opening: mm(22.5))
                            ])

    assert_equal [at("sew", 118), at("sew", 24)], read.steps.keys, "older entries name a number: their place counts"
    assert_equal([[mm(24), mm(22)], [mm(118), mm(22.5)]], read.holes.map { |hole| hole.to_a.compact })
    assert_equal "e", read.steps[at("sew", 118)].id, "the newest counts"
  end

  # Sewn holes stay where they are, as they were sewn; everything else is spaced around them.
  def test_what_is_sewn_stays_and_the_rest_is_spaced_around_it
    sewn = lambda do |*holes|
      Sewing::Facts.of(holes.map do |at, opening|
        Sewing::Entry.new(id: at.to_s, kind: "hole_sewn", happened_at: nil, step: at("sew", at), at: mm(at), opening: mm(opening),
                          done_with: { "opening.length" => mm(opening) })
      end)
    end
    found = sheet(facts: sewn.call([540, 22], [450, 22]))

    assert_equal [mm(450), mm(540)], found.layout.holes.select(&:sewn).map(&:at)
    assert_equal [mm(22)], found.layout.holes.select(&:sewn).map(&:opening).uniq
    assert_equal([[mm(22), mm(22.5)]], found.progress.outdated.fetch(at("sew", 540)).map do |difference|
      [difference.was, difference.now]
    end)
    # Neither keep-outs nor gaps that are too small undo what is there.
    crowded = sheet(facts: sewn.call([300, 22], [310, 22]),
                    placket: run_of(keep_outs: [Placket::KeepOut.new(from: mm(290), to: mm(320), id: "a")]))

    assert_equal [mm(300), mm(310)], crowded.layout.holes.select(&:sewn).map(&:at)
    # A plan without room for it is a fault of the plan that says so.
    short = sheet(facts: sewn.call([540, 22]), placket: run_of(run_length: mm(400)))

    assert_nil short.layout
    assert_match(/sewn at 540 mm already/, short.faults.first.allowed.to_s)
    many = sheet(facts: sewn.call(*(1..60).map { |number| [number * 40, 22] }),
                 placket: run_of(run_length: mm(2600), count: 60))

    assert_equal 60, many.layout.holes.count(&:sewn)
  end
end
