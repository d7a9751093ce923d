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
    find("main").send_keys "3"

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

  def test_what_if_the_cloth_gives_more
    open_station "opening"

    assert_selector "[data-if-it-gives]", text: "This slit at 0 % stretch: snug"
    find("input[type=range]").send_keys :end

    # A firm strip inside does not give, whatever the cloth does; a sheet that is torn away holds nothing.
    assert_selector "[data-if-it-gives]", text: "This slit at 50 % stretch: snug"
    save({ recipe: { stabiliser: "thin paper of one's own" } })
    open_station "opening"
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

    # What is set is the wanted opening and what was learned; the answer stays what is wanted.
    assert_text "22.23 mm is wanted"
    find("label", text: "passing geometry").click
    select "half millimetres"

    assert_answer "22.5 mm"
    type "opening.correction", "2"

    assert_selector "[data-setting]", text: "24.5 mm between the two stops"
    assert_answer "22.5 mm"
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

    assert_in_delta 2.25, ends
  end

  def test_another_cloth_changes_the_recipe_and_says_why
    open_station "cloth"
    select "ribbed merino, knit, 220 g/m²"

    assert_answer "knit"
    type "cloth.layers", "14"

    assert_selector "[role=alert]", text: "whole number from 1 to 12"
    type "cloth.layers", "3"

    assert_saved
    find("main").send_keys "5"

    assert_selector "[data-setting=style]", text: "stretch, open zigzag"
    assert_text "Knits stretch"
    assert_equal "stretch", closure["sheet"]["swatch"]["with"]["recipe.style"]
    open_station "cloth"
    # Another kind begins with what is typical for it.
    find("select[data-path='cloth.kind']").select "film-coated"

    assert_saved
    assert_equal ["0.4 mm", "250"], [closure["plan"]["cloth.thickness"]["text"], closure["plan"]["cloth.weight"]]
    find("main").send_keys "5"

    assert_selector "[data-setting=stabiliser]", text: "tear-away under the hole"
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

    assert_answer "light woven"
  ensure
    world.serve(port: BrowserTest.port) unless world.serving?
  end

  def test_a_cord_goes_through_all_stages_and_nothing_is_sewn_on
    open_station "opening", id: 8

    assert_answer "5 mm"
    assert_selector "[data-says]", text: "Your cord runs through a round hole of 5 mm."
    assert_no_selector "nav li[data-stage=attach]"
    find("main").send_keys "2"

    assert_no_text "Sewn on through"
    type "button.diameter", "8"

    assert_saved
    find("main").send_keys "3"
    # An eyelet as wide as that is wider than the needle swings: a slit, πd/2 and 2.
    assert_selector "[data-says]", text: "needs a slit"
    find("main").send_keys "7"

    assert_answer "Fit a new needle"
    assert_no_text "Sew the buttons"
  end

  def test_a_swatch_half_filled_in_survives_a_reload_and_a_mistake
    open_station "swatch"
    click_on "Log it"

    assert_selector "[role=alert]", text: "Say what you saw"
    click_on "Something else is seen on it"
    check "puckers or a tunnel"
    looks "The bead that was sewn away" => "a little cloth shows", "The bead that was sewn toward" => "a little cloth shows"
    fill_in "The slit as measured", with: "long"
    fill_in "Something else", with: "second try"
    visit current_path

    assert_checked_field "puckers or a tunnel"
    assert_field "Something else", with: "second try"
    click_on "Log it"

    assert_selector "[role=alert]", text: "Write a length"
    fill_in "The slit as measured", with: "22.5"
    click_on "Log it"

    assert_answer "Shorten the stitch from 0.4 to 0.3"
    assert_selector "[data-more-changes]", text: "Add a second layer"
    assert_selector "[data-remark]", text: "as it was wanted"
    assert_selector "figure", text: "Stitch length"
    assert_field "Something else", with: ""
    click_on "Make them all"

    assert_answer "Changed: sew the next one."
  end

  def test_steps_go_back_and_forth_and_what_was_passed_over_leads_to_its_step
    open_station "sewing"
    click_on "Done"

    assert_answer "Thread all-purpose polyester (tex 27 polyester)"
    click_on "Back one step"

    assert_answer "Fit a new needle"
    check "Fit the carriage foot (the sledge)."

    assert_text "Passed over: Fit a new needle"
    assert_answer "Fit a new needle"
    click_on "Fit a new needle: universal 80/12.", match: :first

    assert_includes URI(current_url).fragment.to_s, "step-needle"
    assert_saved
    visit current_path

    assert_checked_field "Fit the carriage foot (the sledge)."
  end

  # A ticked step knows what it was done with; a hole that is sewn stays, or is done again.
  def test_the_plan_moves_on_after_a_hole_is_sewn
    tick("sew-7")
    open_station "button"
    type "button.diameter", "20"

    assert_saved
    find("main").send_keys "7"

    assert_selector "[data-outdated-steps]", text: "done with 22.5 mm, the plan says 24.5 mm"
    assert_selector "line[data-sewn]", count: 1, visible: :all
    click_on "Keep it as sewn"

    assert_no_selector "[data-outdated-steps]"
    assert_saved
    hole = closure["sheet"]["placket"]["holes"].last

    assert_equal [true, "22.5 mm"], [hole["sewn"], hole["opening"]["text"]]
    assert_violates_nothing
  end

  def test_the_needle_that_would_strike_is_not_offered_to_the_machine
    open_station "attach"
    type "attach.width", "5"

    assert_answer "Not by machine"
    assert_text "Set the width to 3: there it clears most."
    type "attach.width", ""
    find("input[data-path='attach.width']").send_keys :tab

    assert_selector "[data-verdict]", text: "room enough"
  end
end
