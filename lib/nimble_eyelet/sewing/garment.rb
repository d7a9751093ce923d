# frozen_string_literal: true

# Garment is the part of the steps that makes the garment ready: the stays, the fitting and the marks.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../length/tool"
require_relative "../work/operation"
require_relative "../work/step"

module NimbleEyelet
  module Sewing
    class Garment
      MADE_READY = "Make the garment ready"
      # A stay reaches beyond the stitches by this on every side, and this beyond the ends of a hole across the run.
      STAY_BEYOND = Length.mm(12)
      # A stay is cut to the next mark that a pair of scissors keeps to.
      STAY_CUT_TO = Length.mm(5)
      STAY_ACROSS = Length.mm(25)
      # The line of a hole goes on past both ends, so that it can be followed under the foot.
      LINE_BEYOND = Length.mm(15)

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @recipe = order.recipe
        @stay = order.recipe.stay
      end

      # @return [Array<Work::Step>]
      def steps
        inside = [stabilise] if inside?
        [*inside, stabilise_buttons, try_on, mark, lines, pins, *([stabilise] unless inside?)].compact
      end

      private

      # What stays in the garment goes in first. What lies under or on top while it is sewn comes last: over it nothing
      # could be marked or tried on.
      def inside? = @stay.nil? || @stay.inside

      # How wide the stay is cut.
      def stay_width
        @order.layout.run.vertical? ? @recipe.width(@order.opening) + (STAY_BEYOND * 2) : @order.overall + STAY_ACROSS
      end

      # Nobody knows of a person's own stabiliser whether it is fused.
      def heat
        return @stay&.heat ? %w[iron] : [] if @order.cloth.iron?

        @stay.nil? || @stay.heat ? %w[no_iron] : []
      end

      def step(name, operation, **more) = Work::Step.of(name, part: MADE_READY, operations: [operation], **more)

      def stabilise
        wide = stay_width.round_up_to(STAY_CUT_TO)
        stay = Work::Operation["stay", figures: { **@recipe.laid_under, "stay.width" => wide }, hazards: heat, lasts: laid,
                               says: Sentence["#{named(@recipe.stay_words)}. Put it under every #{@order.noun}, %s wide.", Tool::SCISSORS.at(wide)],
                               minds: ["#{@recipe.stabiliser.because.first.says} It reaches beyond the stitches on every side."]]
        harm = @order.opens? ? "the stitching puckers and the holes stretch" : "it puckers and tears out sooner"
        step("stabilise", stay, block: inside? ? "stay" : "row", symptom: "Without it #{harm}.")
      end

      # At the beginning of a sentence; a person's own words stay as they are otherwise.
      def named(words) = words.sub(/\A\p{Ll}/, &:upcase)

      def laid = Work::Lasting.at("stayed", @order.layout.holes.map(&:at))

      def stabilise_buttons
        return if !@order.buttons? || @order.way&.shown

        stay = Work::Operation["stay_underlap", figures: { "recipe.stabiliser" => @recipe.laid }, hazards: heat,
                               says: gone ? square : "Put interfacing behind the buttons' side too.", minds: [gone].compact]
        step("stabilise-buttons", stay, block: "stay", symptom: "Without it a button tears its own hole.")
      end

      # Why what is under a hole does not hold a button.
      def gone
        return unless @stay&.goes?

        @stay.torn ? "A sheet that tears away holds nothing." : "What rinses out holds nothing."
      end

      def square
        "Put a small square of #{@order.cloth.behind_a_button} behind each button."
      end

      def try_on
        return unless @order.layout.run.usage.thing == "garment" && @order.button.fastens?

        looks = @order.layout.run.pins.any? ? "check the pinned points" : "look where it pulls"
        step("try-on", Work::Operation["try_on", says: "Try it on, and #{looks}.",
                                       minds: ["Do this before you mark."]], block: "row")
      end

      def mark
        return mark_places if @order.way && @order.slit_by_hand.nil?

        beyond = Sentence["Draw lines %s past both ends.", Tool::CHALK_LINE.at(LINE_BEYOND)]
        how = "#{before_marking}With #{@order.cloth.marking}. Measure every #{@order.noun} from the #{measured_from}."
        step("mark", Work::Operation["mark", hazards: tied, figures: @order.slit.merge(marks), lasts: marked,
                                             says: to_mark, minds: [places, *on_lines, beyond, how]], block: "row")
      end

      def to_mark
        holes = @order.count == 1 ? "the #{@order.noun}" : "#{@order.count} #{@order.noun}s"
        Sentence["Mark #{holes} %s #{@order.circle? ? 'across' : 'long'}.#{across}",
                 @order.opening, *edges]
      end

      # Where nothing is cut there are places alone.
      def mark_places
        how = "#{before_marking}With #{@order.cloth.marking}. Measure every place from the #{measured_from}, never from the one before."
        step("mark", Work::Operation["mark", hazards: tied, figures: marks, lasts: marked, minds: [places, how],
                                             says: "Mark #{@order.count} #{@order.count == 1 ? 'place' : 'places'} along the edge."],
             block: "row")
      end

      # Gimp under stitches is no cord in this sense.
      def tied = @order.for_child && @order.button.form.tied ? %w[cords] : []

      def measured_from = @order.layout.run.measured_from

      # Every place, to be read off in one go.
      def places
        at = @order.layout.holes.map(&:at)
        Sentence["From the #{measured_from}: #{at.map { '%s' }.join(', ')}.", *at]
      end

      # How far from the finished edge those lie that do not all lie across it.
      def on_lines
        along, flat = still_open.partition(&:vertical?)
        return [] if along.empty?

        [*line(along), *flat.map { |hole| across_alone(hole) }]
      end

      def across_alone(hole)
        Sentence["Hole #{hole.number} lies across: the outer end of its stitches %s from the finished edge.", hole.marked_edge]
      end

      def line(along)
        [Sentence["#{which_lie(along)} %s from the finished edge.", along.first.edge + (along.first.width / 2)]]
      end

      def which_lie(along)
        return "It lies" if @order.count == 1
        return "All lie" if along.size == still_open.size

        along.size == 1 ? "Hole #{along.first.number} lies" : "Holes #{along.map(&:number).minmax.join(' to ')} lie"
      end

      def marked
        @order.layout.holes.map { |hole| Work::Lasting.new(kind: "marked", at: hole.at, opening: @order.opening) }
      end

      def before_marking
        [(if @order.buttons_first?
            "From the buttons as they sit: lay the edge over them, and hold the figures against what you see. "
          end), ("Finish pressing before you mark: heat can set the ink. " if @order.cloth.iron?)].join
      end

      # Holes across the run: their outer end is measured from the finished edge.
      def across = edges.empty? ? "" : " The outer end lies %s from the edge."

      # Where some lie along the edge, no one figure is that of all.
      def edges = still_open.any?(&:vertical?) ? [] : [still_open.first.marked_edge]

      # What is sewn needs no mark, and may lie on another line than the rest.
      def still_open = @still_open ||= @order.layout.holes.then { |all| all.all?(&:sewn) ? all : all.reject(&:sewn) }

      def marks
        @order.layout.holes.to_h { |hole| ["mark.#{hole.number}", hole.at] }
              .merge("placket.count" => @order.count.to_s, "mark.edge" => edges.first).compact
      end

      # Nothing of a hole by lines is set on the machine: it is drawn.
      def lines
        return unless @order.circle? || @order.lines?

        says, how = drawn
        step("chalk", Work::Operation["draw_lines", figures: @order.lengths.merge(@order.length_set), lasts: marked,
                                      says: says, minds: [how]], block: "row")
      end

      def drawn
        figure = @order.setting.figure
        return [@order.setting.says, "Round every mark: its middle is the mark."] if @order.circle?
        return [Sentence["Draw both ends of every tack, %s apart.", figure], "Across its line, one at each end."] unless @order.opens?

        [Sentence["Draw each hole: %s overall, %s to cut.", figure + @order.cut.ends.both, figure],
         both_lines]
      end

      def both_lines
        return "Draw both ends of every slit. The end stitches begin there." unless @order.straight?

        Sentence["Both long lines, %s apart, and both ends.", @recipe.stitch_width.value]
      end

      def pins
        held, how = if @order.cloth.type.perforates
                      ["clip", "Clips or tape hold the layers; never pin this fabric."]
                    else
                      ["pin", "Never sew over a pin."]
                    end
        step("pins", Work::Operation["pins_out", minds: [how],
                                     says: "Take every #{held} out before the foot comes down."], block: "row")
      end
    end
  end
end
