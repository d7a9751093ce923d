# frozen_string_literal: true

# stitch: the hole sewn before it is sewn, with the recipe as it stands or with dials turned for a try;
# the same as SVG and CSV; and the card for the machine.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module StitchView
      # @param simulation [HoleSimulation]
      # @param present [Presenter]
      # @return [Hash] points in whole micrometres, x and y in turn, in sewing order
      def self.of(simulation, present)
        path = simulation.path
        shape = path.shape
        set = { width: Length.mm(shape.width), stitch_length: Length.mm(shape.length) }.transform_values do |length|
          present.dial(length)
        end
        { **set, tension: present.number(simulation.tension), parts: parts(path),
          points: path.points.flatten.map do |figure|
            (figure * 1000).round
          end,
                 cords: path.cords.map { |line| line.flatten.map { |figure| (figure * 1000).round } },
                 overall: shape.overall.round(4), cord: shape.cord.round(4),
                 slit: [shape.slit[0].round(4), shape.slit[1].round(4)],
                 thread: simulation.thread.to_f, **comes_to(simulation.reckoning, present),
                 row: row(simulation.row, present) }
      end

      def self.parts(path)
        from = 0
        path.parts.map do |part|
          { name: part.name, kind: part.kind, from: from, to: from += part.points.size }
        end
      end

      def self.comes_to(reckoning, present)
        { top: present.length(whole(reckoning.top)), bobbin: present.length(whole(reckoning.bobbin)),
          seconds: reckoning.seconds.round(1),
          cover: reckoning.cover.map do |name, index|
            { name: name, index: index.round(3), words: SewingThread.looks(index) }
          end,
          bulk: present.length(reckoning.bulk), cautions: present.cautions(reckoning.cautions) }
      end

      # Thread is not measured finer than this.
      def self.whole(length) = length.round_to(Length.mm(1))

      def self.row(row, present)
        row && { holes: row.holes, says: row.says, left: present.length(row.left) }
      end
      private_class_method :parts, :comes_to, :whole, :row
    end
  end
end
