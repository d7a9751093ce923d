# frozen_string_literal: true

# opening: the slit by every school, the chosen one, and its verdict.

require_relative "say"

module NimbleEyelet
  module Api
    module OpeningView
      # @param sheet [Sheet]
      # @param say [Say]
      # @return [Hash]
      def self.of(sheet, say)
        cut = sheet.cut
        { length: say.length(cut.length), overall: say.length(cut.overall), rounding: say.length(cut.rounding),
          ruler: cut.ruler.name, verdict: verdict(cut.verdict, say), ends: ends(cut.ends, say),
          answers: cut.answers.map { |answer| answer(answer, cut, say) },
          bands: cut.bands.to_h { |key, length| [key, say.length(length)] }, asks: cut.chosen.school.asks,
          because: say.reasons(cut.chosen.because), cautions: say.cautions(cut.cautions) }
      end

      # @return [String] for the knot
      def self.short(sheet, say) = say.words(sheet.cut.length)

      def self.verdict(verdict, say) = { key: verdict.key, words: verdict.words, slack: say.length(verdict.slack) }

      def self.ends(ends, say)
        { near: say.length(ends.near), far: say.length(ends.far), near_name: ends.near_name, far_name: ends.far_name }
      end

      def self.answer(answer, cut, say)
        school = answer.school
        { school: school.key, name: school.name, assumes: school.assumes, fails: school.fails,
          exact: say.length(answer.exact), length: say.length(answer.length), overall: say.length(answer.overall),
          verdict: verdict(answer.verdict, say), chosen: answer.equal?(cut.chosen) }
      end
      private_class_method :verdict, :ends, :answer
    end
  end
end
