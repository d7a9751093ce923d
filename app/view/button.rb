# frozen_string_literal: true

# button: the passing section of the button and its holes.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module ButtonView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        button = sheet.plan.button
        { half_perimeter: present.length(button.half_perimeter), height: present.length(button.height),
          largest: present.length(button.across), smallest: present.length(button.narrow),
          lignes: present.number(button.across.in(:ligne), 1),
          section: button.section, face: button.face, holes: button.hole_places, hole: button.hole_size,
          shank: button.shank_width&.to_f,
          measuring: Buttons.measuring(button).map(&:to_h), sewn: sheet.sewn, opens: button.opens?,
          **doubt(sheet, present), **form(button.form) }
      end

      # What speaks against it as it stands here.
      def self.doubt(sheet, present)
        button = sheet.plan.button
        { guessed: button.guessed?, cautions: present.cautions([*button.cautions, *Children.cautions(sheet.plan)]) }
      end

      def self.form(form)
        { noun: form.noun, measured: form.measured.map(&:to_s), photographed: PhotoReading::Survey.ways(form),
          across: form.across, formula: form.formula, passes: form.passes }
      end
      private_class_method :doubt, :form

      # @return [String] for the knot
      def self.short(sheet, present) = present.words(sheet.plan.button.across)
    end
  end
end
