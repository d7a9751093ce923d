# frozen_string_literal: true

# What can be wrong with a request for something kept.

module NimbleEyelet
  module Store
    # No such thing in this workroom.
    class Missing < StandardError; end

    # Somebody else saved in the meantime.
    class Stale < StandardError
      # @return [Object] as it is now
      attr_reader :current

      def initialize(current)
        @current = current
        super("changed in the meantime")
      end
    end
  end
end
