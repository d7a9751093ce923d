# frozen_string_literal: true

# measure: millimetres, inches and fractions, lignes; exact arithmetic; rounding to what can be
# set or marked.

require_relative "measure/length"
require_relative "measure/wording"
require_relative "measure/notation"
require_relative "measure/ruler"
require_relative "measure/limits"
require_relative "measure/readings"
