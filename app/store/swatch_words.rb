# frozen_string_literal: true

# SwatchWords are the words a test hole is found by in the swatch book: what it was sewn on and with, and
# what was seen, as a person calls it.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Store
    module SwatchWords
      LONGEST = 3800

      # @param swatch [Swatches::Swatch]
      # @return [String]
      def self.of(swatch)
        with = swatch.sewn_with
        sewn = [*with.values_at("cloth.name", "thread.name", "thread.fibre", "machine.name"), named(CLOTH_KINDS, with["cloth.kind"]),
                named(FOOT_KINDS, with["recipe.foot"]), named(STYLES, with["recipe.style"]), swatch.under]
        [*sewn, *seen(swatch), swatch.note].compact.join(" ")[0, LONGEST]
      end

      def self.named(table, key) = table[key]&.name

      def self.seen(swatch)
        grades = swatch.looks.filter_map { |look, grade| Swatches::LOOKS[look]&.grades&.find { |one| one.key == grade }&.name }
        [named(Swatches::PASSES, swatch.passes), *swatch.shown.map { |symptom| named(Swatches::SYMPTOMS, symptom) }, *grades]
      end
      private_class_method :named, :seen
    end
  end
end
