# frozen_string_literal: true

require "minitest/autorun"
require_relative "../../lib/nimble_eyelet"
require_relative "../support/core_values"
require_relative "../../app/store/skill_memory"
require_relative "../support/pupil"

# Four minutes before a session, with what is due first, against none, and against the same minutes at random.
class SkillMemoryTest < Minitest::Test
  include NimbleEyelet
  include CoreValues

  PUPILS = 60
  SESSIONS = 10
  START = Time.utc(2026, 1, 1)

  def exercises = @exercises ||= Rehearsal::Exercise.all(Simulation::PracticeWork.of(sheet)).reject(&:mishap)
  def skills = exercises.flat_map(&:skills).uniq

  # Slips of all pupils at their machine, when they practise so before each session.
  def slips(seed, &)
    random = Random.new(seed)
    (1..PUPILS).sum do
      pupil = Support::Pupil.new(skills, random)
      reviews = []
      day = 0
      (1..SESSIONS).sum do
        day += random.rand(20..120)
        practise(pupil, yield(reviews, day, random), day, reviews)
        # At the machine it is learned too, and what was sewn there is known.
        skills.count { |skill| reviewed(pupil, skill, day, reviews) == 1 }
      end
    end
  end

  def practise(pupil, exercises, day, reviews)
    exercises.each { |one| one.skills.each { |skill| reviewed(pupil, skill, day, reviews) } }
  end

  def reviewed(pupil, skill, day, reviews)
    rating = pupil.slips?(skill, day) ? 1 : 3
    reviews << Store::SkillReview.new(skill: skill, rating: rating, at: START + (day * 86_400))
    rating
  end

  def due(reviews, day, exercises = self.exercises)
    memory = Store::SkillMemory.new(reviews, now: START + (day * 86_400))
    chances = memory.known.to_h { |skill| [skill, memory.chance(skill)] }
    Rehearsal::Suggestion.of(exercises, chances)
  end

  # As many as go into the same minutes, in any order.
  def any(random, exercises = self.exercises)
    left = Rehearsal::Suggestion::MINUTES
    exercises.shuffle(random: random).select do |one|
      (left - one.minutes >= 0).tap do |able|
        left -= one.minutes if able
      end
    end
  end

  def test_what_is_due_halves_the_slips_of_a_session_and_beats_any_order
    none = slips(27) { [] }
    random = slips(27) { |_, _, chance| any(chance) }
    scheduled = slips(27) { |reviews, day, _| due(reviews, day) }

    assert_operator scheduled, :<=, none / 2, "#{scheduled} of #{none}"
    assert_operator scheduled, :<, random * 0.8, "#{scheduled} against #{random}"
  end

  Drill = Struct.new(:skills, :minutes, :mishap)

  # One skill a minute, so that nothing but the order counts.
  def test_the_schedule_itself_beats_any_order_of_the_same_drills
    drills = skills.map { |skill| Drill.new([skill], 1) }
    random = slips(3) { |_, _, chance| any(chance, drills) }
    scheduled = slips(3) { |reviews, day, _| due(reviews, day, drills) }

    assert_operator scheduled, :<, random * 0.97, "#{scheduled} against #{random}"
  end

  def test_a_suggestion_fits_its_minutes_and_leaves_out_what_is_known
    known = skills.to_h { |skill| [skill, 0.99] }

    assert_empty Rehearsal::Suggestion.of(exercises, known)
    chosen = Rehearsal::Suggestion.of(exercises, known.merge("back" => 0.1))

    assert_includes chosen.flat_map(&:skills), "back"
    (1..6).each do |minutes|
      assert_operator Rehearsal::Suggestion.of(exercises, {}, minutes: minutes).sum(&:minutes), :<=, minutes
    end
  end
end
