# frozen_string_literal: true

# Survey measures a button or a hole on the printed card in a photo, and refuses a photo that is not good enough.
#
#   Survey.of(picture, what: "button", shape: "rounded").figures[:diameter]   # => Figure, mm
#   Survey.moved(camera, from, to, 18.0)                                      # => 18.3, after a point was moved

require_relative "button_reading"
require_relative "card_finder"
require_relative "hole_reading"
require_relative "measuring_card"
require_relative "printed_size"
require_relative "standing_reading"
require_relative "unreadable"

module NimbleEyelet
  module PhotoReading
    module Survey
      # What can be measured: a button lying flat, one standing on its edge, a sewn hole.
      SURVEY_WHAT = %w[button edge hole].freeze
      # How far a print may be from the size it was checked to be, as a share.
      PRINT_OFF = 0.011
      # Figures that are no lengths.
      SURVEY_COUNTED = %i[left_per_cm right_per_cm skew across].freeze
      private_constant :SURVEY_COUNTED

      # How a button of a shape can be photographed: a toggle does not stand in a slot, and corners are read off paper.
      #
      # @param form [ButtonShape]
      # @return [Array<String>] of SURVEY_WHAT
      def self.ways(form)
        return [] unless form.fastens

        [*("button" unless form.measured?(:outline)), *("edge" if form.measured?(:thickness) && !form.end_on)]
      end

      # @param picture [Picture]
      # @param what [String] of SURVEY_WHAT
      # @param shape [String] key of BUTTON_SHAPES
      # @param thick [Float, nil] mm, where it is known
      # @param across [Float, nil] mm, diameter, where it is known
      # @param ruler [Float] mm, what the card's check line really measures
      # @return [Reading]
      # @raise [Unreadable]
      def self.of(picture, what:, shape: "rounded", thick: nil, across: nil, ruler: MeasuringCard::CHECKED)
        share = ruler / MeasuringCard::CHECKED
        sight = CardFinder.find(picture)
        checked(sight, share)
        reading = case what
                  when "button" then ButtonReading.of(sight, shape: shape, thick: thick && (thick / share))
                  when "edge" then StandingReading.of(sight, shape: shape, across: across && (across / share))
                  when "hole" then HoleReading.of(sight)
                  else raise ArgumentError, what
                  end
        scaled(reading, share)
      end

      # A line's length after its ends were moved by hand.
      #
      # @param camera [Camera]
      # @param from [Array<Array(Float, Float)>] px, two places in the picture
      # @param to [Array<Array(Float, Float)>] px, where they are now
      # @param length [Float] mm, what lay between the first two
      # @return [Float] mm
      def self.moved(camera, from, to, length)
        sight = camera.sight
        before, after = [from, to].map do |ends|
          (left, top), (right, low) = ends.map { |place| sight.on_card(*place) }
          Math.hypot(right - left, low - top)
        end
        before.zero? ? 0.0 : length * after / before
      end

      # Where the edges of the paper are seen, they tell the size of the print.
      def self.checked(sight, share)
        seen = PrintedSize.of(sight)
        raise Unreadable.for(:print) if seen && (seen - share).abs > PRINT_OFF
      end

      def self.scaled(reading, share)
        figures = reading.figures.to_h do |key, figure|
          [key, SURVEY_COUNTED.include?(key) ? counted(key, figure, share) : figure.with(value: figure.value * share, spread: figure.spread * share)]
        end
        reading.with(figures: figures)
      end

      def self.counted(key, figure, share)
        key.to_s.end_with?("per_cm") ? figure.with(value: figure.value / share) : figure
      end
      private_class_method :checked, :scaled, :counted
    end
  end
end
