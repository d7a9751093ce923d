# frozen_string_literal: true

# Machines of a workroom with their feet, as core values.
#
#   Store::MachineReader.for(db).read(workroom_id, 3)   # => NimbleEyelet::Machine or nil

require "sequel"
require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Store
    class MachineReader
      READERS = ObjectSpace::WeakMap.new
      private_constant :READERS

      # @param db [Sequel::Database]
      # @return [MachineReader] the one of this database
      def self.for(db) = READERS[db] ||= new(db)

      def initialize(db)
        @db = db
        @machine = db[:machines].where(workroom_id: :$workroom, id: :$id).prepare(:first, :read_machine)
        @feet = db[:feet].order(:id).where(workroom_id: :$workroom, machine_id: :$id).prepare(:select, :read_feet)
      end

      # @param workroom_id [Integer]
      # @param id [Integer]
      # @return [Machine, nil]
      def read(workroom_id, id)
        key = { workroom: workroom_id, id: id }
        row = @machine.call(key)
        row && build(row, @feet.call(key))
      end

      # @param workroom_id [Integer]
      # @return [Array<Machine>] by name
      def all(workroom_id)
        feet = @db[:feet].where(workroom_id: workroom_id).order(:id).all.group_by { |row| row[:machine_id] }
        @db[:machines].where(workroom_id: workroom_id).order(:name).map { |row| build(row, feet.fetch(row[:id], [])) }
      end

      private

      def build(row, feet)
        Machine.new(**row.slice(:id, :name, :kind, :stops, :reset, :feed_stop, :bobbin_finger, :balance),
                    styles: row[:styles].to_a, max_width: length(row[:max_width_mm]), width_step: length(row[:width_step_mm]),
                    length_step: length(row[:length_step_mm]), neutral_tension: row[:neutral_tension].to_r,
                    tension_step: row[:tension_step].to_r, feet: feet.map { |foot| build_foot(foot) })
      end

      def build_foot(row)
        Foot.new(kind: row[:kind], nickname: row[:nickname],
                 allowance: length(row[:allowance_mm]), click: length(row[:click_mm]),
                 largest_button: row[:largest_button_mm] && length(row[:largest_button_mm]))
      end

      def length(number) = Length.new(number.to_r)
    end
  end
end
