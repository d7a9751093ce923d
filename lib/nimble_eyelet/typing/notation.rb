# frozen_string_literal: true

# Notation reads a length as a person types it: `18`, `18mm`, `1.8 cm`, `3/4`, `1 1/8"`,
# `0.75in`, `28L`. A bare number is in the person's own unit; a bare fraction is inches, because
# nobody writes fractions of a millimetre.
#
#   Typing::Notation.read("28L", unit: :mm, field: "button.width")   # 17.78 mm

require_relative "../answer/refusal"
require_relative "../length/length"

module NimbleEyelet
  module Typing
    module Notation
      # Nothing a person types for a length is longer than this.
      LONGEST = 24

      UNIT_WORDS = {
        "mm" => :mm, "cm" => :cm, "m" => :m,
        "in" => :in, "inch" => :in, "inches" => :in, '"' => :in, "″" => :in, "”" => :in, "''" => :in,
        "l" => :ligne, "ligne" => :ligne, "lignes" => :ligne
      }.freeze

      FRACTION_SIGNS = {
        "½" => "1/2", "¼" => "1/4", "¾" => "3/4", "⅛" => "1/8", "⅜" => "3/8", "⅝" => "5/8", "⅞" => "7/8"
      }.freeze

      LENGTH_HELP = "Write a length such as 18, 18mm, 1.8cm, 3/4, 1 1/8\", 0.75in or 28L."

      LENGTH_FORM = %r{
        \A(?<sign>[-−+])?\s*
        (?:
          (?:(?<whole>\d+)[\s-]+)? (?<top>\d+)\s*/\s*(?<bottom>\d+)
          | (?<number>\d+(?:[.,]\d*)?|[.,]\d+)
        )
        \s*(?<unit>[a-z]+|"|″|”|'')?\.?\z
      }xi

      # @param text [String] as typed
      # @param unit [Symbol] the person's unit, :mm, :cm or :in, for a bare number
      # @param field [String] named in the fault
      # @return [Length] exact; may be zero or negative, which fields refuse by their own limits
      # @raise [Refusal] when the text is no length
      def self.read(text, unit:, field:)
        parts = parts_of(text) or raise Refusal.field(field, text, LENGTH_HELP)
        amount, fraction = parts.values_at(:amount, :fraction)
        word = parts[:unit]
        found = if word
                  UNIT_WORDS[word]
                else
                  (fraction ? :in : unit)
                end
        raise Refusal.field(field, text, "\"#{word}\" is not a unit here. #{LENGTH_HELP}") unless found

        Length.of(amount, found).kept
      end

      # @return [Hash, nil] amount [Rational], fraction [Boolean], unit [String, nil]
      def self.parts_of(text)
        return if text.length > LONGEST

        # A fraction sign may stand right behind its whole number: 1½.
        plain = text.strip.gsub(/[½¼¾⅛⅜⅝⅞]/) { |sign| " #{FRACTION_SIGNS[sign]}" }.strip
        match = LENGTH_FORM.match(plain) or return
        return if match[:bottom]&.to_i&.zero?

        amount = match[:top] ? match[:whole].to_i + Rational(match[:top], match[:bottom]) : decimal(match[:number])
        { amount: %w[- −].include?(match[:sign]) ? -amount : amount,
          fraction: !match[:top].nil?, unit: match[:unit]&.downcase }
      end
      private_class_method :parts_of

      def self.decimal(digits)
        Rational("0#{digits.tr(',', '.').delete_suffix('.')}")
      end
      private_class_method :decimal
    end
  end
end
