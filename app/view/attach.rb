# frozen_string_literal: true

# attach: how the buttons are sewn on, or why not by machine.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module AttachView
      # @param sheet [Sheet]
      # @param say [Presenter]
      # @return [Hash]
      def self.of(sheet, say)
        attaching = sheet.attaching
        { by_machine: attaching.by_machine, width: say.length(attaching.width), spacing: say.length(attaching.spacing),
          clearance: say.length(attaching.clearance), verdict: attaching.verdict,
          verdict_words: attaching.verdict && Attach::AttachPlanner::CLEARANCES.fetch(attaching.verdict),
          needle: sheet.recipe.needle.value.to_s, needle_diameter: say.length(sheet.recipe.needle.value.diameter),
          pattern: attaching.pattern.key, pattern_how: attaching.pattern.how, stitches: attaching.stitches,
          shank: say.length(attaching.shank), feed: FEED_STOPS.fetch(sheet.plan.machine.feed_stop),
          instead: attaching.instead, because: say.reasons(attaching.because), cautions: say.cautions(attaching.cautions) }
      end

      # @return [String] for the knot
      def self.short(sheet, say) = sheet.attaching.by_machine ? say.words(sheet.attaching.width) : "by hand"
    end
  end
end
