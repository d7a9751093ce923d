# frozen_string_literal: true

require_relative "../browser_helper"

# The whole path, from the button in the hand to the strip on the table.
class WalkTest < BrowserTest
  def test_from_the_button_to_the_strip
    visit ROOM
    click_on "front placket"

    assert_answer said("cloth_kind.light_woven")
    click_on said("session_page.next", "Button")

    assert_answer "21 mm"
    type "button.diameter", "28L"

    assert_answer "20.78 mm"
    assert_saved
    click_on said("session_page.next", "Length")

    assert_selector "nav li[data-stage=button]", text: ", decided"

    assert_answer "22.78 mm"
    assert_selector "[data-verdict]", text: "snug"
    find("label", text: said("school.diameter_thickness")).click

    assert_selector "[data-verdict]", text: "tight"
    find("label", text: said("school.passing_geometry")).click

    assert_selector "[data-verdict]", text: "snug"
    find("main").send_keys "4"

    assert_answer "7 holes"
    type "placket.count", "8"

    assert_answer "8 holes"
    assert_selector "section[aria-label='#{said('run_picture.the_run')}'] [role=button]", count: 8
    find("[aria-label^='#{said('run_hole.hole')} 3']").click

    assert_selector "tr#mark-3.bg-primary\\/15"
    find("main").send_keys "5"

    assert_answer "4.5 mm"
    find("main").send_keys "1"
    select "Curlew, stepped"

    assert_saved
    assert_selector "nav li[data-stage=button]", text: "decided"
    assert_selector "nav li[data-stage=cloth]", text: said("thread.settled_but_stale")
    find("main").send_keys "5"

    assert_selector "[data-setting=foot]", text: said("foot.sliding_scale_foot")
    assert_text "#{said('recipe.both_beads_are')} sewn twice"
    find("main").send_keys "6"

    assert_selector "[data-missing]", text: said("stage.no_test_hole_is")
    click_on said("look_form.something_else_is_seen")
    check said("symptom.puckers_or_a_tunnel")
    log_hole("23")

    assert_answer said("troubleshooter.add_a_second_layer_2")
    click_on said("advice.make_this_change")
    2.times do |number|
      assert_selector "ol li", text: "23 mm", count: number + 1
      log_hole("23")
    end

    assert_answer said("advice.usable")
    click_on said("advice.use_these_settings")

    assert_selector "[data-frozen]", text: said("frozen_note.held_by_swatch", "3")

    assert_selector ".badge", text: said("swatch_log.in_use")
    assert_selector "nav li[data-stage=recipe]", text: ", decided"
    find("main").send_keys "7"
    2.times { click_on said("sew_page.done") }

    assert_selector "header [role=status]", text: said("machine_page.all_saved")
    within("[data-fold=sew-steps]") { check said("steps.fit_the", "sliding scale foot (the long frame)") }

    assert_selector "aside", text: said("foot.sliding_scale_foot")
    find("main").send_keys "8"

    assert_answer "3 mm"
    pick "[data-path='attach.pattern']", "cross"

    assert_answer "4 mm"
    find("main").send_keys "9"

    assert_answer "1 : 1"
    assert_link said("print.strip_as_pdf", "A4")
    strip = find("main img")
    page.evaluate_async_script("const image = document.querySelector('main img'); image.decode().then(arguments[0])")

    assert_operator strip.evaluate_script("this.naturalHeight"), :>, 500
  end

  def test_another_diameter_moves_opening_run_marks_steps_and_strip
    before = closure
    open_station "button"
    type "button.diameter", "1\""

    assert_answer "28.4 mm"
    assert_saved
    after = closure

    %w[opening placket].each { |room| refute_equal before["sheet"][room], after["sheet"][room] }
    assert_equal "25.4 mm", after["plan"]["button.diameter"]["text"]
    steps = ->(found) { found["sheet"]["sewing"]["steps"].map { |step| step["does"] } }

    refute_equal steps.call(before), steps.call(after)
    assert_includes call(:get, "/api/closures/1/strip.svg"), "r=\"12.7\""
  end

  def test_undo_and_redo_by_key_and_from_the_history
    open_station "button"
    type "button.diameter", "20"

    assert_answer "23 mm"
    assert_saved
    find("main").send_keys [:control, "z"]

    assert_answer "21 mm"
    find("main").send_keys [:control, :shift, "z"]

    assert_answer "23 mm"
    click_on said("top_bar.history")
    within("[role=dialog]") do
      assert_text "diameter 18 → 20 mm"
      click_on said("history.bring_back")
    end

    assert_answer "21 mm"
  end

  def test_a_closure_of_ones_own
    visit ROOM
    fill_in said("garment_page.garment"), with: "storm hood"
    click_button said("begin_form.begin")

    assert_text said("field.this_needs_a_name")
    fill_in said("begin_form.closure"), with: "throat strap"
    select said("button_shape.cord_or_drawstring"), from: said("begin_form.what_goes_through")
    click_button said("begin_form.begin")

    assert_selector "nav li[data-stage=button]", text: said("supplies.cord")
    assert_answer said("cloth_kind.light_woven")
    find("main").send_keys "2"
    find("label", text: said("button_shape.flat_disc_square_edge")).click

    assert_answer "17.5 mm"
    type "button.name", "horn disc"
    click_on said("button.keep_on_the_shelf")

    assert_selector "[role=alert]", text: "Measure the thickness"
    type "button.thickness", "3"

    assert_answer "18 mm"
    click_on said("button.keep_on_the_shelf")

    assert_text said("button.is_on_the_shelf", "horn disc")
    visit ROOM

    # By key: what is told meanwhile may move the list under a pointer.
    find_link("storm hood", exact: true).send_keys :enter
    click_on said("workroom_page.remove", "throat strap")

    assert_no_selector "[data-parts] a", text: "throat strap"
    click_on said("shelf_page.put_it_back")

    assert_selector "[data-parts] a", text: "throat strap"
    visit ROOM

    assert_selector "h3", text: "storm hood"
  end

  def test_inches_for_people_with_inch_rulers
    open_station "button"
    select said("top_bar.inches")

    assert_field said("stash_form.diameter"), with: "23/32 in"
    type "button.diameter", "3/4"
    find("input[data-path='button.diameter']").send_keys :tab

    assert_saved
    assert_field said("stash_form.diameter"), with: "3/4 in"
    find("main").send_keys "3"
    # The ruler comes with the unit; what is on the machine is never converted.
    assert_answer(%r{\A\d*/?\d+ ?[\d/]* in\z})
    assert_text(%r{Ease of \d+/\d+ in})
    assert_selector "option:checked", text: said("ruler.sixteenths_of_an_inch")
    find("main").send_keys "5"

    assert_answer "4.5 mm"
  end

  def test_pins_and_keep_outs_are_added_and_removed
    open_station "placket"
    within("section", text: said("placket.points_to_pin"), match: :first) do
      fill_in said("rows.new", said("placket.from_the_top")), with: "300"
      fill_in said("rows.new", said("placket.which_point")), with: "waist"
      click_on said("placket.pin")
    end

    assert_selector "td", text: "308 mm · waist"
    within("section", text: said("placket.stretches_to_keep_clear"), match: :first) { click_on said("rows.remove_row", "1") }

    assert_saved
    assert_equal [2, 0], closure["plan"].values_at("placket.pins", "placket.keep_outs").map(&:size)
  end

  def test_shank_buttons_are_not_for_the_machine
    open_station "attach", id: 5

    assert_answer said("attach.not_by_machine")
    assert_text said("attach_habits.removable_pin")
  end
end
