# frozen_string_literal: true

# Scope is one workroom's part of the database. Every dataset, insert and prepared statement of the
# stores comes from here, so that one that reaches into another workroom cannot be written.
#
#   scope = Store::Scope.new(db, workroom_id)
#   scope[:machines].where(id: 3).first
#   scope.insert(:garments, name: "smock")

require "sequel"

module NimbleEyelet
  module Store
    class Scope
      STATEMENTS = ObjectSpace::WeakMap.new
      private_constant :STATEMENTS

      # Prepared statements of a database, by name.
      STATEMENTS_OF = ->(db) { STATEMENTS[db] ||= {} }

      # @return [Integer]
      attr_reader :workroom_id

      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
      end

      # @param table [Symbol]
      # @return [Sequel::Dataset] rows of this workroom
      def [](table) = @db[table].where(Sequel[table][:workroom_id] => workroom_id)

      # @param table [Symbol]
      # @return [Sequel::Dataset] those of them that do not lie in the waste basket
      def standing(table) = self[table].where(Sequel[table][:removed_at] => nil)

      # @return [Integer] id
      def insert(table, row) = @db[table].insert(row.merge(workroom_id: workroom_id))

      # @param rows [Array<Hash>]
      def insert_all(table, rows)
        rows.empty? || @db[table].multi_insert(rows.map { |row| row.merge(workroom_id: workroom_id) })
      end

      # @param rows [Array<Hash>] that take the place of those with the same values in the target columns
      # @param target [Array<Symbol>] beside the workroom
      def upsert(table, rows, target:, update:, where: nil)
        return if rows.empty?

        conflict = { target: [:workroom_id, *target], update: update, conflict_where: where }.compact
        @db[table].insert_conflict(conflict).multi_insert(rows.map { |row| row.merge(workroom_id: workroom_id) })
      end

      # One statement written out, prepared once a connection. It names the workroom as $workroom.
      #
      # @param name [Symbol]
      # @param sql [String] with :workroom and the names of the values in it
      # @param values [Hash{Symbol => Object}]
      # @return [Array<Hash>]
      def ask(name, sql, **values)
        statements = STATEMENTS_OF.call(@db)
        places = [*values.keys, :workroom].to_h { |key| [key, :"$#{key}"] }
        (statements[name] ||= @db.fetch(sql, places).prepare(:select, name)).call(values.merge(workroom: workroom_id))
      end

      def transaction(...) = @db.transaction(...)

      # Everything that is read in it is as it was at its first read, whatever is written meanwhile.
      def at_one_moment(&)
        @db.in_transaction? ? yield : @db.transaction(isolation: :repeatable, read_only: true, &)
      end
    end
  end
end
