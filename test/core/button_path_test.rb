# frozen_string_literal: true

require_relative "../core_helper"

# A button sewn on, penetration by penetration.
class ButtonPathTest < CoreTest
  def sewn(pattern: "two_bars", width: 3.0, diagonal: 3 * Math.sqrt(2), **changes)
    widths = { straight: width, diagonal: diagonal }.slice(*Stitches::BUTTON_PATTERNS.fetch(pattern).swings)
    Stitches::ButtonSewn.new(spacing: 3.0, hole: 1.8, needle: 0.8, widths: widths, anchor: "centre", stitches: 8, holes: 4,
                             pattern: pattern, **changes)
  end

  def path(**changes) = Stitches::ButtonPath.sew(sewn(**changes))

  def patterns = Stitches::BUTTON_PATTERNS.keys.map { |key| { pattern: key } }

  def any
    sewn(spacing: random.rand(2.0..5.0), hole: random.rand(1.2..2.5),
         needle: [0.7, 0.8, 0.9, 1.1].sample(random: random), width: random.rand(1.5..6.0),
         diagonal: random.rand(2.5..7.0), anchor: %w[centre left].sample(random: random), stitches: random.rand(4..12),
         **[{ holes: 2 }, *patterns].sample(random: random))
  end

  def test_every_penetration_keeps_the_room_that_is_told_or_is_flagged
    200.times do
      one = any.with(off: [random.rand(-0.6..0.6), random.rand(-0.6..0.6)])
      found = Stitches::ButtonPath.sew(one)
      rooms = found.parts.flat_map do |part|
        part.points.zip(part.aims)
      end.map { |(x, y), (u, v)| (one.hole / 2) - (one.needle / 2) - Math.hypot(x - u, y - v) }

      assert_in_delta rooms.min, found.room
      assert_equal rooms.each_index.select { |index| rooms[index] < -1e-9 }, found.strikes
      found.parts.each { |part| assert_equal part.points.first, part.points.last, "it ends where it began" }
    end
  end

  def test_each_pattern_goes_where_it_says
    holes = ->(found) { found.parts.map { |part| part.aims.uniq } }
    corners = [[-1.5, -1.5], [1.5, -1.5], [-1.5, 1.5], [1.5, 1.5]]

    assert_equal [corners.first(2), corners.last(2)], holes[path]
    crossed = holes[path(pattern: "cross")]

    assert_equal corners.sort, crossed.flatten(1).sort
    crossed.each { |from, to| assert_equal [0.0, 0.0], from.zip(to).map(&:sum), "once over the middle" }
    assert_equal 4, holes[path(pattern: "square")].size
    assert_equal(3, holes[path(pattern: "arrow")].count { |pair| pair.include?([-1.5, -1.5]) })
    assert_equal [[[-1.5, 0.0], [1.5, 0.0]]], holes[path(holes: 2)]
    assert_equal 2 * (9 + (2 * Stitches::ButtonPath::LOCKS)), path.points.size
  end

  # Anchored at the other side the path is its mirror image; carried thread is longer by what lies between, and has
  # fewer tails.
  def test_thread_is_the_sum_of_its_parts
    found = path

    assert_in_delta 2 * 8 * 3.0, found.travel
    carried = path(carried: true)

    assert_in_delta found.travel + 3.0, carried.travel
    assert_equal [4, 2], [found.tails, carried.tails]
    left = path(anchor: "left", width: 3.5, holes: 2).points.map(&:first)
    centre = path(width: 3.5, holes: 2).points.map(&:first)

    assert_equal [-1.5, 2.0], left.uniq
    assert_equal centre.map(&:-@).uniq.sort, centre.uniq.sort
  end

  # What is forgiven is what a fine grid of misplacements finds.
  def test_the_largest_forgiven_misplacement_is_that_of_trying_all
    60.times do
      one = any
      told = Stitches::ButtonPath.forgives(one)
      least = (0...72).map do |turn|
        way = [Math.cos(turn * Math::PI / 36), Math.sin(turn * Math::PI / 36)]
        # Each penetration goes straight on from its place: what strikes once strikes from there on.
        (0..401).bsearch do |far|
          far > 400 || Stitches::ButtonPath.sew(one.with(off: way.map do |part|
            part * far / 200.0
          end)).strikes.any?
        end - 1
      end.min

      assert_in_delta [told, 2.0].min, [least, 0].max / 200.0, 0.006, one.inspect
    end
  end

  def test_a_button_off_its_mark_clears_or_strikes_as_the_map_says
    plan = { machine: machine("memory"), attach: Attach::ButtonSewing.new(pattern: "two_bars") }
    found = ButtonSimulation.of(sheet(**plan))
    needle = sheet(**plan).recipe.needle.value.size
    cell = found.map.cells.find { |one| one.size == needle && one.width == mm(3) }

    assert_in_delta 0.5 * (1.8 - (needle / 100.0)), cell.forgives
    [[0.3, cell.forgives < 0.3], [cell.forgives + 0.05, true], [cell.forgives - 0.02, false]].each do |off, strikes|
      assert_equal strikes, ButtonSimulation.of(sheet(**plan), off: mm(off)).path.strikes.any?, off
    end
    assert_operator found.map.cells.map(&:forgives).max, :<=, found.map.best.forgives
    assert_operator found.top, :>, found.bobbin
    assert_nil ButtonSimulation.of(sheet(button: button(shape: "ball", attachment: "shank")))
  end
end
