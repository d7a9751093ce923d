# frozen_string_literal: true

# SetUp is the part of the steps that makes the machine ready.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../thread/cord"
require_relative "../work/operation"
require_relative "../work/step"
require_relative "row_state"

module NimbleEyelet
  module Sewing
    class SetUp
      SET_UP = "Set the machine"

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
        @row = RowState.new(order)
      end

      # @return [Array<Work::Step>]
      def steps
        [needle, thread, finger, foot, settings, pressure, speed, cord, clamp].compact
      end

      private

      def step(name, *operations, **more)
        Work::Step.of(name, block: "row", part: SET_UP, operations: operations, **more)
      end

      def needle
        name = @recipe.needle.value.to_s
        step("needle", Work::Operation["fit_needle", figures: { "recipe.needle" => @recipe.needle.value.key },
                                       sets: @row.needle,
                                       says: "New needle: #{name}.", minds: [@recipe.needle.because.first.says]])
      end

      def thread
        step("thread", Work::Operation["thread", figures: @row.thread_figures, sets: @row.threads,
                                       says: "Thread #{@order.thread.spool}, with a matching full bobbin.",
                                       minds: ["Foot up while you thread, so that it lies between the discs."]])
      end

      def finger
        return unless @row.bobbin_finger?

        step("finger", Work::Operation["thread_finger", sets: { "bobbin_finger" => RowState::THREADED },
                                       says: "Thread the bobbin finger.", minds: ["The top tension stays as it is: never both."]])
      end

      def foot
        foot = @recipe.foot.value
        step("foot", Work::Operation["fit_foot", figures: { "recipe.foot" => foot.kind }, sets: @row.foot,
                                     says: "Fit the #{foot.full_name}.", minds: @recipe.foot.because.first(1).map(&:says)])
      end

      def settings
        select = Work::Operation["select", sets: @row.selector, figures: @order.dials.slice("recipe.style"),
                                 says: "Select #{@row.programme}, needle up."]
        step("settings", *dials, select)
      end

      def dials
        [dial("width", @row.width, "width #{@row.width['width']}"),
         dial("length", @row.length, "length #{@row.length['length']}"),
         dial("tension", @row.tension, "tension #{@row.tension_mark}"),
         dial("balance", @row.balance, "balance #{@recipe.balance_told}")]
      end

      # The figure of each is kept under its path.
      DIAL_FIGURES = { "width" => "recipe.stitch_width", "length" => "recipe.stitch_length",
                       "tension" => "recipe.tension",
                "balance" => "recipe.balance" }.freeze
      private_constant :DIAL_FIGURES

      def dial(part, sets, says)
        return if sets.empty?

        Work::Operation.new(key: "set_#{part}", sets: sets, says: says, figures: @order.dials.slice(DIAL_FIGURES.fetch(part)))
      end

      def pressure
        return unless @row.lighter?

        step("pressure", Work::Operation["lighten_foot", sets: @row.pressure, says: "Turn the foot pressure one step lighter.",
                                         minds: ["Fabric that stretches or has pile is pushed along by a heavy foot."]])
      end

      def speed
        return unless @machine.speed_limiter

        step("speed", Work::Operation["limit_speed", sets: @row.speed, says: "Set the speed limiter to slow.",
                                      minds: ["Satin lies best at an even, slow speed."]])
      end

      def cord
        return unless @order.corded?

        cord = Cord.of(@order.thread, overall: @order.overall)
        says = Sentence["Have a cord for each hole: %s long, %s thick.", Tool::SCISSORS.at(cord.length), cord.thickness.round_to(Length.mm(1r / 10))]
        have = Work::Operation["have_cord", figures: made(cord), says: says,
                               minds: [how_made(cord)]]
        Work::Step.of("cord", block: "stay", part: SET_UP, operations: [have])
      end

      def how_made(cord)
        width = @machine.width_mark(@machine.width_settable(cord.zigzag))
        length = @machine.length_mark(@machine.length_settable(Cord::ZIGZAG_LONG))
        Sentence["Take gimp, or zigzag over #{cord.strands} threads of %s: width #{width}, length #{length}. Or wax and twist them. " \
                 "Use a cording or grooved foot, and hold the tails in front and behind.",
                 Tool::SCISSORS.at(cord.strand(@order.count).round_up_to(Length.mm(10)))]
      end

      def made(cord)
        { "cord.length" => cord.length, "cord.strands" => cord.strands.to_s,
          "cord.strand" => cord.strand(@order.count).round_up_to(Length.mm(10)),
          "cord.thickness" => cord.thickness.round_to(Length.mm(1r / 10)) }
      end

      def clamp
        return unless @order.clamped?

        setting = @order.setting
        step("clamp", Work::Operation["clamp", figures: @order.length_set.merge(stops), sets: @row.clamp,
                                      says: setting.says,
                                      minds: ["#{setting.clamped.capitalize} lies flat and stays below the foot."]],
             symptom: "If the foot is not at its front stop, the hole has a gap.")
      end

      def stops = { "setting.wanted" => @order.setting.set, "setting.stops" => @order.setting.stops }.compact
    end
  end
end
