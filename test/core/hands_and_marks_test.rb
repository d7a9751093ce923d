# frozen_string_literal: true

require_relative "../core_helper"

# A test hole in the words and marks of the hands: how it was set, what is turned, what is told of it.
class HandsAndMarksTest < CoreTest
  RIGHT = { "bead_away" => "full", "bead_back" => "full", "tension" => "even", "space" => "room" }.freeze

  def clicking(click: mm(0.5), allowance: mm(3))
    feet = machine.feet.map do |foot|
      foot.kind == "carriage_foot" ? foot.with(click: click, allowance: allowance) : foot
    end
    machine(id: 4, feet: feet)
  end

  def hole(found, number = 1, measured: nil, passes: "passes", looks: {}, symptoms: [], note: "")
    recipe = found.recipe
    Swatches::Swatch.new(id: "swatch-#{number - 1}", number: number, passes: passes, measured: measured && mm(measured),
                         symptoms: symptoms, looks: RIGHT.merge(looks), opening: found.cut.length,
                         stitch_width: recipe.stitch_width.value, stitch_length: recipe.stitch_length.value,
                         tension: recipe.tension.value.to_r, note: note, stabiliser: recipe.stabiliser.value,
                         sewn_with: found.sewn_with)
  end

  # Three holes a good deal too short: all that is to be done is to the length.
  def short_by(millimetres, **parts)
    found = sheet(**parts)
    holes = (1..3).map { |number| hole(found, number, measured: found.cut.length.to_f - millimetres, passes: "tight") }
    [found, Sheet.of(found.plan, facts(swatches: holes))]
  end

  def fit_says(found) = said_in(found.diagnosis.changes.find { |one| one.axis == "fit" }.says, :mm)

  def test_a_foot_that_clicks_is_told_in_clicks_and_they_are_those_of_the_step
    before, after = short_by(1, machine: clicking)
    told = fit_says(after).match(/Open the foot by (\d+) instead of (\d+) clicks/)
    change = after.diagnosis.changes.find { |one| one.axis == "fit" }
    made = Sheet.of(after.plan.changed(change.sets), after.facts)

    assert told, fit_says(after)
    assert_equal before.setting.clicks, told[2].to_i
    assert_operator told[1].to_i, :>, told[2].to_i
    assert_equal made.setting.clicks, told[1].to_i, "the change made is the step then"
    assert_includes said_in(made.setting.says, :mm), "#{told[1]} more clicks of 0.5 mm"
    assert_includes words(made).values.join(" "), "#{told[1]} more clicks"
  end

  def test_a_foot_without_a_click_is_told_by_the_ruler
    before, after = short_by(1, machine: clicking(click: nil))

    assert_match(/Open the foot [\d.]+ mm beyond the button instead of /, fit_says(after))
    assert_includes fit_says(after), said_in(Sentence["instead of %s.", before.setting.opened], :mm).delete_suffix(".")
    # Beyond what a foot is opened, and for what no foot can hold, there is a card as long as it is to be.
    _, far = short_by(2.5, machine: clicking(allowance: mm(2)))
    change = far.diagnosis.changes.find { |one| one.axis == "fit" }

    assert_match(/Put in a card of (22\.5 mm) instead of the button/, fit_says(far))
    assert_match(/Put a 22\.5 mm piece of stiff card/,
                 said_in(Sheet.of(far.plan.changed(change.sets), far.facts).setting.says, :mm))
    ball = button(shape: "ball", attachment: "shank", diameter: mm(12), thickness: nil)
    _, stand_in = short_by(2.5, machine: clicking, button: ball, recipe: Recipes::Overrides.new(foot: "carriage_foot"))

    assert_match(/Put in a card of [\d.]+ mm instead of [\d.]+ mm/, fit_says(stand_in))
    # And without such a foot there are lines.
    _, lined = short_by(2.5, machine: machine("stepped", id: 5, balance: false))

    assert_match(/Draw the lines for [\d.]+ mm instead of [\d.]+ mm|Aim at a slit of/, fit_says(lined))
  end

  def test_a_test_hole_in_words
    found = sheet(machine: clicking)
    told = Swatches::SwatchDescription.new(hole(found, measured: 22.5, looks: { "tension" => "dots" },
                                                symptoms: %w[skipped]))

    assert_equal said("look.passes_as_it_should"), told.verdict
    assert_equal ["edge: dots of bobbin thread on top", "between the sides: room to cut"], told.seen.grep(/between|edge/)
    assert_includes told.seen, Swatches::SYMPTOMS.fetch("skipped").name
    assert_equal found.setting.hands, told.settings.fetch("foot opened to")
    assert_equal found.cut.length, told.settings.fetch("opening wanted")
    assert_equal said("cloth_kind.light_woven"), told.sewn[:cloth_kind]
    assert_equal "tex 27 polyester", told.sewn[:thread_tex]
    lined = sheet(machine: machine("stepped", id: 5))

    described = Swatches::SwatchDescription.new(hole(lined)).settings

    assert_equal lined.setting.hands, described.fetch("set to"), "no foot, no opening of it"
    assert_nil Swatches::SwatchDescription.new(hole(lined, passes: nil)).verdict
  end

  def test_a_dial_that_ends_early_counts_more_a_number
    nine = Inference::TensionDial.new(machine)
    four = Inference::TensionDial.new(machine(neutral_tension: 2r, tension_step: 1r / 4))

    assert_in_delta(-1.0, nine.units(3))
    assert_in_delta(-1.0 / (2 / 4.5), four.units(1))
    [nine, four].each do |dial|
      dial.marks.each { |mark| assert_in_delta mark.to_f, dial.number(dial.units(mark)), 1e-9 }

      assert_in_delta Inference::TensionDial::MOST_RAISED, dial.units(dial.marks.last), 0.6
      assert_equal 0, dial.marks.first
    end
  end

  # One closure, worked out by hand; two of one cloth, a reading far away, and a foot nobody knows.
  def test_what_a_foot_adds_is_regressed_on_what_was_measured
    one = OffsetEvidence.new(structure: "knit", set: 20.0, added: [-1.5, -1.3, -1.4], spread: 0.25)
    found = Offset.of([one], structure: "knit", set: 20.0)
    shared = (Offset::FOOT**2) + (Offset::STRUCTURE**2)
    noise = Offset::HOLE_NOISES.keys.first
    share = shared / (shared + (Offset::OWN_OFFSET**2) + (((noise**2) + (0.25**2)) / 3))

    assert_in_delta(-1.4 * share, found.means.first, 1e-9)
    assert_in_delta Math.sqrt(shared + (Offset::OWN_OFFSET**2) - (share * shared)), found.deviations.first, 1e-9
    assert_in_delta 1, found.noises.sum, 1e-9
    other = Offset.of([one], structure: "heavy_woven", set: 20.0)

    assert_operator other.mean, :>, found.mean, "another cloth learns less"
    assert_operator other.deviation, :>, found.deviation
    assert_operator found.deviation, :<, Offset.prior.deviation
    assert_predicate Offset.prior.mean, :zero?
    assert_predicate Offset.prior.measured, :zero?
    stray = Offset.of([one.with(added: [-1.5, -1.3, 6.0, -1.4])], structure: "knit", set: 20.0)

    assert_equal [[6.0], 3], [stray.left_out, stray.measured]
    # Typed with a slip of the finger, it teaches nothing, however few they are.
    wild = Offset.of([one.with(added: [157.5])], structure: "knit", set: 20.0)

    assert_equal [0.0, 0, [157.5]], [wild.mean, wild.measured, wild.left_out]
    assert_in_delta found.mean, stray.mean, 0.05
  end

  def test_what_was_looked_at_twice
    demand = Opening::SlitDemand.new(need: 21.45, give: 1.0, slips: 3.6)
    seen = lambda do |reading, edge = (2..2), fit = (2..2)|
      tried = Opening::FitTried.new(set: 22.5, demand: demand, reading: reading, reading_spread: 0.3, seen: fit)
      Inference::HoleSeen.new(fit: tried, cover: -0.7, balance: 0.0, tension: -1.0, width: 4.5, away: 2..2, back: 2..2, edge: edge,
                              space: 2..2)
    end
    fit = ->(*pair) { Inference::SecondLook.fit(*pair.map { |reading| seen.call(reading) }).fit }

    assert_in_delta 22.4, fit.call(22.5, 22.3).reading, 1e-9
    assert_in_delta 0.3 / Math.sqrt(2), fit.call(22.5, 22.3).reading_spread, 1e-9, "two are surer than one"
    assert_equal [22.5, 0.3], fit.call(26.5, 22.5).then { |found|
      [found.reading, found.reading_spread]
    }, "they do not agree"
    assert_in_delta 22.5, fit.call(22.5, nil).reading, 1e-9, "not measured again"
    changed = Inference::SecondLook.fit(seen.call(22.5), seen.call(22.5, 2..2, 1..1)).fit

    assert_equal [1..1, Belief::CARELESS], [changed.seen, changed.careless]
    told = ->(hole) { [hole.edge, hole.careless[:tension]] }
    looks = ->(*edges) { Inference::SecondLook.looks(*edges.map { |edge| seen.call(22.5, edge) }, :tension) }

    assert_equal [2..2, Inference::SecondLook::TWICE], told.call(looks.call(2..2, 2..2))
    assert_equal [4..4, Belief::CARELESS], told.call(looks.call(2..2, 4..4))
    assert_equal [4..4, nil], told.call(looks.call(4..4, nil)), "not looked at again, it is no surer"
    alone, tried = [nil, 22.5].map { |reading| seen.call(22.5).with(fit: reading && seen.call(reading).fit) }

    pairs = [[alone, alone], [alone, tried], [tried, alone]]

    assert_equal([nil, tried.fit, tried.fit], pairs.map { |pair| Inference::SecondLook.fit(*pair).fit })
  end

  # A slip of the finger is asked about, moves nothing, and once it was measured again it is forgotten everywhere.
  def test_a_reading_far_off_moves_nothing
    found = sheet
    [0.2, 2.25, 180, 200].each do |far|
      wild = hole(found, measured: far)
      after = Sheet.of(found.plan, facts(swatches: [wild]))

      assert_equal :look_again, after.diagnosis.kind, far
      assert_equal found.setting, after.setting
      assert_predicate after.diagnosis.row, :finite?
      again = wild.with(id: "second", again: wild.id, measured: mm(22.5))
      seen = Sheet.of(found.plan, facts(swatches: [wild, again]))
      right = Sheet.of(found.plan, facts(swatches: [wild.with(measured: mm(22.5))]))

      assert_equal [[22.5], mm(22.5)], [seen.strips.first.dots.map(&:at), seen.facts.swatches.first.looked.measured]
      assert_equal right.setting, seen.setting
      # What is said to be reckoned with is what the steps reckon with.
      adds = said_in(seen.diagnosis.remarks.last, :mm)[/adds about ([\d.]+) mm/, 1].to_f

      assert_in_delta seen.setting.stops.to_f - seen.setting.hands.to_f, adds, 1e-9
    end
  end
end
