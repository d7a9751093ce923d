# frozen_string_literal: true

# StandIn names what was sewn on the machine that stands in for a real one: its test holes teach nothing
# about the real one.
#
#   StandIn.id("3")   # => "stand-in for 3"

module NimbleEyelet
  module Swatches
    module StandIn
      BEFORE = "stand-in for "

      # @param machine [String]
      # @return [String]
      def self.id(machine) = "#{BEFORE}#{machine}"

      # @param machine [String, nil]
      # @return [Boolean]
      def self.id?(machine) = machine.to_s.start_with?(BEFORE)
    end
  end
end
