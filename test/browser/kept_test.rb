# frozen_string_literal: true

require_relative "../browser_helper"

# What is typed outside the table is not lost either: not without a connection, not on a reload, not when
# another tab was first. And a garment goes out through the browser and comes in again.
class KeptTest < BrowserTest
  def garment_file(id = 1) = call(:get, "/api/garments/#{id}/file").then { last_response.body }

  def test_a_machine_typed_without_a_connection_is_saved_when_it_is_back
    visit "#{ROOM}/machines/4"
    offline(true)
    fill_in said("machine_dials.widest_stitch"), with: "6"

    assert_selector "[role=alert]", text: said("profile.not_saved_the_server")
    offline(false)

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_equal 6, db[:machines].where(id: 4).get(:max_width_mm)
    assert_no_selector "[role=alert]"
  end

  def test_what_a_machine_cannot_be_stays_typed_over_a_reload_and_can_be_dropped
    visit "#{ROOM}/machines/4"
    fill_in said("machine_dials.top_speed"), with: "9000"

    assert_selector "[role=alert]", text: "from 50 to 1500"
    visit "#{ROOM}/machines/4"

    assert_field said("machine_dials.top_speed"), with: "9000"
    assert_selector "[role=alert]", text: "from 50 to 1500"
    click_button said("machine_page.drop_my_changes")

    assert_field said("machine_dials.top_speed"), with: "750"
    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_equal 750, db[:machines].where(id: 4).get(:top_speed)
  end

  def test_a_machine_changed_in_another_tab_is_not_overwritten_unseen
    visit "#{ROOM}/machines/4"

    assert_field said("machine_dials.top_speed"), with: "750"
    db[:machines].where(id: 4).update(revision: 2, top_speed: 640)
    fill_in said("machine_dials.needle_positions"), with: "7"

    assert_selector "[role=alert]", text: said("closure.changed_in_another_place")
    assert_equal [5, 640], db[:machines].where(id: 4).get(%i[needle_positions top_speed])
    click_button said("machine_page.drop_my_changes")

    assert_field said("machine_dials.top_speed"), with: "640"
    fill_in said("machine_dials.needle_positions"), with: "7"

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_equal [7, 640], db[:machines].where(id: 4).get(%i[needle_positions top_speed])
  end

  def test_feet_are_added_and_one_kind_stands_there_once
    visit "#{ROOM}/machines/2"
    click_button said("machine_feet.another_foot")

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_selector "[role=group][aria-label^='#{said('machine_feet.foot_number', '6')}']"
    within("[role=group][aria-label^='#{said('machine_feet.foot_number', '6')}']") do
      select said("foot.button_foot"), from: said("machine_feet.foot")
    end

    assert_selector "[role=alert]", text: said("machine_form.the_stands_there_twice", "button foot")
    click_button said("machine_feet.remove_foot", "6")

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_equal 5, db[:feet].where(machine_id: 2).count
  end

  def test_a_button_of_the_stash_typed_without_a_connection_stays_in_the_form
    visit "#{ROOM}/stash"
    click_button said("stash_form.a_new_button")
    fill_in said("import_panel.name"), with: "marsh pearl"
    fill_in said("stash_form.diameter"), with: "12"
    fill_in said("stash_form.thickness"), with: "3"
    offline(true)
    click_button said("stash_form.put_it_in_the")

    assert_selector "[role=alert]", text: said("ask.what_you_typed_stays")
    offline(false)
    click_button said("stash_form.put_it_in_the")

    assert_selector "main li", text: "marsh pearl"
    assert_equal 13, db[:buttons].count
  end

  def test_counting_a_button_that_another_tab_counted_shows_what_is_there
    visit "#{ROOM}/stash"

    assert_selector "main li", count: 12
    db[:buttons].where(name: "oyster 24").update(owned: 40, revision: 9)
    click_button said("stash_row.one_more", "oyster 24")

    assert_selector "[aria-label='#{said('stash_row.of_them', '40')}']"
    click_button said("stash_row.one_more", "oyster 24")

    assert_selector "[aria-label='#{said('stash_row.of_them', '41')}']"
  end

  def test_a_file_that_is_none_is_refused_with_its_reason_and_a_large_one_is_not_sent
    visit "#{ROOM}/stash"
    click_button said("shelf_page.from_a_file")
    with_file("letter.csv", "Dear Ann,\nit rains.\n") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[role=alert]", text: said("stash_csv.say_which_of_yours")
    end
    with_file("own.csv", "Button,Form,Holes,Size,Thick,Farbe\nfen disc,flat,2 holes,15,3,navy\n") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[data-import]", text: said("import_panel.would_be_new")
      within("[data-columns] label", text: "Farbe") { find("option[value=colour]").select_option }
      click_button said("import_panel.bring_in", "1", "button")

      assert_selector "[data-import]", text: said("import_panel.are_new")
      assert_equal "indigo", db[:buttons].where(name: "fen disc").get(:colour)
    end
    with_file("large.csv", "name\n#{'x' * (4 * 1024 * 1024)}") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[role=alert]", text: said("import.larger_than_mb")
    end
  end

  def test_many_rows_come_in_with_progress_and_are_shown_a_page_at_a_time
    visit "#{ROOM}/stash"
    click_button said("shelf_page.from_a_file")
    rows = (1..1500).map { |number| "pebble #{format('%04d', number)},flat,shank,#{9 + (number % 9)},3,#{number % 50}" }
    with_file("many.csv", "name,shape,attachment,diameter_mm,thickness_mm,owned\n#{rows.join("\n")}\n") do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "[data-import]", text: "1500 #{said('import_panel.would_be_new')}"
      click_button said("import_panel.bring_in", "1500", "buttons")

      assert_selector "[data-import]", text: "1500 #{said('import_panel.are_new')}"
    end
    assert_text "1512 #{said('stash_page.kinds_of_button')}"
    assert_selector "main li", count: 60
    click_button said("stash_page.more")

    assert_selector "main li", count: 120
    fill_in said("stash_page.search_by_name_shape"), with: "pebble 0777"

    assert_selector "main li", count: 1, text: "pebble 0777"
  end

  def test_a_garment_goes_out_as_a_file_and_comes_in_again
    visit "#{ROOM}/garments/1"

    assert_equal "#{HOME}/garments/1/file", URI(find_link(said("garment_page.as_a_file"))[:href]).path
    visit ROOM
    with_file("smock.json", garment_file) do |path|
      attach_file(path) { find("input[type=file]").click }

      assert_selector "h1", text: "linen field smock (2)"
    end
    assert_selector "li", text: "7 holes of 22.5 mm, right over left"
    click_link "front placket"

    assert_answer "7 holes"
  end

  def test_a_broken_or_newer_garment_file_says_why_and_changes_nothing
    visit ROOM
    { garment_file.sub("\"version\": 2", "\"version\": 9") => said("garment_file_reader.reads_up_to_version", "2"),
      garment_file[0, 400] => "not as the interface",
      garment_file.sub("\"18\"", "\"wide\"") => "holds wide" }.each do |text, why|
      # The file stays until the page has read it.
      with_file("garment.json", text) do |path|
        attach_file(path) { find("input[type=file]").click }

        assert_selector "[role=alert]", text: why
      end
    end

    assert_equal 10, db[:garments].count
  end

  def test_a_habit_that_cannot_be_is_refused_beside_its_field
    visit "#{ROOM}/habits"
    field = find("[data-habit='opening.ease'] input")
    field.set("lots")
    field.send_keys :tab

    assert_selector "[data-habit='opening.ease'] [role=alert]", text: said("look_at_it.write_a_length")
    field.set("1/16")
    field.send_keys :tab

    assert_no_selector "[role=alert]"
    assert_selector "h1", text: said("page_bar.house_habits")
    visit "#{ROOM}/habits"

    assert_equal "1.59 mm", find("[data-habit='opening.ease'] input").value
  end

  def test_what_is_not_in_the_drawer_is_not_asked_for
    visit "#{ROOM}/habits"
    within("[data-drawer]") { uncheck said("stabiliser.light_fusible_strip") }

    assert_unchecked_field said("stabiliser.light_fusible_strip")
    open_station "recipe"

    assert_selector "[data-setting=stabiliser]", text: said("stabiliser.tear_away_under_the")
    assert_text said("equipment_choice.there_is_none_in", said("stabiliser.light_fusible_strip"))
  end

  # On a phone the run lies along the top, and is still something to take hold of.
  def test_the_run_is_dragged_on_a_phone
    narrow
    open_station "placket"
    keep_out = find("[role=slider][aria-label='#{said('run_keep_out.keep_clear', 'pocket edge')}']")
    before = keep_out["aria-valuenow"].to_f
    page.driver.browser.action.move_to(keep_out.native).pointer_down.move_by(8, 0).move_by(8, 0).perform

    assert_selector "[aria-live]", text: /moved/
    page.driver.browser.action.pointer_up.perform

    assert_selector "header button[aria-label^='#{said('top_bar.undo')}']:not([disabled])"
    assert_saved
    assert_operator find("[role=slider][aria-label='#{said('run_keep_out.keep_clear', 'pocket edge')}']")["aria-valuenow"].to_f, :>,
                    before + 5
    find("[role=slider][aria-label^='#{said('run_pin.pin', 'fullest')}']").native.send_keys(:arrow_right)

    assert_selector "[role=slider][aria-valuetext='213 mm']"
  end

  def test_everything_on_the_run_is_reached_and_said_by_keyboard
    open_station "placket"
    page.execute_script("document.querySelector('main').focus()")
    Array.new(40) do
      page.driver.browser.action.send_keys(:tab).perform
      page.evaluate_script("document.activeElement.getAttribute('aria-label') || document.activeElement.textContent.trim()")
    end.join("|")

    all("g[role=button], [role=slider]").each { |thing| refute_empty thing["aria-label"] }

    handles = page.evaluate_script("[...document.querySelectorAll('[role=slider]')].map((one) => one.getAttribute('tabindex'))")

    assert_equal ["0"], handles.uniq
  end
end
