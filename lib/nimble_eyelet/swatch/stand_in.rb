# frozen_string_literal: true

# StandIn knows what was sewn on a practice machine: its test holes teach nothing about a real one.
#
#   StandIn.id("3")   # => "stand-in for 3"

require_relative "../machine/machine"

module NimbleEyelet
  module Swatches
    module StandIn
      BEFORE = Machine::BEFORE_PRACTICE

      # @param machine [String]
      # @return [String]
      def self.id(machine) = "#{BEFORE}#{machine}"

      # @param machine [String, nil]
      # @return [Boolean]
      def self.id?(machine) = machine.to_s.start_with?(BEFORE)
    end
  end
end
