# frozen_string_literal: true

# Presences are the screens that are open in a workroom just now, and what each of them looks at.
#
#   there = Store::Presences.new(scope)
#   there.here(screen: "…", account: 7, place: "closure:12")
#   there.all   # => [{ account_id: 7, name: "Ana", place: "closure:12", machine: nil }]

require "sequel"
require_relative "scope"

module NimbleEyelet
  module Store
    class Presences
      # A screen that has not been heard of for so long is gone. Seconds
      LASTS = 90

      ALL = <<~SQL.freeze
        SELECT p.screen, p.account_id, a.name, p.place, s.machine_id AS machine
          FROM presences p JOIN accounts a ON a.id = p.account_id
          LEFT JOIN sittings s ON s.workroom_id = p.workroom_id AND p.place = 'session:' || s.id AND s.ended_at IS NULL
         WHERE p.workroom_id = :workroom AND p.seen_at > clock_timestamp() - interval '#{LASTS} seconds'
         ORDER BY a.name, p.screen
      SQL

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param screen [String] uuid
      # @param account [Integer]
      # @param place [String] "closure:12", "session:3", "workroom"
      # @yield when that is news to the others
      def here(screen:, account:, place:)
        before = @scope[:presences].where(screen: screen).get(%i[account_id place])
        now = { account_id: account, place: place, seen_at: Sequel.function(:clock_timestamp) }
        @scope.upsert(:presences, [now.merge(screen: screen)], target: [:screen], update: now)
        yield unless before == [account, place]
      end

      # @return [Array<Hash>] screen, account_id, name, place, and the machine of a session that goes on
      def all = @scope.ask(:presences, ALL)
    end
  end
end
