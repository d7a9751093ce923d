# frozen_string_literal: true

# swatch: test sew, inspection, and the one change to make next.

require_relative "swatch/symptom"
require_relative "swatch/swatch"
require_relative "swatch/diagnosis"
