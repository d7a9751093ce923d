# frozen_string_literal: true

# journal: what happened at the table, as a plain log.

require_relative "../../lib/nimble_eyelet"
require_relative "figures"

module NimbleEyelet
  module View
    module JournalView
      # Step of a note that earlier versions kept: from there on a simulated machine sewed the test holes.
      PRACTISED = "stand-in"

      # @param page [Store::Journal::Page]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(page, present) = { lines: page.lines.map { |line| line(line, present) }, following: page.following }

      def self.line(line, present)
        entry = line.entry
        { id: entry.id, kind: entry.kind, step: entry.step, says: present.words(says(entry, present)),
          note: entry.note, happened_at: entry.happened_at.iso8601, withdrawn_at: line.withdrawn_at&.utc&.iso8601,
          imported: line.imported, by: line.by }
      end

      def self.says(entry, present)
        case entry.kind
        when "hole_sewn" then hole(entry)
        when "swatch" then swatch(entry.swatch)
        when "step" then step(entry, present)
        when "mishap" then "Went wrong: #{entry.mishap&.says || entry.step}."
        when "machine_part" then "On the machine: #{entry.step.to_s.tr('-_', ' ')}."
        when "note" then entry.step == PRACTISED ? "Practised from here on." : "Noted."
        else "Noted."
        end
      end

      # The step, and what it was done with that has a name.
      def self.step(entry, present)
        figures = entry.done_with.filter_map do |path, value|
          label = Figures.label(path)
          "#{label} #{Figures.shown(path, value, present)}" if label
        end
        "Done: #{[called_step(entry.step), *figures].join(', ')}."
      end

      def self.called_step(key)
        step = Work::StepKey.parse(key)
        step.mishap ? "rescue, step #{step.number}" : step.name.tr("-_", " ")
      end

      def self.hole(entry)
        entry.opening ? Sentence["Hole at %s sewn, %s.", entry.at, entry.opening] : Sentence["Hole at %s sewn.", entry.at]
      end

      def self.swatch(swatch)
        passes = swatch.passes ? Swatches::PASSES.fetch(swatch.passes).name : "not tried through"
        seen = swatch.shown.map { |symptom| Swatches::SYMPTOMS.fetch(symptom).name }
        hole = "#{'Simulated: ' if swatch.simulated}#{called(swatch)}"
        words = ["#{hole[0].upcase}#{hole[1..]} of %s: #{passes}", *seen].join("; ")
        swatch.measured ? Sentence["#{words}; measured %s.", swatch.opening, swatch.measured] : Sentence["#{words}.", swatch.opening]
      end

      def self.called(swatch)
        return "hole of the row looked at" if swatch.in_garment?

        swatch.again ? "test hole looked at again" : "test hole"
      end
      private_class_method :line, :called, :called_step, :says, :step, :hole, :swatch
    end
  end
end
