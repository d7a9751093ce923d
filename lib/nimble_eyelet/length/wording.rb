# frozen_string_literal: true

# Wording writes a length the way people who own rulers do: millimetres with at most two
# decimals, inches as proper reduced fractions: on a sixty-fourth where the length lies there, else on the
# nearest thirty-second; below a quarter of an inch, where calipers are used, in decimals.
#
#   Wording.of(Length.inches(9/8r), :in)   # => "1 1/8 in"
#   Wording.of(Length.mm(17.78), :mm)      # => "17.78 mm"

module NimbleEyelet
  module Wording
    FINEST_FRACTION = 64
    # A length that lies on no sixty-fourth is said on the nearest of these marks, as a ruler shows it; shorter than
    # the second, where only a caliper reads it, in decimals.
    RULER_FRACTION = 32
    CALIPER_BELOW = 1r / 4
    INCHES_IN_A_YARD = 36
    # Marks to the inch that a hand reads, and the least number of them.
    HAND_MARKS = { RULER_FRACTION => 2, FINEST_FRACTION => 1 }.freeze

    # @param length [Length]
    # @param unit [Symbol] :mm, :cm or :in; :m or :yd for what comes off a spool
    # @return [String] figure and unit
    def self.of(length, unit)
      case unit
      when :in then "#{inches(length.in(:in))} in"
      when :yd then "#{inches(length.in(:in) / INCHES_IN_A_YARD)} yd"
      when :m then "#{decimal(length.millimetres / 1000, 1)} m"
      when :cm then "#{decimal(length.in(:cm), 3)} cm"
      else "#{decimal(length.millimetres, 2)} mm"
      end
    end

    # Somebody does what a sentence says with a ruler in the hand: inches are fractions a ruler has, down to a
    # sixteenth. What is shorter is told in the finest marks a steel rule has: rounding would say twice or half of it.
    #
    # @param length [Length]
    # @param unit [Symbol]
    # @return [String]
    def self.by_hand(length, unit)
      return of(length, unit) unless unit == :in && !length.zero?

      number = length.in(:in)
      return of(length, unit) if (FINEST_FRACTION % number.denominator).zero?

      mark, = HAND_MARKS.find { |marks, least| (number.abs * marks).round >= least }
      return "less than 1/#{FINEST_FRACTION} in" unless mark

      "#{inches(Rational((number * mark).round, mark))} in"
    end

    # @param number [Rational]
    # @param places [Integer]
    # @return [String] without trailing zeros
    def self.decimal(number, places)
      return number.numerator.to_s if number.denominator == 1

      # Whole numbers only: this is called some hundreds of times for one sheet.
      scale = 10**places
      whole, part = (((number.numerator.abs * scale * 2) + number.denominator) / (number.denominator * 2)).divmod(scale)
      sign = number.negative? && (whole + part).positive? ? "-" : ""
      return "#{sign}#{whole}" if part.zero?

      while (part % 10).zero?
        part /= 10
        places -= 1
      end
      "#{sign}#{whole}.#{part.to_s.rjust(places, '0')}"
    end

    # @param number [Rational] inches
    # @return [String] "1 1/8", "3/4", or a decimal for what only a caliper reads
    def self.inches(number)
      unless (FINEST_FRACTION % number.denominator).zero?
        return decimal(number, 3) if number.abs < CALIPER_BELOW

        number = Rational((number * RULER_FRACTION).round, RULER_FRACTION)
      end

      sign = number.negative? ? "-" : ""
      whole, part = number.abs.divmod(1)
      return "#{sign}#{whole}" if part.zero?

      fraction = "#{part.numerator}/#{part.denominator}"
      sign + (whole.zero? ? fraction : "#{whole} #{fraction}")
    end
  end
end
