# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"

# What closures take, and what they bear afterwards.
class SuppliesTest < CoreTest
  def part(key = 1, **changes)
    SessionPart.new(key: key, name: "front #{key}", garment: "smock", sheet: sheet(**changes))
  end

  def kind(found, name) = found.select { |one| one.kind == name }

  # As long as the step says, for the buttons that no foot can hold.
  def test_the_card_that_goes_into_the_foot_is_on_the_list
    carriage = { recipe: Recipes::Overrides.new(foot: "carriage_foot"), placket: run_of(count: 3) }
    flat = part(1, **carriage)
    ball = part(2, button: button(shape: "ball", attachment: "shank", diameter: mm(14)), **carriage)
    found = kind(Supplies.of([flat, ball]), "card")

    assert_equal [ball.sheet.setting.figure], found.map(&:length)
    figure = found.first.length.to_s

    assert(ball.sheet.progress.steps.flat_map(&:operations).any? { |one| one.says.to_s.include?(figure) })
  end

  # Nothing is counted that no step uses, and every step that uses something is counted.
  def test_counts_are_those_of_the_steps_that_use_them
    parts = [part(1, button: button(name: "shell")), part(2, button: button(name: "shell"), placket: run_of(count: 4)),
             part(3, button: button(name: "horn", shape: "ball", attachment: "shank", diameter: mm(14)),
                  recipe: Recipes::Overrides.new(style: "corded"))]
    found = Supplies.of(parts, stash: { "shell" => StashCount.new(owned: 5) })
    steps = ->(name) { parts.sum { |one| one.sheet.progress.steps.count { |step| step.name == name } } }
    shell, horn = kind(found, "button")

    assert_equal steps["button"] + 2 + 1, shell.count + horn.count
    assert_equal [5, shell.count - 5, nil], [shell.owned, shell.lacks, horn.owned]
    assert_match(/for 2 rows/, shell.says)
    assert_equal 1, kind(found, "thread").size, "one thread for all of them"
    thread = parts.sum(Length.zero) do |one|
      hole = HoleSimulation.of(one.sheet).reckoning
      count = one.sheet.layout.holes.size
      buttons = if one.key == 3
                  one.sheet.attaching.hand_thread
                else
                  ButtonSimulation.of(one.sheet).then do |button|
                    button.top + button.bobbin
                  end
                end
      ((hole.top + hole.bobbin) * (count + 1)) + (buttons * count)
    end

    assert_equal thread, kind(found, "thread").first.length
    corded = parts.last.sheet
    cord = corded.progress.steps.find { |step| step.key == "cord" }.figures.fetch("cord.length")

    assert_equal (cord * corded.layout.holes.size).round_up_to(Length.mm(5)), kind(found, "cord").first.length
    assert_equal ["for 18 cut edges"], kind(found, "liquid").map(&:says)
    assert_equal 3, kind(found, "stay").size
    assert_empty kind(Supplies.of([part(1, cut: Opening::CutMethod.new(seal: "none"))]), "liquid")
    assert_empty kind(Supplies.of([part(1, button: button(shape: "cord", diameter: mm(3)))]), "button")
  end

  # However far the row has come, the bobbin is changed before the same hole, and never in between.
  def test_a_bobbin_is_changed_before_the_same_hole_wherever_one_is_by_then
    at = Support::AtTheTable.new({ smock: { thread: thread(bobbin: "4 m") } }) { |changes, facts| sheet(facts: facts, **changes) }
    need = -> { SessionForecast.of(at.session).threads.first }
    planned = need.call.changes

    refute_empty planned
    sewn = 0
    until at.session.steps.none? { |one| one.step.hole }
      one = at.session.steps.first
      sewn += 1 if one.step.hole
      at.done(one)
      passed = planned.reject { |change| at.facts(:smock).holes.map(&:at).include?(change.at) }
      next if one.step.hole.nil? || passed.empty?

      assert_equal passed.map(&:number), need.call.changes.map(&:number), "after #{sewn} holes"
    end
  end

  def test_care_comes_of_cloth_button_and_liquid
    said = ->(**changes) { Care.of(sheet(**changes)).join(" ") }

    assert_match(/buttoned up.*Iron round the buttons.*a day before the first wash/, said.call)
    assert_match(/not washed.*No hot iron/, said.call(cloth: cloth(kind: "coated", washed: "no")))
    assert_match(said("care.pins_out"),
                 said.call(button: button(shape: "ball", attachment: "shank"),
                           attach: Attach::ButtonSewing.new(pattern: "two_bars", shank_by: "pin")))
    assert_match(said("care.pull_every_button"), said.call(placket: run_of(use: "children")))
    refute_match(/Sealed/, said.call(cut: Opening::CutMethod.new(seal: "none")))
  end

  # A child's garment is warned of where something is chosen, at its steps and on the record; gimp is no cord.
  def test_what_a_child_wears_is_warned_of
    worn = lambda do |thing, use, **more|
      found = sheet(button: button(**thing), placket: run_of(use: use), **more)
      [Children.hazards(found.plan), found.progress.steps.flat_map(&:hazards).uniq & %w[children cords],
       Care.of(found).grep(/strangle|swallowed/).size]
    end
    corded = { recipe: Recipes::Overrides.new(style: "corded") }

    assert_equal [%w[children], %w[children], 1], worn.call({}, "children")
    assert_equal [%w[children], %w[children], 1], worn.call({}, "children", **corded)
    assert_equal [%w[cords], %w[cords], 1], worn.call({ shape: "cord", diameter: mm(5) }, "children")
    [{}, { shape: "cord", diameter: mm(5) }].each { |thing| assert_equal [[], [], 0], worn.call(thing, "shirt") }
  end
end
