# frozen_string_literal: true

# Shelf holds the cloths, the threads or the stabilisers of a workroom, by name.
#
#   shelf.search("linen")                 # => [{ id: 3, name: "washed field linen", … }]
#   shelf.add({ "name" => "linen", … })   # => row

require_relative "../../lib/nimble_eyelet"
require_relative "../field/shelf_fields"
require_relative "errors"

module NimbleEyelet
  module Store
    class Shelf
      MOST_SHOWN = 200

      # @return [ShelfFields::Shelf]
      attr_reader :kind

      # @param scope [Scope]
      # @param kind [ShelfFields::Shelf]
      def initialize(scope, kind)
        @scope = scope
        @kind = kind
      end

      # @param words [String] each of them is somewhere in the name or the garment
      # @return [Array<Hash>] rows by name
      def search(words) = matching(words).order(:name).limit(MOST_SHOWN).all

      # @param words [String]
      # @return [Sequel::Dataset]
      def matching(words)
        words.to_s.scan(/[[:alnum:]]+/).first(8).reduce(standing) do |found, word|
          found.where(Sequel.ilike(:name, "%#{word}%") | Sequel.ilike(:garment, "%#{word}%"))
        end
      end

      # @return [Array<Hash>] every row, by name
      def all = standing.order(:name).all

      # @param values [Hash{String => Object}] by name of field
      # @return [Hash] row
      # @raise [Refusal] when the name is taken
      def add(values) = guard(values) { row(@scope.insert(@kind.table, columns(values))) }

      # @param revision [Integer] the one the person saw
      # @return [Hash] row
      # @raise [Missing, Stale, Refusal]
      def change(id, values, revision:)
        guard(values) do
          changed = standing.where(id: id, revision: revision).update(columns(values).merge(revision: revision + 1))
          raise Stale, row(id) if changed.zero?

          row(id)
        end
      end

      # Into the waste basket.
      #
      # @raise [Missing, Stale]
      def remove(id, revision:)
        found = row(id)
        changed = standing.where(id: id, revision: revision).update(removed_at: Sequel::CURRENT_TIMESTAMP)
        raise Stale, found if changed.zero?
      end

      # Puts one on the shelf, or changes the one of that name.
      #
      # @return [Symbol] :new, :changed or :same
      def put(values, keep: true)
        there = standing.where(name: values.fetch("name")).first
        wanted = columns(values)
        return :same if there && load(there) == values

        if keep
          if there
            standing.where(id: there[:id]).update(wanted.merge(revision: there[:revision] + 1))
          else
            @scope.insert(@kind.table, wanted)
          end
        end
        there ? :changed : :new
      end

      # @param row [Hash]
      # @return [Hash{String => Object}] values by name of field
      def load(row) = @kind.fields.transform_values { |field| field.load(row[field.column]) }

      # @yieldreturn [Object] of all rows, or none of them
      def all_or_none(&) = @scope.transaction(&)

      private

      def standing = @scope.standing(@kind.table)
      def row(id) = standing.where(id: id).first || raise(Missing)
      def columns(values) = @kind.fields.to_h { |name, field| [field.column, field.dump(values[name])] }

      # The savepoint keeps the transaction usable after a name that is taken.
      def guard(values, &)
        @scope.transaction(savepoint: true, &)
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("shelf.name", values["name"], "Something of that name lies on the shelf already.")
      end
    end
  end
end
