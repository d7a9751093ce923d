# frozen_string_literal: true

# opening: the slit by every school, the chosen one, and its verdict.

require_relative "say"

module NimbleEyelet
  module Api
    # Openings for what is no button: worked out as asked, nothing is kept.
    module OpeningRoutes
      def self.registered(app)
        app.post("/api/plain-openings") do
          plain = NonButton.fetch(body_hash.fetch("kind"))
          size = Typing::Notation.read(body_hash.fetch("size").to_s, unit: say.unit, field: "plain.size")
          ruler = Ruler.fetch(body_hash.fetch("ruler"))
          length = plain.opening(size, ruler)
          row = PlainForm.row(body_hash, say, opening: length, ruler: ruler)
          json({ opening: say.length(length), because: say.reasons(plain.because(size, ruler) + row.because), count: row.count,
                 pitch: say.length(row.pitch), places: row.places.map { |place| say.length(place) } })
        end
      end
    end

    # What is typed about a pair or a row of plain openings.
    module PlainForm
      # @return [Placket::NonButtonRow]
      # @raise [Refusal]
      def self.row(body, say, opening:, ruler:)
        span = body["span"].to_s.strip
        count = body["count"].to_s.strip
        Placket::NonButtonRow.of(body.fetch("arrangement", "single"), opening: opening, ruler: ruler,
                             span: span.empty? ? nil : Typing::Notation.read(span, unit: say.unit, field: "plain.span"),
                             count: count.match?(/\A\d{1,4}\z/) ? count.to_i : nil)
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
          answers: cut.answers.map { |answer| answer(answer, cut, say, sheet.settings.fetch(answer.school.key)) },
          setting: setting(sheet.settings.fetch(cut.chosen.school.key), say), foot: FOOT_KINDS.fetch(sheet.recipe.foot.value.kind),
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

      # @param setting [Opening::Setting]
      def self.setting(setting, say)
        { way: setting.by.key, name: setting.by.name, reads: setting.reads, figure: say.length(setting.figure),
          gives: say.length(setting.gives), overall: say.length(setting.overall),
          clicks: setting.clicks, pitch: say.length(setting.pitch), says: say.words(setting.says),
          cautions: say.cautions(setting.cautions) }
      end

      def self.answer(answer, cut, say, setting)
        school = answer.school
        { school: school.key, name: school.name, assumes: school.assumes, fails: school.fails,
          exact: say.length(answer.exact), length: say.length(answer.length), overall: say.length(answer.overall),
          verdict: verdict(answer.verdict, say), chosen: answer.equal?(cut.chosen), setting: say.words(setting.short),
          gives: say.length(setting.gives) }
      end
      private_class_method :verdict, :ends, :answer, :setting
    end
  end
end
