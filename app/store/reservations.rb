# frozen_string_literal: true

# Reservations are the buttons of the stash that are laid by for a closure; when it is sewn, somebody counts what is
# really left.
#
#   reservations.lay_by(closure_id, "river shell 18", 8)
#   reservations.of(["river shell 18"])   # => { "river shell 18" => StashCount }

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "errors"
require_relative "stash"

module NimbleEyelet
  module Store
    class Reservations
      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param names [Array<String>] of buttons
      # @return [Hash{String => StashCount}] of those that are in the box
      def of(names)
        lies = @scope.standing(:buttons).where(name: names).select(:id, :name, :owned).all
        laid_by = by_button(lies.map { |row| row[:id] })
        used = Stash.new(@scope).planned_for(names)
        lies.to_h { |row| [row[:name], count(row, laid_by.fetch(row[:id], {}), used.fetch(row[:name], []))] }
      end

      # @param count [Integer] none for no longer
      # @return [void]
      # @raise [Refusal] when so many are not free
      def lay_by(closure_id, name, count)
        @scope.transaction do
          button = locked(name, "reservation.count", count)
          others = by_button([button[:id]]).fetch(button[:id], {}).except(closure_id).values.sum
          free = button[:owned] - others
          unless count.between?(0, [free, 0].max)
            raise Refusal.field("reservation.count", count.to_s, "#{free} of #{button[:owned]} are free: lay by so many at most.")
          end

          @scope[:reservations].where(closure_id: closure_id).delete
          @scope.insert(:reservations, closure_id: closure_id, button_id: button[:id], count: count) if count.positive?
        end
      end

      # What was laid by is sewn on by then.
      #
      # @param left [Integer] that lie in the box, as counted
      # @return [void]
      # @raise [Refusal]
      def counted(closure_id, name, left)
        @scope.transaction do
          button = locked(name, "shelf.left", left)
          Refusal.unless_valid { |check| StashButton::LIMITS.fetch(:owned).check(check, "shelf.left", left) }
          @scope[:buttons].where(id: button[:id]).update(owned: left, revision: Sequel[:revision] + 1)
          @scope[:reservations].where(closure_id: closure_id).delete
        end
      end

      private

      def count(row, reserved, used)
        planned = used.to_h { |closure| [closure[:id], "#{closure[:garment]}: #{closure[:name]}"] }
        StashCount.new(owned: row[:owned], reserved: reserved, planned: planned)
      end

      def locked(name, field, given)
        @scope.standing(:buttons).where(name: name).for_update.first ||
          raise(Refusal.field(field, given.to_s, "This button is not in the stash: keep it on the shelf first."))
      end

      # Closures in the waste basket hold nothing back.
      def by_button(ids)
        @scope[:reservations].join(:closures, id: :closure_id).where(button_id: ids, removed_at: nil)
                             .select(:button_id, :closure_id, :count).all
                             .group_by { |row| row[:button_id] }
                             .transform_values { |rows| rows.to_h { |row| row.values_at(:closure_id, :count) } }
      end
    end
  end
end
