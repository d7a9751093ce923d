# frozen_string_literal: true

# Swatch is one test hole: what was set, what was seen.
#
#   Swatches::Swatch.new(number: 1, passes: "passes", measured: Length.mm(22.5), symptoms: ["gappy"],
#                        opening: Length.mm(22.5), stitch_width: Length.mm(4.5), stitch_length: Length.mm(0.4),
#                        tension: 3r, stabiliser: "fusible strip")

require_relative "../answer/refusal"
require_relative "../typing/limit"
require_relative "../value"
require_relative "symptom"

module NimbleEyelet
  module Swatches
    # id - String, that of its entry; number - Integer from 1, in the order they were sewn
    # What was set (opening, stitch_width, stitch_length, tension, stabiliser) and what was seen:
    #
    # passes - String, key of PASSES; measured - Length of the slit, or nil
    # symptoms - Array<String>, keys of SYMPTOMS; note - String; sewn_at - Object, as given
    class Swatch < Value.of(:passes, :measured, :symptoms, :opening, :stitch_width, :stitch_length, :tension,
                            :stabiliser, id: "", number: 0, note: "", sewn_at: nil)
      LIMITS = { measured: Typing::Limit.length(0, 200, open: true) }.freeze

      def shows?(symptom) = symptoms.include?(symptom)

      # @return [Boolean] nothing to put right
      def clean? = passes == "passes" && symptoms.empty?

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "swatch", self, LIMITS)
          check.expect("swatch.symptoms", symptoms.join(", "), (symptoms - SYMPTOMS.keys).empty?,
                       "Known symptoms are: #{SYMPTOMS.keys.join(', ')}.")
        end
        self
      end
    end
  end
end
