# frozen_string_literal: true

# Sizing is how a person wants holes sized: by which school, with what it asks for, and rounded to
# what they can set.
#
#   Opening::Sizing.new(school: "passing_geometry", allowance: Length.mm(3), correction: Length.zero,
#                     ruler: "half_millimetre")

require_relative "../answer/refusal"
require_relative "../typing/limits"
require_relative "../value"

module NimbleEyelet
  module Opening
    CLICKS = (0..20)

    # school - String; allowance - Length for the fixed allowance school
    # correction - Length learned from test holes; ruler - String, key of RULERS
    # clicks - Integer, for the carriage foot; wrapped - Length of a strip round the button, or nil
    # ease - Length added to H, or nil to go by the cloth
    class Sizing < Value.of(:school, :allowance, :correction, :ruler, :clicks, :wrapped, :ease, clicks: 1,
                          wrapped: nil, ease: nil)
      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limits.check(check, "opening.allowance", allowance)
          Typing::Limits.check(check, "opening.correction", correction)
          Typing::Limits.check(check, "opening.wrapped", wrapped) if wrapped
          Typing::Limits.check(check, "opening.ease", ease) if ease
          check.expect("opening.clicks", clicks, CLICKS.cover?(clicks),
                       "This takes a whole number from #{CLICKS.min} to #{CLICKS.max}.")
        end
        self
      end
    end
  end
end
