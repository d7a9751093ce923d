# frozen_string_literal: true

# What to do after the test holes so far, and why, in words that need no statistics.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "strip"

module NimbleEyelet
  module View
    module AdviceView
      # What is to be done, for whoever reads the first line only.
      HEADLINES = {
        first: "Sew one test hole first.", others: "Sew a test hole with what is set now.",
        look_on: "Look on: not everything was looked at.", look_again: "Look again before anything is changed.",
        contradiction: "Look again: both cannot be.", again: "It looked right. Sew the same once more.",
        pending: "Changed: sew the next one.", sew_row: "It is good. Accept it."
      }.freeze
      TWENTY = 20

      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        diagnosis = sheet.diagnosis
        said = sheet.plan.button.method(:of_sewn)
        { kind: diagnosis.kind, headline: headline(diagnosis, sheet, present),
          because: because(diagnosis, present)&.then(&said), row: row(diagnosis, sheet),
          changes: diagnosis.changes.map { |one| change(one, present) },
          remarks: diagnosis.remarks.map { |remark| said[present.words(remark)] },
          strips: StripView.of(sheet.strips, present), beliefs: StripView.beliefs(sheet.strips, present),
          again: diagnosis.kind == :look_again ? diagnosis.newest.id : nil }
      end

      def self.headline(diagnosis, sheet, present)
        if %i[change by_hand between].include?(diagnosis.kind) && diagnosis.changes.any?
          return present.words(diagnosis.changes.first.says)
        end
        return "Accepted: sew the row like this." if diagnosis.accept? && sheet.plan.accepted == diagnosis.newest.id

        sheet.plan.button.of_sewn(HEADLINES.fetch(diagnosis.kind, "Look at it again: nothing that can be set is left to change."))
      end

      ONCE = "One test hole that looks right may be luck: a second one with the same settings tells whether the row comes out."

      # Why, for the headlines that are no change.
      def self.because(diagnosis, present)
        case diagnosis.kind
        when :look_again then again(diagnosis.surprise, diagnosis.newest, present)
        when :again then ONCE
        when :first, :others then diagnosis.changes.any? ? "What was learned before speaks for a change before the first one." : nil
        end
      end

      AGAIN = { fit: "what was measured, or how it went through", cover: "how dense the two beads are",
                tension: "the edge of the beads", space: "the room between the beads" }.freeze

      def self.again(surprise, newest, present)
        what = "Nobody would have expected #{AGAIN.fetch(surprise.axis)} on swatch #{newest.number} after what was seen before"
        unless surprise.axis == :fit && newest.measured
          return "#{what}; a quick look is as likely. Look a second time, in daylight, before it is believed."
        end

        "#{what}: #{present.words(newest.measured)} was measured. The overall length taken for the slit, or a slit that is not " \
          "cut to its ends, is as likely. Measure a second time before it is believed."
      end

      # How likely the whole row is, and what it takes.
      def self.row(diagnosis, sheet)
        holes = sheet.layout&.holes&.size || 1
        { chance: diagnosis.row.round(3), in_twenty: twentieths(diagnosis.row), holes: holes,
          says: sheet.plan.button.of_sewn(row_says(diagnosis, holes)) }
      end

      def self.row_says(diagnosis, holes)
        all = holes == 1 ? "The hole comes" : "All #{holes} holes come"
        chance = "#{all} out right in #{twentieths(diagnosis.row)} of #{TWENTY}"
        wrong = diagnosis.axes.min_by(&:chance)
        "#{chance}; what most likely still goes wrong is #{WRONG.fetch(wrong.key)}. Look at each hole before the next."
      end
      WRONG = { fit: "the length", cover: "how dense the beads lie", tension: "the tension",
                space: "the room between the beads" }.freeze

      def self.twentieths(chance) = (chance * TWENTY).round.clamp(0, TWENTY - 1)

      def self.change(change, present)
        { axis: change.axis, sets: change.sets.transform_values { |value| typed(value, present) },
          says: present.words(change.says), because: present.reasons(change.because) }
      end

      # What has to be sent to make the change: exact, and independent of the person's unit.
      def self.typed(value, present) = value.is_a?(Length) ? "#{Field.decimal(value)}mm" : present.field(value)
      private_class_method :headline, :because, :again, :row, :row_says, :twentieths, :change, :typed
    end
  end
end
