# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../../app/field/field_papers"
require_relative "../support/core_values"
require_relative "../support/closures"

# The table of fields, and what goes by it: reading, keeping, telling and presenting.
class FieldTest < AppTest
  def field(path) = ClosureFields.fetch(path)

  def test_each_kind_reads_what_a_person_types
    { ["button.diameter", "28L"] => Length.lignes(28), ["placket.count", " 7 "] => 7, ["placket.count", ""] => nil,
      ["recipe.tension", "3,5"] => 7r / 2, ["thread.tex", "27"] => 27r, ["button.shape", "ball"] => "ball",
      ["button.name", "  two\tin\none "] => "two in one", ["recipe.stabiliser", ""] => nil, ["button.name", ""] => "" }
      .each { |(path, typed), value| assert_equal [value], [field(path).read(typed, unit: :mm)], path }
  end

  def test_a_bare_number_is_in_the_persons_unit
    { mm: 18, cm: 180, in: 457.2r }.each do |unit, mm|
      assert_equal mm, field("button.diameter").read("18", unit: unit).millimetres
    end
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

  def test_every_field_has_its_column_a_label_and_a_beginning_that_can_be_read
    assert_equal Plan::PATHS.sort, ClosureFields::BY_PATH.keys.sort
    ClosureFields::ALL.each do |one|
      assert_includes db[:closures].columns, one.column, one.path
      refute_empty one.label
      one.begun unless one.path == "closure.name"
    end
    blank = Form::ClosureForm.new(:mm).blank(name: "cuff", machine: workroom.machines.one(1))

    assert blank.in(House.usual).validate
    assert_equal HABITS.keys.sort, ClosureFields::ALL.select(&:habit).map(&:path).sort
  end

  def test_every_figure_has_its_limits_here_and_in_the_database
    figures = ClosureFields::ALL.select { |one| %i[length whole decimal tex].include?(one.kind) }
    checks = db[:pg_constraint].where(contype: "c").select_map(:conname).map(&:to_s)

    figures.each do |one|
      assert one.limit, one.path
      assert_includes checks, "#{one.column.to_s.sub(/_(g_m2|percent)\z/, '')}_in_range"
    end
  end

  # What follows from the table stands in the papers: bin/fields writes it there.
  def test_the_papers_say_what_the_table_says
    root = File.expand_path("../..", __dir__)
    read = ->(file) { File.read(File.join(root, file)) }

    assert_equal FieldPapers.interface(read[FieldPapers::INTERFACE]), read[FieldPapers::INTERFACE], "run bin/fields"
    assert_equal FieldPapers.garment(read[FieldPapers::GARMENT]), read[FieldPapers::GARMENT], "run bin/fields"
  end

  # What no screen offers would be asked for in vain.
  def test_every_field_has_a_control
    root = File.expand_path("../..", __dir__)
    screens = Dir["#{root}/web/src/**/*.{svelte,ts}"].reject { |file| file.end_with?(".d.ts") }.map { |file| File.read(file) }.join
    # Each setting of the recipe is overruled where it is shown.
    overruled = closure["sheet"]["recipe"]["settings"].map { |setting| "\"#{setting['field']}\"" }.join
    # A station asks by itself about the habits of its section.
    asked = screens.scan(/<Habits [^>]*section="(\w+)"/).flatten
    by_itself = ClosureFields::ALL.select do |field|
      field.habit && asked.include?(field.path.split(".").first)
    end.map(&:path)
    missing = ClosureFields::ALL.map(&:path).reject { |path| (screens + overruled).match?(/["'`]#{Regexp.escape(path)}["'`]/) } - by_itself

    assert_empty missing, "no control on any screen: #{missing.join(', ')}"
  end

  # What people call a thing, and the unit they read, change no answer but words.
  ONLY_SAID = %w[closure.name closure.unit button.name button.colour cloth.name thread.name].freeze
  # What waits for a test hole: test/core/schools_test.rb shows what changes with it.
  OF_A_TEST_HOLE = %w[recipe.first_hole recipe.thin_cover].freeze

  # What no answer changes with would be asked for in vain as well.
  def test_some_answer_changes_with_every_field
    idle = asked.reject { |path| changes_something?(path) }

    assert_empty idle, "no answer changes with: #{idle.join(', ')}"
  end

  def asked = ClosureFields::ALL.map(&:path) - ONLY_SAID - OF_A_TEST_HOLE

  def changes_something?(path)
    plans.any? { |plan| others(path, plan).any? { |value| otherwise?(plan, path, value) } }
  end

  # A closure of the sample, some that are asked for more, and some by chance.
  def plans
    @plans ||= begin
      made = Support::Fixtures.new
      outline = Outline.read("0 0, 20 0, 7 12.5", unit: :mm, field: "button.outline")
      tacks = { button: made.button(shape: "bar_tack", diameter: made.mm(12)),
                machine: made.machine("memory", tack_length: made.mm(12), styles: %w[two_tacks bar_tack]) }
      rows = { placket: made.run_of(rows: "double", extension: made.mm(30)) }
      asked = [{ button: made.button(shape: "polygon", outline: outline) }, rows, tacks]
      [Store::Closures.new(workroom).find(SMOCK).plan] + (asked + made.plans(40)).map { |plan| made.plan(**plan) }
    end
  end

  def others(path, plan)
    field = field(path)
    now = plan.at(path)
    found = case field.kind
            when :choice, :named then field.choices.keys
            when :flag then [true, false]
            when :outline then [Outline.read("0 0, 30 0, 9 20", unit: :mm, field: path)]
            when :text then %w[12 half]
            when :length then [1, 3, 9, 40].flat_map { |mm| [Length.mm(mm), now && (now + Length.mm(mm))] }
            else [1, 2, 5, 60].flat_map { |number| [number, now && (now + number)] }
            end
    found.compact - [now]
  end

  def otherwise?(plan, path, value) = answers(plan.changed(path => value)) != answers(plan)

  # Everything that is said of a plan.
  def answers(plan)
    (@answers ||= {})[plan] ||= begin
      sheet = Sheet.of(plan.in(House.usual).validate, Sewing::Facts.none)
      "#{View::ClosureView::VIEWS.transform_values { |view| view.of(sheet, Presenter.new(:mm)) }} #{strip(sheet)}"
    end
  rescue Refusal
    (@answers ||= {})[plan] = nil
  end

  def strip(sheet)
    Document::StripSvg.new(Document::Strip.new(sheet, Presenter.new(:mm), garment: "smock"), "smock").render if sheet.layout
  end

  def test_what_changed_is_told_from_what_to_what
    before = Store::Closures.new(workroom).find(SMOCK).plan
    after = before.changed("button.diameter" => Length.mm(20), "placket.count" => 8, "placket.pins" => [])
    writer = Store::ClosureWriter.new(workroom.scope)
    changes = after.changes_since(before).map { |change| writer.send(:dump, change) }

    assert_equal "diameter 18 → 20 mm; how many — → 8; 1 more", View::RevisionView.words(changes, Presenter.new(:mm))
    assert_equal "diameter 45/64 → 25/32 in",
                 View::RevisionView.words([{ "path" => "button.diameter", "from" => "17.859375", "to" => "19.84375" }],
                                          Presenter.new(:in))
    assert_equal "", View::RevisionView.words([], Presenter.new(:mm))
  end

  # What was chosen goes by the name it had in the list, never by the word it is kept as.
  def test_a_choice_is_told_by_its_name
    say = ->(path, *pair) { View::RevisionView.words([{ "path" => path, "from" => pair[0], "to" => pair[1] }], Presenter.new(:mm)) }

    assert_equal "#{ClosureFields.fetch('placket.edge').label} 10 → 13 mm", say["placket.edge", "ten", "thirteen"]
    assert_equal "#{ClosureFields.fetch('attach.pattern').label} two parallel bars → an arrow", say["attach.pattern", "two_bars", "arrow"]
    assert_equal "lengths in millimetres → inches", say["closure.unit", "mm", "in"]
    ClosureFields::ALL.select(&:choices).each do |field|
      told = say[field.path, *field.choices.keys.values_at(0, -1)]

      assert_equal 1, told.count("→"), field.path
      refute_match(/_/, told, field.path)
    end
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
