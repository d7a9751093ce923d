# frozen_string_literal: true

# sewing: the steps in order with the figures they are done with, how far they are done, and the
# machine ledger.

require_relative "../field/field"
require_relative "../field/plain_value"
require_relative "figures"
require_relative "step_words"

module NimbleEyelet
  module View
    module SewingView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash, nil] nothing while the holes do not fit
      def self.of(sheet, present)
        progress = sheet.progress or return
        { steps: progress.steps.map do |step|
          step(step, progress, sheet, present)
        end, next: progress.next_key, cutting: cutting(sheet, present),
          sewn: sheet.layout.holes.count(&:sewn), done: progress.done.size, passed_over: progress.passed_over.size,
          newest: progress.steps.map(&:key).reverse.find { |key| progress.done.include?(key) } }
      end

      # @return [String, nil] what is to be done next
      def self.next(sheet, present)
        progress = sheet.progress or return
        progress.steps.find { |step| step.key == progress.next_key }&.then { |step| StepWords.of(step, present)[:does] }
      end

      def self.cutting(sheet, present)
        slit = sheet.opening
        ends = sheet.cut.ends
        { **blade(sheet.cut_line), slit: present.length(slit), from: -ends.near.to_f, to: (slit + ends.far).to_f,
          eye: ends.eye.to_f, ends: sheet.recipe.width(slit).to_f }
      end

      # Where pins lie or a chisel bites.
      def self.blade(line)
        bites = line.tool == "chisel" ? line.cuts : []
        { tool: line.tool, says: line.says, hangs: line.hangs, pins: line.pins.map(&:to_f),
          bites: bites.map { |bite| { from: bite.from.to_f, to: bite.to.to_f } } }
      end

      # @return [String] for the knot
      def self.short(sheet, _present)
        holes = sheet.layout&.holes or return "waits"
        "#{holes.count(&:sewn)} of #{holes.size}"
      end

      # @param ledger [Ledger]
      # @return [Array<Hash>]
      def self.ledger(ledger, present)
        ledger.entries.map { |entry| set(entry, present) }
      end

      # One thing of the machine that is away from its usual.
      def self.set(entry, present)
        { key: entry.part.key, name: entry.name, now: present.words(entry.part.called(entry.now)),
          neutral: entry.part.neutral, back: entry.part.back }
      end

      def self.step(step, progress, sheet, present)
        { key: step.key, part: step.part, **StepWords.of(step, present), caution: step.caution,
          done: progress.done.include?(step.key),
          passed_over: progress.passed_over.include?(step.key), entry: sheet.facts.entry_of(step)&.id,
          enter: enter(step, sheet.facts.id_for(step)), **through(step, sheet),
          outdated: progress.outdated.fetch(step.key, []).map { |difference| outdated(difference, present) } }
      end

      # How the button went through the hole that is open then.
      def self.through(step, sheet)
        { opens: step.opens?, through: (sheet.facts.through(step.figures["hole.at"]) if step.opens?) }
      end

      # What is handed back when the step is done.
      #
      # @param step [Work::Step]
      # @param id [String] what its fact will be called
      # @return [Hash]
      def self.enter(step, id)
        { id: id, kind: step.hole ? "hole_sewn" : "step", step: step.key, at: step.hole && Field.decimal(step.hole.at),
          opening: step.hole&.opening && Field.decimal(step.hole.opening), with: PlainValue.dump_all(step.figures),
          moves: PlainValue.dump_all(step.moves) }.compact
      end

      def self.outdated(difference, present)
        was, now = [difference.was, difference.now].map { |value| Figures.shown(difference.figure, value, present) }
        "#{Figures.label(difference.figure)}: done with #{was}, the plan says #{now}"
      end
      private_class_method :cutting, :blade, :step, :through, :outdated
    end
  end
end
