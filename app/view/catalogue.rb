# frozen_string_literal: true

# Catalogue is everything a person chooses from, read off the tables of the core.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/closure_fields"
require_relative "../field/machine_fields"
require_relative "../field/workroom_fields"

module NimbleEyelet
  module View
    module Catalogue
      # What the table of fields offers needs a note only where a name does not say enough.
      NOTES = {
        "button.shape" => ->(key, _) { BUTTON_SHAPES.fetch(key).formula },
        "cloth.kind" => ->(key, _) { CLOTH_KINDS.fetch(key).example },
        "placket.use" => ->(key, present) { gap(Placket::USES.fetch(key), present) },
        "placket.pattern" => ->(key, _) { Placket::PATTERNS.fetch(key).says },
        "recipe.style" => ->(key, _) { STYLES.fetch(key).for_what },
        "attach.pattern" => ->(key, _) { Stitches::BUTTON_PATTERNS.fetch(key).how }
      }.freeze

      # @param present [Presenter]
      # @return [Hash] lists of { key, name, note }, and the fields of a closure with what each offers
      def self.of(present)
        { shapes: noted(BUTTON_SHAPES, &:formula), attachments: noted(ATTACHMENTS),
          uses: noted(Placket::USES) { |use| gap(use, present) },
          cloth_kinds: noted(CLOTH_KINDS, &:example), cloth_figures: cloth_figures(present),
          places: Placket::PLACES.values.map do |place|
            item(place.key, place.name, present.words(place.says)).merge(tacked: place.tacked)
          end,
          holds: plain(Placket::HOLDS), obstacles: plain(Placket::OBSTACLES),
          fibres: plain(SewingThread::DENSITIES.keys.to_h { |key| [key, key] }),
          feet: noted(FOOT_KINDS), machine_kinds: noted(MACHINE_KINDS, &:order),
          passes: noted(Swatches::PASSES), symptoms: noted(Swatches::SYMPTOMS) { |symptom| symptom.causes.join("; ") },
          overlaps: plain(Placket::OVERLAPS), answers: plain(Cloth::ANSWERS),
          programmes: noted(STYLES.slice(*Recipes::PROGRAMMES), &:for_what),
          sews: MACHINE_KINDS.values.map do |kind|
            { key: kind.key, parts: kind.sews, programmed: kind.programmed, stores: kind.stores, foot: kind.foot,
              usual: kind.usual }
          end,
          measured: BUTTON_SHAPES.values.map do |shape|
            { key: shape.key, across: shape.across, parts: shape.measured, fastens: shape.fastens, opens: shape.opens }
          end,
          colours: noted(Buttons::COLOURS, &:ink),
          terms: TERMS.values.map { |term| item(term.key, term.word, term.means) },
          how_to: HOW_TO.values.map { |one| how_to(one, present) },
          begun: { machine: MachineFields::BEGUN, foot: MachineFields::BEGUN_FOOT },
          resets: plain(RESETS.transform_values(&:to_s)),
          feed_stops: plain(FEED_STOPS), stops: plain(STOPS), first_sides: plain(FIRST_SIDES),
          first_directions: plain(FIRST_DIRECTIONS), anchors: plain(ANCHORS), eye_ends: plain(EYE_ENDS),
          second_beads: plain(SECOND_BEADS), forgets: plain(FORGETS),
          axes: plain(Swatches::AXES.to_h { |axis| [axis, axis] }), scale_reads: plain(SCALE_READS),
          fields: [*ClosureFields::ALL, *WorkroomFields::ALL.values].map { |field| field(field, present) } }
      end

      # What it is called, what helps to fill it in, and what there is to choose; own words are no choice.
      def self.field(field, present)
        offered = field.kind == :choice ? field.choices : {}
        { path: field.path, label: field.label, help: field.help, habit: field.habit,
          choices: offered.map do |key, name|
            item(key, present.words(name), NOTES[field.path]&.call(key, present) || "")
          end }
      end

      def self.how_to(one, present)
        { stage: one.stage, title: one.title,
          beats: one.beats.map { |beat| { step: beat.step, says: present.words(beat.says) } } }
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
      private_class_method :field, :how_to, :cloth_figures, :noted, :plain, :item, :gap
    end
  end
end
