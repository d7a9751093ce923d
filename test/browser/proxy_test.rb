# frozen_string_literal: true

require_relative "../browser_helper"
require_relative "../support/proxy"

# Behind a proxy with a name of its own, over plain http: what is typed and what happened is saved.
class ProxyTest < BrowserTest
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

  def served_as(origin)
    app = world.app(origins: Http::Origins.of(origin))
    Puma::Server.new(app, nil, { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
  end
end
