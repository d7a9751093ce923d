# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../support/household"

# Signing in and out: what is said, what is kept in the browser, and what holds for how long.
class SignInTest < AppTest
  include NimbleEyelet::Support::Household

  OTHER = "sandpiper in the rain"

  def letters = Dir["#{post_folder}/*.eml"]

  # The address of the newest letter, when it is there.
  def letter
    Timeout.timeout(60) { sleep 0.02 until letters.any? }
    File.read(letters.max)[/#(\S+)/, 1]
  end

  def test_the_first_account_has_everything_and_nobody_else_makes_one
    own = NimbleEyelet::Support::Visitor.new(own_app)

    visitor.tap do |one|
      one.call(:post, "/api/account/create", account(:ana))
    end.then { |one| assert_equal 422, one.status }
    own.call(:post, "/api/account/create", account(:ana))

    assert_equal 200, own.status
    own.call(:post, "/api/account/create", account(:bo))

    assert_equal 422, own.status
    ana = visitor.in_as(email(:ana))

    assert_equal(["marsh-walk"], ana.call(:get, "/api/workrooms")["workrooms"].map { |room| room["slug"] })
    assert_equal [true, "account"], ana.call(:get, "/api/account").values_at("keeper", "kind")
    assert_equal "owner", ana.call(:get, HOME).dig("you", "role")
    # Where nobody signs in it is as before, and what is begun there is hers.
    own.call(:post, "/api/workrooms", { name: "Heron Loft" })

    assert_equal "owner", ana.call(:get, "/api/workrooms/heron-loft").dig("you", "role")
  end

  def test_whatever_is_wrong_is_said_alike
    household
    known, unknown = [email(:ana), email(:nobody)].map do |address|
      visitor.tap { |one| one.call(:post, "/api/account/login", { email: address, password: "wrong altogether" }) }.answer
    end

    assert_equal [422, known.body], [unknown.status, unknown.body]
    assert_equal 422, known.status
    forgot, never = [email(:ana), email(:nobody)].map do |address|
      visitor.tap { |one| one.call(:post, "/api/account/reset-password-request", { email: address }) }.answer
    end

    assert_equal [200, forgot.body, forgot.headers.keys], [never.status, never.body, never.headers.keys]
  end

  # Over an email that nobody has, as much is worked out as over one that somebody has.
  def test_an_unknown_email_takes_the_same_work
    household
    counted = Hash.new(0)
    count = Module.new { define_method(:create) { |*given| (counted[:hashed] += 1) && super(*given) } }
    Argon2::Password.prepend(count)
    visitor.call(:post, "/api/account/login", { email: email(:nobody), password: "wrong altogether" })

    assert_equal 1, counted[:hashed]
  end

  def test_many_tries_are_put_off_and_lock_the_account_for_an_hour
    household
    try = lambda do |password|
      Http::Tries::GATE.cache.store.clear
      visitor.tap { |one| one.call(:post, "/api/account/login", { email: email(:bo), password: password }) }.status
    end
    # Counted anew at full minutes, which may fall between two tries.
    late = Array.new(22) do |number|
      named = number.even? ? email(:ana) : email(:ana).upcase
      visitor.tap { |one| one.call(:post, "/api/account/login", { email: named, password: "wrong" }) }
    end.find { |one| one.status == 429 }

    assert late.answer.headers.key?("retry-after")
    assert_match(/Try again in (a minute|\d+ minutes)/, JSON.parse(late.answer.body)["detail"])
    Http::SignInSettings::MOST_WRONG.times { assert_equal 422, try.call("wrong altogether") }

    assert_equal 422, try.call(NimbleEyelet::Support::Visitor::PASSWORD), "it is locked, whatever is typed"
    db[:account_lockouts].update(deadline: Time.now - 1)

    assert_equal 200, try.call(NimbleEyelet::Support::Visitor::PASSWORD)
  end

  def test_cookies_are_sealed_and_change_at_signing_in
    world.app(access: access(secure: true)).then { |app| @shared_app = app }
    people = household
    one = NimbleEyelet::Support::Visitor.new(shared_app)
    one.cookies = { Http::SignIn::SESSION_COOKIE => "made-up" }
    one.in_as(email(:ana), stay: true)

    assert_equal 2, one.set.size
    one.set.each { |line| assert_match(/; (?=.*httponly)(?=.*samesite=lax)(?=.*secure)/i, line) }
    refute_equal "made-up", one.cookies[Http::SignIn::SESSION_COOKIE]
    tablet = people.fetch(:tablet).set.grep(/#{Http::SignIn::DEVICE_COOKIE}/o).first

    assert_match(/; (?=.*httponly)(?=.*samesite=strict)(?=.*secure)(?=.*max-age=7776000)/i, tablet)
    # What is kept tells nothing, and what was kept opens nothing after signing out.
    refute_match(/ana|account/, one.cookies[Http::SignIn::SESSION_COOKIE].tr("-_", "+/").unpack1("m"))
    stolen = one.cookies.dup
    one.call(:post, "/api/account/logout", { global_logout: true })
    one.cookies = stolen
    one.call(:get, HOME)

    assert_equal 401, one.status
  end

  def test_staying_signed_in_outlives_the_browser_until_it_is_ended
    household
    one = visitor.in_as(email(:bo), stay: true)
    one.cookies.delete(Http::SignIn::SESSION_COOKIE)

    assert_equal "Bo", one.call(:get, "/api/account")["name"]
    one.call(:post, "/api/account/logout", { global_logout: true })
    one.cookies.delete(Http::SignIn::SESSION_COOKIE)

    assert_equal "nobody", one.call(:get, "/api/account")["kind"]
  end

  def test_another_browser_is_signed_out_from_the_account_page
    household
    here, there = Array.new(2) { visitor.in_as(email(:bo)) }
    other = here.call(:get, "/api/account/security")["sessions"].reject { |one| one["this"] }

    assert_equal(%w[Computer Computer], other.map { |one| one["name"] })
    other.each { |one| here.call(:delete, "/api/account/sessions/#{one['id']}") }
    there.call(:get, HOME)

    assert_equal 401, there.status
    assert_equal "Bo", here.call(:get, "/api/account")["name"]
    # Nobody ends what is another's.
    ana = visitor.in_as(email(:ana))
    ana.call(:delete, "/api/account/sessions/#{here.call(:get, '/api/account/security')['sessions'].first['id']}")

    assert_equal 404, ana.status
  end

  def test_a_new_password_by_letter_holds_once_and_signs_everybody_else_out
    people = household
    visitor.call(:post, "/api/account/reset-password-request", { email: email(:bo) })
    key = letter
    one = visitor
    one.call(:post, "/api/account/reset-password", { key: key, password: "short" })

    assert_equal ["password", Http::SignInWords::TOO_SHORT], one.call(:post, "/api/account/reset-password", { key: key, password: "short" })["faults"].first.values_at("field", "allowed")
    one.call(:post, "/api/account/reset-password", { key: key, password: OTHER })

    assert_equal 200, one.status
    one.call(:post, "/api/account/reset-password", { key: key, password: "another one again" })

    refute_equal 200, one.status
    people[:bo].call(:get, HOME)

    assert_equal 401, people[:bo].status
    assert_equal "Bo", visitor.in_as(email(:bo), password: OTHER).call(:get, "/api/account")["name"]
  end

  def test_passwords_that_are_easy_to_guess_are_refused
    { "aaaaaaaaaaaa" => true, "1234567890" => true, "marsh.example" => true, "marshmarsh12" => true,
      "password2026" => true,
      "abcdefghijkl" => true, OTHER => false, "Tr7!kkw9-o2z" => false }.each do |password, guessable|
      assert_equal guessable, Http::Guessable.password?(password, ["Bo", "bo@marsh.example"]), password
    end
  end

  # What somebody did stays, without their name; what only they owned is set aside.
  def test_closing_an_account
    people = household
    bo = people.fetch(:bo)
    bo.call(:post, "/api/workrooms", { name: "Bo's own" })
    now = Time.now.utc.iso8601
    bo.call(:put, "#{HOME}/journal/#{SecureRandom.uuid}", { kind: "note", note: "n", closure: SMOCK, happened_at: now, sent_at: now })

    assert_equal(["Bo"], people[:ana].call(:get, "#{HOME}/closures/1/journal")["lines"].map { |line| line["by"] })
    bo.call(:get, "#{HOME}/everything.tar")

    assert_equal 403, bo.status, "the owner's to take along"
    bo.call(:get, "/api/workrooms/bo-s-own/everything.tar")

    assert_equal 200, bo.status
    assert_equal 422, bo.tap { |one| one.call(:post, "/api/account/close-account", { password: "wrong" }) }.status
    bo.call(:post, "/api/account/close-account", { password: NimbleEyelet::Support::Visitor::PASSWORD })

    assert_equal 200, bo.status
    assert_equal "nobody", bo.call(:get, "/api/account")["kind"]
    assert_equal([Store::Accounts::LEFT], people[:ana].call(:get, "#{HOME}/closures/1/journal")["lines"].map { |line| line["by"] })
    assert_nil db[:accounts].where(Sequel.like(:email, "bo@%")).first
    refute_nil db[:workrooms].where(slug: "bo-s-own").get(:removed_at)
    refute_includes(people[:ana].call(:get, "#{HOME}/people")["people"].map { |one| one["name"] }, "Bo")
    # When everybody has left, who comes next keeps the server.
    %i[ana cy di].each { |name| people[name].call(:post, "/api/account/close-account", { password: NimbleEyelet::Support::Visitor::PASSWORD }) }
    NimbleEyelet::Support::Visitor.new(own_app).call(:post, "/api/account/create", account(:ana))
    people[:ana] = visitor.in_as(email(:ana))

    assert people[:ana].call(:get, "/api/account")["keeper"]
    people[:ana].call(:post, "#{HOME}/taken-back")

    assert_equal "owner", people[:ana].call(:get, HOME).dig("you", "role")
    # The same email can come again.
    assert_equal 200, joined(people[:ana], :bo, "sews").status
  end

  # What a proxy says of who asked is heard only where one is said to stand in front.
  def test_a_forwarded_address_is_believed_of_a_proxy_alone
    household
    seen = lambda do |proxied|
      env = nil
      Http::Guards::Forwarded.new(->(given) { (env = given) && [200, {}, []] }, proxied)
                             .call({ "HTTP_X_FORWARDED_FOR" => "198.51.100.7", "HTTP_X_FORWARDED_PROTO" => "https",
"REMOTE_ADDR" => "127.0.0.1", "rack.url_scheme" => "http" })
      [Rack::Request.new(env).ip, env["rack.url_scheme"]]
    end

    assert_equal [%w[198.51.100.7 https], %w[127.0.0.1 http]], [seen.call(true), seen.call(false)]
    # Behind it an address of its own counts, not the proxy's.
    @shared_app = world.app(access: access(proxied: true))
    statuses = (1..25).map do |number|
      visitor.tap do |one|
        one.call(:post, "/api/account/login", { email: "x#{number}@marsh.example", password: "wrong altogether" }, "REMOTE_ADDR" => "127.0.0.1", "HTTP_X_FORWARDED_FOR" => "198.51.100.#{number % 2}")
      end.status
    end

    assert_equal [422], statuses.uniq
  end

  def test_no_page_of_another_signs_anybody_in_or_out
    people = household
    strange = { "HTTP_X_NIMBLE_EYELET" => nil, "HTTP_ORIGIN" => "http://elsewhere.example" }
    strange.each do |name, value|
      people[:ana].call(:post, "/api/account/logout", {}, name => value)

      assert_equal 403, people[:ana].status, name
    end
    assert_equal 403, visitor.tap { |one|
      one.call(:get, "/api/account", nil, "HTTP_HOST" => "elsewhere.example")
    }.status
    assert_equal "Ana", people[:ana].call(:get, "/api/account")["name"]
  end

  # A mail server that is named carries the letter; here one that writes down what it is told.
  def test_letters_go_through_a_mail_server_that_is_named
    server = TCPServer.new("127.0.0.1", 0)
    heard = Thread.new { heard_by(server.accept) }
    post = Device::Post.of({ "SMTP_URL" => "smtp://127.0.0.1:#{server.addr[1]}", "MAIL_FROM" => "loft@marsh.example" }, folder: "/nowhere")
    post.send_to("ana@marsh.example", subject: "A new password", text: "Choose one.")

    assert_nil post.folder
    [/^MAIL FROM:<loft@marsh.example>/, /^RCPT TO:<ana@marsh.example>/, /^Subject: A new password/, /^Choose one\./].each do |line|
      assert_match line, heard.value
    end
  ensure
    server.close
  end

  # As little of SMTP (RFC 5321) as a letter takes.
  def heard_by(line)
    line.write("220 here\r\n")
    all = +""
    body = false
    while (text = line.gets)
      all << text
      body = false if text == ".\r\n"
      line.write(text.start_with?("DATA") ? "354 go on\r\n" : "250 well\r\n") unless body
      body = true if text.start_with?("DATA")
      break if text.start_with?("QUIT")
    end
    all
  ensure
    line.close
  end
end
