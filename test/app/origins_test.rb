# frozen_string_literal: true

require_relative "../app_helper"
require_relative "../../app/server/entrance"

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

  # Who may come in, by what the environment says.
  def test_nobody_from_elsewhere_comes_in_without_signing_in
    { {} => [false, false], { "HOST" => "::1" } => [false, false], { "HOST" => "0.0.0.0" } => [true, true], { "TRUST_PROXY" => "on" } => [true, false],
      { "HOST" => "0.0.0.0", "TRUST_PROXY" => "on" } => [true, false],
      { "NIMBLE_EYELET_ORIGIN" => "https://sewing.example" } => [true, false],
      { "NIMBLE_EYELET_ORIGIN" => "https://sewing.example",
        "NIMBLE_EYELET_SIGN_IN" => "off" } => [false, false] }.each do |said, (asked, tls)|
      entrance = Server::Entrance.new(said, var: "/nowhere")

      assert_equal [asked, tls], [entrance.asked?, entrance.tls?], said
    end
    { { "HOST" => "0.0.0.0", "NIMBLE_EYELET_SIGN_IN" => "off" } => /127\.0\.0\.1/, { "TRUST_PROXY" => "perhaps" } => /TRUST_PROXY is on or off/,
      { "NIMBLE_EYELET_SECRET" => "short" } => /NIMBLE_EYELET_SECRET/, { "SMTP_URL" => "mail" } => /SMTP_URL/ }.each do |said, words|
      Dir.mktmpdir do |var|
        assert_match words, assert_raises(ArgumentError) { Server::Entrance.new(said, var: var).access(1) }.message
      end
    end
    more = Server::Entrance.new({ "ALLOWED_HOSTS" => "loft.local, fd00::2" }, var: "/nowhere").origins

    assert_equal %w[loft.local fd00::2 [fd00::2]], more.hosts.last(3)
  end

  # A certificate is kept as long as it is good, and made anew for another address.
  def test_the_certificate_is_made_when_it_has_to_be
    Dir.mktmpdir do |folder|
      make = ->(names, now) { Server::Certificate.in(folder, names: names, now: now).fingerprint }
      first = make.call(["192.168.1.20", "fd00::2", "loft.local"], NOW)

      assert_equal first, make.call(["192.168.1.20", "fd00::2", "loft.local"], NOW + (100 * 86_400))
      refute_equal first, make.call(["192.168.1.21", "loft.local"], NOW)
      refute_equal first, make.call(["192.168.1.20", "fd00::2", "loft.local"], NOW + (390 * 86_400))
      assert_equal 0o600, File.stat(File.join(folder, "key.pem")).mode & 0o777
    end
  end

  # A proxy may pass on the name of the server: where a page goes on to is said without one.
  def test_it_sends_on_without_naming_a_host
    call(:get, "/closures/1/button")

    assert_equal "/w/marsh-walk/closures/1/button", last_response["location"]
  end
end
