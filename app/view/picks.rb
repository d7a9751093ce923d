# frozen_string_literal: true

# Things of a shelf to pick for a plan, each with the fields it fills in.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../presenter"

module NimbleEyelet
  module View
    module PicksView
      # Columns of a shelf that fill no field of a closure.
      NOT_FILLED = %i[id workroom_id owned colour note revision words removed_at garment].freeze

      NOTES = {
        "button" => lambda { |row, present|
          "#{ButtonShape.fetch(row[:shape]).name}, #{present.words(Length.new(row[:diameter_mm].to_r))}"
        },
        "cloth" => ->(row, _) { "#{CLOTH_KINDS.fetch(row[:kind]).name}, #{row[:weight_g_m2]} g/m²" },
        "thread" => ->(row, present) { "#{row[:fibre]}, tex #{present.number(row[:tex])}" }
      }.freeze

      # @param section [String] key of NOTES
      # @param rows [Array<Hash>]
      # @param total [Integer]
      # @return [Hash]
      def self.of(section, rows, total, present)
        note = NOTES.fetch(section)
        { total: total, items: rows.map do |row|
          { name: row[:name], note: note.call(row, present), fields: fields(row.except(*NOT_FILLED), present) }
        end }
      end

      # Only what is known fills a field; corner points are typed in the person's unit.
      def self.fields(row, present)
        row.to_h do |column, value|
          next ["outline", value ? Outline.load(value).in(present.unit) : ""] if column == :outline

          exact = value.is_a?(BigDecimal) ? Field.decimal(value.to_r) : value.to_s
          exact += "mm" if column.end_with?("_mm") && value
          [column.to_s.sub(/_(mm|g_m2|percent)\z/, ""), exact]
        end
      end
      private_class_method :fields
    end
  end
end
