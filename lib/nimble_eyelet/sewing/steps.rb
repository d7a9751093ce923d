# frozen_string_literal: true

# Steps writes down the whole row in order, for one machine and one closure: set the machine, test, back
# to the first part, make the garment ready, sew every hole with its resets, open, sew the buttons, put
# the machine back, note it.
#
#   steps = Sewing::Steps.of(order)
#   steps.map(&:key)     # => ["needle", "thread", "foot", ...]
#
# Whatever a step moves away from neutral, a later step puts back: the last ones are read off the
# ledger, so none can be forgotten.

require_relative "../machine/ledger"
require_relative "button_ends"
require_relative "button_steps"
require_relative "finishing"
require_relative "garment"
require_relative "hole_steps"
require_relative "set_up"
require_relative "step"
require_relative "step_key"
require_relative "test_hole"

module NimbleEyelet
  module Sewing
    module Steps
      BACK = "Put the machine back"
      # From this many holes on a row takes long.
      LONG_ROW = 8

      # @param order [SewingOrder]
      # @return [Array<Step>]
      def self.of(order)
        work = order.buttons_first? ? buttons_first(order) : in_order(order)
        ledger = work.reduce(Ledger.empty) { |state, step| state.changed(step.moves) }
        (work + put_back(ledger, order)) << note(order)
      end

      def self.in_order(order) = [*ROW, ButtonSteps].flat_map { |part| part.new(order).steps }

      # What a finished edge gets first: needle, thread and stay, then its buttons, and what kept the cloth from feeding away again.
      def self.buttons_first(order)
        row = ROW.flat_map { |part| part.new(order).steps }
        before, after = row.partition { |step| BEFORE_BUTTONS.include?(step.key) }
        first = before + ButtonSteps.new(order).steps
        ledger = first.reduce(Ledger.empty) { |state, step| state.changed(step.moves) }
        fed = ledger.entries.select { |entry| FEEDING.include?(entry.part.key) }
        first + fed.map { |entry| back(entry.part, order.machine).with(part: ButtonEnds::BUTTONED) } + after
      end
      ROW = [SetUp, TestHole, Garment, HoleSteps, Finishing].freeze
      BEFORE_BUTTONS = %w[needle thread stabilise-buttons].freeze
      FEEDING = %w[feed_dogs cover_plate].freeze
      private_constant :ROW, :BEFORE_BUTTONS, :FEEDING

      # @param part [MachinePart]
      # @param machine [Machine]
      # @return [Step] that puts it back to neutral
      def self.back(part, machine)
        forget = part.key == "memory" ? " #{machine.forget_words.capitalize}: that is another thing than going back to the first part." : ""
        Step.new(key: StepKey.back(part).to_s, part: BACK, does: "#{part.back}#{forget}", moves: Ledger.put_back(part),
                 symptom: "Left as it is, next week's seam is ruined.", hazards: part.hands_near ? %w[power] : [])
      end

      def self.put_back(ledger, order) = ledger.entries.map { |entry| back(entry.part, order.machine) }

      def self.note(order)
        Step.new(key: "note", part: BACK, does: "Note what worked, and keep the scrap with it.",
                 hazards: order.count >= LONG_ROW ? %w[pins breaks] : %w[pins])
      end
      private_class_method :put_back, :note, :in_order, :buttons_first
    end
  end
end
