# frozen_string_literal: true

# Finishing is the part of the steps from the last hole sewn to the last one open: tails, what was laid
# under, sealing, drying, cutting.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/ledger"
require_relative "../opening/cut_method"
require_relative "step"

module NimbleEyelet
  module Sewing
    class Finishing
      OPENED = "Open the holes"
      FINISHED = "Finish the tacks"
      # A film is trimmed so near before it is rinsed out, and a box of leather ends in holes punched so wide.
      FILM_LEFT = Length.mm(3)
      LEATHER_PUNCH = Length.mm(2)
      STAINS = "Tried on the scrap for stains."

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @stay = order.recipe.stay
      end

      # @return [Array<Step>]
      def steps
        return [tails, tear, film].compact unless @order.opens?

        [tails, tear, film, *sealed_before, *@order.holes.flat_map { |hole| opened(hole) }, *sealed_after].compact
      end

      private

      def part = @order.opens? ? OPENED : FINISHED

      def tails
        away = @order.clamped? ? { "lever" => nil, **Ledger.put_back(MACHINE_PARTS.fetch("button_in_foot")) } : {}
        Step.new(key: "tails", part: part, does: "Take the thread tails to the back, knot and trim " \
                                                 "them.", moves: away, hazards: %w[pins],
                 how: @order.clamped? ? "Lever up and what is clamped out of the foot: the holes are sewn." : nil)
      end

      def tear
        return unless @stay&.torn

        Step.new(key: "tear", part: part, does: "Tear the sheet away, holding the stitches with the other hand.",
                 symptom: "Pulled at, the satin lifts off.")
      end

      def film
        return unless @stay&.film

        Step.new(key: "film", part: part, does: Sentence["Trim the film to %s round the stitches.", FILM_LEFT],
                 how: "What is left of it is rinsed out when everything is sewn.")
      end

      # What does not fray needs no sealing.
      def sealed? = @order.cloth.frays? && !@order.straight?

      def sealed_before
        return [] unless sealed? && @order.cutting.sealed_before?

        [Step.new(key: "seal", part: OPENED, does: "Seal the cut line sparingly with fray liquid.", how: STAINS, hazards: %w[liquid],
                  figures: seal_figures), dry("dry", "Cut wet, it glues the edges together.")]
      end

      def sealed_after
        return [] unless sealed? && @order.cutting.sealed_after?

        [Step.new(key: "seal-after", part: OPENED, does: "Seal the cut edges with fray liquid, the slit held open on a pin.",
                  how: STAINS,
                  hazards: %w[liquid], figures: seal_figures), (unless @order.buttons_first?
                                                                  dry("dry-after", "Buttoned wet, the edges stick together.")
                                                                end)].compact
      end

      def seal_figures = { "cut.seal" => @order.cutting.seal || "before" }

      def dry(key, symptom)
        Step.new(key: key, part: OPENED, does: "Let it dry, as its label says.", symptom: symptom,
                 how: "To the touch mostly 15 to 30 minutes; a day before iron or wash.")
      end

      def opened(hole)
        part = "#{OPENED}: hole #{hole.number}"
        [punch(hole, part), cut(hole, part)].compact
      end

      def punch(hole, part)
        does = if eye?
                 Sentence["Punch the eye of hole #{hole.number}, %s across.", @order.cut.ends.eye * 2]
               elsif @order.cloth.type.hide && @order.straight?
                 Sentence["Punch a hole of %s at each end of hole #{hole.number}, inside the stitching.", LEATHER_PUNCH]
               elsif @order.style.round?
                 Sentence["Punch eyelet #{hole.number} open, %s across.", hole.opening]
               end
        does && Step.new(key: Step.key_at("punch", hole.at), part: part, does: does, figures: figures(hole),
                         how: "On a block, from the right side.", hazards: %w[blade])
      end

      def cut(hole, part)
        return if @order.style.round?

        Step.new(key: Step.key_at("open", hole.at), part: part, figures: figures(hole), hazards: %w[blade], how: how, does: does(hole),
                 symptom: "An end left uncut reads as too tight: look there first.")
      end

      def does(hole)
        through = "and put the #{@order.button.form.noun} through before the next."
        case @order.cutting.way
        when "chisel" then Sentence["Open hole #{hole.number} with the chisel on a block, %s#{bitten(hole)}, #{through}", hole.opening,
                                    *at(hole)]
        when "snip" then Sentence["Fold hole #{hole.number} across its middle, snip %s on the fold, then scissors both ways: %s, " \
                                  "#{through}",
                                  Opening::CutMethod::SNIP, hole.opening]
        else
          return Sentence["Open hole #{hole.number} from the tack to the eye, %s, #{through}", hole.opening] if eye?

          Sentence["Open hole #{hole.number} from both ends to the middle, %s from each tack, %s in all, #{through}", hole.opening / 2,
                   hole.opening]
        end
      end

      def eye? = @order.cut.ends.eye.positive?

      # Where the chisel is set, from the first tack on.
      def bitten(hole)
        bites = @order.cutting.bites(hole.opening)
        return "" if bites.empty?

        over = @order.cutting.hangs?(hole.opening) ? ", what is too long of it over the block's edge" : ""
        "#{over}: its edge from #{bites.map { '%s to %s' }.join(', then ')}"
      end

      def at(hole) = @order.cutting.bites(hole.opening).flat_map { |bite| [bite.from, bite.to] }

      def how
        return "Stop short of the stitching; no pins in this cloth." if @order.straight?
        return "The first and the last bite against the tacks' inner edges, never over them." if @order.cutting.way == "chisel"
        return "Stop at the tacks' inner edges. Lift the cloth off everything beneath." if @order.cutting.way == "snip"

        "A pin across inside each tack stops the blade. Sharp prong down just inside one tack, up again before the middle, ball on " \
          "top; then from the other end. Lift the cloth off everything beneath."
      end

      def figures(hole) = { "hole.at" => hole.at, "opening.length" => hole.opening, **cutting_figures(hole) }

      def cutting_figures(hole)
        bites = @order.cutting.bites(hole.opening)
        set = @order.cutting.way == "chisel" ? bites.each_with_index : []
        { "cut.tool" => @order.cutting.way,
          **set.flat_map { |bite, index| [["cut.bite.#{index + 1}.from", bite.from], ["cut.bite.#{index + 1}.to", bite.to]] }.to_h,
          **(@order.cutting.way == "ripper" && !eye? ? { "cut.half" => hole.opening / 2 } : {}),
          **(@order.cutting.way == "snip" ? { "cut.snip" => Opening::CutMethod::SNIP } : {}) }
      end
    end
  end
end
