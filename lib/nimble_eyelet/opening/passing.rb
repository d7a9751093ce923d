# frozen_string_literal: true

# Passing is how one button goes through slits in one cloth: what the cloth gives, what its fold
# takes, and what a keyhole's eye adds. From that follow the slack of any length, its verdict and the
# chance of it.
#
#   passing = Opening::Passing.of(button, cloth, held: 1r)
#   passing.slack(Length.mm(23))          # 1.3 mm
#   passing.verdict(Length.mm(23)).key    # => "snug"
#
# Slack = L × (1 + 0.3 × stretch × what a stay leaves of it) + eye − H − fold. An eye of open radius r is a
# circle instead of 2r of slit: it opens to (π − 2)·r more.

require_relative "../length/length"
require_relative "../length/wording"
require_relative "../value"
require_relative "verdict"

module NimbleEyelet
  module Opening
    # half_perimeter, fold, across - Length; give - Rational, how much further a slit reaches
    # eye - Length, what a keyhole's eye adds; fastens - Boolean, what is no button cannot slip out
    # doubt - Float, mm: what a button whose thickness is a guess adds to what is uncertain
    # opens - Boolean; of a bar tack, which nothing passes, slack is how much longer it is than it may be at least
    class Passing < Value.of(:half_perimeter, :fold, :give, :across, eye: Length.zero, fastens: true, opens: true,
                               doubt: 0.0)
      # @param button [Button]
      # @param cloth [Cloth]
      # @param held [Rational] share of the stretch that is left: 1 unstayed, a half with a knit stay, 0 with a cord
      # @param ends [Ends, nil] whose eye counts
      # @param round [Boolean] an eyelet, which is open without being pushed apart: π/2 of its width
      # @return [Passing]
      def self.of(button, cloth, held: 1r, ends: nil, round: false)
        own = { half_perimeter: button.half_perimeter, across: button.across, fastens: button.fastens?,
                doubt: button.doubt }
        return new(**own, fold: Length.zero, give: ROUND) if round
        return tack(own) unless button.opens?

        eye = ends ? Length.mm((Math::PI - 2) * ends.eye.to_f) : Length.zero
        new(**own, fold: cloth.fold, give: cloth.give(held), eye: eye)
      end

      # As long as it is wanted, it lies in the middle of what is right.
      def self.tack(own)
        new(**own, half_perimeter: own[:half_perimeter] - ((SNUG_FROM + EASY_FROM) / 2), fold: Length.zero, give: 1r,
                   opens: false)
      end
      private_class_method :tack

      # Half the way round a circle, as a share of its width.
      ROUND = Rational(Math::PI / 2).rationalize(1r / 100_000)

      # @param length [Length] the cut length
      # @return [Length] negative when nothing gives way
      def slack(length) = (length * give) + eye - half_perimeter - fold

      # @param slack [Length]
      # @return [Length] the cut length that has it
      def length(slack) = (half_perimeter + fold + slack - eye) / give

      # @param length [Length]
      # @return [Verdict]
      def verdict(length)
        slack = slack(length)
        Verdict.new(key: band(slack), slack: slack, deviation: deviation(length), slips_from: slips_from,
                    opens: opens)
      end

      # @param wants [Length] what the button was seen to want beyond what was reckoned
      # @return [Hash{String => Length}] the shortest cut length of each band, from tight on
      def bands(wants = Length.zero) = lower_ends.transform_values { |slack| [length(slack + wants), Length.zero].max }

      # What the slit has to do for this button, as a test hole keeps it.
      #
      # @return [Hash{String => Length, String, nil}] by path
      def kept
        { "slit.need" => half_perimeter + fold - eye, "slit.give" => Wording.decimal(give, 5), "slit.slips" => slips_from,
          "slit.doubt" => (Wording.decimal(doubt.to_r, 3) if doubt.positive?) }
      end

      # @return [Length] slack from which a button slips out
      def slips_from
        return SLIPS_FROM unless opens

        fastens ? [SLIPS_FROM, across * SLIPS_SHARE].max : NEVER_SLIPS
      end

      private

      def lower_ends = { "tight" => TIGHT_FROM, "snug" => SNUG_FROM, "easy" => EASY_FROM, "slips_out" => slips_from }

      def band(slack)
        return "slips_out" if slack > slips_from

        lower_ends.except("slips_out").select { |_, least| slack >= least }.keys.last || "will_not_pass"
      end

      # @return [Float] mm
      def deviation(length)
        shared = (BUTTON_SPREAD**2) + (doubt**2) + ((FOLD_SPREAD * fold.to_f)**2) + ((LENGTH_SPREAD * length.to_f)**2)
        Math.sqrt(shared + (CUT_SPREAD**2))
      end
    end
  end
end
