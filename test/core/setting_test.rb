# frozen_string_literal: true

require_relative "../core_helper"

# What the foot makes of an opening, openings that are no buttonholes, habits, and how to measure.
class SettingTest < CoreTest
  ENDS = Ends.new(near: Length.mm(1.25r), far: Length.mm(1.25r), near_name: "bar tack", far_name: "bar tack")

  def setting(foot, kind: "stepped", length: 23, **changes)
    Opening::Setting.of(foot: Foot.new(kind: foot, **changes), machine: machine(kind), button: button(diameter: mm(18)),
                        length: mm(length),
                        ends: ENDS)
  end

  def test_a_carriage_foot_is_opened_click_by_click_until_the_opening_is_reached
    found = setting("carriage_foot", allowance: mm(2))

    assert_equal 6, found.clicks, "18 and 2 by itself, then 6 half millimetres"
    assert_equal mm(23), found.gives
    assert_equal "Clamp the foot on 18 mm, then open it by 6 clicks of 0.5 mm.", found.says.in(:mm)
    assert_empty found.cautions
    leave = setting("carriage_foot", allowance: mm(9))

    assert_equal [0, "foot"], [leave.clicks, leave.cautions.first.rule]
    assert_equal "Clamp a flat stand-in 14 mm wide instead.", leave.cautions.first.instead.in(:mm)
    assert_equal(["carriage"], setting("carriage_foot", largest_button: mm(17)).cautions.map(&:rule))
  end

  def test_a_scale_counts_what_that_foot_counts_and_is_read_at_the_mark_above
    overall = setting("sliding_scale_foot", scale_pitch: mm(5))

    assert_equal [mm(30), mm(27.5r)], [overall.figure, overall.gives], "23 and 2.5 of tacks come to 25.5; the mark above is 30"
    opening = setting("sliding_scale_foot", scale_pitch: mm(1), scale_reads: "opening")

    assert_equal [mm(23), mm(23)], [opening.figure, opening.gives]
    200.times do |step|
      found = setting("sliding_scale_foot", length: 5 + (step/3r), scale_pitch: mm(1 + (step % 7)))

      assert_operator found.gives, :>=, mm(5 + (step/3r))
      assert_operator found.gives, :<, mm(5 + (step/3r)) + found.pitch
    end
  end

  def test_every_other_way_says_whether_it_means_the_opening
    assert_equal "key", setting("sliding_scale_foot", kind: "memory").by.key
    assert_includes setting("cording_foot", kind: "memory").says.in(:mm), "23 mm long: the opening, without its ends"
    assert_includes setting("general_zigzag_foot").says.in(:in), "in apart for the opening; the ends are sewn outside"
    sheet.settings.each_value { |found| assert_operator found.gives, :>=, sheet.cut.answers.map(&:length).min }
  end

  def test_a_row_for_a_ribbon_has_equal_steps_and_an_even_number
    row = Placket::NonButtonRow.of("row", span: mm(400), count: 9, opening: mm(12), ruler: Ruler.fetch("millimetre"))

    assert_equal [10, mm(44)], [row.count, row.pitch]
    assert_equal [mm(44)], row.places.each_cons(2).map { |upper, lower| lower - upper }.uniq
    assert_operator row.places.last, :<=, mm(400)
    assert_includes row.because.map { |reason| reason.says.to_s }.join, "10 instead of 9"
    pair = Placket::NonButtonRow.of("pair", span: mm(30), count: nil, opening: mm(6), ruler: Ruler.fetch("half_millimetre"))

    assert_equal [mm(0), mm(30)], pair.places
  end

  def test_a_row_that_cannot_be_is_refused_at_its_field
    row = lambda do |**asked|
      refused { Placket::NonButtonRow.of("row", opening: mm(12), ruler: Ruler.fetch("millimetre"), span: mm(400), count: 6, **asked) }
    end

    assert_equal ["plain.span"], row.call(span: mm(60)).keys
    assert_equal ["plain.span"], row.call(span: nil).keys
    [nil, 0, 1, 201].each { |count| assert_equal ["plain.count"], row.call(count: count).keys }
  end

  def test_every_habit_begins_with_one_of_its_options_and_says_for_and_against
    HABITS.each_value do |habit|
      assert habit.begins.nil? || habit.option(habit.begins), habit.path
      ([habit] + habit.options).each { |item| refute_empty item.against.to_s unless item == habit && habit.options.any? }
    end

    assert_equal mm(2), Opening::Question.new(button: button, cloth: cloth, sizing: wish(ease: mm(2)), foot: nil).ease
  end

  def test_every_shape_says_how_to_measure_it_in_the_order_of_its_fields
    BUTTON_SHAPES.each_key do |shape|
      %w[two_holes shank].each do |attachment|
        asked = Buttons.measuring(button(shape: shape, attachment: attachment)).map(&:what)
        form = ButtonShape.fetch(shape)

        assert_equal form.measured?(:outline) ? "outline" : "diameter", asked.first, shape
        form.measured.each { |what| assert_includes asked, what.to_s }
        assert_equal attachment == "two_holes", asked.include?("hole_spacing")
      end
    end
  end

  def test_a_machine_must_be_one_that_can_be
    assert machine.validate
    assert_equal ["machine.kind"], refused { machine(max_width: mm(0)).validate }.keys
    assert machine("plain", max_width: mm(0)).validate
    assert_equal ["machine.width_step"], refused { machine("plain", max_width: mm(1), width_step: mm(2)).validate }.keys
    assert_equal %w[machine.top_speed foot.click],
                 refused { machine(top_speed: 5000, feet: [Foot.new(kind: "carriage_foot", click: mm(9))]).validate }.keys
  end

  def test_every_colour_of_the_box_can_be_told_from_its_edge_and_from_the_others
    bright = ->(ink) { ink.scan(/\h\h/).sum { |part| part.to_i(16) } }
    Buttons::COLOURS.each_value do |colour|
      [colour.ink, colour.rim].each { |ink| assert_match(/\A#\h{6}\z/, ink) }

      assert_operator bright.call(colour.ink) - bright.call(colour.rim), :>, 60, colour.name
    end

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
end
