# frozen_string_literal: true

# RowState is what the machine has to be for a row of holes: the one source of what is set for it and of what its sewing
# needs.
#
#   RowState.new(order).needs["width"]   # => "5"

require_relative "../length/wording"
require_relative "../machine/ledger"
require_relative "sewing_words"

module NimbleEyelet
  module Sewing
    class RowState
      # How parts stand that have but one place beside their usual.
      LIMITED = "slow"
      DOWN = "down"
      EASED = "one step lighter"
      THREADED = "threaded"
      SPENT = "run through"
      # What keeps the cloth from feeding: never in a row of holes.
      FEED = { "feed_dogs" => nil, "cover_plate" => nil }.freeze

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @machine = order.machine
        @recipe = order.recipe
      end

      # @return [Hash{String => Length, String, nil}] by machine part; nil as its owner has it, absent where it does not
      #   matter
      def needs = { **thread, **foot, **dials, **pressure, **speed, **clamp, **FEED }

      # @return [Hash{String => Length, String, nil}] the same while the needle goes: what is turned within the hole
      #   need not stand so
      def at_the_needle
        needs.except(*SewingWords.new(@order).sets.keys)
             .merge(@machine.type.senses ? { "lever" => (DOWN if @order.clamped?) } : {},
                    @order.stores? ? { "memory" => @order.setting.figure } : {}, @order.reset? ? { "cycle" => nil } : {})
      end

      # @return [Hash{String => Length, String}] machine part to what it is when a hole is sewn: dials turned within it,
      #   and its programme run through
      def left_by_the_needle = { **SewingWords.new(@order).sets, **(@order.reset? ? { "cycle" => SPENT } : {}) }

      def needle = { "needle" => @recipe.needle.value.key }
      def bobbin_finger? = @recipe.tension_move.key == "bobbin_finger"

      # By its name too, where it has one: the colour counts.
      def threads = @order.thread.spool.then { |spool| { "top_thread" => spool, "bobbin_thread" => spool } }
      def thread_figures = { "thread.tex" => Wording.decimal(@order.thread.tex.to_r, 4), "thread.fibre" => @order.thread.fibre }
      def thread = { **needle, **threads, "bobbin_finger" => (THREADED if bobbin_finger?) }
      def foot = { "foot" => @recipe.foot.value.type.neutral ? nil : @recipe.foot.value.kind }

      # Nothing is sewn across by straight stitch.
      def width = @order.straight? ? {} : { "width" => @machine.width_mark(@recipe.stitch_width.value) }
      def length = { "length" => @machine.length_mark(@recipe.stitch_length.value) }
      def tension = { "tension" => @recipe.tension.value == @machine.neutral_tension ? nil : tension_mark }
      def tension_mark = Wording.decimal(@recipe.tension.value.to_r, 2)
      def balance = @machine.balance ? { "balance" => (@recipe.notches.to_s unless @recipe.notches.zero?) } : {}
      def selector = { "selector" => (selected unless @order.straight?) }
      def dials = { **width, **length, **tension, **balance, **selector }

      # @return [String] what is selected, in words
      def programme
        return "straight stitch#{' with the needle in the middle' if @machine.needle_positions > 1}" if @order.straight?

        MACHINE_PARTS.fetch("selector").called(selected)
      end

      # @return [String] what is selected beside straight stitch: a key of STYLES or SELECTED
      def selected
        return "zigzag" if @order.by_hand?

        @order.opens? ? @order.style.key : "bar_tack_programme"
      end

      def lighter? = !@order.clamped? && @machine.foot_pressure && @order.cloth.type.pressure.include?("lighter")
      def pressure = @machine.foot_pressure ? { "foot_pressure" => (EASED if lighter?) } : {}
      def speed = @machine.speed_limiter ? { "speed" => LIMITED } : {}

      # By what is in the foot and how far it is open, not by what it is called: the next button is another.
      def clamp
        return { "button_in_foot" => nil, "foot_opened" => nil } unless @order.clamped?

        opened = @order.setting.opened
        { "button_in_foot" => @order.setting.figure, "foot_opened" => (opened unless opened.zero?) }
      end
    end
  end
end
