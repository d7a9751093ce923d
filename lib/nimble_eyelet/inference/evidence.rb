# frozen_string_literal: true

# Evidence turns test holes into what the beliefs take: what each was set to, measured and seen, in their
# units; and what was believed before the first.
#
#   beliefs = Evidence.prior(current, learned)
#   beliefs = swatches.reduce(beliefs) { |all, swatch| all.after(Evidence.hole(swatch, current)) }

require_relative "../machine/offset"
require_relative "../opening/fit_belief"
require_relative "second_look"
require_relative "beliefs"
require_relative "carried_beliefs"
require_relative "../swatch/learned"
require_relative "options"
require_relative "tension_dial"

module NimbleEyelet
  module Inference
    module Evidence
      # @param passing [Opening::Passing]
      # @return [Opening::SlitDemand]
      def self.demand(passing)
        Opening::SlitDemand.new(need: (passing.half_perimeter + passing.fold - passing.eye).to_f, give: passing.give.to_f,
                                slips: passing.slips_from.to_f)
      end

      # @param current [Swatches::CurrentSettings]
      # @param learned [Swatches::Learned] from earlier closures
      # @return [Beliefs] before the first hole of this one
      def self.prior(current, learned)
        carried = CarriedBeliefs.of(learned.alike(**alike(current), stitched: current.stitched), current.machine)
        cover = current.cover && carried.cover(current.cover.least, current.cover.most,
                                               opposite: Options.new(current).opposite?)
        Beliefs.new(fit: fit(current, learned, carried), cover: cover, tension: cover && carried.tension,
                    space: cover && carried.space(current.width_wanted.to_f))
      end

      # All that the prior hangs on.
      #
      # @return [Array<Object>]
      def self.hangs_on(current, learned)
        [learned.earlier, alike(current), current.stitched, current.machine, current.cover&.least, current.cover&.most,
         Options.new(current).opposite?, current.width_wanted, current.set["recipe.foot"], current.wanted, current.by, known(current), current.passing.fold]
      end

      # What an earlier closure is told alike by.
      def self.alike(current)
        { machine: current.set["machine.id"], fibre: current.set["thread.fibre"], tex: current.set["thread.tex"],
          structure: current.set["cloth.kind"] }
      end

      def self.fit(current, learned, carried)
        machine, foot, structure = current.set.values_at("machine.id", "recipe.foot", "cloth.kind")
        offset = learned.offset(machine: machine, foot: foot, structure: structure, set: current.wanted.to_f,
                                by: current.by, known: known(current))
        Opening::FitBelief.prior(offset: offset, fold: current.passing.fold.to_f, length: current.wanted.to_f,
                                 like: carried.want(current.passing.fold.to_f, current.wanted.to_f))
      end

      # What the owner says a carriage foot adds counts as one hole that was measured.
      def self.known(current)
        typed = current.foot.allowance
        typed && current.by == "clamp" ? typed.to_f - Offset::USUALLY_ADDED.fetch("clamp") : nil
      end

      # @param swatch [Swatches::Swatch]
      # @param current [Swatches::CurrentSettings] of the closure it was sewn for
      # @return [HoleSeen] looked at twice, both put together
      def self.hole(swatch, current)
        first = seen(swatch, current)
        return first unless swatch.second

        second = seen(swatch.second, current)
        [:fit, *SecondLook::LOOKED_AT.keys].reduce(first) do |hole, axis|
          axis == :fit ? SecondLook.fit(hole, second) : SecondLook.looks(hole, second, axis)
        end
      end

      def self.seen(swatch, current)
        cover, balance = Options.new(current).set_on(swatch, :cover).at.then do |away, back|
          [(away + back) / 2, (back - away) / 2]
        end
        HoleSeen.new(fit: tried(swatch, current), cover: cover, balance: balance,
                     tension: TensionDial.new(current.machine).units(swatch.tension), width: swatch.stitch_width.to_f,
                     away: swatch.place("bead_away"), back: swatch.place("bead_back"), edge: swatch.place("tension"),
                     space: swatch.place("space"))
      end

      def self.tried(swatch, current)
        return unless swatch.measured || swatch.passes

        Opening::FitTried.new(set: Swatches::Learned.set(swatch, by: current.by),
                              demand: CarriedBeliefs.demand(swatch) || demand(current.passing),
                              reading: swatch.measured&.to_f,
                              reading_spread: Swatches::Learned.spread(swatch, step: current.ruler.step),
                              seen: swatch.place("fit"))
      end

      private_class_method :alike, :fit, :known, :seen, :tried
    end
  end
end
