# frozen_string_literal: true

# attach: how the buttons are sewn on, or why not by machine.

require_relative "../../lib/nimble_eyelet"

module NimbleEyelet
  module View
    module AttachView
      # @param sheet [Sheet]
      # @param present [Presenter]
      # @return [Hash]
      def self.of(sheet, present)
        attaching = sheet.attaching
        { by_machine: attaching.by_machine, width: present.dial(attaching.width), spacing: present.length(attaching.spacing),
          clearance: present.length(attaching.clearance), verdict: attaching.verdict,
          verdict_words: attaching.verdict && Attach::AttachPlanner::CLEARANCES.fetch(attaching.verdict),
          needle: sheet.recipe.needle.value.to_s, needle_width: present.length(sheet.recipe.needle.value.diameter),
          pattern: attaching.pattern.key, pattern_how: attaching.pattern.how, stitches: attaching.stitches,
          shank: present.length(attaching.shank), spacer: present.length(attaching.spacer), needle_most: attaching.needle_most,
          hand_thread: present.length(attaching.hand_thread), feed: FEED_STOPS.fetch(sheet.plan.machine.feed_stop),
          instead: attaching.instead, because: present.reasons(attaching.because), cautions: present.cautions(attaching.cautions) }
      end

      # @return [String] for the knot
      def self.short(sheet, present) = sheet.attaching.by_machine ? present.dial(sheet.attaching.width)[:text] : "by hand"
    end
  end
end
