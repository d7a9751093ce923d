# frozen_string_literal: true

module NimbleEyelet
  module Support
    # What hands do to the machine of a Workplace, and what it has not.
    module MachineActs
      private

      def do_needle(name) = set("needle", name)
      def do_thread(name) = %w[top_thread bobbin_thread].each { |part| set(part, name) }
      def do_speed(name) = unless_so(@machine.speed_limiter, :no_such_part, "speed") && set("speed", name)
      def do_pressure(name) = unless_so(@machine.foot_pressure, :no_such_part, "pressure") && set("foot_pressure", name)
      def do_length(mark) = set("length", mark)
      def do_tension(mark) = set("tension", mark.to_r == @machine.neutral_tension ? "usual" : mark)

      def do_finger(how)
        unless_so(@machine.bobbin_finger, :no_such_part, "finger")
        set("bobbin_finger", how)
      end

      def do_balance(how)
        unless_so(@machine.balance, :no_such_part, "balance")
        set("balance", how)
      end

      def do_foot(name)
        unless_so(name == "usual" || @machine.feet.any? { |foot| foot.name == name }, :foot_not_owned, name)
        set("foot", name)
      end

      def do_width(mark)
        unless_so(mark.to_f <= @machine.max_width.to_f + 0.01, :wider_than_it_swings, mark)
        set("width", mark)
      end

      def do_select(name)
        style = STYLES.values.find { |one| name == "the buttonhole: #{one.name}" }
        unless_so(style.nil? || @machine.styles.include?(style.key) || style.corded, :no_such_programme, name)
        set("selector", name)
      end

      def do_clamp(what, opened)
        unless_so(@machine.foot("carriage_foot"), :nothing_to_clamp_in)
        set("button_in_foot", what)
        set("foot_opened", opened)
      end

      def do_unclamp
        %w[button_in_foot foot_opened lever].each { |part| set(part, "usual") }
      end

      def do_feed(how)
        unless_so(@machine.feed_stop == how, :no_such_part, how)
        how == "drop_feed" ? set("feed_dogs", "dropped") : set("cover_plate", "on")
      end

      def do_back(part)
        set(part, "usual")
        set("foot_opened", "usual") if part == "button_in_foot"
      end

      def do_lever_down
        unless_so(@machine.type.senses, :no_such_part, "lever")
        unless_so(!@state.key?("lever"), :lever_was_down)
        set("lever", "down")
      end

      def do_begin_again
        set("cycle", "usual")
        set("lever", "usual")
      end

      def do_lever_up
        unless_so(@machine.type.senses, :no_such_part, "lever")
        set("lever", "usual")
      end

      def do_store(length) = set("memory", length)
      def do_switched_on = nil
    end
  end
end
