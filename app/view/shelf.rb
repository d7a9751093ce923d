# frozen_string_literal: true

# shelf: cloths or threads, each as a person would type it.

require_relative "../field/shelf_fields"

module NimbleEyelet
  module View
    module ShelfView
      # @param shelf [Store::Shelf]
      # @param rows [Array<Hash>]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(shelf, rows, present)
        { names: shelf.kind.fields.map { |name, field| { name: name, label: field.label, help: field.help } },
          items: rows.map { |row| item(shelf, row, present) } }
      end

      # @return [Hash]
      def self.item(shelf, row, present)
        { id: row[:id], revision: row[:revision],
          fields: shelf.load(row).transform_values { |value| present.typed(value) } }
      end
    end
  end
end
