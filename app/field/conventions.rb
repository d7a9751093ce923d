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

    # The button that is usual there, until another is typed, and how one of its shape is mostly sewn on.
    #
    # @param typed [Hash{String => String}] what is known of a new set of buttonholes
    # @return [Hash{String => String}] by path
    def self.button(typed)
      shape = BUTTON_SHAPES[typed.fetch("button.shape", "rounded")]
      size = Placket::PLACES[typed["placket.place"]]&.button || Placket::USES[typed["placket.use"]]&.button
      return {} unless shape&.fastens

      { "button.diameter" => size && "#{Field.decimal(size)}mm", "button.attachment" => shape.attached }.compact
    end

    # @param plan [Plan]
    # @return [Hash{String => String}] what is otherwise in this plan than it is usual at its place
    def self.otherwise(plan)
      of(plan.placket.place).reject { |path, typed| ClosureFields.fetch(path).read(typed, unit: :mm) == plan.at(path) }
    end
  end
end
