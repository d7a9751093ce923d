# frozen_string_literal: true

# What somebody at the machine does in the browser: for tests of a sitting.
module AtTheMachine
  AVOCET = [5, 3].freeze
  CURLEW = [4].freeze

  # A second press within half a second is the same press: here time runs fast.
  def hurry
    @hurried = page.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: <<~JS)["identifier"]
      (() => { const real = Date.now; let ahead = 0; Date.now = () => real() + (ahead += 600); })();
    JS
  end

  def teardown
    page.driver.browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", identifier: @hurried) if @hurried
    super
  end

  def begin_sitting(ids)
    call(:post, "/api/workroom/sittings", { closures: ids })["id"]
  end

  def sew(sitting)
    visit "#{BrowserTest::ROOM}/sittings/#{sitting}/sew"

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

  def assert_told = assert_selector("[data-status]", text: "All saved", wait: 15)
  def facts(kind) = db[:journal].where(kind: kind).exclude(id: db[:journal].where(kind: "withdrawal").select(:about))

  def shell_kept
    page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")

    assert page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      let left = 100;
      const look = () => caches.keys().then((all) => (all.length || !left-- ? done(all.length > 0) : setTimeout(look, 50)));
      look();
    JS
  end

  def assert_nothing_found
    page.execute_script(BrowserTest::AXE)
    found = page.evaluate_async_script("axe.run(document).then((result) => arguments[0](result.violations))")

    assert_empty(found.map { |violation| [violation["id"], violation["nodes"].map { |node| node["html"][0, 160] }.first(3)] })
  end
end
