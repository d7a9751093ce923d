# frozen_string_literal: true

# Displaced is a run some of whose holes were cut where they should not be: as many holes as were planned, and the place
# of the row's end or of a pin is where the hole lies really.
#
#   Placket::Displaced.run(run, layout.holes, { 540 mm => 528 mm })   # => Run to space anew

require_relative "run"

module NimbleEyelet
  module Placket
    module Displaced
      # @param run [Run]
      # @param holes [Array<Hole>] as they were planned
      # @param moved [Hash{Length => Length}] from where it was planned to where it lies
      # @return [Run]
      def self.run(run, holes, moved)
        gone = holes.select { |hole| moved.key?(hole.at) }
        ends = { first: run.stand ? holes[1] || holes.first : holes.first, last: holes.last }.to_h do |name, hole|
          [name, moved.fetch(hole.at, run[name])]
        end
        run.with(**ends, count: holes.size, count_most: nil, pins: run.pins.reject do |pin|
          gone.any? do |hole|
            hole.pinned == pin.label
          end
        end)
      end

      # Where a hole was cut and closed up again nothing is sewn.
      #
      # @param run [Run]
      # @param places [Array<Length>] middles of holes that were closed up
      # @param overall [Length] of each
      # @return [Run]
      def self.clear(run, places, overall)
        return run if places.empty?

        closed = places.each_with_index.map do |place, index|
          KeepOut.new(id: "closed-up-#{index + 1}", label: CLOSED_UP, from: place - (overall / 2), to: place + (overall / 2))
        end
        run.with(keep_outs: run.keep_outs + closed)
      end
      CLOSED_UP = "a hole that was closed up"
    end
  end
end
