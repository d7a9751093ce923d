# frozen_string_literal: true

# Ruler is the table of steps a person can set or mark: what a result is rounded to.
#
#   Ruler.fetch("sixteenth_inch").up(Length.mm(22))   # 22.225 mm, that is 7/8 in

require_relative "../value"
require_relative "length"

module NimbleEyelet
  # key - String; name - String; step - Length; unit - Symbol, the unit of what is printed on it
  class Ruler < Value.of(:key, :name, :step, :unit)
    # @param length [Length]
    # @return [Length] never below the length given
    def up(length) = length.round_up_to(step)

    # @param length [Length]
    # @return [Length] the nearest mark
    def nearest(length) = length.round_to(step)

    # @return [Length] the finest mark that can still be found on it
    def finest = unit == :in ? Length.inches(1r / 16) : Length.mm(1r / 2)

    # @param key [String]
    # @return [Ruler]
    # @raise [KeyError] for a ruler not in the table
    def self.fetch(key) = RULERS.fetch(key)
  end

  RULERS = [
    Ruler.new(key: "half_millimetre", name: "half millimetres", step: Length.mm(1r / 2), unit: :mm),
    Ruler.new(key: "millimetre", name: "whole millimetres", step: Length.mm(1), unit: :mm),
    Ruler.new(key: "sixteenth_inch", name: "sixteenths of an inch", step: Length.inches(1r / 16), unit: :in),
    Ruler.new(key: "eighth_inch", name: "eighths of an inch", step: Length.inches(1r / 8), unit: :in)
  ].to_h { |ruler| [ruler.key, ruler] }.freeze
end
