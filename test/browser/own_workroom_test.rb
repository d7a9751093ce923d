# frozen_string_literal: true

require_relative "../browser_helper"

# A workroom of one's own, what happened in it, and the words of the craft.
class OwnWorkroomTest < BrowserTest
  def test_a_workroom_of_ones_own_from_begin_to_the_printed_strip
    visit "/"
    fill_in "What it is called", with: "Heron Cottage"
    click_button "Begin it"

    assert_selector "h2", text: "The first three moves"
    assert_violates_nothing
    fill_in "Garment", with: "oilskin jacket"
    fill_in "Closure", with: "storm flap"
    click_button "Begin"

    assert_selector "[role=alert]", text: "machine"
    click_link "Say which machine you sew on"
    fill_in "What you call it", with: "Dunlin"
    find("label", text: "stepped").click
    click_button "Another foot"
    click_button "Put it in the workroom"

    assert_selector "[role=status]", text: "All saved"
    click_link "Workroom"
    click_button "Begin"

    assert_answer "light woven"
    click_button "Next: Button"

    assert_selector "nav li[data-stage=cloth]", text: ", settled"
    type "button.diameter", "22"
    find("main").send_keys "4"
    type "placket.run_length", "480"
    find("input[data-path='placket.run_length']").send_keys :tab

    assert_saved
    find("main").send_keys "9"

    assert_answer "1 : 1"
    strip = URI(find_link("Strip as PDF, A4")[:href]).path

    assert_equal "%PDF-", call(:get, strip)[0, 5]
    assert_equal 9, db[:closures].where(workroom_id: 1).count, "the sample is as it was"
    visit "/w/marsh-walk"

    assert_no_text "oilskin jacket"
    visit "/"
    click_button "Put away Heron Cottage"
    click_button "Take Heron Cottage back"

    assert_selector "h2", text: "oilskin jacket"
  end

  def test_undo_right_after_a_tick_offers_to_withdraw_it_and_the_log_shows_that
    open_station "sewing"
    click_button "Done"

    assert_answer "Thread all-purpose polyester"
    assert_saved
    find("main").send_keys [:control, "z"]
    within("[role=dialog]") { click_button "Withdraw it" }

    assert_answer "Fit a new needle"
    assert_saved
    visit "#{ROOM}/closures/1/log"

    assert_selector "li .line-through", text: "needle"
    fill_in "A note", with: "new needle"
    click_button "Note it"

    assert_selector "li", text: "new needle"
    assert_violates_nothing
  end

  def test_a_word_of_the_craft_says_what_it_means
    open_station "opening"
    click_button "overall"

    assert_text "overall length: The opening and the finish of both its ends."
    assert_violates_nothing
  end
end
