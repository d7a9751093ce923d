# frozen_string_literal: true

# HiddenMachine is a machine nobody knows: it has a truth of its own, sews holes by it, and says what
# somebody with a ruler would measure and see, with noise and now and then without care. It differs from
# what the beliefs assume on purpose: half of its careless readings are the overall length taken for the
# slit, and an operator who stops late does so by a skewed amount.
#
#   machine = Simulation::HiddenMachine.drawn([Random.new(7)] * 4)
#   hole = machine.sew(order, random)
#   hole.right?                              # whether the button goes through and both beads are full …
#   machine.looked_at(hole, order, random)   # => SeenBySomebody

require_relative "../belief/answers"
require_relative "../belief/band"
require_relative "../belief/normal"
require_relative "../machine/offset"
require_relative "../opening/fit_belief"
require_relative "../opening/verdict"
require_relative "../thread/cover_band"
require_relative "../value"

module NimbleEyelet
  module Simulation
    # What the machine is told. set - Float, mm, what the hands set and is usually added; ends - Float, mm, both ends of
    # the stitches
    # demand - Opening::SlitDemand; cover - Float, ln k; balance - Float; tension - Float from the usual; width - Float,
    #   mm
    # middles - Hash of :cover, :tension, :space to Float, where right is usually found; scale - Float, of the band of
    #   cover
    # opposite - Boolean, the second bead is sewn the other way; operator - Boolean, somebody has to stop it
    # drawn - Boolean, it is sewn between lines, to which no machine adds
    MachineOrder = Value.of(:set, :ends, :demand, :cover, :balance, :tension, :width, :middles, scale: 1.0,
                            opposite: true, operator: false, drawn: false)

    # A hole as it is. length - Float, mm; off - Hash of what is looked at to how far it is from right; fit: the slack,
    # mm
    # places - Hash of what is looked at to its place among the grades
    class HiddenHole < Value.of(:length, :off, :places)
      # @return [Boolean]
      def right? = places.all? { |look, place| look == "fit" ? Opening::FitBelief::RIGHT.cover?(place) : place == 2 }
    end

    # What somebody reads and says. reading, overall - Float, mm; looks - Hash of look to place
    SeenBySomebody = Value.of(:reading, :overall, :looks)

    # Random numbers as beliefs are made of them.
    module Draw
      # Source: Box and Muller, z = √(−2 ln u) cos 2πv.
      def self.normal(random, deviation)
        deviation * Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
      end

      # Now and then far out.
      def self.wide(random, deviation, wide) = normal(random, random.rand < Belief::WIDE_SHARE ? wide : deviation)

      # @param table [Hash{Object => Float}] what there is, with its chance
      def self.picked(random, table)
        at = random.rand
        table.find { |_, chance| (at -= chance).negative? }&.first || table.keys.last
      end
    end

    # How long its holes come out. added - Float, mm beyond the usual; slope - Float, a millimetre; noise - Float, mm
    # wants - Float, mm, what the button wants more; late - Float, mm, the mean of what somebody stops late by
    class HiddenLength < Value.of(:added, :slope, :noise, :wants, :late)
      # The most somebody stops late by in the mean; that mean is part of what is usual.
      LATE = 0.3

      def self.drawn(machine, cloth, own, fold:, length:)
        added = Draw.wide(machine, Offset::FOOT, Offset::WIDE_OFFSET) + Draw.normal(cloth, Offset::STRUCTURE) +
                Draw.normal(own, Offset::OWN_OFFSET)
        slope = Draw.normal(machine, Offset::SLOPE)
        noise = Draw.picked(machine, Offset::HOLE_NOISES)
        late = machine.rand * LATE
        wants = Draw.normal(cloth, Math.sqrt(Opening::FitBelief.of_cloth(fold))) +
                Draw.normal(own, Math.sqrt(Opening::FitBelief.of_button(length)))
        new(added: added, slope: slope, noise: noise, late: late, wants: wants)
      end

      # @return [Float] mm of the slit
      def sewn(order, random)
        adds = order.drawn ? 0.0 : added + (slope * (order.set - Offset::LEVEL))
        order.set + adds + Draw.normal(random, noise) + overshoot(order, random)
      end

      # @return [Float] mm, once it is cut
      def slack(length, order, random)
        (length * order.demand.give) - order.demand.need - wants + Draw.normal(random, Opening::CUT_SPREAD)
      end

      private

      # An eye that stops late does so now much and now little.
      def overshoot(order, random) = order.operator ? (-Math.log(1 - random.rand) * late) - late : 0.0
    end

    # How dense its beads have to be. centre, skew, half, noise - Float, in logarithms of the coverage index
    class HiddenCover < Value.of(:centre, :skew, :half, :noise)
      def self.drawn(machine, thread, cloth, own)
        by = CoverBand::CENTRE_BY
        parts = [[thread, :thread], [cloth, :cloth], [own, :own]].sum do |random, part|
          Draw.normal(random, by.fetch(part))
        end
        new(centre: Draw.wide(machine, by.fetch(:machine), CoverBand::WIDE_CENTRE) + parts,
            skew: Draw.wide(machine, CoverBand::SKEW_BY[:machine], CoverBand::WIDE_SKEW) + Draw.normal(cloth, CoverBand::SKEW_BY[:cloth]),
            half: Draw.picked(thread, CoverBand::COVER_HALVES), noise: Draw.picked(machine, CoverBand::COVER_NOISES))
      end

      # @return [Array(Float, Float)] how far the bead sewn away and the one sewn back lie from what is right
      def sewn(order, random)
        off = order.cover - order.middles.fetch(:cover) - centre
        turned = order.opposite ? 1 : -1
        [off + skew - order.balance, off - (turned * (skew - order.balance))].map { |bead| bead + Draw.normal(random, noise) }
      end
    end

    # Where a dial is right. off, half, noise - Float, in its own numbers
    class HiddenBand < Value.of(:off, :half, :noise)
      # @param machine [Random]
      # @param other [Random] of what else it hangs on
      # @param own [Random]
      # @param by [Array<Float>] deviations by these
      def self.drawn(machine, other, own, by:)
        off = Draw.wide(machine, by[0], Belief::Band::BAND_WIDE) + Draw.normal(other, by[1]) + Draw.normal(own, by[2])
        new(off: off, half: Draw.picked(other, Belief::Band::BAND_HALVES),
            noise: Draw.picked(machine, Belief::Band::BAND_NOISES))
      end

      # @return [Float] how far from what is right
      def sewn(set, middle, random) = set - middle - off + Draw.normal(random, noise)

      # @return [Array<Float>] where the words change
      def cuts = [-half - Belief::Band::BAND_BADLY, -half, half, half + Belief::Band::BAND_BADLY]
    end

    # length - HiddenLength; cover - HiddenCover; tension, space - HiddenBand
    class HiddenMachine < Value.of(:length, :cover, :tension, :space)
      # Deviations of the tension, and of the width, by machine, thread or cloth, and closure.
      BAND_BY = [0.5, 0.4, 0.15].freeze
      BLURS = { "fit" => Opening::FitBelief::FIT_BLUR, "bead_away" => CoverBand::COVER_BLUR, "bead_back" => CoverBand::COVER_BLUR,
                "tension" => Belief::Band::BAND_BLUR, "space" => Belief::Band::BAND_BLUR }.freeze
      # Places among the grades of a look.
      GRADES = 5

      # A truth drawn from what is believed of machines.
      #
      # @param random [Array<Random>] for the machine, the thread, the cloth and this closure
      # @param fold [Float] mm; length [Float] mm, about
      # @return [HiddenMachine]
      def self.drawn(random, fold: 0.4, length: 22.5)
        machine, thread, cloth, own = random
        new(length: HiddenLength.drawn(machine, cloth, own, fold: fold, length: length),
            cover: HiddenCover.drawn(machine, thread, cloth, own),
            tension: HiddenBand.drawn(machine, thread, own, by: BAND_BY),
            space: HiddenBand.drawn(machine, cloth, own, by: BAND_BY))
      end

      # @param order [MachineOrder]
      # @param random [Random]
      # @return [HiddenHole]
      def sew(order, random)
        long = length.sewn(order, random)
        away, back = cover.sewn(order, random)
        off = { "fit" => length.slack(long, order, random), "bead_away" => away, "bead_back" => back,
                "tension" => tension.sewn(order.tension, order.middles.fetch(:tension), random),
                "space" => space.sewn(order.width, order.middles.fetch(:space), random) }
        HiddenHole.new(length: long, off: off, places: places(off, order))
      end

      # What somebody measures and sees.
      #
      # @param hole [HiddenHole]
      # @param order [MachineOrder]
      # @param random [Random]
      # @param spread [Float] mm, of the ruler or the caliper
      # @param careless [Float]
      # @return [SeenBySomebody]
      def looked_at(hole, order, random, spread: 0.25, careless: Belief::CARELESS)
        blurred = places(hole.off.to_h { |look, off| [look, off + Draw.normal(random, BLURS.fetch(look))] }, order)
        SeenBySomebody.new(reading: reading(hole, order, random, spread, careless), overall: hole.length + order.ends,
                           looks: blurred.transform_values do |place|
                             random.rand < careless ? random.rand(GRADES) : place
                           end)
      end

      private

      # Without care, as often the overall length as anything.
      def reading(hole, order, random, spread, careless)
        return hole.length + Draw.normal(random, spread) if random.rand >= careless

        hole.length + (random.rand < 0.5 ? order.ends : Draw.normal(random, Opening::FitBelief::STRAY))
      end

      def places(off, order) = off.to_h { |look, by| [look, cuts(look, order).count { |cut| by >= cut }] }

      def cuts(look, order)
        case look
        when "fit" then [*Opening::FitBelief::FIT_CUTS, order.demand.slips]
        when "tension" then tension.cuts
        when "space" then space.cuts
        else [-cover.half - CoverBand::COVER_BADLY, -cover.half, cover.half, cover.half + CoverBand::COVER_BADLY].map { |cut| cut * order.scale }
        end
      end
    end
  end
end
