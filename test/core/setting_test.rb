# frozen_string_literal: true

require_relative "../core_helper"

# What the foot makes of an opening, openings that are no buttonholes, habits, and how to measure.
class SettingTest < CoreTest
  ENDS = Ends.new(near: Length.mm(1.25r), far: Length.mm(1.25r), near_finish: :tack, far_finish: :tack)

  def setting(foot, kind: "stepped", length: 23, correction: 0, on: {}, style: nil, **changes)
    Opening::Setting.of(foot: Foot.new(kind: foot, **changes), machine: machine(kind),
                        button: button(diameter: mm(18), **on), length: mm(length), ends: ENDS,
                        correction: mm(correction), style: style && Style.fetch(style))
  end

  def test_a_carriage_foot_is_not_known_before_it_was_measured
    usual = { allowance: mm(2), guessed: true }
    found = setting("carriage_foot", **usual)

    assert_equal [nil, mm(23), mm(3)], [found.gives, found.planned, found.opened], "it is opened by what is mostly missing"
    assert_equal [mm(22), mm(24)], found.expected
    ball = setting("carriage_foot", on: { shape: "ball", attachment: "shank" })

    assert_equal [nil, mm(28.5), [mm(29.5), mm(31.5)]], [ball.gives, ball.figure, ball.expected], "as long as what goes through"
    assert_equal ["thickness", "not measured"],
                 setting("carriage_foot", **usual, on: { thickness: mm(5) }).cautions.map(&:rule)
    assert_equal(["carriage"], setting("carriage_foot", largest_button: mm(17)).cautions.map(&:rule))
  end

  def test_a_measured_carriage_foot_is_opened_further_by_at_most_four_millimetres
    clicked = setting("carriage_foot", allowance: mm(2), click: mm(0.8))

    assert_equal [4, mm(3.2), mm(23.2), mm(23.2)], [clicked.clicks, clicked.opened, clicked.gives, clicked.stops]
    assert_predicate clicked, :differs?
    plain = setting("carriage_foot", allowance: mm(2))

    assert_equal [0, mm(3), mm(23)], [plain.clicks, plain.opened, plain.gives]
    assert_equal "Put the button in the foot. Then open the foot 3 mm more: 23 mm between the stops, by ruler.", plain.says.in(:mm)
    # What no ruler shows is not said.
    assert_equal "Put the button in the foot. Then open it to 20 mm between the stops, by ruler.",
                 setting("carriage_foot", allowance: mm(2), length: 20, on: { diameter: mm(17.6r) }).says.in(:mm)
    assert_equal "Put the button in the foot and leave it there. Between the stops: 23 mm.",
                 setting("carriage_foot", allowance: mm(5)).says.in(:mm)
    # Too far, too long already, or a ball: a flat stand-in of the right length.
    [setting("carriage_foot", allowance: mm(1), length: 25), setting("carriage_foot", allowance: mm(9)),
     setting("carriage_foot", allowance: mm(2), on: { shape: "ball", attachment: "shank" })].each do |stand_in|
      assert_equal "the card", stand_in.clamped
      assert_equal stand_in.wanted, stand_in.gives
    end
    # The largest it takes holds for what it is opened further, too.
    assert_equal(["carriage"], setting("carriage_foot", allowance: mm(2), largest_button: mm(20)).cautions.map(&:rule))
  end

  def test_a_scale_is_stopped_between_its_marks_and_gives_what_is_wanted
    assert_equal "Stop 0.5 mm past the 25 mm mark. The marks of this foot count the overall length.",
                 setting("sliding_scale_foot").says.in(:in)
    assert_equal([mm(23), mm(23)], setting("sliding_scale_foot", scale_reads: "opening").then do |found|
      [found.figure, found.gives]
    end)
    inches = setting("sliding_scale_foot", length: 19.05, scale_pitch: Length.inches(1r / 8), scale_reads: "opening")

    assert_includes inches.says.in(:mm), "at the 3/4 in mark"
    100.times do |step|
      (5 + (step/3r)).then do |length|
        assert_equal mm(length), setting("sliding_scale_foot", length: length).gives
      end
    end
  end

  def test_a_correction_changes_what_is_set_and_never_what_is_wanted
    [%w[sliding_scale_foot stepped], %w[sliding_scale_foot memory]].each do |foot, kind|
      plain = setting(foot, kind: kind)
      more = setting(foot, kind: kind, correction: 1.5)

      assert_equal [mm(1.5), plain.gives, plain.wanted], [more.figure - plain.figure, more.gives, more.wanted], kind
    end
    # What is drawn is what is stitched and cut, whatever is set beyond.
    by_lines = setting("general_zigzag_foot", kind: "plain", correction: 1.5)

    assert_equal [by_lines.figure, by_lines.figure, by_lines.wanted + mm(1.5)],
                 [by_lines.gives, by_lines.planned, by_lines.set]
    assert_equal sheet.cut.length, sheet(opening: wish(correction: mm(2))).cut.length
    assert_equal sheet.layout.holes, sheet(opening: wish(correction: mm(2))).layout.holes
  end

  def test_a_box_and_a_hole_by_hand_are_drawn_whatever_the_machine_stores
    %w[straight_box manual_zigzag].each do |style|
      assert_equal "lines", setting("cording_foot", kind: "memory", style: style).by.key
    end
    assert_equal "round", setting("cording_foot", kind: "memory", style: "eyelet").by.key
  end

  def test_every_other_way_says_whether_it_means_the_opening
    assert_equal "key", setting("sliding_scale_foot", kind: "memory").by.key
    assert_includes setting("cording_foot", kind: "memory").says.in(:mm), "a line 23 mm from the start"
    assert_includes setting("general_zigzag_foot").says.in(:in), "in apart. The ends go outside"
  end

  def test_every_habit_begins_with_one_of_its_options_and_says_for_and_against
    HABITS.each_value do |habit|
      assert habit.begins.nil? || habit.option(habit.begins), habit.path
      ([habit] + habit.options).each do |item|
        refute_empty item.against.to_s unless item == habit && habit.options.any?
      end
    end

    assert_equal mm(2),
                 Opening::Question.new(button: button, cloth: cloth, sizing: wish(ease: mm(2)), foot: nil, passing: nil).ease
  end

  def test_every_shape_says_how_to_measure_it_in_the_order_of_its_fields
    BUTTON_SHAPES.each_key do |shape|
      %w[two_holes shank].each do |attachment|
        asked = Buttons.measuring(button(shape: shape, attachment: attachment)).map(&:what)
        form = ButtonShape.fetch(shape)

        assert_equal form.measured?(:outline) ? "outline" : "diameter", asked.first, shape
        form.measured.each { |what| assert_includes asked, what.to_s }
        assert_equal attachment == "two_holes" && form.fastens, asked.include?("hole_spacing")
      end
    end
  end

  def test_a_machine_must_be_one_that_can_be
    assert machine.validate
    assert_equal ["machine.kind"], refused { machine(max_width: mm(0)).validate }.keys
    assert machine("plain", max_width: mm(0)).validate
    assert_equal ["machine.width_step"], refused { machine("plain", max_width: mm(1), width_step: mm(2)).validate }.keys
    assert_equal %w[machine.top_speed foot.click],
                 refused {
                   machine(top_speed: 5000, feet: [Foot.new(kind: "carriage_foot", click: mm(9))]).validate
                 }.keys
  end

  def test_every_colour_of_the_box_can_be_told_from_its_edge_and_from_the_others
    bright = ->(ink) { ink.scan(/\h\h/).sum { |part| part.to_i(16) } }
    Buttons::COLOURS.each_value do |colour|
      [colour.ink, colour.rim].each { |ink| assert_match(/\A#\h{6}\z/, ink) }

      assert_operator bright.call(colour.ink) - bright.call(colour.rim), :>, 60, colour.name
    end
    picked = Buttons.colour(Buttons.colour_said("#2E7D6B "))

    assert_equal ["#2e7d6b", "#19453b", nil], [picked.ink, picked.rim, Buttons.colour_said("#2e7d")]

    assert_equal Buttons::COLOURS.size, Buttons::COLOURS.values.map(&:ink).uniq.size
  end

  def test_sentences_follow_each_other_in_the_unit_of_whoever_reads
    both = Sentence.list([Sentence["Move it to %s.", mm(25.4r)], Sentence["Take %s off.", mm(12.7r)]])

    assert_equal "Move it to 1 in. Take 1/2 in off.", both.in(:in)
    assert_equal "Move it to 25.4 mm. Take 12.7 mm off.", both.in(:mm)
    assert_equal "", Sentence.list([]).in(:mm)
  end

  def test_no_two_answers_to_a_habit_are_called_alike
    HABITS.each_value do |habit|
      assert_equal habit.options.size, habit.options.map { |option|
        option.name.to_s
      }.uniq.size, habit.path
    end
  end

  # Nobody stops nearer than half a millimetre: a place just past a mark is at it, one just before the next is at that.
  def test_a_place_of_a_scale_is_said_as_somebody_can_stop_there
    foot = Foot.new(kind: "sliding_scale_foot")
    said = ->(place) { Opening::Setting.between(mm(place), foot) }

    assert_equal ["at the 20 mm mark", "1.5 mm past the 20 mm mark", "at the 25 mm mark"], [20.2, 21.55, 24.8].map(&said)
    inches = Foot.new(kind: "sliding_scale_foot", scale_pitch: Length.inches(1r / 4))

    assert_equal "at the 1 in mark", Opening::Setting.between(Length.inches(1.01r), inches)
  end
end
