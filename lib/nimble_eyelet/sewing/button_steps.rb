# frozen_string_literal: true

# ButtonSteps is how the buttons are sewn on, by machine or by hand, one first and then the rest.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../machine/machine"
require_relative "../work/operation"
require_relative "../work/step"
require_relative "button_ends"
require_relative "buttons_by_hand"
require_relative "row_state"

module NimbleEyelet
  module Sewing
    class ButtonSteps
      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @attaching = order.attaching
        @machine = order.machine
      end

      # @return [Array<Work::Step>]
      def steps
        return [] unless @order.buttons?

        [marks, *sewn_on, *ButtonEnds.new(@order).last].compact
      end

      private

      def part = ButtonEnds::BUTTONED

      def step(name, *operations, block: "buttons", part: self.part, **more)
        Work::Step.of(name, block: block, part: part, operations: operations, **more)
      end

      def sewn_on
        return pinned if @order.button.shank? && @order.button_sewing.shank_by == "pin"

        return by_machine if @attaching.by_machine

        by_hand = ButtonsByHand.new(@order)
        [step("hand-thread", by_hand.thread), *each(ButtonsByHand::ON_BY_HAND, by_hand.says, by_hand.minds, figures: by_hand.figures)]
      end

      def child = @order.for_child ? %w[children] : []
      def spacing? = @attaching.shank.positive?

      # A pin leaves its hole in what has no grain to close it.
      def pointer = @order.cloth.type.perforates ? "Make a pencil dot" : "Pin"

      def marks
        how = "Lay it flat, hems level#{compare}. Sew one button first and look whether it lies flat."
        step("mark-buttons", Work::Operation["mark_buttons", figures: places.merge("attach.marks" => by_plan? ? "plan" : "through"),
                                             lasts: Work::Lasting.at("marked", @order.layout.holes.map(&:button)),
                                             says: marked, minds: [how]])
      end

      def places = @order.layout.holes.to_h { |hole| ["button.#{hole.number}", hole.button] }
      def by_plan? = @order.button_sewing.from_plan?

      def marked
        return marked_by_way if @order.way && @order.slit_by_hand.nil? && !by_plan?
        return "Close the edge. #{pointer} through each hole where the button will sit." unless by_plan?

        at = @order.layout.holes.map(&:button)
        Sentence["Mark the buttons from the plan. From the #{@order.layout.run.measured_from}: #{at.map { '%s' }.join(', ')}.", *at]
      end

      def marked_by_way
        @order.way.shown ? "Mark each button on the upper side, over its square." : "Close the edge and mark where each button sits."
      end

      # Where no hole is yet there is nothing to compare with.
      def compare
        if @order.buttons_first?
          ""
        else
          ", and compare with the #{by_plan? ? 'holes' : 'plan'}"
        end
      end

      # A button that comes off for washing sits in an eyelet of the underlap, on a pin.
      def pinned
        eyelets = Work::Operation["sew_eyelets", figures: places,
                                  lasts: Work::Lasting.at("punched", @order.layout.holes.map(&:button)),
                                  says: "Stitch an eyelet at every mark on the button side. Punch it open.",
                                  minds: ["Tried on the scrap first: the shank passes, its loop stands behind."]]
        pins = each("pin_button", "Put button %d through its eyelet and the pin through its loop.", [], figures: {})
        [step("shank-eyelet", eyelets), *pins]
      end

      def by_machine = [foot, feed, width, spacer, tried, *sewn, *ButtonEnds.new(@order).secured].compact

      def foot
        owned = @machine.foot("button_foot")
        fit = if owned
                Work::Operation["fit_foot", sets: fitted, says: "Fit the #{owned.full_name}."]
              else
                Work::Operation["fit_foot", sets: fitted,
                                minds: ["Never fingers under a bare needle. Tape and glue come off again after."],
                                says: "Fit the general zigzag foot. Hold the button with tape or a dot of glue stick outside its holes."]
              end
        step("button-foot", fit)
      end

      def fitted = { "foot" => ("button_foot" if @machine.foot("button_foot")) }

      def feed
        nudge = feed_stop == "length_zero" ? ["Length 0 still nudges a little: look before each button."] : []
        key = { "drop_feed" => "drop_feed", "cover_plate" => "cover_feed", "length_zero" => "stop_feed" }[feed_stop]
        step("feed-off", Work::Operation[key, sets: stopped, says: "#{FEED_STOPS.fetch(feed_stop).capitalize}.", minds: nudge],
             symptom: "If you skip this, the fabric creeps and the needle hits the button.")
      end

      def feed_stop = @order.button_sewing.feed_stop(@machine)

      def stopped
        { "drop_feed" => { "feed_dogs" => "dropped" }, "cover_plate" => { "cover_plate" => "on" },
          "length_zero" => { "length" => "0" } }.fetch(feed_stop)
      end

      def width
        dial = Work::Operation["set_width", figures: widths, sets: { "width" => width_mark }, says: "width #{width_mark}",
                               minds: [lined_up]]
        tension = Work::Operation["set_tension", sets: { "tension" => nil },
                                  says: "tension #{Wording.decimal(@machine.neutral_tension.to_r, 2)}"]
        select = Work::Operation["select", sets: { "selector" => "zigzag" }, says: "Select zigzag, needle up."]
        step("button-width", dial, tension, select)
      end

      def width_mark = @machine.width_mark(@attaching.width)

      def lined_up
        by = if @machine.anchor == "left"
               "Line it up by the first hole: this zigzag is anchored at the left."
             else
               "Line it up by the middle of the button."
             end
        @attaching.verdict == "mind" ? "#{by} Hardly any room." : by
      end

      def widths = { "attach.width" => @attaching.width, "attach.diagonal" => @attaching.diagonal }.compact

      # @return [Hash{String => Length, String, nil}] machine part to what it has to be while a button is sewn on
      def needs
        row = RowState.new(@order)
        { **row.needle, **row.threads, **fitted, **stopped, "width" => width_mark, "tension" => nil,
          "selector" => "zigzag",
          "button_in_foot" => nil }
      end

      # The dial goes back at once: the next button begins with a side again.
      def turned_for_the_diagonal
        return unless @attaching.diagonal

        " The diagonal needs width #{@machine.width_mark(@attaching.diagonal)}."
      end

      def spacer
        return unless spacing?

        step("spacer", Work::Operation["lay_spacer", figures: { "attach.spacer" => @attaching.spacer },
                                       says: Sentence["Lay a spacer %s high over the button, between the holes. It leaves a shank of %s.",
                                                      @attaching.spacer, @attaching.shank]])
      end

      # Where there is hardly any room.
      def tried
        return unless @attaching.verdict == "mind"

        says = Sentence["Sew a test button on a matching scrap. The needle has %s to the rim.",
                        @attaching.clearance.round_to(Length.mm(1r / 100))]
        step("test-button", Work::Operation["sew_test_button", figures: { "attach.clearance" => @attaching.clearance },
                                            needs: needs, says: says,
                                            minds: ["By hand through both holes first. If it touches, a finer needle or another " \
                                                    "width; never more speed."]])
      end

      def sewn
        how = "Foot down; sew #{@attaching.stitches} stitches a pair.#{pairs} Begin and end in the same hole. With the foot up there " \
              "is no top tension."
        each("sew_button", "Turn the hand wheel: the needle must drop into both holes.", [how], needs: needs)
      end

      def pairs
        return "" unless @order.button.holes == 4

        "#{turned_for_the_diagonal} #{@attaching.pattern.how} #{between} By hand through both holes before any power, for each pair."
      end

      def between = @order.button_sewing.carried? ? "Carry the thread over to the next pair." : "Cut the thread between the pairs."

      def each(key, says, minds, figures: Sewing.button_figures(@attaching), needs: {})
        @order.layout.holes.map do |hole|
          sew = Work::Operation[key, figures: { "hole.at" => hole.at, "hole.button" => hole.button, **figures },
                                needs: needs, lasts: [Work::Lasting.new(kind: "buttoned", at: hole.button)],
                                hazards: child, says: format(says, hole.number), minds: minds]
          step("button", sew, at: hole.at, part: "#{part}: #{hole.number} of #{@order.count}")
        end
      end
    end
  end
end
