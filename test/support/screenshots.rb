# frozen_string_literal: true

# Takes one picture of each main view, from the sample workroom as a new person finds it. With a folder as argument
# they go there, and only those whose name contains the second argument, a regular expression.

require_relative "world"
require_relative "browser"

module NimbleEyelet
  module Support
    class Screenshots
      DOCS = File.expand_path("../../docs/screenshots", __dir__)
      WORDS = STAGES.keys.freeze

      def initialize(folder, only)
        @folder = folder
        @only = only
      end

      def take
        World.open(story: true) do |world|
          @address = world.serve
          wide = session(1280, 800)
          shoot(wide, "workroom", "")
          shoot(wide, "first-answer", "") do |session|
            session.find("#request").set("shirt front, 7 buttons 11.5 mm, cotton poplin")
            session.assert_selector("[data-first-answer] [data-answer]")
            session.execute_script("document.activeElement.blur()")
          end
          WORDS.each { |word| shoot(wide, word, "/closures/#{word == 'swatch' ? 3 : 1}/#{word}") }
          shoot(wide, "swatches", "/swatches")
          { "garment" => "/garments/1", "stash" => "/stash", "machine" => "/machines/4" }.each do |name, path|
            shoot(wide, name, path)
          end
          narrow = session(390, 844)
          at_the_machine(wide, narrow)
          look_closer(wide, narrow) unless @folder == DOCS
        end
      end

      private

      # A session of three closures: along the clock, a step of it wide and on a phone by lamplight, and the way out.
      def at_the_machine(wide, narrow)
        session = call(:post, "/sessions", { closures: [5, 3, 7] })["id"]
        shoot(wide, "session", "/sessions/#{session}")
        sew_until(session, "place-at")
        next_step = call(:get, "/sessions/#{session}")["steps"].first["does"]
        shoot(wide, "sew", "/sessions/#{session}/sew") { |page| page.assert_text(next_step, wait: 30) }
        lamplight(narrow)
        shoot(narrow, "sew-phone", "/sessions/#{session}/sew") { |page| page.assert_text(next_step, wait: 30) }
        rehearse(wide)
        return if @folder == DOCS

        sew_until(session, "sew-at")
        shoot(wide, "rescue", "/sessions/#{session}/sew") do |session|
          session.click_button("Something went wrong")
          session.assert_selector("[data-mishap]")
        end
      end

      # A buttonhole on the practice machine, in the middle of its second side.
      def rehearse(page)
        page.visit("#{@address}/w/marsh-walk/closures/1/rehearse")
        acts = [{ act: "lay", to: "hole-0" }, { act: "slide_foot" }, { act: "lead_tails" },
                { act: "wheel", degrees: 180 },
                { act: "presser", to: "down" }, { act: "set", part: "lever", to: "down" },
                { act: "pedal", seconds: 24 }]
        kept = { id: SecureRandom.uuid, acts: acts, how: "hints", seconds: 40, at: (Time.now.to_f * 1000).round }
        page.execute_script("localStorage.setItem(arguments[0], JSON.stringify(arguments[1]))",
                            "nimble-eyelet:rehearsal:marsh-walk:1:hole", kept)
        shoot(page, "rehearse", "/closures/1/rehearse/hole") do |one|
          one.assert_selector("[data-acts='7']", wait: 30)
        end
      end

      def sew_until(session, name)
        found = call(:get, "/sessions/#{session}")
        found["steps"].take_while { |step| !step["key"].start_with?(name) }.each do |step|
          step["enter"].each do |entry|
            enter({ **entry.transform_keys(&:to_sym), machine: found["machine"]["id"],
                    with: entry.fetch("with", {}).merge("sitting.id" => session.to_s) })
          end
        end
      end

      # What is worth a look but no picture to keep: names that are far too long, more of the phone.
      def look_closer(wide, narrow)
        long = call(:post, "/closures", { garment: "reversible quilted overcoat with detachable storm collar and a very long name",
                                          name: "left inner placket, from the collar stand to the lower hem facing" })["id"]
        shoot(wide, "long-names", "/closures/#{long}/placket")
        shoot(wide, "basket", "/basket")
        shoot(wide, "workrooms", "/", room: "")
        %w[placket sewing swatch].each { |word| shoot(narrow, "phone-#{word}", "/closures/1/#{word}") }
        shoot(narrow, "phone-workroom", "")
        shoot(narrow, "phone-stash", "/stash")
      end

      def enter(fact)
        now = Time.now.utc.iso8601(3)
        closure = fact[:kind] == "machine_part" ? {} : { closure: 1 }
        call(:put, "/journal/#{SecureRandom.uuid}", { **closure, happened_at: now, sent_at: now, **fact.transform_keys(&:to_sym) })
      end

      def call(verb, rest, body = nil)
        uri = URI("#{@address}/api/workrooms/marsh-walk#{rest}")
        request = Net::HTTP.const_get(verb.capitalize).new(uri, "X-Nimble-Eyelet" => "1",
                                                           "If-Match" => "\"#{@version}\"",
                                                                "Content-Type" => "application/json")
        request.body = JSON.generate(body) if body
        answer = Net::HTTP.start(uri.host, uri.port) { |http| http.request(request) }
        raise "#{rest}: #{answer.body}" unless answer.is_a?(Net::HTTPSuccess)

        JSON.parse(answer.body).tap { |said| @version = said["version"] || @version }
      end

      def session(width, height)
        name = :"chromium_#{width}"
        Capybara.register_driver(name) { |app| Browser.driver(app, width: width, height: height) }
        Capybara::Session.new(name).tap do |session|
          # The window's own frame does not count.
          shown = { width: width, height: height, deviceScaleFactor: 1, mobile: width < 500 }
          session.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", **shown)
        end
      end

      def lamplight(session)
        session.visit("#{@address}/")
        session.execute_script("localStorage.setItem('nimble-eyelet:theme', '\"lamplight\"')")
      end

      def shoot(session, name, path, room: "/w/marsh-walk")
        return if @only && !name.match?(@only)

        session.visit("#{@address}#{room}#{path}")
        session.assert_selector("h1", wait: 10)
        session.assert_no_selector("[aria-busy]", wait: 10)
        session.assert_no_selector("[role=status]", text: "…", wait: 60)
        yield session if block_given?
        session.evaluate_async_script("document.fonts.ready.then(() => requestAnimationFrame(arguments[0]))")
        session.save_screenshot(File.join(@folder, "#{name}.png"))
      end
    end
  end
end

folder = ARGV[0] ? File.expand_path(ARGV[0]) : NimbleEyelet::Support::Screenshots::DOCS
NimbleEyelet::Support::Screenshots.new(folder, ARGV[1]).take
