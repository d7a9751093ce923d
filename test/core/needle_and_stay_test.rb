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

  def test_the_best_stabiliser_that_can_be_had_is_taken_and_a_better_one_named
    CLOTH_KINDS.each_key do |kind|
      assert_empty recipe(cloth: cloth(kind: kind)).stabiliser.cautions, kind
      [[], %w[fusible_strip], %w[tear_away wash_away wash_film], %w[tear_away]].each do |owned|
        found = recipe(cloth: cloth(kind: kind), stabilisers: owned)

        assert_empty found.stay.needs - owned, "#{kind} with #{owned}"
        assert_nil found.stay.obstacle(cloth(kind: kind), owned)
      end
    end

    assert_includes recipe(stabilisers: []).stabiliser.cautions.first.instead.to_s, "light fusible strip"
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
