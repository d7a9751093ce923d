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

      # What is to be read in an element and whether it is to be seen, as the browser itself tells it: the driver's own
      # scripts are fifty kilobytes each, sent and read anew for every element.
      module Told
        READ = "(({ innerText, textContent }) => innerText ?? textContent)(arguments[0])"
        # A choice of a list is seen as the list is.
        SEEN = <<~JS.tr("\n", " ").freeze
          (function(it) {
            const one = it.closest('option, optgroup') ? it.closest('select') ?? it : it;
            return one.checkVisibility({ opacityProperty: true, visibilityProperty: true });
          })
        JS

        def visible_text = driver.evaluate_script(READ, self).gsub(/[\t\u00a0 ]+/, " ").gsub(/ ?\n[ \n]*/, "\n").strip
        def visible? = driver.evaluate_script("#{SEEN}(arguments[0])", self)
      end

      # Finds elements and says in the same answer which of them are seen, instead of asking again for each.
      module FoundAtOnce
        FIND = <<~JS.tr("\n", " ").freeze
          const [css, selector, within] = arguments, root = within ?? document, seen = #{Told::SEEN};
          const found = [];
          if (css) found.push(...root.querySelectorAll(selector));
          else {
            const all = document.evaluate(selector, root, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
            for (let at = 0; at < all.snapshotLength; at++) found.push(all.snapshotItem(at));
          }
          return found.map((one) => [one, seen(one)]);
        JS

        private

        def find_by(format, selector, styles:, position:, **more)
          return super if styles || position

          within = native if is_a?(Capybara::Selenium::Node)
          (es_context.browser.execute_script(FIND, format == :css, selector, within) || [])
            .map { |element, seen| build_node(element, { visible: seen }) }
        end

        def es_context = is_a?(Capybara::Selenium::Node) ? driver : self
      end
      Capybara::Selenium::ChromeNode.prepend(Told)
      Capybara::Selenium::Find.prepend(FoundAtOnce)
    end
  end
end
