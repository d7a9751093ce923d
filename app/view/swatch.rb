# frozen_string_literal: true

# swatch: what to sew as a test, what was seen, what is believed by now, and what to do next.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/plain_value"
require_relative "figures"
require_relative "swatch_book"

module NimbleEyelet
  module View
    module SwatchView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        { to_sew: to_sew(sheet, present), with: PlainValue.dump_all(sheet.sewn_with), log: log(sheet, present),
          frozen: frozen(sheet, present), stored: stored(sheet.stored),
          pace: sheet.plan.recipe.pace, by_photo: sheet.recipe.style.value.slit_between_sides?,
          looks: Swatches.looks_of(sheet.recipe.stitched, opens: sheet.plan.button.opens?).map do |look|
            look(look, sheet)
          end,
          symptoms: Swatches.further_symptoms(opens: sheet.plan.button.opens?).map do |symptom|
            symptom.to_h.slice(:key, :axis)
          end }
      end

      # @return [String] for the knot
      def self.short(sheet, _present) = "#{sheet.facts.swatches.size} sewn"

      # Every grade of every look as it lies at these settings, in whole micrometres.
      #
      # @param sheet [Sheet]
      # @return [Array<Hash>]
      def self.pictures(sheet)
        thickness = sheet.plan.thread.thickness.to_f
        LookPictures.of(sheet).map do |picture|
          { look: picture.look, grade: picture.grade,
            lines: picture.lines.map { |line| line.flatten.map { |figure| (figure * 1000).round } },
            box: picture.box.map { |figure| figure.round(3) }, thread: thickness, cover: picture.cover.round(3),
            bobbin: picture.bobbin,
            loops: picture.loops, button: picture.button, thick: picture.thick, slit: picture.slit&.round(3) }
        end
      end

      # @return [Hash, nil] that the recipe is held by a test hole, and what is otherwise by now
      def self.frozen(sheet, present)
        frozen = sheet.frozen or return
        { number: frozen.swatch.number, id: frozen.swatch.id, simulated: frozen.swatch.simulated,
          changes: frozen.changes.map { |change| Figures.change(change, present) } }
      end

      # @return [Array<String>] for a card: the test hole it goes by, and what changed since
      def self.held(sheet, present)
        found = frozen(sheet, present) or return []
        since = ", but otherwise since: #{found[:changes].join('; ')}" if found[:changes].any?
        ["Held by test hole #{found[:number]}#{since}."]
      end

      # The recent one that stands for a test, where the house works so.
      def self.stored(swatch) = swatch && { id: swatch.id, sewn_at: swatch.sewn_at.to_s }

      def self.to_sew(sheet, present)
        recipe = sheet.recipe
        { layers: layers(sheet.plan.cloth), opening: present.length(sheet.opening),
          overall: present.length(sheet.overall), set: present.words(sheet.setting.says),
          again: recipe.again_words(sheet.plan.machine.type), style: recipe.style.value.name,
          stabiliser: recipe.stay_words, **dials(recipe, sheet.plan.machine, present) }
      end

      def self.dials(recipe, machine, present)
        { stitch_width: machine.width_mark(recipe.stitch_width.value),
          stitch_length: machine.length_mark(recipe.stitch_length.value), tension: present.number(recipe.tension.value),
          balance: recipe.balance && recipe.balance_told }
      end

      def self.layers(cloth) = "#{cloth.layers} layers#{', with the interfacing' unless cloth.interfacing.zero?}"

      # Newest first, with what differed each time.
      def self.log(sheet, present)
        sheet.facts.swatches.map { |swatch| logged(swatch.looked, sheet.plan, present) }.reverse
      end

      def self.logged(swatch, plan, present)
        { id: swatch.id, number: swatch.number, passes: swatch.passes, measured: present.length(swatch.measured),
          symptoms: swatch.shown,
          looks: swatch.looks, note: swatch.note, accepted: swatch.id == plan.accepted,
          drawn: SwatchBookView.drawn(swatch), simulated: swatch.simulated, again: !swatch.second.nil?,
          sewn_at: swatch.sewn_at.to_s, **set(swatch, present) }
      end

      def self.set(swatch, present)
        { opening: present.length(swatch.opening), set: present.length(swatch.hands), set_word: swatch.hands_word,
          stitch_width: present.dial(swatch.stitch_width), stitch_length: present.dial(swatch.stitch_length),
          balance: swatch.balance, tension: present.number(swatch.tension), stabiliser: swatch.under }
      end

      def self.look(look, sheet)
        through = look.key == "fit" && sheet.plan.button.opens?
        { key: look.key, axis: look.axis, grades: look.grades.map { |grade| { key: grade.key, name: grade.name } },
          question: through ? "How does the #{sheet.plan.button.form.noun} go through?" : look.question }
      end
      private_class_method :stored, :to_sew, :dials, :layers, :log, :logged, :set, :look
    end
  end
end
