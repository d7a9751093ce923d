# frozen_string_literal: true

# What has been learned of a machine, foot by foot, and from which test holes.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module LearnedView
      # Deviations of the next hole that are told.
      TOLD = 2

      # @param taught [Store::Taught]
      # @param machine [Machine]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(taught, machine, present)
        learned = Swatches::Learned.new(taught.swatches)
        id = machine.known_as
        feet = learned.measured_on(id).map { |foot, found| foot(learned, id, foot, found, taught.closures, present) }
        { forgotten_at: taught.since&.utc&.iso8601, feet: feet }
      end

      def self.foot(learned, id, foot, found, closures, present)
        offset = learned.offset(machine: id, foot: foot, structure: nil, set: Offset::LEVEL)
        usual = Offset::USUALLY_ADDED.fetch(found.first.swatch.sewn_with["setting.by"] || "lines")
        { foot: FOOT_KINDS[foot]&.name || foot.to_s, says: says(offset, usual, present), left_out: offset.left_out.size,
          swatches: found.map { |one| swatch(one, closures, present) } }
      end

      def self.says(offset, usual, present)
        added = usual + offset.mean
        length = present.words(Length.mm((added.abs * 4).round/4r))
        about = present.words(Length.mm((TOLD * offset.deviation * 4).round/4r))
        "Holes come out about #{length} #{added.negative? ? 'shorter' : 'longer'} than what is set, give or take #{about}."
      end

      def self.swatch(one, closures, present)
        { id: one.swatch.id, sewn_at: one.swatch.sewn_at.to_s,
          closure: one.closure && { id: one.closure, name: closures.fetch(one.closure) },
          set: present.length(one.swatch.hands), set_word: one.swatch.hands_word,
          measured: present.length(one.swatch.measured) }
      end
      private_class_method :foot, :says, :swatch
    end
  end
end
