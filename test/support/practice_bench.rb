# frozen_string_literal: true

require "json"
require_relative "browser"

module NimbleEyelet
  module Support
    # What bin/bench says of the practice machine: how its pictures follow one another while it sews, at full speed and
    # at a quarter of it, against the screen's own sixty a second.
    module PracticeBench
      SCREEN = 1000.0 / 60
      SEWN = 10
      AT = "/w/marsh-walk/closures/1/rehearse"
      # Up to the pedal.
      READY = [{ act: "lay", to: "hole-0" }, { act: "slide_foot" }, { act: "lead_tails" },
               { act: "wheel", degrees: 180 }, { act: "presser", to: "down" }, { act: "set", part: "lever", to: "down" }].freeze
      COUNT = <<~JS
        window.pictures = []
        let last = performance.now()
        const next = () => { const now = performance.now(); pictures.push(now - last); last = now; requestAnimationFrame(next) }
        requestAnimationFrame(next)
      JS

      def practice(world)
        Capybara.register_driver(:practice) { |app| Browser.driver(app) }
        session = Capybara::Session.new(:practice)
        address = world.serve
        [1, 4].each { |slower| puts pictures(session, "#{address}#{AT}", slower) }
      end

      private

      def pictures(session, address, slower)
        session.visit(address)
        kept = { id: SecureRandom.uuid, acts: READY, how: "hints", seconds: 1, at: (Time.now.to_f * 1000).round }
        session.execute_script("localStorage.setItem(arguments[0], JSON.stringify(arguments[1]))",
                               "nimble-eyelet:rehearsal:marsh-walk:1:hole", kept)
        session.visit("#{address}/hole")
        session.assert_selector("[data-acts='#{READY.size}']", wait: Browser::PATIENCE)
        spent = sewn(session, slower).sort
        format("practice, %d times slower: %.2f times the screen's own time a picture, one in twenty %.2f, longest %.0f ms (aim 50)",
               slower, spent[spent.size / 2] / SCREEN, spent[spent.size * 19 / 20] / SCREEN, spent.last)
      end

      def sewn(session, slower)
        browser = session.driver.browser
        browser.execute_cdp("Emulation.setCPUThrottlingRate", rate: slower)
        pedal = session.all("[data-pedal] button", minimum: 2).first
        browser.action.move_to(pedal.native).click_and_hold.perform
        session.execute_script(COUNT)
        sleep SEWN
        session.evaluate_script("pictures.slice(5)")
      ensure
        browser.action.release.perform
        browser.execute_cdp("Emulation.setCPUThrottlingRate", rate: 1)
      end
    end
  end
end
