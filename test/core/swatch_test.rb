# frozen_string_literal: true

require_relative "../core_helper"

class SwatchTest < CoreTest
  def swatch(number = 1, passes: "passes", symptoms: [], measured: nil, **set)
    Swatches::Swatch.new(number: number, passes: passes, symptoms: symptoms, measured: measured, opening: mm(22.5),
                         stitch_width: mm(4.5), stitch_length: mm(0.4), tension: 3r, stabiliser: "fusible strip", **set)
  end

  # Straight chalk lines: no foot to be learned.
  def diagnosis(*swatches, **changes)
    sheet(facts: facts(swatches: swatches), machine: machine("stepped", length_step: mm(0.05)), **changes).diagnosis
  end

  def change(*swatches) = diagnosis(*swatches).change

  def test_nothing_sewn_nothing_to_say_and_a_clean_one_is_accepted
    assert_nil diagnosis.change
    refute diagnosis.accept
    assert diagnosis(swatch).accept
    # Nothing preselected: without a verdict on fit, or with something else in words, nobody can say it is good.
    [swatch(passes: nil, measured: mm(22.5)), swatch(note: "skipped a few")].each do |unsure|
      assert_equal [false, nil], [diagnosis(unsure).accept, diagnosis(unsure).change]
      refute_empty diagnosis(unsure).remarks
    end
    assert_equal ["swatch.passes"], refused { swatch(passes: nil).validate }.keys
  end

  # Each row of the table leads through its remedies, never the same by hand twice, and ends.
  def test_every_symptom_leads_through_its_remedies
    Swatches::SYMPTOMS.each_value do |symptom|
      rows = []
      said = (1..14).map do |number|
        made = change(*(rows << swatch(number, symptoms: [symptom.key], **rows.last&.then do |last|
          { stitch_length: last.stitch_length, stitch_width: last.stitch_width, tension: last.tension, stabiliser: last.stabiliser }
        end.to_h)))
        if made.field
          rows.pop
          rows << swatch(number, symptoms: [symptom.key])
          rows[-1] = rows[-1].with(made.field.delete_prefix("recipe.").to_sym => made.to)
        end
        made.says.to_s
      end
      by_hand = said.grep_v(/ from | second layer|Everything in reach/)

      assert_equal by_hand.uniq, by_hand, symptom.key
      assert_includes said.last, "Everything in reach", symptom.key
    end
    assert_raises(KeyError) { change(swatch(symptoms: ["singing"])) }
  end

  def test_fit_comes_first_and_each_axis_may_change_once
    found = diagnosis(swatch(passes: "slips_out", symptoms: %w[puckers gappy off_mark]))

    assert_equal %w[fit cover stay guide], found.changes.map(&:axis)
    # A button that is only tight often goes through when the rest is right.
    assert_equal %w[cover fit], diagnosis(swatch(passes: "tight", symptoms: %w[gappy])).changes.map(&:axis)
  end

  # A hole shorter than it was set is the machine's doing: only the setting changes. One that measures as wanted and
  # is tight wants a longer opening.
  def test_set_and_wanted_are_learned_apart
    short = [swatch(1, passes: "will_not_pass", measured: mm(20.5)), swatch(2, passes: "will_not_pass", measured: mm(20.5))]

    assert_match(/last threads/, change(short.first).says)
    assert_equal(["opening.correction", mm(2)], change(*short).then { |made| [made.field, made.to] })
    tight = change(swatch(passes: "tight", measured: mm(22.5)))
    # 21 + 0.45 and the middle of snug, 1.15: 22.6, so 23: half a millimetre more ease than 1.
    assert_equal ["opening.ease", mm(1.5)], [tight.field, tight.to]
    assert_equal "opening.correction", change(swatch(measured: mm(25))).field, "it passes, but nobody set that length"
    refute diagnosis(swatch(measured: mm(25))).accept
    assert_match(/22.5 mm was wanted: 2.5 mm too long/, diagnosis(swatch(measured: mm(25))).remarks.join)
  end

  def test_lengths_that_failed_are_not_tried_again
    low = swatch(1, passes: "tight", measured: mm(22), opening: mm(22))
    high = swatch(2, passes: "slips_out", measured: mm(23), opening: mm(23))

    assert diagnosis(low, high).pending, "22.5, between them, is what the opening is by now"
    stuck = change(low, high.with(measured: mm(22.5), opening: mm(22.5)))

    assert_nil stuck.field
    assert_match(/between two that were tried/, stuck.says)
  end

  def test_gappy_here_and_piled_up_there_means_between
    piled = swatch(1, symptoms: ["piled_up"], stitch_length: mm(0.3))
    gappy = swatch(2, symptoms: ["gappy"], stitch_length: mm(0.4))

    assert_equal mm(0.35), change(piled, gappy).to
    # No mark between 0.35 and 0.4 on this dial.
    found = change(piled.with(stitch_length: mm(0.35)), gappy)

    assert_nil found.field
    assert_match(/second pass/, found.says)
    # Both on one hole cannot be.
    both = diagnosis(swatch(symptoms: %w[gappy piled_up]))

    assert_equal [nil, false], [both.change, both.accept]
    assert_match(/not seen on one hole/, both.remarks.first)
  end

  def test_only_what_was_sewn_with_the_same_counts
    other = swatch(symptoms: ["gappy"], sewn_with: { "thread.tex" => "60", "machine.id" => "" })

    assert_nil diagnosis(other).change
    assert_match(/another machine/, diagnosis(other).remarks.first)
    # A change that is made is not asked for again.
    gappy = swatch(symptoms: ["gappy"])
    made = diagnosis(gappy, recipe: Recipes::Overrides.new(stitch_length: change(gappy).to))

    assert_equal [nil, true], [made.change, made.pending]
    assert_empty Swatches.symptoms_of(:straight).select(&:satin)
  end

  def test_what_cannot_have_been_measured
    assert_equal ["swatch.measured"], refused { swatch(measured: mm(0)).validate }.keys
    assert_equal ["swatch.symptoms"], refused { swatch(symptoms: ["singing"]).validate }.keys
  end
end
