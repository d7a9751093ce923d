# frozen_string_literal: true

# A button sewn on before it is sewn on: every penetration, what it takes, and what every needle and width forgives.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module ButtonStitchView
      # @param simulation [ButtonSimulation]
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash] points in mm from the middle of the button, x and y in turn, in sewing order
      def self.of(simulation, sheet, present)
        path = simulation.path
        { parts: parts(path), strikes: path.strikes, room: path.room.round(3), needle: path.sewn.needle,
          stitches: path.points.size, width: present.dial(Length.mm(path.sewn.width)),
          seconds: simulation.seconds.round, map: map(simulation.map, present), **button(sheet.plan),
          **thread(simulation, present) }
      end

      def self.button(plan)
        { hole: plan.button.hole_size, across: plan.button.across.to_f, thread: plan.thread.thickness.to_f.round(3),
          holes: plan.button.hole_places.map { |x, y| [x.round(3), y.round(3)] } }
      end

      # Thread is not measured finer than a millimetre.
      def self.thread(simulation, present)
        { top: simulation.top, bobbin: simulation.bobbin }.transform_values do |length|
          present.length(length.round_to(Length.mm(1)))
        end
      end

      def self.parts(path)
        path.parts.map { |part| { name: part.name, points: part.points.flatten.map { |figure| figure.round(3) } } }
      end

      def self.map(map, present)
        { cells: map.cells.map { |cell| cell(cell, present) }, best: cell(map.best, present) }
      end

      def self.cell(cell, present)
        { size: cell.size, width: present.dial(cell.width), forgives: cell.forgives.round(2) }
      end
      private_class_method :button, :thread, :parts, :map, :cell
    end
  end
end
