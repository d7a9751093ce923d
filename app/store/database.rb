# frozen_string_literal: true

# Database opens the connection to PostgreSQL and brings its schema up to date.
#
#   db = Store::Database.connect("postgres://…")
#   Store::Database.migrate(db)

require "sequel"

module NimbleEyelet
  module Store
    module Database
      MIGRATIONS = File.expand_path("../../db/migrate", __dir__)

      # What Sequel raises when the server is away or went away.
      AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError, Sequel::PoolTimeout].freeze

      # @param url [String]
      # @param connections [Integer] at most this many at once
      # @return [Sequel::Database] not yet connected: the server may come later
      def self.connect(url, connections: 8)
        db = Sequel.connect(url, max_connections: connections, connect_timeout: 3, test: false, keep_reference: false)
        db.extension :pg_array, :pg_json
        db
      end

      # @param db [Sequel::Database]
      # @return [void]
      def self.migrate(db)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS)
      end
    end
  end
end
