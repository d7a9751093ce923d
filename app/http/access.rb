# frozen_string_literal: true

# Access says whether people sign in here, and what that takes. One person on their own machine does not; whoever can be
# reached from elsewhere asks for a name.
#
#   Access::OPEN.asked                                     # => false
#   Access.new(asked: true, secret: "…", post: post)

require "openssl"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Http
    # asked - Boolean, whether people sign in; secret - String of 64 bytes or more; secure - Boolean, whether every
    #   address is https; post - Device::Post; proxied - Boolean, whether a proxy stands in front that says who asked
    # address - String, under which others reach it; nil for the one that they use
    class Access < Value.of(asked: false, secret: "", secure: false, post: nil, proxied: false, address: nil)
      SHORTEST = 64

      # One key for each thing that is sealed: knowing one helps with no other.
      #
      # @param purpose [String]
      # @return [String] 64 bytes, hexadecimal
      def key(purpose) = OpenSSL::HMAC.hexdigest("SHA256", secret, purpose)

      # @return [String] for the cookie of a session
      def session_key = key("session") + key("session, sealed")

      # @return [Boolean] whether there can be accounts: what seals them stays from one start to the next
      def kept? = !secret.empty?

      # Nobody signs in, and nobody can be given an account.
      OPEN = new
    end
  end
end
