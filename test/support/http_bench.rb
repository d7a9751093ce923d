# frozen_string_literal: true

# What bin/bench measures of the application as it is asked: processor time against a bare route that reads the same
# rows, where it goes, the first visit, and files brought in.

require "json"
require "open3"
require "securerandom"
require "tmpdir"
require_relative "browser"
require_relative "served"

module NimbleEyelet
  module Support
    module HttpBench
      AIMS = { get: 8, again: 1.5, not_modified: 1.5, preview: 6, save: 10, tick: 2, line: 6, longest: 12,
               session: 8, session_again: 8 }.freeze
      NAMES = { get: "a stage, asked for first", again: "a stage, unchanged", not_modified: "a stage the client has",
                preview: "a preview while dragging", save: "a save", tick: "a step ticked", line: "one line, answered",
                longest: "a line that fits nowhere", session: "a session of five, composed",
                session_again: "a session, unchanged" }.freeze
      SENT = { "X-Nimble-Eyelet" => "1", "Content-Type" => "application/json", "Accept-Encoding" => "identity",
               "X-Device" => "11111111-1111-4111-8111-111111111111" }.freeze
      PATH = "/api/workrooms/marsh-walk"
      CLOSURE = "#{PATH}/closures/1".freeze
      # As the page asks for it.
      STAGE = "#{CLOSURE}?station=opening".freeze
      # Against the bare route, by processor time of the server and by the clock of whoever asks.
      def over_http(world)
        begin_anew
        url = world.cluster.url("nimble_eyelet_test")
        bytes = Rack::MockRequest.new(world.app).get(STAGE, "HTTP_HOST" => "127.0.0.1").body
        world.db.disconnect
        { true => %i[get preview save tick line longest session],
          false => %i[again not_modified session_again] }.each do |forgetful, kinds|
          served = Served.new(url, bare: bytes, forgetful: forgetful)
          asks = kinds.to_h { |kind| [kind, method(:"ask_#{kind}").to_proc] }
          costs = served.compare(200, **asks, bare: method(:ask_bare).to_proc)
          served.close
          costs.except(:bare).each do |kind, cost|
            puts told(NAMES.fetch(kind), cost, costs.fetch(:bare), AIMS.fetch(kind))
          end
        end
        puts "  load average meanwhile: #{File.read('/proc/loadavg').split.first(3).join(' ')}"
        world.reset
      end

      # The closures of another part are gone.
      def begin_anew = @version = @etag = @session = nil

      def told(name, cost, bare, aim)
        format("%-28s %5.1f times a bare route by CPU (aim %s): %.1f ms; waited %.1f ms, %.1f times; 95 of 100 in %.1f, %.1f times",
               name, cost.cpu / bare.cpu, aim, cost.cpu, cost.median, cost.median / bare.median, cost.slow,
               cost.slow / bare.slow)
      end

      def ask_bare(http) = http.get("/bare", SENT)
      def ask_get(http) = http.get(STAGE, SENT)
      def ask_again(http) = http.get(STAGE, SENT)

      def ask_not_modified(http)
        http.get(STAGE, @etag ? SENT.merge("If-None-Match" => @etag) : SENT).tap { |answer| @etag = answer["etag"] }
      end

      # All of them on one machine; composed anew where the server forgets.
      def ask_session(http)
        @session ||= begun(http)
        http.get("#{PATH}/sessions/#{@session}", SENT)
      end

      def ask_session_again(http) = ask_session(http)

      def begun(http)
        open = JSON.parse(http.get("#{PATH}/sessions", SENT).body).first
        return open["id"] if open

        answer = http.post("#{PATH}/sessions", JSON.generate(closures: [3, 5, 7, 8, 9]), SENT).body
        JSON.parse(answer).fetch("id")
      end

      def ask_preview(http)
        @turn = @turn.to_i + 1
        row = { from: "#{240 + (@turn % 90)}mm", to: "#{260 + (@turn % 90)}mm", label: "pocket edge" }
        http.post("#{CLOSURE}/preview", JSON.generate(changes: { "placket.keep_outs" => { "a" => row } }, station: "placket"), SENT)
      end

      # What needs buttonholes, another each time; and one that no usual length of an edge has room for.
      def ask_line(http) = ask_for(http, "shirt front, %d buttons 11.5 mm, cotton poplin")
      def ask_longest(http) = ask_for(http, "cuff, %d buttons 60 mm, 12 mm thick, wool, at least 200 mm apart")

      def ask_for(http, line)
        @turn = @turn.to_i + 1
        http.post("#{PATH}/request", JSON.generate(text: format(line, 5 + (@turn % 5)), chosen: {}), SENT)
      end

      def ask_save(http)
        @version ||= JSON.parse(http.get(CLOSURE, SENT).body)["version"]
        @turn = @turn.to_i + 1
        body = JSON.generate("button.diameter" => (18 + ((@turn % 50) / 100.0)).to_s)
        http.patch("#{CLOSURE}/plan?station=button", body, SENT.merge("If-Match" => "\"#{@version}\"")).tap do |answer|
          @version = JSON.parse(answer.body)["version"]
        end
      end

      def ask_tick(http)
        now = Time.now.utc.iso8601
        done = { kind: "step", closure: 1, machine: 4, step: "mark", with: { "opening.length" => { "mm" => "22.5" } }, moves: {} }
        http.put("#{PATH}/journal/#{SecureRandom.uuid}", JSON.generate(done.merge(happened_at: now, sent_at: now)), SENT)
      end

      # Where the time of a closure asked for first goes.
      def parts(world)
        store = Store::Closures.new(Store::Workrooms.new(world.db).find("marsh-walk"))
        closure = store.find(1)
        plan = closure.plan.in(closure.house)
        present = Presenter.new(:mm)
        sheet = Sheet.of(plan, closure.facts)
        view = View::ClosureView.of(closure, present, sheet: sheet)
        app = world.app
        health = { "HTTP_HOST" => "127.0.0.1" }
        works = { reading: -> { store.find(1) }, solver: -> { solved(sheet) },
                  sheet: -> { whole(Sheet.of(plan, closure.facts)) },
                  view: -> { View::ClosureView.of(closure, present, sheet: sheet) }, JSON: -> { JSON.generate(view) },
                  framework: -> { Rack::MockRequest.new(app).get("/api/health", health) } }
        times = works.keys.zip(each_of(works, rounds: 60)).to_h
        times[:sheet] -= times[:solver]
        puts "  where it goes: #{times.map { |name, spent| format('%s %.1f ms', name, spent * 1000) }.join(', ')}"
      end

      def solved(sheet)
        Placket::Spacings.new(sheet.plan.placket, sheet.plan.button, sheet.layout.spacings.holes, sewn: sheet.facts.holes).found
      end

      def whole(sheet) = Sheet::PARTS.each { |part| sheet.public_send(part) }

      # Twenty thousand buttons brought in over HTTP, against reading and checking the same rows without a database; and
      # how long others wait meanwhile.
      def import(world)
        rows = (1..20_000).map { |number| "bench #{number},flat,two_holes,#{8 + (number % 20)},3,3,1.8,#{number % 90},reed,\n" }
        body = "name,shape,attachment,diameter_mm,thickness_mm,hole_spacing_mm,hole_diameter_mm,owned,colour,note\n#{rows.join}"
        checked = clocked { Document::StashCsv::Reader.new(StringIO.new(body)).each { |row| row.item or raise row.name } }
        usual = waits(world.serve) { |stop| sleep(1) && stop.call }
        spent = 0
        meanwhile = waits(world.serve) do |stop|
          spent = clocked { bring_in(world.serve, body) }
          stop.call
        end
        puts format("20,000 buttons brought in: %.1f s, %.1f times reading and checking them (aim 3); others waited %.1f times " \
                    "as long as usual (aim 3)", spent, spent / checked, median(meanwhile) / median(usual))
        world.reset
      end

      def bring_in(address, body)
        uri = URI("#{address}#{PATH}/stash/import?keep=yes")
        post = Net::HTTP::Post.new(uri, "Content-Type" => "text/csv", "X-Nimble-Eyelet" => "1")
        post.body = body
        answer = Net::HTTP.start(uri.host, uri.port, read_timeout: 300) { |http| http.request(post) }
        raise answer.body unless answer.body.include?('"kept":true')
      end

      # How long somebody else waits for a closure, again and again, until told to stop.
      def waits(address)
        done = false
        uri = URI(address)
        other = Thread.new do
          Net::HTTP.start(uri.host, uri.port, read_timeout: 60) do |http|
            found = []
            found << clocked { http.get(CLOSURE, SENT) } until done
            found
          end
        end
        yield -> { done = true }
        other.value
      end

      def median(list) = list.sort[list.size / 2]

      WEIGHED = "performance.getEntriesByType('resource').concat(performance.getEntriesByType('navigation'))" \
                ".filter((entry) => entry.startTime < window.answered)" \
                ".map((entry) => [entry.name, entry.transferSize, entry.initiatorType])"
      ANSWERED = <<~JS
        new MutationObserver((_, observer) => {
          if (!document.querySelector('[data-answer]')) return
          window.answered = performance.now()
          observer.disconnect()
        }).observe(document, { subtree: true, childList: true })
      JS

      # What a browser that has never been here fetches until the table is shown.
      def first_visit(world)
        Capybara.register_driver(:first) { |app| Browser.driver(app) }
        session = Capybara::Session.new(:first)
        # When the answer stands there is noted by the page itself; what is fetched in idle moments comes after it.
        session.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: ANSWERED)
        session.visit("#{world.serve}/w/marsh-walk/closures/1/length")
        session.find("[data-answer]", wait: 15)
        found = session.evaluate_script(WEIGHED)
        scripts = found.select { |name, _, _| name.end_with?(".js") }
        packed = scripts.sum { |name, _, _| Zlib.gzip(File.binread(File.join(Http::FrontEnd::FOLDER, URI(name).path)), level: 9).bytesize }
        twice = found.map(&:first).tally.count { |_, times| times > 1 }
        puts format("first visit of a stage, to its answer: %d requests (aim 15), %.0f kB over the wire (aim 160), scripts %.1f kB " \
                    "gzipped (aim 60), %d fetched twice", found.size,
                    found.sum { |_, size, _| size } / 1024.0, packed / 1024.0, twice)
        puts(found.map(&:first).tally.select { |_, times| times > 1 }.keys.map { |name| "  twice: #{name}" })
        session.quit
      end
    end
  end
end
