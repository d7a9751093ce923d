# frozen_string_literal: true

# The craft of sewn buttonholes, and nothing else: no HTTP, no database, no files, no clock.
#
#   require "nimble_eyelet"
#   NimbleEyelet::Sheet.of(plan).cut.length

require_relative "nimble_eyelet/measure"
require_relative "nimble_eyelet/button"
require_relative "nimble_eyelet/opening"
require_relative "nimble_eyelet/placket"
require_relative "nimble_eyelet/recipe"
require_relative "nimble_eyelet/stitch"
require_relative "nimble_eyelet/swatch"
require_relative "nimble_eyelet/sewing"
require_relative "nimble_eyelet/attach"
require_relative "nimble_eyelet/habit"
require_relative "nimble_eyelet/sheet"
