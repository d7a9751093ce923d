# frozen_string_literal: true

require_relative "../core_helper"
require_relative "../support/at_the_table"

# Several closures on one machine in one go, and what goes wrong meanwhile.
class SessionTest < CoreTest
  def table(plans, ledger = Ledger.empty)
    Support::AtTheTable.new(plans, ledger) { |plan, *done| sheet_of(plan, *done) }
  end

  SMOCK = {}.freeze

  def pyjamas(**more)
    { thread: thread(tex: 40, name: "cream"), recipe: Recipes::Overrides.new(stitch_width: mm(5)), **more }
  end

  def cape = { cloth: cloth(kind: "heavy_woven", weight: 320, thickness: mm(0.8)) }
  def three = { smock: SMOCK, pyjamas: pyjamas, cape: cape }
  def keys(steps) = steps.map { |one| one.step.key }

  def test_everything_is_done_once_the_machine_is_back_and_no_closure_is_left_open
    at = table(three)
    planned = at.session.steps.size
    at.work

    assert_empty at.session.steps
    assert_predicate at.ledger, :empty?
    three.each_key do |key|
      assert_nil sheet(facts: at.facts(key), **three.fetch(key)).progress.next_key, "#{key}: its own page says so too"
    end
    assert_operator at.count, :>=, planned
  end

  # Whatever is left over at any moment can be done, and everything in it is needed.
  def test_what_is_so_already_is_not_asked_again_and_what_comes_next_is_not_put_back
    at = table({ smock: SMOCK, other: SMOCK })
    found = keys(at.session.steps)

    assert_equal [1, 1, 1], %w[needle thread button-foot].map { |key| found.count(key) }, "the same needle, thread and foot for both"
    assert_operator found.count("foot"), :<=, 2
    assert_equal ["back-foot"], found.grep(/back-foot/)
    set = table({ smock: SMOCK }, ledger_after(sheet.progress.steps.select do |step|
      %w[needle thread foot].include?(step.key)
    end))

    assert_empty keys(set.session.steps) & %w[needle thread]
    also = set.session.steps.flat_map { |one| one.also.map { |_, step| step.key } }

    assert_includes also, "needle", "and is kept as done"
    away = table({ smock: SMOCK }, Ledger.empty.changed("cover_plate" => "on", "memory" => mm(30)))

    assert_equal %w[back-memory back-cover_plate], keys(away.session.steps).grep(/back-/).first(2),
                 "what somebody else left is put back first"
    refute_includes keys(table({ smock: SMOCK }, Ledger.empty.changed("top_thread" => "x")).session.steps),
                    "back-top_thread"
  end

  def test_the_order_is_that_of_the_search_and_can_be_wished_otherwise
    at = table(three)
    found = at.session

    assert_operator found.order.seconds, :<=, [found.order.one_by_one, found.order.by_stages].min
    wish = three.keys.flat_map { |key| %w[stay row seal open buttons].map { |block| [key, block] } }
    wished = at.session(wish: wish)

    assert_equal wish.map(&:first), wished.order.moments.filter_map(&:chain)
    assert_operator wished.wish_costs, :>, 600, "one garment after the other waits for what dries"
    at.work(most: 8)

    assert_empty at.session(wish: wish).steps.map { |one| one.part&.key } - [*three.keys, nil]
    assert_equal 0, at.session(wish: wish.first(2)).order.moments.count { |moment|
      moment.kind == "work"
    } - at.session.order.moments.count { |moment|
      moment.kind == "work"
    }
  end

  # A row that was begun is gone on with, and what was sealed a while ago is dry the sooner.
  def test_a_session_goes_on_where_it_was_left
    at = table(three)
    lever = at.work { |one| one.step.key.start_with?("lever") }

    assert_equal([lever.step.key, lever.part.key], at.session.steps.first.then { |one| [one.step.key, one.part.key] })
    one = table({ smock: SMOCK })
    one.work { |step| step.step.key == "dry" }

    assert_operator one.session.order.moments.find { |moment| moment.kind == "wait" }.to, :<=, SewingSession::DRYING
    assert_nil(one.session(drying: 0).order.moments.find { |moment| moment.kind == "wait" })
  end

  def test_the_forecast_tells_thread_bobbins_and_how_sure_it_is
    at = table(three.merge(smock: { thread: thread(bobbin: "2 m") }))
    forecast = SessionForecast.of(at.session)
    smock = forecast.threads.find { |need| need.left == mm(2000) }

    assert_equal 2, forecast.threads.size
    assert_operator forecast.least, :<, forecast.seconds
    assert_operator forecast.most, :>, forecast.seconds
    change = smock.changes.first
    sewn = at.session.steps.select { |one| one.step.hole && one.part.key != :pyjamas }
    first = sewn.index { |one| one.part == change.part && one.step.hole.at == change.at }

    assert_operator at.session.work(:smock).reckoning.bobbin * first, :<=, mm(2000), "never within a hole"
    assert_equal ["button foot", "buttonhole foot"], SessionKit.of(at.session).select { |item|
      item.kind == "foot"
    }.map(&:name).sort.uniq
    assert_includes SessionKit.of(table({ one: { machine: machine("stepped") } }).session).filter_map(&:lacks).join, said("session_kit.not_in_the_box")
    # What tears away under the holes holds no button: then something else lies ready for it.
    { "tear_away" => 1, "fusible" => 0 }.each do |by, found|
      laid = table({ one: { recipe: Recipes::Overrides.new(stay_by: by) } })
      behind = SessionKit.of(laid.session).map { |item| item.name.to_s }.grep(/behind the buttons/)

      assert_equal found, behind.size, by
    end
  end

  def test_pace_is_the_middle_of_what_was_seen_drawn_to_what_is_usual
    pace = Schedule::Pace.of("place" => [60, 62, 64, 4000], "open" => [5000])

    assert_in_delta ((3 * 62) + (3 * 35)) / 6.0, pace.seconds("place", 35)
    assert_in_delta 90.0, pace.seconds("open", 90), 0.001, "a telephone that rang is none"
    narrow, wide = [Schedule::Pace.of("place" => [50] * 40), Schedule::Pace.usual].map do |one|
      one.range([["place",
                  50]] * 10).then do |least, most|
        most - least
      end
    end

    assert_operator narrow, :<, wide
  end

  def test_a_hole_in_the_wrong_place_that_is_cut_stays_and_the_rest_is_spaced_around_it
    at = table({ smock: SMOCK })
    one = at.work { |step| step.step.key.start_with?("open") }
    place = one.step.figures["hole.at"]
    at.went_wrong(one, "place_cut", measured: place - mm(12))
    found = sheet(facts: at.facts(:smock))

    assert_includes found.layout.holes.select(&:sewn).map(&:at), place - mm(12)
    refute_includes found.layout.holes.map(&:at), place
    assert_equal 7, found.layout.holes.size
    rescue_step = at.session.steps.first

    places = ButtonPlaces.of(found)

    assert_equal [[mm(-12)], mm(12), false],
                 [places.rows.map(&:difference).uniq - [Length.zero], places.worst.stretch.abs, ButtonPlaces.of(sheet).differ?]
    assert_match(/Kept at 528 mm, the gaps run from .* Closed up and sewn again they run from/,
                 rescue_step.step.how.to_s)
    at.work

    assert_empty at.session.steps
  end

  def test_a_grown_hole_says_what_it_does_with_this_button_and_which_it_would_need
    at = table({ smock: SMOCK })
    one = at.work { |step| step.step.key.start_with?("open") }
    at.went_wrong(one, "too_thick", measured: mm(27))
    said = at.session.steps.first.step.how.to_s

    assert_match(/27 mm is too long for this button: it slips out. One of (\S+) mm across/, said)
    wider = said[/One of (\S+) mm across/, 1].to_f

    assert_equal "snug",
                 sheet(button: button(diameter: mm(wider),
                                      thickness: mm(3 * wider / 18))).cut.passing.verdict(mm(27)).words
    assert_equal [mm(27)], sheet(facts: at.facts(:smock)).layout.holes.select { |hole|
      hole.at == one.step.figures["hole.at"]
    }.map(&:opening)
  end

  private

  def hole_at(one, number) = one.part.sheet.layout.holes.find { |hole| hole.number == number }.at
end
