# frozen_string_literal: true

# A photo of a test hole: its size, and the two points on it, with the scale that comes of them.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module PhotoView
      # Nearer than this share two points tell nothing.
      LEAST_APART = 0.01

      # @param photo [Store::Photo]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(photo, present)
        { width: photo.width, height: photo.height, key: photo.kept.fetch("small")["id"][%r{[^/]+\z}],
          points: points(photo, present) }
      end

      # How many millimetres the whole width of the photo is.
      def self.points(photo, present)
        points = photo.points or return
        x1, y1, x2, y2, mm = points.values_at("x1", "y1", "x2", "y2", "mm").map(&:to_f)
        apart = Math.hypot(x2 - x1, (y2 - y1) * photo.height / photo.width)
        { x1: x1, y1: y1, x2: x2, y2: y2, distance: present.length(Length.mm(mm.rationalize(1r / 1000))),
          width_mm: apart > LEAST_APART ? (mm / apart).round(2) : nil }
      end
      private_class_method :points
    end
  end
end
