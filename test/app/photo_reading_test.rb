# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/photo_trial"

# Measured from a photo: against what the stand-in camera knows, against a print photographed another way, and as it is
# asked for.
class PhotoReadingTest < AppTest
  AT = "/api/photo-reading"
  # Not those that the figures were set by.
  SEED = 90_000

  # A handful here; bin/photos walks thousands.
  def trials(what, count) = Array.new(count) { |number| Support::PhotoTrial.new(what, SEED + number) }

  def test_what_is_photographed_measures_what_it_is
    { "button" => 8, "edge" => 5, "hole" => 4 }.each do |what, count|
      offs = trials(what, count).map(&:off)
      offs.each do |off|
        off.each do |key, (far, spread, truth)|
          limit = 1.6 * Support::PhotoTrial::LIMITS.fetch(key, 1)

          assert_operator far.abs, :<, key.end_with?("per_cm") ? 0.04 * truth : limit, "#{what} #{key}"
          assert_operator far.abs, :<, 4.5 * spread, "#{what} #{key} as sure as it says" unless key == :room
        end
      end

      first = { "button" => :diameter, "edge" => :thickness, "hole" => :slit }.fetch(what)

      assert_equal(count, offs.count { |off| off.key?(first) })
    end
  end

  def test_broken_pictures_are_refused_and_say_what_helps
    Device::StandInCamera::BROKEN.each do |broken|
      2.times do |number|
        shot = Support::PhotoTrial.new("button", SEED + number, broken: broken).shot
        refused = read(shot.jpeg, "button")

        assert_equal 422, last_response.status, "#{broken} #{number}"
        assert_includes PhotoReading::Unreadable::WHY.values, refused["faults"].first["allowed"]
      end
    end
  end

  def read(jpeg, what, more = "", type: "image/jpeg")
    custom_request("POST", "#{AT}?of=#{what}#{more}", {}, HEADERS.merge(input: jpeg, "CONTENT_TYPE" => type))
    confirm
    JSON.parse(last_response.body)
  end

  def figures(answer) = answer["figures"].to_h { |one| [one["key"], one] }

  # The card as it is printed, at 300 dots an inch, a disc on it, and seen by another lens: libvips' own.
  def test_the_print_itself_measures_the_same
    %w[a4 letter].each do |paper|
      disc = 151 # px, 12.785 mm of radius
      picture = seen(with_disc(printed(paper), paper, disc), lean: 0.18)
      found = figures(read(picture, "button", "&shape=flat&thickness=0.3"))

      assert_in_delta disc * 2 * 25.4 / 300, found["diameter"]["value"], 0.12, paper
      assert_in_delta 40 * 25.4 / 300, found["hole_spacing"]["value"], 0.06, paper
    end
  end

  def printed(paper)
    Dir.mktmpdir do |folder|
      File.binwrite("#{folder}/card.pdf", call(:get, "/api/measuring-card.pdf?paper=#{paper}"))
      system("pdftoppm", "-r", "300", "-gray", "-png", "#{folder}/card.pdf", "#{folder}/card", exception: true)
      Vips::Image.new_from_file(Dir["#{folder}/card*.png"].first).copy_memory
    end
  end

  # The upper left-hand quarter, and a button of two holes on its light field.
  def with_disc(page, paper, radius)
    dot = 300 / 25.4
    quarter = page.crop(0, 0, page.width / 2, page.height / 2)
    middle = PhotoReading::MeasuringCard::LIGHT_FIELD.middle
    wide, tall = Document::StripPdf::PAPERS.fetch(paper)
    x = ((wide / 4) - 46 + middle[1]) * dot
    y = (tall - ((tall * 3 / 4) - 65 + middle[0])) * dot
    quarter.draw_circle([70.0], x.round, y.round, radius, fill: true)
           .draw_circle([225.0], x.round - 20, y.round, 11, fill: true)
           .draw_circle([225.0], x.round + 20, y.round, 11, fill: true)
  end

  # From one side, on a dark table.
  def seen(quarter, lean:)
    wide = quarter.width * 1.35
    tall = quarter.height * 1.35
    place = Vips::Image.xyz(wide.round, tall.round)
    x = (place[0] / wide) - 0.5
    y = (place[1] / tall) - 0.5
    by = (x * lean) + (y * lean / 2) + 1
    source = [((x / by) + 0.5) * wide, ((y / by) + 0.5) * tall]
    moved = [source[0] - (quarter.width * 0.175), source[1] - (quarter.height * 0.175)]
    index = moved[0].bandjoin(moved[1])
    quarter.mapim(index, interpolate: Vips::Interpolate.new(:bicubic), background: [60], extend: :background)
           .gaussblur(1.0).cast(:uchar).jpegsave_buffer(Q: 88)
  end

  def test_a_photo_of_this_button_fills_its_fields_and_nothing_of_it_is_kept
    before = [Dir["#{world.instance_variable_get(:@folder)}/photos/**/*"], db[:photos].count]
    photo = call(:get, "/api/closures/#{SMOCK}/practice-photo.jpg?of=button&seed=11")
    answer = read(photo, "button", "&shape=flat&thickness=3")
    found = figures(answer)

    assert_in_delta 18, found["diameter"]["value"], 0.3
    assert_equal(%w[button.diameter button.hole_spacing], %w[diameter hole_spacing].map { |key| found[key]["path"] })
    assert_match(/\A\d+(\.\d)? mm\z/, found["diameter"]["text"])
    assert_equal before, [Dir["#{world.instance_variable_get(:@folder)}/photos/**/*"], db[:photos].count]
    moved_by_hand(answer, found["diameter"])
    # A card of which the line measures more makes everything larger: here the paper says that it does not.
    refused = read(photo, "button", "&ruler=103")

    assert_equal PhotoReading::Unreadable::WHY[:print], refused["faults"].first["allowed"]
  end

  # Twice as long from its middle outward; and where both ends stay, what it was.
  def moved_by_hand(answer, figure)
    line = answer["drawn"].find { |one| one["kind"] == "line" }["places"]
    far = line.transpose.map { |one, other| [one - ((other - one) / 20), other + ((other - one) / 20)] }.transpose
    same, longer = [line, far].map do |to|
      call(:post, "#{AT}/moved", { eye: answer["eye"], from: line, to: to, mm: figure["value"] })["mm"]
    end

    assert_in_delta figure["value"], same, 0.051
    assert_in_delta figure["value"] * 1.1, longer, 0.15
  end

  def test_what_is_asked_wrongly_is_said_beside_the_field
    refused = ->(*asked, **more) { read(*asked, **more)["faults"].first.values_at("field", "allowed") }

    assert_equal "photo", refused.call("no picture", "button").first
    assert_equal "photo", refused.call(Vips::Image.black(300, 200).pngsave_buffer, "button", type: "image/png").first
    assert_equal "photo.ruler", refused.call("x", "button", "&ruler=30").first
    assert_equal ["photo", "This is no photo: JPEG, PNG or WebP."], refused.call("<svg xmlns='http://www.w3.org/2000/svg'/>", "button")
    custom_request("POST", "#{AT}?of=button&shape=boot", {}, HEADERS.merge(input: "x", "CONTENT_TYPE" => "image/jpeg"))

    assert_equal 404, last_response.status
    custom_request("POST", "#{AT}?of=shoe", {}, HEADERS.merge(input: "x", "CONTENT_TYPE" => "image/jpeg"))

    assert_equal 400, last_response.status
  end

  # A photo takes a second and fifty megabytes: the third one waits.
  def test_two_are_read_at_a_time
    inside = Queue.new
    go = Queue.new
    threads = Array.new(3) { Thread.new { Route::PhotoReadingRoutes.in_turn { [inside.push(true), go.pop] } } }
    2.times { inside.pop }
    Thread.pass until threads.all?(&:stop?)

    assert_empty inside
    3.times { go << true }
    threads.each(&:join)

    assert_equal 1, inside.size
  end

  # Whatever the ruler: fractions of an inch would be farther off than the photo.
  def test_a_figure_keeps_what_it_was_measured_to_in_every_unit
    shot = trials("button", 1).first.shot
    { "mm" => 0.0501, "cm" => 0.0501, "in" => 0.02 }.each do |unit, off|
      db[:workrooms].update(unit: unit)
      read(shot.jpeg, "button")["figures"].each do |one|
        assert_match(/\A[\d.]+ #{unit}\z/, one["text"])
        assert_match(/\A[\d.]+ #{unit}\z/, one["within"])
        assert_in_delta one["value"], Typing::Notation.read(one["text"], unit: unit.to_sym, field: "read").to_f, off, one["text"]
      end
    end
  end

  # A toggle does not stand in a slot, and corners are read off paper: what is not measured is not offered.
  def test_each_shape_is_offered_what_is_measured
    ways = BUTTON_SHAPES.transform_values { |form| PhotoReading::Survey.ways(form) }

    assert_equal [%w[button edge], %w[button], %w[button], %w[edge], []],
                 ways.values_at("rounded", "ball", "bar", "polygon", "ribbon")
    assert_empty ways.values_at(*BUTTON_SHAPES.reject { |_, form| form.fastens }.keys).flatten
  end

  # It would put a made-up button in the place of somebody's own.
  def test_the_practice_camera_belongs_to_the_example
    db[:workrooms].update(sample: false)
    call(:get, "/api/closures/#{SMOCK}/practice-photo.jpg?of=button")

    assert_equal 404, last_response.status
  end

  # A slit that was measured from a photo weighs as much as the photo says, and less than one of which it is surer.
  def test_a_test_hole_measured_from_a_photo_is_as_sure_as_the_photo
    held = { "measured.with" => "photo", "measured.off" => "0.3" }
    swatch = Swatches::Swatch.new(passes: nil, measured: Length.mm(20), symptoms: [], opening: Length.mm(20),
                                  stitch_width: Length.mm(4), stitch_length: Length.mm(1), tension: 4r,
                                  stabiliser: "none", sewn_with: held)

    assert_in_delta 0.3, Swatches::Learned.spread(swatch)
    surer = swatch.with(sewn_with: held.merge("measured.off" => "0.01"))

    assert_in_delta Swatches::Learned::CALIPER_SPREAD, Swatches::Learned.spread(surer)
    assert_nil Swatches::SewnWith.faulty(held)
    assert_equal "measured.off", Swatches::SewnWith.faulty(held.merge("measured.off" => "-1"))
  end
end
