# frozen_string_literal: true

# Strip is a belief as a drawing shows it: a scale in the figures of the hands, what was tried on it and what
# that showed, and where what is right is now thought to lie.
#
#   Strip.all(diagnosis, swatches, current).map(&:key)   # => [:fit, :cover, :tension, :space]

require_relative "../length/length"
require_relative "../opening/fit_belief"
require_relative "../thread/cover_band"
require_relative "../value"
require_relative "../swatch/learned"
require_relative "../swatch/look"
require_relative "options"
require_relative "tension_dial"

module NimbleEyelet
  module Inference
    # at - Float; number - Integer of the swatch; seen - Symbol: :low, :right or :high; bead - String or nil
    StripDot = Value.of(:at, :number, :seen, bead: nil)

    # key - Symbol; name - String; from, to - Float, the ends of the scale
    # right - Array(Float, Float), where what is right is thought to lie; unsure - Float, how far either end may be off
    # now - Array(Float, Float), what comes of what is set now: from and to; dots - Array<StripDot>
    # chance - Float, that the next hole is right on this
    class Strip < Value.of(:key, :name, :from, :to, :right, :unsure, :now, :dots, :chance)
      SURELY = 0.95
      LIKELY = 0.8

      # @return [String] in one word
      def word
        return "surely" if chance >= SURELY

        chance >= LIKELY ? "likely" : "unsure"
      end

      # @param diagnosis [Diagnosis]
      # @param swatches [Array<Swatches::Swatch>] that count
      # @param current [Swatches::CurrentSettings]
      # @return [Array<Strip>]
      def self.all(diagnosis, swatches, current)
        diagnosis.beliefs ? Strips.new(diagnosis, swatches, current).all : []
      end
    end

    # Puts the strips of a diagnosis together.
    class Strips
      STRIP_NAMES = { fit: "Length of the slit", cover: "Stitch length", tension: "Top tension",
                      space: "Stitch width" }.freeze

      # @param diagnosis [Diagnosis]
      # @param swatches [Array<Swatches::Swatch>]
      # @param current [Swatches::CurrentSettings]
      def initialize(diagnosis, swatches, current)
        @beliefs = diagnosis.beliefs
        @swatches = swatches.map(&:looked)
        @current = current
        @options = Options.new(current)
        @dial = TensionDial.new(current.machine)
      end

      # How much longer a hole the button needs than was worked out, as its own test holes show, to what a ruler shows.
      #
      # @param beliefs [Beliefs]
      # @param swatches [Array<Swatches::Swatch>]
      # @return [Length]
      def self.wants(beliefs, swatches)
        swatches.empty? ? Length.zero : Length.mm(beliefs.fit.wanted.first).round_to(WANTS_TO)
      end
      WANTS_TO = Length.mm(1r / 4)
      private_constant :WANTS_TO

      # @return [Array<Strip>]
      def all = @options.axes.map { |key| send(key) }

      private

      # Slits between which the button goes through as it should.
      def fit
        added, deviation = @beliefs.fit.added
        next_slit = set_now + added
        strip(:fit, right_slits, [next_slit - (2 * deviation), next_slit + (2 * deviation)],
              @swatches.flat_map { |swatch| dot("fit", swatch, length_of(swatch, added)) },
              @beliefs.fit.chance(set_now, demand))
      end

      # Where they lie, and how far that may be off.
      def right_slits
        bands = @current.passing.bands(Strips.wants(@beliefs, @swatches))
        from = bands.fetch("snug")
        to = [bands.fetch("slips_out"), from + MOST_SLACK].min
        [from.to_f, to.to_f, Math.sqrt(@beliefs.fit.wanted.last) / demand.give]
      end
      # What never slips out is right as far as anybody draws it.
      MOST_SLACK = Length.mm(8)
      private_constant :MOST_SLACK

      def demand = @demand ||= Opening::SlitDemand.of(@current.passing)
      def set_now = @options.now(:fit).at.first + @options.usual
      def length_of(swatch, added) = swatch.measured&.to_f || (Swatches::Learned.set(swatch, by: @current.by) + added)

      # Stitch lengths between which both beads are full; the shorter the denser.
      def cover
        centre, variance = @beliefs.cover.centre
        middle = @beliefs.cover.middle + centre
        right = [1, -1].map { |side| stitch(middle + (side * @beliefs.cover.half)) }
        off = stitch(middle) * Math.sqrt(variance)
        balance = @options.opposite? ? @current.balance * CoverBand::NOTCH : 0.0
        strip(:cover, [*right, off], [@current.stitch_length.to_f] * 2, bead_dots,
              @beliefs.cover.chance(@options.cover(@current.stitch_length), balance: balance))
      end

      # Of as many passes as are sewn now.
      def stitch(log) = @current.thread.thickness.to_f / Math.exp(log - (@current.twice ? CoverBand::SECOND_PASS : 0.0))

      def bead_dots
        { "bead_away" => "away", "bead_back" => "back" }.flat_map do |look, bead|
          # A bead that is open lies on the long side of what is right.
          @swatches.flat_map { |swatch| dot(look, swatch, stitch_of(swatch), bead: bead, low: :high, high: :low) }
        end
      end

      # Where it would lie with as many passes as now.
      def stitch_of(swatch) = stitch(@options.cover(swatch.stitch_length, twice: swatch.twice?))

      def tension = band(:tension, @beliefs.tension, @current.tension) { |at| @dial.number(at) }
      def space = band(:space, @beliefs.space, @current.stitch_width) { |at| at }

      def band(key, belief, set)
        place, variance = belief.place
        right = [-1, 1].map { |side| yield(belief.middle + place + (side * belief.half)) }
        off = yield(belief.middle + Math.sqrt(variance)) - yield(belief.middle)
        strip(key, [*right, off], [set.to_f] * 2,
              @swatches.flat_map { |swatch| dot(key.to_s, swatch, figure(key, swatch)) },
              belief.chance(@options.now(key).at.first))
      end

      def figure(key, swatch) = key == :space ? swatch.stitch_width.to_f : swatch.tension.to_f

      def dot(look, swatch, at, bead: nil, low: :low, high: :high)
        place = swatch.place(look) or return []
        right = Swatches::LOOKS.fetch(look).right
        seen = if right.cover?(place) then :right
               else
                 place.end < right.begin ? low : high
               end
        [StripDot.new(at: at, number: swatch.number, seen: seen, bead: bead)]
      end

      # right - Array(Float, Float, Float), from, to, and how far either may be off
      def strip(key, right, now, dots, chance)
        *right, unsure = right
        ends = [*right, *now, *dots.map(&:at)].minmax
        room = [(ends[1] - ends[0]) * 0.2, unsure].max
        Strip.new(key: key, name: key == :fit && !@current.style.opens ? "Length of the tack" : STRIP_NAMES.fetch(key),
                  from: [ends[0] - room, 0].max, to: ends[1] + room, right: right,
                  unsure: unsure, now: now, dots: dots, chance: chance)
      end
    end
  end
end
