# frozen_string_literal: true

# For tests of the application: a throwaway database with the sample workroom, made once a process
# and put back before every test; every answer is held against the interface description.

require "minitest/autorun"
require "rack/test"
require "committee"
require "securerandom"
require_relative "support/said"
require_relative "support/world"

module AppWorld
  def self.world
    @world ||= NimbleEyelet::Support::World.new.tap { |world| at_exit { world.close } }
  end
end

class AppTest < Minitest::Test
  include NimbleEyelet::Support::Said
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

  def workroom = Store::Workrooms.new(db).find("marsh-walk")

  # Where the sample lies; other addresses than those of workrooms are written out in full.
  HOME = "/api/workrooms/marsh-walk"
  WHOLE = %r{\A/api/(workrooms|about|account|backup|health|docs|invitations|openapi|nowhere|pairings|shared|
                     stretch-scale|measuring-card)}x

  # Sends a request, checks the answer against the description, and gives it back parsed. An address such as
  # /api/closures/1 is one of the sample workroom.
  def call(verb, path, body = nil, headers = {})
    sent = HEADERS.merge(headers)
    sent = sent.merge("CONTENT_TYPE" => "application/json") if body
    custom_request(verb.to_s.upcase, path, {},
                   sent.merge(input: body.is_a?(String) ? body : body && JSON.generate(body)))
    return if last_response.status == 204

    confirm if described?(at(path))
    last_response.content_type.to_s.include?("json") ? JSON.parse(last_response.body) : last_response.body
  end

  def custom_request(verb, path, *rest) = super(verb, at(path), *rest)

  def at(path)
    path.match?(WHOLE) ? path : path.sub(%r{\A/api/workroom\b}, HOME).sub(%r{\A/api/(?!workrooms/)}, "#{HOME}/")
  end

  # What is typed, by path: { button: { diameter: "20" } } is "button.diameter". A list takes the place of
  # the one there is.
  def paths(sections, id: SMOCK)
    sections.flat_map do |section, values|
      next [[section, values]] unless values.is_a?(Hash) && !section.to_s.include?(".")

      values.map { |name, value| ["#{section}.#{name}", value.is_a?(Array) ? rows("#{section}.#{name}", value, id) : value] }
    end.to_h
  end

  def rows(path, rows, id)
    table = path.split(".").last.to_sym
    there = db[table].where(closure_id: id).select_map(:key).to_h { |key| [key, nil] }
    there.merge(rows.each_with_index.to_h { |row, index| ["t#{index + 1}", row] })
  end

  # Saves to a closure with the version it has now.
  def save(sections, id: SMOCK) = call(:patch, "/api/closures/#{id}/plan", paths(sections, id: id), match(id))
  def preview(sections, id: SMOCK, **more) = call(:post, "/api/closures/#{id}/preview", { changes: paths(sections, id: id), **more })

  def act(verb, rest, body = nil, id: SMOCK) = call(verb, "/api/closures/#{id}/#{rest}".delete_suffix("/"), body, match(id))

  def match(id = SMOCK) = { "HTTP_IF_MATCH" => "\"#{version(id)}\"" }
  def version(id = SMOCK) = "#{db[:identity].get(:id)}.#{db[:closures].where(id: id).get(:version)}"
  def revision(id = SMOCK) = db[:closures].where(id: id).get(:version)

  def closure(id = SMOCK) = call(:get, "/api/closures/#{id}")

  # A fact, entered now.
  def enter(body, id: SecureRandom.uuid)
    call(:put, "/api/journal/#{id}", { closure: SMOCK, happened_at: NOW.iso8601, sent_at: NOW.iso8601, **body })
  end

  # By its key, or by what is done and the number of the hole: "sew-3".
  def step(key, of: closure)
    name, number = key.match(/\A(sew|place|look|lever|reset|open|button)-(\d+)\z/)&.captures
    of["sheet"]["sewing"]["steps"].find do |item|
      number ? item["key"].start_with?("#{name}-at") && item["part"].match?(/\b#{number}( of|\z)/) : item["key"] == key
    end
  end

  # Ticks a step with the figures it was given out with.
  def tick(key, machine: 4) = enter(step(key).fetch("enter").merge("machine" => machine))

  def log_swatch(seen, **more) = enter({ kind: "swatch", with: closure["sheet"]["swatch"]["with"], **seen }, **more)

  # All lines of the log of a closure, page by page.
  def log_of(path)
    pages = [call(:get, "#{path}/journal")]
    pages << call(:get, "#{path}/journal?before=#{pages.last['following']}") while pages.last["following"]
    pages.flat_map { |page| page["lines"] }
  end

  def assert_status(status) = assert_equal(status, last_response.status, last_response.body[0, 300])

  # The save is refused with a fault at the field, nothing else changes.
  def assert_refused(field, body, id: SMOCK)
    before = revision(id)
    problem = save(body, id: id)

    assert_status 422
    assert_equal "application/problem+json", last_response.content_type
    assert_includes problem["faults"].map { |fault| fault["field"] }, field, body.inspect
    assert_equal before, revision(id)
  end

  private

  # The same answer to the same request is as sound as the first time.
  CONFIRMED = Set.new
  private_constant :CONFIRMED

  def confirm
    answer = [last_request.request_method, last_request.path, last_response.status, last_response.body.hash]
    assert_response_schema_confirm(last_response.status) if CONFIRMED.add?(answer)
  end

  def described?(path) = path.start_with?("/api/") && !path.match?(%r{\A/api/(docs|openapi|nowhere)})
end
