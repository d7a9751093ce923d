# frozen_string_literal: true

# For tests in the browser: headless Chromium against a real server over the throwaway database.

require "capybara/minitest"
require_relative "app_helper"
require_relative "support/browser"

Capybara.register_driver(:chromium) { |app| NimbleEyelet::Support::Browser.driver(app) }
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = 8
Capybara.run_server = false
Capybara.enable_aria_label = true

class BrowserTest < AppTest
  include Capybara::DSL
  include Capybara::Minitest::Assertions

  AXE = File.read(File.expand_path("../web/node_modules/axe-core/axe.min.js", __dir__))

  def self.port = @@port ||= URI(AppWorld.world.serve).port # rubocop:disable Style/ClassVars

  def setup
    super
    BrowserTest.port
    Capybara.app_host = "http://127.0.0.1:#{BrowserTest.port}"
  end

  def teardown
    offline(false)
    strange = page.driver.browser.logs.get(:browser).reject { |entry| entry.message.match?(/status of (4\d\d|503)|net::ERR_/) }
    page.execute_script("localStorage.clear()") if page.current_url.start_with?("http")
    page.reset!
    wide

    assert_empty strange.map(&:message), "the console stays silent"
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

  def assert_answer(text) = assert_selector("[data-answer]", text: text)

  def assert_saved = assert_selector("header [role=status]", text: "All saved")

  def assert_violates_nothing
    # The rules ask for AA; moderate findings are matters of taste.
    page.execute_script(AXE)
    found = page.evaluate_async_script("axe.run(document).then((result) => arguments[0](result.violations))")
    serious = found.select { |violation| %w[serious critical].include?(violation["impact"]) }

    assert_empty(serious.map { |violation| [violation["id"], violation["nodes"].map { |node| node["html"][0, 160] }.first(3)] })
  end

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
