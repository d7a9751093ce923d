# frozen_string_literal: true

# stitch: the thread itself and the cover it gives; the stitches of a hole one by one, and what they
# come to.

require_relative "stitch/thread"
require_relative "stitch/linear_density"
require_relative "stitch/path"
require_relative "stitch/reckoning"
require_relative "stitch/simulation"
