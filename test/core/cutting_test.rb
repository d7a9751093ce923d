# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/in_words"

# How holes are opened and sealed, and buttons marked and secured: what people were taught changes what the hands do.
class CuttingTest < CoreTest
  include InWords

  def cut(**changes) = Opening::CutMethod.new(**changes)

  # They cover the slit without a gap, and never reach a tack.
  def test_bites_cover_the_slit_and_never_touch_a_tack
    300.times do
      slit = random_mm(6..60)
      chisel = random_mm(3..60)
      bites = cut(tool: "chisel", chisel: chisel).bites(slit)

      assert_equal [Length.zero, slit], [bites.first.from, bites.last.to]
      bites.each_cons(2) { |one, other| assert_operator one.to - other.from, :>=, Length.mm(1), "#{slit} by #{chisel}" }
      next assert_operator bites.size, :<=, 2 if chisel > slit

      assert_equal [chisel], bites.map { |bite| bite.to - bite.from }.uniq
      assert_equal ((slit.to_f - 1) / (chisel.to_f - 1)).ceil, bites.size if chisel < slit && chisel > mm(2)
    end

    assert_empty cut(tool: "chisel").bites(mm(20)), "nobody knows the chisel"
    assert_equal ["cut.chisel"], refused { cut(chisel: mm(1)).validate }.keys
  end

  # One row of schools each: what is chosen is seen in the steps.
  def test_every_school_of_opening_changes_what_the_hands_do
    tools = { "ripper" => /from both ends to the middle/, "snip" => /Fold hole \d across its middle\. Snip 3 mm/,
              "chisel" => /with the chisel on a block: 22.5 mm. Set its edge from 0 mm to 12 mm, then 10.5 mm to 22.5 mm/ }

    tools.each { |tool, text| assert_match text, at("open", told(cut: cut(tool: tool, chisel: mm(12)))) }
    assert_match(said("steps.over_the_block_s"), at("open", told(cut: cut(tool: "chisel", chisel: mm(30)))))
    seals = { "before" => %w[seal dry], "after" => %w[seal-after dry-after], "both" => %w[seal dry seal-after dry-after],
              "none" => [] }
    seals.each do |seal, keys|
      found = sheet(cut: cut(seal: seal))

      assert_equal keys, found.progress.steps.map(&:key).grep(/seal|dry/), seal
      part = SessionPart.new(key: 1, name: "a", garment: "b", sheet: found)

      assert_equal(keys.count do |key|
        key.start_with?("seal")
      end, SessionWork.new(part, pace: Schedule::Pace.usual, drying: 600).chain.blocks.count do |block|
             block.dries.positive?
           end)
    end
  end

  def test_every_school_of_tension_and_thread_ends_changes_what_the_hands_do
    own = ->(**set) { { machine: machine("memory"), recipe: Recipes::Overrides.new(**set) } }
    moves = %w[lower_top bobbin_finger leave].map do |by|
      sheet(**own[tension_by: by]).recipe.then do |recipe|
        [recipe.tension_move.key, recipe.tension.value]
      end
    end

    assert_equal [["lower_top", 3r], ["bobbin_finger", 4r], ["leave", 4r]], moves
    assert_equal "lower_top", sheet(recipe: Recipes::Overrides.new(tension_by: "bobbin_finger")).recipe.tension_move.key,
                 "this one has none"
    assert_match(said("steps.hold_the_top_tail"), at("place", told(own[tails: "held"])))
    assert_match(said("steps.both_tails_under_it"), at("place", told(own[tails: "under"])))
  end

  def test_every_school_of_attaching_changes_what_the_hands_do
    assert_match(said("steps.through_the_finished_holes"), told(sewn(marks: "through"))["mark-buttons"])
    assert_match(/from the plan\. From the top edge: 24 mm|from the plan\. From the top edge: [\d.]+ mm/,
                 told(sewn(marks: "plan"))["mark-buttons"])
    assert_match(said("steps.cut_the_thread_between"), at("button", told(sewn(between: "cut"))))
    assert_match(said("steps.carry_the_thread_over"), at("button", told(sewn(between: "carry"))))
    texts = %w[knot liquid tie_off knot_liquid].map { |secure| told(sewn(secure: secure))["secure"] }

    assert_equal texts, texts.uniq
    assert_match(said("steps.tails_to_the_back"), told(sewn(secure: "liquid").merge(placket: run_of(use: "children")))["secure"])
    shank = { button: button(shape: "ball", attachment: "shank") }

    assert_match(said("attach_habits.on_by_hand"), at("button", told(shank.merge(sewn(shank_by: "hand")))))
    pinned = told(shank.merge(sewn(shank_by: "pin")))

    assert_match(said("steps.stitch_an_eyelet_for"), pinned["shank-eyelet"])
    assert_match(said("steps.the_pin_through_its"), at("button", pinned))
  end
end
