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
        look_on: "Look at the rest of it too.", look_again: "Look again before you change anything.",
        contradiction: "Look again: both cannot be true.", again: "It looks right. Sew the same once more.",
        pending: "Settings changed. Sew the next test hole."
      }.freeze
      # One hole that was wrong, where nothing else would be likelier to be right.
      CHANCE = "That may be chance. Sew the same once more."
      # A hole that looks right, by how likely the whole row is: the word is the same everywhere on the screen.
      READY = { good: "Good. Use these settings for the row.", usable: "Usable. Check every hole as you sew.",
                as_good: "As good as this machine gets. Check every hole." }.freeze
      # So many in 20 are good, and usable.
      GOOD = 15
      USABLE = 7
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
        return "These settings are in use. Sew the row." if diagnosis.accept? && sheet.plan.accepted == diagnosis.newest.id

        sheet.plan.button.of_sewn(told(diagnosis))
      end

      def self.told(diagnosis)
        return READY.fetch(readiness(diagnosis)) if diagnosis.accept?
        return CHANCE if diagnosis.kind == :again && !diagnosis.newest.clean?

        HEADLINES.fetch(diagnosis.kind, "Look at it again: nothing that can be set is left to change.")
      end

      # What does not come right more often than that was right twice all the same.
      def self.readiness(diagnosis) = how_likely(diagnosis.row).then { |word| word == :not_yet ? :as_good : word }

      ONCE = "One test hole that looks right may be luck. A second one with the same settings shows whether the row comes out."
      WRONG_ONCE = "No other setting is more likely to be right. If the next is wrong the same way, change it then."

      # Why, for the headlines that are no change.
      def self.because(diagnosis, present)
        case diagnosis.kind
        when :look_again then again(diagnosis.surprise, diagnosis.newest, present)
        when :again then diagnosis.newest.clean? ? ONCE : WRONG_ONCE
        when :first, :others then diagnosis.changes.any? ? "What was learned before speaks for a change before the first one." : nil
        end
      end

      AGAIN = { fit: "what was measured, or how it went through", cover: "how dense the two sides are",
                tension: "the edge of the sides", space: "the room between the sides" }.freeze

      def self.again(surprise, newest, present)
        test = "Test #{newest.number}"
        unless surprise.axis == :fit && newest.measured
          return "That's surprising: #{AGAIN.fetch(surprise.axis)} on #{test}. Look again in daylight before you change anything."
        end

        "That's surprising: #{test} measured #{present.words(newest.measured)}. Was that the overall length, or was an end " \
          "not cut? Measure again before you change anything."
      end

      # How likely the whole row is, and what it takes.
      def self.row(diagnosis, sheet)
        # A longer row is stopped by its first wrong hole like any.
        holes = [sheet.layout&.holes&.size || 1, Inference::LONGEST_ROW].min
        { chance: diagnosis.row.round(3), in_twenty: twentieths(diagnosis.row), holes: holes,
          says: sheet.plan.button.of_sewn(row_says(diagnosis, holes, sheet.layout&.holes.to_a.size > holes)) }
      end

      # The word first, the figure behind it; and what is least sure.
      def self.row_says(diagnosis, holes, more)
        likely = twentieths(diagnosis.row)
        words = LIKELY.fetch(diagnosis.accept? ? readiness(diagnosis) : how_likely(diagnosis.row))
        wrong = WRONG.fetch(diagnosis.axes.min_by(&:chance).key)
        return "#{words.first} (#{likely} in #{TWENTY}). Least sure: #{wrong}." if holes == 1

        "#{format(words.last, "#{more ? 'the first' : 'all'} #{holes} holes")} (#{likely} in #{TWENTY}). The next hole alone: #{twentieths(diagnosis.hole)} in " \
          "#{TWENTY}. Least sure: #{wrong}."
      end
      LIKELY = { good: ["Very likely to come right", "Very likely right for %s"],
                 usable: ["Usable: look at it closely", "Usable for %s: check every hole"],
                 not_yet: ["Not yet likely to come right", "Not yet right for %s"],
                 as_good: ["As good as this machine gets", "As good as this machine gets for %s: check every hole"] }.freeze

      def self.how_likely(chance)
        likely = twentieths(chance)
        return :good if likely >= GOOD

        likely >= USABLE ? :usable : :not_yet
      end
      WRONG = { fit: "the length", cover: "how dense the sides lie", tension: "the tension",
                space: "the room between the sides" }.freeze

      def self.twentieths(chance) = (chance * TWENTY).round.clamp(0, TWENTY - 1)

      def self.change(change, present)
        { axis: change.axis, sets: change.sets.transform_values { |value| typed(value, present) },
          says: present.words(change.says), because: present.reasons(change.because) }
      end

      # What has to be sent to make the change: exact, and independent of the person's unit.
      def self.typed(value, present) = value.is_a?(Length) ? "#{Field.decimal(value)}mm" : present.field(value)
      private_class_method :headline, :because, :again, :told, :readiness, :row, :row_says, :how_likely,
                           :twentieths, :change, :typed
    end
  end
end
