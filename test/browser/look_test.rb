# frozen_string_literal: true

require_relative "../browser_helper"

# Every main view, by day and by lamplight, wide and narrow: no serious finding, nothing beyond the
# edge, everything by keyboard.
class LookTest < BrowserTest
  STATIONS = NimbleEyelet::STAGES.keys.freeze
  # The pages that are not about one closure, and what each is known by.
  PAGES = { "/stash" => "main li", "/habits" => "fieldset", "/machines/4" => "li[aria-label='Foot 1']", "/machines/new" => "fieldset",
            "/garments/1" => "main li" }.freeze

  def setup
    super
    act(:put, "settled/button")
    act(:put, "settled/opening")
    tick("foot")
    log_swatch({ passes: "tight", symptoms: %w[gappy] })
    save({ placket: { extension: "12", first: "10" } })
  end

  def test_no_serious_finding_on_any_view
    visit ROOM

    assert_selector "h1", text: "Marsh Walk"
    assert_violates_nothing_in_either_light
    STATIONS.each do |word|
      open_station word

      assert_violates_nothing_in_either_light
    end
    PAGES.each do |path, known|
      visit "#{ROOM}#{path}"

      assert_selector known
      assert_violates_nothing_in_either_light
    end
    narrow
    open_station "placket"

    assert_violates_nothing
  end

  def test_nothing_hangs_over_the_edge_of_a_phone_even_with_long_names
    save({ closure: { name: "inner placket from collar stand to lower hem facing, left side, first try" },
           button: { name: "W" * 80 } })
    db[:buttons].where(id: 1).update(name: "W" * 80, note: "M" * 80)
    db[:machines].where(id: 4).update(name: "W" * 80)
    db[:garments].where(id: 1).update(name: "W" * 80)
    narrow
    visit ROOM

    assert_selector "h1"
    assert_no_overflow
    STATIONS.each do |word|
      open_station word

      assert_no_overflow
    end
    sitting = call(:post, "/api/workroom/sittings", { closures: [1] })["id"]
    step = call(:get, "/api/workroom/sittings/#{sitting}")["steps"].find { |one| one["key"] == "needle" }
    step["enter"].each { |entry| enter({ machine: 4, **entry.transform_keys(&:to_sym) }) }
    { **PAGES, "/sittings/#{sitting}" => "[data-answer]", "/sittings/#{sitting}/sew" => "[data-step]" }.each do |path, known|
      visit "#{ROOM}#{path}"

      assert_selector known
      assert_no_overflow
    end
  end

  def test_the_theme_is_kept
    open_station "button"
    click_on "Lamplight"

    assert_selector "html[data-theme=lamplight]"
    visit current_path

    assert_selector "html[data-theme=lamplight]"
    click_on "Daylight"

    assert_selector "html[data-theme=daylight]"
  end

  def test_number_keys_reach_every_stage_and_do_not_disturb_typing
    open_station "button"
    STATIONS.each_with_index do |word, index|
      find("main").send_keys((index + 1).to_s)

      assert_current_path "#{ROOM}/closures/1/#{word}"
      assert_selector "nav a[aria-current=step]", text: NimbleEyelet::STAGES[word].title
    end
    find("main").send_keys "2"
    type "button.diameter", "17"

    assert_current_path "#{ROOM}/closures/1/button"
  end

  def test_holes_of_the_run_are_picked_by_keyboard
    open_station "opening"
    find("[aria-label^='Hole 2']").send_keys :enter

    assert_current_path "#{ROOM}/closures/1/placket"
    assert_selector "[aria-label^='Hole 2'][aria-pressed=true]"
    focused = page.evaluate_script("getComputedStyle(document.activeElement).outlineStyle")

    refute_nil focused
  end

  private

  # What is no matter of colour is the same by lamplight.
  def assert_violates_nothing_in_either_light
    assert_violates_nothing
    page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      document.documentElement.dataset.theme = 'lamplight';
      requestAnimationFrame(() => Promise.allSettled(document.getAnimations().filter((one) =>
        one.effect.getComputedTiming().iterations < Infinity).map((one) => one.finished)).then(() => done()));
    JS

    assert_violates_nothing(only: COLOURS)
  end

  def assert_no_overflow
    width = page.evaluate_script("document.documentElement.scrollWidth")

    assert_operator width, :<=, 390, current_path
  end
end
