# frozen_string_literal: true

# Machines of a workroom with their feet, as core values.
#
#   Store::Machines.new(db, workroom_id).find(3)   # => NimbleEyelet::Machine or nil

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Store
    class Machines
      # @param db [Sequel::Database]
      # @param workroom_id [Integer]
      def initialize(db, workroom_id)
        @db = db
        @workroom_id = workroom_id
      end

      # @return [Array<Machine>] by name
      def all
        feet = owned(:feet).order(:id).all.group_by { |row| row[:machine_id] }
        owned(:machines).order(:name).map { |row| build(row, feet.fetch(row[:id], [])) }
      end

      # @param id [Integer]
      # @return [Machine, nil]
      def find(id)
        row = owned(:machines).first(id: id)
        row && build(row, owned(:feet).where(machine_id: id).order(:id).all)
      end

      private

      def owned(table) = @db[table].where(workroom_id: @workroom_id)

      def build(row, feet)
        Machine.new(**row.slice(:id, :name, :kind, :stops, :reset, :feed_stop, :bobbin_finger, :balance),
                    styles: row[:styles].to_a, max_width: length(row[:max_width_mm]), width_step: length(row[:width_step_mm]),
                    length_step: length(row[:length_step_mm]), neutral_tension: row[:neutral_tension].to_r,
                    tension_step: row[:tension_step].to_r, feet: feet.map { |foot| build_foot(foot) })
      end

      def build_foot(row)
        Foot.new(kind: row[:kind], nickname: row[:nickname],
                 largest_button: row[:largest_button_mm] && length(row[:largest_button_mm]))
      end

      def length(number) = Length.new(number.to_r)
    end
  end
end
