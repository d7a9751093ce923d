# frozen_string_literal: true

# SewingMachine is what a machine that can be told what to sew would have to answer: it takes what the
# sheet sets, and says what came of it. {StandInMachine} ships with the application.
#
#   machine.sew(sheet, hole: "6f0c…")                 # => SewnReport
#   machine.sew(sheet, hole: "6f0c…", look: "77aa…")  # the same hole, looked at a second time

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module Device
    # What somebody would measure and see. measured - Length of the slit; passes - String, key of PASSES
    # looks - Hash of look to grade; simulated - Boolean
    SewnReport = Value.of(:measured, :passes, :looks, simulated: false)
  end
end
