# frozen_string_literal: true

# Token is what somebody is given to come in by: long enough that nobody guesses it, and kept only as what it comes to.
#
#   text, digest = Store::Token.made
#   Store::Token.digest(text) == digest   # => true

require "digest"
require "securerandom"

module NimbleEyelet
  module Store
    module Token
      BYTES = 24

      # @return [Array(String, String)] the token, URL-safe, and its digest
      def self.made = SecureRandom.urlsafe_base64(BYTES).then { |text| [text, digest(text)] }

      # @param text [String]
      # @return [String] SHA-256, hexadecimal
      def self.digest(text) = Digest::SHA256.hexdigest(text.to_s)
    end
  end
end
