# frozen_string_literal: true

require_relative "../app_helper"

# The table of fields, and what goes by it: reading, keeping, telling and presenting.
class FieldTest < AppTest
  def field(path) = Field.fetch(path)

  def test_each_kind_reads_what_a_person_types
    { ["button.diameter", "28L"] => Length.lignes(28), ["placket.count", " 7 "] => 7, ["placket.count", ""] => nil,
      ["recipe.tension", "3,5"] => 7r / 2, ["thread.tex", "27"] => 27r, ["button.shape", "ball"] => "ball",
      ["button.name", "  two\tin\none "] => "two in one", ["recipe.stabiliser", ""] => nil, ["button.name", ""] => "" }
      .each { |(path, typed), value| assert_equal [value], [field(path).read(typed, unit: :mm)], path }
  end

  def test_a_bare_number_is_in_the_persons_unit
    { mm: 18, cm: 180, in: 457.2r }.each { |unit, mm| assert_equal mm, field("button.diameter").read("18", unit: unit).millimetres }
  end

  def test_what_is_kept_comes_back_the_same
    outline = Outline.read("0 0, 20 0, 7 12.5", unit: :mm, field: "x")

    { "button.diameter" => Length.inches(63r / 64), "recipe.tension" => 13r / 4, "placket.count" => 7, "button.outline" => outline,
      "button.name" => "shell", "placket.first" => nil, "opening.correction" => Length.mm(-1.5) }.each do |path, value|
      assert_equal [value], [field(path).load(field(path).dump(value))], path
    end
    assert_equal(%w[18 0.5 100 0 -1.25 0.000001], [18r, 1 / 2r, 100r, 0r, -5 / 4r, 1 / 1_000_000r].map do |number|
      Field.decimal(number)
    end)
  end

  def test_every_field_has_its_column_and_a_beginning_that_can_be_read
    FIELDS.each do |path, one|
      assert_includes db[one.table].columns, one.column, path
      begin
        one.read(INITIAL[path], unit: :mm)
      rescue Refusal
        assert_equal "closure.name", path
      end
    end

    assert_empty INITIAL.keys - FIELDS.keys
    assert Form::NewClosure.document(name: "cuff", machine_id: 1).plan(Store::MachineReader.for(db).read(1, 1)).validate
  end

  def test_every_length_field_has_its_limits_and_its_check
    lengths = FIELDS.values.select { |one| one.kind == :length }

    assert_empty lengths.map(&:path) - Typing::Limits::LENGTHS.keys
    checks = db[:pg_constraint].where(contype: "c").select_map(:conname).map(&:to_s)

    lengths.each { |one| assert_includes checks, "#{one.column}_in_range" }
  end

  def test_a_summary_tells_what_changed_from_what_to_what
    before = Store::Closures.new(db, 1).find(SMOCK).document
    after = before.changed("button.diameter" => Length.mm(20), "placket.count" => 8).with(pins: [])

    assert_equal "button diameter: 18 mm → 20 mm; placket count: — → 8; placket pins", Store::Summary.of(before, after)
    assert_equal "", Store::Summary.of(before, before)
  end

  def test_presenting_in_the_persons_unit
    say = Presenter.new(:in)

    assert_equal({ mm: 19.05, text: "3/4 in" }, say.length(Length.mm(19.05)))
    assert_nil say.length(nil)
    assert_equal "At most 1 in.", say.words(Sentence["At most %s.", Length.inches(1)])
    assert_equal "3.5", say.field(7r / 2)
    assert_equal [{ field: "a.b", given: "1/2 in", allowed: "Less." }],
                 say.faults([Fault.new(field: "a.b", given: Length.inches(1r / 2), allowed: "Less.")])
  end
end
