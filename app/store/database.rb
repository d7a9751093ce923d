# frozen_string_literal: true

# Database opens the connection to PostgreSQL and brings its schema up to date.
#
#   db = Store::Database.connect("postgres://…")
#   Store::Database.migrate(db)

require "sequel"
require_relative "asking"

module NimbleEyelet
  module Store
    module Database
      MIGRATIONS = File.expand_path("../../db/migrate", __dir__)

      # What Sequel raises when the server is away or went away.
      AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError, Sequel::PoolTimeout].freeze

      # Nothing waits for ever: not a statement, not for a lock, not for a connection; and who begins a transaction ends
      # it. ms
      LIMITS = { statement_timeout: 20_000, lock_timeout: 5_000, idle_in_transaction_session_timeout: 30_000 }.freeze
      # For looking whether anybody is there.
      AT_ONCE = { statement_timeout: 700, lock_timeout: 300 }.freeze

      # @param url [String]
      # @param connections [Integer] at most this many at once
      # @param limits [Hash{Symbol => Integer}] ms, by the server's names
      # @return [Sequel::Database] not yet connected: the server may come later
      # @raise [Sequel::Error] for what is no address of a database
      def self.connect(url, connections: 8, limits: LIMITS, patience: 3)
        raise Sequel::Error, "not PostgreSQL" unless url.match?(%r{\Apostgres(ql)?://})

        # Our statements are short: compiling them takes longer than they do.
        set = ["SET jit = off", *limits.map { |name, most| "SET #{name} = #{most}" }]
        db = Sequel.connect(url, max_connections: connections, connect_timeout: patience, pool_timeout: patience,
                            test: false,
                                 keep_reference: false, connect_sqls: set)
        db.extension :pg_array, :pg_json, :date_arithmetic
        db.extend(Asking)
        db
      end

      # A connection of its own, for health: it answers within a second, however busy the others are.
      #
      # @return [Sequel::Database]
      def self.aside(url) = connect(url, connections: 1, limits: AT_ONCE, patience: 1)

      # Of servers that start at once one brings it up to date, and the others wait for it.
      TURN = 0x6e696d62

      # @param db [Sequel::Database]
      # @return [void]
      # @raise [Sequel::DatabaseError] for a role that may not
      def self.migrate(db)
        Sequel.extension :migration
        # What is to be changed may be much.
        db.synchronize do
          db.run("SET statement_timeout = 0; SET lock_timeout = 0")
          db.get(Sequel.function(:pg_advisory_lock, TURN))
          Sequel::Migrator.run(db, MIGRATIONS)
        ensure
          db.get(Sequel.function(:pg_advisory_unlock, TURN))
          db.run("SET statement_timeout = #{LIMITS[:statement_timeout]}; SET lock_timeout = #{LIMITS[:lock_timeout]}")
        end
      end
    end
  end
end
