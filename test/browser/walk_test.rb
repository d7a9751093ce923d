# frozen_string_literal: true

require_relative "../browser_helper"

# The whole path, from the button in the hand to the strip on the table.
class WalkTest < BrowserTest
  def test_from_the_button_to_the_strip
    visit ROOM
    click_on "front placket"

    assert_answer "light woven"
    click_on "Next: Button"

    assert_answer "21 mm"
    type "button.diameter", "28L"

    assert_answer "20.78 mm"
    assert_saved
    click_on "Next: Opening"

    assert_selector "nav li[data-stage=button]", text: ", settled"

    assert_answer "22.78 mm"
    assert_selector "[data-verdict]", text: "snug"
    find("label", text: "diameter + thickness").click

    assert_selector "[data-verdict]", text: "tight"
    find("label", text: "passing geometry").click

    assert_selector "[data-verdict]", text: "snug"
    find("main").send_keys "4"

    assert_answer "7 holes"
    type "placket.count", "8"

    assert_answer "8 holes"
    assert_selector "section[aria-label='The run'] [role=button]", count: 8
    find("[aria-label^='Hole 3']").click

    assert_selector "tr#mark-3.bg-primary\\/15"
    find("main").send_keys "5"

    assert_answer "4.5 mm"
    find("main").send_keys "1"
    select "Curlew, stepped"

    assert_saved
    assert_selector "nav li[data-stage=button]", text: "settled"
    assert_selector "nav li[data-stage=cloth]", text: "settled, but stale"
    find("main").send_keys "5"

    assert_selector "[data-setting=foot]", text: "sliding scale foot"
    assert_text "Both beads are sewn twice"
    find("main").send_keys "6"

    assert_selector "[data-missing]", text: "No test hole is sewn yet"
    click_on "Something else is seen on it"
    check "puckers or a tunnel"
    log_hole("23")

    assert_answer "Add a second layer of stabiliser."
    click_on "Make this change"
    2.times do |number|
      assert_selector "ol li", text: "23 mm", count: number + 1
      log_hole("23")
    end

    assert_answer "It is good"
    click_on "Accept swatch 3"

    assert_selector "[data-frozen]", text: "Held by swatch 3: everything is set as it was sewn."

    assert_selector ".badge", text: "accepted"
    assert_selector "nav li[data-stage=recipe]", text: ", settled"
    find("main").send_keys "7"
    2.times { click_on "Done" }

    assert_selector "header [role=status]", text: "All saved"
    check "Fit the sliding scale foot (the long frame)."

    assert_selector "aside", text: "sliding scale foot"
    find("main").send_keys "8"

    assert_answer "3 mm"
    find("label", text: "a cross").click

    assert_answer "4 mm"
    find("main").send_keys "9"

    assert_answer "1 : 1"
    assert_link "Strip as PDF, A4"
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
    click_on "History"
    within("[role=dialog]") do
      assert_text "diameter 18 → 20 mm"
      click_on "Bring back"
    end

    assert_answer "21 mm"
  end

  def test_a_closure_of_ones_own
    visit ROOM
    fill_in "Garment", with: "storm hood"
    click_button "Begin"

    assert_text "This needs a name."
    fill_in "Closure", with: "throat strap"
    select "cord or drawstring", from: "What goes through"
    click_button "Begin"

    assert_selector "nav li[data-stage=button]", text: "Cord"
    assert_answer "light woven"
    find("main").send_keys "2"
    find("label", text: "flat disc, square edge").click

    assert_answer "18 mm"
    type "button.name", "horn disc"
    click_on "Keep on the shelf"

    assert_text "“horn disc” is on the shelf."
    visit ROOM

    assert_selector "h2", text: "storm hood"
    click_on "Remove throat strap"

    assert_no_selector "h2", text: "storm hood"
    click_on "Put it back"

    assert_selector "h2", text: "storm hood"
  end

  def test_inches_for_people_with_inch_rulers
    open_station "button"
    select "inches"

    assert_field "Diameter", with: "23/32 in"
    type "button.diameter", "3/4"
    find("input[data-path='button.diameter']").send_keys :tab

    assert_saved
    assert_field "Diameter", with: "3/4 in"
    find("main").send_keys "3"
    # The ruler comes with the unit; what is on the machine is never converted.
    assert_answer(%r{\A\d*/?\d+ ?[\d/]* in\z})
    assert_text(/Ease of [\d.]+ in/)
    assert_selector "option:checked", text: "sixteenths of an inch"
    find("main").send_keys "5"

    assert_answer "4.5 mm"
  end

  def test_pins_and_keep_outs_are_added_and_removed
    open_station "placket"
    within("section", text: "Points to pin", match: :first) do
      fill_in "From the top, new", with: "300"
      fill_in "Which point, new", with: "waist"
      click_on "Pin"
    end

    assert_selector "td", text: "308 mm · waist"
    within("section", text: "Stretches to keep clear", match: :first) { click_on "Remove row 1" }

    assert_saved
    assert_equal [2, 0], closure["plan"].values_at("placket.pins", "placket.keep_outs").map(&:size)
  end

  def test_shank_buttons_are_not_for_the_machine
    open_station "attach", id: 5

    assert_answer "Not by machine"
    assert_text "removable pin"
  end
end
