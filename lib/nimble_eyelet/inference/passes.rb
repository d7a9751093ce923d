# frozen_string_literal: true

# Passes are the advice to sew the sides twice, and to leave that out again.
#
#   Passes.once(:cover).sets   # => { "recipe.second_pass" => "no" }

require_relative "../answer/reason"
require_relative "../swatch/change"

module NimbleEyelet
  module Inference
    module Passes
      # @return [Swatches::Change] for whoever was taught so: the stitch stays where the cover is thin
      def self.twice
        reason = Reason.new(rule: "thin cover", says: "Where the cover is thin you sew a second pass: the stitch stays.")
        Swatches::Change.new(axis: "cover", says: "Keep the stitch. Sew over both sides a second time, without the ends.",
                             because: [reason], sets: { "recipe.second_pass" => "yes" })
      end

      # @param hole [Swatches::Swatch]
      # @return [Boolean] whether it looks as if sewn over once too often
      def self.too_thick?(hole) = %w[piled_up beads_touch].any? { |seen| hole.shows?(seen) }

      # @param axis [Symbol] that it puts right
      # @return [Swatches::Change]
      def self.once(axis)
        reason = Reason.new(rule: "second pass", says: "Sewn twice, the sides lie thicker and closer than the dials say.")
        Swatches::Change.new(axis: axis.to_s, says: "Leave the second pass out: sew it once.", because: [reason],
                             sets: { "recipe.second_pass" => "no" })
      end
    end
  end
end
