# frozen_string_literal: true

# Troubleshooter goes through the rows of what is seen beside the dials: a likely cause each, in the order
# of its row, and a remedy that ends it. What was tried and did not help makes the other causes likelier,
# and is not asked for again.
#
#   Troubleshooter.new(swatches, current).changes   # => [Swatches::Change, …], one an axis

require_relative "../answer/reason"
require_relative "../belief/normal"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../swatch/change"
require_relative "../swatch/symptom"

module NimbleEyelet
  module Inference
    class Troubleshooter
      # Chance of the causes of a row in their order, the last for what is not in it.
      CAUSES = [0.6, 0.25, 0.1, 0.05].freeze
      # Top tension below the usual, in numbers of the dial: satin wants no less.
      MOST_LOWERED = 2
      # A remedy ends its cause so often.
      HELPS = 0.9

      # @param swatches [Array<Swatches::Swatch>] sewn with the same machine, foot, thread and cloth; oldest first
      # @param current [Swatches::CurrentSettings]
      def initialize(swatches, current)
        @swatches = swatches
        @newest = swatches.last
        @current = current
      end

      # @return [Array<Swatches::Change>] one an axis, for what was seen beside the dials
      # @raise [KeyError] for a symptom nobody knows
      def changes
        rows = Swatches::SYMPTOMS.fetch_values(*@newest.symptoms).reject { |symptom| Swatches::DIALLED.include?(symptom.axis) }
        rows.sort_by { |symptom| Swatches::AXES.index(symptom.axis) }.group_by(&:axis).map { |_, found| change(found.first) }
      end

      # What is to be done by hand where no dial helps any more.
      #
      # @param symptom [String] key
      # @return [Swatches::Change]
      def by_hand(symptom) = change(Swatches::SYMPTOMS.fetch(symptom), dials: false)

      # What to look at before a dial is turned: the first remedy of its row, where that is done by hand.
      #
      # @param symptom [String, nil] key
      # @return [String, Sentence, nil]
      def first_look(symptom)
        row = Swatches::SYMPTOMS[symptom] or return
        first = possible(row).first
        first.says if first && first.dial.nil? && earlier(row).empty?
      end

      private

      # The remedy that most likely helps for its time; each is asked for once, a dial as long as it leads somewhere.
      def change(symptom, dials: true)
        chances = causes(symptom)
        tried = tried(symptom)
        open = possible(symptom).reject { |remedy| tried.include?(remedy) || (remedy.dial && !dials) }
        open.sort_by { |remedy| -worth(symptom, remedy, chances) }.each do |remedy|
          made = remedy.dial ? turned(symptom, remedy) : by_hand_of(symptom, remedy)
          return made if made
        end
        nothing_left(symptom)
      end

      def possible(symptom) = symptom.remedies.select { |remedy| remedy.needs.nil? || remedy.needs.call(@current) }

      def worth(symptom, remedy, chances) = chances[place(symptom, remedy)] * HELPS / remedy.minutes

      # The cause a remedy ends: they stand in one order, the last remedies for the last cause.
      def place(symptom, remedy) = [symptom.remedies.index(remedy), symptom.causes.size - 1, CAUSES.size - 1].min

      # Tried and still there: the chance moves on.
      def causes(symptom)
        tried(symptom).reduce(CAUSES) do |chances, remedy|
          at = place(symptom, remedy)
          left = chances.each_with_index.map { |chance, index| index == at ? chance * (1 - HELPS) : chance }
          Belief::Normal.normalised(left)
        end
      end

      # What the earlier swatches that showed it were answered with, as far as that can be known: a dial that was
      # turned, else the next thing by hand.
      def tried(symptom)
        dials = symptom.remedies.filter_map(&:dial)
        hands = possible(symptom).select { |remedy| remedy.dial.nil? }
        turned = [*earlier(symptom), @newest].each_cons(2).count do |one, other|
          dials.any? { |dial| one[dial] != other[dial] }
        end
        hands.first([earlier(symptom).size - turned, 0].max)
      end

      def earlier(symptom) = @swatches[0...-1].select { |swatch| swatch.shows?(symptom.key) }

      def by_hand_of(symptom, remedy)
        Swatches::Change.new(axis: symptom.axis, says: remedy.says, because: [reason(symptom)])
      end

      def turned(symptom, remedy)
        remedy.dial == :stabiliser ? stayed(symptom, remedy) : dialled(symptom, remedy)
      end

      # Once per kind: something where there was nothing, then a second layer, then other remedies.
      def stayed(symptom, remedy)
        return if @newest.stay_layers > 1

        Swatches::Change.new(axis: symptom.axis, sets: { "recipe.stay_layers" => 2 },
                             says: "Add a second layer of stabiliser.", because: [reason(symptom, remedy.says)])
      end

      # One step of the dial, never to where it was seen already.
      def dialled(symptom, remedy)
        now = @newest[remedy.dial]
        to = stepped(remedy.dial, now, remedy.by)
        return if to.nil? || to == now
        return if @swatches.any? { |swatch| swatch[remedy.dial] == to && swatch.shows?(symptom.key) }

        Swatches::Change.new(axis: symptom.axis, sets: { "recipe.#{remedy.dial}" => to }, says: TurnWords.of(remedy.dial, now, to),
                             because: [reason(symptom, remedy.says)])
      end

      def stepped(dial, now, by)
        machine = @current.machine
        case dial
        when :stitch_length then (now + (machine.length_step * by)).then do |to|
          to if to.positive? && within_cover?(to)
        end
        when :stitch_width then (now + (machine.width_step * by)).then do |to|
          to if to.positive? && to <= machine.max_width
        end
        else (now + (machine.tension_step * by)).then do |to|
               to if to.between?([machine.neutral_tension - MOST_LOWERED, 0].max, machine.neutral_tension)
             end
        end
      end

      # No advice leaves the band of cover.
      def within_cover?(to)
        cover = @current.cover or return true
        @current.thread.coverage(to).between?(cover.least, cover.most)
      end

      def nothing_left(symptom)
        Swatches::Change.new(axis: symptom.axis, says: "You have tried everything. Keep the best of your tests, or ask somebody to look.", because: [reason(symptom)])
      end

      def reason(symptom, says = nil)
        Reason.new(rule: symptom.key, says: says || "Likely causes, in order: #{symptom.causes.join('; ')}.",
                   source: "your test holes")
      end
    end

    # How a dial is turned, in words and in the machine's own marks.
    module TurnWords
      VERBS = { stitch_length: %w[Shorten Lengthen], stitch_width: %w[Narrow Widen], tension: %w[Lower Raise] }.freeze
      NOUNS = { stitch_length: "the stitch", stitch_width: "the zigzag", tension: "the top tension" }.freeze

      # @param dial [Symbol]
      # @param from [Length, Rational]
      # @param to [Length, Rational]
      # @return [String]
      def self.of(dial, from, to)
        was, now = [from, to].map { |value| Wording.decimal(value.is_a?(Length) ? value.millimetres : value.to_r, 2) }
        "#{VERBS.fetch(dial)[to < from ? 0 : 1]} #{NOUNS.fetch(dial)} from #{was} to #{now}."
      end
    end
  end
end
