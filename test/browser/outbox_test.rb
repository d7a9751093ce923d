# frozen_string_literal: true

require "rubygems/package"
require "stringio"
require "zlib"
require_relative "../browser_helper"
require_relative "../support/at_the_machine"

# What happened waits in one outbox: told once, in its order, and never lost, whatever stands between browser and
# server.
class OutboxBrowserTest < BrowserTest
  include AtTheMachine

  OLDER = File.expand_path("../fixtures/pages-before-outbox.tgz", __dir__)
  TELLS = "/journal"

  def setup
    super
    @first = page.current_window
  end

  def teardown
    world.between = nil
    page.switch_to_window(@first)
    on_no_page(@shifted)
    (page.windows - [@first]).each(&:close)
    super
  end

  def test_three_tabs_without_a_server_lose_nothing
    tabs = Array.new(3) { |number| number.zero? ? at_the_steps : within_new { at_the_steps } }
    world.stop_serving
    tabs.zip(%w[stabilise needle thread]) { |tab, key| within_window(tab) { tick(key) } }
    within_window(tabs.first) { %w[stabilise needle thread].each { |key| assert_selector "[data-step=#{key}]:checked" } }
    within_window(tabs.first) { find("[data-step=needle]").click }
    tabs.last.close
    world.serve(port: BrowserTest.port)

    within_window(tabs[1]) { assert_saved }
    page.switch_to_window(tabs.first)

    assert_saved
    assert_equal %w[stabilise thread], facts("step").order(:happened_at, :seq).select_map(:step_key)
    assert_equal 4, db[:journal].where(closure_id: SMOCK).exclude(device: nil).count, "each was told once"
    assert_no_selector "[data-step=needle]:checked"
  end

  # As a browser is, without its locks as on an address it does not trust, and with tabs that do not hear of each other.
  LACKING = [
    "", "delete Navigator.prototype.locks",
    "const post = BroadcastChannel.prototype.postMessage; BroadcastChannel.prototype.postMessage = function (what) " \
    "{ if (this.name !== 'nimble-eyelet-outbox') post.call(this, what) }"
  ].freeze

  def test_two_tabs_of_a_session_tell_each_step_once
    LACKING.each do |lacking|
      world.reset
      session = begin_session([5])
      tabs = Array.new(2) { within_new(lacking) { at_the_machine(session) } }
      world.stop_serving
      pressed = [*tabs, *tabs].map { |tab| within_window(tab) { here.tap { press } } }
      world.serve(port: BrowserTest.port)
      at = tabs.map { |tab| within_window(tab) { assert_told && here } }
      told = facts("step").where(Sequel.lit("data->'with'->>'sitting.id' = ?", session.to_s)).select_map(:step_key)

      assert_equal told.uniq, told, lacking
      assert_empty pressed.map { |id| id.split(":").last } - told, lacking
      assert_equal 1, at.uniq.size, "both go on at the same step"
      tabs.each(&:close)
      page.switch_to_window(@first)
      leave
    end
  end

  # A proxy that wants a name, a page to give it on, a way that is blocked.
  def test_a_login_that_lapsed_loses_nothing
    at_the_steps
    answers = [[200, "<h1>Sign in</h1>"], [403, "No."], [407, ""], [401, "Who are you?"]]
    asked = Queue.new
    world.between = lambda do |env, served|
      next served.call(env) unless env["PATH_INFO"].end_with?(TELLS, "/plan") && env["REQUEST_METHOD"] != "GET"

      asked << 1
      status, body = answers[[asked.size, answers.size].min - 1]
      [status, { "content-type" => "text/html" }, [body]]
    end
    tick("stabilise")

    assert_selector "[role=alert]", text: said("sign_in.you_need_to_sign")
    eventually { assert_operator asked.size, :>=, answers.size }
    back = window_opened_by { click_link said("sign_in.sign_in") }

    within_window(back) do
      assert_equal "/", URI(page.current_url).path
      # It keeps pages like any other; half installed it would outlive this test.
      page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")
    end
    back.close

    assert_equal 0, facts("step").count
    visit current_path

    assert_selector "[data-step=stabilise]:checked"
    open_station "button"
    type "button.diameter", "19"

    assert_selector "[role=alert]", text: said("sign_in.you_need_to_sign")
    assert_field said("stash_form.diameter"), with: "19"
    world.between = nil

    assert_saved
    assert_equal "19 mm", closure["plan"]["button.diameter"]["text"]
    assert_equal %w[stabilise], facts("step").select_map(:step_key)
  end

  # The first one an hour ahead, the second with the clock put back by two: the order is that of the hands.
  def test_a_clock_that_is_put_right_turns_nothing_round
    shift(3600)
    at_the_steps
    world.stop_serving
    tick("stabilise")
    shift(-3600, reopen: true)
    tick("needle")
    world.serve(port: BrowserTest.port)

    assert_saved
    assert_equal %w[stabilise needle], facts("step").order(:happened_at, :seq).select_map(:step_key)
  end

  def test_a_phone_that_slept_for_a_week_says_when_it_was
    week = 7 * 86_400
    shift(-week)
    at_the_steps
    world.stop_serving
    tick("stabilise")
    shift(0, reopen: true)
    world.serve(port: BrowserTest.port)

    assert_saved
    assert_in_delta Time.now.to_f - week, facts("step").get(:happened_at).to_f, 3600
  end

  # What the server fails over again and again lets the others pass, and is seen; so is what it refuses.
  def test_one_that_cannot_be_told_holds_up_no_other
    at_the_steps
    fault = ->(_) { [500, { "content-type" => "application/problem+json" }, ['{"title":"","detail":"It broke.","status":500}']] }
    world.between = ->(env, served) { tells?(env, "needle") ? fault.call(env) : served.call(env) }
    tick("needle")
    tick("thread")

    assert_selector "[data-refused]", text: said("refused.saving_it_failed")
    eventually { assert_equal %w[thread], facts("step").select_map(:step_key) }
    world.between = ->(env, served) { served.call(strange(env, "step" => "needle")) }
    click_button said("refused.send_it_again")

    assert_selector "[data-refused]", text: said("journal_form.a_machine_has_no")
    assert_no_selector "[data-step=needle]:checked"
    visit current_path

    assert_selector "[data-refused]", text: said("journal_form.a_machine_has_no")
    world.between = nil
    click_button said("refused.it_did_not_happen")

    assert_no_selector "[data-refused]"
    page.driver.browser.logs.get(:browser).each { |entry| assert_includes entry.message, TELLS, "what failed is known" }

    assert_equal %w[thread], facts("step").select_map(:step_key)
  end

  def test_a_test_hole_that_is_not_taken_comes_back_into_its_form
    open_station "swatch"
    world.between = ->(env, served) { served.call(strange(env, "kind" => "swatch")) }
    find("[data-measures]").send_keys "22.5"
    find("[data-look=fit] label", match: :first).click
    find("[data-look-form]").click_button(said("look_form.log_it"))

    assert_selector "[data-refused]", text: said("journal_form.a_machine_has_no")
    assert_equal "", find("[data-measures]").value
    open_station "sewing"
    click_button said("refused.correct_it")

    assert_selector "[data-measures]"
    eventually { assert_equal "22.5", find("[data-measures]").value }
    assert_no_selector "[data-refused]"
    world.between = nil
    find("[data-look-form]").click_button(said("look_form.log_it"))

    assert_saved
    eventually { assert_equal(["22.5"], facts("swatch").map { |row| row[:data]["measured"].to_s }) }
  end

  # Somebody left a tab open when the application was changed.
  def test_a_tab_of_the_build_before_beside_a_new_one
    world.between = ->(env, served) { older(env) || served.call(env) }
    visit "#{ROOM}/closures/#{SMOCK}/sewing?older"

    assert_selector "[data-step=stabilise]"
    script = page.evaluate_script("document.querySelector('script[type=module]').getAttribute('src')")
    fresh = within_new { at_the_steps }

    refute_includes File.read(File.join(Http::FrontEnd::FOLDER, "index.html")), script, "it is another build"
    world.stop_serving
    tick("stabilise")
    within_window(fresh) { tick("needle") }
    world.serve(port: BrowserTest.port)
    within_window(fresh) do
      visit current_path

      assert_saved
    end
    assert_saved
    eventually do
      assert_equal %w[needle stabilise], facts("step").select_map(:step_key).sort
    end
  end

  private

  def at_the_steps
    open_station "sewing"

    assert_selector "[data-step=stabilise]"
    page.current_window
  end

  def at_the_machine(session)
    hurry
    @hurried = nil
    sew(session)
    page.current_window
  end

  # @param lacking [String] script that takes something away from the browser
  def within_new(lacking = "")
    within_window(open_new_window) do
      on_every_page("delete Navigator.prototype.serviceWorker; #{lacking}")
      yield
    end
  end

  def tick(key)
    find("[data-step=#{key}]").click

    assert_selector "[data-step=#{key}]:checked"
  end

  # Every page from now on thinks it is so many seconds later.
  def shift(seconds, reopen: false)
    on_no_page(@shifted)
    @shifted = on_every_page(<<~JS)
      (() => {
        const Real = Date, by = #{seconds * 1000};
        window.Date = class extends Real {
          constructor(...given) { given.length ? super(...given) : super(Real.now() + by); }
          static now() { return Real.now() + by; }
        };
      })();
    JS
    return unless reopen

    world.serve(port: BrowserTest.port)
    world.between = ->(env, served) { env["PATH_INFO"].end_with?(TELLS) && env["REQUEST_METHOD"] == "POST" ? [503, {}, []] : served.call(env) }
    at_the_steps
    world.stop_serving
    world.between = nil
  end

  def tells?(env, step) = asks(env).to_s.include?("\"step\":\"#{step}\"")

  # @return [String, nil] what is told
  def asks(env)
    return unless env["PATH_INFO"].end_with?(TELLS) && env["REQUEST_METHOD"] == "POST"

    env["rack.input"].read.tap { |text| env["rack.input"] = StringIO.new(text) }
  end

  # Says of such a fact what no machine has.
  def strange(env, such)
    body = JSON.parse(asks(env) || "{}")
    entries = body.fetch("entries", []).select { |entry| such <= entry }
    return env if entries.empty?

    entries.each { |entry| entry["moves"] = { "antenna" => "up" } }
    text = JSON.generate(body)
    env.merge("rack.input" => StringIO.new(text), "CONTENT_LENGTH" => text.bytesize.to_s)
  end

  # The page of the build before, and what it is made of.
  def older(env)
    path = env["QUERY_STRING"] == "older" ? "index.html" : env["PATH_INFO"].delete_prefix("/")
    return unless path == "index.html" || path.start_with?("assets/")

    body = pages_before[path] or return
    type = { ".js" => "text/javascript", ".css" => "text/css", ".html" => "text/html" }.fetch(File.extname(path), "application/octet-stream")
    [200, { "content-type" => type }, [body]]
  end

  def pages_before
    @pages_before ||= Zlib::GzipReader.open(OLDER) do |zipped|
      Gem::Package::TarReader.new(zipped).each_with_object({}) do |file, found|
        found[file.full_name.delete_prefix("./")] = file.read if file.file?
      end
    end
  end
end
