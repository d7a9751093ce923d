# frozen_string_literal: true

# TestHole is the part of the steps that comes before the garment: a hole or a tack on a scrap, or the recent swatch
# that stands for it.

require_relative "../answer/sentence"
require_relative "../work/operation"
require_relative "../work/step"
require_relative "begin_again"
require_relative "row_state"
require_relative "sewing_words"

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
      def steps
        return [as_stored] if @order.stored
        # What was logged and is in use is not asked for again. A length that a key stores has to be stored.
        return [back].compact if @order.tested && !@order.stores?

        [test_sew, watch, test_open, accept, back].compact
      end

      private

      def step(name, *operations, **more)
        Work::Step.of(name, block: "row", part: TEST_HOLE, operations: operations, **more)
      end

      # Nothing is tried on a scrap: the first hole of the row is looked at all the harder.
      def as_stored
        first = Sentence["It came out well with this machine, fabric and foot. Sew the lowest #{@order.noun} first: it should " \
                         "be %s overall; if it is not, sew a test after all.", @order.overall]
        step("stored", Work::Operation["lay_swatch", figures: @order.lengths.merge(@order.sewn_by), minds: [first],
                                       says: "Lay your recent test beside you: this #{@order.noun} is set as that one was."])
      end

      def test_sew
        step("test-sew", lever, Work::Operation["sew_scrap", figures: @order.lengths.merge(@order.length_set, @order.sewn_by),
                                                needs: needs, sets: sets, says: scrap,
                                                minds: [*test_words, *in_between,
                                                        "Take the same layers, grain and stabiliser."]])
      end

      def lever
        return unless @order.clamped?

        Work::Operation["lower_lever", needs: { "lever" => nil }, sets: { "lever" => RowState::DOWN },
                        minds: ["Foot down. Pull the buttonhole lever right down."]]
      end

      def needs = RowState.new(@order).at_the_needle.except(*("memory" if @order.stores?))

      # By hand the dials are turned within the hole, and stand as they were turned last.
      def sets
        { **RowState.new(@order).left_by_the_needle, **(@order.stores? ? { "memory" => @order.setting.figure } : {}) }
      end

      # The figure to hit stands in the step itself where a tack gets its length from it.
      def scrap
        says = "Sew a test #{@order.noun} on a matching scrap"
        return Sentence["#{says}: %s.", @order.setting.short] unless @order.opens?

        [says, *@order.recipe.twice_words(@machine.type)].join(", ").concat(".")
      end

      # A tack has its figure in its headline, and is told beside it to be sewn twice.
      def in_between
        return @order.recipe.again_words(@machine.type) unless @order.opens?

        "Start over in between." if @order.recipe.second_pass && @order.recipe.whole_again?(@machine.type)
      end

      def test_words
        said = @order.setting
        how = (SewingWords.new(@order).how if @order.by_hand?)
        return [said.says, how, Sentence["It should come out %s long.", @order.overall]].compact unless @order.opens?

        @order.clamped? ? [] : [said.says, how].compact
      end

      # What the ruler should say, where it is laid on; what is drawn comes out as it is drawn.
      def measured
        said = @order.setting
        what = "Measure the #{@order.cut_open}"
        return Sentence["#{what}: expect about %s to %s.", *said.expected] if @order.clamped? && said.expected
        return "#{what}." if said.by.drawn && !@order.by_hand? && !@order.clamped?

        Sentence["#{what}: expect %s, %s overall.", @order.opening, @order.overall]
      end

      # Nobody is told where their machine begins before they have seen it.
      def watch
        return if @order.by_hand?
        return watch_tack unless @order.opens?
        return if @machine.watched?

        step("watch", Work::Operation["watch",
                                      says: "Watch it: which end does it begin at, and which side first?",
                                      minds: ["Write both on the machine's page."]],
             symptom: "Unknown, start marks are given for both ends.")
      end

      def watch_tack
        step("watch", Work::Operation["watch", says: "Watch which way it sews first: mostly away from you.",
                                      minds: ["Start marks are given for the end towards you. Where it sews towards you, begin at " \
                                              "the other end."]],
             symptom: "Overlooked, a tack lies a whole length off its mark.")
      end

      def test_open
        return test_pull unless @order.opens?

        noun = @order.button.form.noun
        step("test-open", Work::Operation["open_scrap", figures: @order.lengths, says: measured,
                                          minds: ["Cut it open and try the #{noun}.", "Log what you see."]],
             symptom: "If you skip this, the first hole in the garment is the test.")
      end

      def test_pull
        step("test-open", Work::Operation["pull_scrap",
                                          says: "Measure the tack, pull hard, and log what you see."],
             symptom: "If you skip this, the first tack in the garment is the test.")
      end

      def accept
        again = "If not, make the change#{', go back to the start' if @order.opens?} and sew another."
        step("accept", Work::Operation["accept", figures: @order.lengths.merge(@order.sewn_by), minds: [again],
                                       says: "Good test #{@order.noun}? Use these settings for the row."])
      end

      # The test used up a cycle, like any hole.
      def back
        again = BeginAgain.of(@order, also: kept) or return

        step("reset-test", again, symptom: "If you skip this, the first #{@order.noun} starts partway through.")
      end

      def kept = @order.stores? ? "Don't switch off: the machine would forget the length. Lock it." : nil
    end
  end
end
