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
      assert_equal verdict != "good", found.cautions.map(&:rule).include?("clearance")
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
      assert_match(/by hand/, found.instead)
    end
  end

  def test_thread_shank_for_anything_thicker_than_shirting
    assert_predicate attaching.shank, :zero?
    # Three layers of 0.6 and 0.2 interfacing, and one more.
    assert_equal "3 mm", attaching(cloth: cloth(thickness: mm(0.6), layers: 3)).shank.to_s
  end

  def test_own_values
    found = attaching(width: mm(3.4), stitches: 6)

    assert_equal ["3.5 mm", 6], [found.width.to_s, found.stitches]
    assert_equal %w[attach.stitches attach.width], refused {
      Attach::ButtonSewing.new(pattern: "cross", stitches: 99, width: mm(40)).validate
    }.keys.sort
  end
end
