# frozen_string_literal: true

# Diagnosis reads the test holes sewn so far: what is believed by now, how likely every hole of the row is
# right, and what to do next, in words that need no statistics.
#
#   diagnosis = Inference::Diagnosis.of(swatches, current, learned)
#   diagnosis.kind      # => :change
#   diagnosis.changes   # => [Swatches::Change, …], the first to be made first

require_relative "../memory"
require_relative "../opening/fit_belief"
require_relative "../value"
require_relative "axis"
require_relative "evidence"
require_relative "layers"
require_relative "../swatch/learned"
require_relative "../swatch/look"
require_relative "move_words"
require_relative "next_try"
require_relative "options"
require_relative "passes"
require_relative "prior"
require_relative "remarks"
require_relative "../swatch/symptom"
require_relative "troubleshooter"

module NimbleEyelet
  module Inference
    # kind - Symbol: :first (sew one), :others (all were sewn otherwise), :look_again, :look_on (not all was looked at),
    #   :contradiction, :change, :by_hand, :again (the same once more), :pending (what was asked for is set), :between
    #   or :sew_row
    # changes - Array<Swatches::Change>; row - Float, chance that every hole is right as the newest was set, or as it is
    #   set now
    # hole - Float, the chance that the next hole by itself is right
    # axes - Array<Axis>; beliefs - Beliefs or nil; surprise - Surprise or nil; remarks - Array<Sentence or String>
    # gate - Float, of the row; newest - Swatch or nil, the last that counts
    # stuck - Array<Symbol>, axes on which no mark is worth another hole
    class Diagnosis < Value.of(:kind, :changes, :row, :remarks, hole: 0.0, gate: ROW_GATE, axes: [], beliefs: nil,
                               surprise: nil, newest: nil, stuck: [])
      # @return [Swatches::Change, nil] the one to make when one thing is changed a swatch
      def change = changes.first

      # Two are equal when they say the same; what they rest on follows.
      def ==(other)
        other.is_a?(Diagnosis) && %i[kind changes row remarks newest].all? { |part| self[part] == other[part] }
      end

      def accept? = kind == :sew_row
      def pending? = kind == :pending

      # @param swatches [Array<Swatches::Swatch>] oldest first
      # @param current [Swatches::CurrentSettings]
      # @param learned [Swatches::Learned] from earlier closures
      # @param row [Array<Swatches::Swatch>] holes of the garment that were measured
      # @param memory [#of] that remembers what was believed after the holes before, by all it hangs on
      # @return [Diagnosis]
      def self.of(swatches, current, learned = Swatches::Learned.nothing, row: [], memory: NO_MEMORY)
        Diagnosing.new(swatches, current, learned, row, memory).diagnosis
      end
    end

    # Puts a diagnosis together.
    class Diagnosing
      OTHERS = "The test holes so far were sewn with another machine, foot, thread, fabric or style: sew one with this."
      # @param swatches [Array<Swatches::Swatch>]
      # @param current [Swatches::CurrentSettings]
      # @param learned [Swatches::Learned]
      # @param row [Array<Swatches::Swatch>]
      # @param memory [#of]
      def initialize(swatches, current, learned, row, memory)
        @memory = memory
        @row = row.select { |swatch| swatch.like?(current.set) }
        @current = current
        @learned = learned
        @like = swatches.select { |swatch| swatch.like?(current.set) }
        @looked = @like.map(&:looked)
        @others = swatches.any? && @like.empty?
        @newest = @looked.last
        @options = Options.new(current)
        @words = MoveWords.new(current, @options)
        @troubles = Troubleshooter.new(@looked, current) if @newest
      end

      # @return [Diagnosis]
      def diagnosis
        return made(@others ? :others : :first, changes: changes, remarks: @others ? [OTHERS] : []) unless @newest
        return made(:contradiction, remarks: contradictions) if contradictions.any?
        return made(:look_again, remarks: remarks) if surprise

        settled
      end

      private

      def settled
        return made(:between, changes: stuck_changes + changes, remarks: remarks) if tried.stuck.any?
        return made(:pending, remarks: remarks) if otherwise_set?
        return made(tried.kind, changes: changes, remarks: remarks) unless tried.kind == :by_hand

        made(unlooked.any? && @newest.clean? ? :look_on : :by_hand, changes: changes, remarks: remarks)
      end

      def made(kind, changes: [], remarks: [])
        Diagnosis.new(kind: kind, changes: changes, row: tried.row, hole: single, remarks: remarks, gate: gate, axes: axes,
                      beliefs: beliefs, surprise: surprise, newest: @newest, stuck: tried.stuck)
      end

      def single = axes.reduce(1.0) { |chance, axis| chance * chance(axis.key, axis.current, holes: 1) }

      def remarks = Remarks.new(@newest, @current, unlooked).all

      def gate = @current.cloth.type.perforates ? HOLE_STAYS_GATE : ROW_GATE

      def holes = @holes ||= @like.map { |swatch| Evidence.hole(swatch, @current) }

      # Before the newest, so that it can be surprising.
      def before = @before ||= believed([*of_row, *holes[0...-1]])

      # Each hole is learned from once: what was believed after the ones before it does not change by another one.
      def believed(seen)
        @memory.of([:believed, prior, seen]) do
          seen.empty? ? prior.beliefs : believed(seen[0...-1]).after(seen.last)
        end
      end

      def prior = @prior ||= Prior.of(@current, @learned)

      # What came out in the garment counts as much as on a scrap.
      def of_row = @row.map { |swatch| Evidence.hole(swatch, @current) }

      def beliefs
        @beliefs ||= if holes.empty?
                       before
                     else
                       @memory.of([:believed, prior, [*of_row, *holes]]) { before.after(holes.last) }
                     end
      end

      def surprise
        return @surprise if defined?(@surprise)

        @surprise = @newest && @newest.second.nil? ? before.surprise(holes.last) : nil
      end

      # As the newest was set; before the first, as it is set now.
      def axes = @axes ||= @options.axes.map { |key| axis(key, at(key)) }
      def at(key) = @newest ? known(key, @options.set_on(@newest, key)) : @options.now(key)

      # As it can be set now, so that it can be told how.
      def known(key, option) = @options.of(key, beliefs).find { |one| one == option } || option

      def axis(key, current)
        showings = @looked.map { |swatch| Showing.new(option: @options.set_on(swatch, key), seen: seen(key, swatch)) }
        Axis.new(key, options: options(key, current), current: current, showings: showings, right: key == :fit ? 2..3 : 2..2,
                      score: key == :fit ? method(:worth) : nil) { |option| chance(key, option) }
      end

      # A slit that was measured and is right is never made longer by a setting that is thought to make a shorter one.
      def options(key, current)
        all = @options.of(key, beliefs)
        return all unless key == :fit && @newest&.measured && @newest.right?("fit")

        all.reject do |option|
          turned = option.at.first - current.at.first
          (turned * (@words.length(option, beliefs) - @newest.measured.to_f)).negative?
        end
      end

      # Among near equals the opening wanted wins.
      def worth(option, chance)
        away = @words.away(option, beliefs)
        chance - (AWAY * away) - (away < @current.ruler.step.to_f ? 0 : WANTED_OTHERWISE)
      end
      # Off for every millimetre away from it, and for wanting another at all.
      AWAY = 0.02
      WANTED_OTHERWISE = 0.05
      private_constant :AWAY, :WANTED_OTHERWISE

      LOOKS_OF_AXIS = { fit: %w[fit], cover: %w[bead_away bead_back], tension: %w[tension], space: %w[space] }.freeze
      private_constant :LOOKS_OF_AXIS

      def seen(key, swatch) = LOOKS_OF_AXIS.fetch(key).map { |look| swatch.place(look) }

      def chance(key, option, holes: @current.holes)
        case key
        when :fit
          beliefs.fit.chance(option.at.first + @options.usual, Opening::SlitDemand.of(@current.passing), holes: holes)
        when :cover then cover_chance(*option.at, holes)
        when :tension then beliefs.tension.chance(option.at.first, holes: holes)
        else beliefs.space.chance(option.at.first, holes: holes)
        end
      end

      def cover_chance(away, back, holes)
        balance = @options.opposite? ? (back - away) / 2 : 0.0
        beliefs.cover.chance((away + back) / 2, balance: balance, holes: holes)
      end

      def tried
        @tried ||= NextTry.of(axes, gate: gate, sewn: @like.size, at_once: @current.pace == "one" ? 1 : nil,
                              faults: @newest ? !@newest.clean? || unlooked.any? : false,
                              taught: @newest ? [] : prior.taught)
      end

      # What was not looked at on the newest.
      def unlooked
        @unlooked ||= begin
          asked = Swatches.looks_of(@current.stitched, opens: @current.style.opens).map(&:key)
          (@options.axes.flat_map { |key| LOOKS_OF_AXIS.fetch(key) } & asked).select { |look| @newest.place(look).nil? }
        end
      end

      # What the dials and the hands are to do, one an axis; what somebody did already is left out. What was seen beside
      # the dials comes before what would only be likelier.
      def changes
        by_rows = @newest ? @troubles.changes : Layers.as_before(@learned, prior, @current)
        first, second = tried.kind == :by_hand ? [by_rows, by_dial] : [by_dial, by_rows]
        set = first.flat_map { |change| change.sets.keys }
        more = second.reject { |change| change.sets.keys.intersect?(set) }
        (first + more).reject { |change| !change.by_hand? && done?(change) }
      end

      def by_dial
        tried.moves.map { |move| told(move) }.uniq { |one| one.by_hand? ? one : one.sets }
      end

      def told(move)
        return Passes.twice if move.axis == :cover && second_pass?
        return Passes.once(move.axis) if single_pass?(move)

        axis = axes.find { |one| one.key == move.axis }
        @words.change(move, axis, beliefs, look: first_look(move.axis), hole: @newest)
      end

      # Whoever was taught so keeps the stitch where the cover is thin, and sews over it again.
      def second_pass? = @current.thin_cover == "second_pass" && @newest&.shows?("gappy") && !@newest.twice?

      # What was sewn twice and lies too thick, or leaves no room to cut, is sewn once before any dial is turned.
      def single_pass?(move)
        @current.twice && @newest&.twice? && %i[cover space].include?(move.axis) && Passes.too_thick?(@newest)
      end

      def first_look(axis) = @troubles&.first_look(symptom_of(axis))

      def symptom_of(axis)
        SYMPTOMS_OF_AXIS.fetch(axis, []).find { |word| @newest.shows?(word) }
      end
      SYMPTOMS_OF_AXIS = { cover: %w[gappy piled_up uneven_beads], tension: %w[bobbin_on_top loops_below],
                           space: %w[beads_touch gapes] }.freeze
      private_constant :SYMPTOMS_OF_AXIS

      def done?(change) = change.sets.all? { |path, value| @words.now(path) == value }

      # Somebody set it otherwise since: the next hole is to be sewn.
      def otherwise_set?
        turned = @options.axes.any? { |key| @options.now(key) != @options.set_on(@newest, key) }
        turned && changes.all?(&:by_hand?)
      end

      # No mark is worth another hole: the likeliest is named, and what is left to do by hand.
      def stuck_changes
        tried.stuck.map do |key|
          axis = axes.find { |one| one.key == key }
          row = symptom_of(key)
          @words.between(axis, row && @troubles.by_hand(row))
        end
      end

      def contradictions
        (@newest ? @newest.contradictions : []).map do |one, other|
          "#{Swatches::SYMPTOMS[one].name.capitalize} and #{Swatches::SYMPTOMS[other].name} are not seen on one hole: " \
            "look again, one side after the " \
            "other."
        end
      end
    end
  end
end
