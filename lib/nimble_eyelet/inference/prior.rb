# frozen_string_literal: true

# Prior is all that is known of a closure before its first test hole, as one value: what is believed later hangs on it,
# on the holes, and on nothing else.
#
#   Prior.of(current, learned).beliefs   # => Beliefs before the first hole

require_relative "../machine/offset"
require_relative "../opening/fit_belief"
require_relative "../swatch/learned"
require_relative "../value"
require_relative "beliefs"
require_relative "carried_beliefs"
require_relative "options"

module NimbleEyelet
  module Inference
    # earlier - Array<Swatches::EarlierSwatch>; foot - String, key of FOOT_KINDS; allowance - Length or nil, as the
    #   owner knows it; by - String, key of SETTING_METHODS
    # alike - Hash{Symbol => Object}, what an earlier closure is told alike by; stitched - Symbol; machine - Machine
    # cover - Array(Float, Float) or nil, coverage index at least and at most; opposite - Boolean, the second side is
    #   sewn the other way
    # width, wanted, fold - Float, mm; doubt - Float, mm, for a button whose thickness is a guess
    # demand - Opening::SlitDemand
    class Prior < Value.of(:earlier, :alike, :stitched, :machine, :foot, :allowance, :cover, :opposite, :width, :wanted,
                           :by, :demand, :fold, :doubt)
      # @param current [Swatches::CurrentSettings]
      # @param learned [Swatches::Learned] from earlier closures
      # @return [Prior]
      def self.of(current, learned)
        machine, fibre, tex, structure = current.set.values_at("machine.id", "thread.fibre", "thread.tex", "cloth.kind")
        new(earlier: learned.earlier, alike: { machine: machine, fibre: fibre, tex: tex, structure: structure },
            stitched: current.stitched, machine: current.machine, by: current.by,
            foot: current.set["recipe.foot"], allowance: current.foot.allowance,
            cover: current.cover && [current.cover.least, current.cover.most], opposite: Options.new(current).opposite?,
            width: current.width_wanted.to_f, wanted: current.wanted.to_f,
            fold: current.passing.fold.to_f, demand: Opening::SlitDemand.of(current.passing),
            doubt: current.passing.doubt)
      end

      # @return [Beliefs]
      def beliefs
        Beliefs.new(fit: fit, cover: cover && carried.cover(*cover, opposite: opposite), tension: cover && carried.tension,
                    space: cover && carried.space(width))
      end

      # What earlier closures say something of: a length only where it was measured with this foot, or of the same
      # button.
      #
      # @return [Array<Symbol>] axes
      def taught
        length = offset.measured.positive? || carried.same_button?(demand)
        [(:fit if length), *carried.taught].compact
      end

      private

      def learned = Swatches::Learned.new(earlier)
      def carried = CarriedBeliefs.of(learned.alike(**alike, stitched: stitched), machine)

      def offset(known: nil)
        learned.offset(**alike.slice(:machine, :structure), foot: foot, set: wanted, by: by, known: known)
      end

      def fit
        Opening::FitBelief.prior(offset: offset(known: known), fold: fold, length: wanted, doubt: doubt,
                                 like: carried.want(fold, wanted, demand))
      end

      # What the owner says a carriage foot adds counts as one hole that was measured.
      def known
        allowance.to_f - Offset::USUALLY_ADDED.fetch("clamp") if allowance && by == "clamp"
      end
    end
  end
end
