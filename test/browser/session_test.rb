# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# At the machine: one step after the other, and the session it belongs to.
class SessionBrowserTest < BrowserTest
  include AtTheMachine

  def test_one_press_is_one_step_and_back_takes_it_back
    sew(begin_session([5]))
    was = here
    time_stands_still { find("body").send_keys(:space, :space, :enter) }

    assert_no_selector "[data-step='#{was}']"
    assert_told
    assert_equal 1, facts("step").count
    find("body").send_keys(:page_up)

    assert_selector "[data-step='#{was}']"
    assert_told
    assert_equal 0, facts("step").count
    find("[data-done]").click

    assert_no_selector "[data-step='#{was}']"
  end

  def test_the_order_is_moved_by_hand_and_says_what_that_costs
    session = begin_session(AVOCET)
    visit "#{ROOM}/sessions/#{session}"
    within("[data-order]") do
      blocks = all("li > button[aria-pressed]")
      blocks.drop(1).find do |block|
        block.click

        assert_equal "true", block["aria-pressed"]
        page.has_button?(said("timeline.earlier"), disabled: false, wait: 0)
      end
      click_button said("timeline.earlier")
    end

    assert_selector "[data-wish]", text: said("session_page.your_own_order")
    click_button said("session_page.back_to_the_best")

    assert_no_selector "[data-wish]"
    unfold said("costs.your_own_times")
    fill_in said("costs.fray_liquid_dries_minutes"), with: "soon"
    find_field(said("costs.fray_liquid_dries_minutes")).send_keys(:tab)

    assert_selector "[role=alert]", text: said("costs.whole_minutes")
  end

  def test_a_session_left_says_what_is_still_set_on_every_page
    visit ROOM
    unfold said("sit_down.sit_down_at_a")
    all("[data-sit-down] input[type=checkbox]").first.click
    click_button said("sit_down.begin_a_session")

    assert_selector "h1", text: "At "
    click_link said("session_page.at_the_machine")

    assert_selector "[data-step]"
    hurry
    page.refresh
    press_until("row:test-sew")

    assert_told
    click_link said("sew_head.leave")

    assert_selector "[data-away]"
    visit "#{ROOM}/stash"

    assert_selector "[data-still-set]", text: said("still_set.is_still_set")
  end

  def test_it_can_be_used_by_everybody
    session = begin_session(AVOCET)
    hurry
    visit "#{ROOM}/sessions/#{session}"
    unfold said("costs.your_own_times")

    assert_nothing_found
    sew(session)

    assert_nothing_found
    press_until("place-at")

    assert_nothing_found
    click_button said("sew_page.something_went_wrong")

    assert_selector "[role=dialog] [data-mishap]"
    assert_nothing_found
    find("[role=dialog] button[aria-label='#{said('dialog_body.close')}']").click
    narrow

    assert_nothing_found
    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
    box = find("[data-done]").native.rect

    assert_operator box.height, :>=, 140, "as wide as a hand"
    assert_operator page.evaluate_script("parseFloat(getComputedStyle(document.querySelector('[data-step]')).fontSize)"), :>=, 30
  end

  # Where a step is about all holes, which one it was is asked; the hole is done again.
  def test_which_hole_went_wrong_is_asked_where_nobody_can_know
    session = begin_session([5])
    hurry
    sew(session)
    press_until("seal:tails")
    click_button said("sew_page.something_went_wrong")
    find("[data-mishap='place_uncut']").click
    click_button said("mishap_dialog.the_way_out")

    assert_selector "[role=dialog] [role=alert]", text: said("mishap_dialog.say_which_hole")
    select said("forecast.hole", "2"), from: said("mishap_dialog.which_hole")
    click_button said("mishap_dialog.the_way_out")

    assert_no_selector "[role=dialog]"
    assert_includes here, ":rescue:"
    assert_told
    place = closure(5)["sheet"]["placket"]["holes"][1]["at"][said("top_bar.mm")]
    sewn = call(:get, "/api/workroom/sessions/#{session}")["closures"].first["holes"].reject { |hole| hole["sewn"] }

    assert_equal([place], sewn.map { |hole| hole["at"] })
    assert_includes call(:get, "/api/workroom/sessions/#{session}")["steps"].map { |step|
      step["key"]
    }, "sew-at-#{(place * 1000).round}"
  end
end
