# frozen_string_literal: true

require_relative "../browser_helper"

# What each station does beyond the first walk.
class StationsTest < BrowserTest
  def test_a_button_off_the_shelf_fills_every_field
    open_station "button"
    select "horn dome 22, domed, flat back, 22 mm"

    assert_answer "25.54 mm"
    assert_field said("stash_form.thickness"), with: "8 mm"
    assert_no_field said("stash_form.hole_spacing")
    find("label", text: /\Aball\z/).click

    assert_answer "34.56 mm"
    assert_no_field said("stash_form.thickness")
    assert_saved
    assert_equal %w[ball shank], closure["plan"].values_at("button.shape", "button.attachment")
  end

  # A save answers the stage in view alone: one opened at once asks for its own, and shows nothing before.
  def test_every_stage_opens_right_after_a_save
    open_station "button"
    %w[1 3 4 5 6 7 8 9].each_with_index do |key, index|
      find("main").send_keys "2"
      type "button.diameter", (18 + (index / 2.0)).to_s

      assert_saved
      find("main").send_keys key

      assert_selector "main[aria-label='#{closure['sheet']['stages'][key.to_i - 1]['title']}']:not([aria-busy])"
      assert_selector "main [data-answer], main [data-step], main [data-sheets], main h2", minimum: 1
    end
  end

  def test_buttons_that_are_no_discs
    open_station "button"
    find("label", text: said("button_shape.square_or_rectangle")).click
    type "button.width", "12"

    assert_answer "15 mm"
    find("label", text: said("button_shape.many_corners")).click
    type "button.outline", "0 0, 20 0, 20 10, 0 10"

    assert_answer "13 mm"
    assert_selector "svg polygon[points='-10,-5 10,-5 10,5 -10,5']"
    type "button.outline", "0 0, 20 10, 20 0, 0 10"

    assert_selector "[role=alert]", text: said("outline.crosses_itself")
    find("label", text: said("button_shape.bar_or_toggle")).click

    assert_field said("card_pdf.length")
    assert_no_field said("stash_form.smallest_width")
    select "oyster 24, irregular, 24 mm"

    assert_answer "21 mm"
    assert_saved
    find("main").send_keys "3"

    assert_text said("button_shape.turned_to_its_narrowest")
  end

  def test_measuring_more_than_once
    open_station "button"
    unfold said("measuring.how_to_measure_it")
    fill_in said("measuring.reading", "1"), with: "19"
    fill_in said("measuring.reading", "2"), with: "19.2"

    assert_selector "[data-readings]", text: "Mean 19.1 mm, spread 0.2 mm"
    fill_in said("measuring.reading", "3"), with: "20"

    assert_text said("readings.number_is_the_odd", "3")
    fill_in said("measuring.reading", "3"), with: "twenty"

    assert_selector "[role=alert]", text: said("look_at_it.write_a_length")
    fill_in said("measuring.reading", "3"), with: "19.4"
    click_on said("measuring.another")
    click_on said("measuring.a_set_use_the", "diameter")

    assert_answer "22.4 mm"
    assert_saved
  end

  def test_what_if_the_cloth_gives_more
    open_station "opening"

    assert_selector "[data-if-it-gives]", text: "#{said('slit_length.this_slit_at_stretch', '0')} snug"
    find("input[type=range]").send_keys :end

    # A firm strip inside does not give, whatever the cloth does; a sheet that is torn away holds nothing.
    assert_selector "[data-if-it-gives]", text: "#{said('slit_length.this_slit_at_stretch', '50')} snug"
    save({ recipe: { stabiliser: "thin paper of one's own" } })
    open_station "opening"
    find("input[type=range]").send_keys :end

    assert_selector "[data-if-it-gives]", text: "#{said('slit_length.this_slit_at_stretch', '50')} slips out"
  end

  def test_the_allowance_is_asked_for_where_a_school_needs_it
    open_station "opening"

    assert_no_field said("slit_length.fixed_allowance")
    find("label", text: said("school.diameter_fixed_allowance")).click
    type "opening.allowance", "1/8"

    assert_answer "21.5 mm"
    assert_selector "[data-verdict]", text: "tight"
    select said("ruler.sixteenths_of_an_inch")

    # What is set is the wanted opening and what was learned; the answer stays what is wanted.
    assert_text said("slit_length.is_wanted", "22.23 mm")
    find("label", text: said("school.passing_geometry")).click
    select said("ruler.half_millimetres")

    assert_answer "22.5 mm"
    type "opening.correction", "2"

    assert_selector "[data-setting]", text: said("setting.between_the_two_stops", "24.5 mm")
    assert_answer "22.5 mm"
  end

  def test_holes_across_the_run
    open_station "placket"
    pick "[data-path='placket.orientation']", "horizontal"

    assert_selector "th", text: said("placket.outer_end_beyond_centre")
    assert_no_text said("placket.button_sits")
    type "placket.extension", "14"

    assert_text said("edge.at_least_is_wanted", "10 mm")
    type "placket.extension", "20"

    assert_no_text said("edge.at_least_is_wanted", "10 mm")
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
    find("[data-setting=stitch_length]").click
    type "recipe.stitch_length", "0.6"

    assert_selector "[data-setting=stitch_length]", text: "0.6 mm"
    assert_text said("density_choice.below_the_band")
    click_on said("recipe.as_the_rules_say")

    assert_selector "[data-setting=stitch_length]", text: "0.4 mm"
    find("[data-setting=style]").click
    find("select[data-path='recipe.style']").select "keyhole"

    assert_selector "[data-setting=style]", text: "keyhole"
    assert_saved
    ends = closure["sheet"]["opening"].values_at("overall", "length").map { |length| length[said("top_bar.mm")] }.reduce(:-)

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

    assert_selector "[data-setting=style]", text: said("style.stretch_open_zigzag")
    assert_text said("style_rules.knits_stretch")
    assert_equal "stretch", closure["sheet"]["swatch"]["with"]["recipe.style"]
    open_station "cloth"
    # Another kind begins with what is typical for it.
    find("select[data-path='cloth.kind']").select "film-coated"

    assert_saved
    assert_equal ["0.4 mm", "250"], [closure["plan"]["cloth.thickness"]["text"], closure["plan"]["cloth.weight"]]
    find("main").send_keys "5"

    assert_selector "[data-setting=stabiliser]", text: said("stabiliser.tear_away_under_the")
  end

  def test_from_one_closure_to_another_at_the_same_station
    open_station "opening"
    click_on said("top_bar.another_closure_now", "linen field smock", "front placket")
    find("[role=menuitem]", text: said("term.left_cuff")).click

    assert_current_path "#{ROOM}/closures/2/length"
    assert_answer "14.5 mm"
    assert_equal "Length: left cuff, linen field smock", page.title
    page.go_back

    assert_answer "22.5 mm"
  end

  def test_a_cord_goes_through_all_stages_and_nothing_is_sewn_on
    open_station "opening", id: 8

    assert_answer "5 mm"
    assert_selector "[data-says]", text: said("opening.your_runs_through_a", "cord", "5 mm")
    assert_no_selector "nav li[data-stage=attach]"
    find("main").send_keys "2"

    assert_no_text said("stash_form.sewn_on_through")
    type "button.diameter", "8"

    assert_saved
    find("main").send_keys "3"
    # An eyelet as wide as that is wider than the needle swings: a slit, πd/2 and 2.
    assert_selector "[data-says]", text: said("opening.needs_a_slit")
    find("main").send_keys "7"

    assert_answer said("steps.fit_a_new_needle")
    assert_no_text "Sew the buttons"
  end

  def test_a_swatch_half_filled_in_survives_a_reload_and_a_mistake
    open_station "swatch"
    click_on said("look_form.log_it")

    assert_selector "[role=alert]", text: said("swatch.say_what_you_saw")
    click_on said("look_form.something_else_is_seen")
    check said("symptom.puckers_or_a_tunnel")
    looks "bead_away" => "thin", "bead_back" => "thin"
    fill_in said("look_form.the_slit_as_measured"), with: "long"
    fill_in said("mishap_dialog.something_else"), with: "second try"
    visit current_path

    assert_checked_field said("symptom.puckers_or_a_tunnel")
    assert_field said("mishap_dialog.something_else"), with: "second try"
    click_on said("look_form.log_it")

    assert_selector "[role=alert]", text: said("look_at_it.write_a_length")
    fill_in said("look_form.the_slit_as_measured"), with: "22.5"
    click_on said("look_form.log_it")

    assert_answer "Shorten the stitch from 0.4 to 0.3"
    assert_selector "[data-more-changes]", text: said("troubleshooter.add_a_second_layer")
    assert_selector "[data-remark]", text: said("diagnosis.as_it_was_wanted")
    assert_selector "figure", text: said("simulator.stitch_length")
    assert_field said("mishap_dialog.something_else"), with: ""
    click_on said("advice.make_them_all")

    assert_answer said("advice.settings_changed")
  end

  def test_steps_go_back_and_forth_and_what_was_passed_over_leads_to_its_step
    open_station "sewing"
    click_on said("sew_page.done")

    assert_answer "Thread all-purpose polyester, number 110"
    click_on said("sew_page.back_one_step")

    assert_answer said("steps.fit_a_new_needle")
    within("[data-fold=sew-steps]") { check said("steps.fit_the", "buttonhole foot (the sledge)") }

    assert_text "#{said('sewing.passed_over')} #{said('steps.fit_a_new_needle')}"
    assert_answer said("steps.fit_a_new_needle")
    click_on said("steps.fit_a_new_needle_2", "universal 80/12"), match: :first

    assert_includes URI(current_url).fragment.to_s, "step-needle"
    assert_saved
    visit current_path

    assert_checked_field said("steps.fit_the", "buttonhole foot (the sledge)")
  end

  # A ticked step knows what it was done with; a hole that is sewn stays, or is done again.
  def test_the_plan_moves_on_after_a_hole_is_sewn
    tick("sew-7")
    open_station "button"
    type "button.diameter", "20"

    assert_saved
    find("main").send_keys "7"

    assert_selector "[data-outdated-steps]", text: said("sewing.done_with_the_plan", "22.5 mm", "24.5 mm")
    assert_selector "line[data-sewn]", count: 1, visible: :all
    click_on said("step_row.keep_it_as_sewn")

    assert_no_selector "[data-outdated-steps]"
    assert_saved
    hole = closure["sheet"]["placket"]["holes"].last

    assert_equal [true, "22.5 mm"], [hole["sewn"], hole["opening"]["text"]]
    assert_violates_nothing
  end

  def test_the_needle_that_would_strike_is_not_offered_to_the_machine
    open_station "attach"
    type "attach.width", "5"

    assert_answer said("attach.not_by_machine")
    assert_text said("attaching.set_the_width_to", "3")
    type "attach.width", ""
    find("input[data-path='attach.width']").send_keys :tab

    assert_selector "[data-verdict]", text: said("attaching.room_enough")
  end
end
