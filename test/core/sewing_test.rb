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

  # A length in the sentence of a step is one of the figures it is done with: no tick outlives its figure.
  def at(name, place) = Work::Step.key_at(name, mm(place))
  def step(found, key) = found.find { |one| one.key == key || one.key.start_with?("#{key}-at-") }
  def watched(kind = "sensing", **more) = machine(kind, first_side: "left", first_direction: "away", **more)

  def test_the_order_of_the_work
    keys = steps.map(&:key)
    order = %w[needle thread foot settings clamp test-sew watch test-open accept reset-test stabilise stabilise-buttons try-on mark
               pins] +
            [at("place", 540), at("lever", 540), at("sew", 540), at("look", 540), at("reset", 454), at("sew", 24)] +
            ["tails", "seal", "dry", at("open", 540), "mark-buttons", "button-foot", "feed-off", "button-width", at("button", 24),
             "secure",
             "back-foot", "note"]

    assert_equal(order, order.sort_by { |key| keys.index(key) })
    assert_operator keys.index(at("sew", 540)), :<, keys.index(at("sew", 24)), "the least seen first"
  end

  def test_the_garment_never_starts_in_the_middle_of_a_cycle
    %w[sensing stepped].each do |kind|
      found = steps(machine: machine(kind, reset: "none")).map(&:key) if kind == "stepped"
      found ||= steps(machine: machine(kind)).map(&:key)
      resets = found.grep(/\Areset-/)

      assert_equal 7, resets.size, "after the test hole and between every two"
      assert_operator found.index("reset-test"), :>, found.index("test-sew")
    end
    memory = steps(machine: machine("memory"))

    assert_empty(memory.select { |one| one.key.start_with?("reset-") })
    assert_equal({ "memory" => mm(22.5) }, step(memory, "test-sew").moves, "the test hole stores the length")
    cleared = step(steps(machine: machine("memory", forgets: "clear_key")), "back-memory")

    assert_match(/clear key/i, cleared.does)
    assert_equal({ "memory" => nil }, cleared.moves, "no length is left in it")
  end

  def test_each_machine_kind_sews_in_its_own_words
    words = CoreValues::MACHINES.keys.to_h { |kind| [kind, steps(machine: machine(kind)).find { |one| one.key.start_with?("sew-at") }.how.to_s] }

    # Which tack comes first is as it was watched, and never told before.
    refute_match(/near|far/i, words["sensing"])
    { "away" => /It sews the near end, one side, the far end, the other side/,
      "toward" => /It sews the far end, one side, the near end, the other side/ }.each do |way, order|
      assert_match order, step(steps(machine: watched("sensing", first_direction: way)), "sew").how.to_s
    end
    assert_match(/the other side the same way/,
                 step(steps(machine: watched("sensing", second_bead: "same")), "sew").how.to_s)
    assert_match(said("steps.no_key_is_pressed"), words["memory"])
    assert_match(/at the 25 mm mark\. The marks of this foot count the overall length/, words["stepped"])
    assert_match(/four parts\. .*twice/, step(steps(machine: machine("stepped")), "sew").does.to_s)
    assert_match(said("steps.needle_down_on_the"), words["plain"])
    assert_match(/Draw a line 22.5 mm from the start,/,
                 step(steps(machine: machine("memory")), "test-sew").how.to_s)
  end

  # An eyelet has no slit: its circle is drawn on every mark and sewn round.
  def test_an_eyelet_is_drawn_and_sewn_round
    found = sheet(button: button(shape: "cord", diameter: mm(4)))
    said = words(found)

    assert_equal "round", found.setting.by.key
    assert_empty said.values.grep(/\bslit\b/)
    assert_includes said["chalk"], "Draw a circle #{found.opening} across"
    assert_includes said["mark"], " #{found.opening} across"
    assert_includes said["test-open"], "expect #{found.opening}, #{found.overall} overall"
  end

  # Machine kinds begin otherwise; along the run the upper end lies away, across it the finished edge does.
  def test_the_needle_goes_in_where_the_machine_begins
    start = lambda do |kind, way, **changes|
      found = sheet(machine: watched(kind, first_direction: way), **changes).layout.holes.first.starts
      found.map { |mark| [mark.at, mark.along.to_s, mark.from_edge.to_s] }
    end
    # Hole 1 at 24: slit 12.75 to 35.25, tacks to 11.5 and 36.5; marks lie on half millimetres.
    assert_equal [["lower", "36.5 mm", "18 mm"]], start.call("sensing", "away")
    assert_equal [["upper", "11.5 mm", "18 mm"]], start.call("sensing", "toward")
    assert_equal [["lower", "35.5 mm", "18 mm"]], start.call("memory", "away"), "it begins with a bead, at the slit's end"
    assert_equal [["upper", "13 mm", "18 mm"]], start.call("memory", "toward")
    across = { placket: run_of(orientation: "horizontal", extension: mm(20)) }
    # The slit from 3 outside the centre line to 19.5 inside it: its ends lie 17 and 39.5 from the edge.
    assert_equal [["inner", "15 mm", "41 mm"]], start.call("sensing", "away", **across)
    assert_equal 2, sheet.layout.holes.first.starts.size, "nobody has watched: both ends"
    assert_includes step(steps, "place").does.in(:mm), "Lower end: 552.5 mm"
    away = sheet(machine: watched(eye_end: "near"), recipe: Recipes::Overrides.new(style: "keyhole"))

    assert_equal said("start.the_lower_end"), away.beginning.away(away.layout.holes.first), "the eye is made at the near end: turn the garment"
  end

  # No ink where it may not be rinsed; and a line is told by how far it lies from the edge.
  def test_marks_are_such_as_come_out
    told = lambda do |**changes|
      steps = sheet(**changes).progress.steps
      %w[mark unmark].map { |name| steps.find { |one| one.name == name }.operations.flat_map { |one| [one.says, *one.minds] } }
                     .map { |all| all.map { |one| said_in(one, :mm) }.join(" ") }
    end
    washed, dry = %w[yes no].map { |answer| told.call(cloth: cloth(washed: answer)) }

    assert_match(/pen/, washed.first)
    assert_match(/cold water/, washed.last)
    assert_equal([nil, nil], dry.map { |words| words[/pen|water/] })
    assert_match(/All lie 18 mm from the finished edge/, told.call(placket: run_of(extension: mm(18))).first)
    assert_match(/It lies 18 mm/, told.call(placket: run_of(run_length: mm(60))).first)
  end

  # Whatever was said of the edge is said again while the holes can still be left closed, once.
  def test_an_edge_too_narrow_is_asked_about_again_before_the_first_cut
    narrow = sheet(placket: run_of(orientation: "horizontal", extension: mm(13))).progress.steps
    warned = lambda do |steps|
      cuts = steps.select { |one| one.name == "open" }
      cuts.map { |one| one.operations.flat_map(&:minds).count { |mind| said_in(mind, :mm).start_with?("Before you") } }
    end

    assert_equal [2, 0, 0, 0, 0, 0, 0], warned.call(narrow)
    assert_equal [0], warned.call(sheet.progress.steps).uniq
  end

  # What each style, stay and button asks for beside the hole itself.
  def test_everything_beside_the_hole_has_its_step
    has = ->(keys, **changes) { keys.each { |key| assert step(steps(**changes), key), "#{key} for #{changes.keys}" } }
    own = ->(**set) { { recipe: Recipes::Overrides.new(**set) } }

    has.call(%w[cord look], **own.call(style: "corded"))
    has.call(%w[punch], **own.call(style: "keyhole"))
    has.call(%w[tear], cloth: cloth(kind: "heavy_woven", weight: 320))
    has.call(%w[film rinse tear], cloth: cloth(kind: "pile", washed: "yes"))
    has.call(%w[back-cover_plate], machine: machine("stepped"))
    has.call(%w[finger back-bobbin_finger], machine: machine("memory", neutral_tension: 0r))
    has.call(%w[spacer wind], cloth: cloth(layers: 4), button: button(hole_spacing: mm(4)),
             machine: machine(foot_lift: mm(9)))
    box = steps(cloth: cloth(kind: "coated"))

    assert_match(said("steps.straight_stitch_with_the"), step(box, "settings").how)
    only = steps(cloth: cloth(kind: "coated", weight: 120), machine: machine(needle_positions: 1))

    assert_match(/Select straight stitch,/, step(only, "settings").how, "its needle has no other place")
    assert_match(said("steps.foot_up_turn_foot"), step(box, "sew").how.to_s)
    assert_includes step(box, "place").does.in(:mm), "halfway along a side. It is 540 mm from the top, 16.5 mm from the edge"
    assert_empty box.map(&:key).grep(/seal|dry|lever/)
    assert_nil step(steps(button: button(shape: "cord", diameter: mm(3))), "mark-buttons")
    assert_match(/near pair.*far pair.*each pair/, step(steps, "button").how)
    assert_match(said("steps.presser_foot_down"), step(steps, "button").how)
    assert_match(said("steps.never_fingers_under_a"), step(steps(machine: machine("stepped")), "button-foot").how)
  end

  # A step that lacks its caution is a defect: by what the hands come near to.
  BELONGS = { /\A(needle|thread|foot|finger|button-foot|back-(foot|needle|cover_plate|bobbin_finger))\z/ => "power",
              /\A(place|look|button)-at/ => "wheel", /\Abutton-at/ => "eyes", /\A(open|punch)-at|\Atest-open/ => "blade",
                /\Aseal/ => "liquid",
              /\A(pins|tails|note)\z/ => "pins", /\Asettings/ => "manual" }.freeze

  def test_every_step_carries_the_caution_that_belongs_to_it
    CoreValues::MACHINES.each_key do |kind|
      CLOTH_KINDS.each_key do |cloth_kind|
        made = sheet(machine: machine(kind), cloth: cloth(kind: cloth_kind), placket: run_of(use: "children"))
        made.progress.steps.each do |one|
          wanted = BELONGS.select { |pattern, _| one.key.match?(pattern) }.values
          wanted -= %w[wheel eyes] unless made.attaching.by_machine || !one.key.start_with?("button-at")

          assert_empty wanted - one.hazards, one.key
          assert_includes one.hazards, "children", one.key if one.key.start_with?("button-at")
        end
        # The rules fuse nothing to what takes no iron, and warn of none where there is none.
        assert_equal made.recipe.stay.heat ? %w[iron] : [], step(made.progress.steps, "stabilise").hazards
        assert made.plan.cloth.iron? || !made.recipe.stay.heat
      end
    end
  end

  # What stays inside holds the buttons too; of what tears away or rinses out nothing is left for them.
  def test_what_is_gone_holds_no_button
    STABILISERS.each do |key, stay|
      laid = step(sheet(recipe: Recipes::Overrides.new(stabiliser: key)).progress.steps, "stabilise-buttons")

      assert_equal !stay.inside, laid.does.to_s.start_with?("Put a small square"), key
      assert_equal !stay.inside, laid.how.to_s.include?("holds nothing"), key
    end
  end

  def test_a_needle_that_strikes_is_never_among_the_steps
    [button(hole_diameter: mm(0.7)), button(thickness: mm(12)), button(attachment: "shank"),
     button(attachment: "tunnel")].each do |thing|
      keys = steps(button: thing).map(&:key)

      assert_includes keys, "hand-thread"
      assert_empty keys & %w[feed-off button-width]
    end
    own = steps(attach: Attach::ButtonSewing.new(pattern: "two_bars", width: mm(5))).map(&:key)

    refute_includes own, "button-width"
  end

  # A length in the sentence of a step is one of the figures it is done with: no tick outlives its figure.
  def test_every_step_keeps_the_lengths_it_says
    [{}, { machine: watched("memory") }, { machine: machine("stepped") }, { machine: machine("plain") },
     { recipe: Recipes::Overrides.new(style: "keyhole") },
     { placket: run_of(orientation: "horizontal", extension: mm(20)) }, { cloth: cloth(kind: "coated") }].each do |changes|
      made = sheet(**changes)
      made.progress.steps.each do |one|
        next unless one.does.is_a?(Sentence)

        lengths = one.does.figures.map { |figure| figure.is_a?(ToolLength) ? figure.length : figure }.grep(Length)
        said = lengths - one.figures.values - made.setting.expected.to_a
        # What follows from the style alone, and what a figure is rounded to for the hand.
        said -= [made.cut.ends.eye * 2, Sewing::Finishing::FILM_LEFT, Sewing::HoleSteps::LEFT_HANGING.length,
                 made.overall]

        assert_empty said, "#{one.key} #{changes.keys}"
      end
    end
    moved = facts(steps: ["mark", at("place", 110), "stabilise"],
                  with: { "mark.2" => mm(1), "hole.start.lower" => mm(2), "recipe.stabiliser" => "none" })

    assert_equal({ "mark" => ["mark.2"], at("place", 110) => ["hole.start.lower"],
                   "stabilise" => ["recipe.stabiliser"] },
                 sheet(facts: moved).progress.outdated.transform_values { |found| found.map(&:figure) })
  end
end
