# frozen_string_literal: true

# StandInMachine stands in for a machine that is not there: behind it is a truth nobody chose, the same
# for every hole that is sewn on it, and for thread and cloth what they have in common.
#
#   Device::StandInMachine.new(seed: 4711).sew(sheet, closure: 3, hole: "6f0c…").passes   # => "tight"

require "digest"
require_relative "../../lib/nimble_eyelet"
require_relative "sewing_machine"

module NimbleEyelet
  module Device
    class StandInMachine
      # What is read off a ruler, mm.
      READ_TO = Length.mm(1r / 10)

      # @param seed [Integer] of the truth behind it
      def initialize(seed:)
        @seed = seed
      end

      # @param sheet [Sheet] whose settings are sewn
      # @param closure [Integer]
      # @param hole [String] that tells one hole from another
      # @param look [String] that tells one look from another
      # @return [SewnReport]
      def sew(sheet, closure:, hole:, look: hole)
        order = order(sheet)
        truth = truth(sheet, closure)
        seen = truth.looked_at(truth.sew(order, random("hole", hole)), order, random("look", look))
        SewnReport.new(measured: [Length.mm(seen.reading.rationalize(1r / 1000)).round_to(READ_TO), READ_TO].max, simulated: true,
                       passes: Swatches::LOOKS.fetch("fit").grade_at(seen.looks.fetch("fit")).key, looks: looks(sheet, seen))
      end

      private

      def looks(sheet, seen)
        Swatches.looks_of(sheet.recipe.stitched, opens: sheet.plan.button.opens?).map(&:key).reject do |key|
          key == "fit"
        end.to_h do |key|
          [key, Swatches::LOOKS.fetch(key).grade_at(seen.looks.fetch(key)).key]
        end
      end

      def truth(sheet, closure)
        plan = sheet.plan
        parts = [random("machine"), random("thread", plan.thread.fibre, plan.thread.tex), random("cloth", plan.cloth.kind),
                 random("own", closure)]
        Simulation::HiddenMachine.drawn(parts, fold: sheet.cut.passing.fold.to_f, length: sheet.cut.length.to_f)
      end

      def random(*parts) = Random.new(Digest::SHA256.hexdigest([@seed, *parts].join("|"))[0, 15].to_i(16))

      def order(sheet)
        recipe = sheet.recipe
        Simulation::MachineOrder.new(
          demand: Opening::SlitDemand.of(sheet.cut.passing), width: recipe.stitch_width.value.to_f,
          tension: Inference::TensionDial.new(sheet.plan.machine).units(recipe.tension.value),
          operator: sheet.plan.machine.stops == "operator", **length(sheet), **cover(sheet.plan, recipe)
        )
      end

      def length(sheet)
        setting = sheet.setting
        { set: setting.hands.to_f + Offset::USUALLY_ADDED.fetch(setting.by.key), ends: sheet.cut.ends.both.to_f,
          drawn: setting.by.drawn }
      end

      def covered(thread, recipe)
        Math.log(thread.coverage(recipe.stitch_length.value)) + (recipe.second_pass ? CoverBand::SECOND_PASS : 0.0)
      end

      def cover(plan, recipe)
        style = recipe.style.value
        aim = Recipes.cover_aim(recipe.stitched, style.corded) || Recipes::SATIN_COVER
        least, most = [aim.least, aim.most].map { |index| Math.log(index) }
        { cover: covered(plan.thread, recipe), scale: (most - least) / 2 / CoverBand::USUAL_HALF,
          balance: recipe.notches * CoverBand::NOTCH, opposite: plan.machine.second_bead == "back" && !style.by_hand,
          middles: { cover: (least + most) / 2, tension: Inference::Beliefs::TENSION_BELOW, space: recipe.width_wanted.to_f } }
      end
    end
  end
end
