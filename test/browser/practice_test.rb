# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/slip_ways"

# Practised in the browser on each kind of machine: right, wrong once for every slip, by keyboard alone, and by eye.
class PracticeTest < BrowserTest
  HOME_OF = "/w/marsh-walk/closures"
  def work(id) = (@works ||= {})[id] ||= Simulation::PracticeWork.of(Store::Closures.new(workroom).find(id).sheet)
  def exercise(id, key) = Rehearsal::Exercise.fetch(work(id), key)

  # The plain machine of the sample sews no satin: here it sews a cuff.
  def cuff_on_the_plain_machine
    machine = db[:machines].where(kind: "plain").get(:id)
    cuff = call(:get, "/api/closures/2")
    call(:patch, "/api/closures/2/plan", { "machine.id" => machine.to_s }, "HTTP_IF_MATCH" => %("#{cuff['version']}"))
  end

  def kept(id, exercise, acts, how: "hints")
    told = { id: SecureRandom.uuid, acts: acts.map { |act| View::RehearsalView.act(act) }, how: how, seconds: 40,
             at: (Time.now.to_f * 1000).round }
    page.execute_script("localStorage.setItem(arguments[0], JSON.stringify(arguments[1]))",
                        "nimble-eyelet:rehearsal:marsh-walk:#{id}:#{exercise}", told)
  end

  # Begun where these acts have led.
  def rehearse(id, exercise, acts = [], how: "hints")
    visit "#{HOME_OF}/#{id}/rehearse" unless page.current_path.to_s.include?("rehearse")
    kept(id, exercise, acts, how: how)
    visit "#{HOME_OF}/#{id}/rehearse/#{exercise}"

    assert_selector "[data-fabric], [data-answer]"
    assert_selector "[aria-label='#{said('rehearsal.parts_of_the_machine')}'] button"
  end

  # As hands do it on the page.
  def hands(act)
    acted(act) do
      case act.act
      when "pedal" then pedal(act.seconds, hard: act.hard)
      when "move" then moved(act)
      when "finish" then click_button(said("rehearsal.everything_is_back"))
      else pressed(act)
      end
    end
  end

  # Every press of an arrow key is an act of its own, and is waited for. What is over has no acts any more.
  def acted(act)
    before = find("[data-acts]")["data-acts"].to_i
    yield
    presses = act.act == "move" ? keys_of(act).size : 1

    presses.times { |done| assert_no_selector "[data-acts='#{before + done}']" }
  end

  def pressed(act)
    find("[data-part='#{part_of(act)}']").click
    # How far it is to needle up hangs on where the pedal was let go.
    moves = act.act == "wheel" ? all("[data-move^='wheel']", minimum: 1).to_a : [find("[data-move='#{named(act)}']")]
    (moves.find { |move| move["data-move"] == named(act) } || moves.first).click
  end

  def named(act)
    told = View::RehearsalView.act(act)
    [told[:act], told[:part], told[:to], (told[:degrees] unless told[:degrees].zero?)].compact.join(" ")
  end

  # Of what a part of the machine is on the page, where it is called otherwise.
  OF_PART = { "top_thread" => "thread", "bobbin_thread" => "bobbin", "bobbin_finger" => "bobbin",
              "button_in_foot" => "frame", "foot_opened" => "frame", "feed_dogs" => "feed", "cover_plate" => "feed" }.freeze
  OF_ACT = { "clear" => "key", "position" => "width", "step" => "selector", "slide_foot" => "frame",
             "hook_cord" => "frame", "free" => "bobbin", "search" => "needle" }.freeze

  def part_of(act)
    return OF_PART.fetch(act.part, act.part) if act.act == "set"
    return page.has_selector?("[data-part='lever']", wait: 0) ? "lever" : "selector" if act.act == "begin_again"

    OF_ACT[act.act] || (%w[power presser wheel key].include?(act.act) ? act.act : "fabric")
  end

  # How much faster the page's clock goes while the pedal is down.
  FAST = 8

  def pedal(seconds, hard: false)
    at = all("[data-pedal] button", minimum: 2)[hard ? 1 : 0]
    held(seconds) do
      page.driver.browser.action.move_to(at.native).click_and_hold.perform
      -> { page.driver.browser.action.release.perform }
    end
  end

  # Pressed as hands do it, and let go by the page itself: while the driver is slow to let go, a machine sews past its
  # line. By its clock, which goes faster meanwhile, exactly so long has gone by, whenever that is.
  #
  # @yieldreturn [Proc] lets go for good
  def held(seconds)
    page.execute_script(<<~JS, (seconds * 1000).ceil, FAST)
      const [long, fast] = arguments, clock = () => Performance.prototype.now.call(performance) + (window.ahead ?? 0);
      const down = (event) => {
        if (event.type === 'keydown' && event.key !== ' ') return;
        for (const kind of ['pointerdown', 'keydown']) removeEventListener(kind, down, true);
        let begun;
        performance.now = () => Math.min((begun ??= clock()) + (clock() - begun) * fast, begun + long);
        setTimeout(() => {
          const end = (begun ?? clock()) + long;
          performance.now = () => end;
          window.dispatchEvent(new KeyboardEvent('keyup', { key: ' ' }));
          window.ahead = (window.ahead ?? 0) + end - clock();
          performance.now = clock;
          document.documentElement.dataset.letGo = 'yes';
        }, long / fast);
      };
      for (const kind of ['pointerdown', 'keydown']) addEventListener(kind, down, true);
      delete document.documentElement.dataset.letGo;
    JS
    lets_go = yield

    assert_selector "html[data-let-go]"
    lets_go.call
  end

  def keys_of(act)
    { across: %i[right left], along: %i[down up] }.flat_map do |way, (less, more)|
      [act[way].negative? ? less : more] * (act[way].abs / 0.5).round
    end
  end

  def moved(act)
    keys = keys_of(act)
    label = find("[data-fabric]")["aria-label"]
    told = label.scan(/(\d+) times (\w+)/).flat_map { |times, way| [way.to_sym] * times.to_i }

    # Before the first stitch the same is said to whoever does not see it.
    assert_equal keys, told unless label.include?("sewn")
    keys.each { |key| find("[data-fabric]").send_keys(key) }
  end

  LONG = 2
  # What is sewn long is sewn by then, but for its last second.
  def nearly(id, key, step, how)
    rehearse(id, key, page_acts(id, key) + [step.with(seconds: step.seconds - 1)], how: how)
  end

  # Opening the page where hands have led takes as long as so many acts.
  WORTH_A_VISIT = 3

  # @param known [Set<String>] what hands did on this machine before: it is not done by hand again
  def led(id, key, how: "hints", known: Set.new)
    loop do
      acts = page_acts(id, key)
      step = attempt(id, key, acts).step&.act
      return unless step && page.has_selector?("[data-acts]", wait: 0)

      further = known_ahead(id, key, acts, known)
      next rehearse(id, key, further, how: how) if further.size - acts.size > WORTH_A_VISIT
      next nearly(id, key, step, how) if step.act == "pedal" && step.seconds > LONG

      yield(step)
      known << named(step)
    end
  end

  def attempt(id, key, acts) = Rehearsal::Attempt.of(exercise(id, key), work(id), acts)

  # @return [Array] these acts and those that follow, as far as hands know them; the last one is always left to them
  def known_ahead(id, key, acts, known)
    step = attempt(id, key, acts).step&.act
    return acts unless step && known.include?(named(step))

    further = [*acts, step]
    attempt(id, key, further).step ? known_ahead(id, key, further, known) : acts
  end

  def test_exercises_are_done_right_on_every_kind_of_machine
    cuff_on_the_plain_machine
    done = { 1 => %w[hole button back], 2 => %w[hole], 3 => %w[hole rescue-lost_under_foot],
             4 => %w[hole rescue-jammed] }
    done.each do |id, keys|
      known = Set.new
      keys.each do |key|
        rehearse(id, key)
        led(id, key, known: known) { |step| hands(step) }

        assert_selector "h1[data-answer]", text: said("rehearsal.done_without_a_slip")
      end
    end
  end

  # Each at its moment: the slip is named, and what it would have cost.
  def test_every_slip_is_named_where_it_happens
    cuff_on_the_plain_machine
    ways = Support::SlipWays.new([1, 2, 3, 4].to_h { |id| [id, work(id)] }).all

    assert_equal Rehearsal::SLIPS.keys.sort, ways.keys.sort
    ways.each do |slip, (id, exercise, before, wrong)|
      rehearse(id, exercise, before, how: "alone")
      wrong.each { |act| hands(act) }

      assert_text Rehearsal::SLIPS.fetch(slip).says, wait: 20
    end
  end

  def test_a_buttonhole_by_keyboard_alone_and_what_is_kept_of_it
    rehearse(1, "hole", how: "alone")
    led(1, "hole", how: "alone") { |step| by_keys(step) }

    assert_selector "h1[data-answer]", text: said("rehearsal.done_without_a_slip")
    eventually { assert_equal [["hole", true]], db[:rehearsals].select_map(%i[exercise alone]) }
    assert_equal 0, db[:journal].where(kind: "hole_sewn", closure_id: 1).count
  end

  def by_keys(act)
    acted(act) do
      case act.act
      when "pedal" then space(act.seconds)
      when "move" then moved(act)
      else
        find("[data-part='#{part_of(act)}']").send_keys(:enter)
        find("[data-move='#{named(act)}']").send_keys(:enter)
      end
    end
  end

  def space(seconds)
    find("[data-pedal] button", match: :first).send_keys("")
    held(seconds) do
      page.driver.browser.action.key_down(:space).perform
      -> { page.driver.browser.action.key_up(:space).perform }
    end
  end

  def page_acts(id, exercise)
    key = "nimble-eyelet:rehearsal:marsh-walk:#{id}:#{exercise}"
    text = page.evaluate_script("localStorage.getItem('#{key}')") or return []
    JSON.parse(text)["acts"].map { |act| Simulation::PracticeAct.new(**Support::SlipWays.read(act)) }
  end

  def test_a_test_hole_is_looked_at_and_judged
    visit "#{HOME_OF}/1/rehearse/eyes"
    5.times do |number|
      assert_text said("rehearsal.of_looks", (number + 1).to_s, "5")
      all("[data-grades] button", minimum: 5)[2].click
    end
    click_button Rehearsal::EYE_CHANGES["nothing"]
    click_button said("rehearsal.see_the_truth")

    assert_selector "[data-truth] li", count: 5
    eventually { assert_equal ["eyes"], db[:rehearsals].select_map(:exercise) }
    click_button said("rehearsal.another_one")

    assert_text said("rehearsal.of_looks", "1", "5")
  end

  # What went wrong in practice is pointed out at the same step when sewing for real, and can be switched off.
  def test_a_slip_of_practice_is_shown_at_the_same_step_of_a_session
    Store::Rehearsals.new(workroom.scope, now: NOW - 86_400)
                     .keep(id: SecureRandom.uuid, machine: work(4).machine.id, exercise: "set", alone: true,
                           seconds: 20, slips: %w[power_on], ratings: { "power" => 1 })
    session = call(:post, "/api/sessions", { closures: [4] })["id"]
    visit "/w/marsh-walk/sessions/#{session}"

    assert_selector "[data-due]", text: Rehearsal::SKILLS["power"].name
    visit "/w/marsh-walk/sessions/#{session}/sew"
    find("[data-done]").click

    assert_selector "[data-slipped]", text: Rehearsal::SKILLS["power"].name
    page.execute_script("localStorage.setItem('nimble-eyelet:rehearsal-off', 'true')")
    visit "/w/marsh-walk/sessions/#{session}/sew"

    assert_selector "[data-step]"
    assert_no_selector "[data-slipped]"
  end
end
