# frozen_string_literal: true

# ButtonSteps is how the buttons are sewn on, by machine or by hand, one first and then the rest.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/machine"
require_relative "button_ends"
require_relative "step"

module NimbleEyelet
  module Sewing
    class ButtonSteps
      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @attaching = order.attaching
        @machine = order.machine
      end

      # @return [Array<Step>]
      def steps
        return [] unless @order.button.fastens?

        [marks, *sewn_on, *ButtonEnds.new(@order).last].compact
      end

      private

      def part = ButtonEnds::BUTTONED

      def sewn_on
        return pinned if @order.button.shank? && @order.button_sewing.shank_by == "pin"

        @attaching.by_machine ? by_machine : by_hand
      end

      def child = @order.for_child ? %w[children] : []
      def spacing? = @attaching.shank.positive?

      # A pin leaves its hole in what has no grain to close it.
      def pointer = @order.cloth.type.perforates ? "pencil dot" : "pin"

      def marks
        by_plan = @order.button_sewing.from_plan?
        holes = @order.layout.holes
        does = if by_plan
                 Sentence["Mark the buttons from the plan, each from the top edge: #{holes.map do
                   '%s'
                 end.join(', ')}.", *holes.map(&:button)]
               else
                 "Mark the buttons through the finished holes, a #{pointer} at the button's seat and not in the corner."
               end
        Step.new(key: "mark-buttons", part: part, does: does,
                 how: "Closure flat, hems level; #{compare(by_plan)} One button first, then look whether it lies flat; then the rest.",
                 figures: holes.to_h { |hole| ["button.#{hole.number}", hole.button] }.merge("attach.marks" => marked_by))
      end

      def compare(by_plan)
        return "no hole is there yet." if @order.buttons_first?

        "compare with the #{by_plan ? 'finished holes' : 'plan'}."
      end

      def marked_by = @order.button_sewing.from_plan? ? "plan" : "through"

      # A button that comes off for washing sits in an eyelet of the underlap, on a pin.
      def pinned
        holes = @order.layout.holes
        eyelets = Step.new(key: "shank-eyelet", part: part, hazards: %w[wheel blade],
                           does: "Stitch an eyelet for each shank into the underlap, at the button's mark, and punch it open.",
                           how: "Tried on the scrap first: the shank passes, its loop stands behind.",
                           figures: holes.to_h { |hole| ["button.#{hole.number}", hole.button] })
        pins = holes.map do |hole|
          Step.new(key: Step.key_at("button", hole.at), part: "#{part}: #{hole.number} of #{@order.count}",
                   hazards: ["pins", *child],
                   does: "Put button #{hole.number} through its eyelet and the pin through its loop.",
                   figures: { "hole.at" => hole.at, "hole.button" => hole.button })
        end
        [eyelets, *pins]
      end

      def by_hand
        thread = Step.new(key: "hand-thread", part: part, figures: { "attach.hand_thread" => @attaching.hand_thread },
                          does: Sentence["Cut %s of thread for each button; double it and wax it.",
                                         @attaching.hand_thread.round_up_to(Length.mm(10))],
                          how: @attaching.instead)
        shank = spacing? ? "over a pin; take it out and wind the thread 4 to 5 times round, for a shank of %s" : "and knot behind"
        how = Sentence["Two small stitches on the mark. Four to six passes#{pairs_by_hand} #{shank}. To the back, two stitches over " \
                       "each other, knot and trim.#{backing}", *(@attaching.shank if spacing?)]
        [thread, *each("Sew button %d on by hand.", how, child)]
      end

      def pairs_by_hand = @order.button.holes == 4 ? " through one pair, as many through the other," : ""

      # In heavy cloth the thread would cut through.
      def backing = @attaching.heavy ? " Catch a small flat button behind with every pass." : ""

      def by_machine
        [foot, feed, width, spacer, tried, *sewn, *ButtonEnds.new(@order).secured].compact
      end

      def foot
        owned = @machine.foot("button_foot")
        if owned
          return Step.new(key: "button-foot", part: part, does: "Fit the #{owned.full_name}.", moves: { "foot" => "button foot" },
                          hazards: %w[power])
        end

        Step.new(key: "button-foot", part: part, does: "Fit the general zigzag foot; hold the button with tape or " \
                                                       "a dot of glue stick outside its holes.",
                 moves: { "foot" => nil }, how: "Never fingers under a bare needle. Tape and glue come off again " \
                                                "after.", hazards: %w[power])
      end

      def feed
        moves, hazards = { "drop_feed" => [{ "feed_dogs" => "dropped" }, []], "cover_plate" => [{ "cover_plate" => "on" }, %w[power]],
                           "length_zero" => [{ "length" => "0" }, []] }.fetch(feed_stop)
        nudge = feed_stop == "length_zero" ? "Length 0 still nudges a little: look before each button." : nil
        Step.new(key: "feed-off", part: part, does: "#{FEED_STOPS.fetch(feed_stop).capitalize}.", moves: moves,
                 how: nudge, hazards: hazards,
                 symptom: "Forgotten, the cloth creeps and the needle hits the button.")
      end

      def feed_stop = @order.button_sewing.feed_stop(@machine)

      def width
        mark = @machine.width_mark(@attaching.width)
        anchor = if @machine.anchor == "left"
                   "Line it up by the first hole: this zigzag is anchored at the left."
                 else
                   "Line it up by " \
                     "the middle of the button."
                 end
        mind = @attaching.verdict == "mind" ? " Hardly any room." : ""
        Step.new(key: "button-width", part: part, figures: widths, how: "#{anchor}#{mind}",
                 does: "Select zigzag, width #{mark}; top tension back to your usual.",
                 moves: { "selector" => "zigzag", "width" => mark, "tension" => nil })
      end

      def widths = { "attach.width" => @attaching.width, "attach.diagonal" => @attaching.diagonal }.compact

      # The dial goes back at once: the next button begins with a side again.
      def turned_for_the_diagonal
        return unless @attaching.diagonal

        " Set width #{@machine.width_mark(@attaching.diagonal)} for the diagonal, then #{@machine.width_mark(@attaching.width)} again."
      end

      def spacer
        return unless spacing?

        Step.new(key: "spacer", part: part, figures: { "attach.spacer" => @attaching.spacer },
                 does: Sentence["Lay a thin upright spacer over the button, %s high, between the holes: it leaves a shank of %s.",
                                @attaching.spacer.round_to(Length.mm(1r / 10)), @attaching.shank.round_to(Length.mm(1r / 10))])
      end

      # Where there is hardly any room.
      def tried
        return unless @attaching.verdict == "mind"

        Step.new(key: "test-button", part: part, hazards: %w[wheel eyes], figures: { "attach.clearance" => @attaching.clearance },
                 does: Sentence["Sew a test button on a scrap of the same layers: the needle has %s to the rim.",
                                @attaching.clearance.round_to(Length.mm(1r / 100))],
                 how: "By hand through both holes first. If it touches, a finer needle or another width; never more speed.")
      end

      def sewn
        pairs = if @order.button.holes == 4
                  " #{@attaching.pattern.how}#{turned_for_the_diagonal} #{between} " \
                    "By hand through both holes before any power, for each pair."
                else
                  ""
                end
        how = "Presser lever down: without it there is no top tension. #{@attaching.stitches} stitches a pair, begun and ended in " \
              "the same hole.#{pairs}"
        each("Turn the needle by hand through both holes, then sew button %d.", how, %w[wheel eyes] + child)
      end

      def between = @order.button_sewing.carried? ? "Carry the thread over to the next pair." : "Cut the thread between the pairs."

      def each(does, how, hazards)
        @order.layout.holes.map do |hole|
          Step.new(key: Step.key_at("button", hole.at), part: "#{part}: #{hole.number} of " \
                                                              "#{@order.count}", does: format(does, hole.number), how: how,
                   hazards: hazards,
                   figures: { "hole.at" => hole.at, "hole.button" => hole.button, "attach.pattern" => @attaching.pattern.key,
                              "attach.stitches" => @attaching.stitches.to_s, "attach.shank" => @attaching.shank })
        end
      end
    end
  end
end
