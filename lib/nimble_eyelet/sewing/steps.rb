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
require_relative "../work/operation"
require_relative "../work/step"
require_relative "../work/step_key"
require_relative "button_ends"
require_relative "button_steps"
require_relative "finishing"
require_relative "garment"
require_relative "hole_steps"
require_relative "other_way_steps"
require_relative "set_up"
require_relative "test_hole"

module NimbleEyelet
  module Sewing
    module Steps
      BACK = "Put the machine back"
      UNMARKED = "Take the marks out"
      # From this many holes on a row takes long.
      LONG_ROW = 8

      # @param order [SewingOrder]
      # @return [Array<Work::Step>]
      def self.of(order)
        work = worked(order)
        work += unmark(order)
        (work + put_back(work, order)) << note(order)
      end

      def self.worked(order)
        return OtherWaySteps.new(order).steps + ButtonSteps.new(order).steps if order.way

        order.buttons_first? ? buttons_first(order) : in_order(order)
      end

      # When everything is sewn, buttons and holes.
      def self.unmark(order)
        unmark = Work::Operation["take_marks_out", lasts: Work::Lasting.at("unmarked", order.layout.holes.map(&:at)),
                                                   says: order.cloth.unmark]
        last = order.opens? ? "open" : "seal"
        [Work::Step.of("unmark", block: order.buttons? && !order.buttons_first? ? "buttons" : last, operations: [unmark],
                                 part: order.opens? ? UNMARKED : Finishing::FINISHED)]
      end

      def self.in_order(order)
        OtherWaySteps.ready(order) + [*ROW, ButtonSteps].flat_map { |part| part.new(order).steps }
      end

      # What a finished edge gets first: needle, thread and stay, then its buttons; and what the row cannot be sewn with
      # goes back.
      def self.buttons_first(order)
        row = ROW.flat_map { |part| part.new(order).steps }
        before, after = row.partition { |step| BEFORE_BUTTONS.include?(step.name) }
        first = before + ButtonSteps.new(order).steps
        usual = Work::Step.needed(after).select { |_, state| state.nil? }.keys
        in_the_way = after_all(first).entries.select { |entry| usual.include?(entry.part.key) }
        first + in_the_way.map { |entry| back(entry.part, order.machine).with(part: ButtonEnds::BUTTONED) } + after
      end
      ROW = [SetUp, TestHole, Garment, HoleSteps, Finishing].freeze
      BEFORE_BUTTONS = %w[needle thread stabilise-buttons].freeze
      private_constant :ROW, :BEFORE_BUTTONS

      # @param part [MachinePart]
      # @param machine [Machine]
      # @return [Work::Step] that puts it back to neutral
      def self.back(part, machine)
        put_back = Work::Operation[part.hands_near ? "put_back_near" : "put_back", sets: Ledger.put_back(part),
                                   says: put_back_words(part, machine)]
        Work::Step.of(Work::StepKey.back(part).to_s, block: "end", part: BACK, operations: [put_back],
                                                     symptom: "If you leave it, your next seam goes wrong.")
      end

      # How this machine does it, where machines do it differently.
      def self.put_back_words(part, machine)
        case part.key
        when "memory" then "#{part.back} #{machine.forget_words.capitalize}."
        when "cycle" then machine.reset_words ? "Back to the start: #{machine.reset_words}." : part.back
        else part.back
        end
      end

      def self.after_all(steps) = steps.reduce(Ledger.empty) { |state, step| state.changed(step.moves) }
      def self.put_back(work, order) = after_all(work).entries.map { |entry| back(entry.part, order.machine) }

      def self.note(order)
        note = Work::Operation["note", says: "Note what worked, and keep the scrap with it.",
                               hazards: order.count >= LONG_ROW ? %w[breaks] : []]
        Work::Step.of("note", block: "end", part: BACK, operations: [note])
      end
      private_class_method :worked, :put_back, :put_back_words, :note, :unmark, :in_order, :buttons_first, :after_all
    end
  end
end
