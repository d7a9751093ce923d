# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/random_runs"

class SolverTest < CoreTest
  include Spacing

  Support = NimbleEyelet::Support

  SMOCK = Demands.new(count: 12, grid: Length.mm(0.5r), from: Length.mm(15), to: Length.mm(710),
                      least_gap: Length.mm(30), first: RowEnd.new(at: Length.mm(24), fixed: true),
                      last: RowEnd.new(at: Length.mm(660), fixed: true), pins: [Length.mm(212), Length.mm(455)],
                      blocked: [[100, 118], [262, 281], [330, 341], [520, 538], [590, 601]]
                               .map { |from, to| Blocked.new(from: Length.mm(from), to: Length.mm(to)) })

  # Many small cases of every kind, against trying all rows there are: the same cost, or both impossible.
  def test_the_solver_equals_brute_force
    impossible = 0
    1500.times do
      demands = small
      least = brute(demands)
      found = Solver.solve(demands)
      impossible += 1 unless least

      assert_operator least, :==, found&.cost, "#{demands.to_h}: #{least.inspect}, found #{found.inspect}" # rubocop:disable Minitest/AssertEqual
      lattice = Lattice.new(demands)

      assert_equal !least.nil?, Feasibility.new(lattice.track).possible?(lattice.gaps)
      assert_meets(demands, found) if found
    end

    assert_includes 300..1200, impossible, "both kinds are met"
  end

  # Runs as people might type them: each has a row, proven, or a set of demands that collide; with little work allowed
  # there is still an answer, and it says what it does not know.
  def test_runs_of_every_kind_are_answered_within_a_budget
    runs = Support::RandomRuns.new(random)
    given_up = 0
    120.times do
      demands = Support::RandomRuns.demands(*runs.next)
      row = Solver.solve(demands)
      next assert_collides(demands) unless row

      assert_meets(demands, row)
      assert_predicate row, :proven?
      hurried = Solver.solve(demands, budget: 500)
      given_up += 1 unless hurried.proven?

      assert_meets(demands, hurried)
      assert_includes (hurried.cost - hurried.short_of)..hurried.cost, row.cost
    end

    assert_operator given_up, :>, 5
  end

  def test_a_real_front_equals_a_plain_dynamic_programme
    assert_equal SolverTest.plain(SMOCK), Solver.solve(SMOCK).cost
    assert_meets SMOCK, Solver.solve(SMOCK)
  end

  def test_shifting_everything_shifts_the_answer_and_mirroring_it_mirrors_the_cost
    moved = shifted(SMOCK, mm(37))

    assert_equal Solver.solve(SMOCK).places.map { |place| place + mm(37) }, Solver.solve(moved).places
    turned = turned(SMOCK, mm(724))

    assert_equal Solver.solve(SMOCK).cost, Solver.solve(turned).cost
    assert_equal Solver.solve(SMOCK), Solver.solve(SMOCK), "the same demands, the same row"
  end

  def test_wishes_draw_a_hole_near_and_clusters_keep_their_inner_gap
    wished = SMOCK.with(pins: [], blocked: [], soft_pins: [SoftPin.new(at: mm(400), weight: 9)])
    nearest = ->(row) { row.places.map { |place| (place - mm(400)).abs }.min }

    assert_operator nearest.call(Solver.solve(wished)), :<, nearest.call(Solver.solve(wished.with(soft_pins: [])))
    pairs = Solver.solve(SMOCK.with(pins: [], blocked: [], together: 2, inner: mm(20)))

    assert_equal [mm(20)], pairs.places.each_slice(2).map { |one, two| two - one }.uniq
    assert_nil Solver.solve(SMOCK.with(together: 5, inner: mm(20))), "twelve are no fives"
  end

  def test_what_collides_is_said_in_words_with_the_least_change_that_frees_it
    pocket = Blocked.new(from: mm(205), to: mm(268), label: "the pocket")
    wrong = { SMOCK.with(pins: [mm(212)], blocked: [pocket]) =>
                [%i[blocked pin], "lies within the keep-out of the pocket", "Move the pin to 205 mm."],
              SMOCK.with(count: 9, least_gap: mm(80), pins: [], blocked: []) =>
                [%i[count first last least_gap], "9 holes at least 80 mm apart need 640 mm; from first to last there are 636",
                 "Let gaps be as small as 79.5 mm."],
              SMOCK.with(count: 4, most_gap: mm(90), pins: [],
                         blocked: []) =>
                [%i[count first last most_gap], "cannot all hold", "as wide as 212 mm"],
              SMOCK.with(pins: [mm(212), mm(230)],
                         blocked: []) => [%i[least_gap pin pin], "the pin at 230 mm", "Let gaps be as small as 18 mm."] }
    wrong.each do |demands, (names, words, way)|
      collision = Placket::Collision.of(demands)

      assert_equal names, collision.conflict.demands.map(&:first).sort
      assert_includes collision.says.in(:mm), words
      assert_includes collision.remedies.map { |found| found.in(:mm) }.join(" "), way
      assert_nil Solver.solve(demands)
      # Without any one of them, a row is found: none stands there for nothing.
      collision.conflict.demands.each do |left_out|
        assert_possible_without(demands, collision.conflict.demands - [left_out])
      end
    end
  end

  def test_an_envelope_is_the_lowest_of_its_lines
    [1, -1].each do |way|
      lines = Array.new(30) { |index| [-way * index * 2, random.rand(-200..200)] }
      envelope = Envelope.new(way)
      known = []
      places = (-60..60).to_a
      (way == 1 ? places : places.reverse).each_with_index do |place, turn|
        lines.shift(turn.zero? ? 1 : random.rand(0..1)).each do |slope, height|
          envelope.add(slope, height, slope)
          known << [slope, height]
        end

        assert_equal known.map { |slope, height| (slope * place) + height }.min, envelope.least(place)
      end
    end
  end

  # The best row, by all places, all predecessors, layer by layer: fixed ends, holes alone. In steps of the grid.
  def self.plain(demands)
    step = demands.grid
    whole = lambda { |length|
      (length / step).then do |steps|
        steps.denominator == 1 ? steps.numerator : raise("off the grid")
      end
    }
    open = ((demands.from / step).ceil..(demands.to / step).floor).reject do |at|
      demands.blocked.any? { |blocked| at > blocked.from / step && at < blocked.to / step }
    end
    first, last, least, pins = [demands.first.at, demands.last.at,
                                demands.least_gap].map(&whole).push(demands.pins.map(&whole))
    costs = { first => 0 }
    (demands.count - 1).times do
      costs = open.to_h do |to|
        nearest = pins.reject { |pin| pin >= to }.max || 0
        [to, costs.filter_map { |from, cost| cost + ((to - from)**2) if cost && to - from >= least && from >= nearest }.min]
      end.compact
    end
    (costs.fetch(last) - (((last - first)**2) / (demands.count - 1r))) * (step.millimetres**2)
  end

  def self.inside?(blocked, at) = at > blocked.from.millimetres && at < blocked.to.millimetres

  private

  def pick(*of) = of.sample(random: random)

  def small
    length = random.rand(8..14)
    together = pick(1, 1, 1, 2, 3)
    first = random.rand(0..4)
    pins = Array.new(pick(0, 0, 0, 1, 2)) { mm(random.rand(0..(length * 4))/4r) }
    soft_pins = Array.new(pick(0, 0, 1, 2)) do
      SoftPin.new(at: mm(random.rand(0..(length * 2))/2r), weight: random.rand(1..5) * 20)
    end
    blocked = Array.new(pick(0, 1, 2)) do
      random.rand(0..length).then do |at|
        Blocked.new(from: mm(at), to: mm(at + random.rand(1..4)))
      end
    end
    sewn = together > 1 ? [] : Array.new(pick(0, 0, 1, 2)) { mm(random.rand(8..(length * 4))/4r) }.uniq
    Demands.new(count: random.rand(1..(together > 1 ? 3 : 4)) * together, grid: mm(pick(1, 1, 2)), from: mm(random.rand(0..2)),
                to: mm(length), first: RowEnd.new(at: mm(first), fixed: pick(true, false)),
                last: RowEnd.new(at: mm(random.rand(first..length)), fixed: pick(true, false)),
                least_gap: mm(random.rand(1..3)), most_gap: pick(nil, mm(random.rand(3..8))), pins: pins, sewn: sewn,
                soft_pins: soft_pins, blocked: blocked, together: together,
                blocked_first: pick(nil, nil, nil, [Blocked.new(from: mm(1), to: mm(3))]),
                inner: mm(together > 1 ? random.rand(1..2) : 0))
  end

  def brute(demands)
    grid = demands.grid
    heads = ((demands.from / grid).ceil..(demands.to / grid).floor).map { |step| grid * step }
    heads += demands.pins.flat_map { |pin| (0...demands.together).map { |member| pin - (demands.inner * member) } }
    heads += [demands.first.at, demands.last.at - demands.span, *demands.sewn]
    heads = heads.uniq.select do |at|
      on_grid_or_fixed?(demands, at) && at >= demands.from && at + demands.span <= demands.to
    end
    rows(demands, heads.sort, []).filter_map { |row| cost(demands, row) if meets?(demands, row) }.min
  end

  def on_grid_or_fixed?(demands, at)
    (at / demands.grid).denominator == 1 || (demands.first.fixed && at == demands.first.at) ||
      (demands.last.fixed && at == demands.last.at - demands.span) || demands.sewn.include?(at) ||
      demands.pins.any? { |pin| (0...demands.together).any? { |member| pin - (demands.inner * member) == at } }
  end

  def rows(demands, heads, row)
    return [row] if row.size == demands.heads

    heads.select do |at|
      row.empty? || gap_allowed?(demands, at - row.last - demands.span) || as_sewn?(demands, row.last, at)
    end
         .flat_map { |at| rows(demands, heads, row + [at]) }
  end

  def gap_allowed?(demands, gap) = gap >= demands.least_gap && (demands.most_gap.nil? || gap <= demands.most_gap)

  # Two that are sewn are as near as they are.
  def as_sewn?(demands, upper, lower)
    ([upper,
      lower] - demands.sewn).empty? && lower > upper && (demands.most_gap.nil? || lower - upper <= demands.most_gap)
  end

  def holes(demands, row)
    row.flat_map { |head| Array.new(demands.together) { |member| head + (demands.inner * member) } }
  end

  def meets?(demands, row)
    holes = holes(demands, row)
    return false if demands.first.fixed && holes.first != demands.first.at
    return false if demands.last.fixed && holes.last != demands.last.at

    (demands.pins + demands.sewn - holes).empty? && holes.each_with_index.none? do |hole, index|
      next if demands.sewn.include?(hole)

      (index.zero? && demands.blocked_first ? demands.blocked_first : demands.blocked).any? do |blocked|
        SolverTest.inside?(blocked, hole.millimetres)
      end
    end
  end

  def cost(demands, row)
    gaps = row.each_cons(2).map { |one, two| (two - one - demands.span).millimetres }
    mean = gaps.empty? ? 0 : gaps.sum / gaps.size
    holes = holes(demands, row)
    ends = [[demands.first, holes.first], [demands.last, holes.last]].reject { |wished, _| wished.fixed }
    gaps.sum { |gap| (gap - mean)**2 } + ends.sum { |wished, hole| END_WEIGHT * ((hole - wished.at).millimetres**2) } +
      demands.soft_pins.sum { |wish| wish.weight * (holes.map { |hole| (hole - wish.at).abs }.min.millimetres**2) }
  end

  def assert_meets(demands, found)
    assert_equal demands.count, found.places.size
    assert_empty demands.pins - found.places
    heads = found.places.each_slice(demands.together).map(&:first)

    heads.each_cons(2) do |one, two|
      assert gap_allowed?(demands, two - one - demands.span) || as_sewn?(demands, one, two)
    end
    assert meets?(demands, heads), "no hole inside what is blocked"
  end

  def assert_collides(demands)
    [ConflictSearch::PATIENCE, 50].each do |patience|
      conflict = ConflictSearch.new(demands, Conflict::GIVEN, patience).conflict

      refute ConflictSearch.new(demands, Conflict::GIVEN).holds?(conflict.demands), "what is named collides"
      next unless conflict.smallest

      conflict.demands.each { |one| assert_possible_without(demands, conflict.demands - [one]) }
    end
  end

  def assert_possible_without(demands, kept)
    search = ConflictSearch.new(demands, Conflict::GIVEN)

    assert search.holds?(kept), kept.inspect
  end

  def shifted(demands, by)
    blocked = demands.blocked.map { |item| item.with(from: item.from + by, to: item.to + by) }
    pins = demands.pins.map { |pin| pin + by }
    demands.with(from: demands.from + by, to: demands.to + by, first: demands.first.with(at: demands.first.at + by),
                 last: demands.last.with(at: demands.last.at + by), pins: pins, blocked: blocked)
  end

  def turned(demands, about)
    demands.with(from: about - demands.to, to: about - demands.from,
                 first: demands.first.with(at: about - demands.last.at),
                 last: demands.last.with(at: about - demands.first.at), pins: demands.pins.map { |pin| about - pin },
                 blocked: demands.blocked.map do |blocked|
                   blocked.with(from: about - blocked.to, to: about - blocked.from)
                 end)
  end
end
