# frozen_string_literal: true

require_relative "../core_helper"

# What is fitted and laid under, by cloth, thread and what there is in the drawer.
class NeedleAndStayTest < CoreTest
  def test_needles_by_cloth_and_thread
    { { kind: "knit", stretch: 40 } => "stretch", { kind: "knit", stretch: 20 } => "ballpoint",
      { kind: "heavy_woven", weight: 340 } => "denim",
      { kind: "leather" } => "leather", { kind: "coated" } => "fine sharp" }.each do |stuff, point|
      assert_equal point, recipe(cloth: cloth(**stuff)).needle.value.point, stuff.to_s
    end
    assert_equal ["thread"], recipe(cloth: cloth(kind: "sheer", weight: 50), thread: thread(tex: 60)).needle.cautions.map(&:rule)
  end

  def test_rules_that_disagree_strongly_are_shown
    conflict = recipe(cloth: cloth(kind: "coated", frays: "yes"))

    assert_equal "straight_box", conflict.style.value.key
    assert_includes conflict.style.cautions.map(&:rule), "conflict"
  end

  # A second layer is more of the same: what of it is ironed, torn away or rinsed out is known, however it was written
  # down.
  def test_a_second_layer_is_a_number_and_not_a_sentence
    CLOTH_KINDS.each_value do |kind|
      stuff = { cloth: cloth(kind: kind.key, weight: kind.weight, thickness: kind.thickness, stretch: kind.stretch) }
      one = sheet(**stuff)
      typed = one.recipe.stabiliser.value
      two, older, own = [{ stay_layers: 2 }, { stabiliser: "#{typed}, and a second layer" }, { stabiliser: typed }].map do |set|
        sheet(recipe: Recipes::Overrides.new(**set), **stuff)
      end

      [two, older, own].each { |found| assert_same one.recipe.stay, found.recipe.stay, kind.key }
      [two, older].each do |found|
        assert_equal ["#{typed}, two layers", work(one)], [found.recipe.stay_words, work(found)], kind.key
      end
    end

    assert_nil recipe(recipe: { stabiliser: "an old curtain" }).stay
  end

  # A stage that was settled, and a step that was ticked, with the older sentence are so still.
  def test_what_was_kept_with_the_older_sentence_is_read_as_it_was_meant
    kept = { "recipe.stabiliser" => "tear-away under the hole, and a second layer", "stay.width" => mm(28) }

    assert_equal({ "recipe.stabiliser" => "tear_away", "recipe.stay_layers" => "2", "stay.width" => mm(28) },
                 OlderWords.figures(kept))
    none = kept.slice("stay.width")

    assert_same none, OlderWords.figures(none)
  end

  # What was sewn over two layers is taken over with two, as a number; and is said alike at the test and at the recipe.
  def test_a_test_hole_over_two_layers_is_accepted_with_them
    two = sheet(recipe: Recipes::Overrides.new(stay_layers: 2))
    hole = swatch_of(two)
    plan = AcceptedSettings.accepting(hole, sheet)

    assert_equal 2, plan.validate.recipe.stay_layers
    assert_equal two.recipe.stay_words, hole.under
    assert_equal two.recipe.stay_words, Sheet.of(plan).recipe.stay_words
    assert_nil AcceptedSettings.accepting(swatch_of(sheet), sheet).recipe.stay_layers
    assert_equal "recipe.stay_layers", Swatches::SewnWith.faulty("recipe.stay_layers" => "9"), "no file brings in more"
  end

  def swatch_of(found)
    Swatches::Swatch.new(id: "a", passes: "snug", measured: nil, symptoms: [], opening: found.opening,
                         tension: found.recipe.tension.value, stitch_width: found.recipe.stitch_width.value,
                         stitch_length: found.recipe.stitch_length.value,
                         stabiliser: found.recipe.stabiliser.value, sewn_with: found.sewn_with)
  end

  # Keys of the steps, and the cautions they carry.
  def work(found) = found.progress.steps.map { |step| [step.key, step.hazards] }

  def test_the_best_stabiliser_that_can_be_had_is_taken_and_a_better_one_named
    CLOTH_KINDS.each_key do |kind|
      assert_empty recipe(cloth: cloth(kind: kind)).stabiliser.cautions, kind
      [[], %w[fusible_strip], %w[tear_away wash_away wash_film], %w[tear_away]].each do |owned|
        found = recipe(cloth: cloth(kind: kind), stabilisers: owned)

        assert_empty found.stay.needs - owned, "#{kind} with #{owned}"
        assert_nil found.stay.obstacle(cloth(kind: kind), owned)
      end
    end

    assert_includes recipe(stabilisers: []).stabiliser.cautions.first.instead.to_s, said("stabiliser.light_fusible_strip")
    # No iron, no fusible; not washed, nothing that has to be washed out.
    refute recipe(cloth: cloth(iron: "no")).stay.heat
    refute recipe(cloth: cloth(kind: "sheer", washed: "no")).stay.wash
    assert recipe(cloth: cloth(kind: "sheer")).stay.wash
  end

  def test_thick_thread_wants_a_larger_needle_and_a_longer_stitch
    thick = recipe(thread: thread(tex: 70))

    assert_equal 100, thick.needle.value.size
    assert_operator thick.stitch_length.value, :>, recipe.stitch_length.value
  end
end
