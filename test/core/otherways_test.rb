# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/closures"

# What is done instead of holes sewn by machine: when it is said, what it takes, and that every list says the same.
class OtherWaysTest < CoreTest
  include Support::Closures

  WAYS = Otherways::WAYS

  def with_way(key, **changes) = sheet(recipe: Recipes::Overrides.new(way: key), **changes)

  # The answers of a person that make a hole sewn by machine the wrong one, and what is offered first.
  def test_where_a_hole_is_wrong_it_is_said_and_another_way_comes_first
    velvet = cloth(kind: "pile", weight: 300, thickness: mm(1.4))
    jersey = cloth(kind: "knit", weight: 200, thickness: mm(0.6), stretch: 30)
    coat = cloth(kind: "heavy_woven", weight: 400, thickness: mm(1.4))
    {
      "raw_edge" => [{ machine: machine("plain", max_width: mm(0)) }, "hand_worked"],
      "toggle" => [{ button: button(shape: "bar", attachment: "tunnel", diameter: mm(40), thickness: mm(9)) }, "fabric_loop"],
      "soft_ball" => [{ cloth: velvet, button: button(shape: "ball", attachment: "shank", diameter: mm(12)) }, "fabric_loop"],
      "baby" => [{ cloth: jersey, placket: run_of(use: "children") }, "press_stud"],
      "thick_knit" => [{ cloth: jersey.with(thickness: mm(2)) }, "ribbon"],
      "keyhole" => [{ cloth: coat, machine: machine("stepped"), button: button(diameter: mm(28), thickness: mm(6)) }, "hand_worked"],
      "too_large" => [{ button: button(diameter: mm(38)), machine: machine("sensing") }, "hand_worked"]
    }.each do |key, (changes, first)|
      found = sheet(**changes).other_ways

      assert_equal [key, first], [found.wrong&.key, found.offered.first.key], key
      refute_nil found.offered.first.beats(found.given).first
    end
    assert_nil sheet.other_ways.wrong, "a shirt is sewn as ever"
    refute_empty sheet.other_ways.offered
  end

  # Lengths of thread, of a loop and of what a window takes, against figures that hands have found.
  def test_figures_are_those_of_the_hand
    given = sheet.other_ways.given.with(need: mm(11), ease: mm(0.5), stack: mm(0.8), fine: false, thick: false,
                                        ruler: Ruler.fetch("half_millimetre"))
    figure = ->(key, name, **more) { WAYS.fetch(key).figures(given.with(**more)).fetch(name).value.to_f }

    assert_in_delta 700, figure["hand_worked", "thread"], 160, "about 0.7 m for a hole of 12"
    assert_in_delta 1000, figure["hand_worked", "thread", need: mm(18.5), thick: false], 200
    [10, 15, 22].each do |need|
      across = mm(need * 0.8)
      base, arc, out = %w[base arc reach].map { |name| figure["fabric_loop", name, need: mm(need), across: across, ball: true, gap: nil] }

      # The button goes through what is open: loop and base together go round it.
      assert_operator arc + base, :>=, 2 * need
      assert_operator out, :>, Math.sqrt((arc**2) - (base**2)) / 2
    end
    # Loops that touch leave each other room.
    touching = figure["fabric_loop", "base", across: mm(11), gap: mm(15)]

    assert_operator touching, :<=, 6.5
    assert_operator figure["bound", "slit"], :>, figure["faced_window", "slit"], "the lips lie in the fold too"
    assert_operator figure["bound", "corner", need: mm(9)], :<=, (figure["bound", "slit", need: mm(9)] / 3) + 0.5
  end

  # Whatever the closure and the way: the same places and one cut length in every list, and no step of a hole sewn by
  # machine.
  def test_every_list_says_the_same_and_nothing_is_sewn_by_machine
    Array.new(30) do
      key = pick(WAYS.keys - %w[ribbon])
      changes = { button: any_button(%w[rounded domed ball bar flat]).with(width: nil), cloth: any_cloth, machine: any_machine(pick(MACHINE_KINDS.keys)) }
      found = with_way(key, **changes)
      steps = found.progress&.steps or next
      names = steps.map(&:name)

      assert_empty names & %w[sew lever reset test-sew accept open seal settings clamp], key
      assert_equal(found.layout.holes.map(&:at), steps.select { |step| step.name == "worked" }.map { |step| step.figures["hole.at"] })
      slits = steps.filter_map { |step| step.figures["way.slit"] || step.figures["opening.length"] }

      assert_empty slits.uniq - [found.opening], key
      assert_equal WAYS.fetch(key).buttons ? found.layout.holes.size : 0, names.count("button")
      assert_nil Stage.fetch("swatch").missing_of(found)
      assert_equal found.opening + (WAYS.fetch(key).beyond * 2), found.overall
      assert_empty words(found).values.grep(/%[sd]/)
      assert_empty ledger_after(steps).entries, "the machine is put back"
    end
  end

  # A ribbon is laid behind holes that are sewn by machine all the same: tested, set and cut as ever.
  def test_a_ribbon_leaves_the_holes_to_the_machine
    rib = { cloth: cloth(kind: "knit", thickness: mm(1.6), stretch: 30) }
    with = with_way("ribbon", **rib)
    without = sheet(**rib)

    assert_equal without.progress.steps.map(&:key), with.progress.steps.map(&:key) - %w[ready]
    assert_equal [without.opening, without.stages.keys], [with.opening, with.stages.keys]
    assert_includes words(with)["ready"], "ribbon"
    assert_equal %w[cloth button placket recipe sewing print], with_way("press_stud").stages.keys
  end

  # What a toggle hangs on is a figure, in the step and on the shopping list.
  def test_a_toggle_can_tip
    found = sheet(button: button(shape: "bar", attachment: "tunnel", diameter: mm(40), thickness: mm(9)))
    cord = found.attaching.cord

    assert_operator cord, :>=, mm(20) + found.plan.cloth.stack
    said = words(found).select { |key, _| key.start_with?("button-at") }.values

    assert_equal(found.layout.holes.size, said.count { |text| text.include?(cord.to_s) })
    listed = Supplies.of([SessionPart.new(key: 1, name: "front", garment: "cape", sheet: found)])

    assert_equal Sewing::ButtonsByHand.cord_for_one(found.attaching) * found.layout.holes.size,
                 listed.find { |one| one.name.include?("toggle") }.length
  end

  # A shank is what somebody chose; else by the overlap as two fingers pinch it.
  def test_a_button_lies_flat_where_somebody_says_so
    shank = ->(stuff, **sewing) { sheet(cloth: stuff, attach: Attach::ButtonSewing.new(pattern: "two_bars", **sewing)).attaching.shank }
    thick = cloth(thickness: mm(1.2))

    assert_equal [mm(0), mm(1.5)], [shank[thick, shank: mm(0)], shank[cloth, shank: mm(1.5)]]
    quilted = cloth(kind: "quilted", thickness: mm(1.2))

    assert_operator shank[quilted], :<, shank[thick], "what is padded gives"
    assert_equal 0, (shank[thick].millimetres * 2) % 1
  end
end
