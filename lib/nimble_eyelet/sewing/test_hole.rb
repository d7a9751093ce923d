# frozen_string_literal: true

# TestHole is the part of the steps that comes before the garment: a hole or a tack on a scrap, or the recent swatch that stands
# for it.

require_relative "../answer/sentence"
require_relative "step"

module NimbleEyelet
  module Sewing
    class TestHole
      TEST_HOLE = "Test"

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
      end

      # @return [Array<Step>]
      def steps = @order.stored ? [as_stored] : [test_sew, watch, test_open, accept, back].compact

      private

      # Nothing is tried on a scrap: the first hole of the row is looked at all the harder.
      def as_stored
        Step.new(key: "stored", part: TEST_HOLE, does: "Lay the recent swatch beside you: this #{@order.noun} is set as that one was.",
                 how: Sentence["It came out well with this machine, cloth and foot. Sew the lowest #{@order.noun} first: it should " \
                               "be %s overall; if it is not, sew a test after all.", @order.overall],
                 figures: @order.lengths.merge(@order.sewn_by))
      end

      def test_sew
        lever = @order.clamped? ? { "lever" => "down" } : {}
        Step.new(key: "test-sew", part: TEST_HOLE,
                 does: scrap,
                 how: Sentence["%s %s", *test_words], figures: @order.lengths.merge(@order.length_set, @order.sewn_by),
                 moves: @order.stores? ? { "memory" => @order.setting.figure } : lever, hazards: %w[wheel])
      end

      # The figure to hit stands in the step itself where a tack gets its length from it.
      def scrap
        says = "Sew a test #{@order.noun} on a scrap of the same layers, grain and stabiliser"
        @order.opens? ? "#{says}." : Sentence["#{says}: %s.", @order.setting.short]
      end

      def test_words
        said = @order.setting
        return [said.says, tack_words] unless @order.opens?

        aim = Sentence["It should come out with #{@order.a_cut_open} of %s, %s overall.", @order.opening, @order.overall]
        return [said.says, aim] unless @order.clamped?

        ["Foot down, then the sensing lever down and touching.",
         said.expected ? Sentence["Expect a slit of about %s to %s.", *said.expected] : aim]
      end

      def tack_words
        return Sentence["Sewn so that it is %s long.", @order.overall] unless @order.by_hand?

        return Sentence["Straight stitch from line to line and back, six rows: %s long.", @order.overall] if @order.straight?

        Sentence["Straight stitch from line to line and back, then zigzag over it, three stitches at length 0 to lock: %s long.",
                 @order.overall]
      end

      # Nobody is told where their machine begins before they have seen it.
      def watch
        return if @order.by_hand?
        return watch_tack unless @order.opens?
        return if @machine.watched?

        Step.new(key: "watch", part: TEST_HOLE, does: "Watch it: which end does it begin at, and which side first?",
                 how: "Write both on the machine's page: then every start mark is given for the right end.",
                 symptom: "Unknown, start marks are given for both ends.")
      end

      def watch_tack
        Step.new(key: "watch", part: TEST_HOLE, does: "Watch which way it sews first: mostly away from you.",
                 how: "Start marks are given for the end toward you. Where it sews toward you, begin at the other end.",
                 symptom: "Overlooked, a tack lies a whole length off its mark.")
      end

      def test_open
        return test_pull unless @order.opens?

        noun = @order.button.form.noun
        Step.new(key: "test-open", part: TEST_HOLE, hazards: %w[blade],
                 does: "Measure the #{@order.cut_open}, cut it open, put the #{noun} through, and log what you see.",
                 symptom: "Skipped, the first hole cut into the garment is the test.")
      end

      def test_pull
        Step.new(key: "test-open", part: TEST_HOLE, does: "Measure the tack, pull hard at what it holds, and log what you see.",
                 symptom: "Skipped, the first tack in the garment is the test.")
      end

      def accept
        Step.new(key: "accept", part: TEST_HOLE, does: "When it looks right on every axis, accept the swatch: its " \
                                                       "settings hold for the row.",
                 how: "Otherwise make the change it asks for,#{' go back to the first part,' if @order.opens?} and sew " \
                      "another.", figures: @order.lengths.merge(@order.sewn_by))
      end

      # The test used up a cycle, like any hole.
      def back
        return unless @order.reset?

        kept = @order.stores? ? " The stored length stays: lock the machine rather than switch it off." : ""
        Step.new(key: "reset-test", part: TEST_HOLE, does: "Back to the first part: #{@machine.reset_words}.#{kept}",
                 symptom: "Forgotten, the garment's first #{@order.noun} starts in the middle of the cycle.",
                 moves: @order.clamped? ? { "lever" => nil } : {})
      end
    end
  end
end
