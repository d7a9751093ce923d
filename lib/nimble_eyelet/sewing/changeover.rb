# frozen_string_literal: true

# Changeover is what it takes to make the machine ready for other work: seconds for every part that has to be
# made otherwise. Feed, settings and threads are what the session reckons by; a person may say how long each
# takes them.
#
#   Sewing::Changeover.costs("needle" => 180)["needle"]   # => 180

require_relative "../answer/refusal"
require_relative "../machine/ledger"
require_relative "../schedule/changeover_costs"

module NimbleEyelet
  module Sewing
    module Changeover
      # Seconds a part takes, in the order in which the parts are made ready.
      SECONDS = { "needle" => 120, "top_thread" => 90, "bobbin" => 60, "foot" => 60, "settings" => 20,
                  "feed" => 30 }.freeze
      # What is made otherwise, in words.
      PART_NAMES = { "needle" => "needle", "top_thread" => "top thread", "bobbin" => "bobbin thread", "foot" => "foot",
                "settings" => "settings", "feed" => "feed" }.freeze
      LONGEST_CHANGEOVER = 1800

      # @param own [Hash{String => Integer}] seconds as a person needs them
      # @return [Hash{String => Integer}]
      # @raise [Refusal] at session.costs.<part>
      def self.costs(own = {})
        Refusal.unless_valid do |check|
          own.each do |part, seconds|
            check.expect("session.costs.#{part}", seconds,
                         SECONDS.key?(part) && (0..LONGEST_CHANGEOVER).cover?(seconds),
                         "Between 0 and 30 minutes.")
          end
        end
        SECONDS.merge(own)
      end

      # Parts of the machine that are changed together.
      GROUPS = { "needle" => %w[needle], "top_thread" => %w[top_thread bobbin_finger], "bobbin" => %w[bobbin_thread],
                 "foot" => %w[foot button_in_foot foot_opened],
                 "settings" => %w[selector width length tension balance foot_pressure speed],
                 "feed" => %w[feed_dogs cover_plate] }.freeze
      # What nobody takes off at the end.
      STAYS = %w[top_thread bobbin].freeze

      # @param state [Hash{String => Object}] of machine parts, as a ledger has it
      # @return [Hash{String => String}] what each group is, in one text; absent where it is as its owner has it
      def self.needs(state)
        GROUPS.transform_values do |parts|
          parts.map { |part| MACHINE_PARTS[part]&.called(state[part]) }.join("|").delete_prefix("|")
        end.reject { |_, text| text.delete("|").empty? }
      end

      # @param seconds [Hash{String => Integer}] as #costs gives them
      # @return [Schedule::ChangeoverCosts]
      def self.costed(seconds) = Schedule::ChangeoverCosts.new(seconds: seconds, stays: STAYS)

      USUAL = costed(SECONDS)
    end
  end
end
