# frozen_string_literal: true

# swatch: what to sew as a test, what was seen, and the one change to make next.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"
require_relative "../field/plain_value"

module NimbleEyelet
  module View
    module SwatchView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        { to_sew: to_sew(sheet, present), with: PlainValue.dump_all(sewn_with(sheet)),
          log: sheet.facts.swatches.map { |swatch| logged(swatch, sheet.plan, present) }.reverse,
          change: change(sheet.diagnosis.change, present), accept: sheet.diagnosis.accept }
      end

      # @return [String] for the knot
      def self.short(sheet, _present) = "#{sheet.facts.swatches.size} sewn"

      def self.to_sew(sheet, present)
        recipe = sheet.recipe
        { layers: "#{sheet.plan.cloth.layers} layers#{', with the interfacing' unless sheet.plan.cloth.interfacing.zero?}",
          opening: present.length(sheet.cut.length), overall: present.length(sheet.cut.overall), style: recipe.style.value.name,
          stitch_width: present.length(recipe.stitch_width.value), stitch_length: present.length(recipe.stitch_length.value),
          tension: present.number(recipe.tension.value), stabiliser: recipe.stabiliser.value }
      end

      # Everything a test hole sewn now is sewn with: it is kept with what is seen on it.
      def self.sewn_with(sheet)
        recipe = sheet.recipe
        plan = sheet.plan
        { "opening.length" => sheet.cut.length, "recipe.stitch_width" => recipe.stitch_width.value,
          "recipe.stitch_length" => recipe.stitch_length.value, "recipe.tension" => Field.decimal(recipe.tension.value),
          "recipe.stabiliser" => recipe.stabiliser.value, "recipe.style" => recipe.style.value.key, "recipe.foot" => recipe.foot.value.kind,
          "recipe.needle" => recipe.needle.value.to_s, "machine.id" => plan.machine.id.to_s, "thread.fibre" => plan.thread.fibre,
          "thread.tex" => Field.decimal(plan.thread.tex.to_r), "cloth.kind" => plan.cloth.kind, "cloth.weight" => plan.cloth.weight.to_s,
          "cloth.thickness" => plan.cloth.thickness, "cloth.layers" => plan.cloth.layers.to_s, "cloth.stretch" => plan.cloth.stretch.to_s }
      end

      def self.logged(swatch, plan, present)
        { id: swatch.id, number: swatch.number, passes: swatch.passes, measured: present.length(swatch.measured), symptoms: swatch.symptoms,
          opening: present.length(swatch.opening), stitch_width: present.length(swatch.stitch_width),
          stitch_length: present.length(swatch.stitch_length), tension: present.number(swatch.tension), stabiliser: swatch.stabiliser,
          note: swatch.note, accepted: swatch.id == plan.accepted, sewn_at: swatch.sewn_at.to_s }
      end

      def self.change(change, present)
        change && { field: change.field, to: change.to && typed(change.to, present), says: present.words(change.says),
                    because: present.reasons(change.because) }
      end

      # What has to be sent to make the change: exact, and independent of the person's unit.
      def self.typed(value, present)
        value.is_a?(Length) ? "#{Field.decimal(value)}mm" : present.field(value)
      end
      private_class_method :to_sew, :sewn_with, :logged, :change, :typed
    end
  end
end
