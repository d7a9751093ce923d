# frozen_string_literal: true

# Troubleshooter works out what to change for the newest of some test holes: fit first, then each axis
# in the order it is looked at, and within it the next remedy of the row that can be done here.

require_relative "../answer/reason"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "change"
require_relative "fit"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    class Troubleshooter
      # @param swatches [Array<Swatch>] sewn with the same machine, foot, thread and cloth; oldest first
      # @param current [CurrentSettings]
      def initialize(swatches, current)
        @swatches = swatches
        @newest = swatches.last
        @current = current
      end

      # @return [Array<Change>] one an axis
      # @raise [KeyError] for a symptom nobody knows
      def changes
        by_axis = SYMPTOMS.fetch_values(*@newest.symptoms).sort_by { |symptom| AXES.index(symptom.axis) }.group_by(&:axis)
        fit = Fit.new(@swatches, @current).change
        rest = by_axis.map { |_, symptoms| change(symptoms.first) }
        # A tight button often goes away with the rest: it comes last then.
        fit && @newest.passes == "tight" && rest.any? ? rest << fit : [fit, *rest].compact
      end

      private

      # The next remedy of the row: what was tried by hand is not asked for again, a dial is turned as long as it
      # leads somewhere.
      def change(symptom)
        spent = earlier(symptom).size - moves(symptom)
        possible = symptom.remedies.select { |remedy| remedy.needs.nil? || remedy.needs.call(@current) }
        possible.each do |remedy|
          if remedy.dial
            made = turned(symptom, remedy) and return made
          elsif spent.positive?
            spent -= 1
          else
            return by_hand(symptom, remedy)
          end
        end
        nothing_left(symptom)
      end

      def earlier(symptom) = @swatches[0...-1].select { |swatch| swatch.shows?(symptom.key) }

      # How often a dial of the row was turned between swatches that showed it.
      def moves(symptom)
        dials = symptom.remedies.filter_map(&:dial)
        [*earlier(symptom), @newest].each_cons(2).count { |one, other| dials.any? { |dial| one[dial] != other[dial] } }
      end

      def by_hand(symptom, remedy)
        Change.new(axis: symptom.axis, says: remedy.says,
                   because: [reason(symptom.key, "Likely causes, in order: #{symptom.causes.join('; ')}.")])
      end

      def turned(symptom, remedy)
        remedy.dial == :stabiliser ? stayed(symptom, remedy) : dialled(symptom, remedy)
      end

      # Once per kind: something where there was nothing, then a second layer, then other remedies.
      def stayed(symptom, remedy)
        return if @newest.stabiliser.to_s.include?(SECOND)

        to = "#{@newest.stabiliser}, #{SECOND}"
        Change.new(axis: symptom.axis, field: "recipe.stabiliser", from: @newest.stabiliser, to: to,
                   says: "Add a second layer of stabiliser.",
                   because: [reason("soft", remedy.says)])
      end

      SECOND = "and a second layer"
      private_constant :SECOND

      # One step of the dial, or half way to a setting that showed the opposite.
      def dialled(symptom, remedy)
        now = @newest[remedy.dial]
        to = stepped(remedy.dial, now, remedy.by)
        bound = opposite(symptom, remedy, now)
        to = between(remedy.dial, bound, now) if to && bound && (remedy.by.negative? ? to <= bound : to >= bound)
        return if to.nil? || to == now || seen_failing?(symptom, remedy.dial, to)

        Change.new(axis: symptom.axis, field: "recipe.#{remedy.dial}", from: now, to: to, says: words(remedy, now, to),
                   because: [reason(symptom.key, bound ? "#{remedy.says} The other way was too far, so try between." : remedy.says)])
      end

      def machine = @current.machine

      def stepped(dial, now, by)
        case dial
        when :stitch_length then (now + (machine.length_step * by)).then { |to| to if to.positive? && within_cover?(to, by) }
        when :stitch_width then (now + (machine.width_step * by)).then { |to| to if to.positive? && to <= machine.max_width }
        else (now + (machine.tension_step * by)).then { |to| to if to.between?(0, machine.neutral_tension + MOST_RAISED) }
        end
      end

      # No advice steps over the band: on a coarse dial the next mark may be wrong the other way.
      def within_cover?(to, by)
        cover = @current.cover or return true
        index = (@current.set.fetch("thread.diameter") / to).to_f
        by.negative? ? index <= cover.most : index >= cover.least
      end

      # Units of the dial above neutral: beyond, something else is wrong.
      MOST_RAISED = 3
      private_constant :MOST_RAISED

      # The nearest setting in that direction that showed the opposite.
      def opposite(symptom, remedy, now)
        return unless symptom.opposite

        seen = @swatches.select { |swatch| swatch.shows?(symptom.opposite) }.map { |swatch| swatch[remedy.dial] }
                        .select { |other| (other <=> now) == remedy.by }
        remedy.by.negative? ? seen.max : seen.min
      end

      def between(dial, bound, now)
        middle = (bound + now) / 2
        set = { stitch_length: -> { machine.length_settable(middle) }, stitch_width: -> { machine.width_settable(middle) },
                tension: -> { machine.tension_settable(middle) } }.fetch(dial).call
        [bound, now].include?(set) ? nil : set
      end

      def seen_failing?(symptom, dial, to) = @swatches.any? { |swatch| swatch[dial] == to && swatch.shows?(symptom.key) }

      def words(remedy, now, to)
        from, into = [now, to].map do |value|
          value.is_a?(Length) ? Wording.decimal(value.millimetres, 2) : Wording.decimal(value.to_r, 2)
        end
        verb = { stitch_length: %w[Shorten Lengthen], stitch_width: %w[Narrow Widen], tension: %w[Lower Raise] }.fetch(remedy.dial)
        what = { stitch_length: "the stitch", stitch_width: "the stitch width", tension: "the top tension" }.fetch(remedy.dial)
        "#{verb[remedy.by.negative? ? 0 : 1]} #{what} from #{from} to #{into}."
      end

      def nothing_left(symptom)
        Change.new(axis: symptom.axis, says: "Everything in reach was tried for this: keep the best of the swatches, " \
                                             "or ask somebody to look at it.",
                   because: [reason(symptom.key, "Likely causes, in order: #{symptom.causes.join('; ')}.")])
      end

      def reason(rule, says) = Reason.new(rule: rule, says: says, source: "your test holes")
    end
  end
end
