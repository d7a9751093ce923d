# frozen_string_literal: true

# Memory is whatever remembers what was worked out, by all that it hangs on: `of(key) { … }`. The core keeps none of its
# own; it is handed one, or this.

module NimbleEyelet
  # What remembers nothing: whatever is asked for is worked out.
  NO_MEMORY = Object.new.tap { |none| none.define_singleton_method(:of) { |_key, &work| work.call } }.freeze
end
