# frozen_string_literal: true

require_relative "../core_helper"

class MeasureTest < CoreTest
  def read(text, unit = :mm) = Typing::Notation.read(text, unit: unit, field: "button.diameter")

  def test_lengths_as_people_type_them
    { "18" => 18, "18mm" => 18, "1.8cm" => 18, "1,8 cm" => 18, "3/4" => 19.05r, "1 1/8\"" => 28.575r,
      "1-1/8 in" => 28.575r,
      "0.75in" => 19.05r, "28L" => 17.78r, "½" => 12.7r, "1½\"" => 38.1r, " 5 in. " => 127, ".5" => 0.5r, "18." => 18,
      "40 lignes" => 25.4r, "-3" => -3, "118/5" => 599.44r }.each do |text, millimetres|
      assert_equal millimetres, read(text).millimetres, text
    end
    assert_equal 25.4r, read("1", :in).millimetres
    assert_equal 10, read("1", :cm).millimetres
  end

  def test_what_is_no_length_is_refused_with_how_to_write_one
    ["", "abc", "NaN", "Infinity", "1e308", "3/0", "18/", "1 8", "18 furlongs", "1" * 40, "--3", "1.2.3"].each do |text|
      assert_match(said("notation.write_a_length_such"), refused { read(text) }.fetch("button.diameter"), text)
    end
  end

  def test_converting_back_and_forth_is_exact
    200.times do
      length = Length.new(Rational(random.rand(1..100_000), random.rand(1..64)))

      %i[mm cm in ligne].each { |unit| assert_equal length, Length.of(length.in(unit), unit) }
    end

    assert_equal Length.inches(1), Length.lignes(40)
  end

  def test_wording
    assert_equal "18 mm", mm(18).to_s
    assert_equal "17.78 mm", Length.lignes(28).to_s
    { 9r / 8 => "1 1/8 in", 3r / 4 => "3/4 in", 2 => "2 in", 0 => "0 in", -9r / 8 => "-1 1/8 in",
      7r / 10 => "11/16 in" }
      .each { |inches, text| assert_equal text, Wording.of(Length.inches(inches), :in) }
    assert_equal "1.8 cm", Wording.of(mm(18), :cm)
  end

  def test_rounding_up_never_rounds_down_and_adds_less_than_a_step
    300.times do
      length = random_mm(0.0..60.0, 0.013)
      RULERS.each_value do |ruler|
        added = ruler.up(length) - length

        refute_predicate added, :negative?
        assert_operator added, :<, ruler.step
        assert_equal 1, (ruler.up(length) / ruler.step).denominator
      end
    end
  end

  def test_several_readings
    steady = Typing::Readings.of([mm(18), mm(18.1), mm(18.2)])

    assert_equal ["18.1 mm", "0.2 mm", "18.2 mm", nil],
                 [steady.mean, steady.spread, steady.largest].map(&:to_s) + [steady.odd]
    assert_empty steady.cautions
    apart = Typing::Readings.of([mm(18), mm(18.9), mm(18.1), mm(18.1)])

    assert_equal 2, apart.odd
    assert_match(/0.9 mm apart; number 2/, apart.cautions.first.says.to_s)
    assert_equal mm(18), Typing::Readings.of([mm(18)]).mean
    assert_predicate Typing::Readings.of([mm(18), mm(18.3)]), :steady?
    100.times do
      lengths = Array.new(random.rand(1..9)) { random_mm(5.0..40.0) }
      found = Typing::Readings.of(lengths)

      assert found.mean.between?(found.smallest - mm(0.001r), found.largest + mm(0.001r))
      assert_equal found.steady?, found.odd.nil?
    end
  end

  def test_irrational_figures_are_never_understated
    assert_operator Length.at_least(Math::PI).to_f, :>=, Math::PI
    assert_in_delta Math::PI, Length.at_least(Math::PI).to_f, 0.001
  end

  def test_sentences_are_written_in_the_unit_of_whoever_reads
    said = Sentence["At most %s, 5 %% more.", Length.inches(3r / 4)]

    assert_equal "At most 19.05 mm, 5 % more.", said.in(:mm)
    assert_equal "At most 3/4 in, 5 % more.", said.in(:in)
    # Scissors are never short and never a mark too long; the length stays what it is.
    long = Tool::SCISSORS.at(mm(288))

    { Sentence["Cut %s.", long] => ["Cut 290 mm.", "Cut 11 1/2 in."], Tool::HAND_SPAN.at(mm(100)) => ["10 cm", "4 in"],
      Tool::CHALK_LINE.at(mm(15)) => ["15 mm", "5/8 in"] }.each do |told, both|
      assert_equal(both, %i[mm in].map { |unit| told.in(unit) })
    end
    assert_equal mm(288), long.length
    # Whatever a hand is told in inches lies on marks that a rule has, within half of the finest.
    200.times do
      length = mm(random.rand(1..4000)/100r)
      text = Wording.by_hand(length, :in)

      refute_includes text, "."
      assert_in_delta length.in(:in), text.start_with?("less") ? 0 : read(text, :in).in(:in), 1 / 63r, text
    end
  end
end
