# frozen_string_literal: true

# The craft of sewn buttonholes, and nothing else: no HTTP, no database, no files, no clock.
#
#   require "nimble_eyelet"
#   NimbleEyelet::Sheet.of(plan).cut.length
#
# Every folder is a room and stands on a floor: what things are lies below, what is done with them
# above. docs/architecture.md has the plan of the house.

Dir[File.join(__dir__, "nimble_eyelet", "**", "*.rb")].each { |file| require file }
