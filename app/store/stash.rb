# frozen_string_literal: true

# Stash is the button box of a workroom: every button as measured, how many there are, and where
# they are used.
#
#   stash.search("shell 18")   # => [[StashRecord, …], 1]

require "sequel"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/stash_fields"
require_relative "errors"

module NimbleEyelet
  module Store
    class Stash
      PAGE = 60

      # used - Array<Hash> of closure id, closure name and garment name
      StashRecord = Value.of(:id, :revision, :item, :used)

      BUTTON = StashFields::BUTTON

      # @param scope [Scope]
      def initialize(scope)
        @scope = scope
      end

      # @param words [String] every one of them, or its beginning, is in the name, the looks or the note
      # @param from [Integer] how many to leave out
      # @return [Array(Array<StashRecord>, Integer)] one page by name, and how many there are
      def search(words, from: 0)
        found = matching(words)
        [kept(found.order(:name).limit(PAGE, from).all), found.count]
      end

      # @param id [Integer]
      # @return [StashRecord]
      # @raise [Missing]
      def find(id) = kept(owned.where(id: id).all).first || raise(Missing)

      # @param item [StashButton] sound
      # @return [StashRecord]
      # @raise [Refusal] when the name is taken
      def add(item)
        guard(item) { find(@scope.insert(:buttons, Stash.columns(item))) }
      end

      # @param revision [Integer] the one the person saw
      # @return [StashRecord]
      # @raise [Missing, Stale, Refusal]
      def change(id, item, revision:)
        guard(item) do
          changed = owned.where(id: id, revision: revision).update(Stash.columns(item).merge(revision: revision + 1))
          raise Stale, find(id) if changed.zero?

          find(id)
        end
      end

      # Into the waste basket.
      #
      # @raise [Missing, Stale]
      def remove(id, revision:)
        record = find(id)
        return unless owned.where(id: id, revision: revision).update(removed_at: Sequel::CURRENT_TIMESTAMP).zero?

        raise Stale, record
      end

      # Measures a button of this name again, or puts it in; how many there are stays.
      #
      # @param button [Button] sound, with a name
      # @return [void]
      def measure(button)
        values = Stash.columns(StashButton.new(button: button)).except(:owned, :colour, :note)
        put([values])
      end

      # @param words [String]
      # @return [Sequel::Dataset] rows that every one of them, or its beginning, is in
      def matching(words)
        asked = words.to_s.scan(/[[:alnum:]]+/).first(8)
        return owned if asked.empty?

        owned.where(Sequel.lit("words @@ to_tsquery('simple', ?)", asked.map { |word| "#{word}:*" }.join(" & ")))
      end

      # @param items [Array<StashButton>] sound, no name twice
      # @return [void]
      def put_all(items) = put(items.map { |item| Stash.columns(item) })

      # @yield what is kept whole or not at all
      def whole(&) = @scope.transaction(&)

      # @param names [Array<String>]
      # @return [Hash{String => StashButton}] those that are in the box
      def named(names) = owned.where(name: names).all.to_h { |row| [row[:name], Stash.item(row)] }

      # @param names [Array<String>] of buttons
      # @return [Hash{String => Array<Hash>}] closures with such a button: id, name and garment, by its name
      def planned_for(names)
        # What is only practised on takes nothing out of the box, and a template neither.
        practised = @scope[:machines].exclude(practice_of: nil).select(:id)
        @scope.standing(:closures).join(:garments, id: :garment_id).where(button_name: names)
              .exclude(Sequel[:garments][:template]).exclude(machine_id: practised)
              .order(Sequel[:garments][:name], Sequel[:closures][:name])
              .select(:button_name, Sequel[:closures][:id], Sequel[:closures][:name],
                      Sequel[:garments][:name].as(:garment))
              .all.group_by { |row| row.delete(:button_name) }
      end

      # @yieldparam item [StashButton] by name, without holding all of them
      def each
        owned.order(:name).select(*columns).paged_each(rows_per_fetch: 500) { |row| yield Stash.item(row) }
      end

      def self.columns(item)
        button = BUTTON.to_h { |name, field| [column(field), field.dump(item.button[name.to_sym])] }
        button.merge(owned: item.owned, colour: item.colour, note: item.note)
      end

      def self.item(row)
        button = BUTTON.to_h { |name, field| [name.to_sym, field.load(row[column(field)])] }
        StashButton.new(button: Button.new(**button), **row.slice(:owned, :colour, :note))
      end

      def self.column(field) = field.column.to_s.delete_prefix("button_").to_sym

      private

      def owned = @scope.standing(:buttons)

      def columns = %i[id name owned colour note revision] + BUTTON.values.map { |field| Stash.column(field) }

      def kept(rows)
        used = planned_for(rows.map { |row| row[:name] })
        rows.map do |row|
          StashRecord.new(id: row[:id], revision: row[:revision], item: Stash.item(row), used: used.fetch(row[:name], []))
        end
      end

      def put(rows)
        return if rows.empty?

        update = rows.first.keys.to_h { |column| [column, Sequel[:excluded][column]] }
        @scope.upsert(:buttons, rows, target: [:name], where: { removed_at: nil },
                                      update: update.merge(revision: Sequel[:buttons][:revision] + 1))
      end

      def guard(item)
        yield
      rescue Sequel::UniqueConstraintViolation
        raise Refusal.field("button.name", item.button.name, "There is a button of that name in the stash.")
      end
    end
  end
end
