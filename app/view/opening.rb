# frozen_string_literal: true

# opening: the slit by every school, the chosen one, and its verdict.

module NimbleEyelet
  module View
    module OpeningView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        cut = sheet.cut
        { **brief(sheet, present),
          wanted: present.length(cut.length), says: present.words(says(sheet)), ruler: cut.ruler.name,
          verdict: verdict(sheet.verdict, present),
          **how_sure(sheet, present),
          answers: cut.answers.map { |answer| answer(answer, cut, present, sheet.settings.fetch(answer.school.key)) },
          setting: setting(sheet.setting, present), foot: sheet.recipe.foot.value.name,
          bands: sheet.bands.to_h { |key, length| [key, present.length(length)] }, asks: cut.chosen.school.asks,
          if_it_gives: cut.if_it_gives(sheet.plan.button, sheet.plan.cloth, opening: sheet.opening)
                          .map { |stretch, verdict| { stretch: stretch, verdict: verdict(verdict, present) } },
          because: present.reasons(cut.chosen.because), cautions: present.cautions(cut.cautions) }
      end

      # What a drawing of the hole takes.
      #
      # @return [Hash]
      def self.brief(sheet, present)
        { length: present.length(sheet.opening), overall: present.length(sheet.overall),
          ends: ends(sheet.cut.ends, present), across: present.length(sheet.recipe.width(sheet.opening)) }
      end

      # How likely it fits. While nobody has measured the button it is between which lengths, and no chance.
      #
      # @return [Hash] range, chance: one of them nil
      def self.how_sure(sheet, present)
        from, to = LengthRange.of(sheet)
        return { range: nil, chance: chance(sheet) } unless from

        { range: { from: present.length(from), to: present.length(to) }, chance: nil }
      end

      # How likely it fits: as its own test holes tell, and by the rule until there are any.
      def self.chance(sheet)
        seen = sheet.seen_to_fit&.then { |chance| Opening::Verdict.twentieths(chance) }
        count = seen || sheet.verdict.in_twenty
        words = seen ? Opening::Verdict.to_fit(seen) : "#{Opening::Verdict.likely(count)} #{sheet.verdict.words}"
        { in_twenty: count, tested: !seen.nil?, words: words.capitalize }
      end

      # @return [String] for the knot
      def self.short(sheet, present) = present.words(sheet.opening)

      # The answer as somebody who sews would say it.
      def self.says(sheet)
        button = sheet.plan.button
        noun = button.form.noun
        least = sheet.cut.ruler.up(sheet.bands.fetch("snug"))
        return Sentence["Each tack is %s long.", sheet.opening] unless button.opens?
        return Sentence["Your #{noun} runs through a round hole of %s.", sheet.opening] if sheet.recipe.style.value.round?

        Sentence["Your #{noun} needs a slit of at least %s here; sew %s.", least, sheet.opening]
      end

      def self.verdict(verdict, present)
        { key: verdict.key, words: verdict.words, usable: verdict.usable?, slack: present.length(verdict.slack),
          in_twenty: verdict.in_twenty, passes_in_twenty: verdict.passes_in_twenty }
      end

      def self.ends(ends, present)
        { near: present.length(ends.near), far: present.length(ends.far), near_finish: ends.near_finish,
          far_finish: ends.far_finish, eye: present.length(ends.eye) }
      end

      # @param setting [Opening::Setting]
      def self.setting(setting, present)
        { way: setting.by.key, name: setting.by.name, reads: setting.reads, figure: present.length(setting.figure),
          gives: present.length(setting.gives), overall: present.length(setting.overall),
          clicks: setting.clicks, opened: present.length(setting.opened), stops: present.length(setting.stops),
          differs: setting.differs?, mark: present.words(setting.short),
          pitch: present.length(setting.pitch), says: present.words(setting.says),
          cautions: present.cautions(setting.cautions) }
      end

      def self.answer(answer, cut, present, setting)
        school = answer.school
        { school: school.key, name: school.name, assumes: school.assumes, fails: school.fails,
          length: present.length(answer.length), overall: present.length(answer.overall),
          verdict: verdict(answer.verdict, present), chosen: answer.equal?(cut.chosen),
          setting: present.words(setting.short), gives: present.length(setting.planned) }
      end
      private_class_method :chance, :says, :verdict, :ends, :answer, :setting
    end
  end
end
