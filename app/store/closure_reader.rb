# frozen_string_literal: true

# ClosureReader reads one closure whole. Its statements are prepared once a connection, since
# reading is what the application does most.
#
#   Store::ClosureReader.for(db).read(workroom_id, 4)   # => Closure or nil

require "sequel"
require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "document"
require_relative "habits"
require_relative "machines"

module NimbleEyelet
  module Store
    # One closure as kept. can_undo, can_redo - Boolean, whether there is somewhere to go
    class Closure < Value.of(:id, :garment_id, :garment_name, :revision, :position, :can_undo, :can_redo, :document,
                             :machine, :habits)
      # @return [Plan]
      def plan = document.plan(machine, habits)
    end

    class ClosureReader
      READERS = ObjectSpace::WeakMap.new
      private_constant :READERS

      RECIPE_COLUMNS = FIELDS.values.select { |field| field.table == :recipes }
                             .map { |field| Sequel[:recipes][field.column].as(:"recipe_#{field.column}") }.freeze
      KEYS = FIELDS.to_h { |path, field| [path, field.table == :recipes ? :"recipe_#{field.column}" : field.column] }.freeze
      ORDER = { pins: [:at_mm], keep_outs: %i[from_mm id], swatches: [:number], steps_done: [:key], knots: [:stage] }.freeze
      private_constant :RECIPE_COLUMNS, :KEYS, :ORDER

      # @param db [Sequel::Database]
      # @return [ClosureReader] the one of this database
      def self.for(db) = READERS[db] ||= new(db)

      def initialize(db)
        @machines = MachineReader.for(db)
        @closure = closures(db).where(Sequel[:closures][:workroom_id] => :$workroom, Sequel[:closures][:id] => :$id)
                               .prepare(:first, :read_closure)
        @lists = ORDER.to_h do |table, order|
          [table, db[table].order(*order).where(workroom_id: :$workroom, closure_id: :$id).prepare(:select, :"read_#{table}")]
        end
        @near = db[:revisions].select(:number, :parent).where(workroom_id: :$workroom, closure_id: :$id)
                              .where(Sequel.|({ number: :$position }, { parent: :$position })).prepare(:select, :read_near)
      end

      # @param workroom_id [Integer]
      # @param id [Integer]
      # @return [Closure, nil]
      def read(workroom_id, id)
        key = { workroom: workroom_id, id: id }
        row = @closure.call(key) or return
        lists = @lists.transform_values { |list| list.call(key) }
        near = @near.call(**key, position: row[:position])
        Closure.new(id: id, garment_id: row[:garment_id], garment_name: row[:garment_name], revision: row[:revision],
                    position: row[:position], machine: @machines.read(workroom_id, row[:machine_id]),
                    can_undo: near.any? { |other| other[:number] == row[:position] && other[:parent] },
                    can_redo: near.any? { |other| other[:parent] == row[:position] }, document: document(row, lists),
                    habits: Habits.load(row[:habits]))
      end

      private

      def closures(db)
        db[:closures].join(:garments, id: :garment_id).join(:recipes, closure_id: Sequel[:closures][:id])
                     .select_all(:closures).join(:workrooms, id: Sequel[:closures][:workroom_id])
                     .select_append(Sequel[:garments][:name].as(:garment_name), Sequel[:workrooms][:habits], *RECIPE_COLUMNS)
      end

      def document(row, lists)
        Document.new(fields: FIELDS.to_h { |path, field| [path, field.load(row[KEYS.fetch(path)])] }, machine_id: row[:machine_id],
                     pins: lists[:pins].map do |pin|
                       Placket::Pin.new(at: length(pin[:at_mm]), label: pin[:label], weight: pin[:weight])
                     end,
                     keep_outs: lists[:keep_outs].map { |item| keep_out(item) },
                     swatches: lists[:swatches].map { |swatch| swatch(swatch) },
                     steps_done: lists[:steps_done].map { |step| step[:key] },
                     knots: lists[:knots].to_h { |knot| [knot[:stage], knot[:fingerprint]] })
      end

      def keep_out(row)
        Placket::KeepOut.new(from: length(row[:from_mm]), to: length(row[:to_mm]), label: row[:label])
      end

      def swatch(row)
        Document.load_swatch(row.except(:id, :workroom_id, :closure_id, :sewn_at)
                                .transform_keys { |name| name.to_s.delete_suffix("_mm") }
                                .merge("sewn_at" => row[:sewn_at].utc.iso8601))
      end

      def length(number) = Length.new(number.to_r)
    end
  end
end
