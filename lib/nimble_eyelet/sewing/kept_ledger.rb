# frozen_string_literal: true

# KeptLedger is what of a machine is changed from its usual, read as this version or an earlier one kept it.
#
#   Sewing::KeptLedger.of("top_thread" => "cream (tex 27 polyester)").state   # => { "top_thread" => "cream, number 110" }

require_relative "../machine/ledger"
require_relative "../thread/sewing_thread"

module NimbleEyelet
  module Sewing
    module KeptLedger
      THREADS = %w[top_thread bobbin_thread].freeze
      private_constant :THREADS

      # @param state [Hash{String => Length, String, nil}] by part
      # @return [Ledger]
      def self.of(state)
        Ledger.kept(state.to_h { |part, kept| [part, THREADS.include?(part) ? SewingThread.spool_of(kept) : kept] })
      end
    end
  end
end
