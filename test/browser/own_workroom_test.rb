# frozen_string_literal: true

require_relative "../browser_helper"

# A workroom of one's own, what happened in it, and the words of the craft.
class OwnWorkroomTest < BrowserTest
  def test_a_workroom_of_ones_own_from_begin_to_the_printed_strip
    visit "/"
    fill_in said("workrooms_page.what_it_is_called"), with: "Heron Cottage"
    click_button said("workrooms_page.begin_it")

    assert_selector "h2", text: said("first_moves.the_first_three_moves")
    assert_violates_nothing
    fill_in said("garment_page.garment"), with: "oilskin jacket"
    fill_in said("begin_form.closure"), with: "storm flap"
    click_button said("begin_form.begin")

    assert_selector "[role=alert]", text: "machine"
    click_link said("first_moves.say_which_machine_you")
    fill_in said("machine_page.what_you_call_it"), with: "Dunlin"
    find("label", text: "stepped").click
    click_button said("machine_page.put_it_in_the")

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_equal ["sliding_scale_foot"], db[:feet].where(machine_id: db[:machines].max(:id)).select_map(:kind), "the foot of its kind"
    click_link said("page_bar.workroom")
    click_button said("begin_form.begin")

    assert_answer said("cloth_kind.light_woven")
    click_button said("session_page.next", "Button")

    assert_selector "nav li[data-stage=cloth]", text: ", decided"
    type "button.diameter", "22"
    find("main").send_keys "4"
    type "placket.run_length", "480"
    find("input[data-path='placket.run_length']").send_keys :tab

    assert_saved
    find("main").send_keys "9"

    assert_answer "1 : 1"
    strip = URI(find_link(said("print.strip_as_pdf", "A4"))[:href]).path

    assert_equal "%PDF-", call(:get, strip)[0, 5]
    assert_equal 12, db[:closures].where(workroom_id: 1).count, "the sample is as it was"
    visit "/w/marsh-walk"

    assert_no_text "oilskin jacket"
    visit "/"
    click_button said("workrooms_page.set_aside", "Heron Cottage")
    click_button said("workrooms_page.take_back", "Heron Cottage")

    assert_selector "h3", text: "oilskin jacket"
  end

  def test_undo_right_after_a_tick_offers_to_withdraw_it_and_the_log_shows_that
    open_station "sewing"
    click_button said("sew_page.done")

    assert_answer "Thread all-purpose polyester"
    assert_saved
    find("main").send_keys [:control, "z"]
    within("[role=dialog]") { click_button said("top_bar.withdraw_it") }

    assert_answer said("steps.fit_a_new_needle")
    assert_saved
    visit "#{ROOM}/closures/1/log"

    assert_selector "li .line-through", text: said("hole_turn.needle")
    fill_in said("log_page.a_note"), with: "new needle"
    click_button said("shelf_count.note_it")

    assert_selector "li", text: said("steps.new_needle")
    assert_violates_nothing
  end

  def test_a_word_of_the_craft_says_what_it_means
    open_station "opening"
    click_button "overall"

    assert_text "#{said('slit_length.overall')}: The opening and the finish of both its ends."
    assert_violates_nothing
  end
end
