# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/core_values"
require_relative "../support/closures"

# How it speaks at the machine: a headline is read at a glance, and what stands beside it is short.
class VoiceTest < AppTest
  # Words of a headline on average and at most, and of a step in all, as they are shown; cautions stand apart. What
  # single long sentences still take only goes down. No figure is folded away: the longest say several.
  MEAN = 7.7
  MOST = 12
  WHOLE = 72
  # Steps that are longer than they should be, of all.
  LONG_STEPS = 0.006
  # What nobody says at a sewing table.
  BANNED = /\b(?:datum|anew|carriage|swatch(?!es)|beads?|knots? tied|house habits|lamplight|underlap|stand-in|closures?|
            wished|toward)\b/ix

  def shown
    @shown ||= Support::Fixtures.new.plans(300).map { |plan| Support::Fixtures.new.sheet(**plan) }.flat_map do |sheet|
      present = Presenter.new(sheet.plan.unit.to_sym)
      (sheet.progress&.steps || []).map { |step| [step, View::StepWords.of(step, present), by_hand?(sheet, step)] }
    end
  end

  # A hole or a tack turned by hand is a procedure: all of its figures are said in their order, however long that is.
  def by_hand?(sheet, step)
    style = sheet.recipe.style.value
    %w[sew test-sew].include?(step.name) && (style.by_hand || style.stitched == :straight || style.round?)
  end

  # A figure with its unit is read as one, and so is a row of places.
  def count(text) = text.to_s.gsub(/(?<=\d) (?=(?:mm|cm|m|in)\b)/, "").gsub(/(?<=mm|in), (?=\d)/, ",").split.size

  def test_a_step_is_read_at_a_glance
    heads = shown.map { |_, words,| count(words[:does]) }
    wholes = shown.reject(&:last).map { |_, words,| count(words[:does]) + count(words[:how]) }

    assert_operator heads.sum / heads.size.to_f, :<=, MEAN
    assert_operator heads.max, :<=, MOST, shown.max_by { |_, words,| count(words[:does]) }[1][:does]
    assert_operator wholes.max, :<=, WHOLE, shown.max_by { |_, words|
      count(words[:does]) + count(words[:how])
    }.last.inspect
    assert_operator wholes.count { |words| words > 24 } / wholes.size.to_f, :<=, LONG_STEPS
  end

  # Nothing that a step says is lost by showing it in three parts.
  def test_the_parts_of_a_step_say_all_of_it
    shown.each do |step, words|
      present = Presenter.new(:mm)
      next unless step.operations.all? { |one| [one.says, *one.minds].all?(String) }

      whole = [step.does, step.how, step.symptom].compact.map { |text| present.words(text) }.join(" ")

      assert_equal whole.split, words.values.compact.join(" ").split, step.key
    end
  end

  def test_steps_speak_as_people_do
    said = shown.flat_map { |step, words| [*words.values.compact, step.part, *step.caution] }.uniq

    assert_empty said.grep(BANNED)
  end
end
