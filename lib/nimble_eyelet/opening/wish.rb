# frozen_string_literal: true

# Wish is how a person wants holes sized: by which school, with what it asks for, and rounded to
# what they can set.
#
#   Opening::Wish.new(school: "passing_geometry", allowance: Length.mm(3), correction: Length.zero,
#                     ruler: "half_millimetre")

require_relative "../refused"
require_relative "../measure"

module NimbleEyelet
  module Opening
    CLICKS = (0..20)

    # school - String; allowance - Length for the fixed allowance school
    # correction - Length learned from test holes; ruler - String, key of Measure::RULERS
    # clicks - Integer, for the carriage foot; wrapped - Length of a strip round the button, or nil
    # ease - Length added to H, or nil to go by the cloth
    Wish = Value.define(:school, :allowance, :correction, :ruler, :clicks, :wrapped, :ease, clicks: 1, wrapped: nil, ease: nil) do
      # @return [self]
      # @raise [Refused]
      def sound!
        Refused.unless_sound do |check|
          Measure::Limits.check(check, "opening.allowance", allowance)
          Measure::Limits.check(check, "opening.correction", correction)
          Measure::Limits.check(check, "opening.wrapped", wrapped) if wrapped
          Measure::Limits.check(check, "opening.ease", ease) if ease
          check.that("opening.clicks", clicks, CLICKS.cover?(clicks),
                     "This takes a whole number from #{CLICKS.min} to #{CLICKS.max}.")
        end
        self
      end
    end
  end
end
