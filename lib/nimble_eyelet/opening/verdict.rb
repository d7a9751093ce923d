# frozen_string_literal: true

# Verdict says how a button will go through a slit: it will not pass, or sits tight, snug, easy, or
# slips out by itself; and how likely that is, since no cloth is a steel plate and nobody measures to
# a tenth.
#
#   passing.verdict(Length.mm(23)).words      # => "snug"
#   passing.verdict(Length.mm(23)).in_twenty  # => 18, that it is snug, in 20

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Opening
    # Lower ends of the bands of slack.
    TIGHT_FROM = Length.mm(-1r / 2)
    SNUG_FROM = Length.mm(3r / 10)
    EASY_FROM = Length.mm(2)
    SLIPS_FROM = Length.mm(5r / 2)
    # A large button may have more slack before it slips: this share of its width.
    SLIPS_SHARE = 1r / 5

    # More than any opening: what is drawn through stays.
    NEVER_SLIPS = Length.mm(1000)

    # Standard deviations of the slack, mm: of the button as measured, of the fold and the length as shares
    # of themselves, and of how each hole is cut.
    BUTTON_SPREAD = 0.3
    FOLD_SPREAD = 0.5
    LENGTH_SPREAD = 0.01
    CUT_SPREAD = 0.2

    VERDICTS = {
      "will_not_pass" => "will not pass", "tight" => "tight", "snug" => "snug",
      "easy" => "easy", "slips_out" => "slips out"
    }.freeze

    # Of a bar tack, which nothing passes.
    TACK_VERDICTS = {
      "will_not_pass" => "much too short", "tight" => "a little short", "snug" => "as long as it should be",
      "easy" => "a little long", "slips_out" => "much too long"
    }.freeze

    # key - String, a key of VERDICTS; opens - Boolean, of a hole; slack, slips_from - Length; deviation - Float, mm, of
    #   the slack
    class Verdict < Value.of(:key, :slack, :deviation, :slips_from, opens: true)
      def words = (opens ? VERDICTS : TACK_VERDICTS).fetch(key)
      def usable? = %w[tight snug easy].include?(key)

      # @return [Float] chance that the button is in this band, from 0 to 1
      def chance = (upper ? below(upper) : 1.0) - (lower ? below(lower) : 0.0)

      # @return [Float] chance that it goes through at all
      def passes = 1 - below(TIGHT_FROM.to_f)

      # @return [Integer] the chance of the band as so many in 20, never more sure than 19
      def in_twenty = Verdict.twentieths(chance)

      # @return [Integer] the chance of going through at all, in 20
      def passes_in_twenty = Verdict.twentieths(passes)

      # So many in 20 and more are said so; what is less is no more than perhaps.
      ADVERBS = { 18 => "very likely", 15 => "likely" }.freeze
      # From so many on it may fit.
      MAY = 7

      # @param count [Integer] in 20
      # @return [String] how likely that is
      def self.likely(count) = ADVERBS.find { |least, _| count >= least }&.last || "perhaps"

      # @param count [Integer] holes of 20 that fit, as test holes showed
      # @return [String]
      def self.to_fit(count)
        return "#{likely(count)} to fit" if count >= ADVERBS.keys.min

        count >= MAY ? "may fit" : "unlikely to fit"
      end

      # @param chance [Float]
      # @return [Integer]
      def self.twentieths(chance) = (chance * 20).round.clamp(1, 19)

      private

      def lower
        from = { "tight" => TIGHT_FROM, "snug" => SNUG_FROM, "easy" => EASY_FROM, "slips_out" => slips_from }
        from[key]&.to_f
      end

      def upper
        { "will_not_pass" => TIGHT_FROM, "tight" => SNUG_FROM, "snug" => EASY_FROM, "easy" => slips_from }[key]&.to_f
      end

      # Share of a normal distribution around the slack that lies below. Source: Φ(z) = (1 + erf(z/√2)) / 2.
      def below(edge)
        (1 + Math.erf((edge - slack.to_f) / (deviation * Math.sqrt(2)))) / 2
      end
    end
  end
end
