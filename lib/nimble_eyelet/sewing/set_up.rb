# frozen_string_literal: true

# SetUp is the part of the steps that makes the machine ready.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/wording"
require_relative "../thread/cord"
require_relative "step"

module NimbleEyelet
  module Sewing
    class SetUp
      SET_UP = "Set the machine"

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
      end

      # @return [Array<Step>]
      def steps
        [needle, thread, finger, foot, settings, pressure, speed, cord, clamp].compact
      end

      private

      def needle
        name = @recipe.needle.value.to_s
        Step.new(key: "needle", part: SET_UP, figures: { "recipe.needle" => name }, does: "Fit a new needle: #{name}.",
                 how: @recipe.needle.because.first.says, moves: { "needle" => name }, hazards: %w[power])
      end

      def thread
        name = "tex #{Wording.decimal(@order.thread.tex.to_r, 2)} #{@order.thread.fibre}"
        Step.new(key: "thread", part: SET_UP, figures: { "thread.tex" => name },
                 does: "Thread #{threaded(name)} on top and on a full bobbin of the same colour.",
                 how: "Foot up while you thread, so that it lies between the discs.", hazards: %w[power],
                 moves: { "top_thread" => threaded(name), "bobbin_thread" => threaded(name) })
      end

      # By its name too, where it has one: the colour counts.
      def threaded(name) = @order.thread.name.empty? ? name : "#{@order.thread.name} (#{name})"

      def finger
        return unless @recipe.tension_move.key == "bobbin_finger"

        Step.new(key: "finger", part: SET_UP, does: "Thread the bobbin finger.", moves: { "bobbin_finger" => "threaded" },
                 hazards: %w[power],
                 how: "The top tension stays as it is: never both.")
      end

      def foot
        foot = @recipe.foot.value
        Step.new(key: "foot", part: SET_UP, figures: { "recipe.foot" => foot.kind }, does: "Fit the #{foot.full_name}.",
                 how: @recipe.foot.because.first&.says, moves: { "foot" => foot.type.neutral ? nil : foot.name }, hazards: %w[power])
      end

      def settings
        width = @order.straight? ? nil : "stitch width #{@machine.width_mark(@recipe.stitch_width.value)}"
        dials = [width, "stitch length #{@machine.length_mark(@recipe.stitch_length.value)}",
                 "top tension #{Wording.decimal(@recipe.tension.value.to_r, 2)}",
                 @machine.balance && "the balance #{@recipe.balance_words || 'in the middle'}"].compact
        Step.new(key: "settings", part: SET_UP, figures: @order.dials, moves: moved, hazards: %w[manual],
                 does: "Set #{dials[0...-1].join(', ')} and #{dials.last}.", how: "#{selected}, needle up and out of the cloth.")
      end

      def selected
        return "Select straight stitch#{' with the needle in the middle' if @machine.needle_positions > 1}" if @order.straight?
        return "Select zigzag" if @order.by_hand?
        return "Select the bar tack" unless @order.opens?

        "Select the buttonhole: #{@order.style.name}"
      end

      def moved
        width = @order.straight? ? {} : { "width" => @machine.width_mark(@recipe.stitch_width.value) }
        balance = @machine.balance ? { "balance" => @recipe.balance_words } : {}
        { "selector" => @order.straight? ? nil : selected.delete_prefix("Select "),
          "length" => @machine.length_mark(@recipe.stitch_length.value), "tension" => away, **balance, **width }
      end

      def away
        tension = @recipe.tension.value
        tension == @machine.neutral_tension ? nil : Wording.decimal(tension.to_r, 2)
      end

      def pressure
        wanted = @order.cloth.type.pressure
        return if @order.clamped? || !@machine.foot_pressure || !wanted.include?("lighter")

        Step.new(key: "pressure", part: SET_UP, does: "Turn the foot pressure one step lighter.",
                 moves: { "foot_pressure" => "one step lighter" },
                 how: "Cloth that stretches or has pile is pushed along by a heavy foot.")
      end

      def speed
        return unless @machine.speed_limiter

        Step.new(key: "speed", part: SET_UP, does: "Set the speed limiter to slow.", moves: { "speed" => "slow" },
                 how: "Satin lies best at an even, slow speed.")
      end

      def cord
        return unless @order.corded?

        cord = Cord.of(@order.thread, overall: @order.overall)
        Step.new(key: "cord", part: SET_UP, figures: made(cord), hazards: @order.for_child ? %w[cords] : [],
                 does: Sentence["Have a cord for every hole, %s long and %s thick.", cord.length,
                                cord.diameter.round_to(Length.mm(1r / 10))],
                 how: how_made(cord))
      end

      def how_made(cord)
        width = @machine.width_mark(@machine.width_settable(cord.zigzag))
        length = @machine.length_mark(@machine.length_settable(Cord::ZIGZAG_LONG))
        Sentence["Ready gimp, or made: #{cord.strands} strands of the sewing thread, each %s long, waxed and twisted; or zigzagged " \
                 "over, width #{width} and length #{length}, in a cording or grooved foot, the tails held before and behind.",
                 cord.strand(@order.count).round_up_to(Length.mm(10))]
      end

      def made(cord)
        { "cord.length" => cord.length, "cord.strands" => cord.strands.to_s,
          "cord.strand" => cord.strand(@order.count).round_up_to(Length.mm(10)),
          "cord.thickness" => cord.diameter.round_to(Length.mm(1r / 10)) }
      end

      def clamp
        return unless @order.clamped?

        setting = @order.setting
        Step.new(key: "clamp", part: SET_UP, does: setting.says, figures: @order.length_set.merge(stops),
                 symptom: "A carriage not against its front stop sews a gap.", moves: clamped,
                 how: "#{setting.clamps.capitalize} lies flat; nothing of it rises above the foot.")
      end

      # By what is in the foot and how far it is open, not by what it is called: the next button is another.
      def clamped
        opened = @order.setting.opened
        { "button_in_foot" => @order.setting.figure, "foot_opened" => (opened unless opened.zero?) }
      end

      def stops = { "setting.wanted" => @order.setting.set, "setting.stops" => @order.setting.stops }.compact
    end
  end
end
