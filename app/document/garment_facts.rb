# frozen_string_literal: true

# GarmentFacts reads the facts of a garment file by the rules of facts that are entered: nothing comes in that could not
# have happened at the table.
#
#   GarmentFacts.entry({ "id" => "6f0c…", "kind" => "step", "step" => "mark", "happened_at" => "…" })   # => Sewing::Entry

require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../form/journal_form"
require_relative "../store/journal_rows"

module NimbleEyelet
  module Document
    module GarmentFacts
      # Of what a stage was settled with, and of what a step was done with.
      MOST_FIGURES = 200
      LONGEST_FIGURE = 200
      # What every test hole says it was sewn with.
      SEWN_WITH = { "opening.length" => Hash, "recipe.stitch_width" => Hash, "recipe.stitch_length" => Hash,
                    "recipe.tension" => String, "recipe.stabiliser" => String }.freeze
      # What may have been seen on one.
      SEEN = { "symptoms" => ->(seen) { seen.is_a?(Array) }, "measured" => ->(seen) { seen.to_s.match?(Form::JournalForm::LENGTH) },
               "passes" => ->(seen) { Swatches::PASSES.key?(seen) }, "again" => ->(seen) { seen.to_s.match?(Form::JournalForm::UUID) },
               "looks" => ->(seen) { seen.is_a?(Hash) && seen.values.all?(String) } }.freeze
      FORMS = { "id" => Form::JournalForm::UUID, "about" => Form::JournalForm::UUID, "step" => /\A[a-z0-9_-]{1,60}\z/,
                "at" => Form::JournalForm::LENGTH, "opening" => Form::JournalForm::LENGTH }.freeze
      NEEDED = { "withdrawal" => %w[about], "hole_sewn" => %w[at opening], "step" => %w[step] }.freeze
      # Nothing was sewn before, or long after now.
      TIMES = (Time.utc(1970)..Time.utc(2200))

      # @param kept [Hash] as in the file
      # @return [Sewing::Entry]
      # @raise [Refusal, KeyError, ArgumentError]
      def self.entry(kept)
        data = kept["data"].to_h
        seen = data.slice("passes", "measured", "symptoms", "looks", "again")
        sound = { "id" => kept.fetch("id"), "kind" => kept.fetch("kind"), "about" => kept["about"],
                  "step" => kept["step"],
                  "at" => kept["at"], "opening" => kept["opening"], "happened_at" => kept.fetch("happened_at"),
                  "moves" => figures(kept["moves"]).slice(*MACHINE_PARTS.keys),
                  "data" => { **seen, "with" => figures(data["with"]), "note" => note(data["note"]) } }
        check_entry(sound)
        Store::JournalRows.entry(sound).tap { |entry| entry.swatch&.validate }
      end

      def self.note(text) = Field.clean(text)[0, Form::JournalForm::LONGEST_NOTE]

      # By the same rules as facts that are entered.
      def self.check_entry(entry)
        raise KeyError, "kind" unless Sewing::Entry::KINDS.include?(entry["kind"])

        FORMS.each { |name, form| raise KeyError, name unless entry[name].nil? || entry[name].to_s.match?(form) }
        raise KeyError, "happened_at" unless TIMES.cover?(Time.iso8601(entry["happened_at"]))

        missing = NEEDED.fetch(entry["kind"], []).find { |name| entry[name].nil? }
        raise KeyError, missing if missing

        check_seen(entry["data"]) if entry["kind"] == "swatch"
      end

      def self.check_seen(data)
        SEEN.each { |name, sound| raise KeyError, name unless data[name].nil? || sound.call(data[name]) }
        SEWN_WITH.each { |path, kind| raise KeyError, path unless data["with"][path].is_a?(kind) }
      end

      # Figures by their path, each a length or a short text.
      #
      # @return [Hash{String => Hash, String, nil}]
      # @raise [KeyError]
      def self.figures(kept)
        raise KeyError, "more than #{MOST_FIGURES} figures" if kept.to_h.size > MOST_FIGURES

        kept.to_h.to_h do |path, value|
          raise KeyError, path[0, 40] unless path.length <= 60 && figure?(value)

          [Field.clean(path), value.is_a?(Hash) ? { "mm" => value["mm"].to_s } : value && Field.clean(value)]
        end
      end

      # @param entries [Array<Sewing::Entry>]
      # @return [Array<Sewing::Entry>] without those about something that is not among them
      # @raise [KeyError] when two have one id
      def self.sound(entries)
        ids = entries.map(&:id)
        raise KeyError, "two facts with one id" if ids.uniq.size < ids.size

        entries.reject { |entry| entry.about && !ids.include?(entry.about) }
      end

      def self.figure?(value)
        return true if value.nil?

        value.is_a?(Hash) ? value["mm"].to_s.match?(Form::JournalForm::LENGTH) : value.to_s.length <= LONGEST_FIGURE
      end
      private_class_method :note, :check_entry, :check_seen, :figure?
    end
  end
end
