# frozen_string_literal: true

# Feasibility tells whether any row at all meets a set of demands, without looking for the best one.
#
#   Spacing::Feasibility.possible?(demands)   # => false

require_relative "demands"
require_relative "lattice"

module NimbleEyelet
  module Spacing
    class Feasibility
      # @param demands [Demands]
      # @param any_count [Boolean] whether another number of holes would do as well
      # @return [Boolean]
      def self.possible?(demands, any_count: false)
        lattice = Lattice.new(demands)
        return false if lattice.places.empty? || lattice.places.size > Lattice::MOST_PLACES

        new(lattice, any_count: any_count).possible?
      end

      def initialize(lattice, any_count: false)
        @lattice = lattice
        @places = lattice.places
        @any_count = any_count
      end

      # @return [Boolean]
      def possible?
        layers = @any_count ? MOST_HOLES : @lattice.heads
        reached = begun
        (1..layers).each do |layer|
          return true if (layer == layers || @any_count) && ended?(reached)
          return false if reached.none?

          reached = onward(reached)
        end
        false
      end

      private

      def begun
        pin = @lattice.pins.first
        @places.each_index.map do |index|
          place = @places[index]
          @lattice.open_first[index] && (pin.nil? || place <= pin) && (!@lattice.first_fixed? || place == @lattice.first)
        end
      end

      def ended?(reached)
        pin = @lattice.pins.last
        @places.each_index.any? do |index|
          place = @places[index]
          reached[index] && (pin.nil? || place + @lattice.span >= pin) && (!@lattice.last_fixed? || place == @lattice.last)
        end
      end

      # Counts of reached places so far tell at once whether any lies in a window.
      def onward(reached)
        sums = [0]
        reached.each { |open| sums << (sums.last + (open ? 1 : 0)) }
        low = 0
        high = 0
        @places.each_with_index.map do |place, index|
          low += 1 while @places[low] < @lattice.farthest(place)
          high += 1 while high < @places.size && @places[high] <= @lattice.nearest(place)
          @lattice.open[index] && low < high && sums[high] > sums[low]
        end
      end
    end
  end
end
