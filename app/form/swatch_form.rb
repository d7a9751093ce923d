# frozen_string_literal: true

# Reads what a person logs about a test hole.

require_relative "../../lib/nimble_eyelet"
require_relative "../field/field"

module NimbleEyelet
  module Form
    module SwatchForm
      # @param body [Hash] as sent
      # @param sheet [Sheet] what was set when it was sewn
      # @param unit [Symbol]
      # @param now [Time]
      # @return [Swatches::Swatch] sound, numbered after the last
      # @raise [Refusal]
      def self.read(body, sheet, unit:, now:)
        recipe = sheet.recipe
        measured = body["measured"].to_s.strip
        Swatches::Swatch.new(
          number: (sheet.plan.swatches.map(&:number).max || 0) + 1, passes: body.fetch("passes"),
          measured: measured.empty? ? nil : Typing::Notation.read(measured, unit: unit, field: "swatch.measured"),
          symptoms: body.fetch("symptoms", []).uniq, opening: sheet.cut.length, stitch_width: recipe.stitch_width.value,
          stitch_length: recipe.stitch_length.value, tension: recipe.tension.value, stabiliser: recipe.stabiliser.value,
          note: Field.clean(body["note"])[0, 500], sewn_at: now.utc.iso8601
        ).validate
      end
    end
  end
end
