# frozen_string_literal: true

# The first answer to one line: what was understood, what it comes to, and what was assumed for it.

require_relative "../../lib/nimble_eyelet"
require_relative "drawn_edge"
require_relative "opening"
require_relative "recipe"

module NimbleEyelet
  module View
    module FirstAnswer
      # What can be changed at once, in the order in which it decides most; a thickness nobody measured stands
      # first.
      CHIPS = %w[button.thickness button.diameter button.shape button.attachment cloth.kind cloth.layers placket.run_length
                 placket.extension placket.orientation placket.count recipe.way].freeze
      THICKNESS = "button.thickness"
      # What a chip calls it, where a label alone would not do.
      CALLED = { FirstSheet::GUESSED_EXTENSION => "centre line to edge" }.freeze
      # Where it may gape or lies too near the edge; Placement has all of them.
      MOST_CAUTIONS = 2
      SETTINGS = %w[stitch_width stitch_length].freeze

      # @param taken [Form::RequestForm::Taken]
      # @param first [FirstSheet, nil] nothing where it comes to none
      # @param faults [Array<Fault>]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(taken, first, faults, present)
        { understood: taken.request.findings.map { |one| finding(one) },
          unread: taken.request.unread.map do |span|
            { from: span.from, to: span.to, text: taken.request.text[span.from...span.to] }
          end,
          garment: taken.garment, part: taken.plan.name, machine: machine(taken),
          chips: chips(taken, first&.plan || taken.plan, present),
          faults: faults.map { |fault| { field: fault.field, allowed: present.words(fault.allowed) } },
          answer: first&.sheet&.layout && answer(first, present) }
      end

      def self.finding(one) = { from: one.span.from, to: one.span.to, kind: one.kind, meant: one.meant }

      def self.machine(taken)
        { id: taken.machine.id, name: taken.machine.name, assumed: taken.origin("machine.id") == "usual" }
      end

      def self.chips(taken, plan, present)
        paths = CHIPS.select { |path| asked?(path, plan) }
        paths.delete(FirstSheet::GUESSED_EXTENSION) if as_usual?(taken, plan)
        rows = paths.map do |path|
          guess = path == THICKNESS && plan.button.guessed?
          chip(path, guess ? present.words(plan.button.height) : plan.at(path), taken.origin(path), present)
        end
        doubtful, rest = rows.partition { |row| row[:path] == THICKNESS && plan.button.guessed? }
        doubtful + rest
      end

      # Nobody asks how far the edge is where it is as everybody has it there.
      def self.as_usual?(taken, plan)
        path = FirstSheet::GUESSED_EXTENSION
        taken.guessed.include?(path) && plan.at(path) == taken.plan.at(path)
      end

      # Of a stud no button is asked, of a cord not how it is sewn on, and of a ball not how thick it is.
      def self.asked?(path, plan)
        button = plan.button
        return false if path.start_with?("button.") && Otherways.instead(plan.recipe.way)&.buttons == false

        { "button.attachment" => button.fastens?,
          "button.thickness" => button.form.measured?(:thickness), "recipe.way" => !plan.recipe.way.nil? }.fetch(path, true)
      end

      def self.chip(path, value, origin, present)
        field = ClosureFields.fetch(path)
        shown = field.choices&.fetch(value, value) || value
        { path: path, label: CALLED.fetch(path, field.label), origin: origin,
          text: value.nil? ? "by the rules" : present.typed(shown) }
      end

      def self.answer(first, present)
        sheet = first.sheet
        { length: present.length(sheet.opening), drawn: DrawnEdge.of(sheet), noun: sheet.sewn,
          **OpeningView.how_sure(sheet, present),
          **places(sheet.layout, present), **settings(sheet, present), way: sheet.way && way(sheet, present),
          **doubt(sheet.other_ways, present) }
      end

      # Why a hole is the wrong one here, and what can be taken instead at once.
      def self.doubt(ways, present)
        wrong = ways.wrong unless ways.chosen
        { doubt: present.words(wrong&.says),
          instead: Otherways::WAYS.values_at(*wrong&.offers).map { |way| { key: way.key, name: way.name } } }
      end

      def self.places(layout, present)
        { holes: layout.holes.size, first: present.length(layout.holes.first.at),
          measured_from: layout.run.measured_from, gap: present.length(layout.smallest_gap),
          widest: present.length(layout.largest_gap),
          cautions: layout.cautions.map { |one| present.words(one.says) }.uniq.first(MOST_CAUTIONS) }
      end

      def self.settings(sheet, present)
        found = RecipeView.of(sheet, present)[:settings].to_h { |one| [one[:key], one] }
        dials = SETTINGS.map { |key| found.fetch(key).slice(:key, :label, :text, :dial) }
        { dials: dials, **%w[style needle stabiliser].to_h { |key| [key.to_sym, found.fetch(key)[:text]] } }
      end

      # What is closed by hand: its figures, for no machine is set.
      def self.way(sheet, present)
        chosen = sheet.way
        figures = chosen.figures(sheet.other_ways.given).values
        { name: chosen.name, opens: chosen.opens,
          figures: figures.map { |one| { label: one.name, text: present.words(one.value) } } }
      end
      private_class_method :finding, :machine, :chips, :as_usual?, :asked?, :chip, :answer, :doubt, :places, :settings,
                           :way
    end
  end
end
