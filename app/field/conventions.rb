# frozen_string_literal: true

# Conventions are what is usual at a place on a garment, as it would be typed.
#
#   Conventions.of("cuff")    # => { "placket.orientation" => "horizontal", "placket.run_length" => "60mm", … }

require_relative "../../lib/nimble_eyelet"
require_relative "closure_fields"

module NimbleEyelet
  module Conventions
    # @param key [String, nil] of Placket::PLACES
    # @param unit [Symbol] of whoever measures
    # @return [Hash{String => String}] by path; nothing for a place that is not known
    def self.of(key, unit: :mm) = measured(Placket::PLACES[key]&.fills.to_h, unit)

    # Where the edge is before anybody has said so, for a tape that has no mark at what fields begin with.
    #
    # @param unit [Symbol]
    # @return [Hash{String => String}] by path
    def self.edge(unit)
      return {} unless unit == :in

      measured(%w[placket.run_length placket.extension].to_h { |path| [path, ClosureFields.fetch(path).initial] }, unit)
    end

    # In inches to the nearest eighth.
    def self.measured(fills, unit)
      fills.to_h do |path, typed|
        next [path, typed] unless ClosureFields.fetch(path).kind == :length

        [path, unit == :in ? "#{Length.mm(typed.to_r).round_to(EIGHTH).in(:in)}in" : "#{typed}mm"]
      end
    end
    EIGHTH = Length.inches(1r / 8)
    private_constant :EIGHTH
    private_class_method :measured

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
      of(plan.placket.place, unit: plan.unit.to_sym)
        .reject { |path, typed| ClosureFields.fetch(path).read(typed, unit: :mm) == plan.at(path) }
    end
  end
end
