# frozen_string_literal: true

# Loops are what stands out from an edge and goes round a button: strands of thread worked over, or a cord turned from a
# bias strip.
#
#   Loops::OfFabric.figures(given)["arc"]   # => 31.1 mm, along the middle of the loop
#
# Source: the loop has to pass half the outline twice, 2 H − base; a worked loop tightens by 1 mm, a cord of thickness t
# eats 1.6 t. It stands out as the arc rises over its base; a thread loop is nearly flat: half √(arc² − base²).

require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "way"

module NimbleEyelet
  module Otherways
    module Loops
      module OfThread
        # Thread for each millimetre of the loop, worked over.
        WORKED = 16

        def self.figures(given)
          base = given.across
          arc = (given.need * 2) - base + Length.mm(1)
          { "base" => base, "arc" => arc, "button_in" => Loops.reach(arc, base), "thread" => (arc * WORKED) + Length.mm(300) }
        end

        def self.once(*) = ["Make one loop first and try the button in it."]

        def self.beats(_given, figures)
          [Sentence["Fasten the thread at the edge. Lay 5 strands over %s.", figures["base"]],
           Sentence["Let them stand out: %s along the curve.", figures["arc"]],
           "Work buttonhole stitch over all strands, close together.", "Take the end to the back and fasten it."]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "buttonhole twist, waxed", length: figures["thread"] * given.count)]
        end
      end

      module OfFabric
        SEAM_ALLOWANCE = Length.mm(10)

        def self.figures(given)
          thick = thickness(given)
          base = base(given, thick)
          arc = (given.need * 2) - base + (thick * 8 / 5)
          { "strip" => Length.mm(given.fine ? 22 : 28), "base" => base, "arc" => arc, "loop_cut" => arc + (SEAM_ALLOWANCE * 2),
            "reach" => given.ball ? Loops.reach(arc, base) + thick : (given.across / 2) + thick }
        end

        # Finished, of a bias strip sewn and turned.
        def self.thickness(given) = Length.mm(given.fine ? 3 : 9r / 2)

        # Where loops touch, what lies between the legs is what the next one leaves.
        def self.base(given, thick)
          touching = given.gap && (given.gap - (thick * 2))
          touching && touching < given.across ? [touching, given.across / 2].max : given.across
        end

        def self.once(given, figures)
          [Sentence["Cut bias strips %s wide. Sew them stretched, stitch length 2, and turn them.", figures["strip"]],
           Sentence["Make one loop of %s and try the button in it.", figures["loop_cut"]],
           (Sentence["Draw a ladder on paper: a line every %s.", given.gap] if given.gap)].compact
        end

        def self.beats(_given, figures)
          [Sentence["Cut %s of the turned strip.", figures["loop_cut"]],
           Sentence["Bend it: legs %s apart, raw ends on the seam line.", figures["base"]],
           Sentence["It stands out %s. Tape it down and sew across the ends.", figures["reach"]]]
        end

        def self.supplies(given, figures)
          [WaySupply.new(name: "bias strip, or cord", length: figures["loop_cut"] * given.count)]
        end
        private_class_method :thickness, :base
      end

      # @param arc [Length] along the loop
      # @param base [Length] between its legs
      # @return [Length] how far it stands out at most
      def self.reach(arc, base)
        Length.mm(Math.sqrt([(arc.to_f**2) - (base.to_f**2), 0.0].max) / 2)
      end
    end
  end
end
