# frozen_string_literal: true

module NimbleEyelet
  module Support
    # What hands do to cloth, holes and buttons of a Workplace, and what cannot be done there.
    module ClothActs
      private

      # The garment.
      def note(what) = @piece.done[what] += 1
      def did?(what) = @piece.done.key?(what)

      def do_stay
        unless_so(!@piece.stay&.heat || @piece.plan.cloth.iron?, :iron_on_this_cloth)
        note(:stayed)
      end

      def do_mark(count = nil)
        unless_so(count.nil? || count.to_i == @piece.sheet.layout.holes.size, :marked_otherwise, count)
        note(:marked)
      end

      def do_lines
        unless_so(!@piece.automatic?, :lines_on_a_programme)
        note(:drawn)
      end

      def do_pins_out = note(:pins_out)
      def do_pin = unless_so(!@piece.plan.cloth.type.perforates, :pin_in_this_cloth)

      def do_note(what) = note(what.to_sym)

      # A hole.
      def do_place
        unless_so(@under.nil?, :another_cloth_lies_there)
        unless_so(did?(:marked), :never_marked)
        unless_so(!cut?, :cut_already)
        @at = [@piece.key, @place]
      end

      def cut? = @piece.cut.key?(@place) && @undone != [@piece.key, @place]

      def do_sew
        unless_so(@at == [@piece.key, @place], :needle_elsewhere)
        unless_so(did?(:stayed) && did?(:pins_out), :not_made_ready)
        sewn
        @piece.sewn[@place] << @state
        @at = nil
        @under = @piece.key
      end

      def do_sew_scrap
        unless_so(@under.nil?, :another_cloth_lies_there)
        sewn
        note(:tried)
      end

      # What has to be so whatever is sewn, and what it uses up.
      def sewn
        clamped = @piece.sheet.setting.by.key == "clamp"
        unless_so(@state.key?("lever") == clamped, :lever_otherwise) if @machine.type.senses
        unless_so(!begins_by_hand? || !@state.key?("cycle"), :begun_in_the_middle, @state["cycle"])
        set("cycle", "run through") if begins_by_hand?
      end

      def begins_by_hand?
        return false unless @piece.automatic? || @machine.type.partwise
        return false if @state["selector"].nil? || @state["selector"] == "zigzag"

        @piece.style.opens ? !@machine.reset_words.nil? : %w[select_again dial_away_and_back].include?(@machine.reset)
      end

      def do_turned(width, length)
        @piece.by_hand = true
        set("width", width)
        set("length", length)
      end

      def do_second_pass(whole = nil) = unless_so(@piece.automatic? == (whole == "whole"), :parts_of_a_programme)

      def do_lift
        @at = nil
        @under = nil
      end

      # Putting right.
      def do_iron = unless_so(@piece.plan.cloth.iron?, :ironed)
      def do_unpick = unless_so(!@piece.plan.cloth.type.perforates, :unpicked)
      def do_zigzag = unless_so(!@piece.straight?, :mended_by_zigzag)
      def do_draw_cord = note(:corded)

      def do_tails = note(:tails)
      def do_tear = note(:torn)

      def do_rinse
        unless_so(@piece.sewn.size == @piece.sheet.layout.holes.size, :rinsed_before_it_is_sewn)
        unless_so(@piece.sealed.nil?, :sealed_in)
        note(:rinsed)
      end

      def do_trim = note(:trimmed)
      def do_seal = @piece.sealed = :wet
      def do_dry = @piece.sealed &&= :dry
      def do_punch = note(:punched)

      def do_cut(length)
        unless_so(@under.nil?, :another_cloth_lies_there)
        unless_so(@piece.sewn[@place].any?, :cut_before_it_is_sewn)
        unless_so(@piece.sealed != :wet || did?(:sealed_after), :cut_wet)
        unless_so(did?(:torn) || !@piece.stay&.torn, :cut_through_the_stay)
        @piece.cut[@place] = length
        @undone = nil
      end

      # From and to along the slit: a blade never leaves it.
      def do_bite(from, to, length)
        inside = [from, to].all? { |figure| (-0.01..(length.to_f + 0.01)).cover?(figure.to_f) }
        unless_so(inside || @piece.plan.cut.hangs?(Length.mm(length.to_r)), :cut_into_the_stitches, from, to)
      end

      # The buttons.
      def do_mark_buttons(by)
        open = @piece.sheet.layout.holes.size == @piece.cut.size
        unless_so(by != "through" || open, :marked_through_closed_holes)
        note(:buttons_marked)
      end

      def do_button
        unless_so(did?(:buttons_marked), :button_never_marked)
        @piece.buttons[@place] << {}
      end

      def do_sew_button
        unless_so(did?(:buttons_marked), :button_never_marked)
        otherwise(@piece.buttoned, @state)
        feeding = @state["feed_dogs"].nil? && @state["cover_plate"].nil? && @state["length"] != "0"
        unless_so(!feeding, :cloth_feeds_under_the_button)
        struck
        @piece.buttons[@place] << @state
      end

      # Every penetration, against the hole it is meant for.
      def struck
        swings = @piece.sheet.attaching.swings
        sewn = swings.sewn(swings.widths(@piece.plan.attach.width))
        path = Stitches::ButtonPath.sew(sewn)
        near = path.parts.flat_map do |part|
          part.points.zip(part.aims)
        end.map { |(x, y), (u, v)| Math.hypot(x - u, y - v) }.max
        unless_so(near <= ((sewn.hole - sewn.needle) / 2) + 1e-9, :needle_strikes, near)
      end

      def otherwise(wanted, real)
        wanted.each { |part, state| unless_so(real[part] == state, :sewn_otherwise, part, state, real[part]) }
      end
    end
  end
end
