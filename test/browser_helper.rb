# frozen_string_literal: true

# For tests in the browser: headless Chromium against a real server over the throwaway database.

require "capybara/minitest"
require "tmpdir"
require_relative "app_helper"
require_relative "support/browser"

Capybara.register_driver(:chromium) { |app| NimbleEyelet::Support::Browser.driver(app) }
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = NimbleEyelet::Support::Browser::PATIENCE
# How often it is looked again meanwhile, in seconds.
Capybara.default_retry_interval = 0.1
Capybara.run_server = false
Capybara.enable_aria_label = true

class BrowserTest < AppTest
  include Capybara::DSL
  include Capybara::Minitest::Assertions

  AXE = File.read(File.expand_path("../web/node_modules/axe-core/axe.min.js", __dir__))

  def self.port = @@port ||= URI(AppWorld.world.serve).port # rubocop:disable Style/ClassVars

  # Whether pages are kept by a service worker, as a browser does on an address it trusts. Elsewhere they are not, which
  # is what the tests begin with unless they say so: installing it anew for every one of them takes longer than most.
  def self.keeps_pages? = false

  def setup
    super
    BrowserTest.port
    wide
    Capybara.app_host = "http://127.0.0.1:#{BrowserTest.port}"
    # Everything stands open, but where folds are what a test is about.
    @unfolded = on_every_page("try { for (const key of ['everything', 'beats-singly']) localStorage.setItem('nimble-eyelet:' + key, 'true') } catch {}") if unfolded?
    return if self.class.keeps_pages?

    @plain = on_every_page("delete Navigator.prototype.serviceWorker")
  end

  def unfolded? = true

  # What is so once something that nobody waits for here has happened.
  def eventually
    page.document.synchronize(Capybara.default_max_wait_time) do
      yield
    rescue Minitest::Assertion => e
      raise Capybara::ExpectationNotMet, e.message
    end
  end

  # What stands on the page that failed, beside its picture.
  def before_teardown
    super
    keep_page if failures.any? && !skipped?
  end

  def teardown
    offline(false)
    strange = page.driver.browser.logs.get(:browser).reject do |entry|
      entry.message.match?(tolerated)
    end
    leave
    wide
    on_no_page(@plain)
    on_no_page(@unfolded)

    assert_empty strange.map(&:message), "the console stays silent"
  end

  # What the console may say: that nobody answered, or that something was refused, is what many tests are about.
  def tolerated = /status of (4\d\d|503)|net::ERR_|Download error|occurred when fetching the script/

  # To an address of the same server that is no page: what was on its way is sent, and nothing holds on to what the
  # browser kept.
  def leave
    world.serve(port: BrowserTest.port) unless world.serving?
    visit "/api/health"
    forget
  rescue Selenium::WebDriver::Error::WebDriverError
    page.reset!
  end

  # Has a script run at the beginning of every page of this window.
  def on_every_page(script)
    page.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: script)["identifier"]
  end

  def on_no_page(identifier)
    page.driver.browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", identifier: identifier) if identifier
  end

  def keep_page
    file = File.join(FileUtils.mkdir_p(File.expand_path("../var/test", __dir__)), "#{self.class}-#{name}")
    page.save_screenshot("#{file}.png") # rubocop:disable Lint/Debugger
    text = page.text
    File.write("#{file}.txt", "#{page.current_url}\n\n#{text}\n")
    metadata[:page] = "the page, #{file}.png and .txt: #{page.current_url}\n#{text[0, 2000]}"
  rescue StandardError => e
    metadata[:page] = "the page could not be kept: #{e.message}"
  end

  # Everything the browser kept. A window opened from a page has its service worker, whatever this one has.
  def forget
    page.driver.browser.execute_cdp("Storage.clearDataForOrigin", origin: Capybara.app_host,
                                                                  storageTypes: "service_workers,cache_storage")
    page.evaluate_async_script(<<~JS)
      localStorage.clear();
      const done = arguments[0];
      const drop = (name) => new Promise((gone) => {
        const asked = indexedDB.deleteDatabase(name);
        asked.onsuccess = asked.onerror = asked.onblocked = gone;
      });
      Promise.all(['', '-outbox', '-photos', '-seen'].map((name) => drop('nimble-eyelet' + name))).then(() => done(true), () => done(false));
    JS
  end

  # Where the sample lies.
  ROOM = "/w/marsh-walk"

  def open_station(word, id: SMOCK)
    visit "#{ROOM}/closures/#{id}/#{word}"

    assert_selector "main h1"
  end

  # Types into a field of the plan, as a person would: select all, then keys.
  def type(path, text)
    field = find("input[data-path='#{path}']")
    field.click
    field.send_keys [:control, "a"], :backspace, *text.chars
  end

  # One of several, side by side or in a list.
  #
  # @param where [String] selector of what they lie in
  # @param key [String] of the one that is picked
  def pick(where, key)
    listed = ", select#{where} option[value='#{key}']" if where.start_with?("[")
    found = find("#{where} label:has(input[value='#{key}'])#{listed}")
    found.tag_name == "option" ? found.select_option : found.click
  end

  # Opens what is folded away, unless it stands open.
  def unfold(words)
    fold = find("summary", text: words).find(:xpath, "..")
    fold.find("summary", match: :first).click unless fold.matches_css?("[open]", wait: 0)
  end

  # What is chosen of a field: lying beside the others, or shown by a list.
  def assert_picked(path, words)
    chosen = "option:checked"

    assert_selector "[data-path='#{path}'] label.bg-primary, select[data-path='#{path}'] #{chosen}", text: words, visible: :all
  end

  def go(key) = find("main").send_keys(key)

  # A workroom of one's own, from the machine to the first closure.
  def begin_workroom(name)
    visit "/"
    fill_in said("workrooms_page.what_it_is_called"), with: name
    click_button said("workrooms_page.begin_it")

    assert_selector "h2", text: said("first_moves.the_first_three_moves")
    @home = URI(page.current_url).path
  end

  def put_machine(name, kind, dials)
    visit "#{@home}/machines/new"
    fill_in said("machine_page.what_you_call_it"), with: name
    pick("fieldset", kind)
    dials.each { |dial, text| find("[data-path='machine.#{dial}']").set(text) }
    click_button said("machine_feet.another_foot")
    click_button said("machine_page.put_it_in_the")

    assert_selector "[role=status]", text: said("machine_page.all_saved")
  end

  def begin_closure(garment, name, chosen = {})
    visit @home
    fill_in said("garment_page.garment"), with: garment
    fill_in said("begin_form.closure"), with: name
    chosen.each { |field, key| find("[data-path='begin.#{field}'] option[value='#{key}']").select_option }
    click_button said("begin_form.begin")

    assert_selector "[data-answer]"
  end

  # What is seen on a test hole: all of it right, but for what is said.
  #
  # @param otherwise [Hash{String => String}] key of a grade by that of the look
  def looks(otherwise = {})
    seen = { "fit" => "passes", "bead_away" => "full", "bead_back" => "full", "tension" => "even",
             "space" => "room" }.merge(otherwise)
    seen.each { |look, grade| pick("[data-look=#{look}]", grade) }
  end

  def log_hole(measured, otherwise = {})
    looks(otherwise)
    fill_in said("look_form.the_slit_as_measured"), with: measured
    click_on said("look_form.log_it")
  end

  def assert_answer(text) = assert_selector("[data-answer]", text: text)

  def assert_saved = assert_selector("header [role=status]", text: said("machine_page.all_saved"))

  # Rules whose outcome hangs on colours alone.
  COLOURS = %w[color-contrast link-in-text-block].freeze

  # @param only [Array<String>, nil] rules
  # @return [Array<Array>] id, impact and places of what is found, on the page as it is
  def violations(only: nil)
    page.execute_script(AXE) unless page.evaluate_script("'axe' in window")
    how = { resultTypes: ["violations"], **(only ? { runOnly: { type: "rule", values: only } } : {}) }
    found = page.evaluate_async_script("axe.run(document, arguments[0]).then((result) => arguments[1](result.violations))", how)
    found.map { |one| [one["id"], one["impact"], one["nodes"].map { |node| node["html"][0, 160] }.first(3)] }
  end

  # The rules ask for AA; moderate findings are matters of taste.
  def assert_violates_nothing(**only)
    assert_empty(violations(**only).select { |_, impact,| %w[serious critical].include?(impact) })
  end

  def size(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height, deviceScaleFactor: drawn,
                                                                          mobile: false)
  end

  # Dots of the screen for a pixel of the page: what nobody looks at is drawn in a quarter of them.
  def drawn = 0.5

  def wide = size(1280, 800)
  def narrow = size(390, 844)

  # A file of somebody's own, for as long as it is used.
  #
  # @yieldparam path [String]
  def with_file(name, text)
    Dir.mktmpdir do |folder|
      path = File.join(folder, name)
      File.write(path, text)
      yield path
    end
  end

  # As if the cable were pulled, once what is open was read whole.
  def offline(gone)
    assert_no_selector "main[data-whole=false]" if gone
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", offline: gone, latency: 0, downloadThroughput: -1,
                                                                        uploadThroughput: -1)
  end
end
