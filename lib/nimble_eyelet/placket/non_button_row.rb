# frozen_string_literal: true

# NonButtonRow sets out openings that are no buttonholes: one alone, a pair a cord is tied between, or
# a row that a ribbon is woven through.
#
#   row = Placket::NonButtonRow.of("row", span: Length.mm(400), count: 9, opening: Length.mm(12), ruler: ruler)
#   row.count    # 10: an even number brings both ends out on the same side
#   row.pitch    # 43 mm

require_relative "../answer/reason"
require_relative "../answer/refusal"
require_relative "../answer/sentence"
require_relative "../length/length"
require_relative "../typing/limit"
require_relative "../value"

module NimbleEyelet
  module Placket
    ARRANGEMENTS = { "single" => "one alone", "pair" => "a pair", "row" => "a row" }.freeze

    # Cloth left between two openings.
    ROW_BRIDGE = Length.mm(6)

    # places - Array<Length>, middle of each from the middle of the first; pitch - Length or nil
    class NonButtonRow < Value.of(:count, :pitch, :places, :because)
      LIMITS = { span: Typing::Limit.length(0, 3000, open: true), count: Typing::Limit.whole(2..200) }.freeze

      # @param arrangement [String] key of ARRANGEMENTS
      # @param span [Length, nil] from the middle of the first to the middle of the last
      # @param count [Integer, nil] of a row
      # @param opening [Length] size of each
      # @param ruler [Ruler] the marks the pitch lies on
      # @return [NonButtonRow]
      # @raise [Refusal]
      def self.of(arrangement, span:, count:, opening:, ruler:)
        return new(count: 1, pitch: nil, places: [Length.zero], because: []) if arrangement == "single"

        number = arrangement == "pair" ? 2 : even(count)
        pitch = fitting(span, number, opening, ruler)
        new(count: number, pitch: pitch, places: (0...number).map { |index| pitch * index },
            because: reasons(arrangement, count, number, pitch, span))
      end

      def self.even(count)
        Refusal.unless_valid do |check|
          check.expect("plain.count", count, !count.nil? && LIMITS.fetch(:count).hold?(count),
                       LIMITS.fetch(:count).allowed)
        end
        count + (count % 2)
      end

      # Equal steps on the ruler, the last one never beyond the span.
      def self.fitting(span, number, opening, ruler)
        Refusal.unless_valid do |check|
          if check.expect("plain.span", span, !span.nil?, "Say how far apart the first and the last are.")
            LIMITS.fetch(:span).check(check, "plain.span", span)
          end
        end
        pitch = (span / (number - 1)).round_down_to(ruler.step)
        least = opening + ROW_BRIDGE
        Refusal.unless_valid do |check|
          check.expect("plain.span", span, pitch >= least,
                       Sentence["#{number} of %s each want at least %s from first to last.", opening, least * (number - 1)])
        end
        pitch
      end

      def self.reasons(arrangement, asked, number, pitch, span)
        over = span - (pitch * (number - 1))
        even = Reason.new(rule: "even number",
                          says: "#{number} instead of #{asked}: an even number brings both ends out on the same side.")
        equal = Reason.new(rule: "pitch", says: Sentence["Equal steps of %s, middle to middle; %s stay over.", pitch, over])
        [(even if arrangement == "row" && asked != number), equal].compact
      end
      private_class_method :even, :fitting, :reasons
    end
  end
end
