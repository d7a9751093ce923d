# frozen_string_literal: true

# Garment is the part of the steps that makes the garment ready: the stays, the fitting and the marks.

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "step"

module NimbleEyelet
  module Sewing
    class Garment
      MADE_READY = "Make the garment ready"
      # A stay reaches beyond the stitches by this on every side, and this beyond the ends of a hole across the run.
      STAY_BEYOND = Length.mm(12)
      STAY_ACROSS = Length.mm(25)
      # The line of a hole goes on past both ends, so that it can be followed under the foot.
      LINE_BEYOND = Length.mm(15)

      # @param order [SewingOrder]
      def initialize(order)
        @order = order
        @recipe = order.recipe
        @stay = order.recipe.stay
      end

      # @return [Array<Step>]
      def steps = [stabilise, stabilise_buttons, try_on, mark, lines, pins].compact

      private

      # How wide the stay is cut.
      def stay_width
        @order.layout.run.vertical? ? @recipe.width(@order.opening) + (STAY_BEYOND * 2) : @order.overall + STAY_ACROSS
      end

      def heat
        return %w[no_iron] unless @order.cloth.iron?

        @stay&.heat ? %w[iron] : []
      end

      def stabilise
        wide = stay_width.round_up_to(Length.mm(1))
        Step.new(key: "stabilise", part: MADE_READY,
                 figures: { **@recipe.laid_under, "stay.width" => wide },
                 does: Sentence["Stabilise under every #{@order.noun}: #{@recipe.stay_words}, %s wide.", wide], hazards: heat,
                 how: "#{@recipe.stabiliser.because.first.says} It reaches beyond the stitches on every side.",
                 symptom: "Left out, #{@order.opens? ? 'the row tunnels and the holes grow' : 'it puckers, and tears out sooner'}.")
      end

      def stabilise_buttons
        return unless @order.button.fastens?

        Step.new(key: "stabilise-buttons", part: MADE_READY, figures: { "recipe.stabiliser" => @recipe.stabiliser.value.to_s },
                 hazards: heat,
                 does: "Stay the underlap too, where the buttons will be sewn.", symptom: "Left out, a button tears its own hole.",
                 how: (if @stay&.torn || @stay&.film
                         "A small square of #{square} behind each button; a sheet that tears away holds nothing."
                       end))
      end

      def square = @order.cloth.iron? ? "cloth or fusible" : "cloth"

      def try_on
        return unless @order.layout.run.usage.thing == "garment" && @order.button.fastens?

        looks = @order.layout.run.pins.any? ? "check the pinned points" : "look where it pulls"
        Step.new(key: "try-on", part: MADE_READY, does: "Try it on, and #{looks}.", how: "Before anything is marked.")
      end

      def mark
        holes = @order.count == 1 ? "the #{@order.noun}" : "#{@order.count} #{@order.noun}s"
        Step.new(key: "mark", part: MADE_READY, figures: @order.slit.merge(marks),
                 does: Sentence["Mark #{holes}, each from the top edge#{across}; the #{@order.cut_open} is %s.", *edges,
                                @order.opening],
                 how: Sentence["#{before_marking}With #{@order.cloth.type.marking}; the line of each #{@order.noun} %s past both " \
                               "ends. Never measure one #{@order.noun} from the one before.", LINE_BEYOND])
      end

      def before_marking
        [(if @order.buttons_first?
            "From the buttons as they sit: lay the edge over them, and hold the figures against what you see. "
          end), ("Last iron before the first mark. " if @order.cloth.iron?)].join
      end

      # Holes across the run: their outer end is measured from the finished edge.
      def across = edges.empty? ? "" : ", the outer end of the stitches %s from the finished edge"

      def edges
        flat = @order.layout.holes.reject(&:vertical?)
        flat.empty? ? [] : [flat.first.edge]
      end

      def marks
        @order.layout.holes.to_h { |hole| ["mark.#{hole.number}", hole.at] }
              .merge("placket.count" => @order.count.to_s, "mark.edge" => edges.first).compact
      end

      # Nothing of a hole by lines is set on the machine: it is drawn.
      def lines
        return circles if @order.circle?
        return unless @order.lines?
        return ends_of_tacks unless @order.opens?

        how = if @order.straight?
                Sentence["Both long lines, %s apart, and both ends.", @recipe.stitch_width.value]
              else
                "Both ends of every slit: they are where the tacks begin."
              end
        Step.new(key: "chalk", part: MADE_READY, how: how, figures: @order.lengths.merge(@order.length_set),
                 does: Sentence["Draw the lines of the holes: %s from end to end, %s for the slit.",
                                @order.setting.figure + @order.cut.ends.both,
                                @order.setting.figure])
      end

      def ends_of_tacks
        Step.new(key: "chalk", part: MADE_READY, how: "Across its line, one at each end.",
                 figures: @order.lengths.merge(@order.length_set),
                 does: Sentence["Draw both ends of every tack, %s apart.", @order.setting.figure])
      end

      def circles
        Step.new(key: "chalk", part: MADE_READY, does: @order.setting.says, how: "Round every mark: its middle is the mark.",
                 figures: @order.lengths.merge(@order.length_set))
      end

      def pins
        held, how = if @order.cloth.type.perforates
                      ["clip", "Clips or tape hold the layers; never pin this cloth."]
                    else
                      ["pin", "Never sew over a pin."]
                    end
        Step.new(key: "pins", part: MADE_READY, does: "Take every #{held} out before the foot comes down.", how: how,
                 hazards: %w[pins])
      end
    end
  end
end
