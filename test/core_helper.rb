# frozen_string_literal: true

# For tests of the core: loads lib/ and nothing else, and makes the values they begin with.

$LOAD_PATH.unshift File.expand_path("../lib", __dir__)
BEFORE_CORE = $LOADED_FEATURES.dup unless defined?(BEFORE_CORE)
require "nimble_eyelet"
AFTER_CORE = ($LOADED_FEATURES - BEFORE_CORE).freeze unless defined?(AFTER_CORE)
require "minitest/autorun"
require_relative "support/core_values"
require_relative "support/said"

class CoreTest < Minitest::Test
  include CoreValues
  include NimbleEyelet::Support::Said

  # The faults a block is refused with, by field.
  def refused(&block)
    assert_raises(Refusal, &block).faults.to_h { |fault| [fault.field, fault.allowed.to_s] }
  end
end
