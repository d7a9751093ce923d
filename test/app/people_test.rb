# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/household"

# Who belongs to a workroom: invitations, a paired tablet, who did what, links, and a class.
class PeopleTest < AppTest
  include NimbleEyelet::Support::Household

  attr_reader :now

  def clock
    test = self
    -> { test.now || NOW }
  end

  def shared_app = @shared_app ||= world.app(access: access, clock: clock)

  def test_an_invitation_is_good_once_for_a_week_and_can_be_taken_back
    ana = household.fetch(:ana)
    token = invitation(ana, "sews")

    assert_equal(["Marsh Walk", "sews", "Ana"], visitor.call(:get, "/api/invitations/#{token}").values_at("workroom", "role", "by"))
    one = visitor
    one.call(:post, "/api/account/create", account(:em).merge(invitation: token))

    assert_equal 200, one.status
    other = visitor
    other.call(:post, "/api/account/create", account(:fu).merge(invitation: token))

    assert_equal [422, "invitation"], [other.status, JSON.parse(other.answer.body)["faults"].first["field"]]
    back, late = Array.new(2) { invitation(ana, "sews") }
    waiting = ana.call(:get, "#{HOME}/people")["invited"]
    ana.call(:delete, "#{HOME}/invitations/#{waiting.first['id']}")
    @now = NOW + Store::Members::INVITED + 1

    [back, late].each do |gone|
      assert_equal 404, visitor.tap { |who| who.call(:get, "/api/invitations/#{gone}") }.status
    end
    # Who has an account comes in with it, and nobody becomes less than they were.
    @now = NOW
    one.call(:post, "/api/invitations/#{invitation(ana, 'looks_on')}/accepted")

    assert_equal "sews", one.call(:get, HOME).dig("you", "role")
  end

  def test_a_workroom_always_has_an_owner
    people = household
    ana = people.fetch(:ana)
    id = ->(name) { db[:accounts].where(name: name).get(:id) }
    ana.call(:patch, "#{HOME}/people/#{id.call('Ana')}", { role: "sews" })

    assert_equal 422, ana.status
    ana.call(:delete, "#{HOME}/people/own")

    assert_equal 422, ana.status
    ana.call(:patch, "#{HOME}/people/#{id.call('Bo')}", { role: "owner" })
    ana.call(:delete, "#{HOME}/people/own")

    assert_equal 204, ana.status
    assert_equal 404, ana.tap { |one| one.call(:get, HOME) }.status
    people[:bo].call(:delete, "#{HOME}/people/#{id.call('Cy')}")

    assert_equal 404, people[:cy].tap { |one| one.call(:get, HOME) }.status
  end

  def test_a_tablet_is_paired_once_within_two_minutes_and_ended_at_once
    ana = household.fetch(:ana)
    offer = ana.call(:post, "/api/pairings")

    assert_match(/\A\d{6}\z/, offer["figures"])
    assert offer["picture"].start_with?("data:image/svg+xml;base64,")
    refute_equal 201, take("999999").status
    @now = NOW + Store::Devices::LASTS + 1

    refute_equal 201, take(offer["figures"]).status
    @now = NOW
    spaced = ana.call(:post, "/api/pairings")["figures"].insert(3, " ")
    tablet = take(spaced)

    assert_equal 201, tablet.status
    refute_equal 201, take(spaced).status
    assert_equal(%w[device Ana], tablet.call(:get, "/api/account").values_at("kind", "name"))
    assert_equal(%w[read sew], tablet.call(:get, HOME).dig("you", "may"))
    device = ana.call(:get, "/api/account/security")["devices"].max_by { |one| one["id"] }
    ana.call(:delete, "/api/account/devices/#{device['id']}")
    tablet.call(:get, HOME)

    assert_equal 401, tablet.status
    assert_equal(["Device ended", "Device paired"], ana.call(:get, "/api/account/security")["log"].first(2).map { |line| line["says"] })
    # Who guesses is put off.
    answers = Array.new(24) { take("123456").status }

    assert_includes answers, 429
  end

  def take(code) = visitor.tap { |one| one.call(:post, "/api/pairings/taken", { code: code }) }

  def test_who_did_what_and_who_is_there
    people = household
    people[:bo].call(:patch, "#{HOME}/closures/1/plan", { "button.diameter" => "20" }, match)
    people[:ana].call(:patch, "#{HOME}/closures/1/plan", { "button.thickness" => "4" }, match)

    assert_equal(["Ana", "Bo", nil], people[:cy].call(:get, "#{HOME}/closures/1/history").map { |row| row["by"] })
    session = people[:bo].call(:post, "#{HOME}/sessions", { closures: [1] })

    assert_equal("Bo", people[:ana].call(:get, "#{HOME}/sessions").first["by"])
    screens = people.slice(:ana, :bo).transform_values { SecureRandom.uuid }
    people[:bo].call(:put, "#{HOME}/here", { screen: screens[:bo], place: "session:#{session['id']}" })
    seen = people[:ana].call(:put, "#{HOME}/here", { screen: screens[:ana], place: "closure:1" })

    assert_equal([["Bo", "session:#{session['id']}", 4]], seen.map { |one| one.values_at("name", "place", "machine") })
    db[:presences].update(seen_at: Time.now - Store::Presences::LASTS - 1)

    assert_empty people[:ana].call(:get, "#{HOME}/here?screen=#{screens[:ana]}")
  end

  def test_a_link_reads_one_plan_until_it_is_ended
    people = household
    token = people[:bo].call(:post, "#{HOME}/closures/1/links").fetch("address")[/#(.+)/, 1]
    reader = visitor
    plan = reader.call(:get, "/api/shared/#{token}")

    assert_equal ["linen field smock", "22.5 mm"],
                 [plan["garment"], plan.dig("closure", "sheet", "opening", "length", "text")]
    reader.call(:get, "/api/shared/#{token}/card.pdf")

    assert_equal [200, "application/pdf"], [reader.status, reader.answer["content-type"]]
    reader.call(:get, "/api/shared/#{token}/../2")

    refute_equal 200, reader.status
    link = people[:ana].call(:get, "#{HOME}/closures/1/links").first["id"]
    people[:ana].call(:delete, "#{HOME}/closures/1/links/#{link}")

    ["", "/card.pdf"].each { |rest| assert_equal 404, visitor.tap { |one| one.call(:get, "/api/shared/#{token}#{rest}") }.status }
    # Who guesses links is put off.
    assert_includes Array.new(260) { visitor.tap { |one| one.call(:get, "/api/shared/#{'x' * 32}") }.status }, 429
    # Only what it comes to is kept.
    refute_includes db[:shared_plans].select_map(:digest), token
  end

  def test_each_pupil_gets_the_same_and_the_teacher_sees_how_far_they_are
    people = household
    ana = people.fetch(:ana)
    enter({ kind: "note", note: "her own" })
    given = ana.call(:post, "#{HOME}/class", { pupils: %w[Em Fu] })

    assert_equal(%w[marsh-walk-em marsh-walk-fu], given.map { |one| one["slug"] })
    em = visitor
    em.call(:post, "/api/account/create", account(:em).merge(invitation: given.first["address"][/#(.+)/, 1]))
    at = "/api/workrooms/marsh-walk-em"

    assert_equal(%w[owner looks_on], [em, ana].map { |one| one.call(:get, at).dig("you", "role") })
    assert_equal 404, people[:bo].tap { |one| one.call(:get, at) }.status
    copy = Store::Workrooms.new(db).find("marsh-walk-em")
    wishes = lambda do |room|
      kept = Store::Closures.new(room)
      room.scope[:closures].order(:id).select_map(:id).map do |id|
        kept.find(id).plan.then do |plan|
          [plan.name, plan.machine.name, CopiedPlan.of(plan, name: "x", places: true).plan.with(machine: nil)]
        end
      end
    end

    assert_equal wishes.call(workroom), wishes.call(copy)
    assert_equal [0, 12], [copy.scope[:journal].count, copy.scope[:buttons].count]
    first = em.call(:get, at).dig("garments", 0, "closures", 0, "id")
    now = NOW.iso8601
    em.call(:put, "#{at}/journal/#{SecureRandom.uuid}", { kind: "note", closure: first, note: "n", happened_at: now, sent_at: now })
    far = ana.call(:get, "#{HOME}/class")

    assert_equal([["Em", true, 12, false], ["Fu", false, 12, true]], far.map { |one| [*one.values_at("pupil", "joined", "closures"), one["last"].nil?] })
    # A pupil who lets nobody look on any more is in no list.
    teacher = ana.call(:get, "/api/account")["account"]
    em.call(:delete, "#{at}/people/#{teacher}")

    assert_equal(%w[Fu], ana.call(:get, "#{HOME}/class").map { |one| one["pupil"] })
    em.call(:patch, "#{at}/people/#{teacher}", { role: "looks_on" })

    assert_equal 404, em.status, "only an invitation brings somebody back"
    ana.call(:post, "/api/invitations/#{invitation(em, 'looks_on', room: at)}/accepted")
    # Who looks on changes nothing of a pupil's.
    ana.call(:delete, at, nil, "HTTP_IF_MATCH" => "\"1\"")

    assert_equal 403, ana.status
  end
end
