# frozen_string_literal: true

# Verdict says how a button will go through a slit of a given length in a given cloth: it will
# not pass, or sits tight, snug, easy, or slips out by itself.
#
#   Opening::Verdict.of(Length.mm(23), button, cloth).key   # => "snug"
#
# Slack = effective opening − H − fold, where the effective opening is the cut length times the
# cloth's give, and the fold is half the stack.

require_relative "../length/length"
require_relative "../value"

module NimbleEyelet
  module Opening
    # Lower ends of the bands of slack.
    SNUG_FROM = Length.mm(1r / 2)
    EASY_FROM = Length.mm(2)
    SLIPS_FROM = Length.mm(4)
    # A large button may have more slack before it slips: this share of its width.
    SLIPS_SHARE = 1r / 5

    VERDICTS = {
      "will_not_pass" => "will not pass", "tight" => "tight", "snug" => "snug",
      "easy" => "easy", "slips_out" => "slips out"
    }.freeze

    # key - String, a key of VERDICTS; slack - Length, negative when the button will not pass
    class Verdict < Value.of(:key, :slack)
      def words = VERDICTS.fetch(key)
      def usable? = %w[tight snug easy].include?(key)

      # @param length [Length] the cut length
      # @param button [Button]
      # @param cloth [Cloth]
      # @return [Verdict]
      def self.of(length, button, cloth)
        slack = (length * cloth.give) - button.half_perimeter - cloth.fold
        new(key: band(slack, button), slack: slack)
      end

      # @return [Hash{String => Length}] the shortest cut length of each band, from tight on
      def self.bands(button, cloth)
        { "tight" => Length.zero, "snug" => SNUG_FROM, "easy" => EASY_FROM, "slips_out" => slips_from(button) }
          .transform_values { |slack| (button.half_perimeter + cloth.fold + slack) / cloth.give }
      end

      def self.slips_from(button) = [SLIPS_FROM, button.across * SLIPS_SHARE].max

      def self.band(slack, button)
        return "will_not_pass" if slack.negative?
        return "tight" if slack < SNUG_FROM
        return "snug" if slack < EASY_FROM

        slack <= slips_from(button) ? "easy" : "slips_out"
      end
      private_class_method :band, :slips_from
    end
  end
end
