# frozen_string_literal: true

# Progress is how far the row has come: which steps are done and with what, which were passed over,
# and which is next.
#
#   progress = Sewing::Progress.of(steps, facts)
#   progress.passed_over         # => ["try-on"]
#   progress.next_key            # => "try-on", the first that is open: a tick ahead passes nothing over in silence
#   progress.outdated["mark"]    # => [Difference(figure: "opening.length", was: 27 mm, now: 28 mm)]

require_relative "../length/length"
require_relative "../length/ruler"
require_relative "../value"

module NimbleEyelet
  module Sewing
    # A figure that a step was done with, and what the plan says now. was, now - Length or String
    Difference = Value.of(:figure, :was, :now)

    # steps - Array<Work::Step>; done, passed_over - Array<String> of keys; next_key - String or nil
    # outdated - Hash of key to Array<Difference>, for steps that were done with other figures than those of now
    class Progress < Value.of(:steps, :done, :passed_over, :next_key, :outdated)
      # @return [Boolean] whether all of it is done
      def finished? = next_key.nil? && done.any?

      # @param steps [Array<Work::Step>]
      # @param facts [Facts] steps done that the plan no longer has are left out
      # @return [Progress]
      def self.of(steps, facts)
        entries = steps.to_h { |step| [step.key, facts.entry_of(step)] }.compact
        done, open = steps.partition { |step| entries.key?(step.key) }
        furthest = steps.rindex { |step| entries.key?(step.key) } || -1
        new(steps: steps, done: done.map(&:key), passed_over: steps.first(furthest + 1).intersection(open).map(&:key),
            next_key: open.first&.key,
            outdated: done.to_h do |step|
              [step.key, differences(step, entries.fetch(step.key))]
            end.reject { |_, found| found.empty? })
      end

      # Only figures that were kept are compared.
      def self.differences(step, entry)
        step.figures.filter_map do |figure, now|
          was = entry.done_with[figure]
          next if was.nil? || was == now || marked_so?(figure, was, now)

          Difference.new(figure: figure, was: was, now: now)
        end
      end

      # Older entries kept the end of a hole to the hundredth, where it is marked with a ruler.
      def self.marked_so?(figure, was, now)
        figure == "mark.edge" && was.is_a?(Length) && RULERS.each_value.any? do |ruler|
          was.round_to(ruler.finest) == now
        end
      end
      private_class_method :differences, :marked_so?
    end
  end
end
