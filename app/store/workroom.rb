# frozen_string_literal: true

# Workroom is what belongs to one person: the unit they read, and the shelves they pick from.
#
#   Store::Workroom.default(db).unit   # => :mm

require_relative "errors"
require_relative "habits"
require_relative "machines"
require_relative "stash"

module NimbleEyelet
  module Store
    class Workroom
      attr_reader :id

      # The one workroom there is for now.
      #
      # @param db [Sequel::Database]
      # @return [Workroom]
      # @raise [Missing] while nothing has been set up
      def self.default(db)
        row = db[:workrooms].order(:id).first or raise Missing
        new(db, row)
      end

      # @param row [Hash] as in the table
      def initialize(db, row)
        @db = db
        @row = row
        @id = row[:id]
      end

      def name = @row[:name]

      # @return [Symbol] :mm, :cm or :in
      def unit = @row[:unit].to_sym
      def revision = @row[:revision]

      # @return [Hash{String => Object}] answers of the house, by the path they stand in for
      def habits = Habits.load(@row[:habits])

      # @return [Array<String>] keys of the stabilisers that are owned
      def stabilisers = habits.fetch(Habits::DRAWER)

      # @param unit [String, nil]
      # @param habits [Hash{String => String, nil}] as typed
      # @param stabilisers [Array<String>, nil] all that are owned now
      # @param revision [Integer] the one the person saw
      # @return [Workroom]
      # @raise [Stale, Refusal]
      def change(revision:, unit: nil, habits: {}, stabilisers: nil)
        kept = Habits.change(@row[:habits], habits, unit: self.unit)
        kept = kept.merge(Habits::DRAWER => stabilisers.uniq) if stabilisers
        changed = @db[:workrooms].where(id: id, revision: revision).returning
                                 .update(unit: unit || @row[:unit], habits: Sequel.pg_jsonb_wrap(kept),
                                         revision: Sequel[:revision] + 1)
        raise Stale, Workroom.default(@db) if changed.empty?

        Workroom.new(@db, changed.first)
      end

      # @return [Array<Hash>] rows of :buttons, :cloths or :threads, by name
      def shelf(table) = @db[table].where(workroom_id: id).order(:name).all

      # @return [Array<Machine>]
      def machines = MachineReader.for(@db).all(id)

      # @return [Array<Hash>] garments with their closures: id, name, closures
      def garments
        closures = @db[:closures].where(workroom_id: id).order(:name, :id).select(:id, :name, :garment_id).all
                                 .group_by { |row| row[:garment_id] }
        @db[:garments].where(workroom_id: id).order(:name).map do |row|
          { id: row[:id], name: row[:name], closures: closures.fetch(row[:id], []).map { |closure| closure.slice(:id, :name) } }
        end
      end

      # @param name [String]
      # @return [Integer] id of the garment of that name, made when there is none
      def garment_named(name)
        @db[:garments].insert_conflict(target: %i[workroom_id name], update: { name: name })
                      .insert(workroom_id: id, name: name)
      end

      # @return [Stash]
      def stash = @stash ||= Stash.new(@db, id)
    end
  end
end
