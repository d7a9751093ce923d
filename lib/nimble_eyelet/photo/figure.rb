# frozen_string_literal: true

# Figure is what was measured on a photo, and how far it may be off.
#
#   Figure.new(value: 18.04, spread: 0.06)   # 18 mm, and in 19 of 20 photos within 0.12

require_relative "../value"

module NimbleEyelet
  module PhotoReading
    # value - Float; spread - Float, its standard deviation
    class Figure < Value.of(:value, :spread)
      # In 19 of 20 photos the truth lies so many deviations away at most.
      FIGURE_REACH = 1.96

      # @return [Float] how far it may be off
      def reach = spread * FIGURE_REACH

      # @param spreads [Array<Float>] that have nothing to do with one another
      # @return [Float] of all of them together
      def self.spread(*spreads) = Math.sqrt(spreads.sum { |one| one * one })
    end

    # Something drawn over the picture. key - String; kind - Symbol, :outline, :line or :points
    # places - Array<Array(Float, Float)>, px in the whole picture
    Drawn = Value.of(:key, :kind, :places)

    # What one photo says. figures - Hash{Symbol => Figure}, mm unless the key says otherwise; drawn - Array<Drawn>
    # sight - CardSight
    Reading = Value.of(:figures, :drawn, :sight)

    # How much larger or smaller than meant a print is that was checked by ruler, as a share.
    PRINT_SPREAD = 0.0011
  end
end
