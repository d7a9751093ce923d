# frozen_string_literal: true

require_relative "../core_helper"

# What is believed: exact sums over grids, held against sums by hand and against what cannot be otherwise.
class BeliefTest < CoreTest
  DEMAND = Opening::SlitDemand.new(need: 21.3, give: 1.0, slips: 3.6)

  def fit(**offset) = Opening::FitBelief.prior(offset: Offset.prior(set: 22.5, **offset), fold: 0.4, length: 22.5)
  def tried(**seen) = Opening::FitTried.new(set: 22.5, demand: DEMAND, **seen)
  def cover = CoverBand.prior(0.4, 0.66)
  def band = Belief::Band.prior(middle: 0.0, deviation: 0.6)

  def test_the_normal_is_the_normal
    { 0 => 0.5, 1.96 => 0.975, -1.96 => 0.025, 3 => 0.99865 }.each { |z, share| assert_in_delta share, Belief::Normal.below(z), 1e-4 }
    area = (-400..400).sum { |step| Belief::Normal.density(step / 100.0, 0.7) } / 100

    assert_in_delta 1, area, 1e-6
    weights = Belief::Normal.prior((-40..40).map { |tenth| tenth / 10.0 }, mean: 0.5, deviation: 0.5, wide: 2)

    assert_in_delta 1, weights.sum, 1e-12
    assert_operator weights.first, :>, 1e-6, "what is far out is never out of the question"
  end

  # Whatever somebody says, something is said: the chances of all answers add up to one, careless ones among them.
  def test_answers_add_up
    cuts = [-1.0, -0.4, 0.4, 1.0]

    [-2, -0.4, 0, 0.7].product([0.1, 0.5]).each do |mean, deviation|
      given = (0..4).flat_map { |place| Belief::Answers.given(cuts, place..place, [mean], deviation, 0.03) }

      assert_in_delta 1, given.sum, 1e-9
    end
    assert_in_delta 0.006, Belief::Answers.given(cuts, 4..4, [-9], 0.1, 0.03).first, 1e-9, "only carelessness says so"
    assert_in_delta Belief::Answers.chance(cuts, 0..1, 0.1, 0.3),
                    [0..0, 1..1].sum { |range| Belief::Answers.chance(cuts, range, 0.1, 0.3) }, 1e-12
  end

  # A reading moves what is added toward it; how it went through moves what the button wants.
  def test_a_reading_and_a_word_tell_apart_machine_and_button
    short = fit.after(tried(reading: 20.5))

    assert_in_delta(-2, short.added.first, 0.3)
    assert_in_delta 0, short.wanted.first, 1e-6
    tight = fit.after(tried(reading: 22.5, seen: 1..1))

    assert_in_delta 0, tight.added.first, 0.2
    assert_operator tight.wanted.first, :>, 0.3
    assert_operator short.added.last, :<, fit.added.last, "what is measured is less unsure"
    # Without a reading both are as likely.
    alone = fit.after(tried(seen: 0..0))

    assert_operator alone.added.first, :<, -0.3
    assert_operator alone.wanted.first, :>, 0
  end

  # The grid against a plain sum over a finer one, in steps of a twentieth.
  def test_the_chance_of_a_row_agrees_with_a_finer_sum
    lattice = (-220..220).map { |step| step / 20.0 }
    prior = ->(at, deviation, wide) { (0.95 * Belief::Normal.density(at, deviation)) + (0.05 * Belief::Normal.density(at, wide)) }
    offset = Offset.prior(set: 22.5).deviations.first
    wants = Math.sqrt(Opening::FitBelief.of_cloth(0.4) + Opening::FitBelief.of_button(22.5))
    sum = Offset::HOLE_NOISES.sum do |noise, chance|
      spread = Math.sqrt((noise**2) + (0.2**2))
      # Together they move the slack by a − h.
      cells = lattice.map { |a| [a, prior.call(a, offset, Offset::WIDE_OFFSET)] }
      others = lattice.select { |h| h.abs <= 2 }.map { |h| [h, prior.call(h, wants, Opening::FitBelief::WIDE_WANT)] }
      whole = cells.sum(&:last) * others.sum(&:last)
      chance * cells.sum do |a, one|
        others.sum { |h, other| one * other * (Belief::Answers.chance([0.3, 3.6], 1..1, 23.4 - 21.3 + a - h, spread)**3) }
      end / whole
    end

    assert_in_delta sum, fit.chance(23.4, DEMAND, holes: 3), 0.01
  end

  # What is shared fails together: a row is never as unlikely as each hole by itself would make it.
  def test_a_row_is_likelier_than_its_holes_one_by_one
    { fit => ->(belief, holes) { belief.chance(22.7, DEMAND, holes: holes) }, cover => lambda { |belief, holes|
      belief.chance(-0.67, holes: holes)
    },
      band => ->(belief, holes) { belief.chance(0.3, holes: holes) } }.each do |belief, chance|
      one, five = [1, 5].map { |holes| chance.call(belief, holes) }

      assert_operator five, :<=, one
      assert_operator five, :>, (one**5) + 0.01
    end
  end

  def test_cover_tells_density_and_balance_apart
    at = Math.log(0.5)
    thin = cover.after(cover: at, balance: 0.0, away: 1..1, back: 1..1)
    uneven = cover.after(cover: at, balance: 0.0, away: 0..0, back: 3..3)

    assert_operator thin.centre.first, :>, 0.08
    assert_in_delta 0, thin.skew.first, 1e-9
    assert_operator uneven.skew.first, :<, -0.05
    assert_operator uneven.chance(at, balance: -0.1), :>, uneven.chance(at)
    # Where both beads are fed the same way no balance tells them apart.
    same = CoverBand.prior(0.4, 0.66, opposite: false)

    assert_in_delta same.chance(at, balance: 0.1), same.chance(at - 0.1), 1e-9
    assert_operator uneven.half, :>, 0
  end

  # One that was looked at is as likely as the sum of all it can be.
  def test_cover_agrees_with_a_sum_over_its_cells
    at = Math.log(0.5)
    belief = cover.after(cover: at, balance: 0.05, away: 2..2, back: nil)
    cells = CoverBand::COVER_LAYERS.each_index.flat_map do |layer|
      CoverBand::CENTRES.product(CoverBand::SKEWS).map { |centre, skew| [layer, centre, skew] }
    end
    sum = cells.each_with_index.sum do |(layer, centre, skew), cell|
      half, noise = CoverBand::COVER_LAYERS[layer]
      right = ->(off) { Belief::Normal.below((half - off) / noise) - Belief::Normal.below((-half - off) / noise) }
      middle = at - belief.middle - centre
      belief.weights[cell] * ((right.call(middle + skew) * right.call(middle - skew))**4)
    end

    assert_in_delta sum, belief.chance(at, holes: 4), 0.003
    assert_in_delta 1, belief.weights.sum, 1e-9
  end

  def test_what_is_carried_over_is_less_sure_and_nearer_to_what_is_usual
    learned = band.after(at: 0.0, seen: 4..4).after(at: -1.0, seen: 2..2)
    carried = learned.carried(shared: 0.8)

    assert_operator learned.place.first, :<, carried.place.first
    assert_operator carried.place.first, :<, 0
    assert_operator carried.place.last, :>, learned.place.last
    assert_in_delta 0, learned.carried(shared: 0.0).place.first, 1e-6
    here = cover.after(cover: Math.log(0.5), balance: 0.0, away: 0..0, back: 0..0)

    assert_operator here.carried(%i[machine thread cloth], 0.4, 0.66).centre.first, :>,
                    here.carried(%i[thread], 0.4, 0.66).centre.first
    wants = fit.after(tried(reading: 22.5, seen: 1..1))

    assert_operator wants.carried(fold: 0.4, length: 20, same_cloth: true).first, :>=,
                    wants.carried(fold: 0.4, length: 20, same_cloth: false).first
  end

  def test_surprises_are_what_nobody_would_have_expected
    sure = [22.6, 22.4, 22.5].reduce(fit) { |belief, reading| belief.after(tried(reading: reading, seen: 2..2)) }

    assert_operator sure.surprise(tried(reading: 22.7, seen: 2..2)), :<, 0.1
    assert_operator sure.surprise(tried(reading: 26.5, seen: 2..2)), :>, 0.9
    assert_operator sure.surprise(tried(reading: 22.5, seen: 4..4)), :>, 0.5
    assert_operator band.surprise(at: 0.0, seen: 2..2), :<, 0.05
    assert_operator band.after(at: 0.0, seen: 2..2).surprise(at: 0.0, seen: 4..4), :>, 0.2
    assert_operator cover.surprise(cover: Math.log(0.5), balance: 0.0, away: 4..4, back: nil), :>, 0.3
  end

  # Truths far outside what is believed are reached in a few holes.
  def test_what_is_far_out_is_reached
    far = [7.0, 6.9, 7.2].reduce(fit) { |belief, added| belief.after(tried(reading: 22.5 + added)) }

    assert_in_delta 7, far.added.first, 0.5
    low = [-1.0, -2.0, -3.0].reduce(band) { |belief, at| belief.after(at: at, seen: 4..4) }

    assert_operator low.place.first, :<, -3
  end
end
