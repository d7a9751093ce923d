# frozen_string_literal: true

# Refusal is the one way the core says no to what a person typed: a list of faults, each naming
# the field, what was given, and what is allowed, in words a sewist understands.
#
#   Refusal.unless_valid do |check|
#     check.expect("placket.count", 0, false, "At least one hole, please.")
#   end

require_relative "../value"

module NimbleEyelet
  # One field that cannot be taken as typed.
  #
  # field   - String, section and name: "button.thickness"
  # given   - String or Length, what was typed
  # allowed - String or Sentence, a sentence saying what is allowed
  class Fault < Value.of(:field, :given, :allowed)
    # @return [String] the section the field belongs to
    def section = field[/\A[^.]+/]
  end

  class Refusal < StandardError
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
    # @return [Refusal] with a single fault
    def self.field(field, given, allowed)
      new([Fault.new(field: field, given: given, allowed: allowed)])
    end

    # Collects faults instead of stopping at the first, so that all are shown at once.
    #
    # @yieldparam check [Check]
    # @return [nil]
    # @raise [Refusal] when the block found any fault
    def self.unless_valid
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
      # @param allowed [String, Sentence]
      # @return [Boolean] whether the condition holds
      def expect(field, given, holds, allowed)
        @faults << Fault.new(field: field, given: given, allowed: allowed) unless holds
        holds
      end

      # Notes what the block is refused for, and goes on.
      #
      # @return [Object, nil] what the block gives; nothing when it was refused
      def gather
        yield
      rescue Refusal => e
        @faults.concat(e.faults)
        nil
      end
    end
  end
end
