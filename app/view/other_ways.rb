# frozen_string_literal: true

# Other ways to close: why a hole sewn by machine may be the wrong answer, and what each way takes.

require_relative "../../lib/nimble_eyelet"
require_relative "../presenter"

module NimbleEyelet
  module View
    module OtherWaysView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        found = sheet.other_ways
        { **brief(sheet), wrong: found.wrong&.says, chosen: found.chosen&.key,
          offered: found.offered.map { |way| way(way, found, present) } }
      end

      # @return [Hash] whether no hole is sewn by machine, and whether one of it is laid on its mark from a card
      def self.brief(sheet) = { instead: !sheet.way.nil?, carded: sheet.other_ways.carded? }

      def self.way(way, found, present)
        { **way.to_h.slice(:key, :name, :for_what, :minutes, :buttons, :opens),
          first: found.wrong&.offers.to_a.include?(way.key),
          figures: way.figures(found.given).values.map { |one| figure(one, present) },
          once: way.once(found.given).map { |says| present.words(says) },
          beats: way.beats(found.given).map { |says| present.words(says) } }
      end

      def self.figure(figure, present)
        { key: figure.key, name: figure.name, value: present.length(figure.value) }
      end
      private_class_method :way, :figure
    end
  end
end
