# frozen_string_literal: true

# Evidence turns test holes into what the beliefs take: what each was set to, measured and seen, in their units.
#
#   before = Prior.of(current, learned).beliefs
#   beliefs = swatches.reduce(before) { |all, swatch| all.after(Evidence.hole(swatch, current)) }

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
                              demand: asked_of(swatch) || Opening::SlitDemand.of(current.passing),
                              reading: swatch.measured&.to_f,
                              reading_spread: Swatches::Learned.spread(swatch, step: current.ruler.step),
                              seen: swatch.place("fit"))
      end

      # As it was kept with the hole, unless the thickness was a guess then: of the same button more is known by now.
      def self.asked_of(swatch) = swatch.sewn_with.key?("slit.doubt") ? nil : CarriedBeliefs.demand(swatch)

      private_class_method :seen, :tried, :asked_of
    end
  end
end
