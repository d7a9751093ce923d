# frozen_string_literal: true

require_relative "../browser_helper"

# What is typed is not lost: not by a mistake, a reload, a lost connection, a second tab or a
# server that was killed.
class NothingLostTest < BrowserTest
  def test_bad_input_stays_typed_with_the_message_beside_it
    open_station "button"
    type "button.diameter", "wide"

    assert_selector "[role=alert]", text: said("notation.write_a_length_such")
    assert_field said("stash_form.diameter"), with: "wide"
    assert_selector "header [role=status]", text: said("top_bar.not_saved", "1")
    type "button.hole_diameter", "2"

    assert_text said("top_bar.not_saved", "1")
    eventually { assert_equal "2 mm", closure["plan"]["button.hole_diameter"]["text"] }
    visit current_path

    assert_field said("stash_form.diameter"), with: "wide"
    assert_selector "[role=alert]", text: said("notation.write_a_length_such")
    type "button.diameter", "19"

    assert_saved
    assert_answer "22 mm"
  end

  def test_a_message_at_the_other_field_of_a_pair
    open_station "button"
    type "button.thickness", "19"

    assert_selector "[role=alert]", text: said("button.not_thicker_than_it")
    type "button.diameter", "20"

    assert_saved
    assert_answer "31.42 mm"
  end

  def test_a_pause_in_the_middle_of_typing_leaves_what_is_typed_alone
    open_station "button"
    field = find("input[data-path='button.diameter']")
    field.send_keys [:control, "a"], "2"

    assert_selector "[role=alert]", text: said("button.not_thicker_than_it")
    field.send_keys "1"

    assert_answer "24 mm"
    assert_saved
    assert_field said("stash_form.diameter"), with: "21"
    field.send_keys ".5", :tab

    assert_answer "24.5 mm"
    assert_field said("stash_form.diameter"), with: "21.5 mm"
    find("input[data-path='button.diameter']").send_keys "x"

    assert_text said("top_bar.not_saved", "1")
    find("input[data-path='button.diameter']").send_keys :escape

    assert_field said("stash_form.diameter"), with: "21.5 mm"
    assert_saved
  end

  def test_a_reload_in_the_middle_of_typing
    open_station "button"
    field = find("input[data-path='button.diameter']")
    field.send_keys [:control, "a"], "22"
    page.execute_script("location.reload()")

    assert_field said("stash_form.diameter"), with: "22 mm"
    assert_answer said("photo_panel.mm")
  end

  def test_what_was_typed_just_before_leaving_is_saved
    open_station "button"
    type "button.diameter", "19"
    find("header a", text: "Marsh Walk").click

    assert_selector "h3", text: "linen field smock"
    eventually do
      assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
    end
  end

  def test_a_lost_connection
    open_station "button"

    assert_selector "main[data-fetched='9']"
    offline(true)
    type "button.diameter", "23"

    assert_selector "[role=alert]", text: said("sew_head.kept_here")
    assert_text said("top_bar.not_saved_no_connection")
    find("main").send_keys "7"
    find("[data-step=stabilise]").click

    assert_selector "[data-step=stabilise]:checked"
    offline(false)

    assert_saved
    found = closure

    assert_equal "23 mm", found["plan"]["button.diameter"]["text"]
    assert(found["sheet"]["sewing"]["steps"].find { |step| step["key"] == "stabilise" }["done"])
  ensure
    offline(false)
  end

  def test_what_one_tab_could_not_save_is_neither_dropped_nor_lost_by_another
    open_station "button"
    offline(true)
    type "button.diameter", "23"

    assert_text said("top_bar.not_saved_no_connection")
    first = page.current_window
    within_window(open_new_window) do
      visit "#{ROOM}/closures/1/button"
      type "button.hole_diameter", "2"

      assert_saved
      page.current_window.close
    end
    page.switch_to_window(first)
    offline(false)

    assert_saved
    found = closure["plan"].values_at("button.diameter", "button.hole_diameter").map { |length| length["text"] }

    assert_equal ["23 mm", "2 mm"], found
  ensure
    offline(false)
  end

  def test_a_killed_server_and_a_reload_after_it_is_back
    open_station "button"
    world.stop_serving
    type "button.diameter", "24"

    assert_text said("top_bar.not_saved_no_connection")
    world.serve(port: BrowserTest.port)

    assert_saved
    world.stop_serving
    type "button.diameter", "26"

    assert_text said("top_bar.not_saved_no_connection")
    world.serve(port: BrowserTest.port)
    visit "#{ROOM}/closures/1/button"

    assert_field said("stash_form.diameter"), with: "26 mm"
    assert_saved
    assert_equal "26 mm", closure["plan"]["button.diameter"]["text"]
  end

  def test_another_tab_that_changed_something_else_is_merged
    open_station "button"
    save({ button: { hole_diameter: "2.2" } })
    type "button.diameter", "19"

    assert_answer "22 mm"
    assert_saved
    assert_equal(["19 mm", "2.2 mm"],
                 closure["plan"].values_at("button.diameter", "button.hole_diameter").map do |length|
                   length["text"]
                 end)
  end

  def test_another_tab_that_changed_the_same_field_is_asked_about
    open_station "button"
    meanwhile(-> { save({ button: { diameter: "25" } }) }) { type "button.diameter", "19" }

    assert_text "#{said('clash.another_tab_or_device')} 25 mm."
    assert_field said("stash_form.diameter"), with: "19"
    click_on said("clash.keep", "19")

    assert_saved
    assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
    meanwhile(-> { save({ button: { diameter: "27" } }) }) { type "button.diameter", "18" }
    click_on said("clash.take", "27 mm")

    assert_field said("stash_form.diameter"), with: "27 mm"
    assert_saved
  end

  # What another tab saves while this one cannot be told: else this one would have followed.
  def meanwhile(elsewhere)
    offline(true)
    yield

    assert_text said("top_bar.not_saved_no_connection")
    elsewhere.call
    offline(false)
  end

  # Another tab changes the one pin there is.
  def pin(row)
    id = closure["plan"]["placket.pins"].first["id"]
    save({ "placket.pins" => { id => row } })
  end

  def test_another_tab_that_changed_the_same_list_is_asked_about
    open_station "placket"
    meanwhile(lambda {
      pin({ at: "150", label: "bust" })
    }) { fill_in said("rows.row", said("placket.which_point"), "1"), with: "chest" }

    assert_text "#{said('clash.another_tab_or_device')} theirs."
    click_on said("clash.take", "theirs")

    assert_field said("rows.row", said("placket.which_point"), "1"), with: "bust"
    meanwhile(lambda {
      pin({ at: "160", label: "bust" })
    }) { fill_in said("rows.row", said("placket.which_point"), "1"), with: "chest" }
    click_on said("clash.keep", "my row")

    assert_saved
    assert_equal([["150 mm", "chest"]], closure["plan"]["placket.pins"].map { |pin| [pin["at"]["text"], pin["label"]] })
  end

  def test_holes_that_stop_fitting_are_said_at_the_placket
    save({ placket: { count: "19" } })
    open_station "button"
    type "button.diameter", "30"

    assert_saved
    assert_selector "nav li[data-stage=placket]", text: said("otherwise.does_not_fit")
    find("main").send_keys "7"

    assert_answer said("sewing.the_steps_wait")
    click_on said("print.put_that_right_first")

    assert_answer said("placket.they_do_not_fit")
    type "placket.count", "6"

    assert_answer "6 holes"
  end

  def test_what_is_not_there
    visit "#{ROOM}/closures/999/button"

    assert_text said("log_page.this_closure_is_not")
    visit "#{ROOM}/closures/1/nonsense"

    assert_answer said("cloth_kind.light_woven")
  end
end
