# frozen_string_literal: true

# Displaced is a run some of whose holes were cut where they should not be: as many holes as were planned, and the place
# of the row's end or of a pin is where the hole lies really.
#
#   Placket::Displaced.run(run, layout.holes, { 540 mm => 528 mm })   # => Run to space anew

module NimbleEyelet
  module Placket
    module Displaced
      # @param run [Run]
      # @param holes [Array<Hole>] as they were planned
      # @param moved [Hash{Length => Length}] from where it was planned to where it lies
      # @return [Run]
      def self.run(run, holes, moved)
        gone = holes.select { |hole| moved.key?(hole.at) }
        ends = { first: holes.first, last: holes.last }.to_h { |name, hole| [name, moved.fetch(hole.at, run[name])] }
        run.with(**ends, count: holes.size, count_most: nil, pins: run.pins.reject do |pin|
          gone.any? do |hole|
            hole.pinned == pin.label
          end
        end)
      end
    end
  end
end
