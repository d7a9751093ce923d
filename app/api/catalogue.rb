# frozen_string_literal: true

# Catalogue is everything a person chooses from, read off the tables of the core.

require_relative "say"

module NimbleEyelet
  module Api
    module Catalogue
      # @param say [Say]
      # @return [Hash] lists of { key, name, note }
      def self.of(say)
        { shapes: Buttons::SHAPES.values.map { |shape| item(shape.key, shape.name, shape.formula) },
          attachments: named(ATTACHMENTS), schools: Opening::SCHOOLS.values.map { |s| item(s.key, s.name, s.assumes) },
          rulers: named(Measure::RULERS), uses: Placket::USES.values.map { |use| item(use.key, use.name, gap(use, say)) },
          orientations: plain(Placket::ORIENTATIONS), seats: plain(Placket::SEATS),
          edges: Placket::EDGE_SCHOOLS.map { |key, length| item(key, say.words(length)) },
          cloth_kinds: CLOTH_KINDS.values.map { |kind| item(kind.key, kind.name, kind.example) },
          fibres: Stitches::DENSITIES.keys.map { |key| item(key, key) },
          styles: Recipes::STYLES.values.map { |style| item(style.key, style.name, style.for_what) },
          feet: plain(FOOT_KINDS), machine_kinds: MACHINE_KINDS.values.map { |kind| item(kind.key, kind.name, kind.order) },
          passes: plain(Swatches::PASSES),
          symptoms: Swatches::SYMPTOMS.values.map { |symptom| item(symptom.key, symptom.name, symptom.causes.join("; ")) },
          patterns: Attach::PATTERNS.values.map { |pattern| item(pattern.key, pattern.name, pattern.how) } }
      end

      def self.item(key, name, note = "") = { key: key, name: name, note: note }
      def self.named(table) = table.values.map { |row| item(row.key, row.name) }
      def self.plain(table) = table.map { |key, name| item(key, name) }
      def self.gap(use, say) = "gaps of #{say.words(use.least_gap)} to #{say.words(use.most_gap)}"
      private_class_method :item, :named, :plain, :gap
    end
  end
end
