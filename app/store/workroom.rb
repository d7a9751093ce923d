# frozen_string_literal: true

# Workroom is what belongs to one person: the unit they read, the habits of the house, and the
# shelves they pick from.
#
#   Store::Workrooms.new(db).find("marsh-walk").unit   # => :mm

require "json"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/workroom_fields"
require_relative "../field/shelf_fields"
require_relative "errors"
require_relative "machines"
require_relative "scope"
require_relative "shelf"
require_relative "stash"

module NimbleEyelet
  module Store
    class Workroom
      # Beside the habits: which stabilisers lie in the drawer.
      DRAWER = "stabilisers"

      # Things to pick that are shown at once.
      PICKS = 60

      # @return [Scope]
      attr_reader :scope

      # @param db [Sequel::Database]
      # @param row [Hash] as in the table
      # @param now [Time] of the application's clock
      def initialize(db, row, now: Time.now)
        @db = db
        @row = row
        @now = now
        @scope = Scope.new(db, row[:id])
      end

      # @return [String] ISO 8601
      def today = @now.utc.to_date.iso8601

      def id = @row[:id]
      def slug = @row[:slug]
      def name = @row[:name]

      # @return [Hash{Symbol => Object}] of WorkroomFields, by name
      def settings = WorkroomFields.of(@row)
      def sample? = @row[:sample]

      # @return [Symbol] :mm, :cm or :in
      def unit = @row[:unit].to_sym
      def revision = @row[:revision]

      # @return [House] a value for every habit; questions that came later begin as the table says
      def house = house_for(unit)

      # The ruler comes with the unit, as long as nobody has said otherwise.
      # @param unit [Symbol] of whoever works
      # @return [House]
      def house_for(unit)
        kept = @row[:habits].to_h
        habits = HABITS.to_h do |path, habit|
          [path, kept.key?(path) ? ClosureFields.fetch(path).load(kept[path]) : habit.begins_in(unit)]
        end
        House.new(habits: habits, stabilisers: kept.key?(DRAWER) ? kept[DRAWER].to_a | on_the_shelf.keys : STABILISER_KINDS.keys)
      end

      # @return [Hash{String => Array<String>}] names of the stabilisers on the shelf, by kind
      def on_the_shelf
        @on_the_shelf ||= begin
          kinds = shelf(:stabilisers).group_by { |row| row[:kind] }
          kinds.transform_values { |rows| rows.map { |row| row[:name] } }
        end
      end

      # @param revision [Integer] the one the person saw
      # @param settings [Hash{Symbol => Object}] read, by column
      # @param habits [Hash{String => Object, nil}] read; nil goes back to the first school
      # @param stabilisers [Array<String>, nil] all that are owned now
      # @return [Workroom]
      # @raise [Stale]
      def change(revision:, settings: {}, habits: {}, stabilisers: nil)
        kept = kept_habits(habits).merge(stabilisers ? { DRAWER => stabilisers.uniq } : {})
        changed = @db[:workrooms].where(id: id, revision: revision).returning
                                 .update(**settings, habits: Sequel.pg_jsonb_wrap(kept),
                                                     revision: Sequel[:revision] + 1)
        raise Stale, again if changed.empty?

        Workroom.new(@db, changed.first, now: @now)
      end

      # @return [Workroom] as it stands now
      # @raise [Missing]
      def again = Workroom.new(@db, @db[:workrooms].where(id: id).first || raise(Missing), now: @now)

      # @return [Array<Hash>] rows of :buttons, :cloths or :threads, by name
      def shelf(table)
        @scope.standing(table).order(:name).all
      end

      # @return [Machines]
      def machines = @machines ||= Machines.new(@scope)

      # @return [Array<Hash>] garments that have closures, with these: id, name, archived, template, changed, closures
      def garments = JSON.parse(garments_written, symbolize_names: true)

      # @return [String] the same as JSON, put together where it lies: a list of thousands is no work for Ruby
      def garments_written = @scope.ask(:garments_shortly, SHORTLY).first[:garments] || "[]"

      SHORTLY = <<~SQL
        SELECT json_agg(one ORDER BY one.name)::text AS garments FROM (
          SELECT g.id, g.name, g.template, g.archived_at IS NOT NULL AS archived,
                 to_char(max(COALESCE(r.made_at, 'epoch')) AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS changed,
                 json_agg(json_build_object('id', c.id, 'name', c.name, 'machine_id', c.machine_id, 'use', c.placket_use,
                   'place', c.placket_place, 'length', c.placket_run_length_mm::float8) ORDER BY c.name, c.id) AS closures
            FROM closures c JOIN garments g ON g.workroom_id = c.workroom_id AND g.id = c.garment_id AND g.removed_at IS NULL
            LEFT JOIN revisions r ON r.workroom_id = c.workroom_id AND r.closure_id = c.id AND r.number = c.position
           WHERE c.workroom_id = :workroom AND c.removed_at IS NULL GROUP BY g.id) one
      SQL
      private_constant :SHORTLY

      # @return [Hash, nil] row of the closure that was changed last
      def last_used
        real = @scope.standing(:closures).exclude(machine_id: @scope[:machines].exclude(practice_of: nil).select(:id))
        latest = @scope[:revisions].where(closure_id: real.select(:id)).order(Sequel.desc(:made_at), :closure_id)
        real.where(id: latest.get(:closure_id)).first
      end

      # @param name [String]
      # @return [Integer] id of the garment of that name, made when there is none
      def garment_named(name)
        @scope.upsert(:garments, [{ name: name }], target: [:name], update: { name: name }, where: { removed_at: nil })
        @scope.standing(:garments).where(name: name).get(:id)
      end

      # So many names in one line.
      NAMED = 20

      # @param table [Symbol] :garments, :buttons, :cloths or :threads
      # @param text [String] somebody typed
      # @return [Array<Hash>] rows whose name stands in it
      def named_in(table, text)
        at = Sequel.function(:strpos, text.to_s.downcase.delete("\u0000"), Sequel.function(:lower, :name))
        @scope.standing(table).exclude(name: "").where(at => (1..)).order(:name).limit(NAMED).all
      end

      # Things to pick for a section of a plan.
      #
      # @param section [String] "button", "cloth" or "thread"
      # @param words [String, nil] to look for
      # @param name [String, nil] of the one that is shown in any case
      # @return [Array(Array<Hash>, Integer)] rows by name, at most PICKS, and how many there are
      def picks(section, words: nil, name: nil)
        kept = section == "button" ? stash : shelf_of("#{section}s")
        found = kept.matching(words)
        rows = found.order(:name).limit(PICKS).all
        chosen = name && rows.none? { |row| row[:name] == name } ? kept.matching(nil).where(name: name).all : []
        [chosen + rows, found.count]
      end

      # @param kind [String] key of ShelfFields::SHELVES
      # @return [Shelf]
      # @raise [Missing]
      def shelf_of(kind) = Shelf.new(@scope, ShelfFields::SHELVES.fetch(kind) { raise Missing })

      # @return [Stash]
      def stash = @stash ||= Stash.new(@scope)

      private

      def kept_habits(habits)
        habits.reduce(@row[:habits].to_h) do |all, (path, value)|
          value.nil? ? all.except(path) : all.merge(path => ClosureFields.fetch(path).dump(value))
        end
      end
    end
  end
end
