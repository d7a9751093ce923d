# frozen_string_literal: true

# Demo fills an empty database with the demo workroom, read from the files in db/demo.
#
#   Store::Demo.new(db).load   # => true when it filled an empty database

require "yaml"
require_relative "../../lib/nimble_eyelet"
require_relative "../form/new_closure"
require_relative "closures"

module NimbleEyelet
  module Store
    class Demo
      FOLDER = File.expand_path("../../db/demo", __dir__)

      # @param db [Sequel::Database]
      def initialize(db, folder: FOLDER)
        @db = db
        @folder = folder
      end

      # @return [Boolean] false when there already is a workroom
      def load
        @db.transaction do
          # One at a time, when several servers start on one empty database.
          @db.run("LOCK TABLE workrooms IN EXCLUSIVE MODE")
          next false unless @db[:workrooms].empty?

          fill
          true
        end
      end

      private

      def fill
        @workroom_id = @db[:workrooms].insert(read("workroom"))
        @machines = read("machines").to_h { |machine| [machine["name"], add_machine(machine)] }
        @shelves = %w[cloths threads buttons].to_h { |table| [table, read(table).to_h { |row| [row["name"], add(table, row)] }] }
        read("garments").each { |garment| add_garment(garment) }
      end

      def read(name) = YAML.safe_load_file(File.join(@folder, "#{name}.yml"))

      def add(table, row)
        @db[table.to_sym].insert(row.transform_keys(&:to_sym).merge(workroom_id: @workroom_id))
        row
      end

      def add_machine(machine)
        row = machine.except("feet").transform_keys(&:to_sym)
        id = @db[:machines].insert(row.merge(workroom_id: @workroom_id, styles: Sequel.pg_array(row[:styles], :text)))
        machine["feet"].each { |foot| add("feet", foot.merge("machine_id" => id)) }
        id
      end

      def add_garment(garment)
        id = @db[:garments].insert(workroom_id: @workroom_id, name: garment["name"])
        garment["closures"].each { |closure| Closures.new(@db, @workroom_id).create(id, document(closure)) }
      end

      # A closure names what it takes off the shelves; the rest is written as a person would type it.
      def document(closure)
        typed = { "button" => "buttons", "cloth" => "cloths", "thread" => "threads" }
                .map { |room, table| from_shelf(room, table, closure) }.reduce(:merge).merge(closure.fetch("typed", {}))
        Form::NewClosure.document(name: closure["name"], machine_id: @machines.fetch(closure["machine"]), typed: typed,
                       pins: pins(closure), keep_outs: keep_outs(closure))
      end

      def from_shelf(room, table, closure)
        row = @shelves.fetch(table).fetch(closure.fetch(room))
        row.except("owned", "colour", "note").to_h do |column, value|
          ["#{room}.#{column.sub(/_(mm|g_m2|percent)\z/, '')}", value.to_s]
        end
      end

      def pins(closure) = closure.fetch("pins", []).map { |at, label| Placket::Pin.new(at: Length.mm(at.to_r), label: label) }

      def keep_outs(closure)
        closure.fetch("keep_outs", []).map do |from, to, label|
          Placket::KeepOut.new(from: Length.mm(from.to_r), to: Length.mm(to.to_r), label: label)
        end
      end
    end
  end
end
