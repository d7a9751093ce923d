# frozen_string_literal: true

require_relative "../core_helper"

# What a person can ask of a row beside a count, and what the plan says about its answer.
class LayoutTest < CoreTest
  POCKET = Placket::KeepOut.new(from: Length.mm(268), to: Length.mm(276), label: "pocket edge")

  def layout(**changes) = sheet(placket: run_of(**changes)).layout
  def places(**changes) = layout(**changes).holes.map { |hole| hole.at.to_f }
  # Of the hole itself: what a pin of the button makes of it has a test of its own.
  def pin(at, **more) = Placket::Pin.new(at: mm(at), holds: "hole", **more)
  def gaps(places) = places.each_cons(2).map { |upper, lower| (lower - upper).round(4) }

  def test_clusters_have_one_inner_gap_and_even_gaps_between
    found = places(pattern: "clusters", together: 2, inner_gap: mm(30), count: 8, first: mm(30), last: mm(540))

    assert_equal([30] * 4, found.each_slice(2).map { |one, two| two - one })
    outer = found.each_slice(2).each_cons(2).map { |upper, lower| lower[0] - upper[1] }

    assert_operator outer.max - outer.min, :<=, 1
    assert_equal 9, places(pattern: "clusters", together: 3, count: 8).size, "eight are no threes: one more"
    assert_includes layout(pattern: "clusters").because.map(&:rule), "pattern"
  end

  def test_a_cluster_may_hit_a_pin_with_any_of_its_holes
    [300, 328, 310].each do |at|
      assert_includes places(pattern: "clusters", together: 2, inner_gap: mm(28), count: 6, pins: [pin(at)]), at
    end
  end

  def test_a_ribbon_row_has_one_pitch_and_an_even_number
    found = places(pattern: "ribbon", count: 7, first: mm(30))

    assert_equal 8, found.size
    assert_equal 1, gaps(found).uniq.size
  end

  def test_a_range_of_counts_takes_what_comes_nearest_to_the_gap_wished_for
    assert_equal 7, places(count: 6, count_most: 9).size
    assert_equal 9, places(count: 6, count_most: 9, wished_gap: mm(50)).size
    assert_equal 6, places(count: 6, count_most: 9, wished_gap: mm(200)).size
    assert_equal ["placket.count_most"], refused { run_of(count: 6, count_most: 4).validate }.keys
    assert_equal ["placket.count_most"], refused { run_of(count_most: 4).validate }.keys
  end

  def test_where_no_count_is_asked_one_that_fits_is_found
    # Seven do not fit beside these keep-outs with gaps up to 90; some other number does.
    tight = { most_gap: mm(80), keep_outs: [POCKET, Placket::KeepOut.new(from: mm(330), to: mm(350))] }

    assert_operator gaps(places(**tight)).max, :<=, 80
  end

  def test_bounds_of_gaps_hold_and_are_named_when_they_bind
    found = layout(pins: [pin(212)], most_gap: mm(90))

    assert_operator found.largest_gap, :<=, mm(90)
    assert_includes layout(first: mm(24), last: mm(540), count: 7, pins: [pin(212)], most_gap: mm(94)).binding.join,
                    "gaps of at most 94 mm"
    assert_equal ["placket.most_gap"], refused { run_of(least_gap: mm(90), most_gap: mm(80)).validate }.keys
  end

  def test_wishes_are_weighed_and_pins_are_hit
    wished = ->(weight) { places(count: 6, pins: [pin(250, weight: weight)]).map { |place| (place - 250).abs }.min }

    assert_equal 0, places(count: 6, pins: [pin(250)]).map { |place| (place - 250).abs }.min
    assert_operator wished.call(9), :<=, wished.call(1)
    assert_equal ["placket.pins"], refused { run_of(pins: [pin(100), pin(100, weight: 3)]).validate }.keys
    assert_equal ["placket.pins"], refused { run_of(pins: (1..7).map { |at| pin(at * 50, weight: 1) }).validate }.keys
  end

  def test_the_foot_has_its_runway_or_says_how_to_get_it
    ahead = layout(count: 6, first: mm(24), last: mm(540),
                   keep_outs: [Placket::KeepOut.new(from: mm(560), to: mm(570), label: "hem")])
    caution = ahead.holes.last.cautions.first

    assert_match(/Hem lies 7.5 mm from hole 6, where the buttonhole foot wants flat fabric/, caution.says.to_s)
    assert_includes caution.instead, said("runway.folded_scrap")
    # 25 above: too near for the 40 behind, far enough for the 20 in front when the work is turned.
    above = layout(count: 2, first: mm(100), last: mm(400),
                   keep_outs: [Placket::KeepOut.new(from: mm(352), to: mm(362))])

    assert_includes above.holes.last.cautions.first.instead, said("runway.turn_the_garment")
    # A keyhole lies as its eye lies: the garment cannot be turned round.
    eyed = sheet(placket: run_of(count: 2, first: mm(100), last: mm(400),
                                 keep_outs: [Placket::KeepOut.new(from: mm(352), to: mm(362))]),
                 recipe: Recipes::Overrides.new(style: "keyhole")).layout.holes.last.cautions.first

    refute_includes eyed.instead, said("runway.turn_the_garment")
    far = layout(count: 2, first: mm(100), last: mm(400), keep_outs: [Placket::KeepOut.new(from: mm(330), to: mm(340))])

    assert_empty far.holes.last.cautions
    RUNWAY_FEET.each { |foot| assert_operator Placket::Runway.of(foot).behind, :>, Length.zero }
  end
  RUNWAY_FEET = FOOT_KINDS.keys

  def test_what_keeps_holes_from_lying_evenly_is_named
    found = layout(count: 7, first: mm(24), last: mm(540), pins: [pin(212)],
                   keep_outs: [Placket::KeepOut.new(from: mm(380), to: mm(400), label: "dart")])

    assert_includes found.binding.map(&:to_s), "the pin at 212 mm"
    assert_match(/dart, which hole \d stands next to/, found.binding.join("; ")) if found.holes.any? do |hole|
      [364.5, 415.5].include?(hole.at.to_f)
    end

    assert_equal found.largest_gap - found.smallest_gap, found.evenness
  end

  def test_with_the_fullest_point_pinned_it_says_which_count_lies_more_evenly
    because = layout(count: 8, pins: [pin(212)]).because_even

    assert_equal "7 would lie more evenly: gaps from 82 mm to 94 mm instead of 62 mm to 82 mm.", because.says.to_s
    assert_match(said("layout_words.no_count_near_it"), layout(pins: [pin(212)]).because_even.says.to_s)
  end

  def test_what_moved_is_told_in_a_sentence
    before = layout(pins: [pin(212)])
    places = before.holes.map(&:at)

    assert_nil before.moved_since(places)
    assert_nil before.moved_since([])
    assert_equal "8 holes instead of 7.", layout(count: 8, pins: [pin(212)]).moved_since(places).to_s
    after = layout(pins: [pin(214)])

    assert_match(/\AHoles? 2( to |, )\d.* moved.* by [\d.]+ mm.*\.\z/, after.moved_since(places).to_s)
    assert_equal "in", after.moved_since(places).in(:in)[/(in)\.\z/, 1]
  end

  def test_the_alternatives_are_rows_of_their_own
    layout(pins: [pin(212)]).alternatives.each do |item|
      assert_equal item.count, item.places.size
      assert_includes item.places, mm(212)
      assert_equal item.places.each_cons(2).map { |upper, lower| lower - upper }.minmax, [item.smallest, item.largest]
    end
  end

  # The button stops the gaping: the pin holds it, and the hole goes along to the nearest mark.
  def test_a_pin_holds_the_button_a_ridge_takes_a_hole_and_a_seam_is_one_place
    pinned = layout(pins: [Placket::Pin.new(at: mm(212), label: "bust")]).holes.find(&:pinned)

    assert_equal [mm(220), "bust"], [pinned.at, pinned.pinned], "8.25 below it, on a whole millimetre"
    assert_operator (pinned.button - mm(212)).abs, :<=, mm(0.5)
    seam = Placket::KeepOut.new(from: mm(300), id: "zip")

    assert_equal [mm(295), mm(305)], [seam.upper, seam.lower]
    taken = %w[no_go ridge].map do |kind|
      stretch = Placket::KeepOut.new(from: mm(280), to: mm(284), kind: kind)
      places(count: 7, first: mm(24), last: mm(540), keep_outs: [stretch]).include?(282.0)
    end

    assert_equal [false, true], taken
    assert_equal({ "placket.keep_outs.b.to" => "Write more than 350 mm here, where it begins; or leave this empty for " \
                                               "a seam at that place." },
                 refused { run_of(keep_outs: [Placket::KeepOut.new(id: "b", from: mm(350), to: mm(350))]).validate })
  end

  # Whatever is asked: what is answered holds all of it, and what is refused says why and what would free it.
  def test_every_answer_holds_all_that_was_asked
    120.times do
      asked = { count: random.rand(2..9), pins: [pin(random.rand(60..480))],
                least_gap: [nil, mm(random.rand(30..60))].sample(random: random),
                most_gap: [nil, mm(random.rand(70..200))].sample(random: random),
                keep_outs: Array.new(random.rand(0..2)) { random.rand(50..500).then { |at| Placket::KeepOut.new(from: mm(at), to: mm(at + 12)) } } }
      found = sheet(placket: run_of(**asked))
      found.layout ? assert_holds(asked, found.layout) : assert_explained(found.faults)
    end
  end

  # Whatever goes through, however long the edge and whichever way it lies: nothing left open is within its own warning.
  def test_stitches_keep_from_every_edge
    [button, button(shape: "cord", diameter: mm(5)), button(shape: "ribbon", diameter: mm(25), thickness: mm(1)),
     button(shape: "ball", attachment: "shank", diameter: mm(12))].product(%w[horizontal vertical], [40, 60, 160, 620]) do |what|
      thing, lies, long = what
      placed = sheet(button: thing,
                     placket: run_of(orientation: lies, run_length: mm(long), extension: mm(30))).layout or next
      first, last = placed.holes.values_at(0, -1)
      free = [first.from, mm(long) - last.to].min
      # Half a millimetre goes to the marks.
      there_is = ((mm(long) - (first.to - first.from)) / 2) - mm(1)

      assert_operator free, :>=, [mm(9), there_is].min, what.inspect
      refute_includes placed.cautions.map(&:rule), "edge distance", what.inspect if free >= mm(10)
    end
  end

  # Put there by hand, what is too near is said, and what cannot be sewn is refused.
  def test_stitches_too_near_an_end_are_said_and_refused
    near = ->(free) { sheet(placket: run_of(orientation: "horizontal", first: mm(free + 2.25), run_length: mm(620))) }
    said = [10, 7, 4].map { |free| near.call(free).layout.cautions.map(&:rule).include?("edge distance") }

    assert_equal [false, true, true], said
    assert_nil near.call(2).layout
    assert_equal ["placket.first"], near.call(2).faults.map(&:field)
    # A pattern speaks of its centre line, and of no end of the edge.
    by_pattern = sheet(placket: run_of(orientation: "horizontal", edge: "pattern", run_length: mm(620))).layout

    assert_operator by_pattern.holes.first.from, :>=, mm(6)
    # A wished gap is met as nearly as it goes; one hole is left where it goes nowhere near.
    assert_equal([2, 1], [40, 100].map do |gap|
      sheet(placket: run_of(run_length: mm(85), wished_gap: mm(gap))).layout.holes.size
    end)
  end

  # The stand's hole lies across at half its height; what is even is the front below it.
  def test_a_collar_stand_is_outside_the_evenness
    found = sheet(placket: run_of(stand: mm(36), drop: mm(70), count: 7)).layout
    front = found.holes.drop(1)

    assert_equal([[mm(18), "horizontal"], [mm(88), "vertical"]], found.holes.first(2).map do |hole|
      [hole.at, hole.lies]
    end)
    assert_equal [7, mm(70)], [found.holes.size, found.holes[1].gap]
    assert_operator found.evenness, :<=, mm(1)
    assert_equal front.each_cons(2).sum { |one, two| (two.at - one.at).to_f } / (front.size - 1), found.mean_gap.to_f
    assert_equal sheet(placket: run_of(first: mm(88), count: 6)).layout.holes.map(&:at), front.map(&:at)
    assert_equal([[7, mm(18)]], found.alternatives.select do |one|
      one.places == found.holes.map(&:at)
    end.map { |one| [one.count, one.places.first] })
  end

  # Two buttons for each hole, and one inside that takes the strain; all on the list.
  def test_a_double_breasted_front_has_all_its_buttons
    found = sheet(placket: run_of(rows: "double", orientation: "horizontal", extension: mm(80), run_length: mm(300),
                                  count: 3))
    names = found.progress.steps.map(&:name)
    listed = Supplies.of([SessionPart.new(key: 1, name: "front", garment: "coat", sheet: found)]).select { |one| one.kind == "button" }

    assert_equal([3, 3, 1], %w[button show-button anchor-button].map { |name| names.count(name) })
    assert_equal [7, 1], listed.map(&:count)
  end

  private

  def assert_holds(asked, found)
    assert_includes found.holes.map(&:at), asked[:pins].first.at
    assert_equal asked[:count], found.holes.size
    assert_operator found.smallest_gap, :>=, asked[:least_gap] if asked[:least_gap]
    assert_operator found.largest_gap, :<=, asked[:most_gap] if asked[:most_gap]

    found.holes.product(asked[:keep_outs]).each do |hole, item|
      assert hole.to + Placket::KEEP_CLEAR <= item.from || hole.from - Placket::KEEP_CLEAR >= item.to,
             "hole #{hole.number} keeps clear"
    end
  end

  def assert_explained(faults)
    assert_equal 1, faults.size
    assert_match(/\Aplacket\./, faults.first.field)
    assert_operator faults.first.allowed.to_s.length, :>, 30
  end
end
