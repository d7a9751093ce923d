# frozen_string_literal: true

require_relative "../core_helper"

class SwatchTest < CoreTest
  ALL_RIGHT = { "bead_away" => "full", "bead_back" => "full", "tension" => "even", "space" => "room" }.freeze

  def swatch(number = 1, passes: "passes", symptoms: [], measured: nil, looks: {}, **set)
    Swatches::Swatch.new(id: "swatch-#{number - 1}", number: number, passes: passes, symptoms: symptoms, measured: measured,
                         opening: mm(22.5), stitch_width: mm(4.5), stitch_length: mm(0.4), tension: 3r,
                         stabiliser: "fusible strip", looks: ALL_RIGHT.merge(looks), **set)
  end

  # Straight chalk lines: no foot to be learned.
  def lined(*swatches, **changes)
    sheet(facts: facts(swatches: swatches), machine: machine("stepped", length_step: mm(0.05), balance: false),
          **changes)
  end

  def diagnosis(*swatches, **changes) = lined(*swatches, **changes).diagnosis
  def change(*swatches, **changes) = diagnosis(*swatches, **changes).change
  def says(change) = said_in(change.says, :mm)

  # Looked at twice, and both times the same: there is nothing to be surprised at.
  def twice(*earlier, swatch, **changes)
    diagnosis(*earlier, swatch, swatch.with(id: "second", again: "swatch-#{earlier.size}"), **changes)
  end

  def test_nothing_sewn_nothing_to_say_and_what_looks_right_twice_is_accepted
    assert_equal([:first, []], diagnosis.then { |found| [found.kind, found.changes] })
    right = [swatch(1, measured: mm(22.5)), swatch(2, measured: mm(22.5))]

    assert_predicate diagnosis(*right), :accept?
    assert_includes %i[again sew_row change], diagnosis(right.first).kind
    # Nothing preselected: without a verdict on fit, with something not looked at or in words, nobody can say it is
    # good.
    [swatch(passes: nil, measured: mm(22.5)), swatch(note: "skipped a few"), swatch.with(looks: {})].each do |unsure|
      refute_predicate diagnosis(unsure), :accept?
      refute_empty diagnosis(unsure).remarks
    end
    assert_equal ["swatch.passes"], refused { swatch(passes: nil).with(looks: {}).validate }.keys
    assert_equal %w[swatch.looks swatch.looks], refused {
      swatch(looks: { "bead_away" => "blue", "heel" => "full" }).validate
    }.keys * 2
  end

  # One memory for everybody: whatever was asked before, what is said hangs on what it is asked about and nothing else.
  def test_what_is_remembered_changes_no_answer
    kept = {}
    memory = Object.new
    memory.define_singleton_method(:of) { |key, &work| kept.fetch(key) { kept[key] = work.call } }
    random = Random.new(20)
    16.times do
      cloths = [cloth, cloth(kind: "knit"), cloth(kind: "heavy_woven", thickness: mm(1))]
      closure = { cloth: cloths.sample(random: random), button: button(diameter: mm(random.rand(14..20))),
                  machine: machine(%w[stepped sensing memory].sample(random: random)) }
      sewn = (1..4).map do |number|
        looks = { "bead_away" => %w[thin full crowded].sample(random: random) }
        swatch(number, measured: mm(random.rand(20..24)), passes: %w[tight passes easy].sample(random: random), looks: looks)
      end
      (1..4).each do |count|
        facts = facts(swatches: sewn.first(count))
        now, anew = [memory, NO_MEMORY].map { |one| sheet_of(closure, facts, one).diagnosis }

        assert_equal [anew, anew.beliefs&.cover&.weights, anew.beliefs&.fit&.weights],
                     [now, now.beliefs&.cover&.weights, now.beliefs&.fit&.weights]
      end
    end

    assert_operator kept.size, :>, 60
  end

  # Each row beside the dials leads through its remedies, never the same by hand twice, and ends.
  def test_every_symptom_leads_through_its_remedies
    Swatches.further_symptoms.each do |symptom|
      rows = []
      said = []
      (1..((symptom.remedies.size * 2) + 1)).each do |number|
        set = rows.last ? turned(rows.last) : { stitch_width: mm(2) }
        rows << swatch(number, symptoms: [symptom.key]).with(looks: {}, **set)
        made = diagnosis(*rows).changes.find { |one| one.axis == symptom.axis }
        rows[-1] = set(rows.last, made.sets) unless made.by_hand?
        said << says(made)
        break if said.last.include?("You have tried everything")
      end
      by_hand = said.grep_v(/ from | second layer|You have tried everything/)

      assert_equal by_hand.uniq, by_hand, symptom.key
      assert_includes said.last, said("troubleshooter.everything_in_reach"), symptom.key
    end
    assert_raises(KeyError) { change(swatch(symptoms: ["singing"])) }
  end

  def turned(last) = last.to_h.slice(:stitch_length, :stitch_width, :tension, :sewn_with)

  def set(last, sets)
    layers, dials = sets.partition { |path, _| path == "recipe.stay_layers" }
    last.with(sewn_with: last.sewn_with.merge(layers.to_h.transform_values(&:to_s)),
              **dials.to_h { |path, value| [path.delete_prefix("recipe.").to_sym, value] })
  end

  # A cause that was put right and is still there makes the others likelier; what needs something not owned is not
  # named.
  def test_what_was_tried_makes_the_other_causes_likelier
    first, second = [1, 2].map { |count| (1..count).map { |number| swatch(number, symptoms: ["nest"]) } }

    assert_match(said("symptom.hold_both_tails"), says(change(*first)))
    assert_match(said("symptom.thread_anew"), says(change(*second)))
    marks = swatch(symptoms: ["foot_marks"])

    refute_match(said("ledger.foot_pressure"), (1..3).map { |count| says(change(*([marks] * count))) }.join)
    assert_match(/pressure/, says(change(marks, marks, machine: machine("stepped", foot_pressure: true))))
  end

  # Both beads apart, three grades a side: which way, how far, and never to where it was seen wrong.
  def test_each_axis_is_changed_by_what_was_seen_of_it
    lengths = [%w[bare bare], %w[thin thin], %w[crowded crowded]].map do |away, back|
      twice(swatch(measured: mm(23), looks: { "bead_away" => away, "bead_back" => back })).change.sets.fetch("recipe.stitch_length")
    end

    assert_equal lengths.sort, lengths
    assert_operator lengths.first, :<, lengths[1]
    assert_operator lengths.last, :>, mm(0.4)
    both = swatch(measured: mm(23), looks: { "tension" => "dots", "space" => "close" })
    paces = %w[each one].map { |pace| diagnosis(both, recipe: Recipes::Overrides.new(pace: pace)).changes }

    assert_equal [%w[recipe.stitch_width recipe.tension], 1], [paces[0].flat_map do |one|
      one.sets.keys
    end.grep(/recipe/).sort, paces[1].size]
    assert_match(/But first: Seat the bobbin/, paces[0].map { |one| says(one) }.join)
  end

  # The balance moves one bead against the other where the second is sewn the other way, and only there.
  def test_unlike_beads_turn_the_balance_where_there_is_one
    uneven = swatch(measured: mm(22.5), looks: { "bead_away" => "bare", "bead_back" => "crowded" })
    with = ->(**facts) { machine("stepped", length_step: mm(0.05), **facts) }

    assert_operator diagnosis(uneven, machine: with.call(balance: true)).changes.first.sets["recipe.balance"], :<, 0
    assert_match(/sewn away from you gets denser/,
                 says(diagnosis(uneven, machine: with.call(balance: true)).changes.first))
    [with.call(balance: false), with.call(balance: true, second_bead: "same")].each do |other|
      refute(diagnosis(uneven, machine: other).changes.any? { |one| one.sets.key?("recipe.balance") })
    end
  end

  # A hole shorter than it was set is the machine's doing: only the setting changes. One that measures as wanted and
  # is tight wants a longer opening.
  def test_set_and_wanted_are_learned_apart
    short = (1..3).map do |number|
      swatch(number, passes: "will_not_pass", measured: mm(20))
    end.then { |all| change(*all) }

    assert_in_delta 2.5, short.sets.fetch("opening.correction").to_f, 0.5
    tight = change(swatch(passes: "tight", measured: mm(22.5)), swatch(2, passes: "tight", measured: mm(22.5)))

    assert_includes tight.sets.keys, "opening.ease"
    assert_match(/\A[\d.]+ mm too short\. .*makes about 2[3-5]/, says(tight))
    assert_match(/22.5 mm was wanted: 2.5 mm too long/,
                 diagnosis(swatch(measured: mm(25))).remarks.map { |one| said_in(one, :mm) }.join)
  end

  # Whatever came out, on whichever foot, the advice begins with that hole: too long where it is to become shorter.
  def test_the_verb_of_an_advice_is_that_of_the_hole
    out = [16, 18, 20, 21].product(%w[will_not_pass tight]) + [25, 27, 29].product(%w[slips_out]) +
          [21, 22.5, 24, 26].product(%w[passes easy])
    %w[sensing stepped].product(out).map(&:flatten).each do |kind, long, passes|
      set = sheet(machine: machine(kind, id: 7))
      hole = swatch(passes: passes, measured: mm(long), sewn_with: set.sewn_with)
      again = hole.with(id: "second", again: "swatch-0")
      told = sheet(machine: machine(kind, id: 7), facts: facts(swatches: [hole, again])).diagnosis.changes.find do |one|
        one.sets.keys.any? { |path| path.start_with?("opening.") }
      end or next
      words = said_in(told.says, :mm)
      verb = hole.right?("fit") ? /\AMake it .*(longer|shorter)\. / : /\A.* too (short|long)\. /
      makes = words[/makes about ([\d.]+) mm/, 1].to_f
      ways = [%w[longer short], %w[shorter long]][makes < long ? 1 : 0]

      assert_includes ways, words[verb, 1], [kind, long, passes, words].join(" ")
      refute_includes words, "%s"
      refute_match(/too short.*(wants less|shorter than)|too long.*(wants more|longer than)/, words)
    end
  end

  # A second pass can be taken away again: before the stitch is lengthened, or the hole widened for it.
  def test_what_was_sewn_twice_and_lies_too_thick_is_sewn_once
    twice = { recipe: Recipes::Overrides.new(second_pass: "yes") }
    [{ "bead_away" => "piled_up", "bead_back" => "piled_up" }, { "space" => "touching" }].each do |seen|
      hole = swatch(looks: seen, sewn_with: { **lined(**twice).sewn_with })
      told = twice(hole, **twice).changes

      assert_equal [{ "recipe.second_pass" => "no" }], told.map(&:sets).select { |sets| sets.key?("recipe.second_pass") }, seen
      once = twice(hole, recipe: Recipes::Overrides.new(second_pass: "no")).changes

      refute(once.any? { |one| one.sets.key?("recipe.second_pass") }, "nothing is proposed that was just done")
    end
  end

  # Nobody would believe it at once; looked at again, both are put together.
  def test_a_surprise_is_looked_at_again_before_it_is_learned
    good = (1..3).map { |number| swatch(number, measured: mm(23)) }
    strange = swatch(4, measured: mm(26.5))
    found = diagnosis(*good, strange)

    assert_equal [:look_again, [], :fit], [found.kind, found.changes, found.surprise.axis]
    assert_operator found.surprise.chance, :>=, Inference::Beliefs::SURPRISING
    second = swatch(5, measured: mm(23)).with(again: "swatch-3")

    assert_predicate diagnosis(*good, strange, second), :accept?
    # Of a first hole, two readings that agree are believed.
    assert_operator twice(swatch(1, passes: "slips_out", measured: mm(27))).change.sets.fetch("opening.correction"), :<, mm(-3)
    assert_equal :tension, diagnosis(*good, swatch(4, measured: mm(23), looks: { "tension" => "bobbin" })).surprise.axis
  end

  # On a dial too coarse, right lies between two marks: it is said, and no circle is gone in.
  def test_between_two_marks_the_turning_ends
    coarse = machine("stepped", length_step: mm(0.05), tension_step: 4r, balance: false)
    rows = [4r, 0r, 4r, 0r].each_with_index.map do |tension, number|
      swatch(number + 1, measured: mm(23),
             looks: { "tension" => tension == 4 ? "dots" : "slack" }).with(tension: tension)
    end
    found = diagnosis(*rows, machine: coarse)

    assert_equal [:between, [:tension]], [found.kind, found.stuck]
    assert_match(said("move_words.between_two_that_were"), says(found.change))
    assert_equal([:contradiction, nil, false],
                 diagnosis(swatch(symptoms: %w[gappy piled_up]).with(looks: {})).then do |one|
                   [one.kind, one.change, one.accept?]
                 end)
  end

  def test_only_what_was_sewn_with_the_same_counts
    other = swatch(symptoms: ["nest"], sewn_with: { "thread.tex" => "60", "machine.id" => "" })

    assert_equal [:others, nil], [diagnosis(other).kind, diagnosis(other).change]
    assert_match(said("diagnosis.another_machine"), diagnosis(other).remarks.first)
    # A change that is made is not asked for again.
    gappy = swatch(measured: mm(23), looks: { "bead_away" => "thin", "bead_back" => "thin" })
    made = diagnosis(gappy,
                     recipe: Recipes::Overrides.new(pace: "one", stitch_length: change(gappy).sets.fetch("recipe.stitch_length")))

    assert_predicate made, :pending?
    assert_equal %w[fit], Swatches.looks_of(:straight).map(&:key)
  end

  # Words of before both beads were asked for on their own still count.
  def test_older_words_still_count
    old = swatch(measured: mm(22.5), symptoms: %w[gappy bobbin_on_top]).with(looks: {})

    assert_equal([0..1, 0..1, 3..4, nil], %w[bead_away bead_back tension space].map { |look| old.place(look) })
    assert_operator diagnosis(old).changes.find { |one|
      one.axis == "cover"
    }.sets.fetch("recipe.stitch_length"), :<, mm(0.4)
    assert_equal %w[uneven_beads loops_below beads_touch],
                 swatch(looks: { "bead_away" => "thin", "tension" => "slack", "space" => "close" }).shown
  end

  def test_what_cannot_have_been_measured
    assert_equal ["swatch.measured"], refused { swatch(measured: mm(0)).validate }.keys
    assert_equal ["swatch.symptoms"], refused { swatch(symptoms: ["singing"]).validate }.keys
  end
end
