# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/household"
require_relative "../support/proxy"

# Behind a proxy with a name of its own, over plain http: what is typed and what happened is saved.
class ProxyTest < BrowserTest
  include Support::Household

  # The browser is told where that name lies.
  NAME = "sewing.test"

  # Over plain http the browser says of each page that it cannot keep it apart from others.
  def tolerated = Regexp.union(super, /Cross-Origin-Opener-Policy/)

  def test_what_is_typed_and_done_is_saved_through_a_proxy
    [true, false].each do |keeps_host|
      proxy = Support::Proxy.new(keeps_host: keeps_host)
      server = served_as("http://#{NAME}:#{proxy.port}")
      proxy.to = server.add_tcp_listener("127.0.0.1", 0).addr[1]
      server.run
      Capybara.app_host = "http://#{NAME}:#{proxy.port}"
      open_station "button"
      type "button.diameter", keeps_host ? "19" : "21"

      assert_saved
      find("main").send_keys "7"
      find("[data-step=#{keeps_host ? 'needle' : 'thread'}]").click

      assert_saved
      visit "/closures/#{SMOCK}/button"

      assert_equal "/w/marsh-walk/closures/#{SMOCK}/button", URI(page.current_url).path
      assert_equal proxy.port, URI(page.current_url).port
      leave
      [proxy, server].each { |one| one.stop(true) }
    end
    told = db[:journal].where(kind: "step", closure_id: SMOCK).exclude(device: nil)

    assert_equal %w[needle thread], told.order(:seq).select_map(:step_key)
    assert_equal "21 mm", closure["plan"]["button.diameter"]["text"]
  end

  # People sign in through it as they do without one, and who asked is who the proxy says.
  def test_people_sign_in_through_a_proxy
    proxy = Support::Proxy.new(keeps_host: false)
    Support::Visitor.new(own_app).then do |own|
      own.call(:post, "/api/account/create", account(:ana))
    end
    address = "http://#{NAME}:#{proxy.port}"
    server = served_as(address, access: access(proxied: true, address: address))
    proxy.to = server.add_tcp_listener("127.0.0.1", 0).addr[1]
    server.run
    Capybara.app_host = address
    visit "/w/marsh-walk/closures/#{SMOCK}/button"
    find("[data-path=email]").set(email(:ana))
    find("[data-path=password]").set(Support::Visitor::PASSWORD)
    click_button "Sign in"

    assert_selector "input[data-path='button.diameter']"
    type "button.diameter", "19"

    assert_saved
    by = db[:revisions].where(closure_id: SMOCK).reverse(:number).get(:account_id)

    assert_equal "Ana", db[:accounts].where(id: by).get(:name)
    leave
    [proxy, server].each { |one| one.stop(true) }
  end

  def served_as(origin, **more)
    app = world.app(origins: Http::Origins.of(origin), **more)
    Puma::Server.new(app, nil, { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
  end
end
