# frozen_string_literal: true

# swatch: what to sew as a test, what was seen, and the one change to make next.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"

module NimbleEyelet
  module View
    module SwatchView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(sheet, say)
        { to_sew: to_sew(sheet, say), log: sheet.plan.swatches.map { |swatch| logged(swatch, say) }.reverse,
          change: change(sheet.diagnosis.change, say), accept: sheet.diagnosis.accept }
      end

      # @return [String] for the knot
      def self.short(sheet, _say) = "#{sheet.plan.swatches.size} sewn"

      def self.to_sew(sheet, say)
        recipe = sheet.recipe
        { layers: "#{sheet.plan.cloth.layers} layers#{', with the interfacing' unless sheet.plan.cloth.interfacing.zero?}",
          opening: say.length(sheet.cut.length), overall: say.length(sheet.cut.overall), style: recipe.style.value.name,
          stitch_width: say.length(recipe.stitch_width.value), stitch_length: say.length(recipe.stitch_length.value),
          tension: say.number(recipe.tension.value), stabiliser: recipe.stabiliser.value }
      end

      def self.logged(swatch, say)
        { number: swatch.number, passes: swatch.passes, measured: say.length(swatch.measured), symptoms: swatch.symptoms,
          opening: say.length(swatch.opening), stitch_width: say.length(swatch.stitch_width),
          stitch_length: say.length(swatch.stitch_length), tension: say.number(swatch.tension), stabiliser: swatch.stabiliser,
          note: swatch.note, accepted: swatch.accepted, sewn_at: swatch.sewn_at.to_s }
      end

      def self.change(change, say)
        change && { field: change.field, to: change.to && typed(change.to, say), says: say.words(change.says),
                    because: say.reasons(change.because) }
      end

      # What has to be sent to make the change: exact, and independent of the person's unit.
      def self.typed(value, say)
        value.is_a?(Length) ? "#{Field.decimal(value)}mm" : say.field(value)
      end
      private_class_method :to_sew, :logged, :change, :typed
    end
  end
end
