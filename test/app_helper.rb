# frozen_string_literal: true

# For tests of the application: a throwaway database with the demo workroom, made once a process
# and put back before every test; every answer is held against the interface description.

require "minitest/autorun"
require "rack/test"
require "committee"
require_relative "support/world"

module AppWorld
  def self.world
    @world ||= NimbleEyelet::Support::World.new.tap { |world| Minitest.after_run { world.close } }
  end
end

class AppTest < Minitest::Test
  include NimbleEyelet
  include Rack::Test::Methods
  include Committee::Test::Methods

  SMOCK = 1
  NOW = Time.utc(2026, 11, 23, 12)
  HEADERS = { "HTTP_HOST" => "127.0.0.1", "HTTP_X_NIMBLE_EYELET" => "1" }.freeze

  def world = AppWorld.world
  def app = @app ||= world.app(clock: -> { NOW })
  def db = world.db
  def committee_options = { schema: Http::Web::SCHEMA, parse_response_by_content_type: true }
  def request_object = last_request
  def response_data = [last_response.status, last_response.headers, last_response.body]

  def setup = world.reset

  # Sends a request, checks the answer against the description, and gives it back parsed.
  def call(verb, path, body = nil, headers = {})
    sent = HEADERS.merge(headers)
    sent = sent.merge("CONTENT_TYPE" => "application/json") if body
    custom_request(verb.to_s.upcase, path, {}, sent.merge(input: body.is_a?(String) ? body : body && JSON.generate(body)))
    return if last_response.status == 204

    assert_response_schema_confirm(last_response.status) if described?(path)
    last_response.content_type.to_s.include?("json") ? JSON.parse(last_response.body) : last_response.body
  end

  # Saves to a closure with the revision it has now.
  def save(body, id: SMOCK) = call(:patch, "/api/closures/#{id}", body, match(id))

  def act(verb, rest, body = nil, id: SMOCK) = call(verb, "/api/closures/#{id}/#{rest}", body, match(id))

  def match(id = SMOCK) = { "HTTP_IF_MATCH" => "\"#{db[:closures].where(id: id).get(:revision)}\"" }

  def closure(id = SMOCK) = call(:get, "/api/closures/#{id}")

  def assert_status(status) = assert_equal(status, last_response.status, last_response.body[0, 300])

  # The save is refused with a fault at the field, nothing else changes.
  def assert_refused(field, body, id: SMOCK)
    before = db[:closures].where(id: id).get(:revision)
    problem = save(body, id: id)

    assert_status 422
    assert_equal "application/problem+json", last_response.content_type
    assert_includes problem["faults"].map { |fault| fault["field"] }, field, body.inspect
    assert_equal before, db[:closures].where(id: id).get(:revision)
  end

  private

  def described?(path) = path.start_with?("/api/") && !path.match?(%r{\A/api/(docs|openapi|nowhere)})
end
