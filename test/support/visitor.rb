# frozen_string_literal: true

# Visitor is a browser that keeps its cookies, over an application where people sign in.
#
#   ana = Visitor.new(app)
#   ana.call(:post, "/api/account/login", { email: "ana@marsh.example", password: "…" })
#   ana.status    # => 200

require "json"
require "rack/mock"

module NimbleEyelet
  module Support
    class Visitor
      HEADERS = { "HTTP_HOST" => "127.0.0.1", "HTTP_X_NIMBLE_EYELET" => "1", "REMOTE_ADDR" => "192.0.2.9" }.freeze
      PASSWORD = "reed bunting at dawn"

      # @return [Rack::MockResponse] the last answer
      attr_reader :answer

      # @return [Hash{String => String}] cookies by name
      attr_accessor :cookies

      def initialize(app)
        @app = app
        @cookies = {}
      end

      # @return [Object] parsed where it is JSON
      def call(verb, path, body = nil, headers = {})
        sent = HEADERS.merge(headers).merge("HTTP_COOKIE" => cookies.map { |pair| pair.join("=") }.join("; ")).compact
        sent = sent.merge(input: JSON.generate(body), "CONTENT_TYPE" => "application/json") if body
        @answer = Rack::MockRequest.new(@app).request(verb.to_s.upcase, path, sent)
        keep
        JSON.parse(@answer.body)
      rescue JSON::ParserError
        @answer.body
      end

      def status = answer.status

      # @return [Array<String>] lines of Set-Cookie
      def set = [answer["set-cookie"]].flatten.compact.flat_map { |line| line.split("\n") }

      # @return [self] signed in
      def in_as(email, password: PASSWORD, **more)
        call(:post, "/api/account/login", { email: email, password: password, **more })
        self
      end

      private

      def keep
        set.each do |line|
          name, value = line.split(";").first.split("=", 2)
          value.to_s.empty? ? cookies.delete(name) : cookies[name] = value
        end
      end
    end
  end
end
