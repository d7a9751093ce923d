# frozen_string_literal: true

# opening: the slit by every school, the chosen one, and its verdict.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module OpeningView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(sheet, say)
        cut = sheet.cut
        { length: say.length(cut.length), overall: say.length(cut.overall), rounding: say.length(cut.rounding),
          ruler: cut.ruler.name, verdict: verdict(cut.verdict, say), ends: ends(cut.ends, say),
          answers: cut.answers.map { |answer| answer(answer, cut, say, sheet.settings.fetch(answer.school.key)) },
          setting: setting(sheet.settings.fetch(cut.chosen.school.key), say), foot: sheet.recipe.foot.value.name,
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
