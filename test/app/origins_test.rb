# frozen_string_literal: true

require_relative "../app_helper"

# Under which addresses the application is reached, and whose pages may change what is here.
class OriginsTest < AppTest
  def app = @app ||= world.app(origins: Http::Origins.of("https://sewing.example, http://192.168.1.5:4567"))

  def test_addresses_are_read_and_what_is_none_is_refused_in_words
    assert_equal ["https://sewing.example", "http://192.168.1.5:4567"],
                 Http::Origins.of(" https://sewing.example/,http://192.168.1.5:4567").public
    assert_equal [], Http::Origins.of(nil).public
    %w[sewing.example ftp://sewing.example https://sewing.example/buttons https:// http://me@sewing.example].each do |text|
      assert_match(/NIMBLE_EYELET_ORIGIN/, assert_raises(ArgumentError) { Http::Origins.of(text) }.message, text)
    end
  end

  def test_only_own_names_are_answered_and_only_own_pages_write
    { "sewing.example" => 200, "192.168.1.5:4567" => 200, "127.0.0.1" => 200,
"elsewhere.example" => 403 }.each do |host, status|
      custom_request("GET", "/api/workrooms/marsh-walk", {}, HEADERS.merge("HTTP_HOST" => host))

      assert_status status
    end
    { ["127.0.0.1", "https://sewing.example"] => 200, ["sewing.example", "https://sewing.example"] => 200,
      ["sewing.example", "https://elsewhere.example"] => 403, ["127.0.0.1", "http://sewing.example"] => 403 }.each do |(host, origin), status|
      call(:post, "/api/closures/1/preview", { changes: { "button.diameter" => "19" } }, "HTTP_HOST" => host,
"HTTP_ORIGIN" => origin)

      assert_status status
    end
  end

  # A proxy may pass on the name of the server: where a page goes on to is said without one.
  def test_it_sends_on_without_naming_a_host
    call(:get, "/closures/1/button")

    assert_equal "/w/marsh-walk/closures/1/button", last_response["location"]
  end
end
