# frozen_string_literal: true

# OpeningChoice is how a person wants holes sized: by which school, with what it asks for, and rounded to
# what they can set.
#
#   Opening::OpeningChoice.new(school: "passing_geometry", allowance: Length.mm(3), correction: Length.zero,
#                     ruler: "half_millimetre")

require_relative "../answer/refusal"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  module Opening
    # Where the length of a bar tack comes from, on a machine with a programme for it.
    TACK_LENGTHS = { "own" => "the programme's own length", "pressed" => "a length you press" }.freeze

    # school - String; allowance - Length for the fixed allowance school
    # correction - Length to set beyond what is wanted, or nil to go by what test holes taught; ruler - String, key of
    #   RULERS
    # clicks - Integer, for the carriage foot; wrapped - Length of a strip round the button, or nil
    # ease - Length added to H, or nil to go by the cloth; tack_by - String, key of TACK_LENGTHS, or nil for what fits
    class OpeningChoice < Value.of(:school, :allowance, :correction, :ruler, clicks: 1, wrapped: nil, ease: nil,
                                   tack_by: nil)
      LIMITS = {
        allowance: Typing::Limit.length(0, 20), correction: Typing::Limit.length(-20, 20), clicks: Typing::Limit.whole(0..20),
        wrapped: Typing::Limit.length(0, 500, open: true), ease: Typing::Limit.length(0, 20)
      }.freeze

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "opening", self, LIMITS)
        end
        self
      end
    end
  end
end
