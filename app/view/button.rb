# frozen_string_literal: true

# button: the passing section of the button and its holes.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module ButtonView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(sheet, say)
        button = sheet.plan.button
        { half_perimeter: say.length(button.half_perimeter), height: say.length(button.height),
          measured: button.form.measured.map(&:to_s), across: button.form.across, largest: say.length(button.across),
          smallest: say.length(button.narrow), lignes: say.number(button.across.in(:ligne), 1),
          formula: button.form.formula, passes: button.form.passes,
          section: button.section, face: button.face, holes: button.hole_places,
          measuring: Buttons.measuring(button).map(&:to_h) }
      end

      # @return [String] for the knot
      def self.short(sheet, say) = say.words(sheet.plan.button.across)
    end
  end
end
