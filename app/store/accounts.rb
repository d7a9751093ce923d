# frozen_string_literal: true

# Accounts are the people of this server. What signs them in is Rodauth's; who they are is read here.
#
#   Store::Accounts.new(db).signed_in(session_digest)   # => Person, or nil
#   Store::Accounts.new(db).any?

require "sequel"
require_relative "asking"
require_relative "errors"
require_relative "person"
require_relative "scope"
require_relative "token"

module NimbleEyelet
  module Store
    class Accounts
      # As Rodauth counts.
      OPEN = 2
      # What is said in the place of a name.
      LEFT = "Somebody who left"

      # A session ends by itself: so long after it was last used, and so long after it began. Seconds
      IDLE = 14 * 86_400
      LASTS = 90 * 86_400
      # When it was last used is written down at most this often. Seconds
      NOTED = 600

      SIGNED_IN = <<~SQL.freeze
        SELECT a.id, a.name, a.email, a.keeper, k.last_use < now() - interval '#{NOTED} seconds' AS late
          FROM account_active_session_keys k JOIN accounts a ON a.id = k.account_id AND a.status_id = #{OPEN}
         WHERE k.session_id = :session AND k.account_id = :account
           AND k.last_use > now() - interval '#{IDLE} seconds' AND k.created_at > now() - interval '#{LASTS} seconds'
      SQL

      DEVICE = <<~SQL.freeze
        SELECT d.id AS device, a.id, a.name, d.seen_at < now() - interval '#{NOTED} seconds' AS late
          FROM devices d JOIN accounts a ON a.id = d.account_id AND a.status_id = #{OPEN}
         WHERE d.digest = :digest AND d.ended_at IS NULL AND d.seen_at > now() - interval '#{LASTS} seconds'
      SQL

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @return [Boolean] whether there is one that is open
      def any? = !open.empty?

      # @param account [Integer]
      # @param session [String] digest of what the browser keeps
      # @return [Person, nil]
      def signed_in(account, session)
        row = ask(:signed_in, SIGNED_IN, account: account, session: session) or return
        seen(:account_active_session_keys, { session_id: session }, :last_use) if row[:late]
        Person.new(kind: :account, account: row[:id], session: session, **row.slice(:name, :email, :keeper))
      end

      # @param token [String] that a paired device keeps
      # @return [Person, nil]
      def on_device(token)
        row = ask(:on_device, DEVICE, digest: Token.digest(token)) or return
        seen(:devices, { id: row[:device] }, :seen_at) if row[:late]
        Person.new(kind: :device, account: row[:id], name: row[:name], device: row[:device])
      end

      # @param ids [Array<Integer>]
      # @return [Hash{Integer => String}] names
      def names(ids)
        ids.empty? ? {} : @db[:accounts].where(id: ids).select_hash(:id, :name)
      end

      # @return [Integer, nil] id of who was here first
      def keeper = open.where(keeper: true).get(:id)

      # The first account has all there was before there were accounts.
      #
      # @param account [Integer]
      # @return [Boolean] whether it was the first
      def first(account)
        @db.as(Asking::ALL) do
          next false if open.exclude(id: account).any?

          @db[:accounts].where(id: account).update(keeper: true)
          all = @db[:workrooms].select(:id, account, "owner")
          @db[:members].insert_conflict.insert(%i[workroom_id account_id role], all)
          true
        end
      end

      # Who closes an account leaves what they did, without their name. A workroom that nobody else owns is put away.
      #
      # @param account [Integer]
      # @return [void]
      def close(account)
        @db.as(Asking::ALL) do
          owned = @db[:members].where(account_id: account, role: "owner").select(:workroom_id)
          shared = @db[:members].where(role: "owner").exclude(account_id: account).select(:workroom_id)
          @db[:workrooms].where(id: owned).exclude(id: shared).where(removed_at: nil).update(removed_at: Sequel::CURRENT_TIMESTAMP)
          @db[:members].where(account_id: account).delete
          @db[:devices].where(account_id: account, ended_at: nil).update(ended_at: Sequel::CURRENT_TIMESTAMP)
          %i[pairings presences account_webauthn_keys account_authentication_audit_logs].each do |table|
            @db[table].where(account_id: account).delete
          end
          @db[:invitations].where(made_by: account, used_at: nil).delete
          @db[:accounts].where(id: account).update(name: LEFT, email: "closed-#{account}@nowhere.invalid", keeper: false)
        end
      end

      # What an account is signed in on, and what happened with it.
      #
      # @param person [Person]
      # @return [Hash] sessions, devices, passkeys and log, rows of each
      def security(person)
        own = ->(table) { @db[table].where(account_id: person.account) }
        { sessions: own[:account_active_session_keys].reverse(:last_use)
                                                     .select(:session_id, :name, :created_at, :last_use).all,
          devices: own[:devices].where(ended_at: nil).reverse(:seen_at).select(:id, :name, :made_at, :seen_at).all,
          passkeys: own[:account_webauthn_keys].order(:last_use).select(:webauthn_id, :last_use).all,
          log: own[:account_authentication_audit_logs].reverse(:at, :id).limit(LOG).select(:at, :message).all }
      end

      # @param account [Integer]
      # @param what [String] that happened with it, as a key
      def note(account, what) = @db[:account_authentication_audit_logs].insert(account_id: account, message: what)

      LOG = 40
      private_constant :LOG

      # @param person [Person]
      # @param session [String] as {#security} names it
      # @raise [Missing]
      def end_session(person, session)
        ended = @db[:account_active_session_keys].where(account_id: person.account, session_id: session).delete
        raise Missing if ended.zero?

        # What would sign it in again by itself goes as well.
        @db[:account_remember_keys].where(id: person.account).delete
      end

      private

      def open = @db[:accounts].where(status_id: OPEN)

      def seen(table, row, column) = @db[table].where(row).update(column => Sequel::CURRENT_TIMESTAMP)

      def ask(name, sql, **values)
        statements = Scope::STATEMENTS_OF.call(@db)
        places = values.keys.to_h { |key| [key, :"$#{key}"] }
        (statements[name] ||= @db.fetch(sql, places).prepare(:first, name)).call(values)
      end
    end
  end
end
