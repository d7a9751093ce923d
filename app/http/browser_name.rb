# frozen_string_literal: true

# BrowserName says in a word what kind of thing somebody signed in on, as far as it tells.
#
#   BrowserName.of("Mozilla/5.0 (Linux; Android 14; Tablet) …")   # => "Tablet"

module NimbleEyelet
  module Http
    module BrowserName
      THINGS = [[/iPad|Tablet|Android(?!.*Mobile)/, "Tablet"], [/iPhone|Mobile/, "Phone"]].freeze

      # @param agent [String, nil]
      # @return [String]
      def self.of(agent) = THINGS.find { |pattern, _| agent.to_s.match?(pattern) }&.last || "Computer"
    end
  end
end
