# frozen_string_literal: true

# stitch: the thread itself and the cover it gives.

require_relative "stitch/thread"
