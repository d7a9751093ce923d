# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# The second half of the job on screen: opening, attaching, and what all of it takes.
class FinishTest < BrowserTest
  include AtTheMachine

  def open_drawer
    open_station "sewing"
  end

  def slide(label, to)
    range = find("label", text: label).find("input[type=range]")
    page.execute_script("arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input', { bubbles: true }))", range,
                        to)
  end

  # One figure from the field to the hand: the picture, the step, and the step at the machine say the same bites.
  def test_bites_of_the_chisel_are_the_same_wherever_they_are_said
    open_drawer
    within("[data-path='cut.tool']") { find("label", text: said("cut_method.chisel_on_a_block"), match: :prefer_exact).click }

    assert_field said("opened.edge_of_the_chisel")
    type "cut.chisel", "12"

    assert_saved
    assert_selector "svg[aria-label*='#{said('cut_picture.of_the_chisel', '2', 'bites')}']"
    said = "edge from 0 mm to 12 mm, then 10.5 mm to 22.5 mm"

    assert_text said
    session = begin_session([SMOCK])
    steps = call(:get, "/api/workroom/sessions/#{session}")["steps"].select { |step| step["key"].start_with?("open-at") }

    assert_equal(7, steps.count { |step| step.values_at("does", "how").join(" ").include?(said) })
    type "cut.chisel", "2"

    assert_selector "[role=alert]", text: "3 mm"
    type "cut.chisel", "30"

    assert_text said("steps.over_the_block_s")
  end

  def test_sealing_after_the_cut_moves_the_drying
    open_drawer
    within("[data-path='cut.seal']") { find("label", text: said("cut_method.after_cutting"), match: :prefer_exact).click }

    assert_saved
    assert_selector "#step-seal-after"
    assert_no_selector "#step-seal"
    within("[data-path='cut.seal']") { find("label", text: said("cut_method.not_at_all")).click }

    assert_no_selector "#step-seal-after"
  end

  def test_a_button_off_its_place_strikes_where_the_map_says
    open_station "attach"

    assert_selector "[data-strikes]", text: said("button_sewn_panel.it_clears")
    forgiven = find("[data-forgiven] td span.outline-2").text.to_f
    slide(said("button_sewn_panel.the_button_lies_off"), (forgiven - 0.05).round(2))

    assert_selector "[data-strikes]", text: said("button_sewn_panel.it_clears")
    slide(said("button_sewn_panel.the_button_lies_off"), (forgiven + 0.1).round(2))

    assert_selector "[data-strikes]", text: said("button_sewn_panel.the_needle_strikes")
    slide(said("button_sewn_panel.the_button_lies_off"), 0)
    click_button said("button_sewn_panel.sew_it")

    assert_button said("button_sewn_panel.stop")
    click_button said("button_sewn_panel.stop")
    pick "[data-path='attach.pattern']", "arrow"

    assert_text "to the left, then to the right, then along the middle"
    assert_selector "[data-strikes]", text: "clears"
  end

  def test_where_buttons_go_when_a_hole_lies_otherwise_than_planned
    sew = step("sew-7")
    enter(sew.fetch("enter").merge("machine" => 4))
    enter({ kind: "mishap", machine: 4, step: "open-at-540000", at: "540", measured: "528",
            with: { "mishap.what" => "place_cut" } })
    open_station "attach"

    assert_selector "[data-places]", text: said("attach.the_holes_lie_otherwise")
    assert_selector "[data-places] tr", text: "-12 mm"
    assert_text(/it would (pull|bubble)/)
    open_station "sewing"

    assert_selector "[data-opened]"
  end

  def test_the_house_says_how_and_a_closure_says_otherwise
    visit "#{ROOM}/habits"
    find("[data-habit='attach.secure'] label", text: said("attach_habits.knot_and_liquid")).click
    open_station "attach"

    assert_picked "attach.secure", said("pick.as_the_house", said("attach_habits.knot_and_liquid"))
    pick "[data-path='attach.marks']", "plan"

    assert_saved
    open_station "sewing"

    assert_text said("steps.tails_to_the_back")
    assert_text said("steps.mark_the_buttons_from")
  end

  def test_what_a_garment_takes_follows_its_plan_and_the_stash
    db[:buttons].where(name: closure["plan"]["button.name"]).update(owned: 3)
    visit "#{ROOM}/garments/1"

    assert_selector "[data-supplies]", text: said("supplies_pdf.in_the_stash", "7 and 1 spare; 3")
    assert_selector "[data-supplies]", text: said("supplies.to_buy", "5")
    assert_selector "a[download][href*='/supplies.csv']"
    save({ placket: { count: "5", pins: [] } })
    visit "#{ROOM}/garments/1"

    assert_selector "[data-supplies]", text: said("supplies_pdf.in_the_stash", "5 and 1 spare; 3")
    assert_violates_nothing
    narrow

    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
  end

  # Laid by out of the stash for this closure, and counted when they are sewn on; what is no number says so beside its
  # field.
  def test_buttons_are_laid_by_and_counted
    name = closure["plan"]["button.name"]
    db[:buttons].where(name: name).update(owned: 9)
    open_station "print"
    click_button said("shelf_count.lay_by_for_this", "8")

    assert_selector "[data-supplies]", text: "9 in the stash, 8 set aside for this"
    fill_in said("supplies.buttons_on_cards_of"), with: "a few"

    assert_selector "[role=alert]", text: said("supplies.a_whole_number_from")
    fill_in said("supplies.buttons_on_cards_of"), with: "3"
    fill_in said("shelf_count.left_in_the_box"), with: "two"
    click_button said("shelf_count.note_it")

    assert_selector "[role=alert]", text: said("shelf_count.write_how_many_there")
    assert_violates_nothing
    fill_in said("shelf_count.left_in_the_box"), with: "2"
    click_button said("shelf_count.note_it")

    assert_selector "[data-supplies]", text: said("supplies_pdf.in_the_stash", "2")
    assert_selector "[data-supplies]", text: said("supplies.of_to_buy", "2", "cards", "3")
    assert_button said("shelf_count.lay_by_for_this", "2")
    assert_equal 2, db[:buttons].where(name: name).get(:owned)
  end

  def test_after_a_hole_is_opened_it_is_asked_how_the_button_goes_through
    enter(step("sew-7").fetch("enter").merge("machine" => 4))
    enter(step("open-at-540000").fetch("enter").merge("machine" => 4))
    open_station "sewing"
    within("main [data-through]", match: :first) { click_button said("verdict.will_not_pass") }

    assert_text said("through.is_it_cut_right")
    click_button said("through.no_i_cut_the")
    within("main [data-through]", match: :first) { click_button said("look.passes_as_it_should") }

    assert_text said("through.noted_it_counts_as")
    assert_saved
    assert_equal "passes", step("open-at-540000")["through"]
  end
end
