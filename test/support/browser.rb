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

      # Finds elements that hold all of these texts and says in the same answer which of them are seen, instead of
      # asking again for each. The driver's own script that tells is long: a page is given it once.
      module FoundAtOnce
        FIND = <<~JS
          const [css, selector, texts, within] = arguments, root = within ?? document, found = [], seen = window.isSeen;
          if (!seen) return null;
          if (css) found.push(...root.querySelectorAll(selector));
          else {
            const all = document.evaluate(selector, root, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
            for (let at = 0; at < all.snapshotLength; at++) found.push(all.snapshotItem(at));
          }
          const holds = (one) => ((said) => texts.every((text) => said.includes(text)))(one.textContent.toLowerCase().replaceAll('\\u00a0', ' '));
          return (texts.length ? found.filter(holds) : found).map((one) => [one, seen(one)]);
        JS

        private

        def find_by(by, selector, uses_visibility:, texts:, styles:, position:)
          return super if styles || position || !uses_visibility

          within, asked = is_a?(Capybara::Selenium::Node) ? [native, driver] : [nil, self]
          found = -> { asked.browser.execute_script(FIND, by == :css, selector, texts.map(&:downcase), within) }
          (found.call || seeing(asked.browser, found) || [])
            .map { |element, visible| build_node(element, { visible: visible }) }
        end

        def seeing(browser, found)
          browser.execute_script("Object.defineProperty(window, 'isSeen', { value: #{is_displayed_atom} })")
          found.call
        end
      end

      # A click where an element is in sight and nothing covers it: the mouse goes there, presses and lets go, as the
      # driver does in three times the work. Whatever is not so simple is left to the driver, and to its errors.
      module ClickInSight
        SPOT = <<~JS
          const [one] = arguments;
          if (window !== window.top || one.matches('option')) return null;
          const middle = (from, to, most) => (Math.max(from, 0) + Math.min(to, most)) / 2;
          for (const block of ['nearest', 'center']) {
            one.scrollIntoView({ block, inline: block, behavior: 'instant' });
            const box = one.getClientRects()[0];
            if (!box) return null;
            const at = [middle(box.left, box.right, innerWidth), middle(box.top, box.bottom, innerHeight)];
            if (one.contains(document.elementFromPoint(...at))) return at;
          }
          return null;
        JS

        def click(keys = [], **options)
          x, y = driver.browser.execute_script(SPOT, native) if keys.empty? && options.empty?
          return super unless x

          mouse("mouseMoved", x, y, button: "none", buttons: 0)
          mouse("mousePressed", x, y, button: "left", buttons: 1, clickCount: 1)
          mouse("mouseReleased", x, y, button: "left", buttons: 0, clickCount: 1)
        end

        private

        def mouse(type, x, y, **more)
          driver.browser.execute_cdp("Input.dispatchMouseEvent", type: type, x: x, y: y, **more)
        end
      end
      Capybara::Selenium::ChromeNode.prepend(Text, ClickInSight)
      Capybara::Selenium::Find.prepend(FoundAtOnce)
    end
  end
end
