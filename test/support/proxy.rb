# frozen_string_literal: true

# Proxy stands in front of a server under a name of its own, as one does that asks who is there. Whether it passes on
# the name it was asked by, or that of the server, is up to whoever sets it up: both have to do.

require "net/http"
require "puma"
require "puma/server"

module NimbleEyelet
  module Support
    class Proxy
      # What goes from hop to hop, and is not passed on.
      HOP = %w[connection keep-alive transfer-encoding content-length accept-encoding].freeze

      # @return [Integer]
      attr_reader :port

      # @return [Integer] port of the server behind it
      attr_writer :to

      # @param keeps_host [Boolean]
      def initialize(keeps_host:)
        @keeps_host = keeps_host
        @server = Puma::Server.new(method(:call), nil,
                                   { min_threads: 1, max_threads: 6, log_writer: Puma::LogWriter.null })
        @port = @server.add_tcp_listener("127.0.0.1", 0).addr[1]
        @server.run
      end

      def stop(at_once) = @server.stop(at_once)

      private

      def call(env)
        body = env["rack.input"]&.read.to_s
        request = Net::HTTPGenericRequest.new(env["REQUEST_METHOD"], !body.empty?, true, address(env), headers(env))
        request.body = body unless body.empty?
        answer = Net::HTTP.start("127.0.0.1", @to) { |http| http.request(request) }
        passed = answer.each_header.to_h.except(*HOP)
        [answer.code.to_i, passed, [answer.body.to_s]]
      end

      def address(env) = [env["PATH_INFO"], env["QUERY_STRING"]].reject { |part| part.to_s.empty? }.join("?")

      def headers(env)
        asked = env.select { |name, _| name.start_with?("HTTP_") }
        given = asked.transform_keys { |name| name.delete_prefix("HTTP_").tr("_", "-").downcase }
        given["content-type"] = env["CONTENT_TYPE"] if env["CONTENT_TYPE"]
        given["host"] = "127.0.0.1:#{@to}" unless @keeps_host
        given["x-forwarded-for"] = env["REMOTE_ADDR"]
        given["x-forwarded-proto"] = "http"
        given.except(*HOP)
      end
    end
  end
end
