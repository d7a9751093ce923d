# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/photo_trial"

# Figures from a photo of the printed card: taken, looked at, corrected by hand, used, and kept with the test.
class FromPhotoTest < BrowserTest
  HOME_OF = "/w/marsh-walk/closures"
  SEED = 91_000
  def unfolded? = false

  # A photo of something, as a file.
  def photo(thing, across: nil)
    @photos ||= Dir.mktmpdir("nimble-eyelet-from-photo-")
    shot = Device::StandInCamera.new(random: Random.new(SEED), size: [2400, 1800]).shot(thing, across: across)
    File.join(@photos, "photo-#{shot.object_id}.jpg").tap { |file| File.binwrite(file, shot.jpeg) }
  end

  def teardown
    FileUtils.rm_rf(@photos) if @photos
    super
  end

  def button(**changes)
    x, y = PhotoReading::MeasuringCard::LIGHT_FIELD.middle
    Device::Lying::LyingButton.new(shape: "flat", diameter: 20.0, thickness: 3.0, x: x, y: y, light: 60, holes: 4, spacing: 3.6,
                                   hole: 2.0, **changes)
  end

  def blank
    photo(button).sub(/\.jpg\z/, ".png").tap { |file| File.binwrite(file, Vips::Image.black(800, 600).pngsave_buffer) }
  end

  def choose(file) = find("[type=file]", visible: :all).attach_file(file)

  def test_a_button_is_measured_corrected_and_used
    # Its thickness is decided, so a photo from above is read with it.
    act(:put, "settled/button")
    visit "#{HOME_OF}/1/button"
    find("[data-from-photo]").click

    assert_text said("from_photo.measure_from_a_photo")
    assert_violates_nothing
    # Not the card at all: said, and nothing is lost.
    choose(blank)

    assert_selector "[role=alert]", text: PhotoReading::Unreadable::WHY[:corner]
    choose(photo(button))
    figure = find("[data-figure=diameter]").text.to_f

    assert_in_delta 20, figure, 0.15
    assert_violates_nothing
    # An end moved by the keyboard: the figure follows.
    5.times { find("[data-end='diameter 1']").send_keys(:arrow_down) }

    eventually { refute_in_delta figure, find("[data-figure=diameter]").text.to_f, 0.05 }
    5.times { find("[data-end='diameter 1']").send_keys(:arrow_up) }

    eventually { assert_in_delta figure, find("[data-figure=diameter]").text.to_f, 0.11 }
    # Every press is answered by then.
    assert_selector "[data-figures]:not([aria-busy])"
    used = find("[data-figure=diameter]").text
    find("[data-use-figures]").click

    assert_no_selector "[data-figures]"
    assert_selector "[data-path='button.diameter']"
    eventually { assert_in_delta used.to_f, closure(1)["plan"]["button.diameter"]["mm"], 0.01 }
    eventually { assert_in_delta 3.6, closure(1)["plan"]["button.hole_spacing"]["mm"], 0.11 }
  end

  def test_a_slit_is_measured_at_the_machine_and_its_photo_kept_with_the_test
    narrow
    visit "#{HOME_OF}/1/swatch"
    click_on said("test_card.it_is_set")
    click_on said("test_card.it_is_sewn")
    find("[data-from-photo]", match: :first).click
    choose(photo(Support::PhotoTrial.new("hole", SEED).thing))
    slit = find("[data-figure=slit]").text

    assert_violates_nothing
    find("[data-use-figures]").click

    assert_field said("look_form.the_slit_as_measured"), with: slit
    click_on said("test_card.next")
    tests = -> { closure(1)["sheet"]["swatch"]["log"] }
    before = tests.call.size
    click_on said("test_card.i_can_t_tell") while page.has_button?(said("test_card.i_can_t_tell"), wait: 1)
    # The connection goes, the page is left, and comes again: the test and its photo both waited.
    offline(true)
    click_on said("test_card.save_the_test")

    assert_no_button said("test_card.save_the_test")
    visit "about:blank"
    offline(false)

    assert_equal 0, db[:photos].count
    visit ROOM

    eventually { assert_equal before + 1, tests.call.size }
    entry = db[:journal].where(kind: "swatch", closure_id: 1).reverse(:seq).first

    assert_equal "photo", entry[:data].to_h["with"]["measured.with"]
    eventually { assert_equal 1, db[:photos].where(entry: entry[:id]).count }
  end
end
