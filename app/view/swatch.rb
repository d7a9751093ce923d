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
        diagnosis = sheet.diagnosis
        { to_sew: to_sew(sheet, present), with: PlainValue.dump_all(sheet.sewn_with),
          log: sheet.facts.swatches.map { |swatch| logged(swatch, sheet.plan, present) }.reverse,
          change: change(diagnosis.change, present), changes: diagnosis.changes.map { |one| change(one, present) },
          remarks: diagnosis.remarks.map { |remark| present.words(remark) }, pending: diagnosis.pending, accept: diagnosis.accept,
          symptoms: Swatches.symptoms_of(sheet.recipe.stitched).map { |symptom| { key: symptom.key, axis: symptom.axis } } }
      end

      # @return [String] for the knot
      def self.short(sheet, _present) = "#{sheet.facts.swatches.size} sewn"

      def self.to_sew(sheet, present)
        recipe = sheet.recipe
        { layers: "#{sheet.plan.cloth.layers} layers#{', with the interfacing' unless sheet.plan.cloth.interfacing.zero?}",
          opening: present.length(sheet.opening), overall: present.length(sheet.overall), style: recipe.style.value.name,
          set: present.words(sheet.setting.says),
          stitch_width: present.dial(recipe.stitch_width.value), stitch_length: present.dial(recipe.stitch_length.value),
          tension: present.number(recipe.tension.value), stabiliser: recipe.stabiliser.value }
      end

      def self.logged(swatch, plan, present)
        { id: swatch.id, number: swatch.number, passes: swatch.passes, measured: present.length(swatch.measured), symptoms: swatch.symptoms,
          opening: present.length(swatch.opening), stitch_width: present.dial(swatch.stitch_width),
          stitch_length: present.dial(swatch.stitch_length), tension: present.number(swatch.tension), stabiliser: swatch.stabiliser,
          note: swatch.note, accepted: swatch.id == plan.accepted, sewn_at: swatch.sewn_at.to_s }
      end

      def self.change(change, present)
        change && { axis: change.axis, field: change.field, to: change.to && typed(change.to, present), says: present.words(change.says),
                    because: present.reasons(change.because) }
      end

      # What has to be sent to make the change: exact, and independent of the person's unit.
      def self.typed(value, present)
        value.is_a?(Length) ? "#{Field.decimal(value)}mm" : present.field(value)
      end
      private_class_method :to_sew, :logged, :change, :typed
    end
  end
end
