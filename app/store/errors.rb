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

    # It goes back to something that lies in the waste basket, or that is gone.
    class Removed < StandardError
      # @return [Hash] kind, id and name of what is missing
      attr_reader :what

      def initialize(what)
        @what = what
        super("#{what[:kind]} #{what[:name]} is not there any more")
      end
    end

    # The same id was used for another fact.
    class Clash < StandardError; end
  end
end
