# frozen_string_literal: true

# HoleSteps is the row: for every hole what resets the machine, where the needle goes in, the lever, the
# sewing itself and the look at it before the next.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../work/operation"
require_relative "../work/step"
require_relative "begin_again"
require_relative "row_state"
require_relative "sewing_words"

module NimbleEyelet
  module Sewing
    class HoleSteps
      # Thread that is left hanging at either end, to be drawn to the back.
      LEFT_HANGING = Tool::HAND_SPAN.at(Length.mm(100))

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @words = SewingWords.new(order)
        row = RowState.new(order)
        @needs = row.at_the_needle
        @leaves = row.left_by_the_needle
        @sewn_with = order.lengths.merge(order.length_set, order.sewn_by)
      end

      # @return [Array<Work::Step>]
      def steps = @order.holes.each_with_index.flat_map { |hole, index| hole(hole, first: index.zero?) }

      private

      def hole(hole, first:)
        part = "#{@order.noun.capitalize} #{hole.number} of #{@order.count}"
        [reset(hole, part, first), place(hole, part), lever(hole, part), sew(hole, part, first), look(hole, part),
         cord(hole, part)].compact
      end

      def step(name, hole, part, operation, **more)
        Work::Step.of(name, at: hole.at, block: "row", part: part, operations: [operation], **more)
      end

      def at(hole) = { "hole.at" => hole.at }

      # After the test hole the machine stands at the first part already.
      def reset(hole, part, first)
        again = BeginAgain.of(@order, figures: at(hole)) unless first
        again && step("reset", hole, part, again, symptom: "If you skip this, the next #{@order.noun} starts partway through.")
      end

      def place(hole, part)
        step("place", hole, part, Work::Operation["needle_onto", figures: at(hole).merge(started(hole)), says: onto(hole),
                                                  minds: [*stop(hole), laid(hole)]])
      end

      # Two that went wrong are no accident.
      def stop(hole)
        return [] if @order.spoiled < SPOILED || hole.sewn

        ["Two went wrong: stop here and sew a test on a scrap first."]
      end
      SPOILED = 2
      private_constant :SPOILED

      def started(hole)
        hole.starts.each_with_object({}) do |start, figures|
          suffix = hole.starts.one? ? "" : ".#{start.at}"
          figures["hole.start#{suffix}"] = start.along
          figures["hole.start_edge#{suffix}"] = start.from_edge
        end
      end

      def onto(hole)
        one, other = hole.starts
        unless other
          return Sentence["Lower the needle into the mark#{where(one)}. It is %s from the #{end_of_run}, %s from the edge.", one.along, one.from_edge]
        end

        Sentence["Lower the needle into the mark where it starts. #{one.at.capitalize} end: %s from the #{end_of_run}, " \
                 "%s from the edge. #{other.at.capitalize} end: %s and %s.", one.along, one.from_edge, other.along, other.from_edge]
      end

      # In short: beside it stands how far in from the finished edge.
      def end_of_run = @order.layout.run.measured_from.sub(/\A(?:top|upper) edge\z/, "top")

      def where(start) = start.at == "middle" ? ": halfway along a side" : ": #{start.at} end"

      def laid(hole)
        [("Slide the buttonhole foot up to its front stop. Leave no gap." if @order.clamped?),
         "Right side up, #{@order.beginning.away(hole)} away from you.", first_side, *corded(hole), tails].compact.join(" ")
      end

      def first_side
        side = @order.beginning.side
        "It sews the #{side}-hand side first." if side && !@order.straight? && !@order.style.round?
      end

      def corded(hole)
        return [] unless @order.corded?

        ["Hook the cord's loop over the prong at the #{hole.vertical? ? 'upper' : 'outer'} end. Lay both tails towards the other."]
      end

      def tails
        return "Lead both threads under the foot and off to one side." unless @order.tails == "held"

        "Hold the top thread for the first stitches, then let go."
      end

      def lever(hole, part)
        return unless @order.clamped?

        step("lever", hole, part, Work::Operation["lower_lever", figures: at(hole), needs: { "lever" => nil },
                                                  sets: { "lever" => RowState::DOWN },
                                                  says: "Foot down. Pull the buttonhole lever right down."],
             symptom: "If the lever is up, the machine beeps or sews past the end.")
      end

      def sew(hole, part, first)
        sewn = Work::Lasting.new(kind: "stitched", at: hole.at, opening: hole.sewn ? hole.opening : @order.opening)
        step("sew", hole, part, Work::Operation["sew", figures: { **at(hole), **@order.across(hole), **@sewn_with }, needs: @needs, sets: @leaves,
                                                lasts: [sewn], says: @words.does, minds: [@words.how]],
             symptom: (interrupted if first))
      end

      def interrupted
        return if !@machine.lift_resets || @order.by_hand?

        "Keep the foot down until the #{@order.noun} is finished. If you lifted it, don't move the fabric."
      end

      def look(hole, part)
        well = Sentence["Check: %s #{@order.circle? ? 'across' : 'long'}, #{sewn_well}. If it differs, log it.", @order.opening]
        step("look", hole, part, Work::Operation["lift_out", figures: at(hole).merge(@order.slit), minds: [well],
                                                 says: Sentence["Needle up, foot up, slide the fabric out. Leave %s of thread.", LEFT_HANGING]])
      end

      def sewn_well
        return "over both ends of what it holds" unless @order.opens?

        @order.circle? ? "solid all round" : "both sides even and solid"
      end

      def cord(hole, part)
        return unless @order.corded?

        step("cord", hole, part, Work::Operation["draw_cord", figures: at(hole),
                                                 lasts: [Work::Lasting.new(kind: "corded", at: hole.at)],
                                                 says: "Pull the cord until its loop closes under the end.",
                                                 minds: ["Take its tails to the back with a needle, knot and trim them."]])
      end
    end
  end
end
