# frozen_string_literal: true

# ButtonEnds is what is done when a button is sewn on: its shank wound, its threads secured; and last of all film and
# marks rinsed out, and a spare one sewn inside.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../work/operation"
require_relative "../work/step"

module NimbleEyelet
  module Sewing
    class ButtonEnds
      # What winds a shank four to five times, at least and at most.
      WOUND_WITH = [200, 250].map { |long| Tool::HAND_SPAN.at(Length.mm(long)) }.freeze
      BUTTONED = "Sew the buttons"
      SECURED = { "knot" => "Take the tails to the back, knot and trim them.", "liquid" => "Trim the tails and put a drop of fray sealant on them.",
                  "tie_off" => "Tie off by machine: width 0, the needle set over a hole.",
                  "knot_liquid" => "Knot the tails at the back, seal the knot, and trim." }.freeze

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @attaching = order.attaching
      end

      # @return [Array<Work::Step>]
      def last = [*second_row, spare].compact

      # @return [Array<Work::Step>] of buttons sewn on by machine
      def secured
        secure = Work::Operation["secure", figures: { "attach.secure" => way }, lasts: everywhere("secured"), sets: tied_off,
                                 hazards: child + (way.include?("liquid") ? %w[liquid] : []), says: SECURED.fetch(way),
                                 minds: [*secure_how]]
        [wind, step("secure", secure)].compact
      end

      private

      def step(name, operation) = Work::Step.of(name, block: "buttons", part: BUTTONED, operations: [operation])
      def everywhere(kind) = Work::Lasting.at(kind, @order.layout.holes.map(&:at))

      def wind
        return unless @attaching.shank.positive?

        step("wind", Work::Operation["wind_shank", figures: { "attach.shank" => @attaching.shank }, lasts: everywhere("wound"),
                                     says: "Take the spacer out. Wind the tails round the shank and knot them.",
                                     minds: [Sentence["Tails of %s to %s wind four to five times.", *WOUND_WITH]]])
      end

      def child = @order.for_child ? %w[children] : []

      # On children's wear a drop alone holds nothing.
      def way
        @order.for_child && @order.button_sewing.secured == "liquid" ? "knot_liquid" : @order.button_sewing.secured
      end

      # The dial stands as it was turned for it.
      def tied_off = way == "tie_off" ? { "width" => "0" } : {}

      def secure_how
        return "Anchored in the centre, width 0 strikes the bridge between the holes." if way == "tie_off"

        @order.for_child ? "For a child: knotted, liquid only on top." : nil
      end

      # A double-breasted front: the other row is for show, and one button inside takes the strain.
      def second_row
        return [] unless @order.layout.run.double?

        [*@order.layout.holes.map { |hole| for_show(hole) }, anchor]
      end

      def for_show(hole)
        sew = Work::Operation["sew_show_button", figures: { "hole.at" => hole.at, "hole.button" => hole.button },
                                                 hazards: child, minds: [across(hole)],
                                                 says: "Sew button #{hole.number} of the other row through the upper side alone."]
        Work::Step.of("show-button", at: hole.at, block: "buttons", part: "#{BUTTONED}: the other row", operations: [sew])
      end

      def across(hole)
        Sentence["Level with hole #{hole.number}, %s from it across the centre line.", @order.layout.run.offset * 2]
      end

      def anchor
        step("anchor-button", Work::Operation["sew_anchor", hazards: child,
                                              says: "Sew one flat button inside, level with the top pair.",
                                              minds: ["Its hole is on the edge of the side beneath: one more, sewn the same way."]])
      end

      # One spare a garment: of cuffs, collars and tabs it is sewn in with the front.
      SPARED_WITH_THE_FRONT = %w[cuff stand collar_point sleeve_slit tab].freeze
      private_constant :SPARED_WITH_THE_FRONT

      # It washes along, and fades with the others.
      def spare
        run = @order.layout.run
        return if run.usage.thing != "garment" || SPARED_WITH_THE_FRONT.include?(run.place)

        step("spare-button", Work::Operation["sew_spare", hazards: child,
                                             says: "Sew a spare button inside, at a seam.",
                                             minds: ["It is washed with the others, and is there when one is lost."]])
      end
    end
  end
end
