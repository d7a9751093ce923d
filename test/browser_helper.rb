# frozen_string_literal: true

# For tests in the browser: headless Chromium against a real server over the throwaway database.

require "capybara/minitest"
require_relative "app_helper"
require_relative "support/browser"

Capybara.register_driver(:chromium) { |app| NimbleEyelet::Support::Browser.driver(app) }
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = NimbleEyelet::Support::Browser::PATIENCE
# How often it is looked again meanwhile, in seconds.
Capybara.default_retry_interval = 0.05
Capybara.run_server = false
Capybara.enable_aria_label = true

class BrowserTest < AppTest
  include Capybara::DSL
  include Capybara::Minitest::Assertions

  AXE = File.read(File.expand_path("../web/node_modules/axe-core/axe.min.js", __dir__))

  def self.port = @@port ||= URI(AppWorld.world.serve).port # rubocop:disable Style/ClassVars

  # Whether pages are kept by a service worker, as a browser does on an address it trusts. Elsewhere they are not, which is what
  # the tests begin with unless they say so: installing it anew for every one of them takes longer than most.
  def self.keeps_pages? = false

  def setup
    super
    BrowserTest.port
    Capybara.app_host = "http://127.0.0.1:#{BrowserTest.port}"
    return if self.class.keeps_pages?

    @plain = on_every_page("delete Navigator.prototype.serviceWorker")
  end

  # What stands on the page that failed, beside its picture.
  def before_teardown
    super
    keep_page if failures.any? && !skipped?
  end

  def teardown
    offline(false)
    strange = page.driver.browser.logs.get(:browser).reject { |entry| entry.message.match?(/status of (4\d\d|503)|net::ERR_/) }
    leave
    wide
    on_no_page(@plain)

    assert_empty strange.map(&:message), "the console stays silent"
  end

  # To an address of the same server that is no page: what was on its way is sent, and nothing holds on to what the browser kept.
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

  # Everything the browser kept.
  def forget
    page.evaluate_async_script(<<~JS)
      localStorage.clear();
      const done = arguments[0];
      const gone = indexedDB.deleteDatabase('nimble-eyelet');
      const workers = () => navigator.serviceWorker?.getRegistrations() ?? Promise.resolve([]);
      gone.onsuccess = gone.onerror = gone.onblocked = () =>
        workers().then((all) => Promise.all(all.map((one) => one.unregister()))).then(() => done(true), () => done(false));
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

  # A workroom of one's own, from the machine to the first closure.
  def go(key) = find("main").send_keys(key)

  def begin_workroom(name)
    visit "/"
    fill_in "What it is called", with: name
    click_button "Begin it"

    assert_selector "h2", text: "The first three moves"
    @home = URI(page.current_url).path
  end

  def put_machine(name, kind, dials)
    visit "#{@home}/machines/new"
    fill_in "What you call it", with: name
    find("label", text: kind).click
    dials.each { |label, text| fill_in label, with: text }
    click_button "Another foot"
    click_button "Put it in the workroom"

    assert_selector "[role=status]", text: "All saved"
  end

  def begin_closure(garment, name, chosen = {})
    visit @home
    fill_in "Garment", with: garment
    fill_in "Closure", with: name
    chosen.each { |label, option| find_field(label).find("option", text: option, match: :first).select_option }
    click_button "Begin"

    assert_selector "[data-answer]"
  end

  # What is seen on a test hole: all of it right, but for what is said.
  def looks(otherwise = {})
    { "How does" => "passes as it should", "The bead that was sewn away" => "full", "The bead that was sewn toward" => "full",
      "The edge of the beads" => "a neat edge", "The cloth between" => "room to cut" }.merge(otherwise).each do |question, answer|
      within("[data-look-form] fieldset", text: question) do
        find("label", text: answer, exact_text: false, match: :prefer_exact).click
      end
    end
  end

  def log_hole(measured, otherwise = {})
    looks(otherwise)
    fill_in "The slit as measured", with: measured
    click_on "Log it"
  end

  def assert_answer(text) = assert_selector("[data-answer]", text: text)

  def assert_saved = assert_selector("header [role=status]", text: "All saved")

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
  def assert_violates_nothing(**only) = assert_empty(violations(**only).select { |_, impact,| %w[serious critical].include?(impact) })

  def size(width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height, deviceScaleFactor: 1,
                                                                          mobile: false)
  end

  def wide = size(1280, 800)
  def narrow = size(390, 844)

  # As if the cable were pulled.
  def offline(gone)
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", offline: gone, latency: 0, downloadThroughput: -1,
                                                                        uploadThroughput: -1)
  end
end
