# frozen_string_literal: true

require_relative "../core_helper"

# The stitches one by one, what they come to, and the bobbin against the row.
class PathTest < CoreTest
  include Stitches

  SATIN = %w[two_tacks round_end two_round keyhole stretch corded manual_zigzag].freeze

  # By the ends of a style; a name that is no style is a bar tack alone.
  def shape(style = "two_tacks", **changes)
    form = STYLES[style]
    ends = { near_end: form ? form.near : :bar, far_end: form ? form.far : :bar, cord: form&.corded ? 0.7 : 0.0 }
    lengths = { near: { eyelet: 1.0, round: 2.25 }.fetch(ends[:near_end], 1.25),
                far: ends[:far_end] == :round ? 2.25 : 1.25, eye: ends[:near_end] == :eyelet ? 1.25 : 0.0 }
    HoleShape.new(opening: 22.5, width: 4.5, space: 0.6, length: 0.4, **ends, **lengths, **changes)
  end

  def path(style = "two_tacks", kind: "sensing", on: {}, **changes)
    Path.sew(shape(style, **changes), machine(kind, **on))
  end

  def each_way
    MACHINE_KINDS.each_key do |kind|
      [true, false].each do |straight|
        %w[away toward].each { |way| yield kind, { straight_first: straight, first_direction: way } }
      end
    end
  end

  def beads(found) = found.parts.select { |part| part.kind == :bead }

  def test_the_parts_follow_the_order_of_the_machine
    { "sensing" => ["start", "near end", "left-hand side", "far end", "right-hand side", "lock"],
      "memory" => ["start", "left-hand side", "far end", "right-hand side", "near end", "lock"],
      "plain" => ["start", "near end", "left-hand side", "far end", "right-hand side", "lock"] }.each do |kind, names|
      assert_equal names, path(kind: kind).parts.map(&:name)
    end
    assert_equal said("sewer.straight_run"), path(kind: "memory", on: { straight_first: true }).parts[1].name
    assert_equal said("machine.right_bead"), path(kind: "memory", on: { first_side: "right" }).parts[1].name
    assert_equal "far end", path(kind: "sensing", on: { first_direction: "toward" }).parts[1].name
    # By hand it begins with the wide tack, whatever the machine could do.
    assert_equal "near end", path("manual_zigzag", kind: "memory", own_bead: 1.8).parts[1].name
  end

  # The upper end lies away from the person: a machine that begins near the chair begins at the lower end.
  def test_it_begins_where_the_start_mark_is
    { "away" => 1, "toward" => -1 }.each do |way, sign|
      found = path(on: { first_direction: way })
      tack, bead = found.parts.values_at(1, 2).map { |part| part.points.map(&:last) }

      assert_operator (tack.sum / tack.size) * sign, :>, found.shape.overall / 2 * sign
      assert_operator (bead.first - bead.last) * sign, :>, 0
    end
    eyed = path("keyhole", on: { first_direction: "away" })

    assert_equal ["left-hand side", "eye", "right-hand side", "near end"], eyed.parts[1..4].map(&:name), "the eye lies away"
  end

  def test_every_path_begins_and_ends_inside_what_covers_it_and_stays_within_its_width
    SATIN.each do |style|
      each_way do |kind, on|
        found = path(style, kind: kind, on: on)
        slit = found.shape.slit
        [found.points.first, found.points.last].each do |x, y|
          assert y < slit[0] || y > slit[1], "#{style} on #{kind} #{on}: #{y}"
          assert_operator x.abs, :<=, 2.25
        end

        assert_operator found.footprint[0], :<=, 4.5 + 1e-9
        assert_operator found.footprint[1], :<=, found.shape.overall + 1e-9
      end
    end
  end

  def test_beads_are_parallel_and_the_space_to_cut_is_free_of_needle_holes
    SATIN.each do |style|
      each_way do |kind, on|
        found = path(style, kind: kind, on: on)
        xs = beads(found).to_h { |part| [part.name, part.points.map { |x, _| x.round(6) }.uniq.sort] }

        assert_equal xs.fetch("left-hand side"), xs.fetch("right-hand side").map(&:-@).sort, style
        from, to = found.shape.slit

        # The eye is punched, below it the slit is cut.
        eye = found.shape.beads[0]
        found.points.each do |x, y|
          refute y > [from, eye].max + 0.01 && y < to - 0.01 && x.abs < 0.3 - 1e-9, "#{style}: #{[x, y]}"
          assert_operator Math.hypot(x, y - 2.25), :>=, 1.25 - 1e-9 if style == "keyhole" && y < eye
        end
        ys = beads(found).flat_map { |part| part.points.map(&:last) }

        assert_operator ys.min, :>=, eye - 1e-9, "no bead runs under the ring of the eye"
      end
    end
  end

  def test_halving_the_stitch_doubles_the_stitches_of_a_bead_within_one
    [0.2, 0.3, 0.45, 0.6, 1.1].each do |length|
      whole, half = [length, length / 2].map { |feed| path(length: feed).counts.fetch("left-hand side") - 1 }

      assert_in_delta whole * 2, half, 1
    end
  end

  def test_a_mirrored_machine_sews_the_mirrored_path_and_the_same_hole
    SATIN.each do |style|
      left = path(style)
      right = path(style, on: { first_side: "right" })

      assert_equal left.points.map { |x, y| [-x, y] }, right.points
      assert_equal round(left.points), round(right.points.map { |x, y| [-x, y] })
      assert_equal finished(left), finished(right), style
    end
    assert_equal finished(path), finished(path(on: { first_direction: "toward" }))
  end

  def test_balance_makes_the_beads_differ_as_they_would_on_cloth
    even, off = [0.0, 0.25].map { |balance| Reckoning.cover(path(balance: balance), thread).map(&:last) }

    assert_in_delta even[0], even[1], 0.001
    assert_operator off[0], :<, SewingThread::COVERAGE_LEAST, "fed too far forward the first bead is gappy"
    assert_operator off[1], :>, even[1]
    turned = Reckoning.cover(path(balance: 0.25, on: { first_direction: "toward" }), thread)

    assert_operator turned[0].last, :>, turned[1].last, "sewn the other way, the other bead is gappy"
  end

  def test_the_eye_has_its_stitches_evenly_spaced_on_the_outer_edge
    eye = path("keyhole").parts.find { |part| part.name == "eye" }
    outer = eye.points.select { |x, y| (Math.hypot(x, y - 2.25) - 2.25).abs < 1e-6 }
    gaps = outer.each_cons(2).map { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }

    assert_operator outer.size, :>, 10
    assert_in_delta gaps.min, gaps.max, 1e-6
  end

  def test_other_holes
    box = path("straight_box", near: 1.0, far: 1.0, width: 3.0, length: 2.5)

    assert_equal ["round 1", "round 2"], box.parts.map(&:name)
    assert_equal box.parts[0].points.uniq.sort, box.parts[1].points.uniq.sort, "the second time in the same holes"
    assert_equal [3.0, 24.5], box.footprint
    ring = path("eyelet", opening: 6.0, near: 1.0, far: 1.0)

    assert_equal %w[start eyelet lock], ring.parts.map(&:name)
    ring.points.each { |x, y| assert_operator Math.hypot(x, y - 4), :>=, 2.7 }
    bar = path("bar_tack", opening: 8.0, near: 0.0, far: 0.0, width: 2.0)

    assert_equal([2.0, 8.0], bar.footprint.map { |side| side.round(1) })
    assert_equal [1, 0], [path("corded").cords.size, path.cords.size]
  end

  def test_thread_is_the_sum_of_its_parts_and_shifts_with_the_tension
    found = path
    reckon = ->(tension) { Reckoning.of(found, thread: thread, cloth: cloth, machine: machine, tension: tension) }
    neutral = reckon.call(4r)
    steps = found.points.each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }

    assert_in_delta steps + (found.points.size * 2 * cloth.stack.to_f / 2), neutral.sewn_in[0].to_f, 0.01
    assert_equal neutral.sewn_in[0], neutral.sewn_in[1]
    assert_in_delta (neutral.sewn_in[0].to_f * 1.15) + 200, neutral.top.to_f, 0.01
    loose = reckon.call(3r)

    assert_operator loose.top, :>, neutral.top
    assert_in_delta neutral.sewn_in.sum(&:to_f), loose.sewn_in.sum(&:to_f), 0.01
  end

  def test_satin_on_coated_cloth_is_warned_of_and_the_box_is_not
    coated = { thread: thread, cloth: cloth(kind: "coated"), machine: machine, tension: 4r }

    assert_equal(["perforation"], Reckoning.of(path, **coated).cautions.map(&:rule))
    assert_empty Reckoning.of(path("straight_box", near: 1.0, far: 1.0, width: 3.0, length: 2.5), **coated).cautions
  end

  private

  def round(points) = points.map { |point| point.map { |figure| figure.round(6) } }

  # The finished hole: where its bead holes are, whoever sewed it in whichever order.
  def finished(found)
    beads(found).flat_map { |part| part.points.map { |x, y| [x.abs.round(3), y.round(2)] } }.sort.then do |points|
      [points.map(&:first).uniq, points.map(&:last).minmax, beads(found).map { |part| part.points.size }.sort]
    end
  end
end
