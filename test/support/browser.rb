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
                 --hide-scrollbars].freeze

      # @param width [Integer] px
      # @param height [Integer] px
      # @return [Selenium::WebDriver::Driver]
      def self.driver(app, width: 1280, height: 800)
        options = Selenium::WebDriver::Chrome::Options.new(binary: CHROMIUM, args: FLAGS + ["--window-size=#{width},#{height}"])
        options.logging_prefs = { browser: "ALL" }
        # On a busy machine the look for everybody takes its time.
        options.timeouts = { script: 90_000 }
        service = Selenium::WebDriver::Chrome::Service.new(path: DRIVER)
        Capybara::Selenium::Driver.new(app, browser: :chrome, options: options, service: service)
      end
    end
  end
end
