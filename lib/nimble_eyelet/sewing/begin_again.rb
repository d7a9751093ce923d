# frozen_string_literal: true

# BeginAgain is what takes the machine back to the beginning of a hole: its first part, and the buttonhole lever up.
#
#   BeginAgain.of(order)&.says   # => "Back to the start: push the lever away from you."

require_relative "../work/operation"

module NimbleEyelet
  module Sewing
    module BeginAgain
      # A reset that lifts the lever by itself.
      LIFTS_LEVER = "push_lever"

      # @param order [SewingOrder]
      # @param figures [Hash{String => Length}]
      # @param also [String, nil] what else is said
      # @return [Work::Operation, nil] nothing where the next hole begins by itself
      def self.of(order, figures: {}, also: nil)
        return unless order.reset? || order.clamped?

        Work::Operation["begin_again", figures: figures, sets: sets(order), says: [says(order), also].compact.join(" ")]
      end

      def self.sets(order)
        { **(order.clamped? ? { "lever" => nil } : {}), **(order.reset? ? { "cycle" => nil } : {}) }
      end

      def self.says(order)
        return "Push the buttonhole lever up." unless order.reset?

        lever = order.clamped? && order.machine.reset != LIFTS_LEVER ? " Push the buttonhole lever up." : ""
        "Back to the start: #{order.machine.reset_words}.#{lever}"
      end
      private_class_method :says, :sets
    end
  end
end
