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
        { by_machine: attaching.by_machine, width: present.dial(attaching.width),
          spacing: present.length(attaching.spacing), diagonal: present.dial(attaching.diagonal),
          clearance: present.told(attaching.clearance), verdict: attaching.verdict,
          verdict_words: attaching.verdict && Attach::AttachPlanner::CLEARANCES.fetch(attaching.verdict),
          needle: sheet.recipe.needle.value.to_s, needle_width: present.length(sheet.recipe.needle.value.across),
          pattern: attaching.pattern.key, pattern_how: attaching.pattern.how, stitches: attaching.stitches,
          shank: present.told(attaching.shank), spacer: present.told(attaching.spacer),
          needle_most: attaching.needle_most, hand_thread: present.told(Tool::SCISSORS.at(attaching.hand_thread)),
          cord: present.told(attaching.cord),
          feed: FEED_STOPS.fetch(sheet.plan.attach.feed_stop(sheet.plan.machine)), instead: attaching.instead,
          because: present.reasons(attaching.because), places: places(sheet, present),
            cautions: present.cautions(attaching.cautions) }
      end

      # Where each button goes, where it matters.
      def self.places(sheet, present)
        found = ButtonPlaces.of(sheet)
        return unless found&.differ?

        { says: present.words(worst(found.worst)), rows: found.rows.map do |row|
          row.to_h.transform_values do |value|
            value.is_a?(Length) ? present.length(value) : value
          end
        end }
      end

      def self.worst(row)
        return "If you mark from the plan, everything shifts by the same." unless row

        way = row.stretch.positive? ? "bubble: the side of the holes is longer there" : "pull: the side of the holes is shorter there"
        Sentence["Marked from the plan, it would #{way}, by %s between buttons #{row.number} and #{row.number + 1}.", row.stretch.abs]
      end
      private_class_method :places, :worst

      # @return [String] for the knot
      def self.short(sheet, present)
        sheet.attaching.by_machine ? present.dial(sheet.attaching.width)[:text] : "by hand"
      end
    end
  end
end
