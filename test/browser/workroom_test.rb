# frozen_string_literal: true

require_relative "../browser_helper"
require "tempfile"

# The pages beside the table: the stash, the machines, the habits of the house; and the caliper.
class WorkroomPageTest < BrowserTest
  def file(text)
    Tempfile.create(["stash", ".csv"]) do |csv|
      csv.write(text)
      csv.flush
      yield csv.path
    end
  end

  def test_a_file_is_looked_through_before_it_is_brought_in
    visit "#{ROOM}/stash"

    assert_selector "main li", count: 12
    click_button said("shelf_page.from_a_file")
    rows = "marsh pearl,flat,two_holes,13,3,4\nflawed,flat,two_holes,,3,1\n"
    file("name,shape,attachment,diameter_mm,thickness_mm,owned\n#{rows}") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[data-import]", text: "1 #{said('import_panel.would_be_new')}"
      assert_selector "td", text: "bad: diameter: Write a length"
      assert_text "12 #{said('stash_page.kinds_of_button')}"
      click_button said("import_panel.bring_in", "1", "button")

      assert_selector "[data-import]", text: "1 #{said('import_panel.are_new')}"
      assert_text "13 #{said('stash_page.kinds_of_button')}"
    end
    fill_in said("stash_page.search_by_name_shape"), with: "pearl"

    assert_selector "main li", count: 1
  end

  def test_a_button_typed_into_the_stash_survives_a_reload_and_can_be_put_back
    visit "#{ROOM}/stash"
    click_button said("stash_form.a_new_button")
    fill_in said("import_panel.name"), with: "pebble"
    fill_in said("stash_form.diameter"), with: "wide"
    click_button said("stash_form.put_it_in_the")

    assert_selector "[role=alert]", text: said("look_at_it.write_a_length")
    visit "#{ROOM}/stash"

    assert_field said("stash_form.diameter"), with: "wide"
    fill_in said("stash_form.diameter"), with: "28L"
    fill_in said("stash_form.thickness"), with: "3"
    click_button said("stash_form.put_it_in_the")

    assert_selector "main li", text: "17.78 mm"
    within("main li", text: "pebble") do
      2.times { click_button said("stash_row.one_more", "pebble") }

      assert_selector "[aria-label='#{said('stash_row.of_them', '2')}']"
      click_button said("stash_row.take_out")
    end

    assert_no_selector "main li", text: "pebble"
    click_button said("shelf_page.put_it_back")

    assert_selector "main li", text: "pebble"
    assert_violates_nothing
  end

  def test_the_caliper_reads_into_the_field_somebody_is_in
    open_station "button"
    unfold said("caliper.open_its_jaws")
    fill_in said("caliper.between_the_jaws"), with: "20.5"
    find("input[data-path='button.diameter']").click
    send_keys [:alt, "c"]

    eventually { assert_match(/\A20\.(4[7-9]|5[0-3])/, find("input[data-path='button.diameter']").value) }
    assert_saved
    unfold said("measuring.how_to_measure_it")
    find("input[aria-label='#{said('measuring.reading', '1')}']").click
    send_keys [:alt, "c"]
    click_button said("caliper.mm_in")
    find("input[aria-label='#{said('measuring.reading', '2')}']").click
    send_keys [:alt, "c"]

    assert_field said("measuring.reading", "2"), with: / in\z/
    assert_selector "[data-readings]", text: "20."
  end

  def test_a_habit_is_followed_until_a_closure_goes_its_own_way
    visit "#{ROOM}/habits"
    find("[data-habit='opening.school'] label", text: said("closure_fields.fixed_allowance")).click

    assert_selector "[data-habit='opening.school'] label.border-primary", text: said("closure_fields.fixed_allowance")
    assert_violates_nothing
    open_station "opening"

    assert_answer "21 mm"
    assert_text "#{said('school.diameter_fixed_allowance')}#{said('slit_length.the_house_habit')}"
    find("label", text: said("school.passing_geometry_ease")).click

    assert_answer "22.5 mm"
    click_button said("slit_length.back_to_the_house", said("school.diameter_fixed_allowance"))

    assert_answer "21 mm"
  end

  def test_a_machine_is_asked_about_and_what_its_foot_makes_follows
    visit ROOM
    click_link "Lapwing sensing one-step"
    within("[role=group][aria-label^='#{said('machine_feet.foot_number', '1')}']") { fill_in said("machine_feet.adds_by_itself"), with: "2.5" }

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_violates_nothing
    within("[role=group][aria-label^='#{said('machine_feet.foot_number', '1')}']") { fill_in said("machine_feet.one_click"), with: "90" }

    assert_selector "[role=alert]", text: "at most 3 mm"
    open_station "opening"

    assert_selector "[data-setting]",
                    text: said("steps.clamp_the_button_then", "4", "22.5 mm")
    unfold said("slit_length.the_same_as_a")

    assert_selector "tr", text: "passing geometry + ease 22.5 mm 25 mm 18 mm and 4 more clicks"
    visit "#{ROOM}/machines/new"
    fill_in said("machine_page.what_you_call_it"), with: "Snipe barn"
    find("label", text: said("machine_kind.plain_zigzag")).click
    click_button said("machine_page.put_it_in_the")

    assert_selector "h1", text: "Snipe barn"
    assert_current_path(%r{#{ROOM}/machines/\d+}o)
    click_button said("machine_page.remove_this_machine")

    assert_selector "h1", text: said("basket_page.waste_basket")
    assert_selector "li", text: "Snipe barn machine"
  end

  # Wherever a closure leaves a habit open, the station shows which one holds.
  def test_every_habit_left_open_shows_what_the_house_does
    open_station "attach"

    assert_picked "attach.pattern", said("pick.as_the_house", said("button_pattern.two_parallel_bars"))
    pick "[data-path='attach.pattern']", "cross"

    assert_saved
    assert_text said("button_pattern.along_a_diagonal")
    open_station "placket"

    assert_picked "placket.seat", said("run.below_the_upper_end", "your usual: 3 mm")
    assert_selector "select[data-path='placket.edge'] option:checked", text: said("pick.the_house_habit", "10 mm")
    assert_selector "select[data-path='placket.grid'] option:checked", text: said("pick.the_house_habit", "whole millimetres")
    open_station "opening"

    assert_selector "select[data-path='opening.ruler'] option:checked", text: said("pick.the_house_habit", "half millimetres")
  end

  def test_the_workroom_says_where_somebody_was
    tick(said("hole_turn.needle"))
    visit ROOM

    assert_selector "section", text: /#{said('under_way.still_to_put_back')} Lapwing 1 thing/, normalize_ws: true
    click_on said("under_way.go_on_with", "linen field smock", "front placket")

    assert_current_path "#{ROOM}/closures/1/sew"
    assert_answer "Thread all-purpose polyester, number 110"
    visit ROOM
    find("[data-left] summary").click
    click_button said("still_to_put_back.it_is_all_back")

    assert_no_selector "[data-left]"
    assert_empty call(:get, "/api/under-way")["machines"]
    click_button said("still_to_put_back.undo")

    assert_selector "[data-left]", text: "Lapwing"
    assert_violates_nothing
  end
end
