# frozen_string_literal: true

# What somebody at the machine does in the browser: for tests of a session.
module AtTheMachine
  AVOCET = [5, 3].freeze
  CURLEW = [4].freeze

  # A second press within half a second is the same press: here that half second is always over. The clock stays right,
  # since the order of facts goes by it.
  def hurry
    @hurried = on_every_page(<<~JS)
      (() => { const real = performance.now.bind(performance); let ahead = 0; performance.now = () => real() + (ahead += 600); })();
    JS
  end

  # However long the keys take to get there, they are pressed at the same moment; afterwards each press comes long after
  # the last.
  def time_stands_still
    page.execute_script("window.stopped = performance.now(); performance.now = () => window.stopped")
    yield
    page.execute_script("performance.now = () => (window.stopped += 600)")
  end

  def teardown
    on_no_page(@hurried)
    super
  end

  def begin_session(ids)
    call(:post, "/api/workroom/sessions", { closures: ids })["id"]
  end

  def sew(session)
    visit "#{BrowserTest::ROOM}/sessions/#{session}/sew"

    assert_selector "[data-step]"
  end

  def here = find("[data-step]")["data-step"]

  # One step, by whatever is pressed; another one is shown then.
  def press(key = :space)
    was = here
    find("body").send_keys(key)
    # What is not dry yet is asked about once.
    assert_selector "[data-wet], [data-step]:not([data-step='#{was}']), [data-answer]:not([data-step])"
    find("body").send_keys(key) if has_selector?("[data-step='#{was}']", wait: 0)

    assert_no_selector "[data-step='#{was}']"
  end

  # Presses Done, step after step, each once the one before it is told, until one of them is that part of the work, or
  # asks something, or all is done.
  def press_until(part, most: 150)
    # After a reload there is nothing yet.
    assert_selector "[data-step], [data-answer]"
    found = page.evaluate_async_script(<<~JS, part, most)
      const [part, most, done] = arguments;
      const told = () => document.querySelector('[data-status]')?.textContent.includes('All saved');
      let pressed = 0, at = null, asked = null;
      const look = () => {
        const now = document.querySelector('[data-step]')?.dataset.step;
        const asks = document.querySelector('[data-measures]');
        if (now === undefined || now.includes(part) || asks) return over(now ?? 'all done');
        const wet = document.querySelector('[data-wet]') !== null;
        if ((now === at && !(wet && asked !== now)) || !told()) return;
        if (wet) asked = now;
        if ((pressed += 1) > most) return over(null);
        at = now;
        document.querySelector('[data-done]').click();
      };
      const changes = new MutationObserver(look);
      const over = (what) => { changes.disconnect(); done(what); };
      changes.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
      look();
    JS

    flunk "#{part} never came" unless found
    found
  end

  def go_wrong(key, measured: nil)
    click_button said("sew_page.something_went_wrong")
    find("[data-mishap='#{key}']").click
    if measured
      find("[role=dialog] input[data-measures]").send_keys(measured)
      click_button said("mishap_dialog.the_way_out")
    end

    assert_no_selector "[role=dialog]"
    assert_includes here, ":rescue:"
  end

  def assert_told = assert_selector("[data-status]", text: said("machine_page.all_saved"))
  def facts(kind) = db[:journal].where(kind: kind).exclude(id: db[:journal].where(kind: "withdrawal").select(:about))

  def shell_kept
    page.evaluate_async_script("navigator.serviceWorker.ready.then(() => arguments[0](true))")

    assert page.evaluate_async_script(<<~JS)
      const done = arguments[0];
      let left = 100;
      const look = () => caches.keys().then((all) => (all.length || !left-- ? done(all.length > 0) : setTimeout(look, 50)));
      look();
    JS
  end

  def assert_nothing_found = assert_empty(violations)
end
