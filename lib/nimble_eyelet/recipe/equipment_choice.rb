# frozen_string_literal: true

# EquipmentChoice takes foot, needle, stabiliser and the tension move, each the best by points that can
# be had, or what a person chose.

require_relative "../answer/reason"
require_relative "../cloth/stabiliser"
require_relative "../length/wording"
require_relative "../machine/foot"
require_relative "../machine/needle"
require_relative "../older_words"
require_relative "foot_rules"
require_relative "needle_rules"
require_relative "stabiliser_rules"
require_relative "tension_rules"

module NimbleEyelet
  module Recipes
    class EquipmentChoice
      # @param situation [Situation]
      # @param overrides [Overrides]
      # @param style [Style]
      # @param stitched [Symbol]
      def initialize(situation, overrides, style, stitched)
        @situation = situation
        @overrides = overrides
        @style = style
        @stitched = stitched
        @machine = situation.machine
      end

      # @return [Hash{Symbol => Array<Score>}] by line of the recipe
      # @return [Hash{Symbol => Object}] its parts of a Recipe
      def lines
        { foot: foot, needle: needle, stabiliser: stabiliser, stay: stay, stay_layers: layers, tension: tension,
          tension_move: tension_move, balance: balance }
      end

      def scores = { foot: feet, needle: points, stabiliser: stays, tension: tensions }

      # @return [Decision] of a Foot
      def foot
        owned = @overrides.foot && @machine.foot(@overrides.foot)
        return Decision.of(owned, "your choice", "You chose it.", kind: :yours) if owned

        best = feet.find(&:possible?)
        found = @machine.foot(best.key) || Foot.new(kind: best.key)
        Decision.new(value: found, because: reasons(best), cautions: foot_cautions(found))
      end

      # @return [Decision] of a Needle
      def needle
        best = points.first
        wanted, through = Recipes.needle_sizes(@situation)
        size = wanted.clamp(through)
        own = @overrides.needle_size
        return Decision.of(Needle.new(size: own, point: best.key), "your choice", "You chose it.", kind: :yours) if own

        size_reason = Reason.new(rule: "thread", says: "Tex #{Wording.decimal(@situation.thread.tex.to_r, 1)} goes through " \
                                                       "#{through.min} to #{through.max}; " \
                                                       "fabric of #{@situation.cloth.weight} g/m² needs #{wanted}.")
        Decision.new(value: Needle.new(size: size, point: best.key), because: reasons(best) << size_reason,
                     cautions: thread_caution(size - wanted))
      end

      # @return [Stabiliser, nil] nothing where a person wrote their own
      def stay = own_stay.empty? ? stays.find(&:possible?).option : STABILISERS[own_stay]

      # @return [Decision] of an Integer, layers of the stabiliser
      def layers
        own = own_figures[OlderWords::LAYERS]
        return Decision.of(own.to_i, "your choice", "You chose it.", kind: :yours) if own

        Decision.of(1, "layers", "One is enough, unless a test hole puckers.")
      end

      # @return [Decision] of a String
      def stabiliser
        unless own_stay.empty?
          return Decision.of(said(Stabiliser.called(own_stay)), "your choice", "You chose it.",
                             kind: :yours)
        end

        found = stays.find(&:possible?)
        better = stays.take_while { |score| score != found }.select { |score| missing?(score) }.first(1)
        Decision.new(value: said(found.option.says), cautions: better.map { |score| not_owned(score.option) },
                     because: [Reason.new(rule: found.key, says: said(found.option.why)), *reasons(found)])
      end

      # @return [TensionMove]
      def tension_move
        move = picked_move
        own = @overrides.tension
        # What was set by hand is another move, unless it comes to the same.
        @stitched == :straight || (own && own != moved_by(move)) ? TENSION_MOVES.fetch("leave") : move
      end

      # @return [Decision] of a Rational, on the dial's marks
      def tension
        own = @overrides.tension
        return Decision.of(@machine.tension_settable(own), "your choice", "You set it.", kind: :yours) if own

        move = picked_move
        set = moved_by(move)
        Decision.of(set, "top tension",
                    taught?(move) ? taught_words : tension_words(move, @machine.neutral_tension - set,
                                                                 @machine.neutral_tension))
      end

      # @return [Decision, nil] of an Integer: notches of the balance toward the bead that is sewn toward you
      def balance
        return unless @machine.balance && @machine.second_bead == "back"
        return if @stitched == :straight || @style.by_hand || !@style.opens

        own = @overrides.balance
        return Decision.of(own, "your choice", "You set it.", kind: :yours) if own

        taught = @situation.experience.balance
        says = "Test holes with the same #{@situation.experience.shared} wanted it so."
        Decision.of(taught, "balance", taught.zero? ? "In the middle, until a test hole shows the two sides unlike." : says)
      end

      private

      def feet = @feet ||= Recipes.feet_ranked(@situation, @style)
      def points = @points ||= Recipes.points_ranked(@situation)
      def stays = @stays ||= Recipes.stabilisers_ranked(@situation)
      def tensions = @tensions ||= Recipes.tension_ranked(@situation, @stitched)

      # As the house does it, where this machine can; straight stitch wants nothing of it.
      def picked_move
        possible = tensions.select(&:possible?)
        wanted = possible.find { |score| score.option.key == @overrides.tension_by } unless @stitched == :straight
        (wanted || possible.first).option
      end

      def own_stay = own_figures[OlderWords::STABILISER].to_s

      def own_figures
        layers = @overrides.stay_layers ? { OlderWords::LAYERS => @overrides.stay_layers } : {}
        @own_figures ||= OlderWords.figures({ OlderWords::STABILISER => @overrides.stabiliser }).merge(layers)
      end

      def said(text) = @situation.button.of_sewn(text)

      def reasons(score) = score.reasons.map { |rule| Reason.new(rule: rule.name, says: rule.says) }

      # A sensing machine without its foot has to be watched.
      def foot_cautions(foot)
        return [] if foot.type.clamps || !@machine.type.senses || @stitched == :straight
        return [] if @style.by_hand || @style.round? || !@style.opens

        says = if @machine.foot("carriage_foot")
                 "The buttonhole foot cannot hold this."
               else
                 "No buttonhole foot is on record for " \
                   "#{@machine.name}."
               end
        [Caution.new(rule: "carriage", says: says,
                     instead: "Watch the marks of the #{foot.name}, or put in a piece of stiff card of the right length.")]
      end

      def thread_caution(larger)
        return [HEAVY_THREAD] if larger >= MUCH_LARGER || (@situation.fine? && @situation.thread.tex > FINE_THREAD)

        @situation.cloth.type.heavy_wear && @situation.thread.tex < STRONG_THREAD ? [LIGHT_THREAD] : []
      end
      # Tex up to which a thread lies well on fine fabric, and from which it holds where it is pulled.
      FINE_THREAD = 20
      STRONG_THREAD = 24
      HEAVY_THREAD = Caution.new(rule: "thread", says: "This thread is heavy for so fine a fabric.",
                                 instead: "Take a fine one: number 160 or more on the spool.")
      LIGHT_THREAD = Caution.new(rule: "thread", says: "This thread is fine for a fabric that is pulled hard.",
                                 instead: "Take a stronger one: number 75 on the spool, and a longer stitch.")
      private_constant :FINE_THREAD, :STRONG_THREAD, :HEAVY_THREAD, :LIGHT_THREAD

      # Better, and only not in the drawer.
      def missing?(score) = score.option.obstacle(@situation.cloth, STABILISER_KINDS.keys).nil?

      def not_owned(best)
        Caution.new(rule: "stabiliser", says: "Better for this fabric: #{best.says}.",
                    instead: "There is none in the drawer of: #{best.names}. Get some, or test twice.")
      end

      def tension_words(move, lower, neutral)
        return "Straight stitch wants the usual tension." if @stitched == :straight
        return "Thread the bobbin finger; the top stays at your usual #{plain(neutral)}. Never both." if move.key == "bobbin_finger"
        return "Your usual #{plain(neutral)}: there is nothing below it on the dial." if move.key == "leave"

        says = "#{plain(lower)} below your usual #{plain(neutral)}, so that the top thread rolls to the back."
        says += " Threading the bobbin finger instead would do; never both." if @machine.bobbin_finger
        says
      end

      # Where a move takes the dial.
      def moved_by(move)
        return @machine.neutral_tension unless move.key == "lower_top"

        taught = @situation.experience.tension.round(2).rationalize(1r / 1000)
        @machine.tension_settable(@machine.neutral_tension - TENSION_DROP + taught)
      end

      # More than half a step of the dial.
      def taught?(move) = move.key == "lower_top" && @situation.experience.tension.abs * 2 >= @machine.tension_step
      def taught_words = "Test holes with the same #{@situation.experience.shared} came out even about here."

      def plain(number) = Wording.decimal(number.to_r, 2)
    end
  end
end
