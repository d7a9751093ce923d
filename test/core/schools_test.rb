# frozen_string_literal: true

require "date"
require_relative "../core_helper"
require_relative "../support/at_the_table"
require_relative "../support/in_words"

# What people were taught differently about stays, cover, the first hole, the edge, and whether hole or button comes
# first: each really changes what the hands do.
class SchoolsTest < CoreTest
  include InWords

  def test_every_school_of_stays_and_thin_cover_changes_what_is_laid_and_sewn
    laid = ->(by, **more) { sheet(recipe: Recipes::Overrides.new(stay_by: by), **more) }
    keys = %w[fusible tear_away both].map { |by| laid[by].recipe.stay.key }

    assert_equal %w[fusible_strip tear_away fusible_and_tear_away], keys
    assert_equal([false, true, true], %w[fusible tear_away both].map { |by| words(laid[by]).key?("tear") })
    assert_equal "tear_away", laid["both", cloth: cloth(kind: "coated")].recipe.stay.key, "no iron, and its holes stay"
    thin = ->(by) { sheet(recipe: Recipes::Overrides.new(stitch_length: mm(0.7), thin_cover: by)) }

    assert_equal([[false, ["cover"]], [true, []]],
                 %w[shorten second_pass].map do |by|
                   thin[by].recipe.then do |one|
                     [one.second_pass, one.stitch_length.cautions.map(&:rule)]
                   end
                 end)
    # A programme sews all its parts; whoever steps through them leaves the tacks out. The test hole is sewn as the row.
    assert_match(said("steps.the_whole_hole_a_second"), at("sew", words(thin["second_pass"])))
    assert_match(/#{said('steps.the_whole_hole_a_second')}.*#{said('steps.over_in_between')}/, words(thin["second_pass"]).fetch("test-sew"))
    by_parts = sheet(machine: machine("stepped"), recipe: Recipes::Overrides.new(second_pass: "yes"))

    assert_match(said("steps.both_beads_a_second"), at("sew", words(by_parts)))
    assert_match(said("steps.both_beads_a_second"), words(by_parts).fetch("test-sew"))
    refute_match(said("steps.the_whole_hole_a_second"), at("sew", words(thin["shorten"])))
    # An eyelet has no sides.
    eyelet = words(sheet(button: button(shape: "cord", diameter: mm(4)), recipe: Recipes::Overrides.new(second_pass: "yes")))

    [eyelet.fetch("test-sew"), at("sew", eyelet)].each do |told|
      assert_match(/once more/, told)
      refute_match(/\bsides\b/, told)
    end
    forced = %w[yes no].map { |answer| sheet(recipe: Recipes::Overrides.new(second_pass: answer)).recipe.second_pass }

    assert_equal [true, false], forced
  end

  # What was sewn twice counts as half as dense again.
  # On the same ground, swinging the other way; it takes its thread and its time, and cover is told of one pass.
  def test_a_second_pass_takes_thread_and_time
    once, twice = %w[no yes].map { |passes| HoleSimulation.of(sheet(recipe: Recipes::Overrides.new(second_pass: passes))) }
    bar = Stitches::Path.sew(twice.path.shape.with(near_end: :bar, far_end: :bar), machine)

    { twice.path => 2, bar => 1 }.each do |path, count|
      again = path.parts.select(&:again?)

      assert_equal count, again.size
      again.each do |part|
        first = path.parts.find { |one| "#{one.name}#{Stitches::HolePart::AGAIN}" == part.name }.points.sort_by(&:last)
        second = part.points.sort_by(&:last)

        assert_equal(*[first, second].map { |points| points.map { |_, y| y.round(6) } })
        assert(first.zip(second).all? { |(here, _), (there, _)| (here - there).abs > 0.5 }, part.name)
      end
    end

    assert_equal once.reckoning.cover, twice.reckoning.cover
    assert_operator twice.reckoning.bobbin, :>, once.reckoning.bobbin * 1.3
    assert_operator twice.reckoning.seconds, :>, once.reckoning.seconds * 1.3
  end

  def test_whoever_sews_a_second_pass_is_told_so_where_the_cloth_shows
    gappy = lambda do |by, **with|
      own = { machine: machine("memory"), recipe: Recipes::Overrides.new(thin_cover: by) }
      with_all = sheet(**own).sewn_with.merge(with.transform_keys(&:to_s))
      seen = Swatches::Swatch.new(id: "swatch-0", number: 1, passes: "passes", measured: mm(22.5), symptoms: [],
                                  opening: mm(22.5),
                                  stitch_width: with_all["recipe.stitch_width"], stitch_length: with_all["recipe.stitch_length"],
                                  tension: 3r, stabiliser: "", sewn_with: with_all,
                                  looks: { "bead_away" => "thin", "bead_back" => "thin", "tension" => "even",
                                           "space" => "room" })
      sheet(facts: facts(swatches: [seen]), **own).diagnosis
    end
    sets = ->(found) { found.changes.find { |change| change.axis == "cover" }&.sets }

    assert_equal ["recipe.stitch_length"], sets[gappy["shorten"]].keys
    assert_equal({ "recipe.second_pass" => "yes" }, sets[gappy["second_pass"]])
    again = gappy["second_pass", "recipe.second_pass": "yes"]

    refute_includes again.changes.flat_map { |change| change.sets.keys }, "recipe.second_pass", "once is enough"
    middles = [gappy["shorten"], gappy["shorten", "recipe.second_pass": "yes"]].map do |one|
      one.beliefs.cover.centre.first.round(6)
    end

    assert_operator middles.first, :<, middles.last, "thin although it was sewn twice"
  end

  # A row that is sewn twice is believed, and put right, like any other: by what both passes cover together.
  def test_a_row_that_is_sewn_twice_is_told_by_what_both_passes_cover
    own = { machine: machine("stepped") }
    first = sheet(**own)
    seen = lambda do |grade|
      Swatches::Swatch.new(id: "s", number: 1, passes: "passes", measured: first.cut.length, symptoms: [], opening: first.cut.length,
                           stitch_width: first.recipe.stitch_width.value,
                           stitch_length: first.recipe.stitch_length.value, tension: first.recipe.tension.value,
                           stabiliser: "", sewn_with: first.sewn_with, looks: { "bead_away" => grade, "bead_back" => grade, "tension" => "even",
                                    "space" => "room" })
    end
    after = ->(*grades) { sheet(facts: facts(swatches: grades.map(&seen)), **own).diagnosis }

    assert first.recipe.second_pass, "no mark of its dial is right"
    full = after["full", "full"]

    assert_equal :sew_row, full.kind
    assert_in_delta Math.log(first.recipe.coverage * 1.5), full.axes.find { |axis|
      axis.key == :cover
    }.current.at.sum / 2, 0.001
    assert_equal %i[look_again between], [after["thin"].kind, after["thin", "thin"].kind], "no other mark of the dial is nearer"
  end

  def test_a_recent_swatch_stands_for_the_test_where_the_house_works_so
    today = Date.new(2026, 3, 14)
    own = ->(by, **more) { { machine: machine("stepped"), recipe: Recipes::Overrides.new(first_hole: by), **more } }
    clean = lambda do |days, by = "stored", **more|
      first = sheet(**own[by, **more])
      swatch = Swatches::Swatch.new(id: "s", number: 1, passes: "passes", measured: nil, symptoms: [],
                                    opening: first.cut.length, stitch_width: first.recipe.stitch_width.value,
                                    stitch_length: first.recipe.stitch_length.value,
                                    tension: first.recipe.tension.value, stabiliser: "", sewn_at: "#{today - days}T09:30:00Z",
                                    sewn_with: first.sewn_with)
      earlier = [Swatches::EarlierSwatch.new(swatch: swatch, closure: 9)]
      sheet(facts: Sewing::Facts.none.with(earlier: earlier, today: today.iso8601), **own[by, **more])
    end
    keys = ->(found) { words(found).keys & %w[stored test-sew] }

    assert_equal %w[stored], keys[clean[30]]
    assert_nil STAGES["swatch"].missing_of(clean[30])
    assert_equal [%w[test-sew], %w[test-sew], %w[test-sew]],
                 [keys[clean[200]], keys[clean[30, "test"]], keys[clean[30, machine: machine("memory", first_side: "left")]]]
    assert_equal %w[test-sew], keys[sheet(facts: clean[30].facts, **own["stored", cloth: cloth(layers: 5)])], "another stack"
    longer = sheet(facts: clean[30].facts, **own["stored", opening: wish(correction: mm(2))])

    assert_equal %w[test-sew], keys[longer], "set otherwise for the same opening"
    assert_equal({ "opening.correction" => mm(0) }, longer.before.as_then)
  end

  def test_every_school_of_the_edge_and_the_feed_changes_what_is_warned_of_and_set
    edge = lambda do |school, extension|
      sheet(placket: run_of(edge: school, extension: mm(extension), orientation: "horizontal"),
            button: button(diameter: mm(11))).layout.edge
    end

    assert_equal([mm(10), mm(6), mm(13), Length.zero],
                 Placket::EDGE_SCHOOLS.keys.map { |school| edge[school, 30].to_edge_needed })
    assert_equal([[], []], %w[pattern six].map { |school| edge[school, 16].cautions.map(&:rule) })
    assert_operator edge["pattern", 16].extension_needed, :<, edge["thirteen", 16].extension_needed
    assert_match(/6 mm is wanted: it tears out there/, said_in(edge["pattern", 9].cautions.last.says, :mm))
    feeds = %w[machine length_zero].map do |feed|
      words(sheet(**sewn(feed: feed), machine: machine("memory")))["feed-off"]
    end

    assert_match(said("steps.drop_the_feed_dogs"), feeds.first)
    assert_match(/Set stitch length 0.*still nudges/, feeds.last)
  end

  def test_buttons_come_first_on_a_finished_edge
    found = sheet(**sewn(order: "buttons"), machine: machine("memory"))
    keys = found.progress.steps.map(&:key)
    first = ->(name) { keys.index { |key| key.start_with?(name) } }

    assert_operator first["button-at"], :<, first["sew-at"]
    assert_operator first["feed-off"], :<, first["back-feed_dogs"]
    assert_operator first["back-feed_dogs"], :<, first["sew-at"], "holes are fed"
    assert_empty ledger_after(found.progress.steps).entries
    assert_match(said("attach.from_the_plan"), words(found)["mark-buttons"])
    assert_match(said("steps.from_the_buttons_as"), words(found)["mark"])
    assert_operator(sheet(**sewn(order: "holes")).progress.steps.index { |step| step.key.start_with?("button-at") }, :>,
                    sheet(**sewn(order: "holes")).progress.steps.index { |step| step.key.start_with?("sew-at") })
    part = SessionPart.new(key: 1, name: "a", garment: "b", sheet: found)

    assert_equal "buttons", SessionWork.new(part, pace: Schedule::Pace.usual, drying: 600).chain.blocks.first.key
    table = Support::AtTheTable.new({ front: { **sewn(order: "buttons"),
                                      machine: machine("memory") } }) do |changes, facts|
      sheet(facts: facts, **changes)
    end
    table.work

    assert_empty table.session.steps
  end
end
