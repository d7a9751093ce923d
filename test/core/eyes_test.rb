# frozen_string_literal: true

require_relative "../core_helper"

# Test holes with hidden faults: the truth is what was put in, it is drawn, and the advice on such a hole mends it.
class EyesTest < CoreTest
  SEEDS = 60

  def sheets = @sheets ||= MACHINE_KINDS.keys.first(3).map { |kind| sheet(machine: machine(kind)) }

  def each_sample(seeds = SEEDS)
    sheets.each do |sheet|
      eyes = Rehearsal::Eyes.new(sheet)
      seeds.times { |seed| (0..Rehearsal::Eyes::HARDEST).each { |level| yield eyes, eyes.sample(seed: seed, level: level), level } }
    end
  end

  def test_the_truth_is_what_was_hidden_and_nothing_else
    counts = Hash.new(0)
    each_sample do |_, sample, level|
      hidden = sample.faults.flat_map { |fault| fault.looks.keys }

      sample.looks.each do |key, grade|
        look = Swatches::LOOKS.fetch(key)

        assert_equal hidden.include?(key), !look.right.cover?(look.place(grade).begin), "#{key} #{grade}"
      end
      assert_empty sample.misjudged(sample.looks)
      assert sample.right?(sample.faults.first&.change || "nothing")
      assert_includes (level >= Rehearsal::Eyes::TWO_FROM ? [0, 2] : [0, 1]), sample.faults.size
      sample.faults.each { |fault| counts[fault.key] += 1 }
    end

    assert_equal Rehearsal::EYE_FAULTS.map(&:key).sort, counts.keys.sort
  end

  # Closer stitches where it is crowded, farther apart where it gapes, and the sides as far apart as they look.
  def test_what_is_hidden_is_drawn
    each_sample do |eyes, sample, _|
      same = eyes.sample(seed: 1, level: 0)

      assert_equal same, eyes.sample(seed: 1, level: 0)
      ends, sides = sample.covers.zip(sample.lines).partition { |_, line| line.size < 12 }
      beads = sides.map(&:first)
      aim = ends.first.first
      keys = sample.faults.map(&:key)

      assert(beads.all? { |cover| cover < aim * 0.9 }, keys.inspect) if keys.include?("gappy")
      assert(beads.all? { |cover| cover > aim * 1.1 }, "#{sample.covers} #{sample.looks}") if keys.include?("crowded")
      assert_operator sample.bobbin, :>, 0.2 if keys.include?("bobbin_up")
      assert_operator sample.loops, :>, 0.2 if keys.include?("loops")
    end
  end

  def test_what_somebody_misses_is_named_and_rated
    each_sample(10) do |_, sample, _|
      seen = sample.looks.merge("tension" => "even", "space" => "room")
      missed = sample.faults.flat_map { |fault| fault.looks.keys } & %w[tension space]

      assert_equal missed.sort, sample.misjudged(seen).sort
      rated = sample.ratings(seen, "balance")

      missed.each { |key| assert_equal Rehearsal::Attempt::MISSED, rated.fetch(Rehearsal::EYE_SKILLS.fetch(key)) }
      expected = sample.right?("balance") ? Rehearsal::Attempt::GOOD : Rehearsal::Attempt::MISSED

      assert_equal expected, rated.fetch("eye-change")
    end
  end

  # The tool holds to what it teaches, where it does not want another look first.
  def test_the_advice_on_such_a_hole_is_one_of_the_changes_that_mend_it
    told = sheets.flat_map do |sheet|
      eyes = Rehearsal::Eyes.new(sheet)
      (0...25).filter_map do |seed|
        sample = eyes.sample(seed: seed, level: seed % 3)
        next if sample.faults.empty?

        [sample.faults.map(&:axis), eyes.advice(sample)&.axis&.to_sym]
      end
    end
    agreed = told.count { |axes, advice| advice.nil? || axes.include?(advice) }

    assert_operator agreed, :>=, told.size * 0.9, told.reject { |axes, advice| axes.include?(advice) }.inspect
  end
end
