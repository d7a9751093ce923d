# frozen_string_literal: true

# placket: where do the holes go, and where are the marks.

require_relative "placket/run"
require_relative "placket/demands"
require_relative "placket/solver"
require_relative "placket/collision"
require_relative "placket/hole"
require_relative "placket/edge"
require_relative "placket/layout"
