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

    assert_selector "main li", count: 10
    click_button "From a file"
    rows = "marsh pearl,flat,two_holes,13,3,4\nflawed,flat,two_holes,,3,1\n"
    file("name,shape,attachment,diameter_mm,thickness_mm,owned\n#{rows}") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[data-import]", text: "1 would be new"
      assert_selector "td", text: "bad: diameter: Write a length"
      assert_text "10 kinds of button"
      click_button "Bring in 1 button"

      assert_selector "[data-import]", text: "1 are new"
      assert_text "11 kinds of button"
    end
    fill_in "Search by name, shape, colour or note", with: "pearl"

    assert_selector "main li", count: 1
  end

  def test_a_button_typed_into_the_stash_survives_a_reload_and_can_be_put_back
    visit "#{ROOM}/stash"
    click_button "A new button"
    fill_in "Name", with: "pebble"
    fill_in "Diameter", with: "wide"
    click_button "Put it in the box"

    assert_selector "[role=alert]", text: "Write a length"
    visit "#{ROOM}/stash"

    assert_field "Diameter", with: "wide"
    fill_in "Diameter", with: "28L"
    fill_in "Thickness", with: "3"
    click_button "Put it in the box"

    assert_selector "main li", text: "17.78 mm"
    within("main li", text: "pebble") do
      2.times { click_button "One pebble more" }

      assert_selector "[aria-label='2 of them']"
      click_button "Take out"
    end

    assert_no_selector "main li", text: "pebble"
    click_button "Put it back"

    assert_selector "main li", text: "pebble"
    assert_violates_nothing
  end

  def test_the_caliper_reads_into_the_field_somebody_is_in
    open_station "button"
    find("summary", text: "open its jaws").click
    fill_in "Between the jaws", with: "20.5"
    find("input[data-path='button.diameter']").click
    send_keys [:alt, "c"]

    assert_saved
    assert_match(/\A20\.(4[7-9]|5[0-3])/, find("input[data-path='button.diameter']").value)
    find("summary", text: "How to measure it").click
    find("input[aria-label='Reading 1']").click
    send_keys [:alt, "c"]
    click_button "mm / in"
    find("input[aria-label='Reading 2']").click
    send_keys [:alt, "c"]

    assert_field "Reading 2", with: / in\z/
    assert_selector "[data-readings]", text: "20."
  end

  def test_a_habit_is_followed_until_a_closure_goes_its_own_way
    visit "#{ROOM}/habits"
    find("[data-habit='opening.school'] label", text: "fixed allowance").click

    assert_selector "[data-habit='opening.school'] label.border-primary", text: "fixed allowance"
    assert_violates_nothing
    open_station "opening"

    assert_answer "21 mm"
    assert_text "diameter + fixed allowance, the house habit"
    find("label", text: "passing geometry + ease").click

    assert_answer "22.5 mm"
    click_button "Back to the house habit: diameter + fixed allowance"

    assert_answer "21 mm"
  end

  def test_a_machine_is_asked_about_and_what_its_foot_makes_follows
    visit ROOM
    click_link "Lapwing sensing one-step"
    within("li[aria-label='Foot 1']") { fill_in "Adds by itself", with: "2.5" }

    assert_selector "[role=status]", text: "All saved"
    assert_violates_nothing
    within("li[aria-label='Foot 1']") { fill_in "One click", with: "90" }

    assert_selector "[role=alert]", text: "at most 3 mm"
    open_station "opening"

    assert_selector "[data-setting]",
                    text: "Clamp the button, then open the foot by 4 clicks of 0.5 mm: 22.5 mm between the two stops."
    find("summary", text: "The same as a table").click

    assert_selector "tr", text: "passing geometry + ease 22.5 mm 25 mm 18 mm and 4 clicks"
    visit "#{ROOM}/machines/new"
    fill_in "What you call it", with: "Snipe barn"
    find("label", text: "plain zigzag").click
    click_button "Put it in the workroom"

    assert_selector "h1", text: "Snipe barn"
    assert_current_path(%r{#{ROOM}/machines/\d+}o)
    click_button "Remove this machine"

    assert_selector "h1", text: "Waste basket"
    assert_selector "li", text: "Snipe barn machine"
  end

  # Wherever a closure leaves a habit open, the station shows which one holds.
  def test_every_habit_left_open_shows_what_the_house_does
    open_station "attach"

    assert_selector "[data-path='attach.pattern'] label.bg-primary", text: "as the house: two parallel bars"
    find("[data-path='attach.pattern'] label", text: "a cross").click

    assert_saved
    assert_text "along a diagonal"
    open_station "placket"

    assert_selector "[data-path='placket.seat'] label.bg-primary", text: "as the house: 3 mm below the upper end"
    assert_selector "select[data-path='placket.edge'] option:checked", text: "the house habit: 10 mm"
    assert_selector "select[data-path='placket.grid'] option:checked", text: "the house habit: whole millimetres"
    open_station "opening"

    assert_selector "select[data-path='opening.ruler'] option:checked", text: "the house habit: half millimetres"
  end

  def test_the_workroom_says_where_somebody_was
    tick("needle")
    visit ROOM

    assert_selector "section", text: "Left set Lapwing: needle universal 80/12", normalize_ws: true
    click_on "Go on with linen field smock: front placket"

    assert_current_path "#{ROOM}/closures/1/sewing"
    assert_answer "Thread all-purpose polyester (tex 27 polyester)"
  end
end
