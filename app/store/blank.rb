# frozen_string_literal: true

# Blank is what a closure starts with before anybody has said anything about it: a plain shirt
# button in light cloth, to be typed over.
#
#   Store::Blank.document(name: "front placket", machine_id: 1)

require_relative "document"

module NimbleEyelet
  module Store
    module Blank
      TYPED = {
        "button.shape" => "flat", "button.attachment" => "four_holes", "button.diameter" => "15", "button.thickness" => "3",
        "button.hole_spacing" => "3", "button.hole_diameter" => "1.8",
        "cloth.kind" => "light_woven", "cloth.weight" => "120", "cloth.thickness" => "0.25", "cloth.layers" => "2",
        "cloth.interfacing" => "0.2", "cloth.stretch" => "0",
        "thread.fibre" => "polyester", "thread.tex" => "27",
        "opening.school" => "passing_geometry", "opening.allowance" => "3", "opening.correction" => "0",
        "opening.ruler" => "half_millimetre",
        "placket.run_length" => "600", "placket.extension" => "18", "placket.orientation" => "vertical",
        "placket.use" => "shirt", "placket.edge" => "ten", "placket.grid" => "millimetre", "placket.seat" => "upper",
        "attach.pattern" => "two_bars"
      }.freeze

      # @param name [String]
      # @param machine_id [Integer]
      # @param typed [Hash{String => String}] what is known already, in millimetres
      # @param lists [Hash] pins and keep_outs
      # @return [Document]
      def self.document(name:, machine_id:, typed: {}, **lists)
        said = TYPED.merge(typed, "closure.name" => name)
        Document.new(fields: FIELDS.to_h { |path, field| [path, field.read(said[path], unit: :mm)] }, machine_id: machine_id, **lists)
      end
    end
  end
end
