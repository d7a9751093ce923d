# frozen_string_literal: true

# stash: the button box, searched, typed, counted, and carried in and out as CSV.

require_relative "../../lib/nimble_eyelet"
require_relative "../store/stash"

module NimbleEyelet
  module View
    module StashView
      # @param kept [Array<Store::Stash::Kept>]
      # @param total [Integer]
      # @return [Hash]
      def self.of(kept, total, say) = { total: total, buttons: kept.map { |item| item(item, say) } }

      # @param kept [Store::Stash::Kept]
      # @return [Hash]
      def self.item(kept, say)
        item = kept.item
        button = item.button
        { id: kept.id, revision: kept.revision, fields: fields(item, say), owned: item.owned, used: kept.used,
          says: "#{button.form.name}, #{say.words(button.across)}", half_perimeter: say.length(button.half_perimeter),
          picture: picture(button, Buttons::COLOURS.fetch(item.colour)) }
      end

      def self.picture(button, colour)
        { largest: button.across.to_f, face: button.face, holes: button.hole_places, hole: button.hole_diameter.to_f,
          rimmed: button.form.hollow, ink: colour.ink, rim: colour.rim, section: button.section, height: button.height.to_f }
      end

      def self.fields(item, say)
        Store::Stash::BUTTON.merge(Store::Stash::MORE).to_h do |name, _|
          [name, say.typed(item.respond_to?(name) ? item.public_send(name) : item.button[name])]
        end
      end
      private_class_method :picture, :fields
    end
  end
end
