# frozen_string_literal: true

# ChangeoverCosts is how long it takes to make a machine ready for other work: seconds for every part that is to be
# another.
#
#   costs = Schedule::ChangeoverCosts.new(seconds: { "foot" => 60, "needle" => 120 })
#   costs.between({ "foot" => "carriage" }, { "foot" => "button foot" })   # => 60

require_relative "../value"

module NimbleEyelet
  module Schedule
    # seconds - Hash{String => Integer} by part; stays - Array<String>, parts that nobody takes off when nothing else is
    #   wanted
    class ChangeoverCosts < Value.of(:seconds, stays: [])
      # @param from [Hash{String => Object}] what each part is; absent is as its owner has it
      # @param to [Hash{String => Object}]
      # @return [Integer] seconds
      def between(from, to)
        seconds.sum { |part, long| from[part] == to[part] || (to[part].nil? && stays.include?(part)) ? 0 : long }
      end

      # @return [Array<String>]
      def parts = seconds.keys
    end
  end
end
