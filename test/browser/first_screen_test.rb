# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# What somebody sees first: a picture, an answer and the way on, without scrolling; a test hole question by question;
# and a hole as one card.
class FirstScreenTest < BrowserTest
  include AtTheMachine

  def unfolded? = false

  # So many pixels may hang over: the room below the way on.
  SPARE = 24

  def widest_picture
    page.evaluate_script(<<~JS)
      Math.max(...[...document.querySelectorAll('main svg, main canvas')].map((one) => one.getBoundingClientRect().width))
    JS
  end

  def test_every_stage_is_seen_without_scrolling
    wide
    %w[cloth button opening placket recipe swatch attach].each do |word|
      open_station word

      assert_selector "[data-answer], [data-test-card]"
      over = page.evaluate_script("(() => { const main = document.querySelector('main'); return main.scrollHeight - main.clientHeight })()")

      assert_operator over, :<=, SPARE, word
      # A hole comes with its stitches, a moment after the rest.
      eventually { assert_operator widest_picture, :>=, 330, "#{word} has its picture" }
      assert_violates_nothing
    end
  end

  def test_what_is_folded_away_opens_and_stays_open
    open_station "opening"

    assert_no_selector "[data-path='opening.correction']"
    find("summary", text: said("slit_length.more_choices")).click

    assert_selector "[data-path='opening.correction']"
    visit current_path

    assert_selector "[data-path='opening.correction']"
    find("summary", text: said("slit_length.more_choices")).click
    find("label", text: said("next_station.show_everything")).click

    assert_selector "[data-path='opening.correction']"
    assert_selector "[data-says]"
  end

  # One question at a time, by keys: what was seen goes into the history as the page with everything enters it.
  def test_a_test_hole_question_by_question
    open_station "swatch"

    assert_selector "[data-test-card=set]"
    click_button said("test_card.it_is_set")
    click_button said("test_card.it_is_sewn")
    fill_in said("look_form.the_slit_as_measured"), with: "shortish"
    %w[fit bead_away bead_back tension space].zip(%w[tight thin full even room]) do |look, grade|
      click_button said("test_card.next"), exact: true

      assert_selector "[data-test-card=look-#{look}]"
      pick("[data-look=#{look}]", grade)

      assert_selector "[data-test-card]:not([data-test-card=look-#{look}])"
      click_button said("test_card.back"), exact: true

      assert_selector "[data-look=#{look}] input[value=#{grade}]:checked", visible: :all
    end
    visit current_path

    assert_selector "[data-test-card=look-space]"
    click_button said("test_card.next"), exact: true
    click_button said("test_card.save_the_test")

    assert_selector "[role=alert]", text: said("notation.write_a_length_such")
    6.times { click_button said("test_card.back"), exact: true }
    fill_in said("look_form.the_slit_as_measured"), with: "21.5"
    6.times { click_button said("test_card.next"), exact: true }
    click_button said("test_card.save_the_test")

    assert_selector "[data-test-card=verdict] [data-answer]"
    eventually { assert_equal 1, closure["sheet"]["swatch"]["log"].size }
    logged = closure["sheet"]["swatch"]["log"].first

    assert_equal ["tight", "21.5 mm"], [logged["passes"], logged["measured"]["text"]]
  end

  # What was saved without a connection says so, and its advice comes afterwards; nothing of it is asked again.
  def test_a_test_hole_saved_without_a_connection_is_not_asked_again
    open_station "swatch"

    assert_selector "main[data-fetched='9'] [data-test-card=set]"
    click_button said("test_card.it_is_set")
    click_button said("test_card.it_is_sewn")
    fill_in said("look_form.the_slit_as_measured"), with: "22.5"
    6.times { click_button said("test_card.next"), exact: true }
    offline(true)
    click_button said("test_card.save_the_test")

    assert_selector "[data-test-card=verdict] [role=status]", text: said("verdict.saved_here")
    offline(false)

    assert_selector "[data-test-card=verdict] [data-answer]"
    assert_no_text said("verdict.saved_here")
    assert_equal 1, closure["sheet"]["swatch"]["log"].size
  end

  # On the practice machine the machine itself says what it sewed.
  def test_a_test_hole_on_the_practice_machine_leads_to_its_advice
    open_station "swatch"
    click_button said("test_card.it_is_set")
    click_button said("swatch.sew_it_on_the")

    assert_selector "[data-test-card=verdict] [data-answer]"
  end

  # From an empty workroom to a plan that is kept: the line, and Enter twice; by keyboard alone, in few steps.
  def test_one_line_and_enter_make_a_plan
    begin_workroom("Attic")
    visit @home

    assert_selector "#request"
    tabs = (1..6).find do
      page.active_element.send_keys(:tab)
      page.active_element[:id] == "request"
    end

    refute_nil tabs, "the field is reached by a few Tabs"
    page.active_element.send_keys("shirt front, 7 buttons 11.5 mm, cotton poplin, glitter", :enter)

    assert_selector "[data-first-answer] [data-answer]", text: "14 mm"
    assert_selector "[data-unread]", text: "glitter"
    assert_violates_nothing
    find("[data-chip='button.thickness']").click
    page.active_element.send_keys([:control, "a"], "2", :enter)

    assert_selector "[data-chip='button.thickness'][data-origin=chosen]", text: "2 mm"
    assert_selector "[data-first-answer]", text: "in 20"
    find("#request").send_keys(:enter)

    assert_selector "nav a[aria-current=step]"
    assert_equal "cotton poplin shirt", db[:garments].reverse(:id).get(:name)
    assert_equal 2, db[:closures].reverse(:id).get(:button_thickness_mm)
  end

  # A new machine is three short parts, and what is refused is shown in the part it was typed in.
  def test_a_machine_is_asked_in_short_parts_and_preferences_one_by_one
    visit "#{ROOM}/machines/new"
    fill_in said("machine_page.what_you_call_it"), with: "Dunlin"
    choose "kind", option: "sensing"
    2.times { find("button.btn-primary", text: said("machine_page.next_part")).click }
    fill_in said("machine_dials.top_speed"), with: "fast"
    find("nav button", match: :first).click
    click_button said("machine_page.put_it_in_the")

    assert_selector "[role=alert]", text: said("machine_page.speed")
    fill_in said("machine_dials.top_speed"), with: "700"
    click_button said("machine_page.put_it_in_the")

    assert_selector "[role=status]", text: said("machine_page.all_saved")
    assert_violates_nothing
    visit "#{ROOM}/preferences"
    2.times { click_button said("habits_page.next_question") }

    assert_selector "[data-habit]", count: 1
    assert_violates_nothing
  end

  # A slip is told from the card it happened on, at the beat it happened at; what came before that beat was done.
  def test_something_goes_wrong_on_a_card_of_joined_beats
    hurry
    sew begin_session([SMOCK])
    tap until page.has_selector?("[data-beats]", wait: 0)
    at = here[/at-\d+/]
    click_button said("sew_page.something_went_wrong")
    find("[data-mishap=jammed]").click

    assert_selector "[data-step*=rescue]"
    tap while page.has_selector?("[data-step*=rescue]", wait: 0)

    assert_equal at, here[/at-\d+/], "the same hole, from its start mark"
    tap while here.include?(at)
    kinds = db[:journal].where(kind: "mishap").select_map(:step_key)

    assert_equal ["sew-#{at}"], kinds
  end

  # Holes that are cut open one after the other are one card, and which of them a slip was at is asked: those before it
  # are open by then, those after it are not.
  def test_something_goes_wrong_at_one_place_of_a_row
    hurry
    id = begin_session([SMOCK])
    steps = call(:get, "/api/sessions/#{id}")["steps"]
    opened = steps.select { |one| one["name"] == "open" }
    steps.take_while { |one| one != opened[0] }.each { |one| one["enter"].each { |entry| tell(entry, id) } }
    sew id
    2.times { tap }

    assert_selector "[data-beats='5']"
    click_button said("sew_page.something_went_wrong")
    find("[data-mishap=bead_cut]").click
    click_button said("mishap_dialog.the_way_out")

    assert_selector "[role=alert]", text: said("mishap_dialog.which_one")
    select "hole 4", from: said("mishap_dialog.which")
    click_button said("mishap_dialog.the_way_out")

    assert_selector "[data-step*=rescue]"
    keys = opened.map { |one| one["key"].split(":").last }

    eventually { assert_equal [keys[3]], db[:journal].where(kind: "mishap").select_map(:step_key) }

    assert_equal keys.first(3), told("open-at%").uniq
  end

  def test_the_line_finds_what_is_here_already
    visit ROOM
    fill_in "request", with: "river 18"
    click_link said("first_answer.in_the_stash", "river shell 18")

    assert_selector "main li", count: 1
    visit ROOM
    fill_in "request", with: "linen field smock"

    assert_text said("first_answer.enter_opens", "linen field smock")
    find("#request").send_keys :enter

    assert_selector "h1", text: "linen field smock"
  end

  # From the first step to the machine put back: how often somebody taps.
  def test_from_the_third_hole_on_a_hole_is_one_card
    hurry
    sew begin_session([SMOCK])
    joined = []
    taps = 0
    while page.has_selector?("[data-step]", wait: 0) && taps < 80
      beats = page.has_selector?("[data-beats]", wait: 0) && find("[data-beats]")["data-beats"].to_i
      joined << beats if beats
      taps += tap
    end

    assert_selector "[data-answer]", text: said("sew_page.all_done")
    assert_equal [5] * 7, joined, "five holes of five beats, then five cut open and five buttons at once"
    assert_operator taps, :<=, MOST_TAPS
    # What was tapped last is still on its way.
    eventually { closure["sheet"]["sewing"].then { |sewing| assert_equal sewing["steps"].size, sewing["done"] } }
  end

  def test_somebody_is_told_when_it_is_dry
    hurry
    sew begin_session([SMOCK])
    tap until has_selector?("[data-dry-at]", wait: 0)
    click_button said("drying.tell_me")

    assert_text said("drying.you_will_be_told")
    later = on_every_page("const real = Date.now.bind(Date); Date.now = () => real() + 864e5")
    visit ROOM

    assert_selector "[data-dry]", text: "front placket"
    click_button said("drying.all_right")

    assert_no_selector "[data-dry]"
  ensure
    on_no_page(later)
  end

  # For a front of seven holes and seven buttons.
  MOST_TAPS = 42

  # What earlier buttonholes on this machine taught stands where the first test is set, and is set with one press.
  def test_what_was_learned_before_is_set_with_the_first_test
    cuff = closure(2)
    with = cuff["sheet"]["swatch"]["with"]
    seen = { kind: "swatch", closure: 2, machine: cuff["machine"]["id"], passes: "passes",
             looks: { bead_away: "full", bead_back: "full", tension: "even", space: "room" } }
    enter({ **seen, with: with, symptoms: %w[puckers] })
    enter({ **seen, with: with.merge("recipe.stay_layers" => "2") })
    open_station "swatch"

    assert_selector "[data-test-card=set] [data-before-first]", text: "two layers"
    within("[data-before-first]") { find("button").click }

    assert_saved
    assert_no_selector "[data-before-first]"
    assert_equal "2", closure["plan"]["recipe.stay_layers"]
    assert_violates_nothing
  end

  private

  def tell(entry, session)
    with = entry["with"].to_h.merge("sitting.id" => session.to_s)
    enter({ **entry.except("id").transform_keys(&:to_sym), machine: 4, with: with }, id: entry["id"])
  end

  def told(keys)
    db[:journal].where(Sequel.like(:step_key, keys)).exclude(kind: "mishap").order(:seq).select_map(:step_key)
  end

  # @return [Integer] taps it took to come to another step: what is not dry yet is asked about once
  def tap
    was = here
    list = all("button", text: said("sew_page.all_of_these"), wait: 0).first
    (list || find("[data-done]")).click

    assert_selector "[data-wet], [data-step]:not([data-step='#{was}']), [data-answer]:not([data-step])"
    return 1 unless has_selector?("[data-step='#{was}']", wait: 0)

    find("[data-done]").click

    assert_no_selector "[data-step='#{was}']"
    2
  end
end
