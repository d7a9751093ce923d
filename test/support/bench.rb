# frozen_string_literal: true

# The speed measurements behind bin/bench: each a ratio to a baseline measured in the same run.

require "zlib"
require_relative "world"
require_relative "bench_page"
require_relative "browser"
require_relative "crowd_bench"
require_relative "house_bench"
require_relative "http_bench"
require_relative "pages_bench"
require_relative "photo_bench"
require_relative "practice_bench"
require_relative "random_runs"
require_relative "session_bench"
require_relative "swatch_book_bench"
require_relative "taught_bench"

module NimbleEyelet
  module Support
    class Measurements
      # A long front: 12 holes on 720 mm, marks every half millimetre, 5 keep-outs, 2 pins.
      FRONT = Spacing::Demands.new(
        count: 12, grid: Length.mm(0.5r), from: Length.mm(15), to: Length.mm(720), least_gap: Length.mm(30),
        first: Spacing::RowEnd.new(at: Length.mm(24), fixed: true),
        last: Spacing::RowEnd.new(at: Length.mm(680), fixed: true), pins: [Length.mm(212), Length.mm(455)],
        blocked: [[100, 118], [262, 281], [330, 341], [520, 538], [590, 601]]
                 .map { |from, to| Spacing::Blocked.new(from: Length.mm(from), to: Length.mm(to)) }
      )

      # Where the sample lies.
      HOME = "/api/workrooms/marsh-walk"
      ROUNDS = 500
      FAMILY = 1000
      WARM_UP = 60
      KEYS = 30

      # What the client waits for another key before it saves, ms.
      PAUSE = 200

      WATCH = <<~JS
        window.spent = []
        let pressed = 0
        addEventListener('keydown', (event) => { pressed = event.timeStamp }, true)
        new MutationObserver(() => {
          if (pressed) requestAnimationFrame(() => { if (pressed) { spent.push(performance.now() - pressed); pressed = 0 } })
        }).observe(document.querySelector("section[aria-label='The edge']"), { subtree: true, attributes: true, characterData: true, childList: true })
      JS

      include HouseBench
      include HttpBench
      include PagesBench
      include PhotoBench
      include PracticeBench
      include SwatchBookBench

      PARTS = %i[schools solver family growth paths sessions taught swatch_book over_http crowd parts import first_visit
                 frames key_to_run practice photo starting beside large memory lighthouse].freeze
      # Only when it is named: it takes half as long as all the rest.
      NAMED = %i[lighthouse].freeze

      # @param only [Array<String>] names of PARTS; all of them where none is named
      # @raise [SystemExit] for a name there is none of
      def run(only = [])
        unknown = only - PARTS.map(&:to_s)
        abort "There is no #{unknown.first}. There are: #{PARTS.join(', ')}." if unknown.any?

        @everything = only.empty?
        BenchPage.keep(File.expand_path("../../var/bench", __dir__)) { measured(only) }
      end

      private

      # Where all parts are measured, each is short enough for the whole to end within ten minutes.
      def everything? = @everything

      def measured(only)
        puts "Ruby #{RUBY_VERSION}#{' with YJIT' if defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled?}"
        World.open do |world|
          (only.empty? ? PARTS - NAMED : PARTS & only.map(&:to_sym)).each do |part|
            method(part).arity.zero? ? send(part) : send(part, world)
          end
        end
      end

      def sessions(world) = SessionBench.run(world)
      def crowd(world) = CrowdBench.run(world, everything? ? 15 : 50)
      def taught = TaughtBench.run(everything? ? 24 : 240)
      def closures(world) = Store::Closures.new(Store::Workrooms.new(world.db).find("marsh-walk"))

      # All schools for the smock's button, against parsing everything said about the smock as JSON.
      def schools(world)
        closure = closures(world).find(1)
        plan = closure.sheet.plan
        said = JSON.generate(View::ClosureView.of(closure, Presenter.new(:mm))[:plan])
        ends = closure.sheet.recipe.ends
        ours, parse = each_of({ ours: -> { Opening::SlitLength.of(plan.button, plan.cloth, plan.opening, ends) },
                                parse: lambda {
                                  JSON.parse(said)
                                } })
        puts format("all schools for one button: %.3f ms, %.2f times parsing the %d bytes said about it as JSON",
                    ours * 1000, ours / parse, said.bytesize)
      end

      # Against a plain dynamic programme over all places and all places before, in whole steps of the grid.
      def solver
        best = nil
        plain = clocked { best = plain_cost(FRONT) }
        row = Spacing::Solver.solve(FRONT)
        raise "another optimum: #{row.cost.to_f} and #{best.to_f}" unless row.cost == best

        ours = each_of({ ours: -> { Spacing::Solver.solve(FRONT) } }, rounds: 40).first
        puts format("solver: %.1f ms for 12 holes on 1,440 marks, the same optimum as a plain dynamic programme " \
                    "in %.4f of its time (aim 0.02)",
                    ours * 1000, ours / plain)
      end

      def plain_cost(front)
        grid = front.grid
        step = ->(length) { (length / grid).to_i }
        places = (step.call(front.from)..step.call(front.to)).reject do |at|
          front.blocked.any? { |blocked| at > step.call(blocked.from) && at < step.call(blocked.to) }
        end
        pins = front.pins.map(&step)
        least = step.call(front.least_gap)
        costs = { step.call(front.first.at) => 0 }
        (front.count - 1).times do
          costs = places.each_with_object({}) do |to, found|
            costs.each do |from, cost|
              gap = to - from
              next if gap < least || pins.any? { |pin| pin > from && pin < to }

              total = cost + (gap * gap)
              found[to] = total if found[to].nil? || total < found[to]
            end
          end
        end
        span = step.call(front.last.at) - step.call(front.first.at)
        (costs.fetch(step.call(front.last.at)) - Rational(span**2, front.count - 1)) * (grid.millimetres**2)
      end

      # A thousand runs as the interface takes them: the row, or what collides.
      def family
        runs = RandomRuns.new(Random.new(7))
        proven = Hash.new(0)
        spent = Array.new(FAMILY) do
          spacings = RandomRuns.spacings(*runs.next)
          before = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
          row = spacings.found
          found = row || Spacing::Conflict.of(spacings.collided)
          proven[[row ? "rows" : "collisions", row ? row.proven? : found.smallest]] += 1
          (Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - before) * 1000
        end.sort
        puts format("%d random runs, row or explanation: median %.1f ms CPU, 99 of 100 within %.0f (aim 100), worst %.0f (aim 400); " \
                    "%d rows proven, %d not; %d collisions with the smallest set, %d with one that collides",
                    FAMILY, spent[FAMILY / 2], spent[FAMILY * 99 / 100], spent.last, proven[["rows", true]],
                    proven[["rows", false]], proven[["collisions", true]], proven[["collisions", false]])
      end

      # How the time grows with holes and with the fineness of the marks, as times of the first.
      def growth
        base = nil
        table = [2, 1, 0.5r, 0.25r].map do |grid|
          [4, 8, 16, 32].map do |count|
            demands = FRONT.with(grid: Length.mm(grid), count: count, least_gap: Length.mm(8))
            spent = each_of({ ours: -> { Spacing::Solver.solve(demands) } }, rounds: 12).first
            base ||= spent
            spent / base
          end
        end
        puts "  growth, as times of the first (#{format('%.1f ms', base * 1000)}):  4 holes       8      16      32"
        table.zip(["2 mm", "1 mm", "0.5 mm", "0.25 mm"]) { |row, grid| puts format("    %-38s%8.1f%8.1f%8.1f%8.1f", grid, *row) }
      end

      # Medians of each, in turns, seconds.
      def each_of(works, rounds: ROUNDS)
        samples = works.transform_values { [] }
        (WARM_UP + rounds).times do |round|
          works.each { |name, work| clocked(&work).then { |spent| samples[name] << spent if round >= WARM_UP } }
        end
        samples.values.map { |list| list.sort[list.size / 2] }
      end

      # A corded hole of 40 mm at 0.3 mm, against writing as many points as JSON; a whole recipe against it;
      # and the hole over HTTP against the bare route.
      def paths(world)
        plan = closures(world).find(5).sheet.plan
        shape = Stitches::HoleShape.new(near_end: :eyelet, far_end: :tack, opening: 40.0, near: 4.0, far: 1.25,
                                        width: 6.4, space: 0.9, length: 0.3, cord: 0.7, eye: 1.5)
        points = Stitches::Path.sew(shape, plan.machine).points
        situation = Recipes::Situation.new(button: plan.button, cloth: plan.cloth, thread: plan.thread,
                                           machine: plan.machine, stabilisers: plan.stabilisers)
        path, json, recipe = each_of({ path: -> { Stitches::Path.sew(shape, plan.machine) },
                                       json: -> { JSON.generate(points) },
                                       recipe: -> { Recipes::Recipe.of(situation, plan.recipe) } })
        puts format("path of %d stitches: %.3f ms, %.2f times writing its points as JSON; a recipe takes %.2f times the path",
                    points.size, path * 1000, path / json, recipe / path)
      end

      # Three thousand stitches played on a processor slowed to a quarter.
      def frames(world)
        world.db[:closures].where(id: 1).update(button_diameter_mm: 150, placket_run_length_mm: 600, placket_count: 1,
                                                placket_orientation: "horizontal", recipe_stitch_length_mm: 0.1)
        Capybara.register_driver(:frames) { |app| Browser.driver(app) }
        session = Capybara::Session.new(:frames)
        session.visit("#{world.serve}/w/marsh-walk/closures/1/recipe")
        session.find("summary", text: "See it sewn", wait: 10).click
        session.find("[data-stitch]", wait: 10)
        session.driver.browser.execute_cdp("Emulation.setCPUThrottlingRate", rate: 4)
        session.execute_script("window.gaps = []; let last = 0; " \
                               "(function go(now) { if (last) gaps.push(now - last); last = now; requestAnimationFrame(go) })()")
        session.find("select[aria-label=Speed]").select("16 times")
        session.find("button[aria-label='To the start']").click
        session.execute_script("gaps.length = 0")
        session.find("button[aria-label=Play]").click
        session.find("button[aria-label=Play]", wait: 60)
        gaps = session.evaluate_script("gaps").sort
        puts format("playing %d stitches at 16 times their speed, processor slowed 4 times: median frame %.0f ms, " \
                    "99th percentile %.0f, longest %.0f (aim 50)", session.find("[data-stitch]").text[/of (\d+)/, 1].to_i,
                    gaps[gaps.size / 2], gaps[gaps.size * 99 / 100], gaps.last)
        session.quit
        world.reset
      end

      def clocked
        start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        yield
        Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
      end

      def wait_for
        500.times { yield ? return : sleep(0.02) }
        raise "the run was not redrawn"
      end

      # From a key in the diameter field to the redrawn run, in the real browser.
      def key_to_run(world)
        Capybara.register_driver(:bench) { |app| Browser.driver(app) }
        session = Capybara::Session.new(:bench)
        session.visit("#{world.serve}/w/marsh-walk/closures/1/button")
        field = session.find("input[data-path='button.diameter']", wait: 10)
        session.execute_script(WATCH)
        field.send_keys [:control, "a"], "18"
        wait_for { session.has_text?("All saved") }
        KEYS.times do |number|
          count = session.evaluate_script("spent.length")
          field.send_keys :backspace, (number.even? ? "9" : "8")
          wait_for { session.evaluate_script("spent.length") > count }
        end
        spent = session.evaluate_script("spent").last(KEYS).sort
        puts format("key press to redrawn run: median %.0f ms of %d, of which %d ms wait for the next key: %.2f times that pause",
                    spent[KEYS / 2], KEYS, PAUSE, spent[KEYS / 2] / PAUSE)
        session.quit
      end
    end
  end
end

NimbleEyelet::Support::Measurements.new.run(ARGV)
