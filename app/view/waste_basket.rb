# frozen_string_literal: true

# waste basket: what was removed and can still be taken out again.

module NimbleEyelet
  module View
    module WasteBasketView
      # @param lying [Array<Hash>] kind, id, name, removed_at, until
      # @return [Array<Hash>]
      def self.of(lying)
        lying.map { |item| item.merge(removed_at: item[:removed_at].utc.iso8601, until: item[:until].utc.iso8601) }
      end
    end
  end
end
