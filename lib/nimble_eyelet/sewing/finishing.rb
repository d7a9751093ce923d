# frozen_string_literal: true

# Finishing is the part of the steps from the last hole sewn to the last one open: tails, what was laid
# under, sealing, drying, cutting.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../machine/ledger"
require_relative "../opening/cut_method"
require_relative "../placket/edge"
require_relative "../work/operation"
require_relative "../work/step"

module NimbleEyelet
  module Sewing
    class Finishing
      OPENED = "Open the holes"
      FINISHED = "Finish the tacks"
      # A film is trimmed so near before it is rinsed out, and a box of leather ends in holes punched so wide.
      FILM_LEFT = Length.mm(3)
      LEATHER_PUNCH = Length.mm(2)
      STAINS = "Try it on the scrap for stains first."

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @stay = order.recipe.stay
      end

      # @return [Array<Work::Step>]
      def steps
        return [tails, tear, *washed_out].compact unless @order.opens?

        [tails, tear, *washed_out, *sealed_before, *@order.holes.flat_map { |hole| opened(hole) }, *sealed_after].compact
      end

      private

      def part = @order.opens? ? OPENED : FINISHED

      def step(name, *operations, block: "seal", part: OPENED, **more)
        Work::Step.of(name, block: block, part: part, operations: operations, **more)
      end

      # What stays in the cloth at every hole.
      def everywhere(kind) = Work::Lasting.at(kind, @order.layout.holes.map(&:at))

      def tails
        step("tails", Work::Operation["finish_tails", lasts: everywhere("tailed"),
                                      says: "Take the thread tails to the back, knot and trim them."], unclamp, part: part)
      end

      def unclamp
        return unless @order.clamped?

        Work::Operation["unclamp", sets: { "lever" => nil, **Ledger.put_back(MACHINE_PARTS.fetch("button_in_foot")) },
                        says: "Push the buttonhole lever up. Empty the foot."]
      end

      def tear
        return unless @stay&.torn

        step("tear", Work::Operation["tear", lasts: everywhere("torn"),
                                     says: "Tear the sheet away. Hold the stitches with your other hand."],
             part: part, symptom: "If you pull, the stitches lift off.")
      end

      # What comes out in water comes out before anything is sealed in.
      def washed_out
        return [] unless @stay&.wash

        trim = Work::Operation["trim_film", lasts: everywhere("trimmed"),
                                            says: Sentence["Trim the #{@stay.film ? 'film' : 'wash-away'} to %s round the stitches.", FILM_LEFT]]
        rinse = Work::Operation["rinse", lasts: everywhere("rinsed"), says: "Rinse out what is left of it, and let it dry.",
                                         minds: (["Before sealing: what is sealed in stays."] if sealed?).to_a]
        [step("film", trim, part: part), step("rinse", rinse, part: part)]
      end

      # What does not fray needs no sealing.
      def sealed? = @order.cloth.frays? && !@order.straight?

      def sealed_before
        return [] unless sealed? && @order.cutting.sealed_before?

        [step("seal", sealing("Seal the cut line with a little fray sealant.")),
         dry("dry", "If you cut it wet, the edges glue together.", "open")]
      end

      def sealed_after
        return [] unless sealed? && @order.cutting.sealed_after?

        [step("seal-after", sealing("Seal the cut edges with fray sealant. Hold the slit open on a pin."), block: "open"),
         (dry("dry-after", "If you button it wet, the edges stick together.", "buttons") unless @order.buttons_first?)].compact
      end

      def sealing(says)
        Work::Operation["seal", figures: { "cut.seal" => @order.cutting.seal || "before" }, lasts: everywhere("sealed"), says: says,
                        minds: [STAINS]]
      end

      def dry(key, symptom, block)
        step(key, Work::Operation["let_dry", says: "Let it dry, as its label says.",
                                  minds: ["To the touch mostly 15 to 30 minutes; a day before iron or wash."]],
             symptom: symptom, block: block)
      end

      def opened(hole)
        part = "#{OPENED}: hole #{hole.number}"
        [punch(hole, part), cut(hole, part)].compact
      end

      def punch(hole, part)
        says = punched(hole) or return
        through = @order.style.round? ? "slit" : "punched"
        step("punch", Work::Operation["punch", figures: figures(hole), says: says, minds: ["On a block, from the right side."],
                                      lasts: [Work::Lasting.new(kind: through, at: hole.at, opening: hole.opening)]],
             at: hole.at, part: part, block: "open")
      end

      def punched(hole)
        return Sentence["Punch the eye of hole #{hole.number}, %s across.", @order.cut.ends.eye * 2] if eye?
        return Sentence["Punch eyelet #{hole.number} open, %s across.", hole.opening] if @order.style.round?
        return unless @order.cloth.type.hide && @order.straight?

        Sentence["Punch %s at each end of hole #{hole.number}, inside the stitching.", LEATHER_PUNCH]
      end

      def cut(hole, part)
        return if @order.style.round?

        step("open", Work::Operation["cut", figures: figures(hole), says: does(hole), minds: minds(hole),
                                     lasts: [Work::Lasting.new(kind: "slit", at: hole.at, opening: hole.opening)]],
             at: hole.at, part: part, block: "open", symptom: "If the #{@order.button.form.noun} sticks, check the ends are fully cut.")
      end

      def minds(hole) = [*last_warning(hole), "Try the #{@order.button.form.noun} before you cut the next.", how]

      # What was said of the edge when the holes were placed is said once more while they can still be left closed.
      def last_warning(hole)
        return [] unless hole == @order.holes.first

        overhang = overhangs if @order.layout.edge.cautions.any? { |one| one.rule == "extension" }
        [overhang, (near_the_edge if nearest.edge < Placket::Edge.wanted(@order.layout.run))].compact
      end

      def overhangs
        Sentence["Before you cut: this button wants %s from centre line to edge.", @order.layout.edge.extension_needed]
      end

      # Of what is there to be cut: a hole that is sewn may lie elsewhere than is planned now.
      def nearest = @order.layout.holes.min_by(&:edge)

      def near_the_edge
        Sentence["Before you cut: the outer end lies %s from the edge, where it may tear out.", nearest.marked_edge]
      end

      def does(hole)
        case @order.cutting.way
        when "chisel" then Sentence["Cut hole #{hole.number} with the chisel on a block: %s.#{bitten(hole)}", hole.opening, *at(hole)]
        when "snip" then Sentence["Fold hole #{hole.number} across its middle. Snip %s, cut both ways: %s.",
                                  Opening::CutMethod::SNIP, hole.opening]
        else
          return Sentence["Cut hole #{hole.number} from the end to the eye: %s.", hole.opening] if eye?

          Sentence["Cut hole #{hole.number} from both ends to the middle: %s.", hole.opening]
        end
      end

      def eye? = @order.cut.ends.eye.positive?

      # Where the chisel is set, from the first end on.
      def bitten(hole)
        bites = @order.cutting.bites(hole.opening)
        return "" if bites.empty?

        over = @order.cutting.hangs?(hole.opening) ? " Let what is too long hang over the block." : ""
        " Set its edge from #{bites.map { '%s to %s' }.join(', then ')}.#{over}"
      end

      def at(hole) = @order.cutting.bites(hole.opening).flat_map { |bite| [bite.from, bite.to] }

      def how
        return "Stop short of the stitching. No pins in this fabric." if @order.straight? || @order.cloth.type.perforates
        return "Set the first and the last bite against the ends, never over them." if @order.cutting.way == "chisel"
        return "Stop at the ends. Lift the fabric off everything beneath." if @order.cutting.way == "snip"

        "Pin across inside each end: it stops the blade. Push the point down just inside one end and up before the middle, the " \
          "side on top. Then from the other end. Lift the fabric off everything beneath."
      end

      def figures(hole) = { "hole.at" => hole.at, "opening.length" => hole.opening, **cutting_figures(hole) }

      def cutting_figures(hole)
        bites = @order.cutting.bites(hole.opening)
        set = @order.cutting.way == "chisel" ? bites.each_with_index : []
        { "cut.tool" => @order.cutting.way,
          **set.flat_map { |bite, index| [["cut.bite.#{index + 1}.from", bite.from], ["cut.bite.#{index + 1}.to", bite.to]] }.to_h,
          **(@order.cutting.way == "snip" ? { "cut.snip" => Opening::CutMethod::SNIP } : {}) }
      end
    end
  end
end
