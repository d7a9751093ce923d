# frozen_string_literal: true

# CarriedBeliefs is what the most alike earlier closure teaches of cover, tension, width and what the button
# wants: what is believed there, as far as both have it in common.
#
#   carried = CarriedBeliefs.of(learned.alike(…), machine)
#   carried.cover(0.40, 0.66).centre.first   # => -0.08, in logarithms of the coverage index

require_relative "../belief/band"
require_relative "../machine/offset"
require_relative "../opening/fit_belief"
require_relative "../recipe/density_choice"
require_relative "../style/style"
require_relative "../thread/cover_band"
require_relative "../thread/sewing_thread"
require_relative "beliefs"
require_relative "../swatch/learned"
require_relative "tension_dial"

module NimbleEyelet
  module Inference
    class CarriedBeliefs
      # @param alike [Swatches::Alike, nil]
      # @param machine [Machine] of the closure to come
      # @return [CarriedBeliefs]
      def self.of(alike, machine) = new(alike, machine)

      def initialize(alike, machine)
        @swatches = alike ? alike.swatches : []
        @shared = alike ? alike.shared : []
        @dial = TensionDial.new(machine)
        @opposite = machine.second_bead == "back"
      end

      # @return [Array<Symbol>] axes of which it says anything: another machine's dials say nothing of these
      def taught = [(:cover if beads.any?), *(%i[tension space] if @shared.include?(:machine))].compact

      # @param least [Float] coverage index
      # @param most [Float]
      # @return [CoverBand]
      def cover(least, most, opposite: @opposite)
        return CoverBand.prior(least, most, opposite: opposite) if beads.empty?

        before = @swatches.first
        aim = Recipes.cover_aim(Swatches::Learned.stitched(before), STYLES[before.sewn_with["recipe.style"]].corded)
        beads.reduce(CoverBand.prior(aim.least, aim.most, opposite: @opposite)) do |belief, swatch|
          covered(belief, swatch)
        end
             .carried(@shared, least, most, opposite: opposite)
      end

      # @return [Belief::Band]
      def tension
        plain = Belief::Band.prior(middle: Beliefs::TENSION_BELOW, deviation: Beliefs.deviation(Beliefs::TENSION_BY))
        return plain unless @shared.include?(:machine)

        learned = learn(plain, "tension") { |swatch| @dial.units(swatch.tension) }
        learned.carried(shared: Beliefs.share(Beliefs::TENSION_BY, @shared))
      end

      # @param wanted [Float] mm, by the rules
      # @return [Belief::Band]
      def space(wanted)
        deviation = Beliefs.deviation(Beliefs::SPACE_BY)
        before = @swatches.first&.sewn_with&.fetch("recipe.width_wanted", nil)
        return Belief::Band.prior(middle: wanted, deviation: deviation) unless before && @shared.include?(:machine)

        learn(Belief::Band.prior(middle: before.to_f, deviation: deviation), "space") { |swatch| swatch.stitch_width.to_f }
          .carried(shared: Beliefs.share(Beliefs::SPACE_BY, @shared), middle: wanted)
      end

      # What the button wants beyond what is reckoned.
      #
      # @param fold [Float] mm; length [Float] mm, about
      # @param demand [Opening::SlitDemand] of the closure to come
      # @return [Array(Float, Float), nil] mean and variance
      def want(fold, length, demand)
        return if tried.empty?

        first = Opening::FitBelief.prior(offset: Offset.prior(set: length), fold: fold, length: length)
        tried.reduce(first, :after).carried(fold: fold, length: length, same_cloth: @shared.include?(:cloth),
                                            same_button: same_button?(demand))
      end

      # Two buttons that ask exactly the same of a slit are two of one card.
      #
      # @param demand [Opening::SlitDemand] of the closure to come
      # @return [Boolean] whether it was tried there
      def same_button?(demand)
        tried.any? && tried.all? do |one|
          one.demand.to_a.zip(demand.to_a).all? { |there, here| (there - here).abs < NO_DIFFERENCE }
        end
      end

      # What was asked of a hole when it was sewn.
      #
      # @param swatch [Swatches::Swatch]
      # @return [Opening::SlitDemand, nil] where that was not kept
      def self.demand(swatch)
        need, give, slips = swatch.sewn_with.values_at("slit.need", "slit.give", "slit.slips")
        Opening::SlitDemand.new(need: need.to_f, give: give.to_f, slips: slips.to_f) if need && give && slips
      end

      private

      def beads = @swatches.select { |swatch| swatch.place("bead_away") || swatch.place("bead_back") }

      def covered(belief, swatch)
        fibre, tex = swatch.sewn_with.values_at("thread.fibre", "thread.tex")
        thickness = SewingThread.new(fibre: fibre, tex: tex.to_r).thickness
        second = swatch.twice? ? CoverBand::SECOND_PASS : 0.0
        belief.after(cover: Math.log((thickness / swatch.stitch_length).to_f) + second,
                     balance: swatch.balance * CoverBand::NOTCH, away: swatch.place("bead_away"),
                     back: swatch.place("bead_back"))
      end

      def tried = @tried ||= @swatches.filter_map { |swatch| fit_tried(swatch) }

      def fit_tried(swatch)
        demand = CarriedBeliefs.demand(swatch)
        # What a button seemed to want whose thickness was a guess says nothing of the next one.
        return if demand.nil? || swatch.sewn_with.key?("slit.doubt") || !swatch.measured || !swatch.passes

        Opening::FitTried.new(set: Swatches::Learned.set(swatch), reading: swatch.measured.to_f, reading_spread: Swatches::Learned.spread(swatch),
                              seen: swatch.place("fit"), demand: demand)
      end

      # Mm; lengths are kept to a hundredth.
      NO_DIFFERENCE = 0.01
      private_constant :NO_DIFFERENCE

      def learn(belief, look)
        @swatches.reduce(belief) do |so_far, swatch|
          seen = swatch.place(look)
          seen ? so_far.after(at: yield(swatch), seen: seen) : so_far
        end
      end
    end
  end
end
