# frozen_string_literal: true

# Headless Chromium through Capybara, started so that it asks nothing of the network.

require "capybara"
require "selenium-webdriver"

module NimbleEyelet
  module Support
    module Browser
      CHROMIUM = "/usr/bin/chromium"
      DRIVER = "/usr/bin/chromedriver"
      FLAGS = %w[--headless=new --no-sandbox --disable-gpu --no-first-run --disable-background-networking
                 --disable-component-update --disable-sync --disable-dev-shm-usage --force-color-profile=srgb
                 --hide-scrollbars --force-prefers-reduced-motion].push("--host-resolver-rules=MAP sewing.test 127.0.0.1").freeze
      # Seconds before something is taken for hung; whatever passes is not slowed by it.
      PATIENCE = 120

      # @param width [Integer] px
      # @param height [Integer] px
      # @return [Selenium::WebDriver::Driver]
      def self.driver(app, width: 1280, height: 800)
        options = Selenium::WebDriver::Chrome::Options.new(binary: CHROMIUM, args: FLAGS + ["--window-size=#{width},#{height}"])
        options.logging_prefs = { browser: "ALL" }
        options.timeouts = { script: PATIENCE * 1000, page_load: PATIENCE * 1000 }
        service = Selenium::WebDriver::Chrome::Service.new(path: DRIVER)
        client = Selenium::WebDriver::Remote::Http::Default.new(open_timeout: PATIENCE, read_timeout: 2 * PATIENCE)
        Capybara::Selenium::Driver.new(app, browser: :chrome, options: options, service: service, http_client: client)
      end

      # What is to be read in an element, as the browser itself tells it: the driver's own script takes a third of a
      # second for a page.
      module Text
        READ = "(({ innerText, textContent }) => innerText ?? textContent)(arguments[0])"

        def visible_text = driver.evaluate_script(READ, self).gsub(/[\t\u00a0 ]+/, " ").gsub(/ ?\n[ \n]*/, "\n").strip
      end

      # Finds elements and says in the same answer which of them are seen, by the driver's own script, instead of asking
      # again for each.
      module FoundAtOnce
        FIND = <<~JS
          const [css, selector, within] = arguments, root = within ?? document, found = [];
          if (css) found.push(...root.querySelectorAll(selector));
          else {
            const all = document.evaluate(selector, root, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
            for (let at = 0; at < all.snapshotLength; at++) found.push(all.snapshotItem(at));
          }
        JS

        private

        def find_by(format, selector, uses_visibility:, styles:, position:, **)
          return super if styles || position || !uses_visibility

          within, asked = is_a?(Capybara::Selenium::Node) ? [native, driver] : [nil, self]
          seen = "return found.map((one) => [one, (#{is_displayed_atom})(one)])"
          (asked.browser.execute_script(FIND + seen, format == :css, selector, within) || [])
            .map { |element, visible| build_node(element, { visible: visible }) }
        end
      end
      Capybara::Selenium::ChromeNode.prepend(Text)
      Capybara::Selenium::Find.prepend(FoundAtOnce)
    end
  end
end
