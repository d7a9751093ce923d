# frozen_string_literal: true

# Swatch is one test hole: what it was sewn with, and what was seen.
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
    # What was set (opening wanted, stitch_width, stitch_length, tension, stabiliser) and what was seen:
    #
    # passes - String, key of PASSES, or nil where nobody tried; measured - Length of the slit, or nil
    # symptoms - Array<String>, keys of SYMPTOMS; note - String, something else in words; sewn_at - Object, as given
    # sewn_with - Hash of path to Length or String, everything it was sewn with
    class Swatch < Value.of(:passes, :measured, :symptoms, :opening, :stitch_width, :stitch_length, :tension,
                            :stabiliser, id: "", number: 0, note: "", sewn_at: nil, sewn_with: {})
      LIMITS = { measured: Typing::Limit.length(0, 200, open: true) }.freeze
      # What evidence is shared by: a hole of another machine, foot, thread or cloth teaches nothing here.
      SHARED = %w[machine.id recipe.foot recipe.style thread.fibre thread.tex cloth.kind].freeze

      def shows?(symptom) = symptoms.include?(symptom)

      # @return [Boolean] nothing to put right; without a verdict on fit, or with something else in words, nobody can say so
      def clean? = passes == "passes" && symptoms.empty? && note.empty?

      # @param set [Hash{String => Object}] what the closure is set to now
      # @return [Boolean] whether it was sewn with the same machine, foot, thread and cloth, as far as that was kept
      def like?(set) = SHARED.all? { |path| sewn_with[path].nil? || set[path].nil? || sewn_with[path] == set[path] }

      # @return [Length, nil] what a carriage foot was clamped on and opened to, without what it adds
      def clamped = sewn_with["setting.clamped"]

      # @return [Length, nil] what the foot added by itself
      def allowance = measured && clamped && (measured - clamped)

      # @return [Array<Array(String, String)>] pairs of symptoms that cannot be seen on one hole
      def contradictions
        symptoms.filter_map { |key| [key, SYMPTOMS[key]&.opposite].sort if symptoms.include?(SYMPTOMS[key]&.opposite) }.uniq
      end

      # @return [self]
      # @raise [Refusal]
      def validate
        Refusal.unless_valid do |check|
          Typing::Limit.check_all(check, "swatch", self, LIMITS)
          check.expect("swatch.symptoms", symptoms.join(", "), (symptoms - SYMPTOMS.keys).empty?,
                       "Known symptoms are: #{SYMPTOMS.keys.join(', ')}.")
          check.expect("swatch.passes", "", passes || symptoms.any? || measured || !note.empty?,
                       "Say what you saw: how it went through, at least.")
        end
        self
      end
    end
  end
end
