# frozen_string_literal: true

# Fuzz sends an application what nobody should send, made up from a seed: any operation, with any id, header and body,
# sound and broken by turns. What counts is the answer: never a failure of the server, always in the one shape. What
# took longest is told, and judges nothing.
#
#   fuzz = Fuzz.new(app, Random.new(7), version: -> { "k3f9.4" })
#   fuzz.run(400)   # => [] or what went wrong
#   fuzz.slowest    # => [1.3, "get /api/…"]

require "json"
require "rack/mock"
require_relative "description"

module NimbleEyelet
  module Support
    class Fuzz
      include Description

      TEXTS = ["", " ", "18", "22.5 mm", "3/4", "0.0000001", "0.0004", "1e308", "-1", "NaN", "\u0000", "\uFFFF",
               "\uFFFE", "\u202e18", "x" * 300, "W" * 5000, "=1+1", "<b>", "'; --", "٣", "½", "999999999999", "yes",
               "vertical", "flat", "\u{1F9F5}"].freeze
      NUMBERS = [0, 1, -1, 2, 60, 61, 2**31, 2**63, 1e308, 0.5, nil, true, "7", [], {}].freeze
      IDS = ["1", "2", "5", "0", "-1", "999", "2147483648", "9" * 40, "1e308", "one", "%00", "..", "~root", "\u00e9",
             "6f0c7a1e-0000-4000-8000-000000000001"].freeze
      # What stands in an address mostly.
      KNOWN = { "slug" => "marsh-walk", "stage" => "button", "kind" => "closure", "shelf" => "cloths",
                "section" => "button",
                "number" => "1", "entry" => "6f0c7a1e-0000-4000-8000-000000000001" }.freeze
      QUERIES = ["?search=#{'a' * 199}", "?from=99999999999", "?from=-1", "?before=1e308", "?search[a][b]=1",
                 "?paper=zz",
                 "?keep=maybe", "?search=%FF", "?name=%00", "?#{'a[b]' * 40}=1", "?search=%EF%BF%BF", "?x=#{'y' * 4000}"].freeze
      # @return [Array(Float, String)] seconds, and what was sent
      attr_reader :slowest

      # @param app [#call]
      # @param random [Random]
      # @param version [#call] gives the version of the first closure
      def initialize(app, random, version:)
        @app = app
        @random = random
        @version = version
        @slowest = [0.0, nil]
      end

      # @return [Array<String>] what was wrong, with how to send it again
      def run(times) = Array.new(times) { once }.compact

      private

      def pick(list) = list.sample(random: @random)
      def chance?(of) = @random.rand < of

      def once
        verb, path, operation = pick(@operations ||= operations)
        path = path.gsub(/\{(\w+)\}/) { place(Regexp.last_match(1)) } + query
        sent = { "HTTP_HOST" => "127.0.0.1", "HTTP_X_NIMBLE_EYELET" => "1", "HTTP_IF_MATCH" => "\"#{seen(path)}\"" }
        input = body_for(operation, verb)
        sent = sent.merge(input: input, "CONTENT_TYPE" => type_of(path)) if input
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        answer = Rack::MockRequest.new(@app).request(verb.to_s.upcase, path, sent)
        what = "#{verb} #{path} #{input.to_s[0, 300]}"
        @slowest = [@slowest, [Process.clock_gettime(Process::CLOCK_MONOTONIC) - started, what]].max_by(&:first)
        judged(answer, what)
      rescue URI::InvalidURIError
        nil
      end

      def judged(answer, what)
        return "#{answer.status} #{answer.body[0, 120]} for #{what}" if answer.status >= 500 && answer.status != 503
        return unless answer.status >= 400

        problem = JSON.parse(answer.body)
        "another shape: #{answer.body[0, 120]} for #{what}" if problem["detail"].to_s.length < 10
      rescue JSON::ParserError
        "no JSON: #{answer.status} #{answer.body[0, 120]} for #{what}"
      end

      def seen(path) = chance?(0.8) ? version(path) : pick(TEXTS).delete("\0")
      def version(path) = path.match?(%r{/closures/1(/|\z)}) ? @version.call : pick(%w[1 2 3])

      def place(name)
        return pick(IDS) if chance?(0.15)

        name == "id" ? pick(%w[1 1 1 2 3 4 5 9]) : KNOWN.fetch(name, "1")
      end

      def query = chance?(0.7) ? "" : pick(QUERIES)

      def type_of(path)
        return "text/csv" if path.match?(%r{(stash|shelves/\w+)/import}) && chance?(0.9)

        chance?(0.95) ? "application/json" : pick(["text/plain", "application/x-www-form-urlencoded", ""])
      end

      def body_for(operation, verb)
        schema = json_schema(operation)
        return (strange_file unless verb == "get") unless schema

        spoiled(JSON.generate(strange(body(schema, pick(TEXTS)))))
      end

      def strange_file
        pick([nil, "", "\xFF\xFE", "name,shape,attachment,diameter_mm\nx,flat,shank,#{pick(TEXTS)}\n", "[" * 600])
      end

      def spoiled(text) = chance?(0.05) ? text[0, @random.rand(text.length + 1)] : text

      # Some of it otherwise than it should be, at any depth.
      def strange(value, depth = 0)
        return pick(NUMBERS + TEXTS) if chance?(0.06) && depth.positive?

        case value
        when Hash then value.to_h { |key, inner| [chance?(0.02) ? pick(TEXTS) : key, strange(inner, depth + 1)] }
        when Array then value.flat_map do |inner|
          chance?(0.1) ? [strange(inner, depth + 1)] * 3 : [strange(inner, depth + 1)]
        end
        when String then chance?(0.3) ? pick(TEXTS) : value
        else chance?(0.2) ? pick(NUMBERS) : value
        end
      end
    end
  end
end
