# frozen_string_literal: true

require_relative "../core_helper"

# What one closure's test holes teach the next, and what an accepted one holds.
class LessonsTest < CoreTest
  RIGHT = { "bead_away" => "full", "bead_back" => "full", "tension" => "even", "space" => "room" }.freeze

  def stepped(**facts) = machine("stepped", id: 7, length_step: mm(0.05), balance: false, **facts)

  # A test hole as it is sewn with what a sheet sets.
  def hole(found, number = 1, passes: "passes", measured: nil, looks: {}, with: {})
    recipe = found.recipe
    Swatches::Swatch.new(id: "swatch-#{number - 1}", number: number, passes: passes, measured: measured && mm(measured.to_f),
                         symptoms: [], looks: RIGHT.merge(looks), opening: found.cut.length,
                         stitch_width: recipe.stitch_width.value, stitch_length: recipe.stitch_length.value,
                         tension: recipe.tension.value.to_r, stabiliser: recipe.stabiliser.value,
                         sewn_with: found.sewn_with.merge(with))
  end

  def earlier(*holes, closure: 9)
    holes.reverse.map { |one| Swatches::EarlierSwatch.new(closure: closure, swatch: one) }
  end

  def taught(*holes, **changes) = sheet(machine: stepped, facts: Sewing::Facts.new(earlier: earlier(*holes)), **changes)

  def test_an_offset_goes_over_to_the_next_closure_on_that_machine_and_foot
    first = sheet(machine: stepped)
    short = (1..3).map { |number| hole(first, number, measured: first.cut.length.to_f - 1.5) }

    # 1.5 short, on the marks of the ruler.
    assert_equal mm(1.5), taught(*short).correction
    assert_equal first.cut.length, taught(*short).opening, "what is wanted stays, and is what comes of it"
    assert_equal first.cut.length + mm(1.5), taught(*short).setting.hands
    assert_equal Length.zero,
                 sheet(machine: stepped(id: 8), facts: Sewing::Facts.new(earlier: earlier(*short))).correction
    # What somebody set beyond it by hand counts.
    assert_equal mm(0.5), taught(*short, opening: wish(correction: mm(0.5))).correction
  end

  # Hands are held: what is sewn for another closure while this one is under way moves no figure of it.
  def test_what_is_learned_elsewhere_since_moves_no_figure
    first = sheet(machine: stepped)
    thin = { "bead_away" => "thin", "bead_back" => "thin", "tension" => "dots" }
    elsewhere = (1..3).map do |number|
      hole(first, number, measured: first.cut.length.to_f - 1.5, looks: thin).with(sewn_at: "2026-11-29T10:00:00Z")
    end
    seen = lambda do |at|
      facts = Sewing::Facts.new(swatches: [hole(first).with(sewn_at: at)], earlier: earlier(*elsewhere))
      sheet(machine: stepped, facts: facts).then do |found|
        [found.setting.hands, found.recipe.stitch_length.value, found.recipe.tension.value]
      end
    end
    told = [first.setting.hands, first.recipe.stitch_length.value, first.recipe.tension.value]

    assert_equal told, seen["2026-11-29T09:00:00Z"]
    told.zip(seen["2026-11-29T11:00:00Z"]).each { |was, now| refute_equal was, now }
  end

  # A hole sewn while the thickness was a guess tells of the button as it was measured since: what it wanted is not
  # counted once by the caliper and once by the hole.
  def test_a_hole_sewn_on_a_guess_is_read_by_what_was_measured_since
    domed = { shape: "domed", attachment: "shank", diameter: mm(28) }
    on = ->(thickness, *holes) { sheet(button: button(**domed, thickness: thickness), facts: Sewing::Facts.new(swatches: holes)) }
    guessed, measured = [nil, mm(11)].map { |thickness| on[thickness] }
    tried = hole(guessed, passes: "tight", measured: guessed.cut.length)
    known = tried.with(sewn_with: tried.sewn_with.except("slit.doubt").merge(measured.sewn_with.slice("slit.need")))

    assert tried.sewn_with.key?("slit.doubt")
    assert_equal on[mm(11), known].bands, on[mm(11), tried].bands
    assert_in_delta on[mm(11), known].seen_to_fit, on[mm(11), tried].seen_to_fit, 1e-9
    refute_equal measured.sewn_with["slit.need"], guessed.sewn_with["slit.need"]
  end

  def test_the_recipe_begins_where_the_most_alike_one_ended
    first = sheet(machine: stepped)
    thin = (1..3).map do |number|
      hole(first, number, looks: { "bead_away" => "thin", "bead_back" => "thin", "tension" => "dots" })
    end
    begun = taught(*thin)

    assert_operator begun.recipe.stitch_length.value, :<, first.recipe.stitch_length.value
    assert_operator begun.recipe.tension.value, :<, first.recipe.tension.value
    assert_match(/same machine, thread and kind of fabric/, said_in(begun.recipe.tension.because.first.says, :mm))
    other = sheet(machine: stepped, thread: thread(tex: 60), facts: Sewing::Facts.new(earlier: earlier(*thin)))

    assert_match(/same machine and kind of fabric/, said_in(other.recipe.tension.because.first.says, :mm))
    # Of cloth alone nothing is learned.
    alone = sheet(machine: stepped(id: 8), thread: thread(tex: 60), facts: Sewing::Facts.new(earlier: earlier(*thin)))

    assert_equal first.recipe.tension, alone.recipe.tension
  end

  # What a button wants of its own goes over whole where the next closure has another one of the same card, and a knit
  # that is sewn by hand teaches the next knit, though its stitches are more open than the style's.
  def test_the_same_button_and_the_same_knit_begin_where_the_last_ones_ended
    tight = ->(found) { (1..4).map { |number| hole(found, number, passes: "tight", measured: found.cut.length) } }
    slack = lambda do |button|
      found = taught(*tight[sheet(machine: stepped)], button: button)
      found.diagnosis.beliefs.fit.wanted.first
    end

    assert_operator slack[button], :>, slack[button(diameter: mm(18.5))] * 1.5
    knit = { machine: machine("plain", id: 5, length_step: mm(0.05)), cloth: cloth(kind: "knit", stretch: 30) }
    first = sheet(**knit)
    crowded = { "bead_away" => "crowded", "bead_back" => "crowded" }
    denser = (1..3).map { |number| hole(first, number, looks: crowded) }

    assert_equal %i[open manual_zigzag], [first.recipe.stitched, first.recipe.style.value.key.to_sym]
    advice = sheet(**knit, facts: Sewing::Facts.new(earlier: earlier(*denser))).diagnosis
    longer = advice.changes.filter_map { |one| one.sets["recipe.stitch_length"] }

    assert_equal [:first, 1], [advice.kind, longer.size]
    assert_operator longer.first, :>, first.recipe.stitch_length.value
  end

  # Before the first hole only what was learned is told: a length nobody measured here is no news of another foot's.
  def test_what_nobody_has_measured_is_not_advised_before_the_first
    first = sheet(machine: stepped)
    right = (1..2).map { |number| hole(first, number, measured: first.cut.length) }
    lines = { machine: machine("plain", id: 9), button: button(diameter: mm(23)) }

    assert_empty sheet(**lines, facts: Sewing::Facts.new(earlier: earlier(*right))).diagnosis.changes
    short = (1..3).map { |number| hole(first, number, measured: first.cut.length.to_f - 3) }
    advice = taught(*short, opening: wish(correction: mm(0))).diagnosis

    assert_includes advice.changes.flat_map { |one| one.sets.keys }, "opening.correction"
    refute_match(/too short|too long/, advice.changes.map { |one| said_in(one.says, :mm) }.join, "nothing is sewn yet")
  end

  # A fabric that puckered over one layer and not over two gets two at once; one that never did, none more.
  def test_layers_that_were_needed_are_there_from_the_first
    first = sheet(machine: stepped)
    puckered = hole(first).with(symptoms: %w[puckers])
    two = hole(first, 2, with: { "recipe.stay_layers" => "2" })
    advice = taught(puckered, two).diagnosis

    assert_equal [:first, { "recipe.stay_layers" => 2 }], [advice.kind, advice.changes.last&.sets]
    assert_match(/two layers/, advice.changes.last.says)
    again = hole(first, 3, with: { "recipe.stay_layers" => "2" })
    set = { recipe: Recipes::Overrides.new(stay_layers: 2) }

    [taught(two, again), taught(puckered, two, **set)].each do |found|
      refute_includes found.diagnosis.changes.map(&:axis), "stay"
    end
  end

  # Nor the other way round: each knows its own, whatever lies in the journal, here or of earlier closures.
  def test_a_practice_machine_teaches_nothing_about_the_real_one
    machines = [stepped, stepped(practice: true)]
    sewn = machines.to_h do |one|
      first = sheet(machine: one)
      [one.practice, Array.new(3) { |number| hole(first, number + 1, measured: first.cut.length.to_f - (one.practice ? 3 : 1.5)) }]
    end
    simulated = sewn[true].map { |one| one.with(simulated: true) }
    both = earlier(*sewn[false], *simulated)
    known = machines.map { |one| sheet(machine: one, facts: Sewing::Facts.of([], earlier: both, practice: one.practice)) }

    assert_equal [mm(1.5), mm(3)], known.map(&:correction)
    entries = [*sewn[false], *simulated].each_with_index.map do |one, index|
      Sewing::Entry.new(id: "entry-#{index}", kind: "swatch", happened_at: Time.at(index), swatch: one.with(id: "entry-#{index}"))
    end
    held = machines.map { |one| Sewing::Facts.of(entries, practice: one.practice).swatches.map(&:simulated).uniq }

    assert_equal [[false], [false, true]], held, "an example may hold what was written down by hand"
  end

  def test_what_worked_last_time_comes_up_with_what_is_otherwise
    first = sheet(machine: stepped)
    found = taught(hole(first), recipe: Recipes::Overrides.new(stitch_length: mm(0.5))).before

    assert_equal [9, ["recipe.stitch_length"]], [found.closure, found.changes.map(&:path)]
    assert_equal({ "recipe.stitch_length" => first.recipe.stitch_length.value }, found.as_then)
    assert_nil taught(hole(first, passes: "tight")).before, "what did not work is not offered"
    assert_nil sheet(machine: stepped, cloth: cloth(kind: "knit"),
                     facts: Sewing::Facts.new(earlier: earlier(hole(first)))).before
  end

  def test_an_accepted_hole_holds_what_it_was_sewn_with
    first = sheet(machine: stepped, recipe: Recipes::Overrides.new(stitch_length: mm(0.35)))
    swatch = hole(first)
    plan = AcceptedSettings.accepting(swatch, first)
    held = Sheet.of(plan, facts(swatches: [swatch])).frozen

    assert_equal [1, []], [held.swatch.number, held.changes]
    moved = Sheet.of(plan.changed("recipe.stitch_length" => mm(0.4), "button.diameter" => mm(20)),
                     facts(swatches: [swatch])).frozen

    assert_equal %w[setting.hands opening.length recipe.stitch_length], moved.changes.map(&:path)
    # Held, the tension is moved as it was, and nothing is sewn twice that was not.
    again = Sheet.of(plan)

    assert_equal [first.recipe.tension_move, first.recipe.second_pass], [again.recipe.tension_move,
                                                                         again.recipe.second_pass]
    assert_nil first.frozen
    # Accepted later, when something else is wanted by then: it is sewn as it was all the same.
    other = sheet(machine: stepped, facts: facts(swatches: [swatch]), opening: wish(ease: first.cut.ease + mm(1)),
                  recipe: Recipes::Overrides.new(stitch_length: mm(0.5), stabiliser: "tear-away"))
    back = Sheet.of(AcceptedSettings.accepting(swatch, other), other.facts)

    refute_equal first.opening, other.opening
    assert_equal [first.opening, []], [back.opening, back.frozen.changes]
  end

  # What is learned later moves no row that has begun.
  def test_a_held_carriage_foot_is_clamped_as_it_was
    first = sheet(machine: machine(id: 3))
    one = hole(first, 1, measured: 20)
    second = sheet(machine: machine(id: 3), facts: facts(swatches: [one]))
    two = hole(second, 2, measured: 22.5)
    accepted = AcceptedSettings.accepting(two, second)
    later = hole(second, 3, measured: 26)

    [[one, two], [one, two, later, later.with(number: 4)]].each do |swatches|
      held = Sheet.of(accepted, facts(swatches: swatches))

      assert_equal [two.hands, []], [held.setting.hands, held.frozen.changes]
    end
    assert_equal 2, facts(swatches: [one, two.with(again: "swatch-9")]).swatches.size, "a second look at nothing is a first one"
  end

  # A hole of the row that was measured teaches as a test hole does, and is none.
  def test_holes_of_the_row_teach_too
    first = sheet(machine: stepped)
    swatches = (1..2).map { |number| hole(first, number, measured: first.cut.length) }
    row = (3..6).map do |number|
      hole(first, number, passes: nil, measured: first.cut.length.to_f - 1.5, with: { "hole.at" => mm(100 * number) })
    end
    before, after = [swatches, swatches + row].map { |all| sheet(machine: stepped, facts: facts(swatches: all)) }

    assert_equal [2, 4], [after.facts.swatches.size, after.facts.looked_at.size]
    assert_operator after.diagnosis.beliefs.fit.added.first, :<, before.diagnosis.beliefs.fit.added.first - 0.5
    assert_operator after.diagnosis.row, :<, before.diagnosis.row
  end

  # What the balance is set to is in the recipe, in the steps, in the ledger, and goes back.
  def test_the_balance_is_set_and_put_back
    found = sheet(machine: stepped(balance: true), recipe: Recipes::Overrides.new(balance: -2))
    steps = found.progress.steps
    says = "2 notches to the side sewn away from you"

    assert_includes words(found).fetch("settings"), "balance #{says}"
    assert_equal "-2", steps.find { |step| step.key == "settings" }.moves["balance"]
    assert_includes steps.map(&:key), "back-balance"
    assert_empty ledger_after(steps).entries
    refute_includes sheet(machine: stepped(balance: true)).progress.steps.map(&:key), "back-balance"
    assert_equal ["-2", -2], [found.sewn_with["recipe.balance"], found.recipe.notches]
  end

  def test_a_belief_is_drawn_on_the_scale_of_the_hands
    first = sheet(machine: stepped)
    found = sheet(machine: stepped,
                  facts: facts(swatches: [hole(first, measured: 22.5,
                                               looks: { "bead_away" => "thin", "tension" => "dots" })]))
    strips = found.strips.to_h { |strip| [strip.key, strip] }

    assert_equal %i[fit cover tension space], strips.keys
    assert_equal [[:right]], [strips[:fit].dots.map(&:seen)]
    assert_equal [["away", :high], ["back", :right]], strips[:cover].dots.map { |dot|
      [dot.bead, dot.seen]
    }, "an open bead lies on the long side"
    assert_equal([3.0, :high], strips[:tension].dots.first.then { |dot| [dot.at, dot.seen] })
    strips.each_value do |strip|
      assert_operator strip.right[0], :<, strip.right[1]
      assert(strip.dots.all? { |dot| dot.at.between?(strip.from, strip.to) })
      assert_includes %w[surely likely unsure], strip.word
    end
    assert_equal %i[fit], sheet(cloth: cloth(kind: "coated", weight: 250)).strips.map(&:key)
  end

  # Drawn at these settings: denser from one grade to the next, wider, and longer.
  def test_answers_are_drawn_in_order
    pictures = LookPictures.of(sheet(machine: stepped)).group_by(&:look)

    assert_equal LOOKS_ASKED, pictures.keys
    assert_equal pictures["bead_back"].map(&:cover).sort, pictures["bead_back"].map(&:cover)
    assert_equal pictures["space"].map(&:slit).sort, pictures["space"].map(&:slit)
    assert_equal pictures["fit"].map(&:slit).sort, pictures["fit"].map(&:slit)
    assert_equal [1.0, 0.45, 0.0, 0.0, 0.0], pictures["tension"].map(&:loops)
    pictures.values.flatten.reject { |picture| picture.look == "fit" }.each do |picture|
      x, y, wide, tall = picture.box
      within = picture.lines.flatten(1).count { |at, down| at.between?(x, x + wide) && down.between?(y, y + tall) }

      assert_operator within, :>, 3, "#{picture.look} #{picture.grade}"
    end
  end
  LOOKS_ASKED = %w[fit bead_away bead_back tension space].freeze

  # The same truth behind every hole, another luck; and told as somebody would see it.
  def test_the_hidden_machine_is_one_machine
    truth = Simulation::HiddenMachine.drawn(Array.new(4) { |seed| Random.new(seed) })
    order = Simulation::MachineOrder.new(set: 22.5, ends: 2.5,
                                         demand: Opening::SlitDemand.new(need: 21.3, give: 1.0, slips: 3.6),
                                         cover: Math.log(0.51), balance: 0.0, tension: -1.0, width: 4.5,
                                         middles: { cover: Math.log(0.514), tension: -1.0, space: 4.5 })
    lengths = (1..200).map { |seed| truth.sew(order, Random.new(seed)).length }
    mean = lengths.sum / 200

    assert_in_delta 22.5 + truth.length.added + (truth.length.slope * 2.5), mean, 0.15
    assert_equal truth.sew(order, Random.new(5)), truth.sew(order, Random.new(5))
    seen = (1..2000).map { |seed| truth.looked_at(truth.sew(order, Random.new(5)), order, Random.new(seed)) }
    far = seen.count { |one| (one.reading - truth.sew(order, Random.new(5)).length).abs > 1.2 }

    assert_in_delta 0.03 * 0.9, far / 2000.0, 0.015, "a reading in thirty is careless"
    assert_operator truth.sew(order.with(set: 30.0), Random.new(1)).places["fit"], :>=, truth.sew(order, Random.new(1)).places["fit"]
  end
end
