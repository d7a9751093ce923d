# frozen_string_literal: true

# ButtonSteps is how the buttons are sewn on, by machine or by hand, one first and then the rest.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/machine"
require_relative "step"

module NimbleEyelet
  module Sewing
    class ButtonSteps
      BUTTONED = "Sew the buttons"

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @attaching = order.attaching
        @machine = order.machine
      end

      # @return [Array<Step>]
      def steps
        return [] unless @order.button.fastens?

        [marks, *(@attaching.by_machine ? by_machine : by_hand), rinse].compact
      end

      private

      def child = @order.for_child ? %w[children] : []
      def spacing? = @attaching.shank.positive?

      # A pin leaves its hole in what has no grain to close it.
      def pointer = @order.cloth.type.perforates ? "pencil dot" : "pin"

      def marks
        Step.new(key: "mark-buttons", part: BUTTONED,
                 does: "Mark the buttons through the finished holes, a #{pointer} at the button's seat and not in the corner.",
                 how: "Closure flat, hems level; compare with the plan. One button first, then look whether it lies " \
                      "flat; then the rest.",
                 figures: @order.layout.holes.to_h { |hole| ["button.#{hole.number}", hole.button] })
      end

      def by_hand
        thread = Step.new(key: "hand-thread", part: BUTTONED, figures: { "attach.hand_thread" => @attaching.hand_thread },
                          does: Sentence["Cut %s of thread for each button; double it and wax it.",
                                         @attaching.hand_thread.round_up_to(Length.mm(10))],
                          how: @attaching.instead)
        shank = spacing? ? "over a pin; take it out and wind the thread 4 to 5 times round, for a shank of %s" : "and knot behind"
        sewn = each("Sew button %d on by hand.", Sentence["Four to six passes #{shank}.", *(@attaching.shank if spacing?)], child)
        [thread, *sewn]
      end

      def by_machine
        [foot, feed, width, spacer, *sewn, *finish].compact
      end

      def foot
        owned = @machine.foot("button_foot")
        if owned
          return Step.new(key: "button-foot", part: BUTTONED, does: "Fit the #{owned.full_name}.", moves: { "foot" => "button foot" },
                          hazards: %w[power])
        end

        Step.new(key: "button-foot", part: BUTTONED, does: "Fit the general zigzag foot; hold the button with tape or " \
                                                           "a dot of glue stick outside its holes.",
                 moves: { "foot" => nil }, how: "Never fingers under a bare needle. Tape and glue come off again " \
                                                "after.", hazards: %w[power])
      end

      def feed
        moves, hazards = { "drop_feed" => [{ "feed_dogs" => "dropped" }, []], "cover_plate" => [{ "cover_plate" => "on" }, %w[power]],
                           "length_zero" => [{ "length" => "0" }, []] }.fetch(@machine.feed_stop)
        nudge = @machine.feed_stop == "length_zero" ? "Length 0 still nudges a little: look before each button." : nil
        Step.new(key: "feed-off", part: BUTTONED, does: "#{FEED_STOPS.fetch(@machine.feed_stop).capitalize}.", moves: moves,
                 how: nudge, hazards: hazards,
                 symptom: "Forgotten, the cloth creeps and the needle hits the button.")
      end

      def width
        mark = @machine.width_mark(@attaching.width)
        anchor = if @machine.anchor == "left"
                   "Line it up by the first hole: this zigzag is anchored at the left."
                 else
                   "Line it up by " \
                     "the middle of the button."
                 end
        mind = @attaching.verdict == "mind" ? " Hardly any room: a test button on a scrap first." : ""
        Step.new(key: "button-width", part: BUTTONED, figures: { "attach.width" => @attaching.width }, how: "#{anchor}#{mind}",
                 does: "Select zigzag, width #{mark}; top tension back to your usual.",
                 moves: { "selector" => "zigzag", "width" => mark, "tension" => nil })
      end

      def spacer
        return unless spacing?

        Step.new(key: "spacer", part: BUTTONED, figures: { "attach.spacer" => @attaching.spacer },
                 does: Sentence["Lay a thin upright spacer over the button, %s high, between the holes: it leaves a shank of %s.",
                                @attaching.spacer.round_to(Length.mm(1r / 10)), @attaching.shank.round_to(Length.mm(1r / 10))])
      end

      def sewn
        pairs = if @order.button.holes == 4
                  " #{@attaching.pattern.how} By hand through both holes before any power, " \
                    "for each pair."
                else
                  ""
                end
        how = "Presser lever down: without it there is no top tension. #{@attaching.stitches} stitches a pair, begun and ended in " \
              "the same hole.#{pairs}"
        each("Turn the needle by hand through both holes, then sew button %d.", how, %w[wheel eyes] + child)
      end

      def each(does, how, hazards)
        @order.layout.holes.map do |hole|
          Step.new(key: Step.key_at("button", hole.at), part: "#{BUTTONED}: #{hole.number} of " \
                                                              "#{@order.count}", does: format(does, hole.number), how: how,
                   hazards: hazards,
                   figures: { "hole.at" => hole.at, "hole.button" => hole.button, "attach.pattern" => @attaching.pattern.name,
                              "attach.stitches" => @attaching.stitches.to_s, "attach.shank" => @attaching.shank })
        end
      end

      def finish
        wind = spacing? && Step.new(key: "wind", part: BUTTONED, does: "Take the spacer out, wind the tails round the " \
                                                                       "shank and knot them.",
                                    how: Sentence["Tails of %s to %s wind four to five times.", Length.mm(200), Length.mm(250)],
                                    figures: { "attach.shank" => @attaching.shank })
        secure = Step.new(key: "secure", part: BUTTONED, does: "Tails to the back, knot and trim.",
                          how: @order.for_child ? "For a child: knotted, liquid only on top." : nil, hazards: child)
        [wind || nil, secure]
      end

      def rinse
        return unless @order.recipe.stay&.film

        Step.new(key: "rinse", part: BUTTONED, does: "Rinse film and marks out.")
      end
    end
  end
end
