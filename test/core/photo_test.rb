# frozen_string_literal: true

require "set"
require_relative "../core_helper"

# Reading a photo, part by part, against what is known beforehand.
class PhotoTest < CoreTest
  include NimbleEyelet::PhotoReading

  # Points of a plane, and where a turned and tilted camera sees them.
  def camera(random)
    columns = turned(random)
    middle = columns[0].zip(columns[1]).map { |x, y| (65 * x) + (46 * y) }
    aim = [random.rand(-5.0..5.0), random.rand(-5.0..5.0), random.rand(130.0..260.0)]
    shift = aim.zip(middle).map { |one, off| one - off }
    Camera.new(turn: Camera.turn_of(*columns), shift: shift, focal: random.rand(1100.0..1300.0), bend: random.rand(-0.1..0.08), middle: [799.5, 599.5])
  end

  # Three directions at right angles, at most so far tilted and turned however.
  def turned(random)
    lean = random.rand(0.1..0.6)
    toward = random.rand(0.0..6.28)
    roll = random.rand(0.0..6.28)
    turn = lambda do |angle|
      Matrix[[Math.cos(angle), -Math.sin(angle), 0.0], [Math.sin(angle), Math.cos(angle), 0.0], [0.0, 0.0, 1.0]]
    end
    tilt = Matrix[[1.0, 0.0, 0.0], [0.0, Math.cos(lean), -Math.sin(lean)], [0.0, Math.sin(lean), Math.cos(lean)]]
    (turn.call(roll + toward) * tilt * turn.call(-toward)).column_vectors.map(&:to_a)
  end

  def test_a_camera_finds_back_whatever_it_sees
    random = Random.new(3)
    40.times do
      sight = camera(random).sight
      x = random.rand(0.0..130.0)
      y = random.rand(0.0..92.0)
      high = random.rand(0.0..8.0)

      sight.on_card(*sight.project(x, y, high), high).zip([x, y]) { |found, put| assert_in_delta put, found, 1e-3 }
      left, top, up = sight.stand
      # What lies on the line to the camera is seen at one place.
      between = [x + ((left - x) / 2), y + ((top - y) / 2), up / 2]

      sight.project(x, y).zip(sight.project(*between)) { |one, other| assert_in_delta one, other, 1e-6 }
    end
  end

  # With dots that are a tenth of a pixel off, a place is a hundredth of a millimetre off.
  def test_a_camera_is_found_from_dots_that_are_a_little_off
    random = Random.new(5)
    30.times do
      truth = camera(random)
      seen = MeasuringCard::DOTS.map { |x, y| truth.sight.project(x, y).map { |one| one + (0.1 * gauss(random)) } }
      start = Camera.from(Homography.of(MeasuringCard::DOTS, seen), 1200.0, truth.middle)
      fit = CameraFit.of(start, MeasuringCard::DOTS, seen)

      assert_in_delta 0.1, fit.off, 0.05
      fit.camera.sight.on_card(*truth.sight.project(75.0, 34.0)).zip([75.0, 34.0]) do |found, put|
        assert_in_delta put, found, 0.05
      end
    end
  end

  def gauss(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)

  def test_a_homography_goes_through_its_points_and_past_wrong_ones
    random = Random.new(8)
    20.times do
      truth = Homography.new([1.2, 0.1, 30.0, -0.2, 0.9, 12.0, random.rand(-2e-3..2e-3), random.rand(-2e-3..2e-3), 1.0])
      from = Array.new(20) { [random.rand(0.0..130.0), random.rand(0.0..92.0)] }
      to = from.map { |point| truth.at(*point) }
      5.times { |wrong| to[wrong] = to[wrong].map { |one| one + random.rand(20.0..60.0) } }
      found, agreed = Homography.agreed(from, to, within: 0.5, random: random)

      assert_equal (5..19).to_a, agreed
      found.elements.zip(truth.elements) { |one, other| assert_in_delta other, one, 1e-6 * [other.abs, 1].max }
    end

    assert_nil Homography.of([[0.0, 0.0]] * 4, [[1.0, 1.0]] * 4)
  end

  # Against a search that walks from pixel to pixel.
  def test_dark_pieces_are_found_whatever_their_shape
    random = Random.new(2)
    12.times do
      wide = random.rand(30..60)
      tall = random.rand(30..60)
      dark = Array.new(wide * tall) { random.rand < 0.35 }
      raster = Raster.new(width: wide, height: tall, bytes: dark.map { |one| one ? 20 : 230 }.pack("C*"))
      found = Blobs.dark(raster, least: 1).map do |blob|
        [blob.area, blob.x.round(6), blob.y.round(6), blob.left, blob.bottom]
      end

      assert_equal walked(dark, wide).sort, found.sort
    end
  end

  def walked(dark, wide)
    left = dark.each_index.select { |place| dark[place] }.to_set
    pieces = []
    until left.empty?
      piece = [left.first]
      left.delete(piece.first)
      piece.each do |place|
        near = [place - wide, place + wide]
        near << (place - 1) if (place % wide).positive?
        near << (place + 1) if place % wide < wide - 1
        near.each { |there| piece << there if left.delete?(there) }
      end
      xs = piece.map { |place| place % wide }
      ys = piece.map { |place| place / wide }
      pieces << [piece.size, (xs.sum / piece.size.to_f).round(6), (ys.sum / piece.size.to_f).round(6), xs.min, ys.max]
    end
    pieces
  end

  # A body that is seen from one side seems to reach so far; and from how far it seems to reach it is known again.
  def test_a_round_button_is_known_again_from_its_outline_at_any_lean
    random = Random.new(4)
    %w[rounded flat domed half_ball ball].product([0, 30, 90, 140]).each do |shape, far|
      radius = random.rand(4.0..13.0)
      thick = random.rand(1.5..4.0)
      stand = [40.0 + far, 30.0 - (far / 3.0), 150.0]
      body = ->(size) { ButtonBody.of(shape, thick, size) }
      lean = [(33.0 - stand[0]) / stand[2], (34.0 - stand[1]) / stand[2]]
      rim = (0...96).map do |number|
        turn = 2 * Math::PI * number / 96
        across = Math.cos(turn)
        down = Math.sin(turn)
        reach = body.call(radius).seen(radius, (lean[0] * across) + (lean[1] * down),
                                       (lean[0] * down) - (lean[1] * across), stand[2])
        [33.0 + (reach * across), 34.0 + (reach * down)]
      end
      # A shadow spoils some of it.
      (10..18).each { |at| rim[at] = rim[at].map { |one| one + 1.5 } }
      fit = RoundFit.of(ButtonOutline.new(x: 33.0, y: 34.0, rim: rim), stand, &body)

      assert_in_delta radius, fit.radius, 0.05, "#{shape} #{far}"
    end
  end

  def test_stitches_are_counted_in_noise_and_nothing_where_there_are_none
    random = Random.new(6)
    20.times do
      per_cm = random.rand(14.0..34.0)
      greys = Array.new(300) { |at| 120 + (20 * Math.sin(2 * Math::PI * at * 0.05 * per_cm / 20)) + (15 * gauss(random)) }
      found = StitchCount.of(greys, 0.05)

      assert_in_delta per_cm, found.per_cm, 0.02 * per_cm
    end
    assert_nil StitchCount.of(Array.new(300) { 100.0 }, 0.05)
  end

  def test_an_edge_is_found_to_a_tenth_of_a_step
    [20.0, 20.3, 20.75].each do |edge|
      greys = Array.new(60) { |at| 200 / (1 + Math.exp(-(at - edge) * 1.4)) }
      at, = EdgeSearch.outermost(EdgeSearch.slopes(greys, 3), least: 0.5, floor: 1)

      assert_in_delta edge, at, 0.1
    end
  end

  # Every word of what went wrong says what to do.
  def test_what_cannot_be_read_says_what_helps
    Unreadable::WHY.each do |key, says|
      assert_operator says.scan(/[.]/).size, :>=, 2, key.to_s
      assert_equal says, Unreadable.for(key).message
    end
  end
end
