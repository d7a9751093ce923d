# frozen_string_literal: true

require_relative "../core_helper"

class AttachTest < CoreTest
  def attaching(button: self.button, cloth: self.cloth, machine: self.machine, needle: 75, **wished)
    Attach::Attaching.of(button, cloth, machine, Needle.new(size: needle, point: "universal"),
                         Attach::ButtonSewing.new(pattern: "two_bars", **wished))
  end

  # 1.8/2 − 0.75/2 − 0 = 0.525
  def test_width_and_clearance
    assert_equal ["3 mm", "0.53 mm", "good"], [attaching.width.to_s, attaching.clearance.to_s, attaching.verdict]
    # Spacing 3.25 on a dial of half millimetres: 0.25 off, half of it lost.
    assert_equal mm(0.4), attaching(button: button(hole_spacing: mm(3.25))).clearance
  end

  def test_verdict_bands
    { 1.15 => "good", 1.14 => "mind", 0.76 => "mind", 0.74 => "strikes" }.each do |hole, verdict|
      found = attaching(button: button(hole_diameter: mm(hole)))

      assert_equal verdict, found.verdict, hole.to_s
      assert_equal [verdict != "strikes", verdict == "mind"], [found.by_machine, found.cautions.map(&:rule).include?("clearance")]
    end
  end

  # An arrow has two lengths of swing, and the dial is turned for the longer.
  def test_each_swing_of_a_pattern_has_a_width_of_its_own
    found = attaching(pattern: "arrow")

    assert_equal ["3 mm", "4 mm", "good"], [found.width.to_s, found.diagonal.to_s, found.verdict]
    # 4 instead of 4.243 loses half of that: 0.525 − 0.121.
    assert_in_delta 0.404, found.clearance.to_f, 0.001
    assert_nil attaching.diagonal
    # A dial that is off is off for both.
    assert_equal ["3.5 mm", "4.5 mm"],
                 attaching(pattern: "arrow", width: mm(3.5)).to_h.values_at(:width, :diagonal).map(&:to_s)
  end

  # The needle goes where it goes: whatever is offered strikes nowhere, and what is refused for it would.
  def test_what_is_offered_strikes_at_no_penetration
    300.times do
      asked = { button: button(hole_spacing: mm(random.rand(2.0..5.0).round(2)),
                               hole_diameter: mm(random.rand(0.9..2.4).round(2))),
                machine: machine(anchor: %w[centre left].sample(random: random),
                                 width_step: mm([0.5, 1].sample(random: random))),
                needle: [70, 80, 100].sample(random: random),
                pattern: Stitches::BUTTON_PATTERNS.keys.sample(random: random),
                width: [nil, mm(random.rand(10) * 0.5)].sample(random: random) }
      found = attaching(**asked)
      path = Stitches::ButtonPath.sew(found.swings.sewn(found.swings.widths(asked[:width])))
      off = path.parts.flat_map do |part|
        part.points.zip(part.aims)
      end.map { |(x, y), (u, v)| Math.hypot(x - u, y - v) }.max
      room = (asked[:button].hole_diameter.to_f - (asked[:needle] / 100.0)) / 2

      assert_in_delta room - off, found.clearance.to_f, 0.001, asked.inspect
      assert_equal path.strikes.any?, found.verdict == "strikes", asked.inspect
      refute found.by_machine && path.strikes.any?, asked.inspect
    end
  end

  def test_a_cross_swings_along_the_diagonal
    found = attaching(pattern: "cross")

    assert_in_delta 3 * Math.sqrt(2), found.spacing.to_f, 0.001
    assert_equal "4 mm", found.width.to_s
    # Two holes have no diagonal.
    assert_equal "two_bars", attaching(button: button(attachment: "two_holes"), pattern: "cross").pattern.key
  end

  def test_what_a_machine_cannot_sew_is_refused_with_what_to_do
    [attaching(button: button(attachment: "shank")), attaching(button: button(hole_spacing: mm(8)))].each do |found|
      refute found.by_machine
      assert_match(said("foot_rules.by_hand"), found.instead)
    end
  end

  # Anchored at the left the whole of what the width is off falls on the second hole.
  def test_clearance_by_where_the_zigzag_is_anchored
    off = button(hole_spacing: mm(3.25))

    assert_equal([mm(0.4), mm(0.275)], %w[centre left].map do |anchor|
      attaching(button: off, machine: machine(anchor: anchor)).clearance
    end)
    assert_equal 120, attaching.needle_most
    assert_equal 70, attaching(button: button(hole_diameter: mm(1.1))).needle_most
    tight = attaching(button: button(hole_diameter: mm(0.8)), width: mm(4))

    assert_equal [false, true], [tight.by_machine, tight.instead.include?("Set the width to 3: there it clears most.")]
  end

  def test_what_stands_too_high_or_leaves_no_room_for_a_spacer_goes_by_hand
    { "too high" => { button: button(thickness: mm(12)) },
      "spacer" => { cloth: cloth(layers: 8), machine: machine(foot_lift: mm(20)) } }.each do |rule, changes|
      found = attaching(**changes)

      assert_equal [false, rule], [found.by_machine, found.cautions.first.rule]
    end
    # Eight layers of 0.35 are an overlap that wants a shank, however thin each of them is.
    assert_equal mm(3.5), attaching(cloth: cloth(layers: 8)).shank
    # 4 × 5 passes × 2 pairs × (3 + 0 + 0.9 + 3) + 300
    assert_equal mm(576), attaching.hand_thread
  end

  def test_what_its_own_shank_lacks_is_wound_of_thread
    thick = cloth(thickness: mm(1), layers: 3)
    shanks = [nil, mm(0), mm(2.5), mm(6)].map do |own|
      attaching(cloth: thick, button: button(attachment: "shank", shank: own))
    end

    assert_equal(["0 mm", "4 mm", "1.5 mm", "0 mm"], shanks.map { |one| one.shank.to_s })
    shanks.each { |one| assert_nil one.spacer }
    assert(shanks.first.because.any? { |reason| reason.says.to_s.include?("Measure its shank: under 4 mm") })
  end

  def test_thread_shank_for_anything_thicker_than_shirting
    assert_predicate attaching.shank, :zero?
    # Flat up to 1.5; three layers of 0.6 and 0.2 interfacing, and a half more; one more where it is thicker than 3.
    assert_predicate attaching(cloth: cloth(thickness: mm(0.65))).shank, :zero?
    assert_equal "4 mm", attaching(cloth: cloth(thickness: mm(1), layers: 3)).shank.to_s
    assert_equal "2.5 mm", attaching(cloth: cloth(thickness: mm(0.6), layers: 3)).shank.to_s
  end

  def test_own_values
    found = attaching(width: mm(3.4), stitches: 6)

    assert_equal ["3.5 mm", 6], [found.width.to_s, found.stitches]
    assert_equal %w[attach.stitches attach.width], refused {
      Attach::ButtonSewing.new(pattern: "cross", stitches: 99, width: mm(40)).validate
    }.keys.sort
  end

  # What is set already is never the way out.
  def test_hardly_any_room_at_the_best_width_names_the_needle_and_not_the_width
    { 3 => /A needle of 70 or finer|No needle/, 2.5 => /Set the width to 3:/ }.each do |width, advice|
      found = Attach::Attaching.of(button(hole_diameter: mm(width == 3 ? 1.1 : 1.5)), cloth, machine,
                                   Needle.new(point: "universal", size: 90),
                                   Attach::ButtonSewing.new(pattern: "two_bars", width: mm(width)))

      assert_equal "mind", found.verdict
      assert_match advice, found.cautions.first.instead.to_s
    end
  end
end
