# frozen_string_literal: true

# Length is the one class for lengths: exact, rational millimetres that never drift when they are
# converted back and forth.
#
#   Length.inches(3r / 4) + Length.mm(1)          # 20.05 mm, exactly
#   Length.mm(18.2).round_up_to(Length.mm(1/2r))  # 18.5 mm

require_relative "wording"

module NimbleEyelet
  class Length
    include Comparable

    # Finest distinction kept for results that are not rational (anything with pi in it).
    MICROMETRE = 1r / 1000

    # Millimetres in one of each unit. A ligne is a fortieth of an inch.
    MM_IN = { mm: 1r, cm: 10r, m: 1000r, in: 254r / 10, ligne: 635r / 1000 }.freeze

    # @return [Rational] millimetres
    attr_reader :millimetres

    class << self
      # @param number [Numeric] millimetres; a Float is taken to the nearest micrometre
      # @return [Length]
      # @raise [FloatDomainError] for NaN and the infinities
      def mm(number) = new(exact(number))

      # @param number [Numeric] inches
      def inches(number) = of(number, :in)

      # @param number [Numeric] lignes, 40 to the inch
      def lignes(number) = of(number, :ligne)

      # @param number [Numeric]
      # @param unit [Symbol] a key of MM_IN
      def of(number, unit) = new(exact(number) * MM_IN.fetch(unit))

      # The shortest length in whole micrometres that is not below an irrational figure: what a
      # button needs is never understated.
      #
      # @param number [Float] millimetres
      def at_least(number) = new((number * 1000).ceil * MICROMETRE)

      def zero = ZERO

      private

      def exact(number)
        number.is_a?(Float) ? (number * 1000).round * MICROMETRE : number.to_r
      end
    end

    # @return [Length] to the millionth of a millimetre, as it is kept: what is typed and what is read again are one
    def kept = Length.new(millimetres.round(6))

    # Immutable by having no writer: there are too many of these to freeze each.
    #
    # @param millimetres [Rational]
    def initialize(millimetres)
      @millimetres = millimetres
    end

    def +(other) = Length.new(millimetres + other.millimetres)
    def -(other) = Length.new(millimetres - other.millimetres)
    def -@ = Length.new(-millimetres)

    # @param factor [Integer, Rational]
    def *(other) = Length.new(millimetres * other.to_r)

    # @return [Rational, Length] a ratio when divided by a length, else a length
    def /(other)
      other.is_a?(Length) ? millimetres / other.millimetres : Length.new(millimetres / other.to_r)
    end

    def <=>(other) = other.is_a?(Length) ? millimetres <=> other.millimetres : nil
    def eql?(other) = other.is_a?(Length) && millimetres == other.millimetres
    def hash = millimetres.hash
    def abs = Length.new(millimetres.abs)
    def zero? = millimetres.zero?
    def positive? = millimetres.positive?
    def negative? = millimetres.negative?

    # @param step [Length] more than zero
    # @return [Length] the smallest multiple of step that is not below this
    def round_up_to(step) = step * (millimetres / step.millimetres).ceil

    # @param step [Length] more than zero
    # @return [Length] the largest multiple of step that is not above this
    def round_down_to(step) = step * (millimetres / step.millimetres).floor

    # @param step [Length] more than zero
    # @return [Length] the multiple of step nearest to this; halves go up
    def round_to(step) = step * (millimetres / step.millimetres).round(half: :up)

    # @return [Float] millimetres, for drawing and for irrational formulas only
    def to_f = millimetres.to_f

    # @param unit [Symbol] a key of MM_IN
    # @return [Rational] how many of that unit
    def in(unit) = millimetres / MM_IN.fetch(unit)

    def to_s = Wording.of(self, :mm)
    def inspect = "#<Length #{millimetres.to_f} mm>"

    ZERO = new(0r)
  end
end
