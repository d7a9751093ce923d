# frozen_string_literal: true

# SharedPlans are links by which anybody reads one closure, until the link is ended.
#
#   token = Store::SharedPlans.new(scope).share(12, by: 7)
#   Store::SharedPlans.find(db, token)   # => { workroom_id: 1, closure_id: 12 }

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "asking"
require_relative "errors"
require_relative "token"

module NimbleEyelet
  module Store
    class SharedPlans
      # So many of one closure at once.
      MOST = 20

      # @param db [Sequel::Database]
      # @param token [String]
      # @return [Hash] workroom_id, slug and closure_id
      # @raise [Missing]
      def self.find(db, token)
        db.as(Asking::ALL) do
          db[:shared_plans].join(:workrooms, id: :workroom_id).join(:closures, id: Sequel[:shared_plans][:closure_id])
                           .where(digest: Token.digest(token), ended_at: nil,
                                  Sequel[:workrooms][:removed_at] => nil, Sequel[:closures][:removed_at] => nil)
                           .select(Sequel[:shared_plans][:workroom_id], :slug, :closure_id).first || raise(Missing)
        end
      end

      # @param scope [Scope]
      # @param now [Time]
      def initialize(scope, now: Time.now)
        @scope = scope
        @now = now
      end

      # @param closure [Integer]
      # @return [Array<Hash>] id and made_at of those that hold
      def of(closure) = standing(closure).order(:id).select(:id, :made_at).all

      # @param closure [Integer]
      # @param by [Integer, nil]
      # @return [String] token, said once
      # @raise [Missing, Refusal]
      def share(closure, by:)
        raise Missing if @scope.standing(:closures).where(id: closure).empty?
        raise Refusal.field("link", "", "#{MOST} links hold already: end one first.") if standing(closure).count >= MOST

        token, digest = Token.made
        @scope.insert(:shared_plans, closure_id: closure, digest: digest, made_by: by, made_at: @now)
        token
      end

      # @param closure [Integer]
      # @param id [Integer]
      # @raise [Missing]
      def finish(closure, id)
        raise Missing if standing(closure).where(id: id).update(ended_at: @now).zero?
      end

      private

      def standing(closure) = @scope[:shared_plans].where(closure_id: closure, ended_at: nil)
    end
  end
end
