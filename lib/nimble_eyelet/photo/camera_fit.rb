# frozen_string_literal: true

# CameraFit moves a camera until the dots of the card are seen where they are seen in the picture.
#
#   fit = CameraFit.of(camera, dots, seen)
#   fit.off   # => Float, px: how far the dots are off still
#
# Source: least squares by damped steps (Levenberg 1944, Marquardt 1963). How long the lens is cannot be seen straight
# from above: what is usual of a phone counts as one more observation.

require "matrix"
require_relative "../value"
require_relative "camera"

module NimbleEyelet
  module PhotoReading
    # camera - Camera; off - Float, px, root mean square of what is left of a dot in one direction
    class CameraFit < Value.of(:camera, :off)
      # Of the logarithm of the focal length, and of the bend.
      FOCAL_SPREAD = 0.12
      BEND_SPREAD = 0.12
      # A dot's middle is never known better, px.
      LEAST_OFF = 0.03
      CAMERA_ROUNDS = 12
      CAMERA_STEPS = [1e-5, 1e-5, 1e-5, 1e-3, 1e-3, 1e-3, 1e-5, 1e-4].freeze
      private_constant :CAMERA_STEPS

      # @param camera [Camera] to begin with
      # @param places [Array<Array(Float, Float)>] of the dots on the card, mm
      # @param seen [Array<Array(Float, Float)>] in the picture, px
      # @return [CameraFit]
      def self.of(camera, places, seen)
        fit = Rounds.new(camera, places, seen)
        # What is left after the first round says how well dots are seen at all.
        2.times { fit.run }
        new(camera: fit.camera, off: fit.off)
      end

      # One fit under way.
      class Rounds
        attr_reader :camera, :off

        def initialize(camera, places, seen)
          @camera = camera
          @usual = Math.log(camera.focal)
          @places = places
          @seen = seen
          @off = 0.3
        end

        def run
          numbers = @camera.numbers
          now = misses(numbers)
          damp = 1e-3
          CAMERA_ROUNDS.times do
            slopes = slopes(numbers, now)
            step = step(slopes, now, damp) or break
            other = numbers.zip(step).map(&:sum)
            there = misses(other)
            better = total(there) < total(now)
            damp = better ? damp / 5 : damp * 8
            next unless better

            small = total(now) - total(there) < 1e-6 * total(now)
            numbers = other
            now = there
            break if small
          end
          taken(numbers, now)
        end

        private

        def taken(numbers, now)
          @camera = Camera.of(numbers, @camera.middle)
          dots = now[0...-2].sum { |one| one * one } * (@off**2)
          @off = Math.sqrt([dots / [now.size - 10, 4].max, LEAST_OFF**2].max)
        end

        # In deviations: of the dots across and down, of the focal length and of the bend.
        def misses(numbers)
          sight = Camera.of(numbers, @camera.middle).sight
          off = @places.zip(@seen).flat_map do |(x, y), (across, down)|
            right, low = sight.project(x, y)
            [(right - across) / @off, (low - down) / @off]
          end
          off << ((numbers[6] - @usual) / FOCAL_SPREAD) << (numbers[7] / BEND_SPREAD)
        end

        def slopes(numbers, now)
          CAMERA_STEPS.each_with_index.map do |step, number|
            other = numbers.dup
            other[number] += step
            misses(other).zip(now).map { |there, here| (there - here) / step }
          end
        end

        def step(slopes, now, damp)
          form = Matrix.build(8) do |one, other|
            slopes[one].zip(slopes[other]).sum { |here, there| here * there } * (one == other ? 1 + damp : 1)
          end
          form.lup.solve(Vector.elements(slopes.map { |line| -line.zip(now).sum { |here, there| here * there } })).to_a
        rescue ExceptionForMatrix::ErrNotRegular
          nil
        end

        def total(misses) = misses.sum { |one| one * one }
      end
      private_constant :Rounds
    end
  end
end
