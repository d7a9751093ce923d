# frozen_string_literal: true

# ButtonsByHand are the sentences and figures of buttons that are sewn on by hand, and of toggles tied on with a cord.
#
#   ButtonsByHand.new(order).thread.says   # => Sentence, how much is cut for each button

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../work/operation"

module NimbleEyelet
  module Sewing
    # @param attaching [Attach::Attaching]
    # @return [Hash{String => Length, String}] what a button is sewn on with, by the paths of its figures
    def self.button_figures(attaching)
      { "attach.pattern" => attaching.pattern.key, "attach.stitches" => attaching.stitches.to_s, "attach.shank" => attaching.shank }
    end

    class ButtonsByHand
      # Key of the operation.
      ON_BY_HAND = "sew_button_by_hand"
      # Two knots of a toggle's cord, and what is held while they are made.
      CORD_ENDS = Length.mm(100)
      # Cord is cut to the next of these.
      CORD_CUT_TO = Length.mm(5)
      private_constant :CORD_CUT_TO

      # @param attaching [Attach::Attaching] with a cord
      # @return [Length] that is cut for one toggle
      def self.cord_for_one(attaching) = ((attaching.cord * 2) + CORD_ENDS).round_up_to(CORD_CUT_TO)

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @attaching = order.attaching
      end

      # @return [Work::Operation] what is cut for each
      def thread
        return cord if @attaching.cord

        length = @attaching.hand_thread
        Work::Operation["cut_thread", figures: { "attach.hand_thread" => length }, minds: [*@attaching.instead],
                                      says: Sentence["Cut %s of thread for each button. Double it and wax it.", Tool::SCISSORS.at(length)]]
      end

      # @return [Hash{String => Length, String}]
      def figures = @attaching.cord ? { "attach.cord" => @attaching.cord } : Sewing.button_figures(@attaching)

      # @return [String] with %d for its number
      def says = @attaching.cord ? "Tie toggle %d on." : "Sew button %d on by hand."

      # @return [Array<Sentence>]
      def minds = [@attaching.cord ? tied : sewn]

      private

      def cord
        each = ButtonsByHand.cord_for_one(@attaching)
        Work::Operation["cut_thread", figures: { "attach.cord" => @attaching.cord },
                                      says: Sentence["Cut %s of thin cord for each toggle.", Tool::SCISSORS.at(each)]]
      end

      def tied
        Sentence["Knot it behind a small patch. Leave %s from fabric to toggle, or it cannot tip.", @attaching.cord]
      end

      def sewn
        high = @attaching.shank.positive?
        shank = high ? "over the pin. Take it out and wind the thread four to five times round" : "and knot behind"
        Sentence["#{'Over a pin, for a shank of %s. ' if high}Make two small stitches on the mark. Make four to six passes#{pairs} #{shank}. " \
                 "To the back, two stitches over each other, knot and trim.#{backing}", *(@attaching.shank if high)]
      end

      def pairs = @order.button.holes == 4 ? " through one pair, as many through the other," : ""

      # In heavy cloth the thread would cut through.
      def backing = @attaching.heavy ? " Catch a small flat button behind with every pass." : ""
    end
  end
end
