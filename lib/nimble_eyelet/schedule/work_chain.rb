# frozen_string_literal: true

# WorkChain is the work on one closure as the order of a session sees it: blocks one after the other, each with its
# seconds, what it needs on the machine, and how long it has to dry afterwards.

require_relative "../value"

module NimbleEyelet
  module Schedule
    # key - String; seconds - Integer of work; needs - Hash of machine part to state, nil where the machine is not used
    # dries - Integer, seconds after it in which nothing can be done to this closure
    class WorkBlock < Value.of(:key, :seconds, needs: nil, dries: 0)
      def machine? = !needs.nil?
    end

    # key - Object, which closure; blocks - Array<WorkBlock> still to be done
    # dry_in - Integer, seconds from now until the first of them can begin
    class WorkChain < Value.of(:key, :blocks, dry_in: 0)
      # @param chains [Array<WorkChain>]
      # @return [Array<Hash>] everything the machine is needed for
      def self.needs(chains) = chains.flat_map(&:blocks).filter_map(&:needs)

      # @return [Integer]
      def seconds = blocks.sum(&:seconds)
    end
  end
end
