# frozen_string_literal: true

require_relative "../core_helper"

class PlacketTest < CoreTest
  def layout(**changes) = sheet(placket: run_of(**changes)).layout
  def places(**changes) = layout(**changes).holes.map { |hole| hole.at.millimetres.to_f }

  def test_an_even_row_on_the_grid
    assert_equal [20, 120, 220, 320, 420, 520], places(first: mm(20), last: mm(520), count: 6)
    assert_equal [100.0], layout(first: mm(20), last: mm(520), count: 6).holes.filter_map(&:gap).map(&:to_f).uniq
  end

  def test_places_left_open_are_filled_in
    found = layout

    # The button, half of 18 and 6 from the top, sits 8.25 above the middle; 80 above the lower edge;
    # a gap near 85.
    assert_equal [24, 540], [found.holes.first.at, found.holes.last.at].map(&:to_f)
    assert_equal 7, found.holes.size
    assert_operator layout(wished_gap: mm(50)).holes.size, :>, 7
    assert_equal 23, layout(seat: "centre").holes.first.at.to_f
    assert_operator layout.holes.first.button, :>=, mm(15)
    assert_equal(["edge distance", "top edge"], layout(first: mm(20), last: mm(540), count: 7).cautions.map(&:rule))
  end

  def test_the_pin_gets_a_hole_exactly_and_the_rest_is_as_even_as_can_be
    pinned = Placket::Pin.new(at: mm(212.3), label: "fullest point", holds: "hole")
    found = layout(first: mm(20), last: mm(540), count: 7, pins: [pinned])
    hole = found.holes.find(&:pinned)

    assert_equal mm(212.3), hole.at
    assert_equal "fullest point", hole.pinned
  end

  # Turned end for end the edge changes hands; so it does on the other lap. A hole across has it away or near.
  def test_where_the_finished_edge_lies_under_the_foot
    { "vertical" => { true => "right", false => "left" }, "horizontal" => { true => "away", false => "near" } }
      .each do |orientation, lies|
      found = sheet(placket: run_of(orientation: orientation))
      hole = found.layout.holes.first
      lies.each do |outer_away, expected|
        start = Placket::Beginning.new(begins: :near, tack_first: true, outer_away: outer_away, side: nil)
        mirror = orientation == "vertical" ? lies.fetch(!outer_away) : expected

        assert_equal expected, start.edge_lies(hole, "right")
        assert_equal mirror, start.edge_lies(hole, "left")
      end
    end
  end

  def test_every_hole_and_mark_lies_on_the_run_in_order
    200.times do
      run = run_of(run_length: mm(random.rand(200..900)), count: random.rand(2..9),
                   orientation: %w[vertical horizontal].sample(random: random))
      found = sheet(placket: run).layout or next
      marks = found.holes.flat_map { |hole| [hole.from, hole.open_from, hole.open_to, hole.to] }

      assert_equal marks, marks.sort
      assert_operator marks.first, :>=, Length.zero
      assert_operator marks.last, :<=, run.run_length
    end
  end

  def test_vertical_holes_lie_on_the_centre_line_and_the_button_below_the_upper_end
    hole = layout.holes.first

    # Three millimetres below, at a mark of the ruler.
    assert_equal "2.75 mm", (hole.button - hole.open_from).to_s
    assert_equal 1, (hole.button.millimetres * 2).denominator
    assert_equal sheet.cut.length, hole.open_to - hole.open_from
    centred = layout(seat: "centre").holes.first

    assert_equal centred.at, centred.button
  end

  def test_horizontal_holes_pass_the_centre_line_toward_the_edge
    found = layout(orientation: "horizontal", extension: mm(16))
    hole = found.holes.first

    assert_equal "3 mm", hole.out_outer.to_s
    assert_equal sheet.cut.length, hole.out_outer - hole.out_inner
    # 16 less 3 less the tack of 1.25.
    assert_equal "11.75 mm", found.edge.to_edge.to_s
  end

  def test_cautions_say_what_to_change
    assert_equal ["extension", "edge distance"], layout(extension: mm(12)).cautions.map(&:rule) - ["gap"]
    assert_includes layout(orientation: "horizontal", extension: mm(13)).cautions.map(&:rule), said("edge.edge_distance")
    keep_out = Placket::KeepOut.new(from: mm(100), to: mm(120), label: "pocket")
    near = layout(first: mm(20), last: mm(520), count: 6, keep_outs: [keep_out])

    assert_equal([2], near.holes.select { |hole| hole.cautions.any? }.map(&:number))
    assert_match(/Pocket lies 3.5 mm from hole 2/, near.cautions.map { |caution| caution.says.to_s }.join)
  end

  def test_one_more_or_one_fewer
    found = layout(count: 6)

    assert_equal [5, 6, 7, 6], found.alternatives.map(&:count)
    assert_equal %w[even even even clusters], found.alternatives.map(&:pattern)
    assert found.alternatives.all?(&:fits?)
    refute_predicate layout(first: mm(20), last: mm(50), count: 2).alternatives[2], :fits?
  end

  def test_what_cannot_be_laid_out_is_refused_by_field
    assert_equal ["placket.last"], refused { run_of(first: mm(300), last: mm(200)).validate }.keys
    assert_equal ["placket.pins.b7.at"], refused { run_of(pins: [Placket::Pin.new(id: "b7", at: mm(700))]).validate }.keys
    assert_equal ["placket.keep_outs.c.to"], refused {
      run_of(keep_outs: [Placket::KeepOut.new(id: "c", from: mm(5), to: mm(5))]).validate
    }.keys
    assert_equal ["placket.count"], refused { run_of(count: 0).validate }.keys
    assert_includes refused { run_of(run_length: mm(5000)).validate }.keys, "placket.run_length"

    wrong = {
      { count: 40 } => "placket.count", { first: mm(2) } => "placket.first", { last: mm(619) } => "placket.last",
      { pins: [Placket::Pin.new(at: mm(615), id: "a")] } => "placket.pins.a.at", { run_length: mm(10) } => "placket.first",
      { count: 2, first: mm(24), last: mm(540), pins: [Placket::Pin.new(at: mm(212))] } => "placket.pins"
    }
    wrong.each do |changes, field|
      found = sheet(placket: run_of(**changes))

      assert_nil found.layout
      assert_nil found.progress
      assert_includes found.faults.map(&:field), field, changes.inspect
    end
  end
end
