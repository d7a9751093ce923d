# frozen_string_literal: true

require_relative "../core_helper"

# Where a hole and its button lie across the edge.
class AcrossTest < CoreTest
  def layout(**changes) = sheet(placket: run_of(**changes)).layout

  def test_a_collar_stand_hole_lies_across_and_needs_less_room
    found = layout(first_lies: "across")

    assert_equal %w[horizontal vertical], found.holes.first(2).map(&:lies)
    assert_equal "3 mm", found.holes.first.out_outer.to_s
    assert_operator found.holes.first.at, :<, layout.holes.first.at, "the button sits on its line, not above it"
    assert_operator found.holes.first.button, :>=, mm(15)
  end

  def test_two_rows_stand_off_the_centre_line_and_need_a_wider_extension
    found = layout(rows: "double", offset: mm(60), extension: mm(60))

    assert_equal [mm(60), mm(60)], [found.holes.first.out_outer, found.holes.first.out_inner]
    assert_equal ["extension", "edge distance"], found.edge.cautions.map(&:rule)
    assert_empty layout(rows: "double", offset: mm(60), extension: mm(80)).edge.cautions
    assert_equal layout.holes.map(&:at), found.holes.map(&:at)
  end

  # In a keyhole the shank sits in the middle of the eye; a cord lies in the middle of its slit.
  def test_where_the_button_sits_across
    cord = button(shape: "cord", diameter: mm(8))
    across = [{}, { recipe: Recipes::Overrides.new(style: "keyhole") }, { button: cord }].map do |changes|
      sheet(placket: run_of(orientation: "horizontal", extension: mm(24)), **changes)
    end
    first = across.map { |found| found.layout.holes.first }

    assert_equal [mm(3), across[1].cut.ends.eye, first[2].opening / 2], first.map(&:out_outer)
    assert_equal mm(24 - 3 - 1.25), first[0].edge
    along = sheet(button: cord).layout.holes.first

    assert_equal [along.at, along.at], [along.middle, along.button]
  end

  # A wide shank lies on the line too: the hole reaches further out, and asks for so much more of the extension.
  def test_a_wide_shank_moves_the_hole_outward
    { nil => mm(3), mm(4) => mm(3), mm(5) => mm(3.5), mm(5.3) => mm(4), mm(12) => mm(7) }.each do |wide, passes|
      ball = button(shape: "ball", attachment: "shank", diameter: mm(14), shank_width: wide)
      found = sheet(button: ball, recipe: Recipes::Overrides.new(style: "two_tacks"),
                    placket: run_of(orientation: "horizontal", extension: mm(24))).layout

      assert_equal [passes, passes + mm(1.25) + mm(10), passes - found.holes.first.opening],
                   [found.holes.first.out_outer, found.edge.extension_needed, found.holes.first.out_inner], wide.inspect
    end
    wider = button(attachment: "shank", diameter: mm(14), shank_width: mm(15))

    assert_equal %w[button.shank_width], refused { wider.validate }.keys
  end
end
