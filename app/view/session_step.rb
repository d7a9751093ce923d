# frozen_string_literal: true

# One step of a session, with everything that is handed back when it is done.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../memo"
require_relative "../presenter"
require_relative "figures"
require_relative "sewing"
require_relative "step_words"

module NimbleEyelet
  module View
    module SessionStepView
      BOBBIN = "Change the bobbin first: what is on it does not last for this hole."

      # A tick leaves most steps as they are, and their words with them.
      WORDS = Memo.new(2000)
      private_constant :WORDS

      # @param one [SessionStep]
      # @param ids [FactIds]
      # @param things [Things]
      # @param bobbin [Boolean] whether the bobbin has to be changed before it
      # @return [Hash]
      def self.of(one, ids, things, bobbin: false)
        unit = one.part ? one.part.sheet.plan.unit.to_sym : :mm
        words = WORDS.of(Memo::Itself.new(one.step, unit, bobbin)) { words(one.step, Presenter.new(unit), bobbin) }
        { id: one.id, closure: one.part&.key, block: one.block, **words,
          opens: one.step.opens?, sets_only: one.step.sets_only?, seconds: one.seconds.round,
          asks: asks(one), enter: entries(one, ids), mishaps: one.mishaps,
          ledger: things.numbers(one.ledger) }
      end

      def self.words(step, present, bobbin)
        { key: step.key, name: step.name, rescue: Work::StepKey.parse(step.key).mishap, turn: step.turn,
          part: step.part, **StepWords.of(step, present),
          caution: if bobbin
                     [step.part.start_with?("Tack") ? BOBBIN.sub("hole", "tack") : BOBBIN, step.caution].compact.join(" ")
                   else
                     step.caution
                   end, near: step.hazards.intersect?(%w[power wheel]),
          hole: step.figures["hole.at"]&.to_f,
          figure: figure(step, present), look: step.name == "look", dry_wait: step.name == "dry" }
      end

      # The one figure to hit, large: where the step itself says it so.
      SHOWN = { "place" => "hole.start", "open" => "opening.length", "punch" => "opening.length",
                "test-open" => "opening.length",
                "button-width" => "attach.width", "look" => "opening.length", "stabilise" => "stay.width", "cord" => "cord.length",
                "clamp" => "setting.figure", "mark" => "opening.length", "chalk" => "opening.length",
                "test-sew" => %w[opening.length setting.figure], "button" => "attach.shank", "spacer" => "attach.spacer" }.freeze

      def self.figure(step, present)
        does = [step.does, step.how].compact.map { |words| present.words(words) }.join(" ")
        shown = Array(SHOWN[step.name]).filter_map do |wanted|
          path = step.figures.keys.find { |key| key == wanted || key.start_with?("#{wanted}.") } or next
          { label: Figures.label(path), text: Figures.shown(path, step.figures[path], present) }
        end
        shown.find { |figure| does.include?(figure[:text]) }
      end

      # What is measured with this step, where a mishap asks for it.
      def self.asks(one)
        return unless one.block == "rescue"

        key = Work::StepKey.parse(one.step.key)
        entry = one.part.sheet.facts.mishaps.find { |mishap| key.out_of?(mishap.id) }
        entry && entry.mishap.way_out(one.part.material)[key.number - 1]&.asks
      end

      # Everything that is entered when it is done: what is so already first.
      def self.entries(one, ids)
        also = one.also.map { |part, step| { **SewingView.enter(step, ids.next(step, part)), closure: part.key } }
        whose = one.part ? { closure: one.part.key } : { kind: "machine_part" }
        at = asks(one) && one.step.figures["hole.at"]
        own = SewingView.enter(one.step, ids.next(one.step, one.part))
        also + [{ **own, **whose, **(at ? { at: Field.decimal(at) } : {}) }]
      end
      private_class_method :words, :figure, :asks, :entries
    end
  end
end
