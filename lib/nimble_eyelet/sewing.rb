# frozen_string_literal: true

# sewing: machine, ledger, steps, session order.

require_relative "sewing/machine"
require_relative "sewing/ledger"
require_relative "sewing/step"
require_relative "sewing/steps"
require_relative "sewing/progress"
