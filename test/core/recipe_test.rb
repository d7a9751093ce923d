# frozen_string_literal: true

require_relative "../core_helper"

class RecipeTest < CoreTest
  # d = √(4·tex·10⁻⁶ / (π·ρ·φ)): tex 27 polyester, ρ 1380, φ 0.65 gives 0.1958 mm.
  def test_thread_thickness_and_the_stitch_length_for_full_cover
    assert_in_delta 0.1958, thread.thickness.to_f, 0.0005
    assert_in_delta 0.49, thread.coverage(mm(0.4)), 0.002
    assert_in_delta 0.384, thread.stitch_length.to_f, 0.001
    assert_operator thread(tex: 70).thickness, :>, thread.thickness
  end

  def test_style_by_cloth_and_machine
    { "leather" => "straight_box", "knit" => "stretch", "sheer" => "round_end", "light_woven" => "two_tacks" }
      .each { |kind, style| assert_equal style, recipe(cloth: cloth(kind: kind)).style.value.key, kind }
    assert_equal "keyhole", recipe(cloth: cloth(kind: "pile"), button: button(attachment: "shank")).style.value.key
    # Layers of wool want a thread shank, and it an eye; who wants the button flat wants none.
    coat = { kind: "memory", cloth: cloth(kind: "heavy_woven", weight: 400r, thickness: mm(1.2), layers: 3) }

    assert_equal(%w[keyhole two_tacks keyhole], [nil, mm(0), mm(4)].map { |shank| recipe(**coat, shank: shank).style.value.key })
    assert_equal "manual_zigzag", recipe(kind: "plain").style.value.key
    # A stepped machine has no stretch programme: the nearest it can do, and it says so.
    nearest = recipe(kind: "stepped", cloth: cloth(kind: "knit"))

    assert_equal "corded", nearest.style.value.key
    assert_equal ["machine"], nearest.style.cautions.map(&:rule)
    # Chosen all the same, it is not called a choice: it was not made.
    asked = recipe(kind: "stepped", recipe: { style: "keyhole" })

    assert_equal ["two_tacks", recipe(kind: "stepped").style.because], [asked.style.value.key, asked.style.because]
    assert_includes asked.style.cautions.map(&:rule), "machine"
  end

  def test_foot_by_machine_and_button
    assert_equal "carriage_foot", recipe.foot.value.kind
    # A programme that senses its length has only its own foot: a card in place of a ball, by hand what it cannot take.
    assert_equal "carriage_foot", recipe(button: button(shape: "ball", attachment: "shank", diameter: mm(14))).foot.value.kind
    without = machine.with(feet: machine.feet.reject { |foot| foot.kind == "carriage_foot" })
    large = [button(diameter: mm(30)), button(shape: "ball", attachment: "shank")].map { |one| recipe(button: one) }
    [*large, recipe(machine: without)].each do |by_hand|
      assert_equal %w[manual_zigzag general_zigzag_foot], [by_hand.style.value.key, by_hand.foot.value.kind]
      assert_includes by_hand.style.cautions.map(&:rule), "machine"
    end
    # It is the foot that is missing, not the programme.
    assert_match(/None is among its feet/, recipe(machine: without).style.cautions.first.says)
    refute_match(/feet/, recipe(button: button(diameter: mm(30))).style.cautions.first.says)
    assert_equal "grooved_satin_foot", recipe(kind: "plain").foot.value.kind
    bare = recipe(machine: machine("plain", feet: [])).foot

    assert_equal ["general_zigzag_foot", []], [bare.value.kind, bare.cautions]
    # A scale foot on record does not make a box get it.
    assert_equal "general_zigzag_foot", recipe(kind: "stepped", cloth: cloth(kind: "coated")).foot.value.kind
  end

  def test_every_cloth_on_every_machine_gets_settable_values_with_reasons
    CLOTH_KINDS.each_value do |kind|
      CoreValues::MACHINES.each_key do |name|
        made = recipe(kind: name, cloth: cloth(kind: kind.key, weight: kind.weight, thickness: kind.thickness,
                                               stretch: kind.stretch))
        maker = machine(name)

        unless made.style.value.stitched == :straight
          assert_equal made.stitch_width.value, maker.width_settable(made.stitch_width.value), "#{kind.key} on #{name}"
          assert_operator made.stitch_width.value, :<=, maker.max_width
        end

        assert_equal made.stitch_length.value, maker.length_settable(made.stitch_length.value)
        %i[style foot needle stabiliser stitch_width stitch_length tension cord].each do |part|
          refute_empty made[part].because
        end
      end
    end
  end

  def test_tension_drops_by_one_and_names_the_bobbin_finger_only_where_there_is_one
    assert_equal 3, recipe.tension.value
    refute_match(/finger/, recipe.tension.because.first.says)
    assert_match(/finger.*never both/, recipe(kind: "memory").tension.because.first.says)
    assert_equal 4, recipe(cloth: cloth(kind: "leather")).tension.value
  end

  def test_what_the_person_sets_wins_as_far_as_the_machine_goes
    own = recipe(recipe: { style: "keyhole", stitch_width: mm(20), tension: 2r, stabiliser: "paper", needle_size: 80,
                           foot: "general_zigzag_foot" })

    assert_equal ["keyhole", "7 mm", 2, "thin paper under the hole", 80, "general_zigzag_foot"],
                 [own.style.value.key, own.stitch_width.value.to_s, own.tension.value, own.stabiliser.value,
                  own.needle.value.size, own.foot.value.kind]
    assert_equal ["cutting space"], recipe(recipe: { stitch_width: mm(2) }).stitch_width.cautions.map(&:rule)
    assert_match(/above the band.*pile up/,
                 recipe(recipe: { stitch_length: mm(0.2) }).stitch_length.cautions.first.says)
    assert_equal "Lengthen it to 0.4.", recipe(recipe: { stitch_length: mm(0.2) }).stitch_length.cautions.first.instead
    assert_equal "two_tacks", recipe(kind: "stepped", recipe: { style: "keyhole" }).style.value.key
    assert_includes refused { Recipes::Overrides.new(needle_size: 10).validate }.keys, "recipe.needle_size"
  end

  def test_styles_are_ranked_with_what_speaks_for_and_against
    scores = recipe.scores[:style]

    assert_equal STYLES.values.select(&:opens).map(&:key).sort, scores.map(&:key).sort
    assert_equal scores.map(&:points), scores.map(&:points).sort.reverse
    scores.each do |score|
      assert_equal(score.points, (score.speaks_for + score.against).sum do |rule|
        rule.votes[score.key]
      end)
    end
    keyhole = scores.find { |score| score.key == "keyhole" }

    assert_equal ["An eyelet has nothing to seat."], keyhole.against.map(&:says)
    own = recipe(recipe: { style: "keyhole" })

    assert_equal ["keyhole", ["flat button"]], [own.style.value.key, own.style.cautions.map(&:rule)]
    assert_includes own.style.cautions.first.instead, "rectangular"
  end

  def test_a_machine_without_a_swing_sews_the_box_and_nothing_unsettable
    straight = machine("plain", max_width: mm(0))
    found = recipe(machine: straight)

    assert_equal "straight_box", found.style.value.key
    assert_equal [true, false], [straight.validate.equal?(straight), straight.zigzag?]
  end

  def test_a_cord_is_as_thick_as_its_strands_and_long_enough_to_hook
    cord = Cord.of(thread, overall: mm(25))

    assert_operator cord.thickness, :>=, Cord::THICKNESS
    assert_in_delta thread.thickness.to_f * Math.sqrt(cord.strands / 0.75), cord.thickness.to_f, 0.001
    assert_equal mm(290), cord.length
    assert_operator Cord.of(thread(tex: 10), overall: mm(25)).strands, :>, cord.strands
  end

  def test_thicker_thread_lengthens_the_stitch_and_says_so
    thin, thick = [27, 70].map { |tex| recipe(thread: thread(tex: tex)) }

    assert_operator thick.stitch_length.value, :>, thin.stitch_length.value
    assert_includes thick.stitch_length.because.first.says.to_s, "Tex 70"
    assert_includes thick.needle.because.last.says, "Tex 70 goes through 100 to 110"
    assert_equal "universal 100/16", thick.needle.value.to_s
  end

  def test_the_page_of_rules_is_written_from_them
    require_relative "../support/glossary_page"
    require_relative "../support/rules_page"

    assert_equal Support::RulesPage.text, File.read(File.expand_path("../../docs/rules.md", __dir__)), "run bin/rules"
    assert_equal Support::GlossaryPage.text, File.read(File.expand_path("../../docs/glossary.md", __dir__)),
                 "run bin/rules"
  end

  # tex 27 on a dial of quarter millimetres: 0.25 piles up (0.78), 0.5 is open (0.39).
  def test_a_dial_without_a_mark_in_the_band_takes_the_open_side_twice_or_stops_between
    stepped = recipe(kind: "stepped").stitch_length
    stepless = recipe(machine: machine("stepped", length_stepless: true))

    assert_equal [mm(0.5), "second pass", []], [stepped.value, stepped.because.first.rule, stepped.cautions]
    assert recipe(kind: "stepped").second_pass
    assert_equal mm(0.38), stepless.stitch_length.value
    assert_includes stepless.stitch_length.because.first.says.to_s, "half way from 0.25 to 0.5"
    refute stepless.second_pass
    # What a person set has no way back on such a dial but the second pass.
    assert_includes recipe(kind: "stepped", recipe: { stitch_length: mm(0.5) }).stitch_length.cautions.first.instead, said("density_choice.second_pass")
  end

  def test_a_knit_without_a_programme_gets_an_open_zigzag_by_hand
    knit = recipe(kind: "plain", cloth: cloth(kind: "knit", stretch: 30))

    assert_equal ["manual_zigzag", :open, false], [knit.style.value.key, knit.stitched, knit.cord.value]
    assert_operator knit.coverage, :<, 0.46
    assert_equal 1r / 2, knit.stretch_left, "the knit stay leaves half of its stretch"
    assert_equal 0r, recipe(cloth: cloth(kind: "knit", stretch: 30)).stretch_left, "a cord leaves none"
  end

  def test_a_corded_hole_hides_its_cord
    corded = recipe(recipe: { style: "corded" })

    assert_operator corded.bead, :>=, Cord.thickness_of(thread) + mm(0.8)
    assert_operator corded.coverage, :>=, 0.5
  end

  def test_an_eyelet_is_no_wider_than_the_needle_swings
    cord = ->(wide) { button(shape: "cord", diameter: mm(wide), attachment: "two_holes") }

    assert_equal "eyelet", recipe(button: cord.call(3)).style.value.key
    assert_equal "two_tacks", recipe(button: cord.call(8)).style.value.key
    assert_includes recipe(button: cord.call(8)).style.cautions.map(&:rule), "machine"
  end

  def test_the_tension_lies_on_the_dial_and_is_never_moved_twice
    odd = recipe(machine: machine(neutral_tension: 4.3r, tension_step: 1r / 2)).tension.value

    assert_equal 1, (odd * 2).denominator
    low = recipe(machine: machine("memory", neutral_tension: 0r))

    assert_equal ["bobbin_finger", 0], [low.tension_move.key, low.tension.value]
    assert_match(said("equipment_choice.nothing_below_it"), recipe(machine: machine(neutral_tension: 0r)).tension.because.first.says)
  end
end
