# frozen_string_literal: true

# Problem answers with application/problem+json (RFC 9457): what is wrong, with which field, and
# what is allowed. Every error leaves the application in this one shape.
#
#   Problem.new(404, "There is no such closure.").render

module NimbleEyelet
  class Problem
    TYPE = "application/problem+json"

    # @param status [Integer]
    # @param detail [String] one sentence a sewist understands
    # @param more [Hash] further members: faults, current
    def initialize(status, detail, **more)
      @status = status
      @detail = detail
      @more = more
    end

    # @return [String] JSON
    def body
      JSON.generate({ type: "about:blank", title: Rack::Utils::HTTP_STATUS_CODES.fetch(@status), status: @status,
                      detail: @detail, **@more })
    end

    # @return [Array] a Rack response
    def render = [@status, { "content-type" => TYPE, "cache-control" => "no-store" }, [body]]
  end
end
