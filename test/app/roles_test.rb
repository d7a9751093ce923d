# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/description"
require_relative "../support/fuzz"
require_relative "../support/household"

# Who may do what: every operation that is described, tried by everybody there is; and the database holds back what is
# not theirs even where nobody asked it to.
class RolesTest < AppTest
  include Description
  include NimbleEyelet::Support::Household

  # What each right is for, told here once more: an operation that changes its right changes a line of this.
  ANYONE = %w[account createAccount signIn forgotPassword newPassword passkey pair invitation shared sharedSheet health].freeze
  PERSON = %w[about workrooms stretchScale measuringCard unpair].freeze
  ACCOUNT = %w[signOut changePassword addPasskey deletePasskey closeAccount security endSignIn endDevice offerPairing
               acceptInvitation beginWorkroom freshSample].freeze
  KEEPER = %w[backup].freeze
  OWN = %w[putWorkroomAway takeWorkroomBack changeRole removePerson invite takeInvitationBack classProgress giveOut
           everything].freeze
  SEW = %w[beginSession changeSession endSession enter enterAll keepPhoto markPhoto addGarmentPhoto moveCaliper readCaliper
           acceptSwatch settleStage changeClosure keepRehearsal].freeze
  READ_BY_WRITING = %w[readings firstAnswer sewOnStandIn previewClosure stitches buttonStitches feel beHere leaveWorkroom rehearse eyes readPhoto movePhotoPoints].freeze
  PLAN_BY_READING = %w[links].freeze

  WHO = { "anyone" => %i[ana bo cy di tablet nobody], "person" => %i[ana bo cy di tablet], "account" => %i[ana bo cy di],
          "keeper" => %i[ana], "read" => %i[ana bo cy tablet], "sew" => %i[ana bo tablet], "plan" => %i[ana bo],
          "own" => %i[ana] }.freeze
  # Answered by Rodauth, which looks at who is there by itself.
  SIGNING = %r{\A/api/account/[a-z-]+\z}

  def right(verb, id)
    { "anyone" => ANYONE, "person" => PERSON, "account" => ACCOUNT, "keeper" => KEEPER, "own" => OWN, "sew" => SEW,
      "read" => READ_BY_WRITING, "plan" => PLAN_BY_READING }.find { |_, ids| ids.include?(id) }&.first ||
      (verb == "get" ? "read" : "plan")
  end

  def test_every_operation_wants_what_it_should
    operations.each do |verb, path, operation|
      assert_equal right(verb, operation["operationId"]), operation["x-right"], "#{verb} #{path}"
    end
  end

  # Nothing that is filled in is there, so that whoever may do it does nothing.
  def address(path)
    path.sub("{slug}", "marsh-walk").sub(/\{(id|number)\}/, "999999").sub("{number}", "1").sub("{shelf}", "cloths")
        .sub("{stage}", "button").sub("{kind}", "machine").sub("{size}", "small").sub("{section}", "button")
        .sub("{entry}", SecureRandom.uuid).sub("{photo}", SecureRandom.uuid).sub("{token}", "n" * 32)
        .sub("{session}", "none").sub("{sheet}", "card.pdf").sub("{link}", "999999")
  end

  def test_every_operation_by_everybody
    people = household
    tried = 0
    # What ends an account or a workroom comes last, and is not done.
    operations.each do |verb, path, operation|
      next if path.match?(SIGNING) || %w[live leaveWorkroom unpair backup].include?(operation["operationId"])

      people.each do |name, one|
        one.call(verb, address(path), sent(operation), "HTTP_IF_MATCH" => "\"999\"")
        tried += 1

        assert_right(name, operation["x-right"], path.include?("{slug}"), one.answer, "#{name} #{verb} #{path}")
      end
    end

    assert_operator tried, :>, 700
  end

  # What comes in as a file has another type: an empty one is enough to be told no.
  def sent(operation)
    return { screen: SecureRandom.uuid, place: "workroom" } if operation["operationId"] == "beHere"

    json_schema(operation)&.then { |schema| body(schema, "18") }
  end

  def assert_right(name, right, in_workroom, answer, what)
    problem = answer.status >= 400 ? JSON.parse(answer.body) : {}
    # A body of another type, or one that is not as described, is refused whoever sends it.
    return if [400, 415].include?(answer.status) || problem["detail"] == "There is no such thing here."
    return assert_includes([401], answer.status, what) if name == :nobody && right != "anyone"
    return assert_not_there(answer, problem, what) if name == :di && in_workroom && right != "anyone"
    return assert_equal([403, right], [answer.status, problem["needs"]], what) unless WHO.fetch(right).include?(name)

    refute_includes [401, 500], answer.status, "#{what}: #{answer.body[0, 200]}"
    refute problem["needs"], what
  end

  def assert_not_there(answer, problem, what)
    assert_equal 404, answer.status, what
    assert_match(/\AThere is no such thing here/, problem["detail"], what)
  end

  # A tablet uses what was tested, and changes no plan.
  def test_a_tablet_decides_and_does_not_plan
    tablet = household.fetch(:tablet)
    at = "#{HOME}/closures/1/plan"
    tablet.call(:patch, at, { "button.diameter" => "20" }, match)

    assert_equal 403, tablet.status
    tablet.call(:patch, at, { "settled.button" => "yes", "button.diameter" => "20" }, match)

    assert_equal 403, tablet.status
    tablet.call(:patch, at, { "settled.button" => "yes" }, match)

    assert_equal 200, tablet.status, tablet.answer.body[0, 200]
  end

  # Whatever a stranger, or somebody who looks on, sends: the answer is clear, and nothing is changed by it.
  def test_strange_requests_by_everybody_change_nothing_of_others
    people = household
    before = %i[closures revisions journal machines garments buttons].to_h do |table|
      [table, db[table].where(workroom_id: 1).count]
    end
    %i[cy di nobody].each do |name|
      cookies = people.fetch(name).cookies
      fuzzed = lambda do |env|
        # Leaving, and closing the account, is theirs to do.
        next [204, {}, []] if env["PATH_INFO"].match?(%r{(close-account|logout|people/own|sessions/none)\z})

        shared_app.call(env.merge("HTTP_COOKIE" => cookies.map { |pair| pair.join("=") }.join("; ")))
      end

      assert_empty Support::Fuzz.new(fuzzed, Random.new(26), version: -> { version }).run(200), name
    end

    assert_equal(before, before.keys.to_h { |table| [table, db[table].where(workroom_id: 1).count] })
  end

  # Where an older address leads to tells what there is: to those only who may see it.
  def test_older_addresses_tell_a_stranger_nothing
    people = household
    { nobody: ["/closures/1/button", 404], di: ["/api/closures/1", 404],
bo: ["/api/closures/1", 308] }.each do |name, (path, status)|
      people.fetch(name).call(:get, path)

      assert_equal status, people.fetch(name).status, name
      refute_match(/marsh-walk/, people.fetch(name).answer["location"].to_s) unless status == 308
    end
  end

  # The second lock: with no scope at all nothing of another workroom is read, changed or put there.
  def test_without_a_scope_the_database_holds_back_what_is_not_theirs
    people = household
    di = db[:accounts].where(name: "Di").get(:id)
    enter({ kind: "note", note: "n" })
    owned = db[Sequel[:information_schema][:columns]].where(table_schema: "public", column_name: "workroom_id")
                                                     .select_map(:table_name).map(&:to_sym) - %i[members invitations
                                                                                                 class_copies]
    held = db[:pg_policies].where(policyname: "own_people").select_map(:tablename).map(&:to_sym)

    assert_equal [*owned, :workrooms].sort, held.sort
    filled = owned.select { |table| db[table].where(workroom_id: 1).any? }

    assert_operator filled.size, :>, 10
    [di, ""].each do |who|
      db.as(who) do
        filled.each do |table|
          assert_equal 0, db[table].where(workroom_id: 1).count, "#{table} as #{who.inspect}"
          assert_equal 0, db[table].where(workroom_id: 1).delete, table
        end

        assert_empty db[:workrooms].where(id: 1).all
        assert_raises(Sequel::DatabaseError) { db[:garments].insert(workroom_id: 1, name: "smuggled") }
      end
    end
    bo = db[:accounts].where(name: "Bo").get(:id)

    assert_equal 12, db.as(bo) { db[:closures].count }
    assert_equal 200, people.fetch(:bo).tap { |one| one.call(:get, HOME) }.status
  end

  # A transaction that was rolled back leaves nobody's name on its connection.
  def test_a_connection_never_keeps_a_name_of_before
    db.as("w1") do
      db.transaction do
        db.as("") { db[:closures].count }
        raise Sequel::Rollback
      end

      assert_equal 12, db[:closures].count
    end

    assert_equal 0, db.as("") { db[:closures].count }
    assert_equal 12, db[:closures].count
    assert_raises(ArgumentError) { db.as("all'; --") { nil } }
  end
end
