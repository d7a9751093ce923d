# frozen_string_literal: true

# Devices pairs a tablet with an account: from a screen that is signed in comes a long word for a camera and six figures
# for a hand, either of them good once and for two minutes.
#
#   code = Store::Devices.new(db).offer(account: 7)            # => Offer
#   Store::Devices.new(db).take(code.figures, name: "Tablet")  # => the token it keeps

require "openssl"
require "securerandom"
require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "errors"
require_relative "token"

module NimbleEyelet
  module Store
    class Devices
      LASTS = 120
      FIGURES = 6
      # So many of an account at once.
      MOST = 20

      # secret - String, for the camera; figures - String, six of them; deadline - Time
      Offer = Value.of(:secret, :figures, :deadline)

      # @param db [Sequel::Database]
      # @param key [String] figures are few: what is kept of them tells nothing without this
      # @param now [Time]
      def initialize(db, key:, now: Time.now)
        @db = db
        @key = key
        @now = now
      end

      # @param account [Integer]
      # @return [Offer] in the place of an earlier one
      def offer(account:)
        secret, digest = Token.made
        deadline = @now + LASTS
        @db.transaction do
          now = @now
          @db[:pairings].where(Sequel[{ account_id: account }] | (Sequel[:deadline] < now - LASTS)).delete
          figures = free_figures
          @db[:pairings].insert(account_id: account, digest: digest, figures_digest: sealed(figures),
                                deadline: deadline)
          Offer.new(secret: secret, figures: figures, deadline: deadline)
        end
      end

      # @param code [String] the secret, or the figures with or without a space
      # @param name [String] of the device, in words
      # @return [String] its token
      # @raise [Refusal] when it is not, or not any more, good
      def take(code, name:)
        plain = code.to_s.gsub(/\s/, "")
        by = plain.match?(/\A\d{#{FIGURES}}\z/o) ? { figures_digest: sealed(plain) } : { digest: Token.digest(plain) }
        @db.transaction do
          now = @now
          account = @db[:pairings].where(by).where(used_at: nil).where(Sequel[:deadline] > now)
                                  .returning(:account_id).update(used_at: now).first&.fetch(:account_id)
          raise Refusal.field("pairing.code", "", WRONG) unless account && room?(account)

          token, digest = Token.made
          @db[:devices].insert(account_id: account, name: name, digest: digest, made_at: now, seen_at: now)
          token
        end
      end

      WRONG = "These figures do not fit, or their two minutes are over. Ask for new ones on the other screen."

      # @param account [Integer]
      # @param id [Integer]
      # @raise [Missing]
      def finish(account, id)
        ended = @db[:devices].where(account_id: account, id: id, ended_at: nil).update(ended_at: @now)
        raise Missing if ended.zero?
      end

      # @param id [Integer] of the device that leaves by itself
      def leave(id) = @db[:devices].where(id: id).update(ended_at: @now)

      private

      def room?(account) = @db[:devices].where(account_id: account, ended_at: nil).count < MOST

      # Of two that are offered at once none has the figures of the other.
      def free_figures
        now = @now
        taken = @db[:pairings].where(used_at: nil).where(Sequel[:deadline] > now).select_map(:figures_digest)
        loop do
          figures = format("%0#{FIGURES}d", SecureRandom.random_number(10**FIGURES))
          return figures unless taken.include?(sealed(figures))
        end
      end

      def sealed(figures) = OpenSSL::HMAC.hexdigest("SHA256", @key, figures)
    end
  end
end
