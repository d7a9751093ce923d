# frozen_string_literal: true

# Refused is the one way the core says no to what a person typed: a list of faults, each naming
# the field, what was given, and what is allowed, in words a sewist understands.
#
#   Refused.unless_sound do |check|
#     check.that("placket.count", 0, false, "At least one hole, please.")
#   end

require_relative "said"

module NimbleEyelet
  # One field that cannot be taken as typed.
  #
  # field   - String, room and name: "button.diameter"
  # given   - String or Length, what was typed
  # allowed - String or Said, a sentence saying what is allowed
  Fault = Value.define(:field, :given, :allowed) do
    # @return [String] the room the field belongs to
    def room = field[/\A[^.]+/]
  end

  class Refused < StandardError
    # @return [Array<Fault>]
    attr_reader :faults

    # @param faults [Array<Fault>] at least one
    def initialize(faults)
      @faults = faults
      super(faults.map { |fault| "#{fault.field}: #{fault.allowed}" }.join("; "))
    end

    # @param field [String]
    # @param given [Object]
    # @param allowed [String]
    # @return [Refused] with a single fault
    def self.field(field, given, allowed)
      new([Fault.new(field: field, given: given, allowed: allowed)])
    end

    # Collects faults instead of stopping at the first, so that all are shown at once.
    #
    # @yieldparam check [Check]
    # @return [nil]
    # @raise [Refused] when the block found any fault
    def self.unless_sound
      check = Check.new
      yield check
      raise new(check.faults) unless check.faults.empty?
    end

    # Notes faults field by field, or part by part.
    class Check
      attr_reader :faults

      def initialize
        @faults = []
      end

      # Notes a fault unless the condition holds.
      #
      # @param field [String]
      # @param given [Object]
      # @param holds [Boolean]
      # @param allowed [String, Said]
      # @return [Boolean] whether the condition holds
      def that(field, given, holds, allowed)
        @faults << Fault.new(field: field, given: given, allowed: allowed) unless holds
        holds
      end

      # Notes what the block is refused for, and goes on.
      #
      # @return [Object, nil] what the block gives; nothing when it was refused
      def gather
        yield
      rescue Refused => e
        @faults.concat(e.faults)
        nil
      end
    end
  end
end
