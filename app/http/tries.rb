# frozen_string_literal: true

# Tries limits how often somebody may try what can be guessed, and how much anybody may ask at all, by where they ask
# from and by the email address they try.
#
#   use Http::Tries::GATE

require "json"
require "rack/attack"
require_relative "../problem"
require_relative "../store/token"

module NimbleEyelet
  module Http
    module Tries
      GATE = Rack::Attack

      # Counts of this process; what is tried at an account is counted in the database as well.
      class Counts
        # So many are kept before those that have run out are thrown away.
        MANY = 10_000

        def initialize
          @lock = Mutex.new
          @kept = {}
        end

        def increment(key, amount, expires_in:)
          @lock.synchronize do
            now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            @kept.delete_if { |_, (_, ends)| ends < now } if @kept.size > MANY
            count, ends = @kept[key]
            if ends.nil? || ends < now
              count = 0
              ends = now + expires_in
            end
            @kept[key] = [count + amount, ends]
            count + amount
          end
        end

        def read(key) = @lock.synchronize { @kept[key]&.first }

        def write(key, value, expires_in: 0)
          @lock.synchronize { @kept[key] = [value, Process.clock_gettime(Process::CLOCK_MONOTONIC) + expires_in.to_i] }
        end

        def delete(key) = @lock.synchronize { @kept.delete(key) }
        def clear = @lock.synchronize { @kept.clear }
      end

      MINUTE = 60
      # What is limited: by what, where, how often in how many seconds.
      LIMITS = [[:signing_in, "/api/account/login", 20, 5 * MINUTE], [:passkey, "/api/account/webauthn-login", 30, 5 * MINUTE],
                [:pairing, "/api/pairings/taken", 10, 5 * MINUTE], [:forgotten, "/api/account/reset-password-request", 10, 60 * MINUTE],
                [:new_password, "/api/account/reset-password", 20, 60 * MINUTE], [:joining, "/api/account/create", 20, 60 * MINUTE]].freeze
      # Of one email address, wherever it is tried from.
      BY_EMAIL = [[:one_email, "/api/account/login", 10, 20 * MINUTE],
                  [:one_forgotten, "/api/account/reset-password-request", 3, 60 * MINUTE]].freeze
      # Of whoever tries words that open something, of six figures from everywhere together, and of anybody at all.
      WORDS = %r{\A/api/(shared|invitations)/}
      WORDS_A_MINUTE = 120
      FIGURES = "/api/pairings/taken"
      FIGURES_IN_ALL = 60
      ALL_A_MINUTE = 3000

      # @param request [Rack::Request]
      # @return [String, nil] what stands for the address that is tried
      def self.email(request)
        body = request.env["committee.request_body_hash"]
        body && Store::Token.digest(body["email"].to_s.strip.downcase)
      end

      LIMITS.each do |name, path, most, seconds|
        GATE.throttle(name, limit: most, period: seconds) do |request|
          request.ip if request.path == path && request.post?
        end
      end
      BY_EMAIL.each do |name, path, most, seconds|
        GATE.throttle(name, limit: most, period: seconds) do |request|
          Tries.email(request) if request.path == path && request.post?
        end
      end
      GATE.throttle(:words, limit: WORDS_A_MINUTE, period: MINUTE) do |request|
        request.ip if request.path.match?(WORDS)
      end
      GATE.throttle(:figures_in_all, limit: FIGURES_IN_ALL, period: 5 * MINUTE) do |request|
        "all" if request.path == FIGURES && request.post?
      end
      GATE.throttle(:all, limit: ALL_A_MINUTE, period: MINUTE) do |request|
        request.ip if request.path.start_with?("/api/")
      end

      GATE.throttled_responder = lambda do |request|
        found = request.env["rack.attack.match_data"]
        left = found[:period] - (found[:epoch_time] % found[:period])
        minutes = (left / 60.0).ceil
        status, headers, body = Problem.new(429, "Too many tries. Try again in #{minutes == 1 ? 'a minute' : "#{minutes} minutes"}.").render
        [status, headers.merge("retry-after" => left.to_s), body]
      end
      GATE.cache.store = Counts.new
    end
  end
end
