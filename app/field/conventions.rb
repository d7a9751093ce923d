# frozen_string_literal: true

# Conventions are what is usual at a place on a garment, as it would be typed.
#
#   Conventions.of("cuff")    # => { "placket.orientation" => "horizontal", "placket.run_length" => "60mm", … }

require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"

module NimbleEyelet
  module Conventions
    # @param key [String, nil] of Placket::PLACES
    # @return [Hash{String => String}] by path; nothing for a place that is not known
    def self.of(key)
      Placket::PLACES[key]&.fills.to_h.to_h do |path, typed|
        [path, ClosureFields.fetch(path).kind == :length ? "#{typed}mm" : typed]
      end
    end

    # The button that is usual there, until another is typed: how wide, how thick one so wide mostly is, and how one of
    # its shape is mostly sewn on.
    #
    # @param typed [Hash{String => String}] what is known of a new set of buttonholes
    # @param unit [Symbol] the person's unit
    # @return [Hash{String => String}] by path
    def self.button(typed, unit:)
      shape = BUTTON_SHAPES[typed.fetch("button.shape", "rounded")] or return {}
      size = (Placket::PLACES[typed["placket.place"]]&.button || Placket::USES[typed["placket.use"]]&.button if shape.fastens)
      { "button.diameter" => size && "#{Field.decimal(size)}mm", "button.thickness" => thickness(typed, shape, size, unit),
        "button.attachment" => (shape.attached if shape.fastens) }.compact
    end

    # @return [String, nil] nothing where the width cannot be read, or is asked in another way
    def self.thickness(typed, shape, size, unit)
      field = ClosureFields.fetch("button.diameter")
      said = typed.key?(field.path)
      across = said ? field.read(typed[field.path], unit: unit) : size || field.read(field.initial, unit: :mm)
      "#{Field.decimal(shape.usual_thickness(across))}mm" if shape.measured?(:thickness)
    rescue Refusal
      nil
    end
    private_class_method :thickness

    # @param plan [Plan]
    # @return [Hash{String => String}] what is otherwise in this plan than it is usual at its place
    def self.otherwise(plan)
      of(plan.placket.place).reject { |path, typed| ClosureFields.fetch(path).read(typed, unit: :mm) == plan.at(path) }
    end
  end
end
