# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"

# Bar tacks on their own: nothing goes through, nothing is cut, and the length comes from a key, a programme or two
# lines.
class TackTest < CoreTest
  def bar(long = 9) = button(shape: "bar_tack", diameter: mm(long))

  def tacker(kind = "memory", **changes)
    machine(kind, **changes).then { |one| one.zigzag? ? one.with(styles: one.styles + ["bar_tack"]) : one }
  end

  def tacks(long: 9, on: tacker, **changes)
    sheet(button: bar(long), machine: on, placket: run_of(place: "belt_loops", count: 5), **changes)
  end

  def told(found) = words(found).values
  def seen(found, long) = swatch_of(found, passes: "passes", measured: mm(long), looks: { "bead_away" => "full", "tension" => "even" })

  def swatch_of(found, **what)
    recipe = found.recipe
    Swatches::Swatch.new(symptoms: [], opening: found.cut.length, stitch_width: recipe.stitch_width.value, sewn_with: found.sewn_with,
                         stitch_length: recipe.stitch_length.value, tension: recipe.tension.value,
                         stabiliser: recipe.stabiliser.value, **what)
  end

  # Source: a machine that learns the length sews on by two stitches after the key.
  def test_the_key_is_pressed_two_stitches_early_and_the_figure_is_the_same_wherever_it_is_said
    found = tacks
    stitch = found.recipe.stitch_length.value

    assert_equal ["press", mm(9) - (stitch * 2), mm(9)], [found.setting.by.key, found.setting.figure, found.overall]
    figure = Wording.of(found.setting.figure, :mm)
    text = words(found)

    assert_includes text["test-sew"], "press the reverse key when it is #{figure} long"
    assert_includes said_in(found.setting.says, :mm), figure
    assert_equal found.setting.figure, found.progress.steps.find { |step| step.key == "test-sew" }.moves.fetch("memory")
    assert_includes text["mark"], " 9 mm long"
    assert_includes text["back-memory"], said("steps.forget_the_length")
    denser = tacks(recipe: Recipes::Overrides.new(stitch_length: mm(0.35)))

    assert_equal mm(8.3), denser.setting.figure
  end

  def test_the_programmes_own_length_is_used_where_it_fits_and_cleared_where_it_does_not
    own = ->(long, by = nil) { tacks(on: tacker(tack_length: mm(long)), opening: wish.with(tack_by: by)).setting }

    assert_equal(["own", mm(9), mm(9)], own[9].then { |set| [set.by.key, set.figure, set.gives] })
    assert_equal "press", own[12].by.key
    assert_match(/Clear the 12 mm it has of its own/, said_in(own[12].says, :mm))
    assert_equal(["own", mm(12), ["its own length"]],
                 own[12, "own"].then { |set| [set.by.key, set.gives, set.cautions.map(&:rule)] })
    assert_equal "press", own[9, "pressed"].by.key
    # What cannot learn a length sews its own, or none: then it is zigzag between two lines.
    assert_equal "own", tacks(on: tacker("sensing", tack_length: mm(9))).setting.by.key
    lines = [tacker("sensing", tack_length: mm(14)), tacker("sensing"), machine("stepped"), machine("plain")].map do |one|
      tacks(on: one)
    end

    assert_equal %w[zigzag_tack lines], lines.flat_map { |one| [one.recipe.style.value.key, one.setting.by.key] }.uniq
    lines.each { |one| assert_match(/Draw both ends of every tack, 9 mm apart/, words(one)["chalk"]) }
  end

  # A needle that does not swing sews rows, and a stitch longer than the tack presses no key before it begins.
  def test_without_a_swing_a_tack_is_rows_of_straight_stitch
    found = tacks(on: machine("plain", max_width: mm(0)).validate)
    path = HoleSimulation.of(found).path

    assert_equal ["straight_tack", [0.0, 9.0], 6], [found.recipe.style.value.key, path.footprint, path.parts.size]
    assert_equal [%i[fit], 5], [found.diagnosis.axes.map(&:key), LookPictures.of(found).size]
    assert_empty ledger_after(found.progress.steps).entries
    assert_match(said("steps.six_rows"), words(found).find { |key, _| key.start_with?("sew-at") }.last)
    assert_equal mm(2), tacks(long: 4, recipe: Recipes::Overrides.new(stitch_length: mm(5))).setting.figure
  end

  # Whatever it is sewn on, by whatever: as long and as wide as planned, and never a word of what it is not.
  def test_any_tack_is_sewn_as_planned_and_nothing_is_opened_or_buttoned
    kinds = CLOTH_KINDS.keys.product(CoreValues::MACHINES.keys)
    kinds.each do |kind, name|
      long = random_mm(5.0..20.0, 0.5)
      found = tacks(long: long.to_f, on: tacker(name),
                    cloth: cloth(kind: kind, weight: random.rand(60..420), layers: random.rand(2..6)))
      path = HoleSimulation.of(found).path
      width = found.recipe.stitch_width.value

      assert_equal([width.to_f, found.overall.to_f], path.footprint.map { |figure| figure.round(6) })
      straight = found.plan.cloth.type.perforates

      assert_equal straight, found.recipe.style.value.key == "straight_tack", "#{kind}: satin would tear it"
      assert straight ? width.zero? : width.between?(mm(1.5), mm(2.5)), "#{kind} on #{name}"
      assert_empty told(found).map { |text|
        text.gsub(/(needle|few and small) holes/, "")
      }.grep(/\b(holes?|slits?|beads?|buttons?|eye)\b/i), "#{kind} on #{name}"
      assert_empty found.progress.steps.map(&:key).grep(/seal|open-at|punch|button|stabilise-buttons/)
      assert_empty ledger_after(found.progress.steps).entries
      assert_equal said("verdict.as_long_as_it"), found.verdict.words
      refute_includes found.recipe.lines.map(&:key), :cord
    end
  end

  def test_lengths_nobody_sews_are_warned_of_and_gaps_are_nobodys_business
    assert_equal([["tack"], [], ["tack"]], [3, 9, 30].map { |long| tacks(long: long).cut.cautions.map(&:rule) })
    assert_equal(%w[tack], tacks.cut.answers.map { |answer| answer.school.key })
    refute_includes tacks(placket: run_of(place: "belt_loops", count: 2, use: "trousers")).layout.cautions.map(&:rule), "gap"
    assert_equal(["Tack", "Length", "Where do the tacks go?"],
                 [STAGES["button"].title_for(tacks), STAGES["opening"].title_for(tacks), STAGES["placket"].question_for(tacks)])
    refute_includes Stage.of(plan(button: bar)).map(&:word), "attach"
    assert_includes Care.of(tacks).join, said("care.a_tack_bears")
  end

  # A hole that was measured says nothing of a tack, and a tack that went on is pressed earlier by as much.
  def test_a_test_tack_that_came_out_long_moves_the_key
    found = tacks
    after = ->(*lengths) { Sheet.of(found.plan, facts(swatches: lengths.map { |long| seen(found, long) })) }

    assert_equal %w[fit bead_away tension], Swatches.looks_of(:satin, opens: false).map(&:key)
    assert_equal %w[frays stay_shows cut_stitches],
                 %w[frays stay_shows cut_stitches] & Swatches.further_symptoms.map(&:key)
    assert_empty %w[frays stay_shows cut_stitches ends_apart] & Swatches.further_symptoms(opens: false).map(&:key)
    long = Sheet.of(found.plan, facts(swatches: [seen(found, 10.6).with(passes: "slips_out")]))

    assert_equal :change, long.diagnosis.kind
    moved = long.diagnosis.changes.find { |change| change.axis == "fit" }.sets.fetch("opening.correction")

    assert moved.between?(mm(-2), mm(-0.8)), moved.to_s
    assert_equal found.setting.figure + moved,
                 Sheet.of(long.plan.changed("opening.correction" => moved), long.facts).setting.figure
    assert_includes said_in(after[10.6].diagnosis.remarks.first, :mm), "The tack measures 10.6 mm where 9 mm was wanted"
    assert_equal :sew_row, after[9, 9].diagnosis.kind
    hole = Swatches::EarlierSwatch.new(swatch: swatch_of(sheet(machine: tacker), passes: "passes", measured: mm(26)),
                                       closure: 7)

    assert_equal Length.zero, Sheet.of(found.plan, Sewing::Facts.none.with(earlier: [hole, hole])).correction
  end

  def test_a_tack_that_goes_on_is_unpicked_and_the_length_cleared
    table = Support::AtTheTable.new({ loops: { button: bar, machine: tacker,
                                               placket: run_of(place: "belt_loops", count: 3) } }) do |changes, facts|
      sheet(facts: facts, **changes)
    end
    first = table.session.steps.find { |one| one.step.key.start_with?("sew-at") }
    table.done(table.session.steps.first) until table.session.steps.first.step.key == first.step.key

    assert_includes table.session.steps.first.mishaps, "tack_goes_on"
    assert_empty table.session.steps.first.mishaps & %w[mid_cycle mid_programme]
    refute_includes Sewing::Rescuing.at("sew", machine("memory")).map(&:key), "tack_goes_on"
    table.went_wrong(table.session.steps.first, "tack_goes_on")

    assert_equal "rescue", table.session.steps.first.block
    table.work

    assert_empty table.session.steps
    assert_empty(table.ledger.entries.reject { |entry| %w[top_thread bobbin_thread].include?(entry.part.key) })
    assert_equal 3, table.facts(:loops).holes.size
  end
end
