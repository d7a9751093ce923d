# frozen_string_literal: true

# FactId is what the fact of a step will be called. It is given out with the step, so that two tabs or two phones that
# tell of the same doing make one fact.
#
#   FactId.of("step", 3, "sew-at-24000", 0)       # => "0b7c…-8…": the first doing of that step of closure 3
#   FactId.both(FactId.way_out(2), mishap)        # => what the second step out of that mishap is called
#
# A further doing that nobody was given an id for is called by both ids together: that of the doing before it, and that
# of what undid it.

require "digest"

module NimbleEyelet
  module Sewing
    module FactId
      # @param parts [Array<String, Integer>] what the doing is known by
      # @return [String] UUID of version 8 (RFC 9562)
      def self.of(*parts) = spelled(Digest::SHA256.hexdigest(parts.join("\n"))[0, 32])

      # @param number [Integer] of a step out of a mishap, from one
      # @return [String] what makes of the mishap's id that of the step
      def self.way_out(number) = of("way out", number)

      # @param id [String] UUID
      # @return [Boolean] whether it was given out: what a browser makes up is of another version
      def self.given_out?(id) = id[14] == "8"

      # @param one [String] UUID
      # @param other [String] UUID
      # @return [String] UUID of version 8, the same whichever comes first
      def self.both(one, other)
        spelled((one.delete("-").hex ^ other.delete("-").hex).to_s(16).rjust(32, "0"))
      end

      def self.spelled(hex)
        "#{hex[0, 8]}-#{hex[8, 4]}-8#{hex[13, 3]}-8#{hex[17, 3]}-#{hex[20, 12]}"
      end
      private_class_method :spelled
    end
  end
end
