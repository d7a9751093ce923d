# frozen_string_literal: true

# DrawnEdge is what a small drawing of a garment shows of one edge: the kind and place that give its outline, and where
# its holes lie along it.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module DrawnEdge
      # @param sheet [Sheet]
      # @return [Hash] places and length in mm from the end that is measured from; sewn - Array<Boolean>, hole by hole
      def self.of(sheet)
        run = sheet.plan.placket
        holes = sheet.layout ? sheet.layout.holes : []
        { use: run.use, place: run.place, orientation: run.orientation, rows: run.rows,
          places: holes.map { |hole| hole.at.to_f }, length: run.run_length.to_f, sewn: holes.map(&:sewn) }
      end
    end
  end
end
