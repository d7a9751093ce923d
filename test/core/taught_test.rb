# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/other_machines"
require_relative "../support/taught"

# What somebody comes to who does only what the tool says, on machines nobody knows. bin/bench has the same on many
# more.
class TaughtTest < CoreTest
  MANY = Support::ManyMachines

  def self.runs = @runs ||= MANY.sewn(60, seed: SEED)
  def runs = self.class.runs
  def hopeful(runs) = runs.reject(&:hopeless)

  # Never a circle, never "change nothing" with something wrong, never from the same to the same: the runs raise.
  def test_doing_only_what_is_said_leads_to_a_good_hole_soon
    found = hopeful(runs)
    accepted = found.map(&:first).select { |one| one.ended == :accepted }

    assert_operator MANY.within(found, 3), :>=, 0.8
    assert_operator MANY.within(found, 4), :>=, 0.88
    assert_empty(found.select { |run| run.first.holes > 8 }.map { |run| run.first.ended }.uniq - %i[between])
    assert_operator accepted.sum(&:right) / accepted.size, :>=, 0.75
    assert_operator runs.sum { |run| run.first.holes }, :<=, runs.sum(&:table) * 0.7
    # The second closure on the same machine begins where the first ended.
    seconds = found.filter_map(&:second)

    assert_operator seconds.count { |one| one.ended == :accepted && one.holes == 1 } / seconds.size.to_f, :>=, 0.65
  end

  def test_a_truth_nobody_would_have_expected_is_reached
    assert_operator MANY.within(hopeful(MANY.sewn(16, seed: SEED, far: :offset)), 6), :>=, 0.9
  end

  # Real plans on machines that share nothing with the beliefs, one of every kind and fabric.
  def test_machines_that_know_nothing_of_the_beliefs_come_to_a_good_hole
    found = Array.new(12) { |number| Support::OtherMachines.run(number) }.compact

    assert_operator found.count { |run| run.ended == :accepted && run.holes <= 4 }, :>=, found.size * 3 / 4
    assert_operator found.sum(&:holes), :<=, found.sum(&:table)
    rows = found.filter_map(&:sewn)

    assert_equal 0, rows.sum(&:moved), "no length moved untold"
    assert_operator rows.count(&:near), :>=, rows.size - 1, "what stands is right to the eye, unless somebody was careless"
    assert_operator rows.sum(&:spoiled), :<=, rows.size * 2
  end

  # Where it says so and so many in twenty, it comes true about as often.
  def test_what_is_said_of_a_row_comes_true
    accepted = runs.flat_map { |run| [run.first, run.second] }.compact.select { |one| one.ended == :accepted }

    assert_in_delta accepted.sum(&:row) / accepted.size, accepted.sum(&:rows) / accepted.size, 0.1
  end

  # What is believed is what a plain sum over finer steps gives.
  def test_the_grids_agree_with_sums_by_hand
    band = Belief::Band.prior(middle: -1.0, deviation: 0.66).after(at: -1.0, seen: 3..3)
    places = Belief::Band::BAND_PLACES
    prior = ->(m) { (0.95 * Belief::Normal.density(m, 0.66)) + (0.05 * Belief::Normal.density(m, 2.0)) }
    cells = places.product([0.6, 0.9, 1.2].zip([0.25, 0.5, 0.25]),
                           [0.15, 0.3].zip([0.65, 0.35])).map do |m, (half, p), (noise, q)|
      spread = Math.sqrt((noise**2) + (0.15**2))
      seen = Belief::Normal.below((half + 0.7 + m) / spread) - Belief::Normal.below((half + m) / spread)
      right = Belief::Normal.below((half + 0.5 + m) / noise) - Belief::Normal.below((-half + 0.5 + m) / noise)
      [prior.call(m) * p * q * ((0.97 * seen) + (0.03 / 5)), right]
    end
    all = cells.sum(&:first)

    assert_in_delta cells.sum { |weight, right| weight * (right**5) } / all, band.chance(-1.5, holes: 5), 1e-9
    assert_in_delta 1, band.weights.sum, 1e-9
  end

  # Offsets of closures on one machine and foot are pooled: the closed form is the normal conditioned by hand.
  def test_offsets_are_pooled_over_closures
    one = OffsetEvidence.new(structure: "knit", set: 20.0, added: [1.5])
    found = Offset.of([one], structure: "knit", set: 20.0)
    shared = (1.2**2) + (0.4**2)
    variance = shared + (0.2**2) + (0.4**2) + (0.25**2)

    assert_in_delta shared / variance * 1.5, found.means[1], 1e-9
    assert_in_delta shared + (0.2**2) - ((shared**2) / variance), found.deviations[1]**2, 1e-9
    other = Offset.of([one], structure: "heavy_woven", set: 20.0)

    assert_operator other.means[1], :<, found.means[1], "another kind of cloth learns less"
    assert_operator Offset.of([one, one.with(added: [1.4, 1.6])], structure: "knit", set: 20.0).deviation, :<,
                    found.deviation
    stray = Offset.of([one.with(added: [1.5, 1.4, 1.6, 7.5])], structure: "knit", set: 20.0)

    assert_equal [[7.5], 3], [stray.left_out, stray.measured]
  end
end
