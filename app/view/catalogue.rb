# frozen_string_literal: true

# Catalogue is everything a person chooses from, read off the tables of the core.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"

module NimbleEyelet
  module View
    module Catalogue
      # @param present [Presenter]
      # @return [Hash] lists of { key, name, note }
      def self.of(present)
        { shapes: noted(BUTTON_SHAPES, &:formula), attachments: noted(ATTACHMENTS),
          rulers: noted(RULERS), uses: noted(Placket::USES) { |use| gap(use, present) },
          orientations: plain(Placket::ORIENTATIONS),
          seats: plain(Placket::SEATS.transform_values { |seat| present.words(seat) }),
          edges: plain(Placket::EDGE_NAMES.transform_values { |name| present.words(name) }),
          cloth_kinds: noted(CLOTH_KINDS, &:example), cloth_figures: cloth_figures(present),
          places: Placket::PLACES.values.map do |place|
            item(place.key, place.name, present.words(place.says)).merge(tacked: place.tacked)
          end,
          holds: plain(Placket::HOLDS), obstacles: plain(Placket::OBSTACLES),
          fibres: plain(SewingThread::DENSITIES.keys.to_h { |key| [key, key] }),
          styles: noted(STYLES, &:for_what), feet: noted(FOOT_KINDS), machine_kinds: noted(MACHINE_KINDS, &:order),
          passes: noted(Swatches::PASSES), symptoms: noted(Swatches::SYMPTOMS) { |symptom| symptom.causes.join("; ") },
          patterns: noted(Stitches::BUTTON_PATTERNS, &:how),
          gap_patterns: noted(Placket::PATTERNS, &:says), first_lies: plain(Placket::FIRST_LIES),
          overlaps: plain(Placket::OVERLAPS), rows: plain(Placket::ROWS), answers: plain(Cloth::ANSWERS),
          programmes: noted(STYLES.slice(*Recipes::PROGRAMMES), &:for_what),
          sews: MACHINE_KINDS.values.map do |kind|
            { key: kind.key, parts: kind.sews, programmed: kind.programmed, stores: kind.stores, usual: kind.usual }
          end,
          measured: BUTTON_SHAPES.values.map do |shape|
            { key: shape.key, across: shape.across, parts: shape.measured, fastens: shape.fastens, opens: shape.opens }
          end,
          colours: noted(Buttons::COLOURS, &:ink),
          terms: TERMS.values.map { |term| item(term.key, term.word, term.means) },
          resets: plain(RESETS.transform_values(&:to_s)),
          feed_stops: plain(FEED_STOPS), stops: plain(STOPS), first_sides: plain(FIRST_SIDES),
          first_directions: plain(FIRST_DIRECTIONS), anchors: plain(ANCHORS), eye_ends: plain(EYE_ENDS),
            second_beads: plain(SECOND_BEADS),
          tension_moves: noted(Recipes::TENSION_MOVES), thread_tails: plain(Recipes::THREAD_TAILS),
          stay_schools: plain(Recipes::STAY_SCHOOLS), first_holes: plain(Recipes::FIRST_HOLES),
          thin_covers: plain(Recipes::THIN_COVERS), tack_lengths: plain(Opening::TACK_LENGTHS),
          attach_orders: plain(Attach::ATTACH_ORDERS), button_feeds: plain(Attach::BUTTON_FEEDS),
          cut_tools: plain(Opening::CUT_TOOLS), seals: plain(Opening::SEALS), button_marks: plain(Attach::BUTTON_MARKS),
          between_pairs: plain(Attach::BETWEEN_PAIRS), securings: plain(Attach::SECURINGS),
          shanks: plain(Attach::SHANKS), forgets: plain(FORGETS), paces: plain(Swatches::PACES),
          axes: plain(Swatches::AXES.to_h { |axis| [axis, axis] }), scale_reads: plain(SCALE_READS),
          fields: ClosureFields::ALL.map { |field| { path: field.path, label: field.label, help: field.help } } }
      end

      # What is typical for a kind of cloth, to begin with.
      def self.cloth_figures(present)
        CLOTH_KINDS.values.map do |kind|
          { key: kind.key, weight: kind.weight.to_s, thickness: present.typed(kind.thickness),
            stretch: kind.stretch.to_s }
        end
      end

      # Rows of a table, with what the block says of each as a note.
      def self.noted(table)
        table.values.map { |row| item(row.key, row.name, block_given? ? yield(row) : "") }
      end

      def self.plain(table) = table.map { |key, name| item(key, name) }
      def self.item(key, name, note = "") = { key: key, name: name, note: note }
      def self.gap(use, present) = "gaps of #{present.words(use.least_gap)} to #{present.words(use.most_gap)}"
      private_class_method :cloth_figures, :noted, :plain, :item, :gap
    end
  end
end
