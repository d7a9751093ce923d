# frozen_string_literal: true

require_relative "../browser_helper"

# Two garments of one's own in an empty workroom, from the machine to the last step, typed as a person would.
class OwnGarmentsTest < BrowserTest
  def test_a_coated_jacket_on_a_stepped_machine_of_ones_own
    begin_workroom("Rook Loft")
    put_machine("Old Rook", "stepped", "max_width" => "5", "length_step" => "0.25")
    begin_closure("rain jacket", "front", "shape" => "domed", "cloth" => "kind:coated", "place" => "pulled_front")

    assert_answer "film-coated"
    go "2"
    type "button.diameter", "23"
    type "button.thickness", "6"

    assert_saved
    go "4"

    assert_no_button said("placket.take_what_is_usual")
    select said("place.front_edge_or_placket"), from: said("begin_form.place_on_it")
    click_button said("placket.take_what_is_usual")

    assert_no_button said("placket.take_what_is_usual")
    find("header button[aria-label^='#{said('top_bar.undo')}']").click
    select said("place.front_that_is_pulled"), from: said("begin_form.place_on_it")
    { run_length: "620", first: "40", last: "580", count: "6" }.each { |name, text| type("placket.#{name}", text) }
    keep_clear "350", "", "zip seam"
    keep_clear "420", "450", "pocket flap"
    within("section", text: said("placket.points_to_pin"), match: :first) do
      fill_in said("rows.new", said("placket.from_the_top")), with: "300"
      fill_in said("rows.new", said("placket.which_point")), with: "bust"
      click_on said("placket.pin")
    end

    assert_answer "6 holes"
    assert_selector "td", text: "300 mm · bust"
    assert_saved
    slit = one_figure(find("section[aria-label='#{said('run_picture.the_run')}']"))
    go "7"

    assert_text "#{slit} long"
    assert_text said("steps.take_every_clip_out")
    assert_text said("steps.sew_the_box_twice"), count: 6
    assert_no_text(/Sew button \d.*needle by hand/)
    go "8"

    assert_answer said("attach.not_by_machine")
    assert_text said("attaching.the_foot_lifts", "6 mm")
    assert_violates_nothing
    go "9"

    assert_link said("print.card_and_marks", "Hole")
  end

  def test_a_bag_with_a_cord_has_no_button_anywhere
    begin_workroom("Teal Barn")
    put_machine("Teal", "memory", {})
    begin_closure("gym bag", "mouth", "shape" => "cord", "cloth" => "kind:light_woven", "use" => "bag")

    assert_selector "nav li[data-stage]", count: 8
    go "2"
    type "button.diameter", "8"

    assert_saved
    go "4"
    { run_length: "300", count: "2", first: "140", last: "160" }.each { |name, text| type("placket.#{name}", text) }

    assert_selector "[role=alert]", text: said("collision.let_the_first_hole")
    type "placket.first", "130"
    type "placket.last", "170"

    assert_answer "2 holes"
    assert_saved
    go "6"

    assert_selector "fieldset", text: said("swatch.how_does_the_go", "cord")
    go "7"

    assert_text "Try the cord before you cut the next"
    assert_no_text(/\bbuttons?\b(?!hole)/i)
    go "8"

    assert_answer "1 : 1"
    narrow

    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
  end

  private

  def keep_clear(from, to, what)
    within("section", text: said("placket.stretches_to_keep_clear"), match: :first) do
      fill_in "From, new", with: from
      fill_in said("rows.new", said("placket.to_empty_a_seam")), with: to
      fill_in said("rows.new", said("placket.what_is_there")), with: what
      click_on said("placket.keep_clear")
    end

    assert_selector "section[aria-label='#{said('run_picture.the_run')}'] [aria-label='#{said('run_keep_out.keep_clear', what)}']"
  end

  # The slit, as the thread of stages and the run have it.
  def one_figure(run)
    slit = find("nav li[data-stage=opening]").text[/[\d.]+ mm/]

    assert run.has_selector?("[role=button]", count: 6)
    slit
  end
end
