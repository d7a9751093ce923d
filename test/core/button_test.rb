# frozen_string_literal: true

require_relative "../core_helper"

class ButtonTest < CoreTest
  # Worked by hand from the formula each shape names; D = 18, T = 4.
  def test_half_perimeter_of_every_shape
    { "flat" => 22.0, "rounded" => 14 + (Math::PI * 2), "domed" => 19.142, "half_ball" => 9 + (4.5 * Math::PI),
      "ball" => 9 * Math::PI }.each do |shape, expected|
      assert_in_delta expected, button(shape: shape, thickness: mm(4)).half_perimeter.to_f, 0.002, shape
    end
    # A dome as high as half its width is the half ball.
    assert_in_delta button(shape: "half_ball").half_perimeter.to_f, button(shape: "domed", thickness: mm(9)).half_perimeter.to_f, 0.002
  end

  def test_h_is_half_the_drawn_outline
    Buttons::SHAPES.each_key do |shape|
      points = button(shape: shape, thickness: mm(5)).section
      drawn = (points + [points.first]).each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) } / 2

      assert_in_delta button(shape: shape, thickness: mm(5)).half_perimeter.to_f, drawn, 0.1, shape
    end
  end

  def test_h_never_shrinks_when_the_button_grows
    Buttons::SHAPES.each_key do |shape|
      100.times do
        diameter = random_mm(5.0..40.0)
        thickness = [random_mm(0.5..20.0), diameter].min
        small = button(shape: shape, diameter: diameter, thickness: thickness).half_perimeter

        assert_operator button(shape: shape, diameter: diameter + mm(0.1), thickness: thickness).half_perimeter, :>=, small
        assert_operator button(shape: shape, diameter: diameter, thickness: thickness + mm(0.1)).half_perimeter, :>=, small
      end
    end
  end

  def test_what_a_button_cannot_be
    { { thickness: mm(19) } => "button.thickness", { diameter: mm(0) } => "button.diameter",
      { diameter: mm(151) } => "button.diameter",
      { thickness: mm(-1) } => "button.thickness", { hole_spacing: mm(20) } => "button.hole_spacing",
      { hole_spacing: mm(1) } => "button.hole_spacing", { hole_diameter: mm(0) } => "button.hole_diameter" }.each do |changes, field|
      assert_includes refused { button(**changes).sound! }.keys, field, changes.inspect
    end
    # The holes of a shank button and the thickness of a ball are not looked at.
    assert button(attachment: "shank", hole_spacing: mm(50)).sound!
    assert button(shape: "ball", thickness: mm(99)).sound!
  end

  def test_holes_are_where_the_spacing_says
    places = button.hole_places

    assert_equal 4, places.size
    assert_in_delta 3, Math.hypot(places[0][0] - places[1][0], places[0][1] - places[1][1])
    assert_empty button(attachment: "shank").hole_places
  end
end
