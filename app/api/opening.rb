# frozen_string_literal: true

# opening: the slit by every school, the chosen one, and its verdict.

require_relative "say"

module NimbleEyelet
  module Api
    # Openings for what is no button: worked out as asked, nothing is kept.
    module OpeningRoutes
      def self.registered(app)
        app.post("/api/plain-openings") do
          plain = Opening::Plain.fetch(body_hash.fetch("kind"))
          size = Measure::Notation.read(body_hash.fetch("size").to_s, unit: say.unit, field: "plain.size")
          ruler = Measure::Ruler.fetch(body_hash.fetch("ruler"))
          length = plain.opening(size, ruler)
          json({ opening: say.length(length), because: say.reasons(plain.because(size, ruler)) })
        end
      end
    end

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
          if_it_gives: cut.if_it_gives(sheet.plan.button, sheet.plan.cloth)
                          .map { |stretch, verdict| { stretch: stretch, verdict: verdict(verdict, say) } },
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
