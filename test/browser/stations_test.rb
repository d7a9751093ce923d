# frozen_string_literal: true

require_relative "../browser_helper"

# What each station does beyond the first walk.
class StationsTest < BrowserTest
  def test_a_button_off_the_shelf_fills_every_field
    open_station "button"
    select "horn dome 22, domed, flat back, 22 mm"

    assert_answer "25.54 mm"
    assert_field "Thickness", with: "8 mm"
    assert_no_field "Hole spacing"
    find("label", text: /\Aball\z/).click

    assert_answer "34.56 mm"
    assert_no_field "Thickness"
    assert_saved
    assert_equal %w[ball shank], closure["plan"].values_at("button.shape", "button.attachment")
  end

  def test_buttons_that_are_no_discs
    open_station "button"
    find("label", text: "square or rectangle").click
    type "button.width", "12"

    assert_answer "15 mm"
    find("label", text: "many corners").click
    type "button.outline", "0 0, 20 0, 20 10, 0 10"

    assert_answer "13 mm"
    assert_selector "svg polygon[points='-10,-5 10,-5 10,5 -10,5']"
    type "button.outline", "0 0, 20 10, 20 0, 0 10"

    assert_selector "[role=alert]", text: "crosses itself"
    find("label", text: "bar or toggle").click

    assert_field "Length"
    assert_no_field "Smallest width"
    select "oyster 24, irregular, 24 mm"

    assert_answer "21 mm"
    assert_saved
    find("main").send_keys "2"

    assert_text "turned to its narrowest"
  end

  def test_measuring_more_than_once
    open_station "button"
    find("summary", text: "How to measure it").click
    fill_in "Reading 1", with: "19"
    fill_in "Reading 2", with: "19.2"

    assert_selector "[data-readings]", text: "Mean 19.1 mm, spread 0.2 mm"
    fill_in "Reading 3", with: "20"

    assert_text "number 3 is the odd one out"
    fill_in "Reading 3", with: "twenty"

    assert_selector "[role=alert]", text: "Write a length"
    fill_in "Reading 3", with: "19.4"
    click_on "Another"
    click_on "A set: use the largest as diameter"

    assert_answer "22.4 mm"
    assert_saved
  end

  def test_an_opening_that_is_not_for_a_button
    open_station "opening"
    find("summary", text: "not for a button").click
    fill_in "Thickness", with: "4"

    assert_selector "[data-plain]", text: "8.5 mm"
    select "ribbon"

    assert_selector "[data-plain]", text: "6 mm"
    fill_in "Width", with: "broad"

    assert_selector "[role=alert]", text: "Write a length"
  end

  def test_what_if_the_cloth_gives_more
    open_station "opening"

    assert_selector "[data-if-it-gives]", text: "This slit at 0 % stretch: snug"
    find("input[type=range]").send_keys :end

    assert_selector "[data-if-it-gives]", text: "This slit at 50 % stretch: slips out"
  end

  def test_the_allowance_is_asked_for_where_a_school_needs_it
    open_station "opening"

    assert_no_field "Fixed allowance"
    find("label", text: "diameter + fixed allowance").click
    type "opening.allowance", "1/8"

    assert_answer "21.5 mm"
    assert_selector "[data-verdict]", text: "tight"
    select "sixteenths of an inch"

    assert_answer "22.23 mm"
    type "opening.correction", "2"

    assert_answer "23.81 mm"
    assert_text "2 mm more, as the test hole showed."
  end

  def test_holes_across_the_run
    open_station "placket"
    find("label", text: "across the run").click

    assert_selector "th", text: "Outer end beyond centre"
    assert_no_text "Button sits"
    type "placket.extension", "14"

    assert_text "at least 10 mm is wanted"
    type "placket.extension", "20"

    assert_no_text "at least 10 mm is wanted"
  end

  def test_alternatives_are_picked_and_given_up
    open_station "placket"
    find("button", text: "8 holes", match: :first).click

    assert_answer "8 holes"
    assert_selector "button[aria-pressed=true]", text: "8 holes"
    type "placket.count", ""
    find("input[data-path='placket.count']").send_keys :tab

    assert_answer "7 holes"
  end

  def test_a_setting_is_overruled_and_given_back_to_the_rules
    open_station "recipe"
    click_on "Change stitch length"
    type "recipe.stitch_length", "0.6"

    assert_selector "[data-setting=stitch_length]", text: "0.6 mm"
    assert_text "below the band"
    click_on "As the rules say"

    assert_selector "[data-setting=stitch_length]", text: "0.4 mm"
    click_on "Change style"
    find("select[data-path='recipe.style']").select "keyhole"

    assert_selector "[data-setting=style]", text: "keyhole"
    assert_saved
    ends = closure["sheet"]["opening"].values_at("overall", "length").map { |length| length["mm"] }.reduce(:-)

    assert_in_delta 5.25, ends
  end

  def test_another_cloth_changes_the_recipe_and_says_why
    open_station "recipe"
    select "ribbed merino, knit, 220 g/m²"

    assert_selector "[data-setting=style]", text: "stretch, open zigzag"
    assert_text "Knits stretch"
    find("summary", text: "The cloth and thread in figures").click
    type "cloth.layers", "14"

    assert_selector "[role=alert]", text: "whole number from 1 to 12"
    type "cloth.layers", "3"

    assert_saved
    select "coated canvas, coated or waxed, 380 g/m²"

    assert_selector "[data-setting=stabiliser]", text: "tear-away or paper"
  end

  def test_a_swatch_half_filled_in_survives_a_reload_and_a_mistake
    open_station "swatch"
    check "puckers or a tunnel"
    fill_in "Opening as measured", with: "long"
    fill_in "Note", with: "second try"
    visit current_path

    assert_checked_field "puckers or a tunnel"
    assert_field "Note", with: "second try"
    click_on "Log it"

    assert_selector "[role=alert]", text: "Write a length"
    assert_field "Note", with: "second try"
    fill_in "Opening as measured", with: "22"
    click_on "Log it"

    assert_answer "Add a second layer"
    assert_field "Note", with: ""
    assert_text "second try"
  end

  def test_steps_go_back_and_forth_and_tell_what_was_passed_over
    open_station "sewing"
    click_on "Done"

    assert_answer "Try the garment on"
    click_on "Back one step"

    assert_answer "Stabilise"
    check "Fit the needle: universal 75/11."

    assert_text "Passed over: Stabilise"
    assert_saved
    visit current_path

    assert_checked_field "Fit the needle: universal 75/11."
    assert_text "Passed over"
  end

  def test_the_needle_that_would_strike
    open_station "attach"
    type "attach.width", "5"

    assert_selector "[data-verdict]", text: "strikes"
    assert_text "Another width, a finer needle, or by hand."
    type "attach.width", ""
    find("input[data-path='attach.width']").send_keys :tab

    assert_selector "[data-verdict]", text: "room enough"
  end

  def test_from_one_closure_to_another_at_the_same_station
    open_station "opening"
    click_on "Another closure: now linen field smock, front placket"
    find("[role=menuitem]", text: "left cuff").click

    assert_current_path "#{ROOM}/closures/2/opening"
    assert_answer "14.5 mm"
    assert_equal "Opening: left cuff, linen field smock", page.title
    page.go_back

    assert_answer "22.5 mm"
  end

  def test_a_server_that_is_away_at_first
    world.stop_serving
    begin
      visit "#{ROOM}/closures/1/button"
    rescue Selenium::WebDriver::Error::UnknownError
      # The page itself cannot be had.
    end
    world.serve(port: BrowserTest.port)
    visit ROOM

    assert_selector "h1", text: "Marsh Walk"
    world.stop_serving
    click_on "front placket"

    assert_text "The server does not answer"
    world.serve(port: BrowserTest.port)

    assert_answer "21 mm"
  ensure
    world.serve(port: BrowserTest.port) unless world.serving?
  end
end
