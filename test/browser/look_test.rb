# frozen_string_literal: true

require_relative "../browser_helper"

# Every main view, by day and by lamplight, wide and narrow: no serious finding, nothing beyond the
# edge, everything by keyboard.
class LookTest < BrowserTest
  STATIONS = NimbleEyelet::STAGES.keys.freeze
  # The pages that are not about one closure, and what each is known by.
  PAGES = { "/stash" => "main li", "/habits" => "fieldset", "/machines/4" => "[data-path='foot.kind']",
            "/machines/new" => "fieldset",
            "/garments/1" => "main li", "/closures/1/rehearse" => "main h2", "/closures/1/rehearse/hole" => "[data-acts]",
            "/closures/1/rehearse/eyes" => "[data-grades]" }.freeze

  LONG = "W" * 80

  # Here every dot counts: edges are rounded to them.
  def drawn = 1

  # So much may move while a view comes up, as browsers count it: as much as is hardly seen.
  MOVES = 0.02

  # Names nobody would shorten, a warning or two, a swatch that went wrong.
  def fill_in_what_is_awkward
    act(:put, "settled/button")
    act(:put, "settled/opening")
    tick("foot")
    log_swatch({ passes: "tight", symptoms: %w[gappy] })
    save({ placket: { extension: "12", first: "10" }, button: { name: LONG },
           closure: { name: "inner placket from collar stand to lower hem facing, left side, first try" } })
    db[:buttons].where(id: 1).update(name: LONG, note: "M" * 80)
    db[:machines].where(id: 4).update(name: LONG)
    db[:garments].where(id: 1).update(name: LONG)
  end

  def session_begun
    id = call(:post, "/api/workroom/sessions", { closures: [1] })["id"]
    step = call(:get, "/api/workroom/sessions/#{id}")["steps"].find { |one| one["key"] == said("hole_turn.needle") }
    step["enter"].each { |entry| enter({ machine: 4, **entry.transform_keys(&:to_sym) }) }
    "/sessions/#{id}"
  end

  # Each view is opened once and looked at by day, by lamplight, and as wide as a phone.
  def test_no_serious_finding_on_any_view_and_nothing_beyond_its_edge
    fill_in_what_is_awkward
    session = session_begun
    visit ROOM

    assert_selector "h1", text: "Marsh Walk"
    assert_looks_right
    STATIONS.each do |word|
      open_station word

      assert_looks_right
    end
    { **PAGES, session => "[data-answer]", "#{session}/sew" => "[data-step]" }.each do |path, known|
      visit "#{ROOM}#{path}"

      assert_selector known
      assert_looks_right
    end
    narrow
    ["", "/garments/1", "/stash", "/swatches", "/closures/1/placement", "#{session}/sew"].each do |path|
      visit "#{ROOM}#{path}"

      assert_selector "main h1, main [data-answer]"
      assert_steady
      assert_violates_nothing
    end
  end

  def test_how_it_is_shown_is_kept
    open_station "button"
    %w[lamplight very_large left_handed].each { |how| show(how) }
    visit current_path

    assert_selector "html[data-theme=lamplight][data-text=largest][data-hand=left]"
    assert_violates_nothing
    show "daylight"

    assert_selector "html[data-theme=daylight][data-text=largest]"
  end

  # What is shown and printed is as somebody likes it; what is kept and typed stays as it was.
  def test_words_and_numbers_are_as_somebody_likes_them
    open_station "recipe"
    show "american"

    assert_selector "main", text: /stabilizer/i
    show "comma"

    assert_selector "nav [data-stage=opening]", text: "22,5 mm"
    assert_violates_nothing

    assert_includes page.evaluate_async_script(<<~JS), "22,5 mm"
      fetch('/api/workrooms/marsh-walk/closures/1/strip.svg').then((answer) => answer.text()).then(arguments[0])
    JS
    find("main").send_keys "2"
    type "button.diameter", "18,5"

    assert_saved
    assert_equal "18.5 mm", closure["plan"]["button.diameter"]["text"]
    show "british"

    assert_selector "nav [data-stage=button]", text: "18,5 mm"
    assert_equal "18,5 mm", find("[data-path='button.diameter']").value
  end

  def show(how)
    click_button said("display_menu.display")
    find("[role=menuitem]", text: said("display_menu.#{how}"), exact_text: true).click

    assert_no_selector "[role=menuitem]"
  end

  # Stages are addressed by the words on the screen.
  ADDRESSES = %w[fabric button length placement settings test sew sew-on print].freeze

  def test_number_keys_reach_every_stage_and_do_not_disturb_typing
    open_station "button"
    STATIONS.each_with_index do |word, index|
      find("main").send_keys((index + 1).to_s)

      assert_current_path "#{ROOM}/closures/1/#{ADDRESSES[index]}"
      assert_selector "nav a[aria-current=step]", text: NimbleEyelet::STAGES[word].title
    end
    find("main").send_keys "2"
    type "button.diameter", "17"

    assert_current_path "#{ROOM}/closures/1/button"
  end

  # Help is that of the stage one is on; the line is one key away from anywhere.
  def test_help_and_the_line_are_one_key_away
    open_station "attach"
    find("main").send_keys "?"

    assert_selector "[role=dialog] [data-how-to] li", minimum: 3
    assert_violates_nothing
    click_link said("help_body.glossary")

    assert_selector "main dt", text: said("term.ease")
    assert_violates_nothing
    find("main").send_keys "/"

    assert_current_path ROOM
    eventually { assert_equal "request", page.active_element[:id] }
  end

  def test_holes_of_the_run_are_picked_by_keyboard
    open_station "opening"
    find("[aria-label^='#{said('run_hole.hole')} 2']").send_keys :enter

    assert_current_path "#{ROOM}/closures/1/placement"
    assert_selector "[aria-label^='#{said('run_hole.hole')} 2'][aria-pressed=true]"
    focused = page.evaluate_script("getComputedStyle(document.activeElement).outlineStyle")

    refute_nil focused
  end

  private

  # What is no matter of colour is the same by lamplight.
  def assert_looks_right
    assert_steady
    assert_violates_nothing
    page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      document.documentElement.dataset.theme = 'lamplight';
      // A colour that is inherited changes one frame after that of its parent.
      const settle = (frames) => requestAnimationFrame(() => Promise.allSettled(document.getAnimations().filter((one) =>
        one.effect.getComputedTiming().iterations < Infinity).map((one) => one.finished)).then(() =>
        frames ? settle(frames - 1) : done()));
      settle(8);
    JS

    assert_violates_nothing(only: COLOURS)
    size(320, 700)

    assert_no_overflow
    wide
  end

  def assert_steady
    sum, what = page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      const moves = [];
      const told = (one) => one.sources.map((at) => `${at.node?.outerHTML?.slice(0, 120) ?? at.node?.textContent} `
        + `${Math.round(at.previousRect.y)}+${Math.round(at.previousRect.height)} to ${Math.round(at.currentRect.y)}+${Math.round(at.currentRect.height)}`);
      const seen = new PerformanceObserver((list) => moves.push(...list.getEntries().filter((one) => !one.hadRecentInput)));
      seen.observe({ type: 'layout-shift', buffered: true });
      requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(() =>
        done([moves.reduce((all, one) => all + one.value, 0), moves.flatMap((one) => [one.value, ...told(one)]).join(' | ')]))));
    JS

    assert_operator sum, :<=, MOVES, "#{current_path} moves under the eye:\n#{what}"
  end

  # Drawings measure their room anew once the page is narrower.
  def assert_no_overflow
    eventually do
      width = page.evaluate_async_script(<<~JS)
        requestAnimationFrame(() => requestAnimationFrame(() => arguments[0](document.documentElement.scrollWidth)));
      JS

      assert_operator width, :<=, 320, current_path
    end
  end
end
