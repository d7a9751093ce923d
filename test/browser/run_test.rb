# frozen_string_literal: true

require_relative "../browser_helper"

# The run as something to take hold of: dragging, nudging, adding, and what the plan answers meanwhile.
class RunTest < BrowserTest
  def handle(name) = find("[role=slider][aria-label^='#{name}']")

  # The pixels of a millimetre of the run, from two marks.
  def pixels
    page.evaluate_script(<<~JS)
      (() => { const [first, last] = [...document.querySelectorAll("g[role=button][aria-label^='#{said('run_hole.hole')}']")]
        .map((hole) => [parseFloat(hole.getAttribute('aria-label').split(' at ')[1]), hole.querySelector('circle').getBoundingClientRect()])
        .filter((_, index, all) => index === 0 || index === all.length - 1)
        return (last[1].y - first[1].y) / (last[0] - first[0]) })()
    JS
  end

  def drag(element, millimetres, drop: true)
    page.driver.browser.action.move_to(element.native).pointer_down
        .move_by(0, (millimetres * pixels / 2).round).move_by(0, (millimetres * pixels / 2).round).perform
    yield if block_given?
    page.driver.browser.action.pointer_up.perform if drop
  end

  def places = all("g[role=button][aria-label^='#{said('run_hole.hole')}']").map { |hole| hole["aria-label"][/at ([\d.]+)/, 1].to_f }

  def test_the_pocket_dragged_over_a_hole_moves_the_holes_out_of_its_way_while_the_finger_moves
    open_station "placket"
    before = places
    drag(handle(said("run_keep_out.keep_clear", "pocket edge")), 26) do
      assert_selector "[aria-live]", text: /Holes? \d.* moved .* mm/
      refute_equal before, places, "while it is held"
    end

    assert_saved
    from = handle(said("run_keep_out.keep_clear", "pocket edge"))["aria-valuenow"].to_f

    assert_includes 285..302, from
    places.each { |place| refute_includes ((from - 15)..(from + 23)), place }
    assert_includes places, 220, "the pin stays hit: the button hangs 8 mm above"
    find("body").send_keys [:control, "z"]

    assert_selector "g[aria-label^='#{said('run_hole.hole')} 4 at 300']"
  end

  def test_a_pin_is_nudged_by_keys_added_by_a_double_click_and_taken_out
    wide
    open_station "placket"
    handle(said("run_pin.pin", "fullest point")).native.send_keys(:arrow_down, :arrow_down)

    assert_selector "[role=slider][aria-label^='#{said('run_pin.pin', 'fullest point')}'][aria-valuetext='214 mm']"
    page.driver.browser.action.send_keys(:arrow_up).perform

    assert_selector "[role=slider][aria-valuetext='213 mm']"
    assert_saved
    handle(said("run_pin.pin", "fullest point")).native.send_keys(:delete)

    assert_no_selector "[role=slider][aria-label^='#{said('run_pin.pin_2')}']"
    hole = find("g[role=button][aria-label^='#{said('run_hole.hole')} 3']")
    hole.native.send_keys("p")

    assert_selector "[role=slider][aria-label^='#{said('run_pin.pin_2')}']", count: 1
    canvas = find("svg[aria-label='#{said('run_picture.on_the_run', 'Holes')}']")
    page.driver.browser.action.move_to(canvas.native, 60, 150).double_click.perform

    assert_selector "[role=slider][aria-label^='#{said('run_pin.pin_2')}']", count: 2
    # A seam is added by a key, too: one place, until its row says how far it reaches.
    find("g[role=button][aria-label^='#{said('run_hole.hole')} 5']").native.send_keys("k")

    called = said("run_keep_out.keep_clear", "a stretch")

    assert_selector "[role=slider][aria-label='#{called}'][aria-valuetext^='#{said('run_keep_out.a_seam_at')}']"
    assert_saved
  end

  def test_what_cannot_be_is_said_while_it_is_dragged_and_nothing_is_lost
    open_station "placket"
    drag(handle(said("run_keep_out.keep_clear", "pocket edge")), -60) do
      assert_selector "[aria-live]", text: "The hole of the button pinned at 212 mm lies within the keep-out of pocket edge"
      assert_selector "g[role=button][aria-label^='#{said('run_hole.hole')}']", count: 7
    end

    assert_selector "[role=alert]", text: "The hole of the button pinned at 212 mm"
    click_button said("rows.give_up_what_was"), match: :first

    assert_selector "g[aria-label^='#{said('run_hole.hole')} 4 at 300']"
    assert_saved
  end

  def test_first_and_last_holes_are_dragged_and_an_alternative_is_picked
    open_station "placket"
    last = find("g[role=button][aria-label^='#{said('run_hole.hole')} 7']")
    drag(last.first("circle"), 20)

    assert_saved
    assert_in_delta 560, find("input[data-path='placket.last']").value.to_f, 3
    find("button[aria-pressed]", text: "8 holes\ngaps", match: :first).click

    assert_answer "8 holes"
    find("button[aria-pressed]", text: said("otherwise.in_clusters")).click

    assert_selector "input[data-path='placket.together']"
    assert_answer "8 holes"
    assert_violates_nothing
  end

  def test_a_garment_with_its_closures_and_a_mirror_image
    visit ROOM
    click_link "linen field smock"

    assert_selector "li", text: "7 holes of 22.5 mm, right over left"
    assert_violates_nothing
    within("li", text: said("term.left_cuff"), match: :first) { click_button said("garment_page.its_mirror_image") }

    assert_text "right cuff"
    open_station "print", id: 1

    select "Letter", from: said("print.paper")
    select said("print.underlap_the_buttons"), from: said("print.side")

    assert_includes find_link(said("print.strip_as_pdf", "Letter"))[:href], "paper=letter&side=underlap"
    assert_link said("print.marks_as_a_table")
  end
end
