# frozen_string_literal: true

# Members are the people of a workroom: its owner, who sews with them, and who looks on.
#
#   Store::Members.role(db, "marsh-walk", 7)              # => "sews"
#   Store::Members.new(workroom.scope, db).all            # => rows

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "accounts"
require_relative "asking"
require_relative "errors"
require_relative "person"
require_relative "scope"
require_relative "token"

module NimbleEyelet
  module Store
    class Members
      # So long an invitation holds. Seconds
      INVITED = 7 * 86_400
      # So many of a workroom wait at once.
      MOST_INVITED = 60

      ROLE = <<~SQL
        SELECT m.role FROM members m JOIN workrooms w ON w.id = m.workroom_id
         WHERE w.slug = :slug AND m.account_id = :account
      SQL

      # What an invitation is for. workroom - String, its name; slug - String, its address; role - String; by - String,
      # name of who invited; name - String, what they call whoever is invited
      Invitation = Value.of(:id, :workroom_id, :workroom, :slug, :role, :by, :name)

      # @return [String, nil] also in a workroom that was put away
      def self.role(db, slug, account)
        statements = Scope::STATEMENTS_OF.call(db)
        (statements[:role] ||= db.fetch(ROLE, slug: :$slug, account: :$account).prepare(:first, :role))
          .call(slug: slug, account: account)&.fetch(:role)
      end

      # @param db [Sequel::Database]
      # @param token [String]
      # @param now [Time]
      # @return [Invitation]
      # @raise [Missing] when it is none, was used, or has run out
      def self.invitation(db, token, now:)
        db.as(Asking::ALL) do
          waiting = db[:invitations].where(digest: Token.digest(token), used_at: nil).where(Sequel[:deadline] > now)
          row = waiting.first or raise Missing
          room = db[:workrooms].where(id: row[:workroom_id], removed_at: nil).first or raise Missing
          by = db[:accounts].where(id: row[:made_by]).get(:name)
          Invitation.new(**row.slice(:id, :workroom_id, :role, :name), workroom: room[:name], slug: room[:slug], by: by)
        end
      end

      # Whoever has the invitation comes in by it, once.
      #
      # @param account [Integer]
      # @return [Invitation]
      # @raise [Missing]
      def self.accept(db, token, account, now:)
        db.as(Asking::ALL) do
          db.transaction do
            found = invitation(db, token, now: now)
            used = db[:invitations].where(id: found.id, used_at: nil).update(used_at: now)
            raise Missing if used.zero?

            join(db, found.workroom_id, account, found.role)
            found
          end
        end
      end

      # Nobody is less than they were by coming in once more.
      def self.join(db, workroom, account, role)
        there = db[:members].where(workroom_id: workroom, account_id: account).get(:role)
        ranks = Person::ROLES
        return if there && ranks.index(there) <= ranks.index(role)

        db[:members].insert_conflict(target: %i[workroom_id account_id], update: { role: role })
                    .insert(workroom_id: workroom, account_id: account, role: role)
      end

      # @param scope [Scope]
      # @param db [Sequel::Database]
      # @param now [Time]
      def initialize(scope, db, now: Time.now)
        @scope = scope
        @db = db
        @now = now
      end

      # @return [Array<Hash>] account_id, name, role, since; owners first
      def all
        ranked = Sequel.case({ "owner" => 0, "sews" => 1 }, 2, Sequel[:members][:role])
        @scope[:members].join(:accounts, id: :account_id).order(ranked, Sequel[:accounts][:name])
                        .select(:account_id, Sequel[:accounts][:name], :role, :since).all
      end

      # @return [Array<Hash>] that wait: id, role, name, deadline
      def invited
        @scope[:invitations].where(used_at: nil).where(Sequel[:deadline] > @now).order(:id)
                            .select(:id, :role, :name, :deadline).all
      end

      # @param role [String]
      # @param name [String] whom it is for, as the owner calls them
      # @param by [Integer, nil]
      # @return [String] the token, said once
      # @raise [Refusal]
      def invite(role:, by:, name: "")
        if invited.size >= MOST_INVITED
          raise Refusal.field("invitation.name", name, "#{MOST_INVITED} invitations wait already: take one back first.")
        end

        token, digest = Token.made
        @scope.insert(:invitations, role: role, name: name, digest: digest, made_by: by, deadline: @now + INVITED)
        token
      end

      # @param id [Integer]
      # @raise [Missing]
      def take_back(id)
        raise Missing if @scope[:invitations].where(id: id, used_at: nil).delete.zero?
      end

      # @param account [Integer]
      # @param role [String]
      # @raise [Missing, Refusal]
      def change(account, role)
        @scope.transaction do
          keep_an_owner(account, role)
          raise Missing if @scope[:members].where(account_id: account).update(role: role).zero?
        end
      end

      # @param account [Integer]
      # @raise [Missing, Refusal]
      def remove(account)
        @scope.transaction do
          keep_an_owner(account, nil)
          raise Missing if @scope[:members].where(account_id: account).delete.zero?

          @scope[:presences].where(account_id: account).delete
        end
      end

      private

      # Of two owners who leave at once one stays.
      def keep_an_owner(account, role)
        owners = @scope[:members].where(role: "owner").for_update.select_map(:account_id)
        return if role == "owner" || owners != [account]

        raise Refusal.field("person.role", role.to_s, "A workroom has an owner. Make somebody else the owner first.")
      end
    end
  end
end
