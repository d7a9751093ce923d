# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/household"

# People and screens: the tablet by the machine, somebody who sews along, somebody who only reads; each in a browser of
# their own, over an application where people sign in.
class PeopleBrowserTest < BrowserTest
  include NimbleEyelet::Support::Household

  def setup
    super
    @server = Puma::Server.new(shared_app, nil, { min_threads: 1, max_threads: 12, log_writer: Puma::LogWriter.null })
    # Passkeys are for names, and for pages the browser trusts.
    Capybara.app_host = "http://localhost:#{@server.add_tcp_listener('127.0.0.1', 0).addr[1]}"
    @server.run
    @people = household
  end

  def teardown
    %i[tablet other].each { |name| Capybara.using_session(name) { page.quit } }
    # Cookies know no ports: those of another test would be sent to the next server.
    page.driver.browser.execute_cdp("Network.clearBrowserCookies")
    super
  ensure
    @live&.close
    @server.stop(true)
  end

  def shared_app = @shared_app ||= world.app(access: access, live: @live = Http::Live.new(db.uri))

  def sign_in(name)
    visit "/sign-in"
    find("[data-path=email]").set(email(name))
    find("[data-path=password]").set(NimbleEyelet::Support::Visitor::PASSWORD)
    click_button "Sign in"

    assert_no_selector "[data-path=password]"
  end

  # Signed in as Ana, with the six figures on the screen.
  def figures
    sign_in :ana
    visit "/account"
    click_button said("people.pair_a_device")
    find("[data-figures]").text.gsub(/\s/, "")
  end

  def pair_with(figures)
    visit "/pair"
    find("[data-path='pairing.code']").set(figures)
    click_button said("people.pair_this_device")

    assert_selector "h1", text: "Marsh Walk"
  end

  # Until the step is another one: a press within half a second of the one before is the same press.
  def done
    was = find("[data-step]")["data-step"]
    page.document.synchronize(Capybara.default_max_wait_time) do
      find("[data-done]").click
      raise Capybara::ExpectationNotMet, "the same step" if has_selector?("[data-step='#{was}']", wait: 0.6)
    end
  end

  def told = db[:journal].where(kind: "step").count

  # The tablet sews; what it tells is seen on the laptop at once, with who it is. It is ended while it has no
  # connection: what was done waits on it, is seen, and is told when it is paired again.
  def test_a_tablet_sews_while_a_laptop_looks_on
    session = @people[:ana].call(:post, "#{HOME}/sessions", { closures: [5] })["id"]
    code = figures
    Capybara.using_session(:tablet) do
      # A service worker has a line of its own, which stays when this page's is cut.
      on_every_page("delete Navigator.prototype.serviceWorker")
      size(820, 1180)
      pair_with(code)

      assert_no_selector "#request"
      visit "/w/marsh-walk/sessions/#{session}/sew"

      assert_selector "[data-done]"
    end
    sign_in :bo
    visit "/w/marsh-walk/sessions/#{session}/sew"

    assert_selector "[data-beside]", text: "AN"
    before = find("[data-step]")["data-step"]
    Capybara.using_session(:tablet) { done }

    assert_no_selector "[data-step='#{before}']"
    eventually { assert_operator told, :>, 0 }
    count = told
    Capybara.using_session(:tablet) do
      offline(true)
      2.times { done }

      assert_selector "[data-status]", text: "kept here"
      ended = db[:devices].where(ended_at: nil).order(:id).last[:id]
      @people[:ana].call(:delete, "/api/account/devices/#{ended}")
      offline(false)

      assert_selector "[data-lapsed]"
      assert_selector "[data-status]", text: said("people.sign_in_to_save")
      assert_equal count, told
      save_what_waits
      again = @people[:ana].call(:post, "/api/pairings")["figures"]
      pair_with(again)
      visit "/w/marsh-walk/sessions/#{session}/sew"

      assert_selector "[data-status]", text: "All saved"
    end
    eventually { assert_operator told, :>, count }
    hand_over(told)
  end

  def waited = File.join(post_folder, "marsh-walk-waiting.json")

  def save_what_waits
    page.driver.browser.execute_cdp("Browser.setDownloadBehavior", behavior: "allow", downloadPath: post_folder)
    find("[data-hand-over]").click

    eventually { assert_path_exists waited }
  end

  # The same, saved to a file there and opened by somebody else: what was told already stays one fact.
  def hand_over(count)
    visit "/w/marsh-walk"
    find("[data-fold=waited] input", visible: :all).attach_file(waited)

    assert_selector "[data-waited]", text: /0 saved, \d+ known already/
    lost = db[:journal].order(Sequel.desc(:seq)).select_map(:id).first
    db[:moves].where(entry: lost).delete
    db[:journal].where(id: lost).delete
    find("[data-fold=waited] input", visible: :all).attach_file(waited)

    assert_selector "[data-waited]", text: /[1-9] saved/
    assert_equal count, told
  end

  # Who looks on is told so, and cannot type; what they sent all the same is refused in words.
  def test_who_looks_on_changes_nothing
    sign_in :cy
    visit "/w/marsh-walk/closures/1/button"

    assert_selector "[data-looking-on]"
    assert_selector "input[data-path='button.diameter'][readonly]"
    assert_violates_nothing
    visit "/w/marsh-walk"

    assert_no_selector "#request"
    assert_violates_nothing
    visit "/w/marsh-walk/habits"

    assert_selector "[data-habit] input:disabled", minimum: 2
    assert_no_selector "[data-habit] input:enabled"
    assert_violates_nothing
  end

  # From an invitation to an account, and from an account that lapsed back to what was typed.
  def test_coming_in_and_coming_back
    token = invitation(@people[:ana], "sews")
    visit "/join##{token}"

    assert_selector "[data-invited]", text: "Ana"
    assert_violates_nothing
    { "name" => "Em", "email" => email(:em), "password" => NimbleEyelet::Support::Visitor::PASSWORD }.each { |path, text| find("[data-path=#{path}]").set(text) }
    click_button said("people.make_my_account")

    # The invitation has the same heading.
    assert_selector "#request"
    visit "/w/marsh-walk/closures/#{SMOCK}/button"

    assert_selector "input[data-path='button.diameter']"
    db[:account_active_session_keys].where(account_id: db[:accounts].where(name: "Em").select(:id)).delete
    type "button.diameter", "19"

    assert_selector "[data-lapsed]"
    within("[data-lapsed]") { click_link "Sign in" }
    sign_in_here :em

    assert_selector "input[data-path='button.diameter']"
    eventually { assert_in_delta 19, db[:closures].where(id: SMOCK).get(:button_diameter_mm) }
    assert_equal "Em", @people[:ana].call(:get, "#{HOME}/closures/#{SMOCK}/history").first["by"]
  end

  def sign_in_here(name)
    find("[data-path=email]").set(email(name))
    find("[data-path=password]").set(NimbleEyelet::Support::Visitor::PASSWORD)
    click_button "Sign in"
  end

  # A passkey is added with the password, and signs in without it.
  def test_a_passkey_in_the_place_of_a_password
    page.driver.browser.add_virtual_authenticator(
      Selenium::WebDriver::VirtualAuthenticatorOptions.new(protocol: :ctap2, resident_key: true, user_verification: true, user_verified: true)
    )
    sign_in :ana
    visit "/account"
    click_button said("people.add_a_passkey")
    confirm_with "Add passkey"

    assert_button said("people.delete_passkey", "1")
    assert_violates_nothing
    click_button "Sign out", exact: true

    assert_selector "[data-path=password]"
    assert_violates_nothing
    click_button said("people.use_a_passkey")

    assert_selector "h1", text: "Buttonholes that fit"
    visit "/account"

    assert_selector "h1", text: "Ana"
    click_button said("people.delete_passkey", "1")
    confirm_with "Delete passkey"

    assert_no_button said("people.delete_passkey", "1")
  end

  # With the password, in the form that has this button.
  def confirm_with(button)
    form = find_button(button, exact: true).ancestor("form")
    form.find("[data-path=password]").set(NimbleEyelet::Support::Visitor::PASSWORD)
    click_button button, exact: true
  end

  # A plan is read by whoever has its link, and nothing else is.
  def test_a_plan_is_read_by_its_link
    sign_in :bo
    visit "/w/marsh-walk/closures/#{SMOCK}/print"
    click_button said("people.make_a_link")
    address = find("[data-handed] code").text
    Capybara.using_session(:other) do
      visit address

      assert_answer "22.5 mm"
      assert_violates_nothing
      visit "/w/marsh-walk"

      assert_selector "[data-path=password]"
    end
    read_what_is_closed_by_loops
    visit "/w/marsh-walk/closures/#{SMOCK}/print"
    click_button said("people.end_link", "1")

    assert_no_button said("people.end_link", "1")
    Capybara.using_session(:other) do
      visit "/about"
      visit address

      assert_selector "h1", text: said("people.link_no_longer_works")
    end
  end

  # Of loops there is no card of a machine to print, and no setting to read.
  def read_what_is_closed_by_loops
    visit "/w/marsh-walk/closures/#{db[:closures].where(garment_id: db[:garments].where(name: 'silk blouse').select(:id)).get(:id)}/print"
    click_button said("people.make_a_link")
    address = find("[data-handed] code").text
    Capybara.using_session(:other) do
      visit address

      assert_selector "main dt", text: "Width of the bias strip"
      assert_no_selector "main dt", text: /stitch/i
      assert_answer "8 loops"
      assert_equal(%w[strip.pdf way.pdf], all("main a.btn").map { |link| link[:href][/[a-z-]+\.pdf/] })
      assert_violates_nothing
    end
  end

  # A class gets copies, and whoever teaches sees how far each is.
  def test_a_class_gets_copies
    sign_in :ana
    visit "/w/marsh-walk/people"
    find("textarea").set("Em\nFu")
    click_button said("people.give_them_copies")

    assert_selector "[data-handed]", count: 2
    assert_selector "[data-class] tbody tr", count: 2
    assert_violates_nothing
  end
end
