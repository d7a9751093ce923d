# frozen_string_literal: true

require_relative "../browser_helper"

# At the machine: one step after the other, with the connection lost, the server killed and things going wrong.
class SittingBrowserTest < BrowserTest
  AVOCET = [5, 3].freeze
  CURLEW = [4].freeze

  # A second press within half a second is the same press: here time runs fast.
  def hurry
    page.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: <<~JS)
      (() => { const real = Date.now; let ahead = 0; Date.now = () => real() + (ahead += 600); })();
    JS
  end

  def begin_sitting(ids)
    call(:post, "/api/workroom/sittings", { closures: ids })["id"]
  end

  def sew(sitting)
    visit "#{ROOM}/sittings/#{sitting}/sew"

    assert_selector "[data-step]"
  end

  def here = find("[data-step]")["data-step"]

  # One step, by whatever is pressed; another one is shown then.
  def press(key = :space)
    was = here
    find("body").send_keys(key)

    assert_no_selector "[data-step='#{was}']"
  end

  def press_until(part, most: 150)
    most.times do
      return if page.has_no_selector?("[data-step]", wait: 0) || here.include?(part)

      press
    end

    flunk "#{part} never came"
  end

  def go_wrong(key, measured: nil)
    click_button "Something went wrong"
    find("[data-mishap='#{key}']").click
    if measured
      find("[role=dialog] input[data-measures]").send_keys(measured)
      click_button "The way out"
    end

    assert_no_selector "[role=dialog]"
    assert_includes here, ":rescue:"
  end

  def test_assert_told = assert_selector("[data-status]", text: "All saved", wait: 15)
  def facts(kind) = db[:journal].where(kind: kind).exclude(id: db[:journal].where(kind: "withdrawal").select(:about))

  def test_shell_kept
    page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")

    assert page.evaluate_async_script("const done = arguments[0]; let left = 100; const look = () => caches.keys().then((all) => all.length || !left-- ? done(all.length > 0) : setTimeout(look, 50)); look()")
  end

  def test_a_sitting_is_walked_to_the_end_whatever_happens_meanwhile
    [*AVOCET, *CURLEW].each { |id| save({ placket: { count: "2", pins: [] } }, id: id) }
    hurry
    first = begin_sitting(AVOCET)
    visit "#{ROOM}/sittings/#{first}"

    assert_selector "[data-gain]", text: /One garment after the other would take .* longer/
    sew(first)
    shell_kept
    press_until("sew-at")
    go_wrong("thread_broke")
    2.times { press }

    assert_told

    # The cable is pulled, the lid closed and opened again.
    offline(true)
    3.times { press }

    assert_selector "[data-status]", text: "kept here"
    at = here
    visit current_path

    assert_selector "[data-step='#{at}']"
    press
    offline(false)

    assert_told
    followed(first)

    # Killed in the middle, with something going wrong meanwhile; and the cable once more.
    other = here[/\A\d+/] == "5" ? "3" : "5"
    press_until("#{other}:row:sew-at")
    port = BrowserTest.port
    world.stop_serving
    press
    find("body").send_keys(:left)

    assert_includes here, "sew-at"
    go_wrong("lost_out")
    2.times { press }

    assert_includes here, "#{other}:row:"
    world.serve(port: port)

    assert_told
    press_until("nothing like it", most: 150) unless page.has_text?("All done", wait: 0)

    assert_selector "[data-answer]", text: "All done, and the machine is as it was."
    assert_told
    assert_equal 4, facts("hole_sewn").count, "each hole once"
    assert_equal 2, facts("mishap").count
    assert_empty call(:get, "/api/workroom/sittings/#{first}")["steps"]
    second_machine
  end

  def test_second_machine
    second = begin_sitting(CURLEW)
    sew(second)
    press_until("sew-at")
    offline(true)
    2.times { press }
    offline(false)
    press_until("open:open-at")
    go_wrong("tack_cut")
    press_until("rescue-#{facts('mishap').order(:seq).last[:id][0, 8]}-3") if page.has_no_selector?("[data-status]", text: "kept",
wait: 0)
    press until page.has_field?("How long is the slit now?", wait: 0)
    fill_in "How long is the slit now?", with: "26"
    find("[data-done]").click
    press_until("nothing like it")

    assert_selector "[data-answer]", text: "All done, and the machine is as it was."
    assert_told
    assert_includes facts("hole_sewn").where(closure_id: 4).select_map(:opening_mm).map(&:to_f), 26.0
    assert_empty call(:get, "/api/workroom/under-way")["machines"]
  end

  # Another screen shows the same step, and what is done there is done here.
  def followed(sitting)
    at = here
    Capybara.using_session(:other) do
      sew(sitting)

      assert_selector "[data-step='#{at}']"
      press
    end

    assert_no_selector "[data-step='#{at}']", wait: 4
  ensure
    Capybara.using_session(:other) { page.quit }
  end

  def test_one_press_is_one_step_and_back_takes_it_back
    sew(begin_sitting([5]))
    was = here
    find("body").send_keys(:space, :space, :enter)

    assert_no_selector "[data-step='#{was}']"
    assert_told
    assert_equal 1, facts("step").count
    page.document.synchronize(5) do
      find("body").send_keys(:page_up)
      raise Capybara::ElementNotFound unless here == was
    end

    assert_told
    assert_equal 0, facts("step").count
    page.document.synchronize(5) do
      find("[data-done]").click
      raise Capybara::ElementNotFound if here == was
    end
  end

  def test_the_order_is_moved_by_hand_and_says_what_that_costs
    sitting = begin_sitting(AVOCET)
    visit "#{ROOM}/sittings/#{sitting}"
    within("[data-order]") do
      blocks = all("li > button[aria-pressed]")
      blocks.drop(1).find do |block|
        block.click
        page.has_button?("Earlier", disabled: false, wait: 0.2)
      end
      click_button "Earlier"
    end

    assert_selector "[data-wish]", text: "Your own order"
    click_button "Back to the best order"

    assert_no_selector "[data-wish]"
    find("summary", text: "What it is reckoned with").click
    fill_in "Fray liquid dries, minutes as its label says", with: "soon"
    find_field("Fray liquid dries, minutes as its label says").send_keys(:tab)

    assert_selector "[role=alert]", text: "Whole minutes"
  end

  def test_a_sitting_left_says_what_is_still_set_on_every_page
    visit ROOM
    find("summary", text: "Sit down at a machine").click
    all("[data-sit-down] input[type=checkbox]").first.click
    click_button "Begin a sitting"

    assert_selector "h1", text: "At "
    click_link "At the machine"

    assert_selector "[data-step]"
    hurry
    page.refresh
    press_until("row:test-sew")
    click_link "Leave"

    assert_selector "[data-away]"
    visit "#{ROOM}/stash"

    assert_selector "[data-still-set]", text: "is still set"
  end

  def test_it_can_be_used_by_everybody
    sitting = begin_sitting(AVOCET)
    hurry
    visit "#{ROOM}/sittings/#{sitting}"
    find("summary", text: "What it is reckoned with").click

    assert_nothing_found
    sew(sitting)

    assert_nothing_found
    press_until("place-at")

    assert_nothing_found
    click_button "Something went wrong"

    assert_selector "[role=dialog] [data-mishap]"
    assert_nothing_found
    find("[role=dialog] button[aria-label=Close]").click
    narrow

    assert_nothing_found
    assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, 390
    box = find("[data-done]").native.rect

    assert_operator box.height, :>=, 140, "as wide as a hand"
    assert_operator page.evaluate_script("parseFloat(getComputedStyle(document.querySelector('[data-step]')).fontSize)"), :>=, 30
  end

  private

  def assert_nothing_found
    page.execute_script(AXE)
    found = page.evaluate_async_script("axe.run(document).then((result) => arguments[0](result.violations))")

    assert_empty(found.map { |violation| [violation["id"], violation["nodes"].map { |node| node["html"][0, 160] }.first(3)] })
  end
end
