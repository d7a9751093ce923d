# frozen_string_literal: true

require_relative "../browser_helper"

# Two garments of one's own in an empty workroom, from the machine to the last step, typed as a person would.
class OwnGarmentsTest < BrowserTest
  def test_a_coated_jacket_on_a_stepped_machine_of_ones_own
    begin_workroom("Rook Loft")
    put_machine("Old Rook", "stepped", "Widest stitch, mm" => "5", "Length: between marks" => "0.25")
    begin_closure("rain jacket", "front", "What goes through" => "dome", "Cloth" => "another, film-coated",
                                          "Place on it" => "front that is pulled round the body")

    assert_answer "film-coated"
    go "2"
    type "button.diameter", "23"
    type "button.thickness", "6"

    assert_saved
    go "4"

    assert_no_button "Take what is usual there"
    select "front edge or placket", from: "Place on it"
    click_button "Take what is usual there"

    assert_no_button "Take what is usual there"
    find("header button[aria-label^=Undo]").click
    select "front that is pulled round the body", from: "Place on it"
    { run_length: "620", first: "40", last: "580", count: "6" }.each { |name, text| type("placket.#{name}", text) }
    keep_clear "350", "", "zip seam"
    keep_clear "420", "450", "pocket flap"
    within("section", text: "Points to pin", match: :first) do
      fill_in "From the top, new", with: "300"
      fill_in "Which point, new", with: "bust"
      click_on "Pin"
    end

    assert_answer "6 holes"
    assert_selector "td", text: "300 mm · bust"
    assert_saved
    slit = one_figure(find("section[aria-label='The run']"))
    go "7"

    assert_text "the slit is #{slit}"
    assert_text "Take every clip out before the foot comes down."
    assert_text "Sew the box, twice round.", count: 6
    assert_no_text(/Sew button \d.*needle by hand/)
    go "8"

    assert_answer "Not by machine"
    assert_text "the foot lifts 6 mm"
    assert_violates_nothing
    go "9"

    assert_link "Hole card and marks"
  end

  def test_a_bag_with_a_cord_has_no_button_anywhere
    begin_workroom("Teal Barn")
    put_machine("Teal", "memory one-step", {})
    begin_closure("gym bag", "mouth", "What goes through" => "cord or drawstring", "Cloth" => "another, light woven",
                                      "Kind of garment" => "bag")

    assert_selector "nav li[data-stage]", count: 8
    go "2"
    type "button.diameter", "8"

    assert_saved
    go "4"
    { run_length: "300", count: "2", first: "140", last: "160" }.each { |name, text| type("placket.#{name}", text) }

    assert_selector "[role=alert]", text: "Let the first hole be at"
    type "placket.first", "130"
    type "placket.last", "170"

    assert_answer "2 holes"
    assert_saved
    go "6"

    assert_selector "fieldset", text: "How does the cord go through?"
    go "7"

    assert_text "put the cord through"
    assert_no_text(/\bbuttons?\b(?!hole)/i)
    go "8"

    assert_answer "1 : 1"
    narrow

    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
  end

  private

  def keep_clear(from, to, what)
    within("section", text: "Stretches to keep clear", match: :first) do
      fill_in "From, new", with: from
      fill_in "To; empty: a seam, new", with: to
      fill_in "What is there, new", with: what
      click_on "Keep clear"
    end

    assert_selector "section[aria-label='The run'] [aria-label='Keep clear: #{what}']"
  end

  # The slit, as the thread of stages and the run have it.
  def one_figure(run)
    slit = find("nav li[data-stage=opening]").text[/[\d.]+ mm/]

    assert run.has_selector?("[role=button]", count: 6)
    slit
  end
end
