# frozen_string_literal: true

# stash: the button box, searched, typed, counted, and carried in and out as CSV.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/stash_fields"

module NimbleEyelet
  module View
    module StashView
      # @param records [Array<Store::Stash::StashRecord>]
      # @param total [Integer]
      # @return [Hash]
      def self.of(records, total, present) = { total: total, buttons: records.map { |item| item(item, present) } }

      # @param record [Store::Stash::StashRecord]
      # @return [Hash]
      def self.item(record, present)
        item = record.item
        button = item.button
        { id: record.id, revision: record.revision, fields: fields(item, present), owned: item.owned, used: record.used,
          says: "#{button.form.name}, #{present.words(button.across)}", half_perimeter: present.length(button.half_perimeter),
          picture: picture(button, Buttons.colour(item.colour)) }
      end

      def self.picture(button, colour)
        { largest: button.across.to_f, face: button.face, holes: button.hole_places, hole: button.hole_size,
          rimmed: button.form.hollow, ink: colour.ink, rim: colour.rim, section: button.section,
          height: button.height.to_f }
      end

      def self.fields(item, present)
        StashFields::ALL.to_h do |name, _|
          [name, present.typed(item.respond_to?(name) ? item.public_send(name) : item.button[name])]
        end
      end
      private_class_method :picture, :fields
    end
  end
end
