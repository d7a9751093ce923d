# frozen_string_literal: true

# Step is one thing to do with the hands, what it changes on the machine, and the sign by which one
# notices that it was left out.

require_relative "../value"

module NimbleEyelet
  module Sewing
    # key     - String, stays the same when the plan changes elsewhere
    # part    - String, heading the step stands under
    # does    - String or Sentence; how - String or Sentence or nil
    # changes - Hash for Ledger#changed; symptom - String or nil, what happens when it is skipped
    # caution - String or nil; guarded - Boolean, never passed over silently
    class Step < Value.of(:key, :part, :does, :how, :changes, :symptom, :caution, how: nil, changes: {},
                          symptom: nil, caution: nil)
      def guarded? = !symptom.nil?
    end
  end
end
