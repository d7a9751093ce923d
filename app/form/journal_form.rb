# frozen_string_literal: true

# JournalForm reads what somebody says happened at the table.
#
#   Form::JournalForm.new(:mm, now: Time.now).read("6f0c…", { "kind" => "step", "step" => "mark", … })   # => Sewing::Entry

require "time"
require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/plain_value"

module NimbleEyelet
  module Form
    class JournalForm
      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      LENGTH = /\A-?\d{1,5}(\.\d{1,6})?\z/
      LONGEST_NOTE = 500
      LONGEST_VALUE = 200
      # A fact waits at most so long to be sent, seconds.
      LONGEST_WAIT = 366 * 24 * 60 * 60

      # @param unit [Symbol] the person's unit
      # @param now [Time]
      def initialize(unit, now:)
        @unit = unit
        @now = now
      end

      # @param id [String] made up by whoever enters it
      # @param body [Hash] valid by the interface description
      # @return [Sewing::Entry]
      # @raise [Refusal]
      def read(id, body)
        kind = body.fetch("kind")
        raise Refusal.field("journal.kind", kind, "This cannot be entered.") unless Sewing::Entry::KINDS.include?(kind)

        Sewing::Entry.new(id: id.downcase, kind: kind, happened_at: happened(body), about: body["about"]&.downcase, step: body["step"],
                          at: place("at", body["at"]), opening: opening(kind, body),
                          done_with: done_with(kind, body), moves: moves(body["moves"]), note: note(body),
                          swatch: kind == "swatch" ? swatch(body) : nil)
      end

      # A test hole that a machine reports by itself.
      #
      # @param id [String]
      # @param with [Hash{String => Object}] what it was sewn with
      # @param report [#measured, #passes, #looks] what it says of itself
      # @param again [String, nil] the one that is looked at again
      # @return [Sewing::Entry]
      def simulated(id, with, report, again: nil)
        seen = { passes: report.passes, measured: report.measured, symptoms: [], looks: report.looks, again: again }
        Sewing::Entry.new(id: id, kind: "swatch", happened_at: @now, done_with: with, swatch: sewn(with, **seen))
      end

      private

      # Whose clock is wrong does not matter: only how long ago it was, when it was sent, does.
      def happened(body)
        sent, happened = %w[sent_at happened_at].map { |name| Time.iso8601(body.fetch(name)) }
        @now - (sent - happened).clamp(0, LONGEST_WAIT)
      rescue ArgumentError
        raise Refusal.field("journal.happened_at", body["happened_at"].to_s[0, 40], "Write a time such as 2026-11-25T12:00:00Z.")
      end

      # A hole whose slit was measured is as long as that.
      def opening(kind, body)
        measured = kind == "hole_sewn" && typed(body)
        measured || place("opening", body["opening"])
      end

      # What went wrong, and what was measured then.
      def done_with(kind, body)
        with = values("with", body["with"])
        return with unless kind == "mishap"

        what = with[Sewing::Entry::WHAT]
        raise Refusal.field("journal.with", what.to_s[0, 40], "Nobody knows this mishap.") unless Sewing::MISHAPS.key?(what)

        { **with, Sewing::Entry::MEASURED => typed(body) }.compact
      end

      # @return [Length, nil] as it was measured
      def typed(body)
        text = body["measured"].to_s.strip
        text.empty? ? nil : Typing::Notation.read(text, unit: @unit, field: "journal.measured")
      end

      def place(name, text)
        return if text.nil?
        raise Refusal.field("journal.#{name}", text.to_s[0, 40], "Write millimetres, such as 118.5.") unless text.match?(LENGTH)

        Length.new(text.to_r)
      end

      def values(name, given)
        given.to_h.to_h do |path, value|
          sound = path.length <= 60 && figure?(value)
          raise Refusal.field("journal.#{name}", path.to_s[0, 40], "This is no figure a step is done with.") unless sound

          [path, PlainValue.load(value)]
        end
      end

      # A length, a key or a number, or nothing.
      def figure?(value) = value.is_a?(Hash) ? value["mm"].to_s.match?(LENGTH) : value.to_s.length <= LONGEST_VALUE

      def moves(given)
        strange = given.to_h.keys - MACHINE_PARTS.keys
        raise Refusal.field("journal.moves", strange.first[0, 40], "A machine has no such part.") if strange.any?

        values("moves", given)
      end

      def note(body) = Field.clean(body["note"])[0, LONGEST_NOTE]

      # What was set comes back as it was given out; what was seen is checked.
      def swatch(body)
        set = values("with", body["with"])
        measured = body["measured"].to_s.strip
        sewn(set, passes: body["passes"], symptoms: body.fetch("symptoms", []).uniq, looks: body.fetch("looks", {}), note: note(body),
                  again: body["again"]&.downcase,
                  measured: if measured.empty?
                              nil
                            else
                              Typing::Notation.read(measured, unit: @unit, field: "swatch.measured")
                            end)
      end

      def sewn(set, **seen)
        Swatches::Swatch.new(
          opening: set.fetch("opening.length"), stitch_width: set.fetch("recipe.stitch_width"),
          stitch_length: set.fetch("recipe.stitch_length"), tension: set.fetch("recipe.tension").to_r,
          stabiliser: set.fetch("recipe.stabiliser"), sewn_with: set, **seen
        ).validate
      rescue KeyError => e
        raise Refusal.field("journal.with", e.key.to_s, "A test hole says what it was sewn with.")
      end
    end
  end
end
