# frozen_string_literal: true

require_relative "../core_helper"

class ButtonTest < CoreTest
  # Worked by hand from the formula each shape names; D = 18, T = 4.
  def test_half_perimeter_of_every_shape
    { "flat" => 22.0, "rounded" => 14 + (Math::PI * 2), "domed" => 19.142, "half_ball" => 9 + (4.5 * Math::PI),
      "ball" => 9 * Math::PI, "rimmed" => 22.0, "square" => 22.0, "irregular" => 22.0,
      "bar" => 2 * Math::PI }.each do |shape, expected|
      assert_in_delta expected, button(shape: shape, thickness: mm(4)).half_perimeter.to_f, 0.002, shape
    end
    # Thicker than 0.571 of its width a disc passes flat on.
    assert_in_delta 9 * Math::PI, button(thickness: mm(11)).half_perimeter.to_f, 0.002
    # A dome as high as its width is the ball, as high as half its width the half ball.
    assert_in_delta 9 * Math::PI, button(shape: "domed", thickness: mm(18)).half_perimeter.to_f, 0.002
    assert_in_delta button(shape: "half_ball").half_perimeter.to_f, button(shape: "domed", thickness: mm(9)).half_perimeter.to_f, 0.002
  end

  # Support function of a ball cut flat at the back; half its mean width over all ways it can be tilted is never less.
  def test_a_high_dome_is_the_least_outline_over_all_tilts
    radius = 9.0
    [9.5, 12.0, 15.0, 17.5].each do |rise|
      cut = rise - radius
      disc = Math.sqrt((radius**2) - (cut**2))
      support = ->(down) { down >= -cut / radius ? radius : (disc * Math.sqrt(1 - (down**2))) - (cut * down) }
      outlines = (0..90).map do |tilt|
        (0...720).sum do |turn|
          support.call(Math.sin(turn * Math::PI / 360) * Math.cos(tilt * Math::PI / 180))
        end * Math::PI / 720
      end

      assert_in_delta outlines.min, button(shape: "domed", thickness: mm(rise)).half_perimeter.to_f, 0.01, rise
    end
  end

  def test_h_is_half_the_drawn_outline
    (PASSING - %w[hook]).each do |shape|
      # A slit lies round the hull of the section: a hollow does not count.
      points = Outline.new(points: button(shape: shape, thickness: mm(5)).section).hull
      drawn = (points + [points.first]).each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) } / 2

      assert_in_delta button(shape: shape, thickness: mm(5)).half_perimeter.to_f, drawn, 0.1, shape
    end
  end

  def test_h_never_shrinks_when_the_button_grows
    BUTTON_SHAPES.each_key do |shape|
      100.times do
        diameter = random_mm(5.0..40.0)
        thickness = [random_mm(0.5..20.0), diameter].min
        small = button(shape: shape, diameter: diameter, thickness: thickness).half_perimeter

        assert_operator button(shape: shape, diameter: diameter + mm(0.1), thickness: thickness).half_perimeter, :>=,
                        small
        assert_operator button(shape: shape, diameter: diameter, thickness: thickness + mm(0.1)).half_perimeter, :>=,
                        small
      end
    end
  end

  def test_what_a_button_cannot_be
    { { thickness: mm(19) } => "button.thickness", { diameter: mm(0) } => "button.diameter",
      { diameter: mm(151) } => "button.diameter",
      { thickness: mm(-1) } => "button.thickness", { hole_spacing: mm(20) } => "button.hole_spacing",
      { hole_spacing: mm(1) } => "button.hole_spacing", { hole_diameter: mm(0) } => "button.hole_diameter" }.each do |changes, field|
      assert_includes refused { button(**changes).validate }.keys, field, changes.inspect
    end
    assert_includes refused { button(shape: "irregular", width: mm(19)).validate }.keys, "button.width"
    # The holes of a shank button and the thickness of a ball are not looked at.
    assert button(attachment: "shank", hole_spacing: mm(50)).validate
    assert button(shape: "ball", thickness: mm(99)).validate
  end

  def test_holes_are_where_the_spacing_says
    places = button.hole_places

    assert_equal 4, places.size
    assert_in_delta 3, Math.hypot(places[0][0] - places[1][0], places[0][1] - places[1][1])
    assert_empty button(attachment: "shank").hole_places
  end
end

class OutlineTest < CoreTest
  def read(text, unit: :mm) = Outline.read(text, unit: unit, field: "button.outline")

  # A slit can be no shorter than the narrowest way through: worked by hand.
  def test_caliper_width_of_known_shapes
    { "0 0, 20 0, 20 12, 0 12" => 12, "0 0, 10 0, 10 10, 0 10" => 10, "0 0, 8 0, 4 6" => 6,
      # StyleScore on a corner, a square is still as narrow as its side.
      "0 -10, 10 0, 0 10, -10 0" => 10 * Math.sqrt(2),
      # A right triangle 3, 4, 5: the height over the longest side.
      "0 0, 4 0, 0 3" => 12 / 5.0,
      # A hollow does not make it narrower.
      "0 0, 20 0, 20 12, 10 6, 0 12" => 12 }.each do |text, width|
      assert_in_delta width, read(text).caliper_width.to_f, 0.0011, text
    end
    assert_in_delta Math.hypot(20, 12), read("0 0, 20 0, 20 12, 0 12").largest_width.to_f, 0.0011
    assert_in_delta 25.4, read("0 0, 1 0, 1 2, 0 2", unit: :in).caliper_width.to_f, 0.0011
  end

  # Turning a direction through all angles can find no narrower one.
  def test_caliper_width_equals_a_search_over_all_directions
    60.times do
      points = Array.new(random.rand(3..12)) { [random.rand(-200..200)/10r, random.rand(-200..200)/10r] }.uniq
      outline = Outline.new(points: points)
      next if outline.hull.size < 3

      searched = (0...3600).map do |step|
        angle = step * Math::PI / 3600
        points.map { |x, y| (x * Math.cos(angle)) + (y * Math.sin(angle)) }.minmax.reduce(:-).abs
      end.min

      assert_operator outline.caliper_width.to_f, :<=, searched + 0.001
      assert_in_delta searched, outline.caliper_width.to_f, 0.05
    end
  end

  def test_turning_and_moving_change_nothing
    outline = read("0 0, 20 0, 22 9, 8 14, 0 12")
    moved = Outline.new(points: outline.points.map { |x, y| [-y + 7, x - 3] }.rotate(2))

    assert_equal outline.caliper_width, moved.caliper_width
    assert_equal outline.largest_width, moved.largest_width
  end

  def test_what_is_no_outline_is_refused_with_why
    { "0 0, 5 5" => /At least 3/, "0 0, 5 5, 10 10" => /one line/, "0 0, 10 10, 10 0, 0 10" => /crosses itself/,
      "0 0, 9 0, 9 9, 0 0" => /stands twice/, "a b, c d, e f" => /x y pairs/, "0 0, 9000 0, 0 9" => /150 mm/,
      "0 0, 4 0, 8 0, 8 8, 4 0, 0 8" => /stands twice/ }.each do |text, why|
      assert_match why, refused { read(text) }.fetch("button.outline"), text
    end
    many = Array.new(10_000) { |corner| "#{corner % 100} #{corner / 100}" }.join(", ")

    assert_match(/at most 500/, refused { read(many) }.fetch("button.outline"))
  end

  def test_a_button_with_corners_passes_on_its_narrow_side
    cornered = button(shape: "polygon", outline: read("0 0, 24 0, 24 12, 0 12"))

    assert_equal ["15 mm", "12 mm", "26.83 mm"], [cornered.half_perimeter, cornered.narrow, cornered.across].map(&:to_s)
    assert_equal [[-12.0, -6.0], [12.0, 6.0]], cornered.face.minmax
    # Without corners it is taken for a square.
    assert_equal "21 mm", button(shape: "polygon").half_perimeter.to_s
    assert_equal "11 mm", button(shape: "irregular", width: mm(8)).half_perimeter.to_s
    assert_nil button.face
  end

  def test_it_is_kept_as_it_was
    outline = read("0 0, 20.125 0, 20 12.0625, 0 12")

    assert_equal outline, Outline.load(outline.kept)
    inches = read(outline.in(:in), unit: :in)

    outline.points.zip(inches.points).each { |mine, back| mine.zip(back).each { |a, b| assert_in_delta a, b, 0.002 } }
  end

  def test_a_bar_goes_through_end_on_and_must_be_long_enough_to_stay
    long = sheet(button: button(shape: "bar", attachment: "shank", diameter: mm(45), thickness: mm(12)))
    short = sheet(button: button(shape: "bar", attachment: "shank", diameter: mm(25), thickness: mm(12)))

    assert_in_delta 6 * Math::PI, long.plan.button.half_perimeter.to_f, 0.001
    assert_empty long.cut.cautions
    assert_equal ["bar"], short.cut.cautions.map(&:rule)
  end
end
