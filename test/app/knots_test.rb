# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/older_figures"

# A knot is only as good as what it was tied from: whatever a person would see or do otherwise by now, the
# knot of that stage says so. Held against what is shown, not against what the stages say they read.
class KnotsTest < AppTest
  # What a person acts on at each stage, as it stands on the screen.
  ACTED_ON = {
    "cloth" => ->(shown) { shown["plan"].select { |path, _| path.match?(/\A(cloth|thread)\.(?!name)|\Amachine/) } },
    "button" => ->(shown) { shown["sheet"]["button"].values_at("largest", "half_perimeter") },
    "opening" => ->(shown) { shown["sheet"]["opening"].values_at("length", "overall") },
    "placket" => ->(shown) { shown["sheet"]["placket"]["holes"].map { |hole| hole.values_at("at", "lies", "edge") } },
    "recipe" => ->(shown) { shown["sheet"]["recipe"]["settings"].map { |line| line.values_at("label", "text") } },
    "attach" => ->(shown) { shown["sheet"]["attach"].values_at("by_machine", "width", "pattern", "stitches", "shank") },
    "print" => ->(shown) { shown["sheet"]["placket"]["holes"].map { |hole| hole.values_at("open_from", "open_to", "button") } }
  }.freeze

  def another(field, now)
    case field.kind
    when :length then if now&.dig("mm")
                        "#{now['mm'] + (field.dial ? 0.5 : 1.5)}mm"
                      else
                        "20mm"
                      end
    when :whole then (now.to_i + 1).to_s
    when :decimal then (now.to_f + 0.5).to_s
    when :tex then "40"
    when :choice then (field.choices.keys - [now]).first
    end
  end

  # What would be shown of a plan changed like this, where it can be so.
  def shown_with(changes)
    found = Store::Closures.new(workroom).find(1)
    changed = found.with(plan: Form::ClosureForm.new(:mm).apply(changes.transform_keys(&:to_s), found.plan))
    sheet = changed.sheet_of(changed.plan)
    JSON.parse(JSON.generate(View::ClosureView.of(changed, Presenter.new(:mm), sheet: sheet))) if sheet.layout
  rescue Refusal
    nil
  end

  def states(shown) = shown["sheet"]["stages"].to_h { |stage| [stage["word"], stage] }

  def test_whatever_changes_what_is_acted_on_unties_that_stage_and_says_from_what_to_what
    STAGES.each_key { |word| act(:put, "settled/#{word}") }
    before = closure
    seen = Hash.new(0)
    ClosureFields::ALL.each do |field|
      value = another(field, before["plan"][field.path]) or next
      after = shown_with(field.path => value) or next

      ACTED_ON.each do |word, read|
        next if read.call(before) == read.call(after)

        stage = states(after)[word] or next

        seen[word] += 1

        assert_equal "stale", stage["state"], "#{field.path} to #{value} changes #{word}"
        assert_match(/ was .+, now .+|: /, stage["changes"].join("; "), field.path) unless stage["changes"].empty?

        refute_empty stage["changes"], "#{field.path}: #{word} says what became otherwise"
      end
    end

    assert_empty ACTED_ON.keys - seen.keys, "each was changed by something"
  end

  def test_what_changes_nothing_unties_nothing
    STAGES.each_key { |word| act(:put, "settled/#{word}") }
    before = states(closure)
    after = save({ button: { name: "horn disc of the moor" }, cloth: { name: "linen of the moor" } })

    assert_equal(before.transform_values { |stage| stage["state"] }, states(after).transform_values { |stage| stage["state"] })
    { "18 mm" => "button.diameter", "0.35mm" => "cloth.thickness" }.each { |same, path| save({ path => same }) }

    assert_equal ["tied"], states(closure).values.map { |stage| stage["state"] }.uniq
  end

  # What an earlier version settled, it kept by name: that is no other answer.
  def test_a_stage_settled_by_name_is_settled_still
    STAGES.each_key { |word| act(:put, "settled/#{word}") }
    kept = JSON.parse(db[:closures].where(id: SMOCK).get(Sequel.lit("settled::text")))
    by_name = kept.transform_values do |figures|
      Support::OlderFigures.of(figures)
    end

    assert_operator by_name.values.sum(&:size) - kept.sum { |word, figures|
      (figures.to_a & by_name[word].to_a).size
    }, :>, 6
    db[:closures].where(id: SMOCK).update(settled: Sequel.pg_jsonb(by_name))

    assert_equal ["tied"], states(closure).values.map { |stage| stage["state"] }.uniq
    said = states(save({ recipe: { style: "round_end" } }))["recipe"]["changes"].join("; ")

    assert_match(/was rectangular, two bar tacks, now one round end/, said)
  end

  # Undone, everything is as it was tied.
  def test_a_change_undone_ties_the_knots_again
    STAGES.each_key { |word| act(:put, "settled/#{word}") }
    save({ button: { diameter: "21" } })

    assert_includes states(closure).values.map { |stage| stage["state"] }, "stale"
    act(:post, "undo")

    assert_equal ["tied"], states(closure).values.map { |stage| stage["state"] }.uniq
  end
end
