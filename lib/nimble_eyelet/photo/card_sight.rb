# frozen_string_literal: true

# CardSight is the printed card as it is seen in a picture: places on the card are places in the picture.
#
#   sight = CardFinder.find(picture)
#   sight.grey(65.0, 46.0)   # how light the card is there, 0 to 255
#   sight.tilt               # degrees

require "forwardable"
require_relative "measuring_card"

module NimbleEyelet
  module PhotoReading
    class CardSight
      extend Forwardable

      # @return [String] key of MeasuringCard::QUARTERS
      attr_reader :paper
      # @return [CameraFit]
      attr_reader :fit
      # @return [Picture]
      attr_reader :picture

      # @!method project(x, y, high = 0.0)
      # @!method on_card(x, y, high = 0.0)
      # @!method tilt
      # @!method stand
      # @!method scale(x, y)
      def_delegators :@sight, :project, :on_card, :tilt, :stand, :scale

      # @param paper [String]
      # @param fit [CameraFit]
      # @param picture [Picture]
      def initialize(paper, fit, picture)
        @paper = paper
        @fit = fit
        @picture = picture
        @sight = fit.camera.sight
      end

      # @return [Float] 0 to 255, of what is seen there
      def grey(x, y, high = 0.0) = picture.full.at(*project(x, y, high))

      # @return [Float] px in a millimetre, in the middle of the card
      def resolution = scale(MeasuringCard::WIDTH / 2, MeasuringCard::HEIGHT / 2)

      # @return [Float] mm, how uncertain the place of a dot is
      def off = fit.off / resolution
    end
  end
end
